<?php

declare(strict_types=1);

namespace App\Http\Responses;

use App\Models\Ingredient;
use App\Views\KitchenView;
use Illuminate\Http\JsonResponse;

/**
 * Every food that the kitchen knows. They are many, and most screens need none of them.
 */
final readonly class PantryPage
{
    public static function answer(int $status = 200): JsonResponse
    {
        return new JsonResponse(
            ['ingredients' => KitchenView::foods(Ingredient::query()->orderBy('name')->get())],
            $status,
        );
    }
}
