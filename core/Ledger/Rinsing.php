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

    /**
     * The sodium that is washed out of all the pieces of a jar, in mg, each kind by itself.
     *
     * @param  Piece|null  $piece  null: the pieces that are in the jar
     * @return array<string, float> by kind
     */
    public function washedMg(BatchState $state, ?Piece $piece, Point $point): array
    {
        $secondsAt20 = $this->duration->value * Diffusivity::factor($this->temperature);
        $washed = [];
        foreach ($state->kinds() as $key => $kind) {
            $cut = $piece ?? $kind->piece;
            $crossing = $cut->crossingSeconds($point, $piece === null ? $kind->label : null);
            $washed[$key] = $kind->masses->sodiumMg * UptakeSeries::share($cut->form, $secondsAt20 / $crossing, INF);
        }

        return $washed;
    }

    /** The share of the pieces' sodium that is washed out, 0 to 1. */
    public function share(BatchState $state, Point $point): float
    {
        $there = $state->phase(Phase::Pieces)->sodiumMg;

        return $there > 0.0 ? array_sum($this->washedMg($state, null, $point)) / $there : 0.0;
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
