<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Message\Message;
use Tempesal\Core\Salt\SaltBasis;

/**
 * The least share of salt on a basis, and whose it is.
 */
final readonly class SaltLine
{
    /** A share that falls short by less than this part of the line is at the line: the last tenth of a gram. */
    private const FORGIVEN_SHARE = 0.005;

    /** The same in grams of salt, for jars so small that a scale's step is more than that. */
    private const FORGIVEN_G = 0.05;

    /**
     * @param  float  $least  0.03 for 3 %
     * @param  bool  $isAtTheEnd  of everything in the jar once it is dressed
     * @param  Message|null  $food  the name of the food that asks for it; null where the method does
     */
    public function __construct(
        public SaltBasis $basis,
        public float $least,
        public bool $isAtTheEnd = false,
        public ?Message $food = null,
    ) {}

    /** The share that is held against it; null where the basis has no meaning for the jar. */
    public function shareOf(SaltedContents $jar): ?float
    {
        if ($this->isAtTheEnd) {
            return $jar->endShare === null ? null : $jar->endShare * $jar->change;
        }
        $made = $jar->contents->shareOrNull($this->basis);

        // A share of everything moves with every change; one of what was poured or cut is of that day, and only more
        // salt mends it.
        return $made === null
            ? null
            : $made * ($this->basis === SaltBasis::OfEverything ? $jar->change : max(1.0, $jar->change));
    }

    /** Whether the salt falls short of it, by more than a scale can tell. */
    public function isMissed(SaltedContents $jar): bool
    {
        $share = $this->shareOf($jar);
        if ($share === null || $share >= $this->least * (1.0 - self::FORGIVEN_SHARE)) {
            return false;
        }

        return $share <= 0.0 || (($this->least - $share) / $share) * $jar->contents->salt->value > self::FORGIVEN_G;
    }

    /** "3 % of the water" */
    public function text(): Message
    {
        return $this->basis->strength(Percent::of($this->least));
    }
}
