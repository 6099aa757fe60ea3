<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

/**
 * Milligrams of sodium rounded as on nutrition labels, 21 CFR 101.9(c)(4):
 * below 5 none, 5 to 140 to the nearest 5, above to the nearest 10.
 */
final class LabelRounding
{
    public static function milligrams(float $sodiumMg): int
    {
        return match (true) {
            $sodiumMg < 5.0 => 0,
            $sodiumMg <= 140.0 => (int) round($sodiumMg / 5.0) * 5,
            default => (int) round($sodiumMg / 10.0) * 10,
        };
    }
}
