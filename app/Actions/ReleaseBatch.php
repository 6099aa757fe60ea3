<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Language\StoredText;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Note;
use App\Support\InvalidInput;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Care\ReleasePurpose;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;

/**
 * Bottles a batch or gives some of it away, where its acid was read; both are written into its log. Keeping it out of
 * the fridge is a move, see StandJar.
 */
final readonly class ReleaseBatch
{
    public function __construct(private LedgerWriter $ledger, private CurrentHousehold $current) {}

    /**
     * @param  float|null  $grams  how much is given away
     * @param  string  $requestKey  the same key never does it twice
     */
    public function __invoke(string $batchId, ReleasePurpose $purpose, ?float $grams, string $requestKey): Batch
    {
        return DB::transaction(function () use ($batchId, $purpose, $grams, $requestKey): Batch {
            $batch = $this->ledger->lock($batchId)->load(['formulaVersion', 'choreMarks', 'notes']);
            if (Note::query()->withoutGlobalScope('present')->where('request_key', $requestKey)->exists()) {
                return $batch;
            }
            $status = BatchStatus::of($batch, Ledgers::of($batch), $this->current->get());
            $gate = $status->gate($purpose);
            if (!$gate->isOpen) {
                throw InvalidInput::at('purpose', $gate->reason);
            }
            $now = WhenDone::now()->startOfSecond();
            $done = Message::of('release.bottled', reason: $gate->reason);
            if ($purpose === ReleasePurpose::GiveAway) {
                if ($grams === null) {
                    throw ValidationException::withMessages(['grams' => 'errors.give_away_grams']);
                }
                $done = Message::of('release.given_away', grams: round($grams, 1), reason: $gate->reason);
                try {
                    $give = (new Give(BatchStatus::served($batch, $status->state), Grams::of($grams), null))->bookedAt(
                        $status->state,
                    );
                    $this->ledger->append($batch, $now, $give, $requestKey);
                    $this->ledger->check($batch);
                } catch (NotEnough $refusal) {
                    throw InvalidInput::at('grams', $refusal->explanation());
                }
            }
            Note::create([
                'batch_id' => $batch->id,
                'happened_at' => $now,
                'ripened_s' => $status->state->ripened,
                'marks' => [],
                'text' => StoredText::of($done),
                'request_key' => $requestKey,
            ]);

            return $batch;
        });
    }
}
