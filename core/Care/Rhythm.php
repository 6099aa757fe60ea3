<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Formula\Method;

/**
 * What a jar wants from day to day while it stands warm, by its cover and its method: common practice, no source.
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
        if (! $method->isFerment() || $method->isDone()) {
            return [];
        }

        return array_values(array_filter([
            match ($cover) {
                'screw lid' => new Chore(Task::Burp, 1, 1, self::LIVELY_DAYS),
                'airlock' => new Chore(Task::Airlock, 7, 7, null),
                'cloth' => new Chore(Task::Skim, 3, 3, null),
                default => null,
            },
            $method === Method::Mash ? new Chore(Task::Stir, 1, 1, self::LIVELY_DAYS) : null,
            $method === Method::DrySalting || $method->isDressed() ? new Chore(Task::Press, 1, 1, self::RISING_DAYS) : null,
        ]));
    }
}
