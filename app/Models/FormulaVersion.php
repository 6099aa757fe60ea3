<?php

declare(strict_types=1);

namespace App\Models;

use App\Household\BelongsToHousehold;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use LogicException;

/**
 * What a formula said at one time. Versions are added, never changed.
 *
 * @property string|null $request_key
 * @property string|null $note
 * @property string $formula_id
 * @property int $number
 * @property array<string, mixed> $document
 * @property CarbonImmutable $created_at
 */
final class FormulaVersion extends Model
{
    use BelongsToHousehold;

    protected $guarded = [];

    /** Whether the library wrote it, and no cook. */
    public function isOfLibrary(): bool
    {
        return $this->request_key === null;
    }

    protected static function booted(): void
    {
        self::updating(
            static fn() => throw new LogicException('A version of a formula is never changed; write another.'),
        );
    }

    protected function casts(): array
    {
        return ['number' => 'integer', 'document' => 'array', 'created_at' => 'immutable_datetime'];
    }
}
