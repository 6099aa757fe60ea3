<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A change that was asked for with a key, and how it was answered, so that the same request is answered the same again.
 *
 * @property string $key
 * @property string $operation  method and path
 * @property string $digest  of operation and body
 * @property int $status
 * @property string $answer  as it was sent
 * @property CarbonImmutable|null $spent_at  when what it wrote was undone
 * @property CarbonImmutable $created_at
 */
final class AnsweredRequest extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['status' => 'integer', 'spent_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
