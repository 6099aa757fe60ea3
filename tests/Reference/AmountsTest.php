<?php

declare(strict_types=1);

use App\Console\ReadAmounts;
use App\Pantry\FoodMeasures;
use App\Pantry\FoodTable;
use Opis\JsonSchema\Validator;
use Symfony\Component\Process\Process;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Amount\Units;

/*
 * Amounts as cooks say them. amounts.tsv holds what is to come out of each phrase: the typical value with the band in
 * which it may lie, and where that comes from: NIST Handbook 44 (appendix C) for units, USDA household weights and
 * composition tables from memory, or common practice without a source.
 */

/** @return array<string, mixed> */
function readAmount(string $phrase, string $food = '', string $field = '', string $habit = 'us'): array
{
    static $readers = [];
    $readers[$habit] ??= new ReadAmounts(Habit::from($habit));

    return $readers[$habit]->answer($phrase, $food, $field);
}

it('understands what cooks say', function (): void {
    $lines = array_slice(file(__DIR__ . '/amounts.tsv', FILE_IGNORE_NEW_LINES), 1);
    $wrong = $fields = $habits = [];
    foreach ($lines as $line) {
        [$phrase, $food, $field, $habit, $kind, $unit, $typical, $low, $high] = explode("\t", $line);
        $read = readAmount($phrase, $food, $field, $habit);
        $slack = 0.004 * abs((float) $typical);
        $isRight =
            ($read['kind'] ?? '') === $kind &&
            $read['unit'] === $unit &&
            $read['typical'] >= (float) $low - $slack &&
            $read['typical'] <= (float) $high + $slack &&
            $read['low'] <= (float) $typical + $slack &&
            $read['high'] >= (float) $typical - $slack;
        if (!$isRight) {
            $wrong[] = "{$line} <- " . json_encode($read);
        }
        $fields[$kind] = true;
        $habits[$habit] = true;
    }
    expect($wrong)
        ->toBe([])
        ->and(count($lines))
        ->toBeGreaterThan(400)
        ->and(count($fields))
        ->toBe(9)
        ->and(count($habits))
        ->toBe(4);
});

it('understands numbers, fills and units that it has not seen', function (): void {
    $seed = (int) (getenv('TEMPESAL_SEED') ?: random_int(1, 999_999));
    mt_srand($seed);
    // NIST Handbook 44, appendix C; metric and Australian spoons are exact by definition.
    $spoons = [
        'us' => ['tsp' => 4.92892159375, 'tbsp' => 14.78676478125, 'cup' => 236.5882365, 'quart' => 946.352946],
        'uk' => ['tsp' => 5.0, 'tbsp' => 15.0, 'cup' => 250.0, 'quart' => 1136.5225],
        'au' => ['tsp' => 5.0, 'tbsp' => 20.0, 'cup' => 250.0, 'quart' => 1136.5225],
        'metric' => ['tsp' => 5.0, 'tbsp' => 15.0, 'cup' => 250.0, 'litre' => 1000.0],
    ];
    $words = [
        'tsp' => ['tsp', 'teaspoon', 'teaspoons', 'tsps', 'Tsp.', 't'],
        'tbsp' => ['tbsp', 'tablespoon', 'tablespoons', 'Tbsp', 'T', 'tbs.', 'table spoons'],
        'cup' => ['cup', 'cups', 'c', 'cupfuls'],
        'quart' => ['quart', 'quarts', 'qt', 'qts.'],
        'litre' => ['litre', 'litres', 'liters', 'l', 'L'],
    ];
    $fractions = ['1/4' => 0.25, '1/3' => 1 / 3, '1/2' => 0.5, '2/3' => 2 / 3, '3/4' => 0.75, '1/8' => 0.125];
    $glyphs = ['¼' => 0.25, '½' => 0.5, '¾' => 0.75, '⅓' => 1 / 3, '⅛' => 0.125];
    $spoken = ['one' => 1.0, 'two' => 2.0, 'three' => 3.0, 'six' => 6.0, 'twelve' => 12.0, 'twenty two' => 22.0];
    $number = static function () use ($fractions, $glyphs, $spoken): array {
        $whole = mt_rand(1, 9);
        $fraction = array_rand($fractions);
        $glyph = array_rand($glyphs);
        $word = array_rand($spoken);
        $tenths = mt_rand(1, 9);

        return match (mt_rand(0, 7)) {
            0 => [(string) $whole, (float) $whole],
            1 => [(string) $fraction, $fractions[$fraction]],
            2 => ["{$whole} {$fraction}", $whole + $fractions[$fraction]],
            3 => ["{$whole}-{$fraction}", $whole + $fractions[$fraction]],
            4 => ["{$whole}{$glyph}", $whole + $glyphs[$glyph]],
            5 => ["{$whole}.{$tenths}", $whole + $tenths / 10],
            6 => ["{$whole},{$tenths}", $whole + $tenths / 10],
            default => [(string) $word, $spoken[$word]],
        };
    };
    $wrong = [];
    for ($i = 0; $i < 600; $i++) {
        $habit = array_rand($spoons);
        $unit = array_rand($spoons[$habit]);
        [$text, $value] = $number();
        $phrase =
            $text .
            (mt_rand(0, 3) === 0 && preg_match('/\d$/', $text) === 1 ? '' : ' ') .
            $words[$unit][array_rand($words[$unit])];
        $read = readAmount($phrase, 'water', 'amount', $habit);
        $grams = $value * $spoons[$habit][$unit] * 0.9982;
        if (abs(($read['typical'] ?? 0.0) - $grams) > 1e-4 * $grams) {
            $wrong[] = "{$habit}: {$phrase} <- " . json_encode($read, JSON_UNESCAPED_UNICODE);
        }
        // What is added up is the sum of its parts, what is held against a litre the share of it.
        [$more, $grown] = $number();
        $ratio = readAmount("{$text} tsp per {$more} {$words['cup'][0]}", 'table salt', 'strength', $habit);
        $share =
            (100.0 * $value * $spoons[$habit]['tsp'] * (18.0 / 14.78676478125)) /
            ($grown * $spoons[$habit]['cup'] * 0.9982);
        if (abs(($ratio['typical'] ?? 0.0) - $share) > 1e-4 * $share || ($ratio['unit'] ?? '') !== '%') {
            $wrong[] = "{$habit}: {$text} tsp per {$more} cup <- " . json_encode($ratio, JSON_UNESCAPED_UNICODE);
        }
    }
    expect($wrong)->toBe([], "seed {$seed}");
});

it('settles nothing that can be two things', function (string $phrase, string $food, array $offered): void {
    expect(array_column(readAmount($phrase, $food)['ask'] ?? [], 'phrase'))->toBe($offered);
})->with([
    ['1,200 g', '', ['1200 g', '1.2 g']],
    ['1.500 g', '', ['1500 g', '1.5 g']],
    ['1,000 ml', '', ['1000 ml', '1 ml']],
    ['12', 'jalapeno', ['12 green chilli', '12 g']],
    ['2 cloves', '', ['2 clove garlic', '2 clove spice']],
    ['1 tbsp', 'kosher salt', ['1 tbsp dense kosher salt', '1 tbsp flaky kosher salt']],
    ['500 g (2 lb) carrots', '', ['500 g', '2 lb']],
]);

it('offers what it then understands', function (): void {
    $phrases = [
        ['1,200 g', ''],
        ['12', 'jalapeno'],
        ['2 cloves', ''],
        ['1 tbsp per quart', ''],
        ['1 tbsp', 'kosher salt'],
    ];
    foreach ($phrases as [$phrase, $food]) {
        foreach (readAmount($phrase, $food)['ask'] as $offer) {
            expect(readAmount($offer['phrase'])['typical'] ?? null)->toEqualWithDelta($offer['typical'], 1e-9);
        }
    }
});

it('answers whatever is typed with a sentence', function (string $phrase): void {
    $read = readAmount($phrase, 'fine sea salt');
    expect($read)
        ->toHaveKey('error')
        ->and(mb_strlen($read['error']))
        ->toBeLessThan(200)
        ->and(mb_strlen($read['phrase']))
        ->toBeLessThan(201);
})->with([
    'a megabyte' => [str_repeat('a ', 524_288)],
    'digits' => [str_repeat('9', 400) . ' g'],
    'emoji' => ['🥕 250 g'],
    'right to left' => ["\u{202E}250 g"],
    'other digits' => ['٣ g'],
    'no text' => ["\xff\xfe g"],
    'beyond numbers' => ['1e308 cups'],
    'nothing' => ['  '],
    'less than nothing' => ['-2 cups'],
    'over zero' => ['1/0 cup'],
    'brackets' => ['(((((((('],
    'a tonne' => ['99999999 kg'],
    'downwards' => ['10-2 g'],
    'markup' => ['<script>alert(1)</script>'],
]);

it('never breaks, whatever words come together', function (): void {
    $seed = (int) (getenv('TEMPESAL_SEED') ?: random_int(1, 999_999));
    mt_srand($seed);
    $words = explode(
        ' ',
        '1 2 3 1/2 ½ 1.5 1,5 12 0 a an the half quarter dozen few cup cups tbsp T t g kg lb oz per of to in or and plus ' .
            'less - – / : ( ) % , . heaped scant large small head clove cloves leaf bunch salt garlic cabbage egg water ' .
            'x × about ~ \' " F C h min day inch cm overnight juice lemon slice packed each can jar quart knob pinch',
    );
    $validator = new Validator();
    $schema = json_decode((string) file_get_contents(__DIR__ . '/../../contract/amount.schema.json'));
    for ($i = 0; $i < 1500; $i++) {
        $phrase = implode(' ', array_map(static fn(): string => $words[array_rand($words)], range(1, mt_rand(1, 9))));
        $read = readAmount(
            $phrase,
            ['', 'garlic', 'fine sea salt', 'egg'][mt_rand(0, 3)],
            ['', 'amount', 'strength', 'length', 'temperature', 'duration'][mt_rand(0, 5)],
            ['us', 'uk', 'au', 'metric'][mt_rand(0, 3)],
        );
        expect($validator->validate(json_decode((string) json_encode($read)), $schema)->isValid())->toBeTrue(
            "seed {$seed}: {$phrase}: " . json_encode($read),
        );
        if (isset($read['typical'])) {
            expect($read['low'])
                ->toBeLessThanOrEqual($read['typical'])
                ->and($read['high'])
                ->toBeGreaterThanOrEqual($read['typical']);
        }
    }
});

it('names every unit and every food of the table of measures', function (): void {
    $said = json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/messages/en/say_unit.json'), true);
    $foods = array_column(FoodTable::all(), 'key');
    expect(array_diff(Units::keys(), array_keys($said)))
        ->toBe([])
        ->and(array_diff(array_keys(FoodMeasures::table()), $foods))
        ->toBe([]);
    foreach (FoodMeasures::table() as $key => $measures) {
        expect(array_diff(array_keys($measures['pieces']), [...array_keys($said), 'cm', 'one']))->toBe([], $key);
    }
});

it('reads lines at the door', function (): void {
    $input =
        "2 heaped tbsp\tfine sea salt\n75 F\t\ttemperature\nxyz\n\n1,200 g\n" . str_repeat('x', 1_048_576) . "\n1 egg";
    $door = new Process(['php', 'ops/console.php', 'amount', '-', '--habit=uk'], dirname(__DIR__, 2), null, $input);
    $door->run();
    $lines = array_map(
        static fn(string $line): array => json_decode($line, true),
        explode("\n", trim($door->getOutput())),
    );
    expect($door->getExitCode())
        ->toBe(0)
        ->and(count($lines))
        ->toBe(6)
        ->and($lines[0]['typical'])
        ->toEqualWithDelta((2 * 15.0 * 1.75 * 16.5) / 14.78676478125, 1e-3)
        ->and($lines[1]['typical'])
        ->toEqualWithDelta(215 / 9, 1e-4)
        ->and($lines[2])
        ->toHaveKey('error')
        ->and($lines[3])
        ->toHaveKey('ask')
        ->and($lines[4])
        ->toHaveKey('error')
        ->and($lines[5]['typical'])
        ->toEqual(50.0);
});

it('ends with 2 where one phrase cannot be read', function (array $arguments, int $code, string $said): void {
    $door = new Process(['php', 'ops/console.php', 'amount', ...$arguments], dirname(__DIR__, 2));
    $door->run();
    expect($door->getExitCode())
        ->toBe($code)
        ->and($door->getOutput() . $door->getErrorOutput())
        ->toContain($said);
})->with([
    [['2 heaped tbsp', '--of', 'fine sea salt'], 0, '"unit":"g"'],
    [['12', '--of=jalapeno'], 0, '"ask"'],
    [['a tin', '--of', 'passata'], 2, 'How much is in it?'],
    [['1 tbsp', '--habit', 'french'], 2, 'us, uk, au or metric'],
    [['1 tbsp', '--for', 'salt'], 2, 'is not an option'],
    [['1 tbsp', '--kind', 'colour'], 2, 'as the kind'],
]);
