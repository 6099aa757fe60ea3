<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Served;
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

        return Serve::of($fields->choice('phase', Served::class, Served::Pieces), $grams);
    }

    /**
     * After which time a serving holds no more than what was asked for.
     *
     * @param  callable(float): float  $sodiumAt  seconds to milligrams, falling
     * @param  float  $longest  seconds that one would wait at the most
     * @param  Message  $atOnce  what to say where it holds no more already
     * @param  callable(float): Message  $after  what to say of the seconds it takes
     * @param  callable(float): Message  $never  what to say of the milligrams that are left after the longest time
     */
    public static function inTime(
        callable $sodiumAt,
        float $wantedMg,
        float $longest,
        Message $atOnce,
        callable $after,
        callable $never,
    ): InverseAnswer {
        $seconds = self::shortest($sodiumAt, $wantedMg, $longest);
        $sodium = $sodiumAt($seconds ?? $longest);

        return match ($seconds) {
            null => new InverseAnswer(null, 's', $sodium, false, $never($sodium)),
            0.0 => new InverseAnswer(null, 's', $sodium, true, $atOnce),
            default => new InverseAnswer($seconds, 's', $sodium, true, $after($seconds)),
        };
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
