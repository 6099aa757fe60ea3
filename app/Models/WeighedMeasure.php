<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use App\Household\HouseholdTransaction;
use Illuminate\Database\Eloquent\Model;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Produce\PieceShape;

/**
 * A forkful or a spoonful as it was weighed: of one family of foods, in this kitchen or for one eater. An eater's comes
 * before the kitchen's, and that before what such food usually weighs.
 *
 * @property string $what  forkful or spoonful
 * @property string $family  shreds, leaves, pulp or other
 * @property string|null $person_id  null: the kitchen's
 * @property float $grams
 */
final class WeighedMeasure extends Model
{
    use BelongsToHousehold;

    public const WHAT = ['forkful', 'spoonful'];

    public const FAMILIES = ['shreds', 'leaves', 'pulp', 'other'];

    /** No two forkfuls are alike, also of one hand: common practice, no source. */
    private const EACH = [0.8, 1.0, 1.25];

    protected $guarded = [];

    /** The weight of one; null where nobody weighed it. */
    public static function of(string $what, PieceShape $shape, ?string $personId): ?Band
    {
        $rows = self::query()
            ->where('what', $what)
            ->where('family', MeasuredFood::family($shape))
            ->where(static fn($query) => $query->whereNull('person_id')->orWhere('person_id', $personId))
            ->get();
        $row = $rows->firstWhere('person_id', $personId) ?? $rows->firstWhere('person_id', null);

        return $row === null
            ? null
            : Band::of(...array_map(static fn(float $factor): float => $factor * $row->grams, self::EACH));
    }

    /** Keeps what was weighed, or forgets it. */
    public static function keep(string $what, string $family, ?string $personId, ?float $grams): void
    {
        app(HouseholdTransaction::class)(static function () use ($what, $family, $personId, $grams): void {
            $key = ['what' => $what, 'family' => $family, 'person_id' => $personId];
            $grams === null
                ? self::query()->where($key)->delete()
                : self::query()->updateOrCreate($key, ['grams' => $grams]);
        });
    }

    protected function casts(): array
    {
        return ['grams' => 'float'];
    }
}
