<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Illuminate\Database\Eloquent\Model;

/**
 * What is kept of a day of someone between two times at which it is looked at; see App\Intake\EatenDays.
 *
 * @property string $person_id
 * @property string $eaten_on
 * @property int $version
 * @property list<array{string, bool, bool, float, float, float, float, int}>|null $portions
 */
final class EatenDay extends Model
{
    use BelongsToHousehold;

    public $timestamps = false;

    protected $primaryKey = 'person_id';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['version' => 'integer', 'portions' => 'array'];
}
