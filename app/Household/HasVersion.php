<?php

declare(strict_types=1);

namespace App\Household;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\ValidationException;

/**
 * A row that counts its changes, so that one made from an older window is not written over a newer one unseen.
 *
 * @property int $version
 */
trait HasVersion
{
    public static function bootHasVersion(): void
    {
        static::updating(static function (Model $row): void {
            if (!$row->isDirty('version') && array_diff(array_keys($row->getDirty()), self::UNCOUNTED) !== []) {
                $before = $row->getOriginal('version');
                $row->setAttribute('version', 1 + (is_numeric($before) ? (int) $before : 0));
            }
        });
    }

    /**
     * Refuses a change that was made from another version. The row is locked by the caller.
     *
     * @param  int|null  $version  null: whatever it is now
     *
     * @throws ValidationException at "version"
     */
    public function refuseUnless(?int $version): static
    {
        if ($version !== null && $version !== $this->version) {
            throw ValidationException::withMessages(['version' => 'errors.changed_elsewhere']);
        }

        return $this;
    }
}
