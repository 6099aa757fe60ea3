<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\Tended;
use App\Household\OneAtATime;
use App\Household\RequestKey;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\Way;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;

/**
 * Several people eat from one jar at once, all or none. Of a dish each takes a share; what is left of it leaves the jar as well,
 * by a line that bears the dish's key.
 */
final readonly class ServeTogether
{
    /** Shares of a dish that are nothing. */
    private const ROUNDING = 1e-6;

    public function __construct(private ServePortion $serve, private KeepLedger $ledger, private OneAtATime $oneAtATime)
    {
    }

    /**
     * @param  non-empty-list<array{personId: string, grams: Grams}>  $portions
     * @param  Grams|null  $dish  what went into a dish; null: there is none
     * @return list<Serving>
     */
    public function __invoke(string $batchId, array $portions, ?Grams $dish, ?Phase $phase, Way $way, string $eatenOn, string $requestKey, ?CarbonImmutable $at = null): array
    {
        return ($this->oneAtATime)(function () use ($batchId, $portions, $dish, $phase, $way, $eatenOn, $requestKey, $at): array {
            $servings = [];
            $isNew = Serving::query()->where('request_key', self::keyOf($requestKey, 0))->doesntExist();
            foreach ($portions as $i => $portion) {
                try {
                    $servings[] = ($this->serve)($batchId, $portion['personId'], $portion['grams'], $phase, $eatenOn, self::keyOf($requestKey, $i), $at, $way, dish: $dish === null ? null : ['name' => $requestKey, 'grams' => $dish]);
                } catch (ValidationException $refusal) {
                    throw ValidationException::withMessages([$dish === null ? "portions.{$i}.amount" : 'dishAmount' => array_merge(...array_values($refusal->errors()))]);
                }
            }
            $left = ($dish->value ?? 0.0) - array_sum(array_map(static fn (array $portion): float => $portion['grams']->value, $portions));
            if ($dish !== null && $isNew && $left > self::ROUNDING) {
                $this->giveAway($batchId, $phase, Grams::of($left), $at ?? CarbonImmutable::now(), $requestKey);
            }

            return $servings;
        });
    }

    private function giveAway(string $batchId, ?Phase $phase, Grams $grams, CarbonImmutable $at, string $requestKey): void
    {
        $batch = $this->ledger->lock($batchId);
        $state = $batch->ledger($at)->state();
        try {
            $this->ledger->append($batch, $at, (new Give($phase ?? Tended::servedPhase($batch, $state), $grams, null))->bookedAt($state), $requestKey);
            $this->ledger->check($batch);
        } catch (NotEnough $refusal) {
            throw ValidationException::withMessages(['dishAmount' => $refusal->getMessage()]);
        }
    }

    /** A key of its own for each. */
    private static function keyOf(string $requestKey, int $number): string
    {
        return $number === 0 ? $requestKey : RequestKey::numbered($requestKey, $number);
    }
}
