<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Household\IdempotencyKey;
use App\Models\PlannedBatch;
use App\Models\RotationLine;
use App\Week\FirstWeek;

/**
 * Makes the way into a kitchen's first weeks its rotation, and plans its batches for today. Twice with one key is once.
 */
final readonly class BeginRotation
{
    public function __construct(private CurrentHousehold $current, private HouseholdTransaction $transaction) {}

    /** @return FirstWeek what was made of it */
    public function __invoke(string $requestKey): FirstWeek
    {
        return ($this->transaction)(function () use ($requestKey): FirstWeek {
            if (PlannedBatch::query()->where('request_key', IdempotencyKey::numbered($requestKey, 0))->exists()) {
                return FirstWeek::of($this->current->get());
            }
            $way = FirstWeek::of($this->current->get());
            $position = RotationLine::query()->count();
            foreach ($way->choices as $n => $choice) {
                $line = $choice->candidate->isLive
                    ? RotationLine::create([
                        'position' => $position + $n,
                        'name' => $way->makeable->formulas[$choice->candidate->id]->name,
                        'formula_id' => $choice->candidate->id,
                        'likenesses' => [],
                        'weekdays' => [],
                        'times_a_week' => (float) $way->timesAWeek(),
                        'months' => [],
                    ])
                    : null;
                PlannedBatch::create([
                    'formula_id' => $choice->candidate->id,
                    'rotation_line_id' => $line?->id,
                    'jar_id' => $choice->jar->size,
                    'start_on' => $way->makeable->household->today(),
                    'share' => 1.0,
                    'request_key' => IdempotencyKey::numbered($requestKey, $n),
                ]);
            }

            return $way;
        });
    }
}
