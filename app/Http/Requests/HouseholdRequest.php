<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Household\CurrentHousehold;
use App\Language\ReaderLanguage;
use App\Views\KitchenView;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Method\Aim;

/**
 * How a kitchen measures and counts its days.
 */
final class HouseholdRequest extends FormRequest
{
    use PartialUpdate;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->versionRules(),
            'name' => ['required', 'string', 'max:80'],
            'timeZone' => ['required', 'string', 'timezone:all'],
            'language' => ['required', 'string', 'max:35', 'regex:' . ReaderLanguage::LOCALE],
            'spoonSystem' => ['required', 'string', Rule::enum(SpoonSystem::class)],
            'usesInches' => ['required', 'boolean'],
            'usesFahrenheit' => ['required', 'boolean'],
            'measureBy' => ['required', 'string', 'in:grams,spoons'],
            'weekStart' => ['required', 'integer', 'min:1', 'max:7'],
            'quietFrom' => ['required', 'string', 'regex:/^([01]\d|2[0-3]):[0-5]\d$/'],
            'quietTo' => ['required', 'string', 'regex:/^([01]\d|2[0-3]):[0-5]\d$/'],
            'aim' => ['required', 'string', Rule::enum(Aim::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'name.required' => 'errors.kitchen_name',
            'timeZone.*' => 'errors.time_zone',
            'language.*' => 'errors.language',
            'measureBy.*' => 'errors.measure_by',
            'quietFrom.*' => 'errors.quiet_from',
            'quietTo.*' => 'errors.quiet_to',
            'aim.*' => 'errors.aim',
            'weekStart.*' => 'errors.week_start',
        ];
    }

    /** @return array<string, mixed> */
    protected function before(): array
    {
        $household = app(CurrentHousehold::class)->get();

        return [
            'name' => $household->name,
            'timeZone' => $household->time_zone,
            'language' => $household->language,
            ...KitchenView::units($household),
            'weekStart' => $household->week_start,
            'quietFrom' => $household->quiet_from,
            'quietTo' => $household->quiet_to,
            'aim' => $household->aim->value,
        ];
    }

    /** @return array<string, mixed> columns of the household */
    public function columns(): array
    {
        return [
            'name' => $this->string('name')->trim()->value(),
            'time_zone' => $this->string('timeZone')->value(),
            'language' => $this->string('language')->value(),
            'spoon_system' => $this->string('spoonSystem')->value(),
            'uses_inches' => $this->boolean('usesInches'),
            'uses_fahrenheit' => $this->boolean('usesFahrenheit'),
            'measure_by' => $this->string('measureBy')->value(),
            'week_start' => $this->integer('weekStart'),
            'quiet_from' => $this->string('quietFrom')->value(),
            'quiet_to' => $this->string('quietTo')->value(),
            'aim' => $this->string('aim')->value(),
        ];
    }
}
