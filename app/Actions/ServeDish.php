<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Household\IdempotencyKey;
use App\Intake\ServedFrom;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Serving;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Measure\Grams;

/**
 * Several people eat from one jar at once, all or none. Of a dish each takes a share; what is left of it leaves the jar
 * as well, by a line that bears the dish's key.
 */
final readonly class ServeDish
{
    /** Shares of a dish that are nothing. */
    private const ROUNDING = 1e-6;

    public function __construct(
        private ServePortion $serve,
        private LedgerWriter $ledger,
        private HouseholdTransaction $transaction,
        private CurrentHousehold $current,
        private EmptyJar $empty,
    ) {}

    /**
     * @param  non-empty-list<array{personId: string, grams: Grams}>  $portions
     * @param  Grams|null  $dish  what went into a dish; null: there is none
     * @return list<Serving>
     */
    public function __invoke(ServedFrom $from, array $portions, ?Grams $dish, string $requestKey): array
    {
        return ($this->transaction)(function () use ($from, $portions, $dish, $requestKey): array {
            $servings = [];
            $at = $from->moment(Batch::query()->findOrFail($from->batchId), $this->current->get());
            $from = $from->at($at);
            $isNew = Serving::query()->where('request_key', self::keyOf($requestKey, 0))->doesntExist();
            foreach ($portions as $i => $portion) {
                try {
                    $servings[] = ($this->serve)(
                        $from,
                        $portion['personId'],
                        $portion['grams'],
                        self::keyOf($requestKey, $i),
                        dish: $dish === null ? null : ['name' => $requestKey, 'grams' => $dish],
                    );
                } catch (ValidationException $refusal) {
                    throw ValidationException::withMessages([
                        $dish === null ? "portions.{$i}.amount" : 'dishAmount' => array_merge(
                            ...array_values($refusal->errors()),
                        ),
                    ]);
                }
            }
            $left =
                ($dish->value ?? 0.0) -
                array_sum(array_map(static fn(array $portion): float => $portion['grams']->value, $portions));
            if ($dish !== null && $isNew && $left > self::ROUNDING) {
                $this->giveAway($from, Grams::of($left), $at, $requestKey);
            }

            return $servings;
        });
    }

    private function giveAway(ServedFrom $from, Grams $grams, CarbonImmutable $at, string $requestKey): void
    {
        $batch = $this->ledger->lock($from->batchId);
        $state = Ledgers::of($batch, $at)->state();
        try {
            $give = (new Give($from->served ?? BatchStatus::served($batch, $state), $grams, null))->bookedAt($state);
            $this->empty->before($batch, $at, function () use ($batch, $at, $give, $requestKey): void {
                $this->ledger->append($batch, $at, $give, $requestKey);
                $this->ledger->check($batch);
            });
        } catch (NotEnough $refusal) {
            throw InvalidInput::at('dishAmount', $refusal->explanation());
        }
    }

    /** A key of its own for each. */
    private static function keyOf(string $requestKey, int $number): string
    {
        return $number === 0 ? $requestKey : IdempotencyKey::numbered($requestKey, $number);
    }
}
