<?php

declare(strict_types=1);

use App\Backup\ImportKitchen;
use App\Console\ComputeBatch;
use App\Console\PlanWeek;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Person;
use Carbon\CarbonImmutable;

/*
 * Every figure that the API and the doors answered for a whole kitchen before sentences moved into the catalogue and
 * names changed. Words may change, keys may be renamed (RENAMED), figures never: kitchen-1.answers.json.gz is not
 * written again.
 */
const ANSWERS = __DIR__ . '/../fixtures/kitchen-1.answers.json.gz';

/** Keys that are called otherwise today, by what they were called then. */
const RENAMED = [];

/**
 * The numbers of an answer by their paths; what a message carries and ids are left out.
 *
 * @return array<string, int|float|bool>
 */
function figuresOf(mixed $answer, string $path = ''): array
{
    if (is_int($answer) || is_float($answer) || is_bool($answer)) {
        return [$path => $answer];
    }
    if (!is_array($answer) || (array_key_exists('code', $answer) && array_key_exists('values', $answer))) {
        return [];
    }
    $all = [];
    $position = 0;
    foreach ($answer as $key => $value) {
        $name = preg_match('/^[0-9a-z]{26}$/i', (string) $key) === 1 ? '#' . $position : (string) $key;
        $all += figuresOf($value, "{$path}/" . (RENAMED[$name] ?? $name));
        $position++;
    }

    return $all;
}

/**
 * A correction of the library's words is a further version of its formulas; their figures stay.
 *
 * @param  array<string, int|float|bool>  $figures
 * @return array<string, int|float|bool>
 */
function withoutVersions(array $figures): array
{
    return array_filter(
        $figures,
        static fn(string $path): bool => preg_match('#/(versions?|newest)(/|$)#', $path) !== 1,
        ARRAY_FILTER_USE_KEY,
    );
}

/**
 * The figures but for what foods hold.
 *
 * @param  array<string, int|float|bool>  $figures
 * @return array<string, int|float|bool>
 */
function withoutFoods(array $figures): array
{
    return array_filter(
        $figures,
        static fn(string $path): bool => preg_match(
            '#^/ingredients/\d+/(water|sodium|density|hollow|live|version)#',
            $path,
        ) !== 1,
        ARRAY_FILTER_USE_KEY,
    );
}

/**
 * The figures but for the ends of bands and what makes them.
 *
 * @param  array<string, int|float|bool>  $figures
 * @return array<string, int|float|bool>
 */
function withoutBands(array $figures): array
{
    return array_filter(
        $figures,
        static fn(string $path): bool => preg_match('#/(low|high)(Mg)?$|/contributions/|Low|High#', $path) !== 1,
        ARRAY_FILTER_USE_KEY,
    );
}

/**
 * The figures but for how a total is rounded (as far as its range lets it be said); what is live and ready (in the cold
 * things ripen more slowly since, so that other jars can stand in for a serving); what is left of a jar and what that
 * runs into (what other weeks have planned is theirs); how many kinds of cultures were eaten (three krauts are one
 * since); and the acid that is expected (of a condiment nothing is, before it was read).
 *
 * @param  array<string, int|float|bool>  $figures
 * @return array<string, int|float|bool>
 */
function withoutLive(array $figures): array
{
    return array_filter(
        $figures,
        static fn(string $path): bool => preg_match(
            '#/isLive$|/isReady$|mean\d*/sodium/shown$|/mean/shown$|^/conflicts/|^/jars/\d+/left/|/kinds$|/expectedPh$#',
            $path,
        ) !== 1,
        ARRAY_FILTER_USE_KEY,
    );
}

/**
 * The figures that do not come out of the ledger.
 *
 * @param  array<string, int|float|bool>  $figures
 * @return array<string, int|float|bool>
 */
function withoutSodium(array $figures): array
{
    return array_filter(
        $figures,
        static fn(string $path): bool => preg_match(
            '#(/document/|Mg|amount|sodium|per100g|mgPer|grams|percent|share|low|typical|high|servings|weightG|waterG|otherG|without)#i',
            $path,
        ) !== 1,
        ARRAY_FILTER_USE_KEY,
    );
}

/**
 * The figures of a jar with its servings in an order of their own: which of two that were written in the same second
 * came first was never said.
 *
 * @param  array<string, int|float|bool>  $figures
 * @return array<string, int|float|bool>
 */
function inOneOrder(array $figures): array
{
    $servings = [];
    foreach ($figures as $path => $figure) {
        if (preg_match('#^/servings/(\d+)(/.*)$#', $path, $found) === 1) {
            $servings[(int) $found[1]][$found[2]] = is_float($figure) ? round($figure, 6) : $figure;
            unset($figures[$path]);
        }
    }
    usort($servings, static fn(array $one, array $other): int => array_values($one) <=> array_values($other));
    foreach ($servings as $i => $serving) {
        foreach ($serving as $path => $figure) {
            $figures["/servings/{$i}{$path}"] = $figure;
        }
    }

    return $figures;
}

/** Formulas that came to the library since. */
const CAME_SINCE = [
    'whole-garlic',
    'golden-kraut',
    'paprika-carrots',
    'pink-turnips',
    'cabbage-relish',
    'green-tomatoes',
    'plain-yogurt',
    'milk-kefir',
    'cultured-cream',
    'water-kefir',
    'kombucha',
    'jalapeno-rings',
    'wine-mustard',
    'beer-mustard',
    'fridge-cucumbers',
    'courgette-kraut',
    'garden-mix',
    'preserved-lemon',
    'leaf-mustard',
];

/** @return list<string> */
function askedPaths(): array
{
    $paths = [
        '/presets',
        '/kitchen',
        '/batches',
        '/practice',
        '/chores',
        '/rooms',
        '/find?q=kraut',
        '/foods?q=cab',
        '/formulas',
        '/labels',
        '/lineage',
        '/timeline',
        '/timeline?warmer=3',
        '/rotation',
        '/other-foods',
    ];
    foreach (Batch::query()->orderBy('id')->pluck('id') as $id) {
        array_push($paths, ...array_map(fn(string $end) => "/batches/{$id}{$end}", ['', '/course', '/log', '/check']));
    }
    foreach (
        Formula::query()
            ->whereNotIn('key', CAME_SINCE)
            ->orderBy('id')
            ->pluck('id')
        as $id
    ) {
        array_push($paths, "/formulas/{$id}", "/formulas/{$id}?by=servings&servings=9");
    }
    $today = CarbonImmutable::now();
    foreach ([-9, -1, 0, 1] as $days) {
        $paths[] = '/days/' . $today->addDays($days)->toDateString();
    }
    foreach ([-7, 0, 7] as $days) {
        $paths[] = '/weeks/' . $today->addDays($days)->toDateString();
    }
    foreach (Person::query()->orderBy('id')->pluck('id') as $id) {
        $paths[] = "/intake?personId={$id}&days=28";
    }

    return $paths;
}

it('answers every figure as it did before', function (): void {
    $then = json_decode((string) gzdecode((string) file_get_contents(ANSWERS)), true, 512, JSON_THROW_ON_ERROR);
    $this->travelTo(CarbonImmutable::parse('2026-11-26T22:22:35Z'));
    $this->asCook($this->cook());
    app(ImportKitchen::class)((string) file_get_contents(__DIR__ . '/../fixtures/kitchen-1.json'));

    $kitchen = json_decode((string) file_get_contents(__DIR__ . '/../fixtures/kitchen-1.json'), true);
    $foods = array_column($kitchen['rows']['ingredients'], 'key');
    $now = [];
    foreach (askedPaths() as $i => $path) {
        $answer = $this->getJson("/api{$path}")
            ->assertOk()
            ->json();
        // Foods come to the pantry, which has an answer of its own since; those that were there keep their figures.
        if ($path === '/kitchen') {
            $after = (int) array_search('salts', array_keys($answer), true) + 1;
            $answer = [
                ...array_slice($answer, 0, $after),
                ...$this->getJson('/api/pantry')->assertOk()->json(),
                ...array_slice($answer, $after),
            ];
            $answer['ingredients'] = array_values(
                array_filter($answer['ingredients'], fn(array $food): bool => in_array($food['key'], $foods, true)),
            );
            $answer['methods'] = array_values(
                array_filter($answer['methods'], fn(array $one): bool => $one['id'] !== 'milk_and_sweet'),
            );
            $answer['places'] = array_values(
                array_filter($answer['places'], fn(array $one): bool => $one['id'] !== 'warm'),
            );
        }
        if ($path === '/rooms') {
            $answer['rooms'] = array_values(
                array_filter($answer['rooms'], fn(array $one): bool => $one['place'] !== 'warm'),
            );
        }
        if ($path === '/formulas') {
            $since = Formula::query()
                ->whereIn('key', CAME_SINCE)
                ->pluck('id')
                ->all();
            $answer['formulas'] = array_values(
                array_filter($answer['formulas'], fn(array $one): bool => !in_array($one['id'], $since, true)),
            );
        }
        $now[$i . ' ' . preg_replace('/[0-9a-z]{26}/i', '{id}', $path)] = figuresOf($answer);
    }
    foreach (glob(__DIR__ . '/../../docs/formats/examples/*.json') ?: [] as $file) {
        if (basename($file) === 'milk-and-sweet.json') {
            continue;
        }
        $now['compute ' . basename($file)] = figuresOf(ComputeBatch::compute((string) file_get_contents($file)));
    }
    $now['plan week.json'] = figuresOf(
        PlanWeek::plan((string) file_get_contents(__DIR__ . '/../../docs/formats/week.json')),
    );
    expect(array_keys($now))->toBe(array_keys($then));
    foreach ($then as $asked => $figures) {
        // Foods that nobody changed have what the library says of them today; jars hold what was written with the old.
        if (str_contains($asked, ' /kitchen')) {
            [$now[$asked], $figures] = array_map(withoutFoods(...), [$now[$asked], $figures]);
        }
        if (str_contains($asked, '/formulas')) {
            [$now[$asked], $figures] = array_map(withoutVersions(...), [$now[$asked], $figures]);
        }
        // A formula of dressed food makes more servings than it did, so that the next jar is due another day; more
        // limits are offered than before.
        if (preg_match('#/timeline|by=servings|^compute |/presets#', $asked) === 1) {
            continue;
        }
        // How thick pieces are and how much salt they hold are bands since: typical values stay, bands are wider.
        [$now[$asked], $figures] = array_map(withoutBands(...), [$now[$asked], $figures]);
        // What is made from now on knows leaf from rib and pieces from dressing; what was made stays as it was.
        if (preg_match('#/formulas#', $asked) === 1) {
            [$now[$asked], $figures] = array_map(withoutSodium(...), [$now[$asked], $figures]);
        }
        // A jar counts as live from the stage that its method names, no longer from its first hour.
        [$now[$asked], $figures] = array_map(withoutLive(...), [$now[$asked], $figures]);
        // A kitchen's units have come since, bags of brine, how a jar is closed and whether it is known; what was there stays.
        $now[$asked] = array_filter(
            $now[$asked],
            static fn(string $path): bool => isset($figures[$path]) ||
                preg_match(
                    '#^/uses(Inches|Fahrenheit)$|^/(entry|serving)Count$|/isBag$|/isGuessed$|/isFood(Now)?$|^/vessel/|/nextStep/|/kinds/|/meant/|^/again/|/sodiumOn|/isCooked$|/isMixed$|/isToStart$|/isAway$|/isWarned$|^/away|/levels/|/toCome/|/missed/|/isCareful$|/stays|/warning$|/days/\d+/total/|^/unmet|^/isBare$|^/people/\d+/total/|/mean\d*/(jars|rest)/|^/mean\d*/(jars|rest)/|^/weights/(small|fair)$|^/cultures/|^/byMeal/|^/targets/|/potassiumPer100g$|^/labels/8/sodium/|/spread/|/(mmol|saltGrams|daysWritten)$|/servings/\d+/isLive$#',
                    $path,
                ) !== 1,
            ARRAY_FILTER_USE_KEY,
        );
        // The bound of a planned week has come nearer to it.
        unset($now[$asked]['/bound'], $now[$asked]['/gap'], $figures['/bound'], $figures['/gap']);
        [$now[$asked], $figures] = array_map(inOneOrder(...), [$now[$asked], $figures]);
        expect(array_keys($now[$asked]))->toBe(array_keys($figures), $asked);
        foreach ($figures as $path => $figure) {
            is_bool($figure)
                ? expect($now[$asked][$path])->toBe($figure, "{$asked} {$path}")
                : expect($now[$asked][$path])->toEqualWithDelta($figure, 1e-6, "{$asked} {$path}");
        }
    }
});
