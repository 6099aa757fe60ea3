<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Intake\ServedFrom;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Measure\Grams;

/**
 * Corrects a serving: it is undone, and served again at the moment at which it was eaten.
 */
final readonly class ChangeServing
{
    public function __construct(
        private UndoServing $undo,
        private ServePortion $serve,
        private ServeDish $serveDish,
        private LedgerWriter $ledger,
        private HouseholdTransaction $transaction,
    ) {}

    /** @param  string  $requestKey  the same key never changes twice */
    public function one(
        string $servingId,
        ServedFrom $from,
        string $personId,
        Grams $grams,
        string $requestKey,
    ): Serving {
        return ($this->transaction)(function () use ($servingId, $from, $personId, $grams, $requestKey): Serving {
            $known = Serving::query()->where('request_key', $requestKey)->first();
            if ($known !== null) {
                return $known;
            }
            $before = $this->undone($servingId);
            if ($before->dish_key !== null) {
                throw ValidationException::withMessages(['serving' => 'errors.share_of_dish']);
            }
            $planned = [$personId, $from->batchId] === [$before->person_id, $before->batch_id]
                ? $before->planned_serving_id
                : null;

            return ($this->serve)($from->at(self::moment($before, $from)), $personId, $grams, $requestKey, $planned);
        });
    }

    /**
     * A whole dish, by any share of it.
     *
     * @param  non-empty-list<array{personId: string, grams: Grams}>  $portions
     * @return list<Serving>
     */
    public function dish(string $servingId, ServedFrom $from, array $portions, Grams $dish, string $requestKey): array
    {
        return ($this->transaction)(function () use ($servingId, $from, $portions, $dish, $requestKey): array {
            $known = Serving::query()->where('dish_key', $requestKey)->get();
            if ($known->isNotEmpty()) {
                return array_values($known->all());
            }
            $before = $this->undone($servingId);
            if ($before->dish_key === null) {
                throw ValidationException::withMessages(['serving' => 'errors.not_a_share']);
            }

            return ($this->serveDish)($from->at(self::moment($before, $from)), $portions, $dish, $requestKey);
        });
    }

    /**
     * The very moment at which it left its jar, where it is the same jar and day and no time is given; null: as given
     * now.
     */
    private static function moment(Serving $before, ServedFrom $from): ?CarbonImmutable
    {
        $isAsBefore =
            $from->batchId === $before->batch_id &&
            $from->when->day === $before->eaten_on &&
            $from->when->meal === null &&
            $from->when->hour === null;

        return $isAsBefore ? $before->entry->happened_at : null;
    }

    private function undone(string $servingId): Serving
    {
        $this->ledger->lock(Serving::query()->findOrFail($servingId)->batch_id);
        $serving = Serving::query()->lockForUpdate()->findOrFail($servingId);
        if ($serving->undone_at !== null) {
            throw ValidationException::withMessages(['serving' => 'errors.already_undone']);
        }

        return ($this->undo)($serving->id);
    }
}
