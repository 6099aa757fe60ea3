<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;

/**
 * What questions about a serving have in common.
 */
final class TargetSodium
{
    private const HALVINGS = 60;

    /**
     * Milligrams of sodium that the serving may hold.
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields): float
    {
        $sodium = $fields->number('sodiumMg');
        if ($sodium <= 0.0 || $sodium > 100_000.0) {
            throw $fields->invalid('sodiumMg', Message::of('errors.sodium_wanted'));
        }

        return $sodium;
    }

    /** @throws InvalidField */
    public static function serving(Fields $fields, ?Grams $grams = null): Serve
    {
        $grams ??= $fields->grams();
        if ($grams->isZero()) {
            throw $fields->invalid('grams', Message::of('errors.more_than_zero'));
        }

        return Serve::of($fields->choice('phase', Phase::class, Phase::Pieces), $grams);
    }

    /**
     * The shortest time at which a falling amount of sodium is low enough; null when it never is within the longest.
     *
     * @param  callable(float): float  $sodiumAt  seconds to milligrams
     */
    public static function shortest(callable $sodiumAt, float $wantedMg, float $longest): ?float
    {
        if ($sodiumAt(0.0) <= $wantedMg) {
            return 0.0;
        }
        if ($sodiumAt($longest) > $wantedMg) {
            return null;
        }
        [$low, $high] = [0.0, $longest];
        for ($i = 0; $i < self::HALVINGS && $high - $low > 1e-3; $i++) {
            $middle = ($low + $high) / 2.0;
            if ($sodiumAt($middle) > $wantedMg) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $high;
    }

    public static function time(float $seconds): Message
    {
        return match (true) {
            $seconds < 90.0 => Message::of('duration.seconds', seconds: round($seconds)),
            $seconds < 5400.0 => Message::of('duration.minutes', minutes: round($seconds / 60.0)),
            default => Message::of('duration.hours', hours: round($seconds / 3600.0, 1)),
        };
    }
}
