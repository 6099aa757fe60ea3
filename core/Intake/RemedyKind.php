<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

/**
 * A way to less sodium in a serving, the gentlest first. Taking salt out of a jar is none of them. What each costs is
 * common practice, no source.
 */
enum RemedyKind: string
{
    case Drain = 'drain';
    case Rinse = 'rinse';
    case Smaller = 'smaller';
    case AtFloor = 'at_floor';
    case OtherDay = 'other_day';
    case YoungerJar = 'younger_jar';
    case OtherJar = 'other_jar';
    case Soak = 'soak';
    case LeaveOut = 'leave_out';

    /** @param  string|int|float  ...$with  what it is about: grams or percent then and now, a day, a jar */
    public function text(string|int|float ...$with): string
    {
        return vsprintf(match ($this) {
            self::Drain => 'drain it, without the juice',
            self::Rinse => sprintf('rinse it %d s', ServingStyle::RINSED_S),
            self::Smaller => '%d g instead of %d g',
            self::AtFloor => 'salt it with %s %% instead of %s %%, the least that is safe for it',
            self::OtherDay => 'on %s instead',
            self::YoungerJar => 'the younger %s instead',
            self::OtherJar => '%s instead',
            self::Soak => 'soak it overnight in three times its weight of water, in the fridge',
            self::LeaveOut => 'leave it out',
        }, $with);
    }

    /** What it costs the eater; null where it costs nothing. */
    public function cost(): ?string
    {
        return match ($this) {
            self::Drain, self::OtherDay => null,
            self::Rinse => 'some of its tang goes with it',
            self::Smaller => 'less of it',
            self::AtFloor => 'softer and sooner sour; not below that',
            self::YoungerJar => 'crisper, not so sour yet',
            self::OtherJar => 'another taste',
            self::Soak => 'bland, with fewer cultures; eat it that day',
            self::LeaveOut => 'none of it that day',
        };
    }

    /** Its place among them, 0 for the gentlest. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
