<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Household\CurrentHousehold;
use App\Http\Responses\KitchenPage;
use App\Models\Batch;
use App\Models\WeighedMeasure;
use App\Pantry\FoodMeasures;
use App\Pantry\KitchenAmounts;
use App\Views\AmountView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Tempesal\Core\Amount\AskedAmount;
use Tempesal\Core\Amount\FieldKind;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\InvalidQuantity;

/**
 * Says how an amount is understood, while it is typed; keeps forks and spoons that were weighed.
 */
final class AmountController
{
    public function read(Request $request, KitchenAmounts $amounts, CurrentHousehold $current): JsonResponse
    {
        $request->validate(
            [
                'phrase' => ['required', 'string', 'max:200'],
                'kind' => ['required', 'string', Rule::enum(FieldKind::class)],
                'of' => ['nullable', 'string', 'in:food,salt,water,portion'],
                'id' => ['nullable', 'string', 'max:26'],
                'personId' => ['nullable', 'string', 'max:26'],
                'phase' => ['nullable', 'string', Rule::enum(Served::class)],
            ],
            [
                'phrase.required' => 'errors.amount_missing',
                'phrase.max' => 'errors.amount_too_long',
                '*' => 'errors.choice',
            ],
        );
        try {
            return new JsonResponse(
                AmountView::read(
                    $amounts->read(
                        $request->string('phrase')->value(),
                        self::food($request, $amounts),
                        $request->enum('kind', FieldKind::class),
                    ),
                    $current->get()->measure_by === 'spoons' ? $current->get()->spoon_system : null,
                ),
            );
        } catch (AskedAmount $which) {
            return new JsonResponse(AmountView::asked($which));
        } catch (InvalidQuantity $refusal) {
            return new JsonResponse(AmountView::refused($refusal));
        }
    }

    /** One forkful or spoonful as it was weighed; a weight of nothing forgets it. */
    public function weigh(Request $request, KitchenPage $kitchen): JsonResponse
    {
        $request->validate(
            [
                'what' => ['required', 'string', Rule::in(WeighedMeasure::WHAT)],
                'family' => ['required', 'string', Rule::in(WeighedMeasure::FAMILIES)],
                'personId' => [
                    'nullable',
                    'string',
                    'max:26',
                    Rule::exists('people', 'id')->where('household_id', $request->user()?->household_id),
                ],
                'grams' => ['nullable', 'numeric', 'min:0.5', 'max:200'],
            ],
            ['grams.*' => 'errors.forkful_grams', '*' => 'errors.choice'],
        );
        WeighedMeasure::keep(
            $request->string('what')->value(),
            $request->string('family')->value(),
            $request->filled('personId') ? $request->string('personId')->value() : null,
            $request->filled('grams') ? $request->float('grams') : null,
        );

        return $kitchen->answer();
    }

    private static function food(Request $request, KitchenAmounts $amounts): ?MeasuredFood
    {
        $id = $request->string('id')->value();

        return match ($request->string('of')->value()) {
            'food' => $amounts->food($id, null),
            'salt' => $amounts->food(null, $id),
            'water' => MeasuredFood::water(),
            'portion' => FoodMeasures::served(
                Batch::query()->findOrFail($id),
                $request->enum('phase', Served::class),
                $request->filled('personId') ? $request->string('personId')->value() : null,
            ),
            default => null,
        };
    }
}
