<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Formula\Method;

/**
 * What a jar wants from day to day, by its cover and its method: common practice, no source.
 */
final class Rhythm
{
    /** A young ferment gives off gas for about a week. */
    private const LIVELY_DAYS = 7;

    /** How long shredded and dressed food rises above its juice. */
    private const RISING_DAYS = 3;

    /**
     * @param  string  $cover  as jars name theirs: screw lid, loose lid, slit lid, airlock, cloth, clamp
     * @return list<Chore>
     */
    public static function of(Method $method, string $cover): array
    {
        if (! $method->isFerment() || $method === Method::Transform) {
            return [];
        }

        return array_values(array_filter([
            match ($cover) {
                'screw lid' => new Chore('burp', 'Open the lid a crack to let the gas out', 1, 1, self::LIVELY_DAYS),
                'airlock' => new Chore('airlock', 'Look at the water in the airlock', 7, 7, null),
                'cloth' => new Chore('skim', 'Lift the cloth, look for film, top up what dried away', 3, 3, null),
                default => null,
            },
            $method === Method::Mash ? new Chore('stir', 'Stir it, and press it down again', 1, 1, self::LIVELY_DAYS) : null,
            $method === Method::DrySalting || $method->isDressed() ? new Chore('press', 'Press it down under its juice', 1, 1, self::RISING_DAYS) : null,
        ]));
    }
}
