<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * A volume as measuring spoons say it: "1 tbsp + 1 3/4 tsp", in quarters of a teaspoon.
 */
final readonly class SpoonPhrase
{
    private const QUARTERS = ['', '1/4', '1/2', '3/4'];

    private function __construct(public Millilitres $volume, public string $text)
    {
    }

    /**
     * The nearest amount that quarter teaspoons can measure; an eighth ("a dash") when less than that.
     */
    public static function nearest(Millilitres $wanted, SpoonSystem $system): self
    {
        $teaspoon = $system->teaspoon()->millilitres();
        $quarters = (int) round($wanted->value / $teaspoon * 4);
        if ($quarters === 0) {
            return $wanted->value < $teaspoon / 16
                ? new self(Millilitres::zero(), 'none')
                : new self(Millilitres::of($teaspoon / 8), 'a dash (1/8 tsp)');
        }

        $perTablespoon = (int) round($system->tablespoon()->millilitres() / $teaspoon * 4);
        $tablespoons = intdiv($quarters, $perTablespoon);
        $teaspoons = $quarters % $perTablespoon;
        $parts = [];
        if ($tablespoons > 0) {
            $parts[] = "{$tablespoons} tbsp";
        }
        if ($teaspoons > 0) {
            $whole = intdiv($teaspoons, 4);
            $parts[] = trim(($whole > 0 ? $whole : '').' '.self::QUARTERS[$teaspoons % 4]).' tsp';
        }

        return new self(Millilitres::of($quarters * $teaspoon / 4), implode(' + ', $parts));
    }
}
