<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Intake\ServingMoment;
use App\Ledger\Ledgers;
use App\Models\BatchEntry;
use App\Models\Person;
use App\Models\PlannedServing;
use App\Models\Serving;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
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
     * @param  Phase|null  $phase  null: what is usually served from such a batch
     * @param  ServingMoment  $when  it was eaten; the jar is taken as it was then
     * @param  string|null  $plannedId  the planned serving that is eaten with it
     * @param  string  $requestKey  the same key never serves twice
     * @param  CarbonImmutable|null  $at  the very moment, where it is known
     * @param  array{name: string, grams: Grams}|null  $dish  of which it is a share
     */
    public function __invoke(
        string $batchId,
        string $personId,
        Grams $grams,
        ?Phase $phase,
        ServingMoment $when,
        string $requestKey,
        ?CarbonImmutable $at = null,
        ServingStyle $way = ServingStyle::Drained,
        ?string $plannedId = null,
        ?array $dish = null,
    ): Serving {
        return DB::transaction(function () use (
            $batchId,
            $personId,
            $grams,
            $phase,
            $when,
            $requestKey,
            $at,
            $way,
            $plannedId,
            $dish,
        ): Serving {
            $batch = $this->ledger->lock($batchId);
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
                        ->where('batch_id', $batchId)
                        ->findOrFail($plannedId);
            if (
                $planned !== null &&
                Serving::query()->where('planned_serving_id', $planned->id)->where('undone_at', null)->exists()
            ) {
                throw ValidationException::withMessages(['plannedId' => 'errors.already_eaten']);
            }
            $at ??= $when->in($batch, $this->current->get());
            $ledger = Ledgers::of($batch, $at);
            try {
                $state = $ledger->state();
                $entry = $way->plate($phase ?? BatchStatus::servedPhase($batch, $state), $grams)->bookedAt($state);
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
                'eaten_on' => $when->day,
                'phase' => $entry->phase,
                'is_live' => $batch->isLive($state),
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
