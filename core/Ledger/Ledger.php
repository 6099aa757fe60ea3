<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

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
    /** Changes with the way in which lines are carried out: what was kept before is of no use then. */
    private const EDITION = '1';

    /** Lines below which a checkpoint takes longer to find than to compute. */
    private const WORTH_KEEPING = 4;

    /** Grams of a phase that are nothing to speak of. */
    private const TRACE_G = 0.05;

    /** @var list<LedgerLine> */
    public readonly array $lines;

    /** @var list<LedgerLine>|null the lines as they were carried out */
    private ?array $resolved = null;

    /** @var list<BatchState> the typical state after each of them */
    private array $trail = [];

    /** The one with the same lines of which this is another moment. */
    private ?self $origin = null;

    private ?Checkpoint $checkpoint = null;

    /** How many of the lines the checkpoint covers. */
    private int $covered = 0;

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

    /** The batch before its first line. */
    public function beginning(): BatchState
    {
        return BatchState::empty($this->isApart);
    }

    public function with(Entry|LedgerLine ...$lines): self
    {
        // What was not written yet is after what was; its store is the same.
        return new self([...$this->lines, ...array_values($lines)], $this->horizon, $this->isApart, $this->store);
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

        return $then;
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
            $this->trail = $this->origin->trail;
        }
        if ($this->resolved !== null) {
            return $this->resolved;
        }
        $point = Point::typical();
        $state = $this->beginning();
        $resolved = $trail = [];
        foreach ($this->lines as $number => $line) {
            try {
                $state = $line->at === null ? $state : TimeStep::until($state, $line->at, $point);
                $entry = $line->entry instanceof Resolvable ? $line->entry->resolve($state) : $line->entry;
                $state = $entry->applyTo($state, $point);
            } catch (NotEnough $refusal) {
                throw $refusal->onLine($number);
            }
            $resolved[] = $entry === $line->entry ? $line : new LedgerLine($entry, $line->at, $line->mark);
            $trail[] = $state;
        }
        $this->trail = $trail;

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

        return $this->trail;
    }

    /** @throws NotEnough when an entry takes more than there was */
    public function state(?Point $point = null): BatchState
    {
        $lines = $this->resolved();
        $state = BatchState::empty($this->isApart);
        if ($point === null) {
            // It was worked out on the way. A point that is given is asked anew: it keeps what it was asked for.
            $state = $this->trail[count($this->trail) - 1] ?? $state;
            $lines = [];
        }
        $point ??= Point::typical();
        if ($lines !== [] && $this->checkpoint !== null) {
            $state = $this->checkpoint->at($point, $this->trail[$this->covered - 1]->bath);
            $lines = array_slice($lines, $this->covered);
        }
        $state = Checkpoint::carriedOut($lines, $state, $point);

        return $this->horizon === null ? $state : TimeStep::until($state, $this->horizon, $point);
    }

    /**
     * Milligrams of sodium in 100 g of each phase at several moments, with bands, from one propagation.
     *
     * @param  non-empty-list<float>  $moments  seconds since the batch was begun, ascending
     * @return list<array{piecesPer100g: Band|null, brinePer100g: Band|null, saucePer100g: Band|null}> null where there
     *     is none of it
     *
     * @throws NotEnough
     */
    public function course(array $moments): array
    {
        $lines = $this->resolved();
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
        $typical = $this->state();
        $this->reachCheckpoint();
        foreach ($servings as $serving) {
            $serving->applyTo($typical, Point::typical());
        }
        $estimates = Propagation::estimate(function (Point $point) use ($servings): array {
            $state = $this->state($point);

            return [
                'piecesPer100g' => $state->phase(Phase::Pieces)->sodiumPer100g(),
                'brinePer100g' => $state->phase(Phase::Brine)->sodiumPer100g(),
                'saucePer100g' => $state->phase(Phase::Sauce)->sodiumPer100g(),
                'allPer100g' => $state->present()->sodiumPer100g(),
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
    private function reachCheckpoint(): void
    {
        if ($this->store === null || $this->checkpoint !== null || count($this->lines) < self::WORTH_KEEPING) {
            return;
        }
        if ($this->origin !== null) {
            $this->origin->reachCheckpoint();
            [$this->checkpoint, $this->covered] = [$this->origin->checkpoint, $this->origin->covered];

            return;
        }
        $this->resolved();
        $editions = $this->editions();
        $kept = $this->store->find();
        $covered = $kept === null ? false : array_search($kept->edition, $editions, true);
        [$from, $known] = $covered === false ? [0, Checkpoint::beginning($this->isApart)] : [$covered + 1, $kept];
        $to = count($editions);
        if ($from < $to) {
            $known = $known->after(
                array_slice($this->resolved(), $from, $to - $from),
                $from === 0 ? null : $this->trail[$from - 1]->bath,
                $editions[$to - 1],
            );
            $this->store->keep($known->toKeep());
        }
        [$this->checkpoint, $this->covered] = $to === 0 ? [null, 0] : [$known, $to];
    }

    /**
     * What each line is known by together with all before it, as far as they were written: their marks, and the state that
     * they come to, in which the temperatures are.
     *
     * @return list<string>
     */
    private function editions(): array
    {
        $editions = [];
        $edition = self::EDITION;
        foreach ($this->lines as $number => $line) {
            if ($line->mark === null) {
                break;
            }
            $edition = hash(
                'xxh128',
                $edition . $line->mark . pack('d', $line->at ?? -1.0) . $this->trail[$number]->digest(),
            );
            $editions[] = $edition;
        }

        return $editions;
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
