<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Message\Message;

/**
 * The piece that salt moves into and out of.
 */
final readonly class Piece
{
    /**
     * @param  Millimetres  $reach  half the thickness of a sheet, the radius of a cylinder or sphere
     * @param  Band  $diffusivity  of salt at 20 °C, in 1e-10 m²/s
     * @param  float  $partition  K, sodium in a gram of the piece's water over that of the brine, at rest
     */
    public function __construct(
        public PieceForm $form,
        public Millimetres $reach,
        public Band $diffusivity,
        public float $partition = 1.0,
    ) {}

    /**
     * Fourier number D t / l² for a time in seconds at 20 °C, dimensionless.
     */
    public function fourier(float $secondsAt20, Point $point): float
    {
        $diffusivity = $point->of(new Uncertain('diffusivity', 'diffusivity', $this->diffusivity));
        $reach = $this->reach->value * 1e-3;

        return ($diffusivity * 1e-10 * $secondsAt20) / ($reach * $reach);
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $reach = $fields->quantity('reachMm', Millimetres::class);
        if ($reach->value < 0.05) {
            throw $fields->invalid('reachMm', Message::of('errors.piece_reach'));
        }
        $tissue = $fields->has('tissue') ? $fields->choice('tissue', Tissue::class) : null;
        $partition = $fields->number('partition', 1.0);
        if ($partition < 0.1 || $partition > 10.0) {
            throw $fields->invalid('partition', Message::of('errors.piece_partition'));
        }

        return new self(
            $fields->choice('form', PieceForm::class),
            $reach,
            $fields->band('diffusivity', $tissue?->diffusivity(), 0.001, 100.0),
            $partition,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'form' => $this->form->value,
            'reachMm' => $this->reach->value,
            'diffusivity' => $this->diffusivity->toArray(),
            'partition' => $this->partition,
        ];
    }
}
