<?php

declare(strict_types=1);

namespace App\Actions;

use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;

/**
 * Takes a batch off the shelf: what is still in it is written down as thrown away, and its jar is free again. Putting
 * it back takes those entries back. Twice is once.
 */
final readonly class EmptyJar
{
    /** Grams that are not worth a line. */
    private const TRACE_G = 0.05;

    public function __construct(private LedgerWriter $ledger) {}

    public function __invoke(string $batchId, bool $isEmptied, ?CarbonImmutable $at = null): Batch
    {
        return DB::transaction(function () use ($batchId, $isEmptied, $at): Batch {
            $batch = $this->ledger->lock($batchId);
            if ($isEmptied === ($batch->emptied_at !== null)) {
                return $batch;
            }
            try {
                $isEmptied
                    ? $this->throwAway($batch, RecordEntry::moment($batch, $at)->startOfSecond())
                    : $this->putBack($batch, $batch->emptied_at ?? CarbonImmutable::now());
            } catch (NotEnough $refusal) {
                throw InvalidInput::at('isEmptied', $refusal->explanation());
            }

            return $batch;
        });
    }

    /**
     * Does something to a jar at a moment before it was emptied: what was thrown away then is undone and thrown away
     * once more.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     *
     * @throws NotEnough
     */
    public function before(Batch $locked, CarbonImmutable $at, Closure $work): mixed
    {
        $emptiedAt = $locked->emptied_at;
        if ($emptiedAt === null || !$at->isBefore($emptiedAt)) {
            return $work();
        }
        $this->putBack($locked, $emptiedAt);
        $done = $work();
        $this->throwAway($locked, $emptiedAt);

        return $done;
    }

    /** @throws NotEnough where more is still to be done to it than would be left */
    private function throwAway(Batch $batch, CarbonImmutable $now): void
    {
        $state = Ledgers::of($batch, $now)->state();
        foreach (Phase::cases() as $phase) {
            $grams = $state->phase($phase)->weightG();
            if ($grams > self::TRACE_G) {
                $this->ledger->append($batch, $now, new Discard($phase, Grams::of($grams)));
            }
        }
        $this->ledger->check($batch);
        $batch->update(['emptied_at' => $now]);
    }

    /** @throws NotEnough */
    private function putBack(Batch $batch, CarbonImmutable $emptiedAt): void
    {
        foreach ($batch->standing() as $line) {
            if ($line->kind === Discard::kind() && $line->happened_at->equalTo($emptiedAt)) {
                $this->ledger->reverse($batch, $line, CarbonImmutable::now());
            }
        }
        $this->ledger->check($batch);
        $batch->update(['emptied_at' => null]);
    }
}
