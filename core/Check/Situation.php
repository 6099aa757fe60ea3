<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Formula\Method;
use Tempesal\Core\Ledger\Phase;

/**
 * The jar that is looked into, as far as it matters for what is asked and for what follows.
 */
final readonly class Situation
{
    /**
     * @param  string  $cover  as jars name theirs: screw lid, loose lid, slit lid, airlock, cloth, clamp
     * @param  int  $day  whole days since it was begun
     * @param  float  $ripenedDays  days at 21 °C in which it would have ripened as far
     * @param  bool  $isWarm  whether it stands where it ferments, not in the fridge
     * @param  bool  $isOnePhase  whether it is a mash, sauce or paste
     * @param  float|null  $ph  the last reading since anything was added
     * @param  float  $warmHours  hours that it has stood out of the fridge
     */
    public function __construct(
        public Method $method,
        public string $cover,
        public int $day,
        public float $ripenedDays,
        public bool $isWarm,
        public bool $isOnePhase,
        public bool $isLive,
        public bool $hasEgg,
        public bool $hasGarlicInOil,
        public ?float $ph,
        public float $warmHours,
    ) {
    }

    /** Whether it should give off gas, as a bought jar does that was never heated. */
    public function isFermenting(): bool
    {
        return $this->isLive && $this->method->isFerment() && $this->method !== Method::Transform;
    }

    public function hasPieces(): bool
    {
        return ! $this->isOnePhase && $this->method->servedPhase() === Phase::Pieces;
    }

    public function hasTightLid(): bool
    {
        return in_array($this->cover, ['screw lid', 'clamp', 'loose lid', 'slit lid', 'airlock'], true);
    }
}
