<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Models\HoldDown;
use App\Models\Household;
use App\Models\Jar;
use App\Models\Salt;
use Illuminate\Support\Str;

/**
 * Puts a salt, a size of jar or a weight into the kitchen, or changes one that is there from the version the cook had
 * open.
 */
final readonly class SavePantryRow
{
    public function __construct(private HouseholdTransaction $transaction) {}

    /**
     * A salt of the cook's own; those that a kitchen starts with are not changed.
     *
     * @param  array<string, mixed>  $columns
     */
    public function salt(?string $id, array $columns, ?int $version): void
    {
        ($this->transaction)(
            static fn() => $id === null
                ? Salt::create([
                    ...$columns,
                    'key' => 'own-' . Str::lower((string) Str::ulid()),
                    'position' => Salt::nextPosition(),
                ])
                : Salt::query()
                    ->where('own', true)
                    ->lockForUpdate()
                    ->findOrFail($id)
                    ->refuseUnless($version)
                    ->update($columns),
        );
    }

    /** @param  array<string, mixed>  $columns */
    public function jar(?string $id, array $columns, ?int $version): void
    {
        ($this->transaction)(
            static fn() => $id === null
                ? Jar::create([...$columns, 'position' => Jar::nextPosition()])
                : Jar::query()->lockForUpdate()->findOrFail($id)->refuseUnless($version)->update($columns),
        );
    }

    /** @param  array<string, mixed>  $columns */
    public function holdDown(?string $id, array $columns, ?int $version): void
    {
        ($this->transaction)(
            static fn() => $id === null
                ? HoldDown::create($columns)
                : HoldDown::query()->lockForUpdate()->findOrFail($id)->refuseUnless($version)->update($columns),
        );
    }

    /** @param  array<string, mixed>  $columns */
    public function household(Household $household, array $columns, ?int $version): void
    {
        ($this->transaction)(static fn() => $household->refresh()->refuseUnless($version)->update($columns));
    }
}
