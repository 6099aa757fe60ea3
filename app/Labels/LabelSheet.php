<?php

declare(strict_types=1);

namespace App\Labels;

/**
 * A sheet of paper with labels in rows and columns; lengths are millimetres. The grids are those of label paper that is sold
 * everywhere (common practice, no source); on plain paper the frames are cut along.
 */
enum LabelSheet: string
{
    /** Eight of 99.1 x 67.7 mm on A4. */
    case A4 = 'sheet';

    /** Six of 4 x 3 1/3 inches on US Letter; a label stands in the middle of each. */
    case Letter = 'letter';

    private const COLUMNS = 2;

    public function paper(): string
    {
        return match ($this) {
            self::A4 => 'A4',
            self::Letter => 'letter',
        };
    }

    /** @return positive-int */
    public function places(): int
    {
        return match ($this) {
            self::A4 => 8,
            self::Letter => 6,
        };
    }

    /**
     * Where a label begins.
     *
     * @param  int  $place  from 0, row by row
     * @return array{float, float} mm from the left and from the top
     */
    public function place(int $place): array
    {
        [$left, $top, $across, $down, $width, $height] = match ($this) {
            self::A4 => [4.9, 13.1, 101.1, 67.7, 99.1, 67.7],
            self::Letter => [3.97, 12.7, 106.36, 84.67, 101.6, 84.67],
        };

        return [
            $left + ($place % self::COLUMNS) * $across + ($width - LabelPrint::WIDTH) / 2.0,
            $top + intdiv($place, self::COLUMNS) * $down + ($height - LabelPrint::HEIGHT) / 2.0,
        ];
    }
}
