<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use Eris\Generators;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\MassUnit;
use Tempesal\Core\Search\NameIndex;
use Tests\Support\Property;
use Tests\Support\Kitchen;

/*
 * What cooks type: never a fault, always a number or a sentence.
 */
it('reads a weight however it is written', function (): void {
    $units = [
        'g' => 1.0,
        'kg' => 1000.0,
        'oz' => MassUnit::Ounce->grams(),
        'lb' => MassUnit::Pound->grams(),
        'grams' => 1.0,
        'pounds' => MassUnit::Pound->grams(),
    ];
    Property::holds(
        3,
        300,
        Generators::choose(1, 9999),
        // Three decimals can be thousands, and are asked about.
        Generators::choose(0, 2),
        Generators::elements(array_keys($units)),
        Generators::elements(['%s %s', '%s%s', ' %s  %s ', "%s\u{00A0}%s"]),
    )->then(function (int $number, int $decimals, string $unit, string $form) use ($units): void {
        $value = $number / 10 ** $decimals;
        if ($value * $units[$unit] > 900_000) {
            return;
        }
        $written = number_format($value, $decimals, '.', '');
        expect(Kitchen::mass(sprintf($form, $written, $unit))->value)->toEqualWithDelta($value * $units[$unit], 1e-6);
        if ($decimals > 0) {
            $comma = str_replace('.', ',', $written);
            expect(Kitchen::mass("{$comma} {$unit}")->value)->toEqualWithDelta($value * $units[$unit], 1e-6);
        }
    });
});

it('reads fractions and sums', function (): void {
    Property::holds(
        9,
        200,
        Generators::choose(0, 12),
        Generators::choose(1, 7),
        Generators::elements([2, 3, 4, 8]),
    )->then(function (int $whole, int $top, int $bottom): void {
        // "3 7/2" is a slip of the pen, and is not read.
        if ($whole > 0 && $top >= $bottom) {
            return;
        }
        $spoon = Kitchen::volume('1 tsp')->value;
        $text = ($whole > 0 ? "{$whole} " : '') . "{$top}/{$bottom} tsp";
        expect(Kitchen::volume($text)->value)
            ->toEqualWithDelta(($whole + $top / $bottom) * $spoon, 1e-9)
            ->and(Kitchen::volume("1 tbsp + {$text}")->value)
            ->toEqualWithDelta((3 + $whole + $top / $bottom) * $spoon, 1e-9);
    });
});

it('answers any text with an amount or a sentence', function (): void {
    $letters = [
        '1',
        '0',
        '9',
        '/',
        ',',
        '.',
        ' ',
        '-',
        '+',
        'g',
        'tbsp',
        'cup',
        '½',
        'a',
        'heaped',
        'x',
        "\n",
        'é',
        '(',
        '=',
        '%',
        "\0",
    ];
    Property::holds(21, 600, Generators::seq(Generators::elements($letters)))->then(function (array $parts): void {
        try {
            expect(Kitchen::read(implode('', $parts))->band->typical)->toBeGreaterThanOrEqual(0.0);
        } catch (InvalidQuantity $refusal) {
            expect(said($refusal->explanation()))->toMatch('/[.]$/');
        }
    });
});

it('finds every food with one letter wrong', function (): void {
    $names = [];
    foreach (FoodTable::all() as $food) {
        $names[$food['key']] = [$food['name'], ...$food['also']];
    }
    $index = new NameIndex($names);
    $keys = array_keys($names);
    $missed = [];
    Property::holds(
        13,
        250,
        Generators::choose(0, count($keys) - 1),
        Generators::choose(0, 40),
        Generators::elements(range('a', 'z')),
    )->then(function (int $which, int $at, string $letter) use ($index, $keys, $names, &$missed): void {
        $name = strtolower($names[$keys[$which]][0]);
        $words = array_filter(explode(' ', $name), fn(string $word): bool => strlen($word) >= 5);
        if ($words === []) {
            return;
        }
        $place = (int) strpos($name, current($words)) + ($at % strlen(current($words)));
        $slip = substr_replace($name, $letter, $place, 1);
        if (!in_array($keys[$which], array_slice($index->find($slip), 0, 3), true)) {
            $missed[] = "{$name} as {$slip}";
        }
    });
    expect(count($missed))->toBeLessThan(8, implode('; ', $missed));
});

it('gives no food for words that are none', function (): void {
    $index = new NameIndex(
        array_column(array_map(fn(array $food): array => [$food['key'], [$food['name']]], FoodTable::all()), 1, 0),
    );
    foreach (['screwdriver', 'zzzz', '12345', 'the', '%%%', "'; drop table foods; --"] as $words) {
        expect($index->best($words))->toBeNull($words);
    }
});
