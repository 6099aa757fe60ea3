<?php

declare(strict_types=1);

use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;

/*
 * What a method usually is, what a food needs at least, how long something keeps, what a place and a way of serving are called:
 * each is said in one file, of the core, the application and the screens together.
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

it('names each method, place and way of serving once', function (string $name, string $file): void {
    expect(filesSaying('/[\'"`>]' . preg_quote($name, '/') . '\b/i'))->toBe([$file]);
})->with([
    ...array_map(
        fn(Method $method): array => [$method->label(), 'core/Method/MethodProfile.php'],
        // "Mash" and "Bought" are words of their own as well.
        array_filter(Method::cases(), fn(Method $method): bool => str_contains($method->label(), ' ')),
    ),
    [Place::Cool->name(), 'core/Method/Place.php'],
    ['rinsed %d s', 'core/Intake/ServingStyle.php'],
    ['with %d g of juice', 'core/Intake/ServingStyle.php'],
]);

it('says where a jar stands and how it is served in no other words', function (): void {
    // A sentence of its own may speak of the fridge; a list of places may not stand anywhere else.
    expect(filesSaying('/on the counter/i'))->toBe([]);
    expect(filesSaying('/half a minute|[\'"`]drained[\'"`]\s*[,:]?\s*label/i'))->toBe([]);
    expect(Place::sentence())->toBe('A jar stands on the counter, in the cool place or in the fridge.');
    expect(ServingStyle::sentence())->toBe('Drained, rinsed 30 s or with 15 g of juice.');
});

it(
    'keeps the usual strength, portion, headspace and salting time of a method in its profile',
    function (): void {
        foreach (Method::made() as $method) {
            $profile = $method->profile();
            foreach (sources() as $file => $text) {
                // A table by method: its value beside the figure, outside the room of methods.
                $near =
                    preg_match_all(
                        '/\b' . $method->value . '\b[^\n]{0,24}?(?<![\w.])(\d+(?:\.\d+)?)\b/',
                        $text,
                        $found,
                    ) > 0
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
        expect(filesSaying('/(?<![\d.])0\.(0225|065|18|012)(?!\d)/'))->toBe([
            'core/Method/MethodProfile.php',
        ]);
    },
);

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
