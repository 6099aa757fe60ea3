<?php

declare(strict_types=1);

namespace Tempesal\Core\Jar;

use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Message\Message;

/**
 * A jar as three stacked solids: a cylinder for the body, a sloping shoulder, a neck as wide as the mouth.
 * The nominal volume fills it to the rim, so the height follows from volume, body and mouth.
 */
final readonly class Jar
{
    private const NECK_MM = 22.0;

    private function __construct(
        public Millilitres $nominal,
        public Millimetres $mouth,
        public Millimetres $body,
        public Millimetres $neckHeight,
        public Millimetres $shoulderHeight,
        public Millimetres $bodyHeight,
    ) {}

    /**
     * @throws InvalidQuantity when the three measures cannot belong to one jar
     */
    public static function of(Millilitres $nominal, Millimetres $mouth, Millimetres $body): self
    {
        if ($nominal->value < 20.0 || $mouth->value < 15.0) {
            throw new InvalidQuantity(Message::of('errors.jar_least'));
        }
        if ($mouth->value > $body->value) {
            throw new InvalidQuantity(Message::of('errors.jar_mouth'));
        }
        $shoulder = ($body->value - $mouth->value) / 2.0;
        $neck = $shoulder > 0.0 ? self::NECK_MM : 0.0;
        $above = self::cylinder($mouth->value, $neck) + self::cone($body->value, $mouth->value, $shoulder);
        $bodyHeight = ($nominal->value - $above) / self::cylinder($body->value, 1.0);
        if ($bodyHeight < 10.0) {
            throw new InvalidQuantity(Message::of('errors.jar_height'));
        }

        return new self(
            $nominal,
            $mouth,
            $body,
            Millimetres::of($neck),
            Millimetres::of($shoulder),
            Millimetres::of($bodyHeight),
        );
    }

    public function height(): Millimetres
    {
        return $this->bodyHeight->plus($this->shoulderHeight)->plus($this->neckHeight);
    }

    /** Area of the mouth in cm². */
    public function mouthAreaCm2(): float
    {
        return self::cylinder($this->mouth->value, 10.0);
    }

    /** What the jar holds up to a height above its floor. */
    public function volumeUpTo(Millimetres $height): Millilitres
    {
        $left = min($height->value, $this->height()->value);
        $inBody = min($left, $this->bodyHeight->value);
        $volume = self::cylinder($this->body->value, $inBody);
        $inShoulder = min($left - $inBody, $this->shoulderHeight->value);
        if ($inShoulder > 0.0) {
            $topWidth = $this->body->value - 2.0 * $inShoulder;
            $volume += self::cone($this->body->value, $topWidth, $inShoulder);
        }

        return Millilitres::of($volume + self::cylinder($this->mouth->value, $left - $inBody - $inShoulder));
    }

    /** The height at which a volume stands; the rim for what the jar cannot hold. */
    public function heightOf(Millilitres $volume): Millimetres
    {
        if ($volume->value >= $this->nominal->value) {
            return $this->height();
        }
        [$body, $mouth] = [$this->body->value, $this->mouth->value];
        $above = $volume->value - self::cylinder($body, $this->bodyHeight->value);
        if ($above <= 0.0) {
            return Millimetres::of($volume->value / self::cylinder($body, 1.0));
        }
        $inNeck = $above - self::cone($body, $mouth, $this->shoulderHeight->value);
        if ($inNeck < 0.0) {
            // The shoulder narrows by twice what it rises, so that its volume is a difference of cubes.
            $topWidth = ($body ** 3 - (24_000.0 * $above) / M_PI) ** (1.0 / 3.0);

            return $this->bodyHeight->plus(Millimetres::of(($body - $topWidth) / 2.0));
        }

        return $this->bodyHeight
            ->plus($this->shoulderHeight)
            ->plus(Millimetres::of($inNeck / self::cylinder($mouth, 1.0)));
    }

    /** @return float ml of a cylinder measured in mm */
    private static function cylinder(float $width, float $height): float
    {
        return (((M_PI * $width ** 2) / 4.0) * $height) / 1000.0;
    }

    /** @return float ml of a truncated cone measured in mm */
    private static function cone(float $bottom, float $top, float $height): float
    {
        return (M_PI * $height * ($bottom ** 2 + $bottom * $top + $top ** 2)) / 12.0 / 1000.0;
    }
}
