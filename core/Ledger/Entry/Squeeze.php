<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;

/**
 * Pieces are pressed out by hand: most of the film goes, and some of their own water with the salt in it.
 */
final readonly class Squeeze implements Entry
{
    /**
     * @param  Band  $film  brine that still clings, as a share of the pieces' weight
     * @param  Band  $tissueWater  share of the pieces' own water that is pressed out
     */
    public function __construct(public Band $film, public Band $tissueWater) {}

    /** A firm squeeze: common practice, no source. */
    public static function firm(): self
    {
        return new self(ClingingBrine::squeezed(), Band::of(0.05, 0.1, 0.2));
    }

    public static function kind(): string
    {
        return 'squeeze';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $pieces = $state->phase(Phase::Pieces);
        $share = $point->of(new Uncertain('squeeze', 'squeeze', $this->tissueWater));
        $pressed = new Composition($pieces->waterG * $share, $pieces->sodiumMg * $share);

        return ClingingBrine::drain($state->release($pressed, Phase::Pieces, Account::Discarded), $this->film, $point);
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->band('film', ClingingBrine::squeezed(), 0.0, 1.0),
            $fields->band('tissueWater', self::firm()->tissueWater, 0.0, 0.9),
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'film' => $this->film->toArray(),
            'tissueWater' => $this->tissueWater->toArray(),
        ];
    }
}
