<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Serving;

/**
 * A serving on someone's day.
 */
final class ServingView
{
    /** @return array<string, mixed> */
    public static function of(Serving $serving): array
    {
        return [
            'id' => $serving->id,
            'personId' => $serving->person_id,
            'personName' => $serving->person->name,
            'batchId' => $serving->batch_id,
            'batchName' => $serving->batch->name,
            'colour' => $serving->batch->colour,
            'phase' => $serving->phase->value,
            'grams' => $serving->grams,
            'way' => $serving->way()->value,
            'wayLabel' => $serving->way()->label(),
            'dish' => $serving->dish_key === null ? null : ['key' => $serving->dish_key, 'grams' => $serving->dish_g],
            'eatenOn' => $serving->eaten_on,
            'loggedAt' => $serving->created_at->toIso8601String(),
            'sodium' => WireNumbers::sodium($serving->sodium()),
            'isLive' => $serving->is_live,
            'isCooked' => $serving->is_cooked,
            'isUndone' => $serving->undone_at !== null,
        ];
    }
}
