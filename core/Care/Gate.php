<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * What stands between a jar and being bottled, kept out of the fridge or given away: a pH reading of the batch as it is
 * now, at or below 4.6 (21 CFR 114.3, acidified foods; from memory). An open gate is no clearance; its cautions stay.
 */
final readonly class Gate
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
     * @param  float|null  $ph  the last reading since anything was added
     * @param  int|null  $daysAgo  when it was read
     * @param  bool  $isCondemned  whether the last check said that it is not to be eaten, or to wait
     */
    public static function of(Purpose $purpose, ?float $ph, ?int $daysAgo, bool $hasEgg, bool $hasGarlicInOil, bool $isLive, bool $isCondemned): self
    {
        $reason = match (true) {
            $isCondemned => 'The last check spoke against eating from this jar.',
            $hasEgg && $purpose !== Purpose::Bottle => 'It holds egg. It stays in the fridge, in this kitchen.',
            $hasGarlicInOil && $purpose !== Purpose::GiveAway => 'Garlic or herbs in oil stay cold: bottled or left out, botulinum toxin can form without a sign.',
            $ph === null || $daysAgo === null => 'No pH was read since something was last added. Read it first.',
            $daysAgo > self::FRESH_DAYS => "The last pH reading is {$daysAgo} days old. Read it again.",
            $ph > self::LINE_PH => sprintf('It was read at pH %s, above %s. Leave it in the fridge, let it sour further, and read it again.', round($ph, 2), self::LINE_PH),
            default => null,
        };

        return new self($reason === null, $reason ?? sprintf('It was read at pH %s.', round((float) $ph, 2)), array_values(array_filter([
            $reason === null && $ph > self::CAREFUL_PH ? sprintf('Careful makers wait for pH %.1f.', self::CAREFUL_PH) : null,
            $purpose === Purpose::StoreOut ? 'Out of the fridge is still advised against: it goes on working, softens, and may press its lid off.' : null,
            $purpose === Purpose::Bottle && $isLive ? 'It is live: a sealed bottle builds up pressure and can burst. Keep it cold and open it over the sink.' : null,
            $purpose === Purpose::GiveAway ? 'Say what is in it, and that it stays cold. Selling is governed by local cottage-food rules.' : null,
            $hasEgg ? 'It holds egg: not for pregnant, very young, old or immune-compromised eaters.' : null,
            $hasGarlicInOil ? 'Garlic or herbs in oil: keep it cold and eat it within days.' : null,
            $isLive ? null : 'Heated: it no longer counts as live, and nothing in it holds mould back once it is open.',
            'A reading does not make a jar safe by itself. Follow the current guidance of a recognised food-safety authority.',
        ])));
    }
}
