<?php

declare(strict_types=1);

namespace Tempesal\Core\Advice;

use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;

/**
 * Whether a batch stands too warm or too cold: below 60 °F kraut may not ferment, above 75 °F it may become soft
 * (USDA Complete Guide to Home Canning, National Center for Home Food Preservation; from memory). Said of other
 * vegetables too, as common practice; those made to go slowly in the cold are left alone, and milk and sweet cultures.
 */
final class TemperatureAdvice
{
    public const COLD_CELSIUS = 15.5;

    public const WARM_CELSIUS = 24.0;

    public static function of(Method $method, BatchState $state): ?Advice
    {
        $isOfItsOwn = $method === Method::MilkAndSweet;
        if ($state->bath === null || !$state->live || !$method->isFerment() || $method->isDone() || $isOfItsOwn) {
            return null;
        }
        $celsius = $state->bath->temperature->at($state->clock - $state->bath->beganAt)->value;
        $likesCold = $method === Method::KimchiDrySalted || $method === Method::KimchiSoaked;

        return match (true) {
            $celsius > self::WARM_CELSIUS => new Advice(
                'too_warm',
                Severity::Note,
                Message::of(
                    'advice.too_warm',
                    here: self::said(round($celsius)),
                    limit: self::said(self::WARM_CELSIUS),
                ),
            ),
            $celsius < self::COLD_CELSIUS && !$likesCold => new Advice(
                'too_cold',
                Severity::Note,
                Message::of(
                    'advice.too_cold',
                    here: self::said(round($celsius)),
                    limit: self::said(self::COLD_CELSIUS),
                ),
            ),
            default => null,
        };
    }

    private static function said(float $celsius): Message
    {
        return Message::of('unit.temperature', celsius: $celsius);
    }
}
