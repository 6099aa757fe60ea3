<?php

declare(strict_types=1);

use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;

/*
 * What a method usually is, what a food needs at least, how long something keeps, what a place and a way of serving are
 * called: each is said in one file, of the core, the application and the screens together.
 */

/** @return array<string, string> files by path, without what is generated and without the invented kitchen */
function sources(): array
{
    static $files = null;
    if ($files === null) {
        $root = dirname(__DIR__, 2);
        foreach (['core', 'app', 'web/src', 'bench'] as $folder) {
            foreach (
                new RecursiveIteratorIterator(
                    new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS),
                )
                as $file
            ) {
                $path = substr((string) $file, strlen($root) + 1);
                if (
                    preg_match('/\.(php|tsx?|mjs)$/', $path) === 1 &&
                    !str_contains($path, 'contract.gen') &&
                    !str_starts_with($path, 'app/Demo/')
                ) {
                    $files[$path] = (string) preg_replace(
                        '#/\*.*?\*/|(?<!:)//[^\n]*#s',
                        '',
                        (string) file_get_contents((string) $file),
                    );
                }
            }
        }
    }

    return $files;
}

/** @return list<string> */
function filesSaying(string $pattern): array
{
    $files = array_keys(array_filter(sources(), fn(string $text): bool => preg_match($pattern, $text) === 1));
    sort($files);

    return $files;
}

it('finds the files it looks through', function (): void {
    expect(count(sources()))->toBeGreaterThan(300);
    expect(filesSaying('/class MethodProfile/'))->toBe(['core/Method/MethodProfile.php']);
});

it('names methods, places and ways of serving in the catalogue alone', function (string $code): void {
    $name = said(new Message($code));
    expect(filesSaying('/[\'"`>]' . preg_quote($name, '/') . '\b/i'))->toBe([]);
})->with([
    ...array_map(
        fn(Method $method): string => $method->label()->code,
        // "Mash" and "Bought" are words of their own as well.
        array_filter(Method::cases(), fn(Method $method): bool => $method !== Method::Mash && $method->isMade()),
    ),
    'place_name.cool',
    'place.counter',
]);

it('keeps the usual strength, portion, headspace and salting time of a method in its profile', function (): void {
    foreach (Method::made() as $method) {
        $profile = $method->profile();
        foreach (sources() as $file => $text) {
            // A table by method: its value beside the figure, outside the room of methods.
            $near =
                preg_match_all('/\b' . $method->value . '\b[^\n]{0,24}?(?<![\w.])(\d+(?:\.\d+)?)\b/', $text, $found) > 0
                    ? $found[1]
                    : [];
            $usual = array_map(strval(...), [
                $profile->salting->usual,
                $profile->salting->usual * 100.0,
                $profile->storage->headspace->value,
                $profile->storage->fridgeDays,
            ]);
            expect(str_starts_with($file, 'core/Method/') ? [] : array_intersect($near, $usual))->toBe(
                [],
                "{$file} speaks of {$method->value}",
            );
        }
    }
    // The share of a poured brine, of kraut and of a soak, as they stood in tables of the screens.
    expect(filesSaying('/(?<![\d.])0\.(0225|065|18|012)(?!\d)/'))->toBe(['core/Method/MethodProfile.php']);
});

it('asks one place for the least salt and one for keeping', function (): void {
    // Beside the floor itself only what makes a food of a food.
    expect(filesSaying('/->brineFloor\b/'))->toBe([
        'app/Http/Requests/BoughtRequest.php',
        'core/Method/SaltFloor.php',
        'core/Produce/Ingredient.php',
    ]);
    expect(filesSaying('/new SaltLine\(/'))->toBe(['core/Method/SaltFloor.php']);
    expect(filesSaying('/->(least|leastOfEverything|leastAtTheEnd|mindsFoods)\b(?!\()/'))->each->toBeIn([
        'core/Method/SaltFloor.php',
        'core/Method/SaltLine.php',
        'core/Method/Salting.php',
        // Whether a recipe by it needs salt at all, and the floor's own answer, handed on.
        'core/Interchange/RecipeDraft.php',
        'core/Advice/SaltAdvice.php',
        'core/Bench/BenchSolution.php',
        'app/Views/FormulaView.php',
    ]);
    expect(filesSaying('/->fridgeDays\b/'))->each->toBeIn([
        'core/Method/ShelfLife.php',
        'core/Formula/FormulaDefaults.php',
        'app/Views/KitchenView.php',
    ]);
});
