<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Household\CurrentHousehold;
use App\Intake\ServedFrom;
use App\Intake\ServingMoment;
use App\Models\Person;
use App\Support\InvalidInput;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenAmount;

/**
 * A portion: from which jar, how, on which day, and how much as it is typed: in grams and spoons, or in forks, of which
 * one is what that person usually takes.
 */
trait PortionFields
{
    /** @throws ValidationException at the path of the field */
    private static function portion(string $typed, string $personId, string $path): Grams
    {
        try {
            $grams =
                preg_match('/^\s*(.+?)\s*fork(?:s|fuls?)?\s*$/i', $typed, $forks) === 1
                    ? Grams::of(
                        KitchenAmount::parse("{$forks[1]} g")->grams()->value *
                            Person::query()->findOrFail($personId)->usual_serving_g,
                    )
                    : KitchenAmount::parse($typed)->grams();
        } catch (InvalidQuantity $refusal) {
            throw InvalidInput::at($path, $refusal->explanation());
        }

        return $grams->isZero() ? throw ValidationException::withMessages([$path => 'errors.more_than_zero']) : $grams;
    }

    public function servedFrom(): ServedFrom
    {
        return new ServedFrom(
            $this->string('batchId')->value(),
            $this->moment(),
            $this->enum('way', ServingStyle::class) ?? ServingStyle::Drained,
            $this->enum('phase', Phase::class),
        );
    }

    /** @return array<string, mixed> when it was eaten: a day of the kitchen's calendar, its meal or hour */
    private static function momentRules(): array
    {
        return [
            'eatenOn' => ['bail', 'nullable', 'string', 'date_format:Y-m-d'],
            'eatenAt' => ['bail', 'nullable', 'string', 'regex:/^([01]\d|2[0-3]):[0-5]\d$/'],
            'meal' => ['nullable', 'string', Rule::enum(Meal::class)],
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
