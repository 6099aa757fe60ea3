<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Models\Formula;
use App\Models\RotationLine;
use App\Week\Planning;

/**
 * Writes down what is to come round, in its order, and how weeks are to be planned.
 */
final readonly class SaveRotation
{
    public function __construct(private CurrentHousehold $current, private HouseholdTransaction $transaction) {}

    /**
     * @param  list<array{id: string|null, name: string, formula_id: string|null, likenesses: list<string>,
     *     weekdays: list<int>, times_a_week: float, months: list<int>}>  $lines
     */
    public function __invoke(array $lines, Planning $planning): void
    {
        ($this->transaction)(function () use ($lines, $planning): void {
            $there = RotationLine::query()->get()->keyBy('id');
            $kept = [];
            foreach ($lines as $position => $line) {
                $id = $line['id'];
                unset($line['id']);
                if ($line['formula_id'] !== null) {
                    Formula::query()->findOrFail($line['formula_id']);
                }
                $row = $id === null ? null : $there[$id] ?? null;
                $row === null
                    ? ($row = RotationLine::create([...$line, 'position' => $position]))
                    : $row->update([...$line, 'position' => $position]);
                $kept[] = $row->id;
            }
            RotationLine::query()->whereNotIn('id', $kept)->delete();
            $this->current->get()->update(['planning' => $planning->toArray()]);
        });
    }
}
