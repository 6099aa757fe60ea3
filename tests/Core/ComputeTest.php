<?php

declare(strict_types=1);

use App\Console\ComputeBatch;
use App\Console\InputError;
use Opis\JsonSchema\Validator;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Ledger\EntryKinds;

const EXAMPLES = __DIR__ . '/../../docs/formats/examples';

/** @return array<string, array{string}> */
function examples(): array
{
    $files = array_merge(glob(EXAMPLES . '/*.json'));

    return array_combine(
        array_map(fn(string $file): string => basename($file, '.json'), $files),
        array_map(fn(string $file): array => [$file], $files),
    );
}

function computed(array $document): array
{
    return ComputeBatch::compute(
        json_encode(['tempesal' => 'batch', 'version' => 1, ...$document], JSON_THROW_ON_ERROR),
    );
}

it('works out every documented example, its salt adding up', function (string $file): void {
    foreach (ComputeBatch::compute(file_get_contents($file))['batches'] as $batch) {
        $cameIn = array_sum($batch['cameInMg']);
        expect(array_sum($batch['whereaboutsMg']))
            ->toEqualWithDelta($cameIn, 1e-6)
            ->and($cameIn)
            ->toBeGreaterThan(0.0)
            ->and($batch['serving']['sodiumMg']['low'])
            ->toBeLessThanOrEqual($batch['serving']['sodiumMg']['typical'])
            ->and($batch['serving']['sodiumMg']['high'])
            ->toBeGreaterThanOrEqual($batch['serving']['sodiumMg']['typical']);
    }
})->with(examples());

it('has an example for every method and every kind of step', function (): void {
    $text = implode('', array_map(fn(array $file): string => file_get_contents($file[0]), examples()));
    foreach (Method::made() as $method) {
        expect($text)->toContain("\"{$method->value}\"");
    }
    foreach (EntryKinds::words() as $kind) {
        expect($text)->toContain("\"kind\": \"{$kind}\"");
    }
});

it('ships a schema that knows its examples and no slip of the pen', function (): void {
    $schema = json_decode(file_get_contents(__DIR__ . '/../../contract/' . ComputeBatch::SCHEMA));
    foreach (examples() as [$file]) {
        $document = json_decode(file_get_contents($file));
        expect((new Validator())->validate($document, $schema)->isValid())->toBeTrue($file);
        $document->stpes = [];
        expect((new Validator())->validate($document, $schema)->isValid())->toBeFalse($file);
    }
});

it('carries brine from batch to batch inside one document', function (): void {
    $answer = ComputeBatch::compute(file_get_contents(EXAMPLES . '/reused-brine.json'));
    [$kraut, $beets] = $answer['batches'];
    expect($kraut['whereaboutsMg']['given_away'])
        ->toEqualWithDelta($beets['cameInMg']['received'], 1e-6)
        ->and($beets['starters'][0])
        ->toMatchArray(['fromBatch' => 'kraut', 'grams' => 150.0, 'isLive' => true])
        ->and($beets['starters'][0]['ph'])
        ->toBeLessThan(4.0);
});

it('takes the brine of an earlier step when one is named', function (): void {
    $lender = [
        'steps' => [
            ['kind' => 'add', 'ingredient' => 'water', 'grams' => 500, 'into' => 'brine'],
            ['kind' => 'salt', 'product' => 'pure', 'grams' => 10],
            ['kind' => 'salt', 'product' => 'pure', 'grams' => 10],
        ],
    ];
    $borrow = fn(array $more): float => computed([
        'batches' => [
            'a' => $lender,
            'b' => ['steps' => [['kind' => 'starter', 'fromBatch' => 'a', 'grams' => 100, ...$more]]],
        ],
    ])['batches'][1]['cameInMg']['received'];
    expect($borrow(['afterStep' => 2]) / $borrow([]))->toEqualWithDelta(10 / 510 / (20 / 520), 1e-9);
});

it('refuses what cannot be, with the path and the reason', function (array|string $document, string $start): void {
    $text = is_string($document)
        ? $document
        : json_encode(['tempesal' => 'batch', 'version' => 1, ...$document], JSON_THROW_ON_ERROR);
    expect(fn() => ComputeBatch::compute($text))->toThrow(
        fn(InputError $refusal) => expect($refusal->getMessage())->toStartWith($start),
    );
})->with([
    'no JSON' => ['{"tempesal": batch}', 'This is not valid JSON'],
    'NaN' => [
        '{"tempesal":"batch","version":1,"steps":[{"kind":"discard","phase":"brine","grams":NaN}]}',
        'This is not valid JSON',
    ],
    'too deep' => [str_repeat('[', 60) . str_repeat(']', 60), 'This is nested'],
    'a text' => ['"batch"', 'Give an object'],
    'infinity' => [
        '{"tempesal":"batch","version":1,"steps":[{"kind":"discard","phase":"brine","grams":1e999}]}',
        'steps[0].grams: Enter an ordinary number',
    ],
    'another version' => [['version' => 9, 'steps' => []], 'version: This is not a version that can be read'],
    'no steps' => [['steps' => []], 'steps: Give between 1 and'],
    'unknown step' => [['steps' => [['kind' => 'stir']]], 'steps[0].kind: “stir” is not a kind of entry'],
    'negative' => [
        ['steps' => [['kind' => 'add', 'ingredient' => 'carrot', 'grams' => -1]]],
        'steps[0].grams: Enter a number from 0',
    ],
    'huge' => [
        ['steps' => [['kind' => 'add', 'ingredient' => 'carrot', 'grams' => 1e308]]],
        'steps[0].grams: Enter a number from 0',
    ],
    'text for a number' => [
        ['steps' => [['kind' => 'add', 'ingredient' => 'carrot', 'grams' => '5 g']]],
        'steps[0].grams: Enter a number',
    ],
    'a slip' => [
        ['steps' => [['kind' => 'add', 'ingredient' => 'carot', 'grams' => 5]]],
        'steps[0].ingredient: There is no food “carot” here. Do you mean “carrot”?',
    ],
    'an unknown field' => [
        ['steps' => [['kind' => 'add', 'ingredient' => 'carrot', 'grams' => 5, 'inot' => 'brine']]],
        'steps[0].inot: There is no field with this name',
    ],
    'more than there is' => [
        [
            'steps' => [['kind' => 'add', 'ingredient' => 'carrot', 'grams' => 5], ['kind' => 'serve', 'grams' => 50]],
        ],
        'steps[1].grams: Only 5 g of pieces are left',
    ],
    'a serving too large' => [
        [
            'steps' => [['kind' => 'add', 'ingredient' => 'carrot', 'grams' => 5]],
            'serving' => ['grams' => 50],
        ],
        'serving.grams: Only',
    ],
    'a circle' => [
        [
            'batches' => [
                'a' => ['steps' => [['kind' => 'starter', 'fromBatch' => 'b', 'grams' => 1]]],
                'b' => ['steps' => [['kind' => 'starter', 'fromBatch' => 'a', 'grams' => 1]]],
            ],
        ],
        'batches.b.steps[0].fromBatch: These batches feed each other in a circle: a, b and a',
    ],
    'itself' => [
        ['batches' => ['a' => ['steps' => [['kind' => 'starter', 'fromBatch' => 'a', 'grams' => 1]]]]],
        'batches.a.steps[0].fromBatch: These batches feed each other',
    ],
    'a stranger' => [
        ['batches' => ['a' => ['steps' => [['kind' => 'starter', 'fromBatch' => 'z', 'grams' => 1]]]]],
        'batches.a.steps[0].fromBatch: There is no batch “z”',
    ],
    'more brine than there is' => [
        [
            'batches' => [
                'a' => [
                    'steps' => [['kind' => 'add', 'ingredient' => 'water', 'grams' => 20, 'into' => 'brine']],
                ],
                'b' => ['steps' => [['kind' => 'starter', 'fromBatch' => 'a', 'grams' => 30]]],
            ],
        ],
        'batches.b.steps[0].grams: Only 20 g of brine are left',
    ],
    'a step beyond the last' => [
        [
            'batches' => [
                'a' => [
                    'steps' => [['kind' => 'add', 'ingredient' => 'water', 'grams' => 20, 'into' => 'brine']],
                ],
                'b' => [
                    'steps' => [['kind' => 'starter', 'fromBatch' => 'a', 'grams' => 3, 'afterStep' => 7]],
                ],
            ],
        ],
        'batches.b.steps[0].afterStep: “a” has 1 step',
    ],
    'a method nobody has' => [
        ['steps' => [['kind' => 'process', 'method' => 'boil']]],
        'steps[0].method: Choose one of these',
    ],
    'no vegetable' => [
        [
            'steps' => [
                [
                    'kind' => 'process',
                    'method' => 'mash',
                    'vegetables' => [],
                    'salt' => ['product' => 'pure', 'grams' => 1],
                ],
            ],
        ],
        'steps[0].vegetables: Add at least one',
    ],
    'a rinsed salt and drain' => [
        [
            'steps' => [
                [
                    'kind' => 'process',
                    'method' => 'salt_and_drain',
                    'vegetables' => [['ingredient' => 'cucumber', 'grams' => 9]],
                    'salt' => ['product' => 'pure', 'grams' => 1],
                    'rinse' => ['seconds' => 9],
                ],
            ],
        ],
        'steps[0].rinse: “Salt and drain” is not rinsed',
    ],
    'heavier than itself' => [
        [
            'ingredients' => ['x' => ['waterPer100g' => 99, 'sodiumPer100g' => 9000]],
            'steps' => [['kind' => 'add', 'ingredient' => 'x', 'grams' => 9]],
        ],
        'steps[0].ingredient.sodiumPer100g: Water and salt together',
    ],
]);

it('advises from the ledger alone', function (array $steps, string $code): void {
    expect(array_column(computed(['steps' => $steps])['batches'][0]['advice'], 'code'))->toContain($code);
})->with([
    'weak' => [
        [
            [
                'kind' => 'process',
                'method' => 'mash',
                'vegetables' => [['ingredient' => 'red-chilli', 'grams' => 300]],
                'salt' => ['product' => 'pure', 'grams' => 1],
            ],
        ],
        'below_floor',
    ],
    'strong' => [
        [
            [
                'kind' => 'process',
                'method' => 'mash',
                'vegetables' => [['ingredient' => 'red-chilli', 'grams' => 300]],
                'salt' => ['product' => 'pure', 'share' => 0.07],
            ],
        ],
        'slow',
    ],
    'hardly ferments' => [
        [
            [
                'kind' => 'process',
                'method' => 'mash',
                'vegetables' => [['ingredient' => 'red-chilli', 'grams' => 300]],
                'salt' => ['product' => 'pure', 'share' => 0.2],
            ],
        ],
        'larder_only',
    ],
    'past solubility' => [
        [
            [
                'kind' => 'process',
                'method' => 'quick_salt_pickle',
                'vegetables' => [['ingredient' => 'red-radish', 'grams' => 300]],
                'water' => 100,
                'salt' => ['product' => 'pure', 'grams' => 60],
                'soak' => ['hours' => 2],
            ],
        ],
        'will_not_dissolve',
    ],
    'potassium' => [[['kind' => 'salt', 'product' => 'half-potassium', 'grams' => 5, 'into' => 'brine']], 'potassium'],
    'raw egg' => [
        [
            [
                'kind' => 'process',
                'method' => 'cultured_condiment',
                'base' => [['ingredient' => 'egg', 'grams' => 50], ['ingredient' => 'sunflower-oil', 'grams' => 200]],
                'ferment' => ['hours' => 8],
            ],
        ],
        'raw_egg',
    ],
    'heated' => [[['kind' => 'add', 'ingredient' => 'carrot', 'grams' => 50], ['kind' => 'heat']], 'not_live'],
]);
