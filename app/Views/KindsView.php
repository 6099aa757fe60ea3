<?php

declare(strict_types=1);

namespace App\Views;

use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\PieceKind;

/**
 * The kinds of pieces in a jar, where there are several, each with its own sodium.
 */
final class KindsView
{
    /** Grams that one would not notice. */
    private const TRACE_G = 1.0;

    /** @return list<array<string, mixed>> heaviest first; none where all pieces are one kind */
    public static function of(BatchState $state): array
    {
        $kinds = array_values(
            array_filter(
                $state->kinds(),
                static fn(PieceKind $kind): bool => $kind->label !== null && $kind->masses->weightG() > self::TRACE_G,
            ),
        );
        if (count($kinds) < 2) {
            return [];
        }
        usort(
            $kinds,
            static fn(PieceKind $one, PieceKind $other): int => $other->masses->weightG() <=> $one->masses->weightG(),
        );

        return array_map(
            static fn(PieceKind $kind): array => [
                'label' => $kind->label,
                'form' => $kind->piece->form->value,
                'reachMm' => $kind->piece->reachMm->typical,
                'grams' => $kind->masses->weightG(),
                'sodiumPer100g' => $kind->masses->sodiumPer100g(),
            ],
            $kinds,
        );
    }
}
