<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\CreateHousehold;
use App\Actions\SeedPantry;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Measure\SpoonSystem;

/**
 * A new kitchen: who eats, which limit, what jars.
 *
 * @phpstan-import-type Eater from CreateHousehold
 */
final class CreateHouseholdRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'email' => ['required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
            'timeZone' => ['required', 'string', 'timezone:all'],
            'spoonSystem' => ['required', 'string', Rule::enum(SpoonSystem::class)],
            'people' => ['required', 'array', 'min:1', 'max:12'],
            'people.*.name' => ['required', 'string', 'max:60'],
            'people.*.preset' => ['nullable', 'string', Rule::enum(TargetPreset::class)],
            'people.*.targetMg' => ['required_without:people.*.preset', 'nullable', 'integer', 'min:200', 'max:10000'],
            'people.*.restOfDietMg' => ['required', 'integer', 'min:0', 'max:10000'],
            'jarCounts' => ['present', 'array', 'max:'.count(SeedPantry::JARS)],
            'jarCounts.*' => ['integer', 'min:0', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the kitchen a name.',
            'email.required' => 'Your e-mail address is needed to sign in.',
            'email.email' => 'That does not look like an e-mail address.',
            'email.unique' => 'There is a kitchen with this e-mail address already. Sign in instead.',
            'password.min' => 'A password needs at least 10 letters.',
            'password.required' => 'A password is needed to sign in.',
            'people.required' => 'Somebody has to eat: name one person.',
            'people.*.name.required' => 'A name is needed here.',
            'people.*.targetMg.*' => 'A daily target lies between 200 and 10000 mg of sodium.',
            'people.*.restOfDietMg.*' => 'The rest of the diet lies between 0 and 10000 mg of sodium.',
            'jarCounts.*.*' => 'Between 0 and 200 jars.',
        ];
    }

    public function spoons(): SpoonSystem
    {
        return SpoonSystem::from($this->string('spoonSystem')->value());
    }

    /** @return list<Eater> */
    public function eaters(): array
    {
        /** @var list<array{name: string, preset?: string|null, targetMg?: int|string|null, restOfDietMg: int|string}> $people */
        $people = $this->validated('people');

        return array_map(static function (array $person): array {
            $preset = TargetPreset::tryFrom($person['preset'] ?? '');

            return [
                'name' => $person['name'],
                'targetSodiumMg' => $preset?->milligrams() ?? (int) ($person['targetMg'] ?? 0),
                'targetSource' => $preset?->source() ?? 'A number of your own',
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
