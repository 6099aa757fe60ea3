<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bench\TakenJars;
use App\Models\Jar;
use App\Support\InvalidInput;
use Illuminate\Validation\ValidationException;

/**
 * Sees to it that no jar stands in two places: one that is taken is named with what is in it.
 */
final class FillJars
{
    /**
     * @param  list<Jar>  $jars  one for each that is filled; of the same kind as often as it is
     * @param  bool  $hasOneMore  whether the cook says that there are more of them than were counted
     * @param  string|null  $except  a batch that stands in one of them itself
     *
     * @throws ValidationException at the path of the field
     */
    public static function claim(array $jars, bool $hasOneMore, string $path = 'jarId', ?string $except = null): void
    {
        foreach (TakenJars::of($jars, $except) as ['jar' => $jar, 'by' => $by, 'needed' => $needed]) {
            if (!$hasOneMore) {
                throw InvalidInput::at($path, TakenJars::message($jar, $by));
            }
            $jar->update(['how_many' => count($by) + $needed]);
        }
    }
}
