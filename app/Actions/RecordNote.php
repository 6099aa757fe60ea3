<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Household\IdempotencyKey;
use App\Language\StoredText;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Note;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Check\Finding;
use Tempesal\Core\Check\Inspection;

/**
 * Writes down what was tasted, read, seen or found in a jar.
 */
final readonly class RecordNote
{
    public function __construct(private LedgerWriter $ledger, private CurrentHousehold $current) {}

    /**
     * @param  array<string, mixed>  $columns  of the note
     * @param  string  $requestKey  the same key never writes twice
     */
    public function __invoke(string $batchId, array $columns, ?CarbonImmutable $at, string $requestKey): Note
    {
        return DB::transaction(function () use ($batchId, $columns, $at, $requestKey): Note {
            $batch = $this->ledger->lock($batchId);
            $written = Note::query()->withoutGlobalScope('present')->where('request_key', $requestKey)->first();
            if ($written !== null) {
                return $written;
            }
            $moment = RecordEntry::moment($batch, $at)->startOfSecond();

            return Note::create([
                'marks' => [],
                'text' => '',
                ...$columns,
                'batch_id' => $batch->id,
                'happened_at' => $moment,
                'ripened_s' => Ledgers::of($batch, $moment)->state()->ripened,
                'request_key' => $requestKey,
            ]);
        });
    }

    /** Takes a note out of the log; it is no longer found. */
    public function remove(string $noteId): Note
    {
        return DB::transaction(function () use ($noteId): Note {
            $note = Note::query()->findOrFail($noteId);
            $this->ledger->lock($note->batch_id);
            $note->remove();
            IdempotencyKey::spend($note->request_key);

            return $note;
        });
    }

    /**
     * A check of the jar, with its verdict.
     *
     * @param  list<Finding>  $found
     */
    public function check(string $batchId, array $found, string $requestKey): Note
    {
        $batch = Batch::whole()->findOrFail($batchId);
        $inspection = Inspection::of(
            BatchStatus::of($batch, Ledgers::of($batch), $this->current->get())->situation(),
            $found,
        );

        return $this(
            $batchId,
            [
                'found' => array_map(static fn(Finding $sign): string => $sign->value, $found),
                'verdict' => $inspection->verdict,
                'because' => StoredText::of($inspection->because()),
            ],
            null,
            $requestKey,
        );
    }
}
