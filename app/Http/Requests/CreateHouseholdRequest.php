<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Account\EmailInput;
use App\Account\PasswordRule;
use App\Actions\CreateHousehold;
use App\Actions\SeedPantry;
use App\Language\StoredText;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Message\Message;

/**
 * A new kitchen: who eats, which limit, what jars.
 *
 * @phpstan-import-type Eater from CreateHousehold
 */
final class CreateHouseholdRequest extends FormRequest
{
    /** An address is known by its small letters. */
    protected function prepareForValidation(): void
    {
        EmailInput::normalise($this);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['required', 'string', new PasswordRule()],
            'timeZone' => ['required', 'string', 'timezone:all'],
            'spoonSystem' => ['required', 'string', Rule::enum(SpoonSystem::class)],
            'usesInches' => ['nullable', 'boolean'],
            'usesFahrenheit' => ['nullable', 'boolean'],
            'measureBy' => ['nullable', 'string', 'in:grams,spoons'],
            'people' => ['required', 'array', 'min:1', 'max:12'],
            'people.*.name' => ['required', 'string', 'max:60'],
            'people.*.preset' => ['nullable', 'string', Rule::enum(TargetPreset::class)],
            'people.*.targetMg' => ['required_without:people.*.preset', 'nullable', 'integer', 'min:200', 'max:10000'],
            'people.*.restOfDietMg' => ['required', 'integer', 'min:0', 'max:10000'],
            'jarCounts' => ['present', 'array', 'max:' . count(SeedPantry::JARS)],
            'jarCounts.*' => ['integer', 'min:0', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'errors.kitchen_name',
            'email.required' => 'errors.email_missing',
            'email.email' => 'errors.email_invalid',
            'email.unique' => 'errors.email_taken',
            'password.required' => 'errors.password_missing',
            'people.required' => 'errors.no_people',
            'people.*.name.required' => 'errors.name',
            'people.*.targetMg.*' => 'errors.target',
            'people.*.restOfDietMg.*' => 'errors.other_food_estimate',
            'jarCounts.*.*' => 'errors.jar_count',
        ];
    }

    /** Its spoons, and what was said of the rest; such kitchens usually measure alike. */
    public function units(): KitchenUnits
    {
        $usual = KitchenUnits::of(Habit::ofSpoons(SpoonSystem::from($this->string('spoonSystem')->value())));

        return new KitchenUnits(
            $usual->habit,
            $this->boolean('usesInches', $usual->usesInches),
            $this->boolean('usesFahrenheit', $usual->usesFahrenheit),
        );
    }

    public function measureBy(): string
    {
        return $this->string('measureBy', 'grams')->value();
    }

    /** @return list<Eater> */
    public function eaters(): array
    {
        /**
         * @var list<array{name: string, preset?: string|null, targetMg?: int|string|null,
         *     restOfDietMg: int|string}> $people
         */
        $people = $this->validated('people');

        return array_map(static function (array $person): array {
            $preset = TargetPreset::tryFrom($person['preset'] ?? '');

            return [
                'name' => $person['name'],
                'targetSodiumMg' => $preset?->milligrams() ?? (int) ($person['targetMg'] ?? 0),
                'targetSource' => StoredText::of($preset?->source() ?? Message::of('target_preset_source.own')),
                'usualServingG' => 40.0,
                'restOfDietMg' => (int) $person['restOfDietMg'],
            ];
        }, $people);
    }

    /** @return array<int, int> */
    public function jarCounts(): array
    {
        /** @var array<int, int|string> $counts */
        $counts = $this->validated('jarCounts');

        return array_map(intval(...), array_values($counts));
    }
}
