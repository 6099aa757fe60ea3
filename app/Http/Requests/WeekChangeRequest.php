<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\ChangeWeek;
use App\Care\BatchStatus;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Person;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Message\Message;

/**
 * Servings that are put into a week's plan, and those that go from it.
 *
 * @phpstan-import-type Meant from ChangeWeek
 */
final class WeekChangeRequest extends FormRequest
{
    use ListFields;

    private const MOST_G = 2_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'put' => ['present', 'array', 'list', 'max:200'],
            'put.*.personId' => ['required', 'string', 'max:26'],
            'put.*.batchId' => ['required', 'string', 'max:26'],
            'put.*.date' => ['required', 'string', 'date_format:Y-m-d'],
            'put.*.grams' => ['nullable', 'numeric', 'gt:0', 'max:' . self::MOST_G],
            'put.*.way' => ['nullable', 'string', Rule::enum(ServingStyle::class)],
            'put.*.isLocked' => ['nullable', 'boolean'],
            'remove' => ['present', 'array', 'list', 'max:200'],
            'remove.*' => ['string', 'max:26'],
            'requestKey' => ['required', 'string', 'ulid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'put.*.personId.*' => 'errors.which_person',
            'put.*.batchId.*' => 'errors.which_jar',
            'put.*.date.*' => 'errors.date',
            'put.*.grams.*' => Message::of('errors.portion_most', most: self::MOST_G)->encode(),
            'put.*.way.*' => 'errors.serving_style',
            'put.*.isLocked.*' => 'errors.is_locked',
            'put.*' => 'errors.servings_200',
            'remove.*' => 'errors.servings_200',
            'requestKey.*' => 'errors.request_key',
        ];
    }

    /** @return list<Meant> */
    public function put(): array
    {
        /**
         * @var list<array{
         *     personId: string, batchId: string, date: string, grams?: float|numeric-string|null, way?: string|null,
         *     isLocked?: bool|int|string|null
         * }> $given
         */
        $given = $this->validated('put');
        $put = [];
        foreach ($given as $one) {
            $put[] = [
                'personId' => $one['personId'],
                'batchId' => $one['batchId'],
                'date' => $one['date'],
                'grams' => isset($one['grams'])
                    ? (float) $one['grams']
                    : self::usual($one['personId'], $one['batchId']),
                'way' => isset($one['way']) ? ServingStyle::from($one['way']) : ServingStyle::Drained,
                'isLocked' => (bool) ($one['isLocked'] ?? false),
            ];
        }

        return $put;
    }

    /** @return list<string> */
    public function removed(): array
    {
        return $this->words('remove');
    }

    /** What a person usually takes of a batch, in grams. */
    private static function usual(string $personId, string $batchId): float
    {
        $batch = Batch::query()->with('entries')->findOrFail($batchId);

        return $batch->usualPortion(
            Person::query()->findOrFail($personId),
            BatchStatus::served($batch, Ledgers::of($batch)->state()),
        );
    }
}
