<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

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
    public static function of(Grams $amount, float $density, SpoonSystem $system, bool $pours): string
    {
        if (! $pours) {
            return $system === SpoonSystem::Us ? self::pounds($amount->value) : self::grams($amount->value);
        }
        $volume = $amount->value / $density;
        if ($volume < self::CUPS_FROM_ML) {
            return SpoonPhrase::nearest(Millilitres::of($volume), $system)->text;
        }
        $quarters = (int) round($volume / $system->cup()->millilitres() * 4.0);
        $text = trim(intdiv($quarters, 4).' '.self::QUARTERS[$quarters % 4]);

        return preg_replace('/^0 /', '', $text).($quarters > 4 ? ' cups' : ' cup');
    }

    private static function pounds(float $grams): string
    {
        $ounces = $grams / MassUnit::Ounce->grams();
        if ($ounces < 1.0) {
            return self::quarters($ounces * 4.0).' oz';
        }
        $whole = (int) round($ounces);
        [$pounds, $rest] = [intdiv($whole, 16), $whole % 16];

        return trim(($pounds > 0 ? "{$pounds} lb " : '').($rest > 0 ? "{$rest} oz" : ''));
    }

    private static function quarters(float $quarters): string
    {
        return self::QUARTERS[max(1, min(3, (int) round($quarters)))];
    }

    private static function grams(float $grams): string
    {
        return ($grams < 10.0 ? (string) round($grams, 1) : number_format($grams)).' g';
    }
}
