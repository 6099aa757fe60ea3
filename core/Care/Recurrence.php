<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Method;

/**
 * What a jar wants from day to day, by its cover and its method: common practice, no source.
 */
final class Recurrence
{
    /**
     * A young ferment gives off most of its gas in about a week at 21 °C, sooner where it is warm, later where it is
     * cool.
     */
    public const LIVELY_RIPENED_DAYS = 7.0;

    /** How long shredded and dressed food rises above its juice. */
    private const RISING_DAYS = 3;

    /** A live sauce with sugar in it makes gas for as long as there is any. */
    private const SWEET_EVERY_DAYS = 7;

    /** @return list<Chore> while it stands where it ferments */
    public static function whileWarm(CareContext $jar): array
    {
        if (!$jar->method->isFerment() || $jar->method->isDone()) {
            return self::sweet($jar, 0);
        }
        $lively = $jar->ripening->livelyUntil === null ? null : max(1, $jar->ripening->livelyUntil);

        return array_values(
            array_filter([
                ...$jar->cover?->holdsGas() === true ? [new Chore(Task::Burp, 1, 1, $lively)] : [],
                ...$lively === null || $jar->day <= $lively ? [] : self::sweet($jar, $lively),
                $jar->cover === Cover::Airlock ? new Chore(Task::Airlock, 7, 7, null) : null,
                $jar->cover === Cover::Cloth && $jar->method !== Method::MilkAndSweet
                    ? new Chore(Task::Skim, 3, 3, null)
                    : null,
                $jar->method === Method::Mash ? new Chore(Task::Stir, 1, 1, $lively) : null,
                $jar->method === Method::DrySalting || $jar->method->isDressed()
                    ? new Chore(Task::Press, 1, 1, self::RISING_DAYS)
                    : null,
            ]),
        );
    }

    /** @return list<Chore> while it stands in the fridge */
    public static function inTheCold(CareContext $jar): array
    {
        return self::sweet($jar, $jar->record->chilledOn ?? 0);
    }

    /** @return list<Chore> */
    private static function sweet(CareContext $jar, int $since): array
    {
        return $jar->isLive && $jar->hazards->isSweetSauce && $jar->cover?->holdsGas() === true
            ? [new Chore(Task::Burp, self::SWEET_EVERY_DAYS, $since + self::SWEET_EVERY_DAYS, null)]
            : [];
    }
}
