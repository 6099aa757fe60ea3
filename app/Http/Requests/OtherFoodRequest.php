<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Household\CurrentHousehold;
use App\Models\Person;
use App\Support\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Intake\LabelSodium;
use Tempesal\Core\Intake\Meal;

/**
 * Something that is not from a jar.
 */
final class OtherFoodRequest extends FormRequest
{
    use ListFields, PortionFields;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'personId' => ['required', 'string', 'max:26'],
            'name' => ['required', 'string', 'max:120'],
            'eatenOn' => ['nullable', 'string', 'date_format:Y-m-d'],
            'how' => ['required', 'array', 'max:8'],
            'insteadOf' => ['nullable', 'array', 'list', 'max:3'],
            'insteadOf.*' => ['string', 'distinct', Rule::enum(Meal::class)],
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'personId.*' => 'errors.which_person',
            'name.*' => 'errors.what_eaten',
            'eatenOn.*' => 'errors.date',
            'how.*' => 'errors.sodium_missing',
            'insteadOf.*' => 'errors.instead_of',
            'requestKey.*' => 'errors.request_key',
        ];
    }

    /**
     * @return array{
     *     person_id: string, eaten_on: string, name: string, sodium_mg: float, instead_of: list<string>,
     *     how: array<string, mixed>
     * }
     *
     * @throws ValidationException
     */
    public function columns(): array
    {
        if ($this->eatenOn() > app(CurrentHousehold::class)->get()->today()) {
            throw ValidationException::withMessages(['eatenOn' => 'errors.future_day']);
        }
        /** @var array<string, mixed> $how */
        $how = $this->validated('how');
        try {
            $sodium = LabelSodium::milligrams(Fields::of($how, 'how'));
        } catch (InvalidField $refusal) {
            throw InvalidInput::at($refusal->path, $refusal->explanation());
        }

        return [
            'person_id' => Person::query()->findOrFail($this->string('personId')->value())->id,
            'eaten_on' => $this->eatenOn(),
            'name' => $this->string('name')->trim()->value(),
            'sodium_mg' => $sodium,
            'instead_of' => $this->words('insteadOf'),
            'how' => $how,
        ];
    }
}
