<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Care\ReleaseCheck;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;

/**
 * The jar that is looked into, as far as it matters for what is asked and for what follows.
 */
final readonly class CheckedJar
{
    /**
     * @param  Cover|null  $cover  null where nobody said
     * @param  int  $day  whole days since it was begun
     * @param  float  $ripenedDays  days at 21 °C in which it would have ripened as far
     * @param  bool  $isWarm  whether it stands where it ferments, not in the fridge
     * @param  bool  $isOnePhase  whether it is a mash, sauce or paste
     * @param  float|null  $ph  the last reading since anything was added
     * @param  float  $warmHours  hours that it has stood out of the fridge
     * @param  bool|null  $hasSoured  what earlier looks, tastes and readings say; false: it was tasted late and was not
     *     sour; null: nothing
     * @param  list<Looks>  $looks  what its foods explain of its colour, specks, slip and smell
     */
    public function __construct(
        public Method $method,
        public ?Cover $cover,
        public int $day,
        public float $ripenedDays,
        public bool $isWarm,
        public bool $isOnePhase,
        public bool $isLive,
        public Hazards $hazards,
        public ShelfLife $shelfLife,
        public ?float $ph,
        public float $warmHours,
        public ?bool $hasSoured = null,
        public array $looks = [],
    ) {}

    /** Whether it should give off gas, as a bought jar does that was never heated. */
    public function isFermenting(): bool
    {
        return $this->isLive && $this->method->isFerment();
    }

    /** Whether it was blended from a live batch and not heated: it goes on working in its bottle. */
    public function isLiveSauce(): bool
    {
        return $this->isFermenting() && $this->method === Method::Transform;
    }

    /** Whether it is milk that is soured: thick in hours, and without gas unless its culture has yeasts. */
    public function isMilk(): bool
    {
        return $this->method === Method::MilkAndSweet && $this->hazards->isMilk;
    }

    /** Whether gas in it is of something that should not be there. */
    public function isStillMilk(): bool
    {
        return $this->isMilk() && !$this->explains(Looks::Foams);
    }

    /** Whether its foods explain something that would speak against it otherwise. */
    public function explains(Looks $look): bool
    {
        return in_array($look, $this->looks, true);
    }

    /** Whether a reading says that it is sour enough. */
    public function isReadSour(): bool
    {
        return $this->ph !== null && $this->ph <= ReleaseCheck::LINE_PH;
    }

    /** Whether it has kept as long as it may, where what has is thrown out. */
    public function hasKeptTooLong(): bool
    {
        return $this->shelfLife->isStrict && $this->day >= $this->shelfLife->days;
    }

    public function hasPieces(): bool
    {
        return !$this->isOnePhase && $this->method->served()->phase() === Phase::Pieces;
    }

    public function hasTightLid(): bool
    {
        return $this->cover?->isLid() === true;
    }
}
