<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Percent;

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

    /** What to do, where it needs no more to be said than that. */
    public function text(): Message
    {
        return $this === self::Rinse
            ? Message::of('remedy_kind.rinse', seconds: ServingStyle::RINSED_S)
            : Message::of("remedy_kind.{$this->value}");
    }

    /** A portion that is added and rinsed. */
    public static function addRinsed(float $grams): Message
    {
        return Message::of('remedy_kind.add_rinsed', grams: round($grams), seconds: ServingStyle::RINSED_S);
    }

    public static function smaller(float $grams, float $insteadOf): Message
    {
        return Message::of('remedy_kind.smaller', grams: round($grams), before: round($insteadOf));
    }

    /**
     * @param  float  $least  the safe share of salt, 0.02 for 2 %
     * @param  float  $now  the share as it is
     */
    public static function atFloor(float $least, float $now): Message
    {
        return Message::of('remedy_kind.at_floor', least: Percent::of($least), now: Percent::of($now));
    }

    public static function onDay(Day $day): Message
    {
        return Message::of('remedy_kind.other_day', day: $day);
    }

    /** Another jar instead, or a younger one of the same kind. */
    public function fromJar(string $name): Message
    {
        return Message::of("remedy_kind.{$this->value}", jar: $name);
    }

    /** What it costs the eater; null where it costs nothing. */
    public function cost(): ?Message
    {
        return $this === self::Drain || $this === self::OtherDay
            ? null
            : Message::of("remedy_kind_cost.{$this->value}");
    }

    /** Its place among them, 0 for the gentlest. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
