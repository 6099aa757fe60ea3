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
    /** Half the thickness of what was cut by hand, as a share of it: from memory, order of magnitude. */
    private const CUT_BY_EYE = 0.25;

    /** What tells it from other pieces. */
    private string $key;

    /**
     * @param  Band  $reachMm  half the thickness of a sheet, the radius of a cylinder or sphere
     * @param  Band  $diffusivity  of salt at 20 °C, in 1e-10 m²/s
     * @param  Band  $partition  K, sodium in a gram of the piece's water over that of the brine, at rest
     */
    private function __construct(
        public PieceForm $form,
        public Band $reachMm,
        public Band $diffusivity,
        public Band $partition,
    ) {
        $this->key = implode(' ', [$form->value, $reachMm->typical, $diffusivity->typical, $partition->typical]);
    }

    /** A piece that nobody has measured: its thickness is known to a quarter either way. */
    public static function byEye(PieceForm $form, Millimetres $reach, Band $diffusivity, ?Band $partition = null): self
    {
        return new self($form, self::roughly($reach->value), $diffusivity, $partition ?? self::usualPartition());
    }

    /** A piece of which all is known. */
    public static function measured(
        PieceForm $form,
        Millimetres $reach,
        Band $diffusivity,
        float $partition = 1.0,
    ): self {
        return new self($form, Band::exact($reach->value), $diffusivity, Band::exact($partition));
    }

    /** K of plant tissue: from memory, order of magnitude. */
    public static function usualPartition(): Band
    {
        return Band::of(0.85, 1.0, 1.05);
    }

    /** The same piece, thinner or thicker. */
    public function reaching(Band $reachMm): self
    {
        return new self($this->form, $reachMm, $this->diffusivity, $this->partition);
    }

    /**
     * l² / D, the time in which salt gets across it, in seconds at 20 °C.
     *
     * @param  Message|null  $of  which pieces of several
     */
    public function crossingSeconds(Point $point, ?Message $of = null): float
    {
        $diffusivity = $point->of($this->uncertain('diffusivity', $this->diffusivity, $of));
        $reach = $point->of($this->uncertain('thickness', $this->reachMm, $of)) * 1e-3;

        return ($reach * $reach) / ($diffusivity * 1e-10);
    }

    public function partitionAt(Point $point): float
    {
        return $point->of(new Uncertain('partition', 'partition', $this->partition, '', false));
    }

    /** What tells it from other pieces. */
    public function key(): string
    {
        return $this->key;
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $reach = $fields->band('reachMm', null, 0.0, 1_000.0);
        if ($reach->low < 0.05) {
            throw $fields->invalid('reachMm', Message::of('errors.piece_reach'));
        }
        $tissue = $fields->has('tissue') ? $fields->choice('tissue', Tissue::class) : null;
        $partition = $fields->band('partition', self::usualPartition(), 0.0, 100.0);
        if ($partition->low < 0.1 || $partition->high > 10.0) {
            throw $fields->invalid('partition', Message::of('errors.piece_partition'));
        }

        return new self(
            $fields->choice('form', PieceForm::class),
            $fields->isNumber('reachMm') ? self::roughly($reach->typical) : $reach,
            $fields->band('diffusivity', $tissue?->diffusivity(), 0.001, 100.0),
            $partition,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'form' => $this->form->value,
            'reachMm' => $this->reachMm->toArray(),
            'diffusivity' => $this->diffusivity->toArray(),
            'partition' => $this->partition->toArray(),
        ];
    }

    /** A length that was said and not measured. */
    public static function roughly(float $millimetres): Band
    {
        return Band::around($millimetres, self::CUT_BY_EYE * $millimetres);
    }

    private function uncertain(string $what, Band $band, ?Message $of): Uncertain
    {
        return $of === null
            ? new Uncertain($what, $what, $band)
            : new Uncertain("{$what}:{$this->key()}", "{$what}_of", $band, $of);
    }
}
