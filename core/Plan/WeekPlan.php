<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Intake\PortionSize;
use Tempesal\Core\Intake\ServingStyle;

/**
 * A week as the cook has it before them: who eats, the jars at hand, what is meant for whom, and what that comes to.
 * Days before today are over: what was meant for them is no longer reckoned with.
 */
final readonly class WeekPlan
{
    public const DAYS = 7;

    /** What may stand on one eater's day at most, where the cook has said nothing else. */
    public const USUAL_PER_DAY = 3;

    public const MOST_PER_DAY = 6;

    private const ROUNDING = 1e-6;

    /** @var list<WeekServing> that are still to come */
    public array $coming;

    /**
     * @param  list<Eater>  $eaters  allowances and goals are what is left after the rest of the diet and what was eaten
     *     already
     * @param  list<WeekJar>  $jars
     * @param  list<WeekServing>  $servings
     * @param  int  $today  0 to 6 within the week; 7 when the week is over, below 0 when it is to come
     * @param  array<string, true>  $had  what was eaten already, by "eater day jar"; day -1 is
     *     the one before the week, with what was eaten or is planned on it
     * @param  array<string, true>  $away  who is not there, by "eater day"
     */
    public function __construct(
        public array $eaters,
        public array $jars,
        public array $servings,
        public int $today,
        public int $perDay = self::USUAL_PER_DAY,
        public ObjectiveWeights $weights = new ObjectiveWeights(),
        public array $had = [],
        public array $away = [],
    ) {
        $this->coming = array_values(
            array_filter($servings, static fn(WeekServing $serving): bool => $serving->day >= $today),
        );
    }

    /** The first day that can still be planned. */
    public function first(): int
    {
        return max(0, $this->today);
    }

    /** Whether nothing is planned and nothing live can be eaten on any day that is left: a kitchen at its beginning. */
    public function isBare(): bool
    {
        return $this->first() < self::DAYS &&
            $this->servings === [] &&
            !array_any(
                $this->jars,
                static fn(WeekJar $jar): bool => $jar->isLive &&
                    $jar->closed === null &&
                    $jar->stock > 0.0 &&
                    $jar->readyOn < self::DAYS,
            );
    }

    /** @param  list<WeekServing>  $servings */
    public function having(array $servings): self
    {
        return new self(
            $this->eaters,
            $this->jars,
            $servings,
            $this->today,
            $this->perDay,
            $this->weights,
            $this->had,
            $this->away,
        );
    }

    /**
     * The same where the jars are to last for some weeks from this one on: of each as much is there as falls to this week
     * of the days on which it may be served, and at least what is planned of it already.
     */
    public function sparing(int $weeks): self
    {
        if ($weeks <= 1) {
            return $this;
        }
        $jars = array_map(
            function (WeekJar $jar, int $place) use ($weeks): WeekJar {
                $from = max($this->first(), $jar->readyOn);
                $all = min($weeks * self::DAYS - 1, $jar->useBy) - $from + 1;
                $here = max(0, min(self::DAYS - 1, $jar->useBy) - $from + 1);
                $planned = $jar->stock - ($this->left($place)[self::DAYS - 1] ?? $jar->stock);

                return $all > 0 ? $jar->holding(min($jar->stock, max($planned, ($jar->stock * $here) / $all))) : $jar;
            },
            $this->jars,
            array_keys($this->jars),
        );

        return new self(
            $this->eaters,
            $jars,
            $this->servings,
            $this->today,
            $this->perDay,
            $this->weights,
            $this->had,
            $this->away,
        );
    }

    /** @return list<WeekServing> what is still to come on someone's day */
    public function on(int $eater, int $day): array
    {
        return array_values(
            array_filter($this->coming, static fn(WeekServing $serving): bool => $serving->isAt($eater, $day)),
        );
    }

    /** Milligrams of sodium in a serving as the plan reckons them: for the careful at the upper end of the jar's band. */
    public function milligrams(WeekServing $serving): float
    {
        return $this->typical($serving) *
            ($this->eaters[$serving->eater]->isCareful ? $this->jars[$serving->jar]->high : 1.0);
    }

    /** Milligrams of sodium in a serving, typically. */
    public function typical(WeekServing $serving): float
    {
        return $this->jars[$serving->jar]->milligrams($serving->day, $serving->grams, $serving->way);
    }

    /** Milligrams that are left of an eater's allowance on a day; negative when it is passed. */
    public function margin(int $eater, int $day): float
    {
        return $this->eaters[$eater]->allowance[$day] -
            array_sum(array_map($this->milligrams(...), $this->on($eater, $day)));
    }

    /**
     * What is left in a jar at the end of each day; negative when more is meant than it holds.
     *
     * @return list<float> grams
     */
    public function left(int $jar): array
    {
        $left = [];
        for ($day = 0; $day < self::DAYS; $day++) {
            $taken = 0.0;
            foreach ($this->coming as $serving) {
                $taken += $serving->jar === $jar && $serving->day <= $day ? $serving->grams : 0.0;
            }
            $left[] = $this->jars[$jar]->stock - $taken;
        }

        return $left;
    }

    /** The day on which more is taken from a jar than it holds; null when it lasts. */
    public function runsShortOn(int $jar): ?int
    {
        foreach ($this->left($jar) as $day => $left) {
            if ($left < -self::ROUNDING) {
                return $day;
            }
        }

        return null;
    }

    /** Whether a portion could be put down for someone on a day without breaking anything. */
    public function takes(WeekServing $serving): bool
    {
        $jar = $this->jars[$serving->jar];
        if (
            $serving->day < $this->first() ||
            $jar->objection($serving->eater, $serving->day) !== null ||
            $this->hadIt($serving) ||
            $this->isAway($serving->eater, $serving->day)
        ) {
            return false;
        }
        $there = $this->on($serving->eater, $serving->day);
        foreach ($there as $other) {
            if ($other->jar === $serving->jar) {
                return false;
            }
        }
        $then = $this->having([...$this->servings, $serving]);

        return count($there) < $this->perDay &&
            $then->runsShortOn($serving->jar) === null &&
            $then->margin($serving->eater, $serving->day) >= -self::ROUNDING;
    }

    /** Whether someone has eaten of that jar on that day already. */
    public function hadIt(WeekServing $serving): bool
    {
        return isset($this->had["{$serving->eater} {$serving->day} {$serving->jar}"]);
    }

    public function isAway(int $eater, int $day): bool
    {
        return isset($this->away["{$eater} {$day}"]);
    }

    /** The usual portion of a jar for someone on a day. */
    public function usual(int $eater, int $day, int $jar): WeekServing
    {
        return $this->portion($eater, $day, $jar, $this->jars[$jar]->portions[$eater]);
    }

    /** A portion of a jar for someone on a day. */
    public function portion(int $eater, int $day, int $jar, float $grams): WeekServing
    {
        return new WeekServing('', $eater, $day, $jar, $grams, ServingStyle::Drained, false);
    }

    /**
     * The smaller portions of a jar that a plan may give someone; none where it is not live, because only a live serving
     * is worth having less of.
     *
     * @return list<float> grams, the largest first
     */
    public function smaller(int $eater, int $jar): array
    {
        $usual = $this->jars[$jar]->portions[$eater];
        $size = PortionSize::of($this->jars[$jar]->served->phase());

        return $this->jars[$jar]->isLive
            ? array_values(
                array_filter(
                    $size->sizes($usual),
                    static fn(float $grams): bool => $grams >= $size->liveFrom($usual) - self::ROUNDING,
                ),
            )
            : [];
    }

    /** Whether it is as a plan may have put it down: the usual portion, or one of the smaller ones. */
    public function isUsual(WeekServing $serving): bool
    {
        $sizes = [
            $this->jars[$serving->jar]->portions[$serving->eater],
            ...$this->smaller($serving->eater, $serving->jar),
        ];

        return $serving->way === ServingStyle::Drained &&
            array_any($sizes, static fn(float $grams): bool => abs($serving->grams - $grams) < self::ROUNDING);
    }
}
