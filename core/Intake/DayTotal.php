<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;

/**
 * What some days come to with all that is uncertain about them: jars narrowly, the rest of the diet widely.
 */
final readonly class DayTotal
{
    /** Half of a band of 90 % of a normal distribution, in standard deviations. */
    private const DEVIATIONS = 1.645;

    /** Half-widths up to which a total is rounded to so much, in milligrams. */
    private const STEPS = [[50.0, 10], [250.0, 50], [INF, 100]];

    private function __construct(public Band $rest, public Band $all) {}

    /**
     * The mean of some days.
     *
     * @param  non-empty-list<float>  $estimates  milligrams of the estimate on each day
     * @param  array<string, float>  $written  milligrams of each food in all days together: wrong in the same way
     * @param  Band  $ferments  milligrams a day
     */
    public static function of(array $estimates, array $written, Band $ferments, DietKnowledge $known): self
    {
        $days = count($estimates);
        $square = static fn(float $one): float => $one ** 2;
        $half = sqrt(
            ($known->everyDay() * (array_sum($estimates) / $days)) ** 2 +
                ($known->ofTheDay() ** 2 * array_sum(array_map($square, $estimates))) / $days ** 2 +
                (DietKnowledge::WRITTEN ** 2 * array_sum(array_map($square, $written))) / $days ** 2,
        );
        $rest = (array_sum($estimates) + array_sum($written)) / $days;
        $all = $rest + $ferments->typical;

        return new self(
            Band::of(max(0.0, $rest - $half), $rest, $rest + $half),
            Band::of(
                max(0.0, $all - hypot($half, $ferments->typical - $ferments->low)),
                $all,
                $all + hypot($half, $ferments->high - $ferments->typical),
            ),
        );
    }

    /** A figure rounded as far as a band lets it be said. */
    public static function rounded(float $milligrams, Band $band): int
    {
        $half = ($band->high - $band->low) / 2.0;
        foreach (self::STEPS as [$most, $step]) {
            if ($half < $most) {
                return (int) (round($milligrams / $step) * $step);
            }
        }

        return (int) round($milligrams);
    }

    /** The chance that a target is passed, 0 to 1: of a normal distribution with this band. */
    public function chanceOver(float $targetMg): float
    {
        $deviation = ($this->all->high - $this->all->low) / 2.0 / self::DEVIATIONS;
        if ($deviation <= 0.0) {
            return $this->all->typical > $targetMg ? 1.0 : 0.0;
        }

        return 1.0 - self::normal(($targetMg - $this->all->typical) / $deviation);
    }

    /** That chance in words; null where it is hardly ever. */
    public function chanceInWords(float $targetMg): ?Message
    {
        $chance = $this->chanceOver($targetMg);

        return match (true) {
            $chance < 0.05 => null,
            $chance < 0.15 => Message::of('chance.tenth'),
            $chance < 0.3 => Message::of('chance.quarter'),
            $chance < 0.42 => Message::of('chance.third'),
            $chance < 0.6 => Message::of('chance.half'),
            $chance < 0.85 => Message::of('chance.most'),
            default => Message::of('chance.nearly_all'),
        };
    }

    /** The normal distribution, to 1e-7 (Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17). */
    private static function normal(float $z): float
    {
        $t = 1.0 / (1.0 + 0.231_641_9 * abs($z));
        $tail =
            (exp((-$z * $z) / 2.0) / sqrt(2.0 * M_PI)) *
            $t *
            (0.319_381_530 + $t * (-0.356_563_782 + $t * (1.781_477_937 + $t * (-1.821_255_978 + $t * 1.330_274_429))));

        return $z >= 0.0 ? 1.0 - $tail : $tail;
    }
}
