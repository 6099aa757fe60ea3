<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Language\StoredText;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Message\Message;

/**
 * One change of a week's plan. It can be undone and done again: the servings it added or took away remember it.
 *
 * @property string $week_on
 * @property int $number
 * @property string $what  as StoredText
 * @property CarbonImmutable|null $undone_at
 */
final class WeekChange extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    public function said(): Message
    {
        return StoredText::read($this->what);
    }

    /** The number of the next change of a week; the first is 1. */
    public static function nextNumber(string $weekOn): int
    {
        $last = self::query()->where('week_on', $weekOn)->max('number');

        return is_numeric($last) ? 1 + (int) $last : 1;
    }

    protected function casts(): array
    {
        return ['number' => 'integer', 'undone_at' => 'immutable_datetime'];
    }
}
