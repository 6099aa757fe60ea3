<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Message\Message;

/**
 * When it is good to eat, counted in days at a temperature: young and crunchy, ready, long and sour.
 */
final readonly class Window
{
    /** An egg mayonnaise stands six to ten hours: common practice, no source. */
    public const EMULSION_HOURS = 8.0;

    /** Where a jar is ready sooner than this many hours, hours count. */
    public const HOURS_COUNT = 48.0;

    private function __construct(
        public float $youngDays,
        public float $readyDays,
        public float $longDays,
        public Celsius $temperature,
    ) {}

    /** Of sweetened water or tea without milk, from the bench. */
    public static function ofSweetCulture(): self
    {
        return self::of(2.0, 5.0, 14.0, Celsius::of(Ripening::REFERENCE_CELSIUS));
    }

    /** Days at a temperature until it is young, ready, and past its best. */
    public static function of(float $youngDays, float $readyDays, float $longDays, Celsius $temperature): self
    {
        return new self($youngDays, $readyDays, $longDays, $temperature);
    }

    /** Of an emulsion with egg: hours, then the cold. */
    public static function ofEmulsion(): self
    {
        return self::of(
            ShelfLife::EGG_FIRST_WARM_HOURS / 24.0,
            self::EMULSION_HOURS / 24.0,
            ShelfLife::EGG_LONGEST_WARM_HOURS / 24.0,
            Celsius::of(Ripening::REFERENCE_CELSIUS),
        );
    }

    /**
     * The same window for those who like it otherwise: "ready" is then the day at which they want it.
     *
     * @param  float|null  $ownDays  days at this window's temperature at which the cook has liked it best, where that
     *     is known
     */
    public function aimedAt(Aim $aim, ?float $ownDays = null): self
    {
        $ready = match ($aim) {
            Aim::Young => $this->youngDays,
            Aim::Middle => $this->readyDays,
            Aim::Long => ($this->readyDays + $this->longDays) / 2.0,
            Aim::Own => $ownDays ?? $this->readyDays,
        };

        return new self(min($this->youngDays, $ready), $ready, max($this->longDays, $ready), $this->temperature);
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        [$young, $ready, $long] = array_map(
            static function (string $key) use ($fields): float {
                $days = $fields->number($key);

                return $days < 0.0 || $days > 1_000.0
                    ? throw $fields->invalid($key, Message::of('errors.window_days'))
                    : $days;
            },
            ['youngDays', 'readyDays', 'longDays'],
        );
        if ($young > $ready || $ready > $long) {
            throw $fields->invalid('readyDays', Message::of('errors.window_order'));
        }

        return new self($young, $ready, $long, $fields->quantity('celsius', Celsius::class));
    }
}
