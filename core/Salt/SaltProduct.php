<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Measure\VolumeUnit;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Message;

/**
 * A salt as it stands in a kitchen.
 */
final readonly class SaltProduct
{
    private Uncertain $sodium;

    private Uncertain $density;

    /**
     * @param  Band  $gramsPerTablespoon  weight of a level US tablespoon
     * @param  Band  $sodiumPer100g  milligrams of sodium in 100 g of the product
     * @param  float  $waterPer100g  moisture in grams
     * @param  bool  $calibrated  whether the density comes from the cook's own scale
     */
    public function __construct(
        public string $id,
        public string $name,
        public Band $gramsPerTablespoon,
        public Band $sodiumPer100g,
        public float $waterPer100g = 0.0,
        public bool $iodised = false,
        public bool $antiCaking = false,
        public bool $potassium = false,
        public bool $calibrated = false,
    ) {
        $this->sodium = new Uncertain(
            "salt:{$id}:sodium",
            'salt_sodium',
            $sodiumPer100g->times(0.01),
            $this->label(),
            false,
        );
        $this->density = new Uncertain(
            "salt:{$id}:density",
            'salt_density',
            $gramsPerTablespoon->times(1.0 / VolumeUnit::UsTablespoon->millilitres()),
            $this->label(),
            !$calibrated,
        );
    }

    /** Nothing but sodium chloride, as fine as pickling salt. */
    public static function pure(): self
    {
        return new self('pure', 'pure salt', Band::exact(18.5), Band::exact(SodiumChloride::SODIUM_SHARE * 100_000.0));
    }

    /** What a weight of it brings into a jar. */
    public function masses(float $grams, Point $point): Composition
    {
        return Composition::ofFood($grams, $this->waterPer100g / 100.0, $point->of($this->sodiumPerGram()));
    }

    /** Bulk density, g/ml. */
    public function density(): Uncertain
    {
        return $this->density;
    }

    /** Milligrams of sodium in a gram of the product. */
    public function sodiumPerGram(): Uncertain
    {
        return $this->sodium;
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->text('id'),
            $fields->text('name'),
            $fields->band('gramsPerTablespoon', null, 1.0, 40.0),
            $fields->band('sodiumPer100g', null, 0.0, SodiumChloride::SODIUM_SHARE * 100_000.0),
            $fields->band('waterPer100g', Band::exact(0.0), 0.0, 30.0)->typical,
            $fields->flag('iodised'),
            $fields->flag('antiCaking'),
            $fields->flag('potassium'),
            $fields->flag('calibrated'),
        );
    }

    public function label(): Message
    {
        return LibraryName::salt($this->id, $this->name);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'gramsPerTablespoon' => $this->gramsPerTablespoon->toArray(),
            'sodiumPer100g' => $this->sodiumPer100g->toArray(),
            'waterPer100g' => $this->waterPer100g,
            'iodised' => $this->iodised,
            'antiCaking' => $this->antiCaking,
            'potassium' => $this->potassium,
            'calibrated' => $this->calibrated,
        ];
    }
}
