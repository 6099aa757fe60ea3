<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Advice\Advice;
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

    /** @param  list<string>  $cautions */
    private function __construct(public bool $isOpen, public string $reason, public array $cautions)
    {
    }

    /**
     * @param  AcidReading|null  $reading  the last since anything was added
     * @param  bool  $isCondemned  whether the last check said that it is not to be eaten, or to wait
     */
    public static function of(ReleasePurpose $purpose, ?AcidReading $reading, Hazards $hazards, bool $isLive, bool $isCondemned): self
    {
        $reason = match (true) {
            $isCondemned => 'The last check spoke against eating from this jar.',
            $hazards->hasPlantsInOil => 'Garlic, herbs or vegetables in oil stay in this fridge. They can grow botulinum toxin without a sign, and the pH of oil cannot be read.',
            $hazards->hasEgg && $purpose !== ReleasePurpose::Bottle => 'It holds egg. It stays in the fridge, in this kitchen.',
            $reading === null => 'No pH was read since something was last added. Read it first.',
            $reading->daysAgo > self::FRESH_DAYS => "The last pH reading is {$reading->daysAgo} days old. Read it again.",
            ! $reading->isAtMost(self::LINE_PH) => self::tooHigh($reading),
            default => null,
        };

        return new self($reason === null, $reason ?? sprintf('It was read at pH %s.', self::shown($reading->ph)),
            array_values(array_filter([
                $reason === null && ! $reading->isAtMost(self::CAREFUL_PH) ? sprintf('Careful makers wait for pH %.1f.', self::CAREFUL_PH) : null,
                $purpose === ReleasePurpose::StoreOut ? 'Out of the fridge is still advised against: it goes on working, softens, and may press its lid off.' : null,
                $purpose === ReleasePurpose::Bottle && $isLive ? 'It is live: a sealed bottle builds up pressure and can burst. Keep it cold and open it over the sink.' : null,
                $purpose === ReleasePurpose::GiveAway ? 'Say what is in it, and that it stays cold. Selling is governed by local cottage-food rules.' : null,
                $hazards->hasEgg ? 'It holds egg: not for pregnant, very young, old or immune-compromised eaters.' : null,
                $hazards->hasPlantsInOil ? Advice::plantsInOil()->text : null,
                $isLive ? null : 'Heated: it no longer counts as live, and nothing in it holds mould back once it is open.',
                'A reading does not make a jar safe by itself. Follow the current guidance of a recognised food-safety authority.',
            ])));
    }

    private static function tooHigh(AcidReading $reading): string
    {
        $leave = 'Leave it in the fridge, let it sour further, and read it again.';

        return match (true) {
            $reading->ph > self::LINE_PH => sprintf('It was read at pH %s, above %s. %s', self::apart($reading->ph, self::LINE_PH), self::LINE_PH, $leave),
            $reading->isByMeter => sprintf(
                'It was read at pH %s. Your meter can be off by %s, so it may be above %s. %s',
                self::shown($reading->ph), round($reading->margin, 2), self::LINE_PH, $leave,
            ),
            default => sprintf(
                'It was read at pH %s by strips, which count only at %.1f or below. Read it with a meter, or let it sour further.',
                self::shown($reading->ph), self::CAREFUL_PH,
            ),
        };
    }

    private static function shown(float $ph): string
    {
        return (string) round($ph, 2);
    }

    /** With as many decimals as it takes to be seen above the line. */
    private static function apart(float $ph, float $line): string
    {
        for ($decimals = 2; $decimals < 6 && round($ph, $decimals) <= $line; $decimals++);

        return (string) round($ph, $decimals);
    }
}
