<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;

/**
 * What is kept of a batch's states between two times at which it is looked at; see App\Ledger\Snapshots.
 *
 * @property string $batch_id
 * @property string $state
 */
final class BatchSnapshot extends Model
{
    use BelongsToHousehold;

    public const UPDATED_AT = null;

    protected $primaryKey = 'batch_id';

    protected $guarded = [];
}
