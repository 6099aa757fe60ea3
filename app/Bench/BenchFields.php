<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use Tempesal\Core\Formula\Method;
use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\Basis;

/**
 * The fields of the bench as they come over the wire: amounts as typed, choices as words, rows by id.
 *
 * @phpstan-type Typed array{method: string, vegetableId: string, vegetableAmount?: string|null, shape?: string|null, jarId?: string|null, headspaceMm?: int|float|null, weightMl?: int|float|null, saltId: string, saltUnit: string, fixed?: string, strengthPercent?: string|int|float|null, strengthBasis: string, saltAmount?: string|null, waterAmount?: string|null, starterId?: string|null, starterBatchId?: string|null, starterAmount?: string|null, servingAmount?: string|null}
 */
final class BenchFields
{
    public const USUAL_SERVING_G = 40.0;

    /** @return array<string, list<string|Enum|In>> */
    public static function rules(): array
    {
        return [
            'method' => ['required', 'string', Rule::enum(Method::class)->only(Method::onBench())],
            'vegetableId' => ['required', 'string', 'max:26'],
            'vegetableAmount' => ['nullable', 'string', 'max:60'],
            'shape' => ['nullable', 'string', Rule::enum(PieceShape::class)],
            'jarId' => ['nullable', 'string', 'max:26'],
            'headspaceMm' => ['nullable', 'numeric', 'min:0', 'max:500'],
            'weightMl' => ['nullable', 'numeric', 'min:0', 'max:5000'],
            'saltId' => ['required', 'string', 'max:26'],
            'saltUnit' => ['required', 'string', Rule::enum(SaltUnit::class)],
            'fixed' => ['required', 'string', Rule::in(['strength', 'salt'])],
            'strengthPercent' => ['nullable', 'string', 'max:20'],
            'strengthBasis' => ['required', 'string', Rule::enum(Basis::class)],
            'saltAmount' => ['nullable', 'string', 'max:60'],
            'waterAmount' => ['nullable', 'string', 'max:60'],
            'starterId' => ['nullable', 'string', 'max:26'],
            'starterBatchId' => ['nullable', 'string', 'max:26'],
            'starterAmount' => ['nullable', 'string', 'max:60'],
            'servingAmount' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'vegetableId.required' => 'Pick a vegetable.',
            'saltId.required' => 'Pick a salt.',
            'max' => 'That is too long to be an amount.',
            'numeric' => 'A number is needed here.',
            'headspaceMm.*' => 'Headspace lies between 0 and 500 mm.',
            'weightMl.*' => 'A weight takes between 0 and 5000 ml.',
            'string' => 'A text is needed here.',
            Enum::class => 'That is not one of the choices.',
            'in' => 'That is not one of the choices.',
            'required' => 'This is needed.',
        ];
    }
}
