<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;

/**
 * What is eaten of a batch, in which portion, and from when on.
 */
final readonly class EdiblePart
{
    /** A forkful, and a spoonful of a condiment, in grams: common practice, no source. */
    private const PIECES_G = 40.0;

    private const SAUCE_G = 15.0;

    /** A small glass or bowl, in grams: common practice, no source. */
    private const GLASS_G = 100.0;

    /**
     * @param  Window|null  $window  for batches that were made without a formula; null where nothing ripens
     * @param  LiveFrom  $liveFrom  the stage from which on it counts as live
     */
    private function __construct(
        public Served $served,
        public Grams $portion,
        public ?Window $window,
        public LiveFrom $liveFrom = LiveFrom::Young,
    ) {}

    public static function pieces(?Window $window): self
    {
        return new self(Served::Pieces, Grams::of(self::PIECES_G), $window);
    }

    /** Pieces with their dressing, as they lie in the jar. */
    public static function dressed(?Window $window): self
    {
        return new self(Served::All, Grams::of(self::PIECES_G), $window);
    }

    /** Not eaten: it goes into other jars. */
    public static function brine(): self
    {
        return new self(Served::Brine, Grams::of(self::SAUCE_G), null, LiveFrom::Never);
    }

    public static function sauce(?Window $window): self
    {
        return new self(Served::Sauce, Grams::of(self::SAUCE_G), $window);
    }

    /** Drunk, or eaten with a spoon. */
    public static function glass(?Window $window): self
    {
        return new self(Served::Sauce, Grams::of(self::GLASS_G), $window);
    }

    /** The same, counting as live from another stage on. */
    public function countingFrom(LiveFrom $stage): self
    {
        return new self($this->served, $this->portion, $this->window, $stage);
    }
}
