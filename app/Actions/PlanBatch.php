<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Household\IdempotencyKey;
use App\Models\Formula;
use App\Models\Jar;
use App\Models\PlannedBatch;
use App\Models\RotationLine;
use Carbon\CarbonImmutable;

/**
 * Plans a batch for a day, or lets it be. Twice with one key is once.
 */
final readonly class PlanBatch
{
    public function __construct(private HouseholdTransaction $transaction) {}

    public function __invoke(
        string $formulaId,
        ?string $lineId,
        string $jarId,
        string $startOn,
        float $share,
        string $requestKey,
    ): PlannedBatch {
        return ($this->transaction)(static function () use (
            $formulaId,
            $lineId,
            $jarId,
            $startOn,
            $share,
            $requestKey,
        ): PlannedBatch {
            $formula = Formula::query()->findOrFail($formulaId);
            $jar = Jar::query()->findOrFail($jarId);
            $line = $lineId === null ? null : RotationLine::query()->findOrFail($lineId);

            return PlannedBatch::query()->where('request_key', $requestKey)->first() ??
                PlannedBatch::create([
                    'formula_id' => $formula->id,
                    'rotation_line_id' => $line?->id,
                    'jar_id' => $jar->id,
                    'start_on' => CarbonImmutable::parse($startOn)->toDateString(),
                    'share' => $share,
                    'request_key' => $requestKey,
                ]);
        });
    }

    public function cancel(string $id): void
    {
        ($this->transaction)(static function () use ($id): void {
            $planned = PlannedBatch::query()->where('batch_id', null)->findOrFail($id);
            $planned->remove();
            IdempotencyKey::spend($planned->request_key);
        });
    }
}
