<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Method\Method;

/**
 * What a jar asks for from now on: by its cover, its method, its age and what was done to it.
 */
final class ChoreSchedule
{
    /** Where a jar is ready sooner than this, hours count. */
    private const HOURS_COUNT_S = 48.0 * 3600.0;

    /** Days from one tasting to the next while it ripens. */
    private const TASTE_EVERY = 7;

    /** By then a ferment has soured, or something is wrong: no bubbles after three or four days. */
    private const SOUR_BY_DAY = 4;

    /** How many days before it has kept its time one is told to use it up. */
    private const NOTICE_DAYS = 14;

    /**
     * Everything it asks for, each at the next day on which it is wanted.
     *
     * @return list<DueChore> soonest first
     */
    public static function of(CareContext $jar): array
    {
        $dues = [];
        foreach (self::chores($jar) as $chore) {
            $next = $chore->nextAfter($jar->record->done[$chore->task->value] ?? null);
            if ($next === null || ($chore->last !== null && $jar->day > $chore->last)) {
                continue;
            }
            // What was to be done before the jar came onto this shelf is asked for on its first day there.
            $dues[] = new DueChore($chore, max($next, $jar->record->knownFrom), $chore->at);
        }
        usort(
            $dues,
            static fn(DueChore $one, DueChore $other): int => [$one->day, $one->at ?? 0.0] <=> [
                $other->day,
                $other->at ?? 0.0,
            ],
        );

        return $dues;
    }

    /** @return list<Chore> */
    private static function chores(CareContext $jar): array
    {
        if ($jar->isNothing) {
            return [];
        }
        if ($jar->record->condemnedOn !== null) {
            return [new Chore(Task::Discard, 0, $jar->record->condemnedOn, null)];
        }

        return [...$jar->isWarm ? self::whileWarm($jar) : Recurrence::inTheCold($jar), ...self::keeping($jar)];
    }

    /** @return list<Chore> */
    private static function whileWarm(CareContext $jar): array
    {
        $chores = Recurrence::whileWarm($jar);
        if (
            $jar->ripening->youngOn === null ||
            $jar->ripening->readyOn === null ||
            $jar->ripening->readyAfter === null
        ) {
            return $chores;
        }
        $inHours = $jar->ripening->readyAfter < self::HOURS_COUNT_S;
        if ($jar->ripening->youngOn < $jar->ripening->readyOn) {
            $chores[] = new Chore(Task::Taste, self::TASTE_EVERY, $jar->ripening->youngOn, $jar->ripening->readyOn - 1);
        }
        if ($jar->isLive && !$inHours) {
            $chores[] = new Chore(Task::MeasurePh, 0, max(self::SOUR_BY_DAY, $jar->ripening->youngOn), null);
        }
        $chores[] = new Chore(
            $jar->method === Method::Mash ? Task::Blend : Task::ToFridge,
            0,
            $jar->ripening->readyOn,
            null,
            $inHours ? $jar->ripening->readyAfter : null,
        );

        return $chores;
    }

    /** @return list<Chore> */
    private static function keeping(CareContext $jar): array
    {
        // A quick pickle's week begins with it, an egg's days too, wherever they stand.
        $strict = $jar->shelfLife->isStrict;
        $since = $strict ? 0 : $jar->record->chilledOn;
        if ($since === null) {
            return [];
        }
        $until = min($since + $jar->shelfLife->days, $jar->useBy ?? PHP_INT_MAX);

        return $strict
            ? [new Chore(Task::UseUp, 0, $until - 1, $until - 1), new Chore(Task::Discard, 0, $until, null)]
            : [new Chore(Task::UseUp, 0, $until - self::NOTICE_DAYS, null)];
    }
}
