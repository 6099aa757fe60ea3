<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\SpoonFill;

/**
 * An amount of one salt, weighed or spooned. A weighed dose is exact but for the scale;
 * a spooned one carries the salt's density and the spoon's fill.
 */
final readonly class SaltDose
{
    /** Half a step of a kitchen scale that shows whole grams: common practice, no source. */
    public const SCALE_HALF_STEP_G = 0.5;

    private function __construct(
        public SaltProduct $product,
        public ?Grams $weighed,
        public ?Millilitres $spooned,
        public SpoonFill $fill,
        public ?Band $said = null,
    ) {}

    public static function weighed(SaltProduct $product, Grams $weight): self
    {
        return new self($product, $weight, null, SpoonFill::Level);
    }

    /** @param  Millilitres  $volume  of the spoons themselves, level */
    public static function spooned(SaltProduct $product, Millilitres $volume, SpoonFill $fill = SpoonFill::Level): self
    {
        return new self($product, null, $volume, $fill);
    }

    /** Said so that only a band is known: "a pinch", "2-3 tbsp". */
    public static function said(SaltProduct $product, Band $grams): self
    {
        return $grams->isExact()
            ? self::weighed($product, Grams::of($grams->typical))
            : new self($product, null, null, SpoonFill::Level, $grams);
    }

    public function isSpooned(): bool
    {
        return $this->spooned !== null;
    }

    /** Grams of the product at a point of the estimate. */
    public function gramsAt(Point $point): float
    {
        if ($this->spooned !== null) {
            return $this->spooned->value * $point->of($this->product->density()) * $point->of($this->fillFactor());
        }

        if ($this->said !== null) {
            return $point->of(new Uncertain("salt_amount:{$this->product->id}", 'salt_amount', $this->said));
        }

        return $this->weighed === null || $this->weighed->isZero() ? 0.0 : $point->of($this->scale($this->weighed));
    }

    /** Grams of the product, typically. */
    public function grams(): Grams
    {
        return Grams::of($this->gramsAt(Point::typical()));
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $product = SaltProduct::read($fields->child('product'));
        if ($fields->has('spooned')) {
            $spooned = $fields->child('spooned');

            return self::spooned(
                $product,
                $spooned->quantity('millilitres', Millilitres::class),
                $spooned->choice('fill', SpoonFill::class, SpoonFill::Level),
            );
        }

        $grams = $fields->band('grams', null, 0.0, 1_000_000.0);

        return self::said($product, $grams);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['product' => $this->product->toArray()] +
            ($this->spooned !== null
                ? ['spooned' => ['millilitres' => $this->spooned->value, 'fill' => $this->fill->value]]
                : ['grams' => $this->said?->toArray() ?? $this->weighed?->value]);
    }

    private function fillFactor(): Uncertain
    {
        return new Uncertain("spoon:{$this->fill->value}", "spoon_{$this->fill->value}", $this->fill->factor());
    }

    private function scale(Grams $weight): Uncertain
    {
        return new Uncertain(
            "scale:{$this->product->id}",
            'scale',
            Band::of(
                max(0.0, $weight->value - self::SCALE_HALF_STEP_G),
                $weight->value,
                $weight->value + self::SCALE_HALF_STEP_G,
            ),
        );
    }
}
