<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;

/**
 * What a cook said to a drawn jar.
 *
 * @property int $number
 * @property string $sign
 * @property string $answer
 * @property bool $is_right
 */
final class PracticeAnswer extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['number' => 'integer', 'is_right' => 'boolean'];
    }
}
