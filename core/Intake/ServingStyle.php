<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Message;

/**
 * How pieces come to the plate. Half a minute under the tap and a spoon of juice are common practice, no source.
 */
enum ServingStyle: string
{
    case Drained = 'drained';
    case Rinsed = 'rinsed';
    case WithJuice = 'with_juice';

    public const RINSED_S = 30.0;

    private const JUICE_G = 15.0;

    public function label(): Message
    {
        return match ($this) {
            self::Drained => Message::of('serving_style.drained'),
            self::Rinsed => Message::of('serving_style.rinsed', seconds: self::RINSED_S),
            self::WithJuice => Message::of('serving_style.with_juice', grams: self::JUICE_G),
        };
    }

    /** In which of them a portion was served. */
    public static function ofPlate(Serve $plate): self
    {
        return match (true) {
            $plate->rinse !== null => self::Rinsed,
            $plate->juice !== null => self::WithJuice,
            default => self::Drained,
        };
    }

    /** @return non-empty-list<self> the ways in which a phase can be served; with juice only where there is some */
    public static function of(Phase $phase, bool $hasBrine = true): array
    {
        return match (true) {
            $phase !== Phase::Pieces => [self::Drained],
            $hasBrine => self::cases(),
            default => [self::Drained, self::Rinsed],
        };
    }

    /** A portion of a phase served in this way; only pieces know more than one. */
    public function plate(Phase $phase, Grams $grams): Serve
    {
        return match ($phase === Phase::Pieces ? $this : self::Drained) {
            self::Drained => Serve::of($phase, $grams),
            self::Rinsed => Serve::of($phase, $grams)->rinsed(Rinsing::underTheTap(Seconds::of(self::RINSED_S))),
            self::WithJuice => new Serve($phase, $grams, ClingingBrine::drained(), Grams::of(self::JUICE_G)),
        };
    }
}
