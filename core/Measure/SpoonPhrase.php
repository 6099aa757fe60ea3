<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

use Tempesal\Core\Message\Message;

/**
 * A volume as measuring spoons say it: "1 tbsp + 1 3/4 tsp", in quarters of a teaspoon.
 */
final readonly class SpoonPhrase
{
    private const QUARTERS = ['', '1/4', '1/2', '3/4'];

    /** A quarter is a quarter, whatever the last digit says. */
    private const ROUNDING = 1e-6;

    private function __construct(public Millilitres $volume, public Message $text) {}

    /**
     * The nearest amount that quarter teaspoons can measure; an eighth ("a dash") when less than that.
     */
    public static function nearest(Millilitres $wanted, SpoonSystem $system): self
    {
        $teaspoon = $system->teaspoon()->millilitres();
        $quarters = (int) round(($wanted->value / $teaspoon) * 4);
        if ($quarters === 0) {
            return $wanted->value < $teaspoon / 16
                ? new self(Millilitres::zero(), Message::of('measure.none'))
                : new self(Millilitres::of($teaspoon / 8), Message::of('measure.dash'));
        }

        return self::quarters($quarters, $system);
    }

    /** The least amount that quarter teaspoons can measure and that is no less than this. */
    public static function atLeast(Millilitres $wanted, SpoonSystem $system): self
    {
        $teaspoon = $system->teaspoon()->millilitres();
        $quarters = (int) ceil(($wanted->value / $teaspoon) * 4 - self::ROUNDING);

        return $wanted->value <= $teaspoon / 8 ? self::nearest($wanted, $system) : self::quarters($quarters, $system);
    }

    /** @param  positive-int|int  $quarters  of a teaspoon, at least one */
    private static function quarters(int $quarters, SpoonSystem $system): self
    {
        $teaspoon = $system->teaspoon()->millilitres();
        $perTablespoon = (int) round(($system->tablespoon()->millilitres() / $teaspoon) * 4);
        $tablespoons = intdiv($quarters, $perTablespoon);
        $teaspoons = $quarters % $perTablespoon;
        $whole = intdiv($teaspoons, 4);
        $fraction = trim(($whole > 0 ? $whole : '') . ' ' . self::QUARTERS[$teaspoons % 4]);

        return new self(
            Millilitres::of(($quarters * $teaspoon) / 4),
            match (true) {
                $teaspoons === 0 => Message::of('measure.tbsp', tbsp: $tablespoons),
                $tablespoons === 0 => Message::of('measure.tsp', tsp: $fraction),
                default => Message::of('measure.tbsp_tsp', tbsp: $tablespoons, tsp: $fraction),
            },
        );
    }
}
