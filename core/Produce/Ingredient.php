<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\Masses;

/**
 * A food as the salt ledger sees it.
 */
final readonly class Ingredient
{
    private const USUAL_BRINE_FLOOR = 0.02;

    /**
     * @param  float  $waterPer100g  grams
     * @param  Band  $sodiumPer100g  milligrams
     * @param  float  $density  g/ml
     * @param  bool  $hollow  whether whole pieces hold air and must be split
     * @param  float  $brineFloor  least salt for a poured brine, as a share of the water
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $waterPer100g,
        public Band $sodiumPer100g,
        public float $density = 1.0,
        public PieceShape $shape = PieceShape::Chunks,
        public bool $hollow = false,
        public bool $live = false,
        public float $brineFloor = self::USUAL_BRINE_FLOOR,
    ) {
    }

    public function waterShare(): float
    {
        return $this->waterPer100g / 100.0;
    }

    /** Milligrams of sodium in a gram. */
    public function sodiumPerGram(): Uncertain
    {
        return new Uncertain("produce:{$this->id}:sodium", "the sodium that {$this->name} brings itself", $this->sodiumPer100g->times(0.01));
    }

    /** What a weight of it brings into a jar. */
    public function masses(float $grams, Point $point): Masses
    {
        return Masses::ofFood($grams, $this->waterShare(), $point->of($this->sodiumPerGram()));
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->text('id'),
            $fields->text('name'),
            $fields->band('waterPer100g', null, 0.0, 100.0)->typical,
            $fields->band('sodiumPer100g', null, 0.0, 40_000.0),
            $fields->band('density', Band::exact(1.0), 0.05, 5.0)->typical,
            $fields->choice('shape', PieceShape::class, PieceShape::Chunks),
            $fields->flag('hollow'),
            $fields->flag('live'),
            $fields->share('brineFloor', self::USUAL_BRINE_FLOOR),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'waterPer100g' => $this->waterPer100g,
            'sodiumPer100g' => $this->sodiumPer100g->toArray(),
            'density' => $this->density,
            'shape' => $this->shape->value,
            'hollow' => $this->hollow,
            'live' => $this->live,
            'brineFloor' => $this->brineFloor,
        ];
    }
}
