<?php

declare(strict_types=1);

namespace App\Actions;

use App\Ledger\EntryReader;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Support\InvalidInput;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\NotEnough;

/**
 * Writes what a cook did to a batch into its ledger: one entry, or the entries of a whole process.
 */
final readonly class RecordEntry
{
    public function __construct(private LedgerWriter $ledger, private EntryReader $read) {}

    /**
     * @param  array<string, mixed>  $documented  the entry in its documented form
     * @param  string  $requestKey  the same key never writes twice
     */
    public function __invoke(string $batchId, array $documented, ?CarbonImmutable $at, string $requestKey): Batch
    {
        return DB::transaction(function () use ($batchId, $documented, $at, $requestKey): Batch {
            $lenderId = self::lenderId($documented);
            // Always in the same order, so that two jars lending to each other never wait for one another.
            $locked = [];
            foreach (
                collect([$batchId, $lenderId])
                    ->whereNotNull()
                    ->unique()
                    ->sort()
                as $id
            ) {
                $locked[$id] = $this->ledger->lock($id);
            }
            $batch = $locked[$batchId];
            if (BatchEntry::query()->where('request_key', $requestKey)->exists()) {
                return $batch;
            }
            $moment = self::moment($batch, $at);
            try {
                foreach (
                    $this->read->entries($documented, $batch, $lenderId === null ? null : $locked[$lenderId], $moment)
                    as $entry
                ) {
                    $this->ledger->append($batch, $moment, $entry, $requestKey);
                    if ($entry instanceof Starter && $lenderId !== null) {
                        $this->ledger->lend($locked[$lenderId], $moment, $entry->grams, $batch);
                    }
                }
                $this->ledger->check($batch);
            } catch (NotEnough $refusal) {
                throw InvalidInput::at('entry', $refusal->explanation());
            }

            return $batch;
        });
    }

    /** @throws ValidationException */
    public static function moment(Batch $batch, ?CarbonImmutable $at): CarbonImmutable
    {
        $now = CarbonImmutable::now();
        if ($at !== null && $at->lessThan($batch->started_at)) {
            throw ValidationException::withMessages(['at' => 'errors.before_start']);
        }
        if ($at !== null && $at->greaterThan($now->addMinute())) {
            throw ValidationException::withMessages(['at' => 'errors.future']);
        }

        return $at ?? WhenDone::now()->max($batch->started_at);
    }

    /** @param  array<string, mixed>  $documented */
    public static function lenderId(array $documented): ?string
    {
        foreach ([$documented, $documented['starter'] ?? null, $documented['brine'] ?? null] as $part) {
            if (is_array($part) && is_string($part['fromBatch'] ?? null) && !isset($part['liquid'])) {
                return $part['fromBatch'];
            }
        }

        return null;
    }
}
