<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Message;

/**
 * How pieces come to the plate. Half a minute under the tap and a spoon of juice are common practice, no source.
 */
enum ServingStyle: string
{
    /** Of dressed food: as it lies in the jar, with its share of the dressing. */
    case Drained = 'drained';
    case Rinsed = 'rinsed';
    case WithJuice = 'with_juice';

    public const RINSED_S = 30.0;

    private const JUICE_G = 15.0;

    public function label(Served $served = Served::Pieces): Message
    {
        return match ($this) {
            self::Drained => Message::of(
                $served === Served::All ? 'serving_style.as_it_lies' : 'serving_style.drained',
            ),
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

    /** @return non-empty-list<self> the ways in which it can be served; with juice only where there is some */
    public static function of(Served $served, bool $hasBrine = true): array
    {
        return match (true) {
            $served === Served::All => [self::Drained, self::Rinsed],
            $served !== Served::Pieces => [self::Drained],
            $hasBrine => [self::Drained, self::Rinsed, self::WithJuice],
            default => [self::Drained, self::Rinsed],
        };
    }

    /** A portion served in this way; only pieces know more than one, dressed ones two. */
    public function plate(Served $served, Grams $grams): Serve
    {
        return match (true) {
            $served->phase() !== Phase::Pieces => Serve::of($served, $grams),
            $this === self::Rinsed => Serve::of(Served::Pieces, $grams)->rinsed(
                Rinsing::underTheTap(Seconds::of(self::RINSED_S)),
            ),
            $served === Served::All => Serve::of($served, $grams),
            $this === self::WithJuice => new Serve($served, $grams, ClingingBrine::drained(), Grams::of(self::JUICE_G)),
            default => Serve::of($served, $grams),
        };
    }
}
