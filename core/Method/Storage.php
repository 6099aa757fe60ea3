<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Measure\Millimetres;

/**
 * What a batch stands in, and how long it keeps in the fridge: common practice, no source. ShelfLife says what holds
 * for a jar.
 */
final readonly class Storage
{
    private const VEGETABLE_DAYS = 180;

    /**
     * @param  non-empty-list<Cover>  $covers  that suit it, the usual one first
     * @param  int  $fridgeDays  whole days in the fridge after which it has kept as long as it does
     * @param  bool  $isStrict  whether it is thrown out then, counted from the day on which it was made
     */
    private function __construct(
        public Millimetres $headspace,
        public array $covers,
        public int $fridgeDays,
        public bool $isStrict,
    ) {}

    /** What usually lies on it. */
    public function cover(): Cover
    {
        return $this->covers[0];
    }

    public static function vegetables(float $headspaceMm): self
    {
        return new self(
            Millimetres::of($headspaceMm),
            [Cover::ScrewLid, Cover::Airlock, Cover::SlitLid, Cover::LooseLid, Cover::Clamp, Cover::Cloth],
            self::VEGETABLE_DAYS,
            false,
        );
    }

    public static function sauce(float $headspaceMm, int $days): self
    {
        return new self(
            Millimetres::of($headspaceMm),
            [Cover::ScrewLid, Cover::LooseLid, Cover::Clamp, Cover::Cloth],
            $days,
            false,
        );
    }

    /** What takes up air while it works, and is closed for the fridge. */
    public static function breathing(float $headspaceMm, int $days): self
    {
        return new self(
            Millimetres::of($headspaceMm),
            [Cover::Cloth, Cover::LooseLid, Cover::ScrewLid, Cover::Clamp],
            $days,
            false,
        );
    }

    public static function strictly(float $headspaceMm, int $days): self
    {
        return new self(Millimetres::of($headspaceMm), [Cover::ScrewLid, Cover::LooseLid, Cover::Clamp], $days, true);
    }
}
