<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;

/**
 * Portions for several people.
 */
final class DishRequest extends FormRequest
{
    use PortionFields;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'batchId' => ['required', 'string', 'max:26'],
            'portions' => ['required', 'array', 'list', 'min:1', 'max:40'],
            'portions.*.personId' => ['required', 'string', 'max:26', 'distinct'],
            'portions.*.amount' => ['nullable', 'string', 'max:60'],
            'portions.*.share' => ['nullable', 'numeric', 'gt:0', 'max:1'],
            'dishAmount' => ['nullable', 'string', 'max:60'],
            'phase' => ['nullable', 'string', Rule::enum(Served::class)],
            'way' => ['nullable', 'string', Rule::enum(ServingStyle::class)],
            ...self::momentRules(),
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'batchId.*' => 'errors.which_jar',
            'portions.*.personId.*' => 'errors.portion_people',
            'portions.*.amount.*' => 'errors.portion_amount',
            'portions.*.share.*' => 'errors.dish_share',
            'portions.*' => 'errors.who_eats',
            'dishAmount.*' => 'errors.dish_amount',
            'phase.*' => 'errors.choice',
            'way.*' => 'errors.choice',
            ...self::momentMessages(),
            'requestKey.*' => 'errors.request_key',
        ];
    }

    /**
     * @return non-empty-list<array{personId: string, grams: Grams}>
     *
     * @throws ValidationException
     */
    public function portions(): array
    {
        $dish = $this->dish();
        $portions = [];
        /**
         * @var non-empty-list<array{personId: string, amount?: string|null, share?: float|numeric-string|null}> $given
         */
        $given = $this->validated('portions');
        foreach ($given as $i => $one) {
            $grams =
                $dish === null
                    ? $this->portion($one['amount'] ?? '', $one['personId'], "portions.{$i}.amount")
                    : Grams::of(
                        $dish->value *
                            (float) ($one['share'] ??
                                throw ValidationException::withMessages([
                                    "portions.{$i}.share" => 'errors.which_share',
                                ])),
                    );
            $portions[] = ['personId' => $one['personId'], 'grams' => $grams];
        }
        if (
            $dish !== null &&
            array_sum(array_map(static fn(array $one): float => $one['grams']->value, $portions)) >
                $dish->value * (1.0 + 1e-6)
        ) {
            throw ValidationException::withMessages(['portions' => 'errors.dish_too_much']);
        }

        return $portions;
    }

    /** @throws ValidationException */
    public function dish(): ?Grams
    {
        return $this->filled('dishAmount')
            ? $this->portion(
                $this->string('dishAmount')->value(),
                $this->string('portions.0.personId')->value(),
                'dishAmount',
            )
            : null;
    }
}
