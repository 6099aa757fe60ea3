<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Uptake\Diffusivity;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\UptakeSeries;

/**
 * Running fresh water over pieces: desorption into an unlimited bath.
 */
final readonly class Rinsing
{
    /** Water from the tap: common practice, no source. */
    public const TAP_CELSIUS = 15.0;

    public function __construct(public Seconds $duration, public Celsius $temperature) {}

    public static function underTheTap(Seconds $duration): self
    {
        return new self($duration, Celsius::of(self::TAP_CELSIUS));
    }

    /** The share of the pieces' sodium that is washed out, 0 to 1; none where nothing is known of the pieces. */
    public function share(?Piece $piece, Point $point): float
    {
        return $piece === null
            ? 0.0
            : UptakeSeries::share(
                $piece->form,
                $piece->fourier($this->duration->value * Diffusivity::factor($this->temperature), $point),
                INF,
            );
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->neededDuration(),
            $fields->has('celsius') ? $fields->quantity('celsius', Celsius::class) : Celsius::of(self::TAP_CELSIUS),
        );
    }

    /** @return array{seconds: float, celsius: float} */
    public function toArray(): array
    {
        return ['seconds' => $this->duration->value, 'celsius' => $this->temperature->value];
    }
}
