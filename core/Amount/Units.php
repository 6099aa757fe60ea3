<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\VolumeUnit;

/**
 * The units of a kitchen by their words. Exact ones are those of NIST Handbook 44, appendix C, and of the imperial
 * gallon of 4.54609 l (Weights and Measures Act 1985, schedule 1, from memory); what nobody measures is common
 * practice, no source, its bands wide on purpose.
 */
final class Units
{
    private const IMPERIAL_PINT_ML = 568.26125;

    private const MASSES = [
        'mg' => ['mg', 0.001],
        'milligram' => ['mg', 0.001],
        'milligramme' => ['mg', 0.001],
        'g' => ['g', 1.0],
        'gr' => ['g', 1.0],
        'gm' => ['g', 1.0],
        'gms' => ['g', 1.0],
        'gram' => ['g', 1.0],
        'gramme' => ['g', 1.0],
        'kg' => ['kg', 1000.0],
        'kgs' => ['kg', 1000.0],
        'kilo' => ['kg', 1000.0],
        'kilogram' => ['kg', 1000.0],
        'kilogramme' => ['kg', 1000.0],
        'oz' => ['oz', 28.349523125],
        'ozs' => ['oz', 28.349523125],
        'ounce' => ['oz', 28.349523125],
        'lb' => ['lb', 453.59237],
        'lbs' => ['lb', 453.59237],
        'pound' => ['lb', 453.59237],
        'stone' => ['stone', 6350.29318],
    ];

    private const VOLUMES = [
        'ml' => ['ml', 1.0],
        'mls' => ['ml', 1.0],
        'millilitre' => ['ml', 1.0],
        'milliliter' => ['ml', 1.0],
        'cc' => ['ml', 1.0],
        'cl' => ['cl', 10.0],
        'centilitre' => ['cl', 10.0],
        'centiliter' => ['cl', 10.0],
        'dl' => ['dl', 100.0],
        'decilitre' => ['dl', 100.0],
        'deciliter' => ['dl', 100.0],
        'l' => ['l', 1000.0],
        'lt' => ['l', 1000.0],
        'ltr' => ['l', 1000.0],
        'litre' => ['l', 1000.0],
        'liter' => ['l', 1000.0],
    ];

    /** Words of what has a size that depends on where one cooks. */
    private const CUSTOMARY = [
        't' => 'tsp',
        'ts' => 'tsp',
        'tsp' => 'tsp',
        'tsps' => 'tsp',
        'teasp' => 'tsp',
        'teaspoon' => 'tsp',
        'teaspoonful' => 'tsp',
        'teaspoonsful' => 'tsp',
        'tb' => 'tbsp',
        'tbs' => 'tbsp',
        'tbl' => 'tbsp',
        'tbls' => 'tbsp',
        'tblsp' => 'tbsp',
        'tblspn' => 'tbsp',
        'tbsp' => 'tbsp',
        'tbsps' => 'tbsp',
        'tablespoon' => 'tbsp',
        'tablespoonful' => 'tbsp',
        'tablespoonsful' => 'tbsp',
        'dsp' => 'dessertspoon',
        'dssp' => 'dessertspoon',
        'dstspn' => 'dessertspoon',
        'dessertspoon' => 'dessertspoon',
        'dessertspoonful' => 'dessertspoon',
        'floz' => 'fl_oz',
        'c' => 'cup',
        'cup' => 'cup',
        'cupful' => 'cup',
        'pt' => 'pint',
        'pts' => 'pint',
        'pint' => 'pint',
        'qt' => 'quart',
        'qts' => 'quart',
        'quart' => 'quart',
        'gal' => 'gallon',
        'gals' => 'gallon',
        'gallon' => 'gallon',
        'gill' => 'gill',
    ];

    private const LENGTHS = [
        'mm' => ['mm', 1.0],
        'millimetre' => ['mm', 1.0],
        'millimeter' => ['mm', 1.0],
        'cm' => ['cm', 10.0],
        'cms' => ['cm', 10.0],
        'centimetre' => ['cm', 10.0],
        'centimeter' => ['cm', 10.0],
        'inch' => ['inch', 25.4],
        'inche' => ['inch', 25.4],
        'in' => ['inch', 25.4],
        'ins' => ['inch', 25.4],
        '"' => ['inch', 25.4],
        '\'\'' => ['inch', 25.4],
        'foot' => ['foot', 304.8],
        'feet' => ['foot', 304.8],
        'ft' => ['foot', 304.8],
    ];

    /** Hours. A month is 30.4 days. */
    private const DURATIONS = [
        's' => ['second', 1.0 / 3600.0],
        'secs' => ['second', 1.0 / 3600.0],
        'sec' => ['second', 1.0 / 3600.0],
        'second' => ['second', 1.0 / 3600.0],
        'm' => ['minute', 1.0 / 60.0],
        '\'' => ['minute', 1.0 / 60.0],
        'mins' => ['minute', 1.0 / 60.0],
        'min' => ['minute', 1.0 / 60.0],
        'minute' => ['minute', 1.0 / 60.0],
        'h' => ['hour', 1.0],
        'hrs' => ['hour', 1.0],
        'hr' => ['hour', 1.0],
        'hour' => ['hour', 1.0],
        'd' => ['day', 24.0],
        'day' => ['day', 24.0],
        'night' => ['day', 24.0],
        'w' => ['week', 168.0],
        'wks' => ['week', 168.0],
        'wk' => ['week', 168.0],
        'week' => ['week', 168.0],
        'fortnight' => ['fortnight', 336.0],
        'month' => ['month', 730.5],
        'mos' => ['month', 730.5],
        'mo' => ['month', 730.5],
        'mth' => ['month', 730.5],
        'yrs' => ['year', 8766.0],
        'yr' => ['year', 8766.0],
        'year' => ['year', 8766.0],
    ];

    /** Millilitres, level: low, typical, high. */
    private const UNMEASURED = [
        'pinch' => [0.15, 0.31, 0.75],
        'dash' => [0.3, 0.62, 1.3],
        'smidgen' => [0.08, 0.15, 0.3],
        'smidge' => [0.08, 0.15, 0.3],
        'drop' => [0.03, 0.05, 0.08],
        'sprinkle' => [0.3, 1.0, 3.0],
        'sprinkling' => [0.3, 1.0, 3.0],
        'dusting' => [0.3, 1.0, 3.0],
        'grind' => [0.05, 0.15, 0.4],
        'drizzle' => [4.0, 8.0, 20.0],
        'trickle' => [3.0, 6.0, 15.0],
        'splash' => [4.0, 9.0, 20.0],
        'slosh' => [10.0, 20.0, 45.0],
        'glug' => [10.0, 20.0, 45.0],
        'squeeze' => [2.0, 5.0, 12.0],
        'squirt' => [2.0, 5.0, 12.0],
        'dab' => [1.5, 4.0, 9.0],
        'dollop' => [12.0, 25.0, 45.0],
        'blob' => [8.0, 18.0, 35.0],
        'scoop' => [30.0, 60.0, 120.0],
        'capful' => [3.0, 6.0, 15.0],
        'swig' => [15.0, 30.0, 60.0],
        'shot' => [25.0, 35.0, 50.0],
        'jigger' => [40.0, 44.0, 50.0],
        'ladle' => [90.0, 120.0, 180.0],
        'ladleful' => [90.0, 120.0, 180.0],
        'teacup' => [140.0, 180.0, 220.0],
        'wineglass' => [120.0, 150.0, 190.0],
        'tumbler' => [180.0, 250.0, 350.0],
        'mug' => [220.0, 280.0, 350.0],
        'mugful' => [220.0, 280.0, 350.0],
        'glass' => [150.0, 200.0, 300.0],
        'glassful' => [150.0, 200.0, 300.0],
        'handful' => [60.0, 110.0, 200.0],
        'fistful' => [60.0, 110.0, 200.0],
        'spoonful' => [8.0, 14.0, 22.0],
        'spoon' => [8.0, 14.0, 22.0],
        'forkful' => [10.0, 18.0, 32.0],
        'fork' => [10.0, 18.0, 32.0],
        'mouthful' => [10.0, 18.0, 32.0],
        'bite' => [8.0, 15.0, 25.0],
        'mound' => [20.0, 50.0, 110.0],
    ];

    /** What is counted, by its word, and under which name its weight is kept. */
    private const COUNTED = [
        'head' => 'head',
        'clove' => 'clove',
        'bulb' => 'head',
        'root' => 'root',
        'knob' => 'knob',
        'nub' => 'knob',
        'hand' => 'root',
        'thumb' => 'thumb',
        'finger' => 'finger',
        'piece' => 'piece',
        'chunk' => 'piece',
        'lump' => 'piece',
        'stick' => 'stick',
        'quill' => 'stick',
        'stalk' => 'stalk',
        'rib' => 'stick',
        'stem' => 'stalk',
        'leaf' => 'leaf',
        'sprig' => 'sprig',
        'frond' => 'frond',
        'umbel' => 'umbel',
        'flower' => 'flower',
        'bunch' => 'bunch',
        'bundle' => 'bunch',
        'slice' => 'slice',
        'round' => 'slice',
        'coin' => 'slice',
        'disc' => 'slice',
        'wedge' => 'wedge',
        'ring' => 'ring',
        'strip' => 'strip',
        'square' => 'square',
        'sheet' => 'sheet',
        'spear' => 'spear',
        'floret' => 'floret',
        'crown' => 'crown',
        'berry' => 'berry',
        'corn' => 'corn',
        'peppercorn' => 'corn',
        'pod' => 'pod',
        'star' => 'star',
        'ear' => 'one',
        'cob' => 'one',
        'fillet' => 'fillet',
        'yolk' => 'yolk',
        'white' => 'white',
        'block' => 'block',
        'bag' => 'bag',
        'pat' => 'pat',
        'cube' => 'piece',
        'half' => 'half',
        'halve' => 'half',
        'quarter' => 'quarter',
        'zest' => 'zest',
        'juice' => 'juice',
        'rind' => 'rind',
        'seed' => 'seed',
    ];

    /** Of these one is a share of the whole where nothing is known of its weight. */
    public const SHARES = [
        'half' => [0.45, 0.5, 0.55],
        'quarter' => [0.2, 0.25, 0.3],
        'wedge' => [0.1, 0.16, 0.27],
        'slice' => [0.03, 0.07, 0.14],
        'ring' => [0.03, 0.06, 0.1],
        'rind' => [0.1, 0.2, 0.35],
    ];

    private const CONTAINERS = [
        'can',
        'tin',
        'jar',
        'packet',
        'pack',
        'package',
        'pkg',
        'bottle',
        'box',
        'tub',
        'carton',
        'sachet',
        'punnet',
        'pot',
        'tube',
        'bowl',
        'crock',
        'bucket',
        'basket',
        'plate',
    ];

    /**
     * The unit that comes next; null where none does.
     *
     * @param  Dimension|null  $wanted  what the field measures, where "m" and "C" can be two things
     */
    public static function take(Tokens $tokens, Habit $habit, ?Dimension $wanted = null): ?Unit
    {
        $mark = $tokens->mark();
        $habit = self::country($tokens) ?? $habit;
        $tokens->takeSign('-');
        $next = $tokens->peek();
        if ($next === null || !($next->isWord() || $next->isSign('"', '\'\'', '\''))) {
            $tokens->back($mark);

            return null;
        }
        $unit = self::twoWords($tokens, $habit) ?? self::oneWord($next, $tokens, $habit, $wanted);
        if ($unit === null) {
            $tokens->back($mark);

            return null;
        }
        $tokens->peek()?->isSpaced === false && $tokens->takeSign('.');

        return $unit;
    }

    /** @param  bool  $hasSize  whether its size was said: a bag of tea is one of it, a 10 oz bag is no more than 10 oz */
    public static function isContainer(?Token $token, bool $hasSize = false): bool
    {
        $word = $token?->isWord() === true ? self::singular($token->text) : '';

        return in_array($word, self::CONTAINERS, true) || ($hasSize && $word === 'bag');
    }

    /** @return list<string> the names of all units in the catalogue */
    public static function keys(): array
    {
        return array_values(
            array_unique([
                ...array_column(self::MASSES, 0),
                ...array_column(self::VOLUMES, 0),
                ...array_values(self::CUSTOMARY),
                'uk_pint',
                'uk_quart',
                'uk_gallon',
                'soup_spoon',
                'coffee_spoon',
                ...array_column(self::LENGTHS, 0),
                ...array_column(self::DURATIONS, 0),
                ...array_keys(self::UNMEASURED),
                ...array_values(self::COUNTED),
            ]),
        );
    }

    /** Whether it is a word for one of a food. */
    public static function isCounted(string $word): bool
    {
        return isset(self::COUNTED[$word]);
    }

    /** Words for one: heads, leaves, inches. */
    public static function singular(string $word): string
    {
        return match (true) {
            in_array($word, ['leaves', 'halves', 'loaves'], true) => $word === 'halves' ? 'half' : 'leaf',
            in_array($word, ['berries', 'pinches', 'dashes', 'bunches', 'inches', 'glasses', 'splashes', 'boxes'], true)
                => $word === 'berries' ? 'berry' : substr($word, 0, -2),
            strlen($word) > 3 && str_ends_with($word, 's') && !str_ends_with($word, 'ss') => substr($word, 0, -1),
            default => $word,
        };
    }

    public static function customary(string $key, Habit $habit): Unit
    {
        $us = VolumeUnit::UsGallon->millilitres();
        $pint = self::IMPERIAL_PINT_ML;
        $spoons = $habit->spoons();
        $isUs = $habit === Habit::Us;
        $isImperial = $habit === Habit::Uk || $habit === Habit::Australian;

        return match ($key) {
            'tsp' => Unit::exact('tsp', Dimension::Volume, $spoons->teaspoon()->millilitres(), true),
            'tbsp' => Unit::exact('tbsp', Dimension::Volume, $spoons->tablespoon()->millilitres(), true),
            'dessertspoon' => Unit::exact('dessertspoon', Dimension::Volume, 10.0, true),
            'cup' => Unit::exact('cup', Dimension::Volume, $spoons->cup()->millilitres()),
            'fl_oz' => $habit === Habit::Metric
                ? new Unit('fl_oz', Dimension::Volume, Band::of($pint / 20, $us / 128, $us / 128))
                : Unit::exact('fl_oz', Dimension::Volume, $isUs ? $us / 128 : $pint / 20),
            'gill' => Unit::exact('gill', Dimension::Volume, $isUs ? $us / 32 : $pint / 4),
            'pint' => Unit::exact($isUs ? 'pint' : 'uk_pint', Dimension::Volume, $isUs ? $us / 8 : $pint),
            'quart' => Unit::exact(
                $isImperial ? 'uk_quart' : 'quart',
                Dimension::Volume,
                $isImperial ? $pint * 2 : $us / 4,
            ),
            default => Unit::exact(
                $isImperial ? 'uk_gallon' : 'gallon',
                Dimension::Volume,
                $isImperial ? $pint * 8 : $us,
            ),
        };
    }

    /** "US", "imperial" before a unit. */
    private static function country(Tokens $tokens): ?Habit
    {
        $known = self::habitOf($tokens->peek());
        if ($known !== null) {
            $tokens->skip();
            $tokens->takeSign('.');
        }

        return $known;
    }

    public static function namesCountry(?Token $token): bool
    {
        return self::habitOf($token) !== null;
    }

    private static function habitOf(?Token $token): ?Habit
    {
        return match ($token?->isWord() === true ? $token->text : '') {
            'us', 'american', 'usa' => Habit::Us,
            'uk', 'imperial', 'british', 'english' => Habit::Uk,
            'australian', 'aussie', 'au' => Habit::Australian,
            'metric' => Habit::Metric,
            default => null,
        };
    }

    private static function twoWords(Tokens $tokens, Habit $habit): ?Unit
    {
        $first = $tokens->peek()->text ?? '';
        $gap = $tokens->peek(1)?->isSign('.', '-') === true ? 2 : 1;
        $second = $tokens->peek($gap)?->isWord() === true ? self::singular($tokens->peek($gap)->text) : '';
        $key = match ("{$first} {$second}") {
            'fl oz', 'fl ounce', 'fluid ounce', 'fluid oz' => 'fl_oz',
            'table spoon' => 'tbsp',
            'tea spoon' => 'tsp',
            'dessert spoon' => 'dessertspoon',
            'soup spoon' => 'soup_spoon',
            'coffee cup', 'tea cup', 'juice glass' => 'teacup',
            'wine glass' => 'wineglass',
            'coffee spoon' => 'coffee_spoon',
            default => null,
        };
        if ($key === null) {
            return null;
        }
        $tokens->skip($gap + 1);

        return match ($key) {
            'soup_spoon' => new Unit('soup_spoon', Dimension::Volume, Band::of(10.0, 13.0, 16.0), true),
            'coffee_spoon' => new Unit('coffee_spoon', Dimension::Volume, Band::of(2.0, 2.8, 4.0), true),
            'teacup', 'wineglass' => new Unit($key, Dimension::Unmeasured, Band::of(...self::UNMEASURED[$key])),
            default => self::customary($key, $habit),
        };
    }

    private static function oneWord(Token $token, Tokens $tokens, Habit $habit, ?Dimension $wanted): ?Unit
    {
        $word = $token->text;
        $single = self::singular($word);
        if ($wanted === Dimension::Duration) {
            $found = self::DURATIONS[$word] ?? (self::DURATIONS[$single] ?? null);
            if ($found !== null) {
                $tokens->skip();

                return $found[0] === 'month'
                    ? new Unit('month', Dimension::Duration, Band::of(672.0, 730.5, 744.0))
                    : Unit::exact($found[0], Dimension::Duration, $found[1]);
            }
        }
        if ($wanted === Dimension::Length && in_array($single, ['finger', 'thumb', 'knuckle', 'hand'], true)) {
            $tokens->skip();
            $tokens->takeSign('\'');
            $tokens->takeWord('width', 'widths', 'breadth', 'breadths');

            return new Unit(
                $single === 'knuckle' ? 'thumb' : $single,
                Dimension::Length,
                match ($single) {
                    'finger' => Band::of(15.0, 19.0, 23.0),
                    'hand' => Band::of(80.0, 100.0, 115.0),
                    default => Band::of(20.0, 25.0, 30.0),
                },
            );
        }
        if ($token->typed === 'T' || $token->typed === 'Tb') {
            $tokens->skip();

            return self::customary('tbsp', $habit);
        }
        $mass = self::MASSES[$word] ?? (self::MASSES[$single] ?? null);
        $volume = self::VOLUMES[$word] ?? (self::VOLUMES[$single] ?? null);
        $customary = self::CUSTOMARY[$word] ?? (self::CUSTOMARY[$single] ?? null);
        $length = self::LENGTHS[$word] ?? (self::LENGTHS[$single] ?? null);
        $duration =
            in_array($word, ['m', 's', 'w', 'mo', '\''], true) && $wanted === null
                ? null
                : self::DURATIONS[$word] ?? (self::DURATIONS[$single] ?? null);
        $unit = match (true) {
            $mass !== null => Unit::exact($mass[0], Dimension::Mass, $mass[1]),
            $volume !== null => Unit::exact($volume[0], Dimension::Volume, $volume[1]),
            $customary !== null => self::customary($customary, $habit),
            $length !== null => Unit::exact($length[0], Dimension::Length, $length[1]),
            isset(self::COUNTED[$single]) => Unit::exact(self::COUNTED[$single], Dimension::Count, 1.0),
            isset(self::UNMEASURED[$single]) => new Unit(
                $single,
                Dimension::Unmeasured,
                Band::of(...self::UNMEASURED[$single]),
            ),
            $duration !== null && $wanted === null => Unit::exact($duration[0], Dimension::Duration, $duration[1]),
            default => null,
        };
        if ($unit !== null) {
            $tokens->skip();
        }

        return $unit;
    }
}
