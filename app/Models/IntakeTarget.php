<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Intake\BackgroundDiet;

/**
 * What someone's days are held against from a day on: a target, and the estimate of all that is not from a jar.
 *
 * @property string $person_id
 * @property string $since
 * @property int $target_sodium_mg
 * @property string $target_source
 * @property array<int, array<string, int>> $rest
 */
final class IntakeTarget extends Model
{
    use BelongsToHousehold;

    /** The first of someone holds for every day before the second. */
    public const ALWAYS = '2000-01-01';

    protected $guarded = [];

    /** @var array{mixed, BackgroundDiet}|null the rest of a week, and of what it was read */
    private ?array $week = null;

    public function restOfWeek(): BackgroundDiet
    {
        $rest = $this->getAttributes()['rest'];
        if ($this->week === null || $this->week[0] !== $rest) {
            $this->week = [$rest, BackgroundDiet::of($this->rest)];
        }

        return $this->week[1];
    }

    protected function casts(): array
    {
        return ['target_sodium_mg' => 'integer', 'rest' => 'array'];
    }
}
