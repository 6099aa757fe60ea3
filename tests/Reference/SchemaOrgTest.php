<?php

declare(strict_types=1);

use App\Language\Words;
use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use Symfony\Component\Process\Process;
use Tempesal\Core\Interchange\SchemaRecipe;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;

/*
 * schema.org's vocabulary as TypeScript types, the npm package schema-dts (Apache-2.0), which is generated from the
 * vocabulary itself. The compiler refuses a property that a Recipe does not have, and a value of the wrong type.
 */
function compiled(array $recipes): Process
{
    $root = dirname(__DIR__, 2);
    $file = "{$root}/storage/tempesal/recipes-" . getmypid() . '.ts';
    $body = json_encode($recipes, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    file_put_contents(
        $file,
        "import type { Recipe, WithContext } from 'schema-dts';\nexport const recipes: WithContext<Recipe>[] = {$body};\n",
    );
    $process = new Process(
        [
            'npx',
            '--no-install',
            'tsc',
            '--noEmit',
            '--strict',
            '--skipLibCheck',
            '--target',
            'es2022',
            '--moduleResolution',
            'bundler',
            '--module',
            'esnext',
            $file,
        ],
        $root,
    );
    $process->run();
    unlink($file);

    return $process;
}

function recipes(): array
{
    return array_map(
        fn(array $document): array => (array) Words::in('en-GB')->inWords(
            SchemaRecipe::of(FormulaAnswer::of(Formula::read($document, FoodTable::pantry()))),
        ),
        FormulaLibrary::documents(),
    );
}

it('hands out recipes that schema.org\'s own types accept', function (): void {
    $process = compiled(recipes());
    expect($process->getExitCode())->toBe(0, $process->getOutput());
});

it('would be caught with a property that a recipe does not have, or a value of the wrong type', function (): void {
    $recipe = recipes()[0];
    $output = compiled([
        [...$recipe, 'recipeSaltiness' => 'very'],
        [...$recipe, 'nutrition' => ['@type' => 'Person', 'name' => 'Salt']],
    ])->getOutput();
    expect($output)->toContain('recipeSaltiness')->toContain('Person');
});
