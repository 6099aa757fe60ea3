<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Closure;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Propagation;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;

/**
 * The history of a batch, oldest line first. Its state at any moment is computed from it.
 */
final class Ledger
{
    /** Lines below which a checkpoint takes longer to find than to compute. */
    public const WORTH_KEEPING = 4;

    /** Grams of a phase that are nothing to speak of. */
    private const TRACE_G = 0.05;

    /** @var list<LedgerLine> */
    public readonly array $lines;

    /** @var list<LedgerLine>|null the lines as they were carried out */
    private ?array $resolved = null;

    /** @var list<BatchState> the typical state after each of them, but for those with which it begins in short */
    private array $since = [];

    /** @var list<BatchState>|null the same after all of them */
    private ?array $trail = null;

    /** The typical state after the last of them. */
    private ?BatchState $end = null;

    /** The one with the same lines of which this is another moment. */
    private ?self $origin = null;

    /** What it begins with in place of all lines, and how it is with all of them. */
    private ?ShortHistory $short = null;

    /** @var self|(Closure(): self)|null */
    private self|Closure|null $whole = null;

    private ?Checkpoint $checkpoint = null;

    /** How many of the lines the checkpoint covers. */
    private int $covered = 0;

    /** The rest that goes on after those. */
    private ?SoakInProgress $bath = null;

    /**
     * @param  list<Entry|LedgerLine>  $lines
     * @param  float|null  $horizon  seconds since the batch was begun at which it is looked at; null: after the last
     *     line
     * @param  bool  $isApart  false for a jar that was begun before jars knew their kinds of pieces
     * @param  CheckpointStore|null  $store  of a batch whose lines are all here
     */
    public function __construct(
        array $lines,
        private readonly ?float $horizon = null,
        private readonly bool $isApart = true,
        private readonly ?CheckpointStore $store = null,
    ) {
        $this->lines = array_map(
            static fn(Entry|LedgerLine $line): LedgerLine => $line instanceof LedgerLine
                ? $line
                : new LedgerLine($line),
            $lines,
        );
    }

    /**
     * A history that goes on after what is known of it in short: of what is in that its lines are those that are no servings.
     *
     * @param  list<LedgerLine>  $since
     * @param  callable(): self  $whole  the same with all of its lines, for what they are needed for
     */
    public static function goingOn(
        ShortHistory $short,
        array $since,
        callable $whole,
        bool $isApart,
        ?CheckpointStore $store,
    ): self {
        $ledger = new self([...$short->lines, ...$since], isApart: $isApart, store: $store);
        [$ledger->short, $ledger->whole] = [$short, $whole(...)];

        return $ledger;
    }

    /** The same with every line. */
    public function whole(): self
    {
        if ($this->whole instanceof Closure) {
            $this->whole = ($this->whole)();
        }

        return $this->whole ?? $this;
    }

    /**
     * What it is without its servings.
     *
     * @param  int|null  $count  of the lines that are meant, more than it began with; null: all
     *
     * @throws NotEnough
     */
    public function short(?int $count = null): ShortHistory
    {
        $lines = array_slice($this->resolved(), 0, $count);
        $trail = $this->trail();
        $end = count($lines) === count($this->lines) ? $this->end : $trail[count($lines) - 1] ?? null;

        return ShortHistory::of($lines, array_slice($trail, 0, $count), $end ?? $this->beginning());
    }

    /** The batch before its first line. */
    public function beginning(): BatchState
    {
        return BatchState::empty($this->isApart);
    }

    public function with(Entry|LedgerLine ...$lines): self
    {
        // What was not written yet is after what was; its store is the same.
        $next = new self([...$this->lines, ...array_values($lines)], $this->horizon, $this->isApart, $this->store);

        return $next->inShort($this, static fn(self $whole): self => $whole->with(...$lines));
    }

    /** The batch with entries written at the moment at which it is looked at. */
    public function then(Entry ...$entries): self
    {
        return $this->with(
            ...array_map(
                fn(Entry $entry): LedgerLine => new LedgerLine($entry, $this->horizon),
                array_values($entries),
            ),
        );
    }

    /** The batch as it was or will be, some seconds after it was begun. Lines without a moment always count. */
    public function asOf(float $seconds): self
    {
        if ($this->short !== null && $seconds < $this->short->end->clock) {
            return $this->whole()->asOf($seconds);
        }
        $lines = array_values(
            array_filter(
                $this->lines,
                static fn(LedgerLine $line): bool => $line->at === null || $line->at <= $seconds,
            ),
        );
        $isSame = count($lines) === count($this->lines);
        $then = new self($lines, $seconds, $this->isApart, $isSame ? $this->store : null);
        // The same lines come to the same; whichever of the two is asked first, they are carried out once.
        $then->origin = $isSame ? $this : null;

        return $then->inShort($this, static fn(self $whole): self => $whole->asOf($seconds));
    }

    /**
     * Begins in short as another does, where that does.
     *
     * @param  callable(self): self  $as  what became of that since
     */
    private function inShort(self $other, callable $as): self
    {
        if ($other->short !== null) {
            $this->short = $other->short;
            $this->whole = static fn(): self => $as($other->whole());
        }

        return $this;
    }

    /** The batch as it will be once salt has evened out. */
    public function settled(): self
    {
        return $this->with(Soak::untilEven());
    }

    /** @return list<Entry> */
    public function entries(): array
    {
        return array_map(static fn(LedgerLine $line): Entry => $line->entry, $this->lines);
    }

    /**
     * The lines as they were carried out, with everything that was open worked out.
     *
     * @return list<LedgerLine>
     *
     * @throws NotEnough when a line takes more than there was
     */
    public function resolved(): array
    {
        if ($this->resolved === null && $this->origin !== null) {
            $this->resolved = $this->origin->resolved();
            [$this->since, $this->end] = [$this->origin->since, $this->origin->end];
        }
        if ($this->resolved !== null) {
            return $this->resolved;
        }
        $point = Point::typical();
        $since = [];
        [$resolved, $state] =
            $this->short === null ? [[], $this->beginning()] : [$this->short->lines, $this->short->end];
        for ($number = count($resolved); $number < count($this->lines); $number++) {
            $line = $this->lines[$number];
            try {
                $state = $line->at === null ? $state : TimeStep::until($state, $line->at, $point);
                $entry = $line->entry instanceof Resolvable ? $line->entry->resolve($state) : $line->entry;
                $state = $entry->applyTo($state, $point);
            } catch (NotEnough $refusal) {
                throw $refusal->onLine($number);
            }
            $resolved[] = $entry === $line->entry ? $line : new LedgerLine($entry, $line->at, $line->mark);
            $since[] = $state;
        }
        [$this->since, $this->end] = [$since, $state];

        return $this->resolved = $resolved;
    }

    /**
     * The typical state after each line.
     *
     * @return list<BatchState>
     *
     * @throws NotEnough
     */
    public function trail(): array
    {
        $this->resolved();

        return $this->trail ??=
            $this->origin === null ? [...$this->short?->trail() ?? [], ...$this->since] : $this->origin->trail();
    }

    /**
     * How far it was after each line.
     *
     * @return list<Milestone>
     *
     * @throws NotEnough
     */
    public function milestones(): array
    {
        $this->resolved();

        return [...$this->short->milestones ?? [], ...array_map(Milestone::of(...), $this->since)];
    }

    /**
     * The rest that goes on after so many of its lines.
     *
     * @throws NotEnough
     */
    private function bathAfter(int $lines): ?SoakInProgress
    {
        return ($this->milestones()[$lines - 1] ?? null)?->bath;
    }

    /** @throws NotEnough when an entry takes more than there was */
    public function state(?Point $point = null): BatchState
    {
        $lines = $this->resolved();
        if ($point !== null && $this->short !== null && $this->checkpoint === null) {
            return $this->whole()->state($point);
        }
        $state = BatchState::empty($this->isApart);
        if ($point === null) {
            // It was worked out on the way. A point that is given is asked anew: it keeps what it was asked for.
            $state = $this->end ?? $state;
            $lines = [];
        }
        $point ??= Point::typical();
        if ($lines !== [] && $this->checkpoint !== null) {
            $state = $this->checkpoint->at($point, $this->bath);
            $lines = array_slice($lines, $this->covered);
        }
        $state = Checkpoint::carriedOut($lines, $state, $point);

        return $this->horizon === null ? $state : TimeStep::until($state, $this->horizon, $point);
    }

    /**
     * Milligrams of sodium in 100 g of each phase at several moments, with bands, from one propagation. Servings in a row that
     * lie between two of the moments count as one, taken with the last of them: while salt rests that is the same.
     *
     * @param  non-empty-list<float>  $moments  seconds since the batch was begun, ascending
     * @return list<array{piecesPer100g: Band|null, brinePer100g: Band|null, saucePer100g: Band|null}> null where there
     *     is none of it
     *
     * @throws NotEnough
     */
    public function course(array $moments): array
    {
        if ($this->short !== null) {
            return $this->whole()->course($moments);
        }
        $lines = self::servedTogether($this->resolved(), $moments);
        $per100g = function (Point $point) use ($lines, $moments): array {
            $state = BatchState::empty($this->isApart);
            $next = 0;
            $values = [];
            foreach ($moments as $i => $moment) {
                while (isset($lines[$next]) && ($lines[$next]->at ?? 0.0) <= $moment) {
                    $line = $lines[$next++];
                    $state = $line->entry->applyTo(
                        $line->at === null ? $state : TimeStep::until($state, $line->at, $point),
                        $point,
                    );
                }
                $state = TimeStep::until($state, $moment, $point);
                foreach (Phase::cases() as $phase) {
                    $masses = $state->phase($phase);
                    $values["{$i} {$phase->value}"] =
                        $masses->weightG() > self::TRACE_G ? $masses->sodiumPer100g() : 0.0;
                }
            }

            return $values;
        };
        $estimates = Propagation::estimate($per100g);
        $course = [];
        foreach (array_keys($moments) as $i) {
            $band = static function (Phase $phase) use ($estimates, $i): ?Band {
                $band = $estimates["{$i} {$phase->value}"]->band;

                return $band->typical > 0.0 ? $band : null;
            };
            $course[] = [
                'piecesPer100g' => $band(Phase::Pieces),
                'brinePer100g' => $band(Phase::Brine),
                'saucePer100g' => $band(Phase::Sauce),
            ];
        }

        return $course;
    }

    /**
     * @param  list<LedgerLine>  $lines
     * @param  non-empty-list<float>  $moments  ascending
     * @return list<LedgerLine>
     */
    private static function servedTogether(array $lines, array $moments): array
    {
        $fewer = [];
        $next = 0;
        foreach ($lines as $line) {
            $last = array_pop($fewer);
            while (isset($moments[$next]) && $moments[$next] < ($last->at ?? 0.0)) {
                $next++;
            }
            $both =
                $last?->entry instanceof Serve &&
                $line->entry instanceof Serve &&
                ($moments[$next] ?? INF) >= ($line->at ?? 0.0)
                    ? $last->entry->together($line->entry)
                    : null;
            array_push(
                $fewer,
                ...match (true) {
                    $last === null => [$line],
                    $both === null => [$last, $line],
                    default => [new LedgerLine($both, $line->at)],
                },
            );
        }

        return $fewer;
    }

    /**
     * What the batch holds now, with bands, and servings of it taken now, all from one propagation.
     *
     * Milligrams of sodium, in 100 g of a phase or in each serving.
     *
     * @return array{piecesPer100g: Estimate, brinePer100g: Estimate, saucePer100g: Estimate, allPer100g: Estimate,
     *     servings: list<Estimate>}
     *
     * @throws NotEnough when the batch holds less than a serving
     */
    public function estimates(Serve ...$servings): array
    {
        $this->reachCheckpoint();
        if ($this->short !== null && $this->checkpoint === null) {
            return $this->whole()->estimates(...$servings);
        }
        $typical = $this->state();
        foreach ($servings as $serving) {
            $serving->applyTo($typical, Point::typical());
        }
        // What is all gone is not as salty as the trace that a band would leave of it.
        $isThere = static fn(Phase $phase): bool => $typical->phase($phase)->weightG() > self::TRACE_G;
        $there = array_filter(Phase::cases(), $isThere);
        $estimates = Propagation::estimate(function (Point $point) use ($servings, $there): array {
            $state = $this->state($point);
            $per100g = static fn(Phase $phase): float => in_array($phase, $there, true)
                ? $state->phase($phase)->sodiumPer100g()
                : 0.0;

            return [
                'piecesPer100g' => $per100g(Phase::Pieces),
                'brinePer100g' => $per100g(Phase::Brine),
                'saucePer100g' => $per100g(Phase::Sauce),
                'allPer100g' => $there === [] ? 0.0 : $state->present()->sodiumPer100g(),
                ...array_map(
                    static fn(Serve $serving): float => $serving->sodiumMg($state, $point),
                    array_values($servings),
                ),
            ];
        });

        return [
            'piecesPer100g' => $estimates['piecesPer100g'],
            'brinePer100g' => $estimates['brinePer100g'],
            'saucePer100g' => $estimates['saucePer100g'],
            'allPer100g' => $estimates['allPer100g'],
            'servings' => array_values(array_filter($estimates, is_int(...), ARRAY_FILTER_USE_KEY)),
        ];
    }

    /**
     * Has the states after all written lines at hand, from what was kept of them, and keeps what came to it.
     *
     * @throws NotEnough
     */
    public function reachCheckpoint(): void
    {
        if ($this->store === null || $this->checkpoint !== null) {
            return;
        }
        if ($this->short === null && count($this->lines) < self::WORTH_KEEPING) {
            return;
        }
        if ($this->origin !== null) {
            $this->origin->reachCheckpoint();
            [$this->checkpoint, $this->covered, $this->bath] = [
                $this->origin->checkpoint,
                $this->origin->covered,
                $this->origin->bath,
            ];

            return;
        }
        $lines = $this->resolved();
        $covered = $this->short === null ? 0 : count($this->short->lines);
        $known = $this->short === null ? Checkpoint::beginning($this->isApart) : $this->store->find();
        if ($known === null) {
            return;
        }
        for ($to = $covered; isset($lines[$to]) && $lines[$to]->mark !== null; $to++);
        if ($covered < $to) {
            $known = $known->after(array_slice($lines, $covered, $to - $covered), $this->bathAfter($covered));
            $this->store->keep($this->short($to), $known->toKeep());
        }
        [$this->checkpoint, $this->covered, $this->bath] =
            $to === 0 ? [null, 0, null] : [$known, $to, $this->bathAfter($to)];
    }

    /**
     * Milligrams of sodium in a serving taken now.
     *
     * @throws NotEnough when the batch holds less than the serving
     */
    public function serving(Serve $serving): Estimate
    {
        return $this->estimates($serving)['servings'][0];
    }

    /** Servings of a size that the batch still holds. */
    public function servingsLeft(Served $served, Grams $serving): int
    {
        $weight = $served->in($this->state())->weightG();

        return $serving->isZero() ? 0 : (int) floor($weight / $serving->value + 1e-9);
    }
}
