<?php

declare(strict_types=1);

namespace Tempesal\Core\Making;

use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Evaporate;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * A making as a list of steps. The entries of a method are cut where the cook stops: at a wait, at the sink, at the
 * paste. What the ledger does not see (cleaning, massaging, closing) stands between them.
 */
final readonly class StepPlan
{
    /** Kneading salt in, and the rest after which juice covers the food: common practice, no source. */
    private const MASSAGE_S = 300.0;

    private const REST_S = 1_800.0;

    /** @param  non-empty-list<Step>  $steps */
    private function __construct(public array $steps) {}

    /**
     * @param  list<Entry>  $entries  in the order of the work, waits as rests with a length
     * @param  Seconds|null  $standsFor  how long it stands before it goes cold, where hours count; null: until it is
     *     ready by its window
     */
    public static function of(Method $method, array $entries, ?Seconds $standsFor = null): self
    {
        $steps = self::cut($method, $entries);
        $last = $steps[count($steps) - 1];
        $wait = $standsFor ?? self::waitAtTheEnd($entries);
        if ($wait !== null) {
            $steps[] = Step::now(StepKind::Chill, self::inTheFridge())->after($wait);
        }

        return new self(
            match ($method) {
                Method::PouredBrine, Method::EquilibriumBrine, Method::QuickSaltPickle => [
                    Step::now(StepKind::Clean),
                    Step::now(StepKind::Dissolve),
                    Step::now(StepKind::Pack),
                    ...$steps,
                ],
                Method::KimchiSoaked => [Step::now(StepKind::Clean), Step::now(StepKind::Dissolve), ...$steps],
                Method::ReusedBrine => [Step::now(StepKind::Clean), Step::now(StepKind::Pack), ...$steps],
                Method::DrySalting => [
                    Step::now(StepKind::Clean),
                    ...$steps,
                    ...$last->kind === StepKind::SaltAgain
                        ? []
                        : [Step::now(StepKind::Massage)->after(Seconds::of(self::MASSAGE_S))],
                    Step::now(StepKind::Pack)->after(Seconds::of(self::REST_S)),
                ],
                Method::Mash => [Step::now(StepKind::Clean), ...$steps, Step::now(StepKind::Pack)],
                Method::Transform => [
                    Step::now(StepKind::Sterilise),
                    ...self::inTheJar($steps),
                    Step::now(StepKind::MeasurePh),
                    Step::now(StepKind::Bottle),
                ],
                default => [Step::now(StepKind::Clean), ...$steps],
            },
        );
    }

    /** The same with its first salt in two halves, the second after the food has lain under a plate. */
    public function saltedTwice(): self
    {
        $steps = [];
        $isHalved = false;
        foreach ($this->steps as $step) {
            $salt = $isHalved || $step->kind !== StepKind::Salt ? null : self::firstSalt($step);
            if ($salt === null) {
                $steps[] = $isHalved && $step->kind === StepKind::Massage ? null : $step;
                continue;
            }
            $isHalved = true;
            $half = Step::now(StepKind::SaltAgain, $salt)->scaled(0.5);
            $steps[] = new Step(
                $step->kind,
                array_map(
                    static fn(Entry $entry): Entry => $entry === $salt ? $half->entries[0] : $entry,
                    $step->entries,
                ),
                $step->after,
            );
            $steps[] = $half->after(Seconds::of(self::REST_S));
        }
        $steps = array_values(array_filter($steps));

        return $steps === [] ? $this : new self($steps);
    }

    /** The same with so much of everything. */
    public function scaled(float $share): self
    {
        return $share === 1.0
            ? $this
            : new self(array_map(static fn(Step $step): Step => $step->scaled($share), $this->steps));
    }

    private static function firstSalt(Step $step): ?Salt
    {
        foreach ($step->entries as $entry) {
            if ($entry instanceof Salt) {
                return $entry;
            }
        }

        return null;
    }

    /** Left to itself a jar has the temperatures of its place; null: as was said for it. */
    public function standing(?Place $place): self
    {
        if ($place === null) {
            return $this;
        }

        return new self(
            array_map(
                static fn(Step $step): Step => $step->kind === StepKind::Chill
                    ? $step
                    : new Step(
                        $step->kind,
                        array_map(
                            static fn(Entry $entry): Entry => $entry instanceof Soak &&
                            $entry->duration === null &&
                            !$entry->even
                                ? $entry->in($place->value)
                                : $entry,
                            $step->entries,
                        ),
                        $step->after,
                    ),
                $this->steps,
            ),
        );
    }

    /** The same with what its cover asks for: an airlock is filled as soon as the jar is closed. */
    public function closedWith(?Cover $cover): self
    {
        $steps = [];
        $isFilled = $cover !== Cover::Airlock;
        $closes = null;
        foreach ($this->steps as $i => $step) {
            $closes = $step->kind === StepKind::Pack || $step->kind === StepKind::Pour ? $i : $closes;
        }
        foreach ($this->steps as $i => $step) {
            $steps[] = $step;
            if (!$isFilled && $i === $closes) {
                $steps[] = Step::now(StepKind::Airlock);
            }
        }

        return new self($steps);
    }

    /** How many steps can be done in one go: all before the first wait after which something is put in or taken out. */
    public function untilFirstWait(): int
    {
        $lastWritten = 0;
        foreach ($this->steps as $i => $step) {
            $lastWritten = $step->entries === [] ? $lastWritten : $i;
        }
        foreach ($this->steps as $i => $step) {
            if ($step->after->value > 0.0 && $i <= $lastWritten) {
                return $i;
            }
        }

        return count($this->steps);
    }

    /** How many steps are done when the jar is closed: all but its going into the cold. */
    public function untilPacked(): int
    {
        $count = count($this->steps);

        return $this->steps[$count - 1]->kind === StepKind::Chill ? $count - 1 : $count;
    }

    /** Seconds from the first step to the last, if each is done when it is due. */
    public function secondsInAll(): float
    {
        return array_sum(array_map(static fn(Step $step): float => $step->after->value, $this->steps));
    }

    /** Seconds from the first step until it is packed, if each is done when it is due. */
    public function seconds(): float
    {
        return array_sum(
            array_map(
                static fn(Step $step): float => $step->after->value,
                array_slice($this->steps, 0, $this->untilPacked()),
            ),
        );
    }

    /**
     * The ledger's lines if each step is done when it is due.
     *
     * @return list<LedgerLine>
     */
    public function lines(): array
    {
        $lines = [];
        $at = 0.0;
        foreach ($this->steps as $step) {
            $at += $step->after->value;
            foreach ($step->entries as $entry) {
                $lines[] = new LedgerLine($entry, $at);
            }
        }

        return $lines;
    }

    /** A jar that has gone into the fridge. */
    private static function inTheFridge(): Soak
    {
        return Soak::fromNowOn(TemperatureHistory::constant(Place::Fridge->usual()))
            ->called('rest')
            ->in(Place::Fridge->value);
    }

    /**
     * @param  list<Entry>  $entries
     * @return non-empty-list<Step>
     */
    private static function cut(Method $method, array $entries): array
    {
        $steps = [];
        $wait = Seconds::of(0.0);
        $isBlended = false;
        foreach ($entries as $i => $entry) {
            $there = $steps === [] ? null : $steps[count($steps) - 1];
            if ($entry instanceof Soak && $entry->duration !== null && !$entry->even) {
                $steps = self::joined(
                    $steps,
                    $there ?? Step::now(self::filling($method, $entries)),
                    $entry->openEnded(),
                );
                $wait = $entry->duration;
                continue;
            }
            $kind = self::kindOf($method, $entry, $there?->kind, $wait->value > 0.0, $isBlended, $entries, $i);
            $isBlended = $isBlended || $entry instanceof Blend;
            if ($there !== null && $kind === $there->kind && $wait->value <= 0.0) {
                $steps = self::joined($steps, $there, $entry);
            } else {
                $steps[] = Step::now($kind, $entry)->after($wait);
                $wait = Seconds::of(0.0);
            }
        }

        return $steps === [] ? [Step::now(self::filling($method, $entries))] : $steps;
    }

    /**
     * @param  list<Step>  $steps
     * @return non-empty-list<Step> with more in the last of them
     */
    private static function joined(array $steps, Step $last, Entry $entry): array
    {
        return [...array_slice($steps, 0, -1), $last->with($entry)];
    }

    /** @param  list<Entry>  $entries */
    private static function kindOf(
        Method $method,
        Entry $entry,
        ?StepKind $there,
        bool $hasWaited,
        bool $isBlended,
        array $entries,
        int $place,
    ): StepKind {
        return match (true) {
            $entry instanceof Drain => self::blends(array_slice($entries, $place)) ? StepKind::Strain : StepKind::Drain,
            $entry instanceof Rinse => StepKind::Rinse,
            $entry instanceof Squeeze => StepKind::Squeeze,
            $entry instanceof Freshen => StepKind::Freshen,
            $entry instanceof Blend => StepKind::Blend,
            $entry instanceof Heat => StepKind::Heat,
            $entry instanceof Evaporate && $there === StepKind::Heat => StepKind::Heat,
            $isBlended => StepKind::Season,
            // The rest of a making that was salted, drained and dressed goes into its jar.
            $entry instanceof Soak => self::isAtTheSink($there) || $there === StepKind::Dress
                ? StepKind::Pack
                : $there ?? self::filling($method, $entries),
            self::isAtTheSink($there), $there === StepKind::Dress => StepKind::Dress,
            $hasWaited && $entry instanceof Salt => StepKind::SaltAgain,
            $hasWaited && $entry instanceof Add => StepKind::Dress,
            default => $there ?? self::filling($method, $entries),
        };
    }

    private static function isAtTheSink(?StepKind $kind): bool
    {
        return $kind?->stage() === Stage::Draining;
    }

    /** @param  list<Entry>  $entries */
    private static function blends(array $entries): bool
    {
        foreach ($entries as $entry) {
            if ($entry instanceof Blend) {
                return true;
            }
        }

        return false;
    }

    /**
     * What the first step of a method is, in which food and salt come together.
     *
     * @param  list<Entry>  $entries
     */
    private static function filling(Method $method, array $entries): StepKind
    {
        return match ($method) {
            Method::Transform => self::hasWater($entries) ? StepKind::Pour : StepKind::Salt,
            Method::PouredBrine,
            Method::EquilibriumBrine,
            Method::ReusedBrine,
            Method::QuickSaltPickle
                => StepKind::Pour,
            Method::KimchiSoaked => StepKind::Soak,
            Method::CulturedCondiment, Method::MilkAndSweet => StepKind::Mix,
            default => StepKind::Salt,
        };
    }

    /**
     * What is salted first goes into its jar, and waits there.
     *
     * @param  non-empty-list<Step>  $steps
     * @return non-empty-list<Step>
     */
    private static function inTheJar(array $steps): array
    {
        return $steps[0]->kind === StepKind::Salt
            ? [$steps[0], Step::now(StepKind::Pack), ...array_slice($steps, 1)]
            : $steps;
    }

    /** @param  list<Entry>  $entries */
    private static function hasWater(array $entries): bool
    {
        $first = $entries[0] ?? null;

        return $first instanceof Add && $first->ingredient->id === 'water';
    }

    /** @param  list<Entry>  $entries */
    private static function waitAtTheEnd(array $entries): ?Seconds
    {
        $last = $entries === [] ? null : $entries[count($entries) - 1];

        return $last instanceof Soak && !$last->even ? $last->duration : null;
    }
}
