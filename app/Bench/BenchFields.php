<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltBasis;

/**
 * The fields of the bench as they come over the wire: amounts as typed, choices as words, rows by id.
 *
 * @phpstan-type Part array{foodId: string, amount?: string|null}
 * @phpstan-type Typed array{method: string, vegetableId?: string|null, vegetableAmount?: string|null,
 *     shape?: string|null, alongside?: list<Part>|null, paste?: list<Part>|null, sourceBatchId?: string|null,
 *     keptBrine?: string|null, isHeated?: bool|null, jarId?: string|null, moreJarIds?: list<string>|null,
 *     headspaceMm?: int|float|null, weightMl?: int|float|null, holdDownId?: string|null, cover?: string|null,
 *     hasSaucer?: bool|null, hasOneMore?: bool|null, keepsLeftOver?: bool|null, leftOutAmount?: string|null,
 *     cuts?: list<array{shape: string, percent: int|float|string, reachMm?: int|float|string|null}>|null,
 *     saltId: string, saltUnit: string, fixed?: string,
 *     strengthPercent?: string|int|float|null, strengthBasis: string, saltAmount?: string|null,
 *     tastings?: list<string|null>|null, sodiumWanted?: string|null, waterAmount?: string|null, waterAs?: string|null,
 *     pouredAmount?: string|null,
 *     starterId?: string|null, starterBatchId?: string|null, starterAmount?: string|null,
 *     saltingMinutes?: int|float|null, rinseSeconds?: int|float|null, isSqueezed?: bool|null,
 *     roomCelsius?: int|float|null, servingAmount?: string|null}
 */
final class BenchFields
{
    public const USUAL_SERVING_G = 40.0;

    /** What can be fixed about the salt; the rest follows. */
    public const FIXED = ['strength', 'salt', 'both', 'sodium', 'taste'];

    /** @return array<string, list<string|Enum|In>> */
    public static function rules(): array
    {
        $amount = ['nullable', 'string', 'max:60'];
        $id = ['nullable', 'string', 'max:26'];
        $rules = [
            'method' => ['required', 'string', Rule::in(array_column(Method::made(), 'value'))],
            'vegetableId' => ['required_unless:method,transform', ...$id],
            'vegetableAmount' => $amount,
            'shape' => ['nullable', 'string', Rule::enum(PieceShape::class)],
            'cuts' => ['nullable', 'list', 'max:6'],
            'cuts.*.shape' => ['required', 'string', Rule::enum(PieceShape::class)],
            'cuts.*.percent' => ['required', 'numeric', 'min:0', 'max:100'],
            'cuts.*.reachMm' => ['nullable', 'numeric', 'min:0.05', 'max:500'],
            'sourceBatchId' => ['required_if:method,transform', ...$id],
            'keptBrine' => $amount,
            'isHeated' => ['nullable', 'boolean'],
            'leftOutAmount' => $amount,
            'jarId' => $id,
            'moreJarIds' => ['nullable', 'list', 'max:11'],
            'moreJarIds.*' => ['string', 'max:26'],
            'headspaceMm' => ['nullable', 'numeric', 'min:0', 'max:500'],
            'weightMl' => ['nullable', 'numeric', 'min:0', 'max:5000'],
            'holdDownId' => $id,
            'cover' => ['nullable', 'string', Rule::enum(Cover::class)],
            'hasSaucer' => ['nullable', 'boolean'],
            'hasOneMore' => ['nullable', 'boolean'],
            'keepsLeftOver' => ['nullable', 'boolean'],
            'saltId' => ['required', 'string', 'max:26'],
            'saltUnit' => ['required', 'string', Rule::enum(SaltUnit::class)],
            'fixed' => ['required', 'string', Rule::in(self::FIXED)],
            'strengthPercent' => $amount,
            'strengthBasis' => ['required', 'string', Rule::enum(SaltBasis::class)],
            'saltAmount' => $amount,
            'tastings' => ['nullable', 'list', 'max:12'],
            'tastings.*' => $amount,
            'sodiumWanted' => ['nullable', 'string', 'max:20'],
            'waterAmount' => $amount,
            'waterAs' => ['nullable', 'string', 'in:water,brine'],
            'pouredAmount' => $amount,
            'starterId' => $id,
            'starterBatchId' => $id,
            'starterAmount' => $amount,
            'saltingMinutes' => ['nullable', 'numeric', 'min:0', 'max:20160'],
            'rinseSeconds' => ['nullable', 'numeric', 'min:0', 'max:3600'],
            'isSqueezed' => ['nullable', 'boolean'],
            'roomCelsius' => ['nullable', 'numeric', 'min:-2', 'max:45'],
            'servingAmount' => $amount,
        ];
        foreach (['alongside', 'paste'] as $list) {
            $rules[$list] = ['nullable', 'list', 'max:24'];
            $rules["{$list}.*.foodId"] = ['required', 'string', 'max:26'];
            $rules["{$list}.*.amount"] = $amount;
        }

        return $rules;
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'vegetableId.required_unless' => 'errors.choose_vegetable',
            'sourceBatchId.required_if' => 'errors.choose_source',
            'saltId.required' => 'errors.choose_salt',
            'moreJarIds.max' => 'errors.many_jars',
            'tastings.max' => 'errors.many_tastings',
            'max' => 'errors.amount_too_long',
            'numeric' => 'errors.number',
            'headspaceMm.*' => 'errors.headspace',
            'weightMl.*' => 'errors.weight_volume',
            'cover.*' => 'errors.cover',
            'saltingMinutes.*' => 'errors.salting_time',
            'rinseSeconds.*' => 'errors.rinse_time',
            'roomCelsius.*' => 'errors.room_temperature',
            'string' => 'errors.text',
            'list' => 'errors.list',
            'boolean' => 'errors.boolean',
            Enum::class => 'errors.choice',
            'in' => 'errors.choice',
            'required' => 'errors.required',
        ];
    }
}
