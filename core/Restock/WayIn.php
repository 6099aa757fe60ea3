<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

use Tempesal\Core\Message\Message;

/**
 * What to begin with where nothing is ready yet: something live within a day or two, the quickest live vegetables, a quick
 * pickle until they are ready, and something that takes its time and then lasts. Each stands in a jar of its own.
 */
final class WayIn
{
    private const CULTURED_MILK = 'milk cultures';

    private const QUICK_PICKLES = 'quick pickles';

    /** What is eaten by the spoon or drunk is no beginning: it needs a batch, grains or a mother first. */
    private const NOT_FIRST = [
        self::CULTURED_MILK,
        self::QUICK_PICKLES,
        'chillies',
        'condiments',
        'drinks',
        'hot sauces',
        'relishes',
        'starters',
    ];

    /** Days within which something counts as soon, and from which on it takes its time. */
    private const SOON_DAYS = 2.0;

    private const LONG_DAYS = 7.0;

    /** How many are named where more is wanted. */
    private const MORE = 2;

    /** @var array<string, true> jars that are taken */
    private array $taken = [];

    /** @var list<WayInChoice> */
    private array $chosen = [];

    /**
     * @param  list<WayInCandidate>  $candidates
     * @param  list<FreeJar>  $jars  that stand empty
     * @param  float  $roomMg  what whoever has least has left in a day for ferments
     */
    private function __construct(
        private readonly array $candidates,
        private readonly array $jars,
        private readonly float $roomMg,
    ) {}

    /** Whether a formula of a group may be chosen at all. */
    public static function isMeant(string $group, bool $isLive): bool
    {
        return $isLive
            ? $group === self::CULTURED_MILK || !in_array($group, self::NOT_FIRST, true)
            : $group === self::QUICK_PICKLES;
    }

    /**
     * @param  list<WayInCandidate>  $candidates
     * @param  list<FreeJar>  $jars
     * @return list<WayInChoice> those that are ready soonest first
     */
    public static function choose(array $candidates, array $jars, float $roomMg): array
    {
        $way = new self($candidates, $jars, $roomMg);
        $isVegetable = static fn(WayInCandidate $one): bool => $one->isLive &&
            !in_array($one->group, self::NOT_FIRST, true);
        // What takes long is chosen first, because it needs the large jar.
        $way->take(
            'later',
            static fn(WayInCandidate $one): bool => $isVegetable($one) && $one->readyDays > self::LONG_DAYS,
            static fn(WayInCandidate $one): float => (float) -$one->keepsDays,
            true,
        );
        $way->take(
            'soonest',
            static fn(WayInCandidate $one): bool => $one->isLive &&
                $one->group === self::CULTURED_MILK &&
                $one->readyDays <= self::SOON_DAYS,
            static fn(WayInCandidate $one): float => $one->readyDays,
        );
        $later = array_map(static fn(WayInChoice $one): string => $one->candidate->group, $way->chosen);
        $way->take(
            'vegetables',
            static fn(WayInCandidate $one): bool => $isVegetable($one) && $one->readyDays <= self::LONG_DAYS,
            // Something else than what takes long, for variety.
            static fn(WayInCandidate $one): float => $one->readyDays +
                (in_array($one->group, $later, true) ? self::LONG_DAYS : 0.0),
        );
        $way->take(
            'not_live',
            static fn(WayInCandidate $one): bool => !$one->isLive && $one->group === self::QUICK_PICKLES,
            static fn(WayInCandidate $one): float => $one->readyDays,
        );
        $chosen = $way->chosen;
        usort(
            $chosen,
            static fn(WayInChoice $one, WayInChoice $other): int => $one->candidate->readyDays <=>
                $other->candidate->readyDays,
        );

        return $chosen;
    }

    /**
     * What else could be made where more that is live is wanted: first what fits under the tightest limit, then what is in
     * season, then another kind, of another food, than is there.
     *
     * @param  list<WayInCandidate>  $candidates
     * @param  list<FreeJar>  $jars
     * @param  list<string>  $groups  of what is on the shelf or in the rotation
     * @param  list<string>  $foods  of which there is most in it
     * @return list<WayInChoice>
     */
    public static function more(array $candidates, array $jars, float $roomMg, array $groups, array $foods): array
    {
        $way = new self($candidates, $jars, $roomMg);
        for ($n = 0; $n < self::MORE; $n++) {
            $there = [
                ...$groups,
                ...array_map(static fn(WayInChoice $one): string => $one->candidate->group, $way->chosen),
            ];
            $way->take(
                'more',
                static fn(WayInCandidate $one): bool => $one->isLive &&
                    self::isMeant($one->group, true) &&
                    !in_array(
                        $one->id,
                        array_map(static fn(WayInChoice $other): string => $other->candidate->id, $way->chosen),
                        true,
                    ),
                static fn(WayInCandidate $one): float => $one->readyDays +
                    (in_array($one->group, $there, true) ? 100.0 : 0.0) +
                    (in_array($one->food, $foods, true) ? 10.0 : 0.0),
            );
        }

        return array_map(
            static fn(WayInChoice $one): WayInChoice => new WayInChoice(
                $one->candidate,
                $one->jar,
                Message::of(
                    'why_start.more',
                    isAnother: !in_array($one->candidate->group, $groups, true),
                    isInSeason: $one->candidate->isInSeason,
                ),
            ),
            $way->chosen,
        );
    }

    /**
     * @param  callable(WayInCandidate): bool  $suits
     * @param  callable(WayInCandidate): float  $rank  the least is the best
     */
    private function take(string $why, callable $suits, callable $rank, bool $isLarge = false): void
    {
        $best = null;
        foreach (array_filter($this->candidates, $suits) as $one) {
            $jar = $this->jarFor($one, $isLarge);
            $isThere = array_any(
                $this->chosen,
                static fn(WayInChoice $other): bool => $other->candidate->food !== null &&
                    $other->candidate->food === $one->food,
            );
            // Where a limit is tight, what fits under it comes before all else; then what is in season, and another food.
            $order = [
                $one->servingMg > $this->roomMg,
                !$one->isInSeason,
                $isThere,
                $rank($one),
                $one->servingMg,
                $one->id,
            ];
            if ($jar !== null && ($best === null || $order < $best[0])) {
                $best = [$order, $one, $jar];
            }
        }
        if ($best !== null) {
            [, $candidate, $jar] = $best;
            $this->taken[$jar->id] = true;
            $this->chosen[] = new WayInChoice($candidate, $jar, Message::of("way_in.{$why}"));
        }
    }

    private function jarFor(WayInCandidate $one, bool $isLarge): ?FreeJar
    {
        $best = null;
        foreach ($this->jars as $jar) {
            $grams = $one->gramsIn[$jar->size] ?? null;
            if ($grams !== null && !isset($this->taken[$jar->id])) {
                $rank = $isLarge ? -$grams : $grams;
                $best = $best === null || $rank < $best[0] ? [$rank, $jar] : $best;
            }
        }

        return $best[1] ?? null;
    }
}
