<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

use Tempesal\Core\Message\Message;

/**
 * An amount as kitchens without a scale say it: spoons and cups for what can be poured, pounds and ounces for the rest.
 */
final class KitchenPhrase
{
    private const QUARTERS = ['', '1/4', '1/2', '3/4'];

    /** Cups are said from this many millilitres on. */
    private const CUPS_FROM_ML = 59.0;

    /**
     * @param  float  $density  g/ml as it lies in the spoon
     * @param  bool  $pours  whether a spoon can hold it
     */
    public static function of(Grams $amount, float $density, SpoonSystem $system, bool $pours): Message
    {
        if (!$pours) {
            return $system === SpoonSystem::Us ? self::pounds($amount->value) : self::grams($amount->value);
        }
        $volume = $amount->value / $density;
        if ($volume < self::CUPS_FROM_ML) {
            return SpoonPhrase::nearest(Millilitres::of($volume), $system)->text;
        }
        $quarters = (int) round(($volume / $system->cup()->millilitres()) * 4.0);
        $text = trim(intdiv($quarters, 4) . ' ' . self::QUARTERS[$quarters % 4]);

        return Message::of(
            'measure.cups',
            cups: (string) preg_replace('/^0 /', '', $text),
            isMany: $quarters > 4 ? 'yes' : 'no',
        );
    }

    private static function pounds(float $grams): Message
    {
        $ounces = $grams / MassUnit::Ounce->grams();
        if ($ounces < 1.0) {
            return Message::of('measure.ounces', ounces: self::quarters($ounces * 4.0));
        }
        $whole = (int) round($ounces);
        [$pounds, $rest] = [intdiv($whole, 16), $whole % 16];

        return match (true) {
            $pounds === 0 => Message::of('measure.ounces', ounces: (string) $rest),
            $rest === 0 => Message::of('measure.pounds', pounds: $pounds),
            default => Message::of('measure.pounds_ounces', pounds: $pounds, ounces: (string) $rest),
        };
    }

    private static function quarters(float $quarters): string
    {
        return self::QUARTERS[max(1, min(3, (int) round($quarters)))];
    }

    private static function grams(float $grams): Message
    {
        return Message::of('measure.grams', grams: round($grams, $grams < 10.0 ? 1 : 0));
    }
}
