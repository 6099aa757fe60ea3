<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Hazards;

/**
 * What stands between a jar and being bottled, kept out of the fridge or given away: a pH reading of the batch as it is
 * now, at or below 4.6 (21 CFR 114.3, acidified foods; from memory). An open gate is no clearance; its cautions stay.
 */
final readonly class ReleaseCheck
{
    /** The published line for acidified foods. */
    public const LINE_PH = 4.6;

    /** The careful maker's line: common practice, no source. */
    public const CAREFUL_PH = 4.0;

    /** Days for which a reading speaks for a jar: common practice, no source. */
    public const FRESH_DAYS = 7;

    /** @param  list<Message>  $cautions */
    private function __construct(public bool $isOpen, public Message $reason, public array $cautions) {}

    /**
     * @param  AcidReading|null  $reading  the last since anything was added
     * @param  bool  $isCondemned  whether the last check said that it is not to be eaten, or to wait
     */
    public static function of(
        ReleasePurpose $purpose,
        ?AcidReading $reading,
        Hazards $hazards,
        bool $isLive,
        bool $isCondemned,
    ): self {
        $reason = match (true) {
            $isCondemned => Message::of('release.check_failed'),
            $hazards->hasPlantsInOil => Message::of('release.plants_in_oil'),
            $hazards->hasEgg && $purpose !== ReleasePurpose::Bottle => Message::of('release.egg'),
            $reading === null => Message::of('release.no_reading'),
            $reading->daysAgo > self::FRESH_DAYS => Message::of('release.old_reading', days: $reading->daysAgo),
            !$reading->isAtMost(self::LINE_PH) => self::tooHigh($reading),
            default => null,
        };

        return new self(
            $reason === null,
            $reason ?? Message::of('release.reading', ph: self::shown($reading->ph)),
            array_values(
                array_filter([
                    $reason === null && !$reading->isAtMost(self::CAREFUL_PH)
                        ? Message::of('release.careful', ph: round(self::CAREFUL_PH, 1))
                        : null,
                    $purpose === ReleasePurpose::StoreOut ? Message::of('release.store_out') : null,
                    $purpose === ReleasePurpose::Bottle && $isLive ? Message::of('release.live_bottle') : null,
                    $purpose === ReleasePurpose::GiveAway ? Message::of('release.give_away') : null,
                    $hazards->hasEgg ? Message::of('release.egg_caution') : null,
                    $hazards->hasPlantsInOil ? Advice::plantsInOil()->text : null,
                    $isLive ? null : Message::of('release.heated'),
                    Message::of('release.no_guarantee'),
                ]),
            ),
        );
    }

    private static function tooHigh(AcidReading $reading): Message
    {
        return match (true) {
            $reading->ph > self::LINE_PH => Message::of(
                'release.too_high',
                ph: self::apart($reading->ph, self::LINE_PH),
                line: self::LINE_PH,
            ),
            $reading->isByMeter => Message::of(
                'release.meter_margin',
                ph: self::shown($reading->ph),
                margin: round($reading->margin, 2),
                line: self::LINE_PH,
            ),
            default => Message::of('release.strips', ph: self::shown($reading->ph), line: round(self::CAREFUL_PH, 1)),
        };
    }

    private static function shown(float $ph): float
    {
        return round($ph, 2);
    }

    /** With as many decimals as it takes to be seen above the line. */
    private static function apart(float $ph, float $line): float
    {
        for ($decimals = 2; $decimals < 6 && round($ph, $decimals) <= $line; $decimals++);

        return round($ph, $decimals);
    }
}
