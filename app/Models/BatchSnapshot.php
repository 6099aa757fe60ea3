<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;

/**
 * What is kept of a batch's states between two times at which it is looked at; see App\Ledger\Snapshots.
 *
 * @property string $batch_id
 * @property int $position  of the last entry that it stands for
 * @property string $mark
 * @property string $core  that computed it
 * @property string $short
 * @property string|null $state
 */
final class BatchSnapshot extends Model
{
    use BelongsToHousehold;

    public const UPDATED_AT = null;

    protected $primaryKey = 'batch_id';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['position' => 'integer'];
}
