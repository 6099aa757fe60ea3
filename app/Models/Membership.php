<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\Access;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That somebody may enter a kitchen, and what they may do there. It is asked for before a kitchen is chosen, so each query
 * names the kitchen or the cook.
 *
 * @property string $id
 * @property string $household_id
 * @property string $user_id
 * @property Access $access
 * @property User $user
 * @property Household $household
 */
final class Membership extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @return Builder<self> of one kitchen */
    public static function of(Household $household): Builder
    {
        return self::query()->where('household_id', $household->id);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Household, $this> */
    public function household(): BelongsTo
    {
        return $this->belongsTo(Household::class);
    }

    /** Whether nobody else keeps the kitchen. */
    public function isLastKeeper(): bool
    {
        return $this->access === Access::Keep &&
            self::query()
                ->where('household_id', $this->household_id)
                ->where('access', Access::Keep)
                ->where('id', '!=', $this->id)
                ->doesntExist();
    }

    protected function casts(): array
    {
        return ['access' => Access::class];
    }
}
