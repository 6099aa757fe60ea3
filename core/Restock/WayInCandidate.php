<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

/**
 * A formula that a kitchen could begin with.
 */
final readonly class WayInCandidate
{
    /**
     * @param  string  $group  of formulas
     * @param  float  $readyDays  until it is ready, as warm as it stands now
     * @param  int  $keepsDays  once it is
     * @param  string|null  $food  of which there is most in it
     * @param  bool  $isInSeason  whether that is
     * @param  float  $servingMg  milligrams of sodium in the smallest serving that counts
     * @param  array<string, float>  $gramsIn  what is eaten of a full jar, by its size; sizes that do not suit are left out
     */
    public function __construct(
        public string $id,
        public string $group,
        public bool $isLive,
        public float $readyDays,
        public int $keepsDays,
        public float $servingMg,
        public array $gramsIn,
        public ?string $food = null,
        public bool $isInSeason = true,
    ) {}
}
