<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Intake\ServingMoment;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;

/**
 * Puts a serving right that was written down wrongly: it is taken back, and eaten anew at the moment at which it was eaten.
 */
final readonly class ChangeServing
{
    public function __construct(
        private UndoServing $undo,
        private ServePortion $serve,
        private ServeDish $together,
        private LedgerWriter $ledger,
        private HouseholdTransaction $transaction,
    ) {}

    /** @param  string  $requestKey  the same key never changes twice */
    public function one(
        string $servingId,
        string $batchId,
        string $personId,
        Grams $grams,
        ?Phase $phase,
        ServingStyle $way,
        ServingMoment $when,
        string $requestKey,
    ): Serving {
        return ($this->transaction)(function () use (
            $servingId,
            $batchId,
            $personId,
            $grams,
            $phase,
            $way,
            $when,
            $requestKey,
        ): Serving {
            $known = Serving::query()->where('request_key', $requestKey)->first();
            if ($known !== null) {
                return $known;
            }
            $before = $this->takeBack($servingId);
            if ($before->dish_key !== null) {
                throw ValidationException::withMessages(['serving' => 'errors.share_of_dish']);
            }
            $planned = [$personId, $batchId] === [$before->person_id, $before->batch_id]
                ? $before->planned_serving_id
                : null;

            return ($this->serve)(
                $batchId,
                $personId,
                $grams,
                $phase,
                $when,
                $requestKey,
                self::moment($before, $batchId, $when),
                $way,
                $planned,
            );
        });
    }

    /**
     * A whole dish, by any share of it.
     *
     * @param  non-empty-list<array{personId: string, grams: Grams}>  $portions
     * @return list<Serving>
     */
    public function dish(
        string $servingId,
        string $batchId,
        array $portions,
        Grams $dish,
        ?Phase $phase,
        ServingStyle $way,
        ServingMoment $when,
        string $requestKey,
    ): array {
        return ($this->transaction)(function () use (
            $servingId,
            $batchId,
            $portions,
            $dish,
            $phase,
            $way,
            $when,
            $requestKey,
        ): array {
            $known = Serving::query()->where('dish_key', $requestKey)->get();
            if ($known->isNotEmpty()) {
                return array_values($known->all());
            }
            $before = $this->takeBack($servingId);
            if ($before->dish_key === null) {
                throw ValidationException::withMessages(['serving' => 'errors.not_a_share']);
            }

            return ($this->together)(
                $batchId,
                $portions,
                $dish,
                $phase,
                $way,
                $when,
                $requestKey,
                self::moment($before, $batchId, $when),
            );
        });
    }

    /** The very moment at which it left its jar, where neither jar nor day changes and no other time is said; null: as it is said now. */
    private static function moment(Serving $before, string $batchId, ServingMoment $when): ?CarbonImmutable
    {
        $isAsBefore =
            $batchId === $before->batch_id &&
            $when->day === $before->eaten_on &&
            $when->meal === null &&
            $when->hour === null;

        return $isAsBefore ? $before->entry->happened_at : null;
    }

    private function takeBack(string $servingId): Serving
    {
        $this->ledger->lock(Serving::query()->findOrFail($servingId)->batch_id);
        $serving = Serving::query()->lockForUpdate()->findOrFail($servingId);
        if ($serving->undone_at !== null) {
            throw ValidationException::withMessages(['serving' => 'errors.already_undone']);
        }

        return ($this->undo)($serving->id);
    }
}
