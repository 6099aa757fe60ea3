<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Care\Task;

/**
 * That a chore was done, or put off for a while.
 *
 * @property string|null $request_key
 * @property string $batch_id
 * @property Task $task
 * @property string $due_on
 * @property CarbonImmutable|null $done_at
 * @property CarbonImmutable|null $snoozed_until
 * @property CarbonImmutable|null $undone_at
 */
final class ChoreMark extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    protected function casts(): array
    {
        return [
            'task' => Task::class,
            'done_at' => 'immutable_datetime',
            'snoozed_until' => 'immutable_datetime',
            'undone_at' => 'immutable_datetime',
        ];
    }
}
