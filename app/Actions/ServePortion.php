<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Care\LiveCulture;
use App\Household\CurrentHousehold;
use App\Intake\ServedFrom;
use App\Ledger\Ledgers;
use App\Models\BatchEntry;
use App\Models\Person;
use App\Models\PlannedServing;
use App\Models\Serving;
use App\Support\InvalidInput;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Measure\Grams;

/**
 * A portion goes from a jar to a person: out of the batch's ledger, onto the person's day.
 */
final readonly class ServePortion
{
    public function __construct(
        private LedgerWriter $ledger,
        private CurrentHousehold $current,
        private EmptyJar $empty,
    ) {}

    /**
     * @param  string|null  $plannedId  the planned serving that is eaten with it
     * @param  string  $requestKey  the same key never serves twice
     * @param  array{name: string, grams: Grams}|null  $dish  of which it is a share
     */
    public function __invoke(
        ServedFrom $from,
        string $personId,
        Grams $grams,
        string $requestKey,
        ?string $plannedId = null,
        ?array $dish = null,
    ): Serving {
        return DB::transaction(function () use ($from, $personId, $grams, $requestKey, $plannedId, $dish): Serving {
            $batch = $this->ledger->lock($from->batchId);
            $served = Serving::query()->where('request_key', $requestKey)->first();
            if ($served !== null) {
                return $served;
            }
            $person = Person::query()->findOrFail($personId);
            $planned =
                $plannedId === null
                    ? null
                    : PlannedServing::query()
                        ->where('person_id', $personId)
                        ->where('batch_id', $from->batchId)
                        ->findOrFail($plannedId);
            if (
                $planned !== null &&
                Serving::query()->where('planned_serving_id', $planned->id)->where('undone_at', null)->exists()
            ) {
                throw ValidationException::withMessages(['plannedId' => 'errors.already_eaten']);
            }
            $at = $from->moment($batch, $this->current->get());
            $ledger = Ledgers::of($batch, $at);
            try {
                $state = $ledger->state();
                $entry = $from->way
                    ->plate($from->served ?? BatchStatus::served($batch, $state), $grams)
                    ->bookedAt($state);
                $sodium = $ledger->serving($entry);
                $line = $this->empty->before($batch, $at, function () use ($batch, $at, $entry): BatchEntry {
                    $line = $this->ledger->append($batch, $at, $entry);
                    $this->ledger->check($batch);

                    return $line;
                });
            } catch (NotEnough $refusal) {
                throw InvalidInput::at('amount', $refusal->explanation());
            }

            return Serving::create([
                'person_id' => $person->id,
                'batch_id' => $batch->id,
                'batch_entry_id' => $line->id,
                'eaten_on' => $from->when->day,
                'phase' => $entry->served,
                'is_live' => !$from->isCooked && LiveCulture::counts($batch, $state, $at),
                'is_cooked' => $from->isCooked,
                'grams' => $grams->value,
                ...Serving::sodiumColumns()->write($sodium->band),
                'undone_at' => null,
                'dish_key' => $dish['name'] ?? null,
                'dish_g' => $dish === null ? null : $dish['grams']->value,
                'planned_serving_id' => $planned?->id,
                'request_key' => $requestKey,
            ]);
        });
    }
}
