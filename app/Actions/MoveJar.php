<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Room;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Care\ReleasePurpose;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * Puts a jar somewhere else in the kitchen. From then on it has that place's temperatures. A jar that is ready leaves
 * the fridge only with a reading of its acid.
 */
final readonly class MoveJar
{
    public function __construct(private LedgerWriter $ledger, private CurrentHousehold $current) {}

    /** @param  string  $requestKey  the same key never moves it twice */
    public function __invoke(string $batchId, Place $place, string $requestKey, ?CarbonImmutable $at = null): Batch
    {
        return DB::transaction(function () use ($batchId, $place, $requestKey, $at): Batch {
            $batch = $this->ledger->lock($batchId);
            if ($batch->place === $place || BatchEntry::query()->where('request_key', $requestKey)->exists()) {
                return $batch;
            }
            if ($batch->place === Place::Fridge) {
                $this->refuseToStoreOut($batch);
            }
            $this->ledger->append(
                $batch,
                RecordEntry::moment($batch, $at)->startOfSecond(),
                self::standing($place),
                $requestKey,
            );
            $this->ledger->check($batch);
            $batch->update(['place' => $place]);

            return $batch;
        });
    }

    /** That it stands in a place from some moment on. */
    public static function standing(Place $place): Soak
    {
        return Soak::fromNowOn(TemperatureHistory::constant(Celsius::of(Room::at($place)->usual_celsius)))
            ->called($place->isWarm() ? 'ferment' : 'rest')
            ->in($place->value);
    }

    /** @throws ValidationException */
    private function refuseToStoreOut(Batch $batch): void
    {
        $status = BatchStatus::of(
            $batch->load(['formulaVersion', 'choreMarks', 'notes']),
            Ledgers::of($batch),
            $this->current->get(),
        );
        $goesOn = $status->forecast !== null && ($status->daysSince($status->forecast->ready) ?? -1) < 0;
        $gate = $status->gate(ReleasePurpose::StoreOut);
        if (!$goesOn && !$gate->isOpen) {
            throw InvalidInput::at('place', Message::of('errors.store_out', reason: $gate->reason));
        }
    }
}
