<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

use Tempesal\Core\Measure\Band;

/**
 * What one of a thing weighs when a recipe counts instead of weighing: common practice, no source. Two heads of cabbage
 * can differ twofold, and so does the band.
 */
final class PieceWeight
{
    /** Grams of one, by the food's id. */
    private const ONE = [
        'green-cabbage' => 1000,
        'red-cabbage' => 900,
        'napa-cabbage' => 1000,
        'cauliflower' => 600,
        'broccoli' => 350,
        'carrot' => 70,
        'cucumber' => 300,
        'pickling-cucumber' => 70,
        'beetroot' => 130,
        'onion' => 130,
        'shallot' => 25,
        'spring-onion' => 15,
        'garlic' => 5,
        'red-chilli' => 15,
        'green-chilli' => 15,
        'habanero' => 9,
        'red-pepper' => 150,
        'green-pepper' => 150,
        'tomato' => 110,
        'green-tomato' => 110,
        'apple' => 180,
        'green-apple' => 180,
        'pear' => 170,
        'lemon' => 100,
        'egg' => 50,
        'egg-yolk' => 18,
        'white-radish' => 400,
        'red-radish' => 12,
        'kohlrabi' => 200,
        'turnip' => 120,
        'bay-leaf' => 0.3,
        'cloves' => 0.1,
        'dried-chilli' => 1.5,
        'celery' => 60,
        'zucchini' => 200,
        'ginger' => 25,
        'leek' => 150,
        'fennel' => 250,
        'swede' => 500,
        'celeriac' => 600,
        'peach' => 150,
        'plum' => 65,
        'mango' => 250,
        'vine-leaves' => 3,
    ];

    /** A head, bulb or bunch is more than one of what is counted otherwise. */
    private const WHOLE = [
        'garlic' => 45,
        'celery' => 450,
        'spring-onion' => 100,
        'dill' => 30,
        'coriander-leaves' => 40,
        'parsley' => 40,
        'mint' => 30,
        'red-radish' => 150,
    ];

    /** Foods of which a part is what weighs as one; of any other food a leaf or a slice is not one of it. */
    private const PARTS = [
        'leaf' => ['bay-leaf', 'vine-leaves'],
        'leave' => ['bay-leaf', 'vine-leaves'],
        'clove' => ['garlic', 'cloves'],
        'stalk' => ['celery', 'spring-onion', 'leek'],
        'stick' => ['celery'],
        'sprig' => [],
        'slice' => [],
        'piece' => ['ginger'],
        'inch' => ['ginger'],
        'inche' => ['ginger'],
    ];

    private const BAND = [0.6, 1.0, 1.6];

    /**
     * @param  string|null  $word  how it was counted: clove, head, bunch ...
     * @return Band|null grams of one; null where nobody counts it
     */
    public static function of(string $foodId, ?string $word = null): ?Band
    {
        if (!in_array($foodId, self::PARTS[$word ?? ''] ?? [$foodId], true)) {
            return null;
        }
        $grams = in_array($word, ['head', 'bulb', 'bunch'], true)
            ? self::WHOLE[$foodId] ?? (self::ONE[$foodId] ?? null)
            : self::ONE[$foodId] ?? null;

        return $grams === null
            ? null
            : Band::of(...array_map(static fn(float $factor): float => $grams * $factor, self::BAND));
    }
}
