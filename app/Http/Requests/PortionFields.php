<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Household\CurrentHousehold;
use App\Intake\ServedFrom;
use App\Intake\ServingMoment;
use App\Models\Batch;
use App\Pantry\FoodMeasures;
use App\Pantry\KitchenAmounts;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;

/**
 * A portion: from which jar, how, on which day, and how much as it is typed: in grams, spoons or forks. A forkful is
 * what such food weighs on a fork, or what was weighed in this kitchen or for that person.
 */
trait PortionFields
{
    /** @throws ValidationException at the path of the field */
    private function portion(string $typed, string $personId, string $path): Grams
    {
        return app(KitchenAmounts::class)->grams(
            $typed,
            FoodMeasures::served(
                Batch::query()->findOrFail($this->string('batchId')->value()),
                $this->enum('phase', Served::class),
                $personId,
            ),
            $path,
        );
    }

    public function servedFrom(): ServedFrom
    {
        return new ServedFrom(
            $this->string('batchId')->value(),
            $this->moment(),
            $this->enum('way', ServingStyle::class) ?? ServingStyle::Drained,
            $this->enum('phase', Served::class),
            isCooked: $this->boolean('isCooked'),
        );
    }

    /** @return array<string, mixed> when it was eaten: a day of the kitchen's calendar, its meal or hour */
    private static function momentRules(): array
    {
        return [
            'eatenOn' => ['bail', 'nullable', 'string', 'date_format:Y-m-d'],
            'eatenAt' => ['bail', 'nullable', 'string', 'regex:/^([01]\d|2[0-3]):[0-5]\d$/'],
            'meal' => ['nullable', 'string', Rule::enum(Meal::class)],
            'isCooked' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    private static function momentMessages(): array
    {
        return [
            'eatenOn.*' => 'errors.date',
            'eatenAt.*' => 'errors.hour',
            'meal.*' => 'errors.meal',
        ];
    }

    private function moment(): ServingMoment
    {
        return new ServingMoment(
            $this->eatenOn(),
            $this->enum('meal', Meal::class),
            $this->filled('eatenAt') ? $this->string('eatenAt')->value() : null,
        );
    }

    /** The day the cook means: the one named, or today in the household's own calendar. */
    public function eatenOn(): string
    {
        $named = $this->string('eatenOn')->value();

        return $named === '' ? app(CurrentHousehold::class)->get()->today() : $named;
    }
}
