<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Measure\Band;

/**
 * A band kept in three columns whose names differ by low, typical and high.
 */
final readonly class BandColumns
{
    /** @param  string  $pattern  column name with a %s for the end, for example "sodium_%s_mg" */
    private function __construct(private string $pattern) {}

    public static function named(string $pattern): self
    {
        return new self($pattern);
    }

    public function read(Model $row): Band
    {
        return Band::of($this->number($row, 'low'), $this->number($row, 'typical'), $this->number($row, 'high'));
    }

    /** @return array<string, float> */
    public function write(Band $band): array
    {
        return [
            sprintf($this->pattern, 'low') => $band->low,
            sprintf($this->pattern, 'typical') => $band->typical,
            sprintf($this->pattern, 'high') => $band->high,
        ];
    }

    private function number(Model $row, string $end): float
    {
        $value = $row->getAttribute(sprintf($this->pattern, $end));

        return is_numeric($value) ? (float) $value : 0.0;
    }
}
