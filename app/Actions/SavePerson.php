<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\IntakeTarget;
use App\Models\Person;
use Illuminate\Support\Facades\DB;

/**
 * Seats someone at the table, or changes what is known of them.
 *
 * @phpstan-type Figures array{target_sodium_mg: int, target_source: string, rest: array<int, array<string, int>>}
 */
final readonly class SavePerson
{
    /**
     * @param  array<string, mixed>  $columns
     * @param  Figures  $figures  what their days are held against
     * @param  int|null  $version  that the cook had open; null: whatever it is
     * @param  string|null  $since  the first day on which the figures hold, days before keep theirs; null: they hold
     *     for all days
     */
    public function __invoke(?string $id, array $columns, array $figures, ?string $since, ?int $version = null): Person
    {
        return DB::transaction(static function () use ($id, $columns, $figures, $since, $version): Person {
            if ($id === null) {
                $person = Person::create([
                    'position' => Person::nextPosition(),
                    ...$columns,
                ]);
                $since = null;
            } else {
                $person = Person::query()->lockForUpdate()->findOrFail($id)->refuseUnless($version);
                $person->update([...$columns, 'version' => $person->version + 1]);
            }
            self::hold($person, $figures, $since);

            return $person->load('intakeTargets');
        });
    }

    /** @param  Figures  $figures */
    private static function hold(Person $person, array $figures, ?string $since): void
    {
        $there = $person->intakeTargets->last();
        if ($there !== null && $since !== null && self::isSame($there, $figures)) {
            return;
        }
        if ($there !== null && $since === null) {
            IntakeTarget::query()->whereIn('id', $person->intakeTargets->pluck('id'))->delete();
        }
        IntakeTarget::query()->updateOrCreate(
            ['person_id' => $person->id, 'since' => $since ?? IntakeTarget::ALWAYS],
            $figures,
        );
    }

    /** @param  Figures  $figures */
    private static function isSame(IntakeTarget $there, array $figures): bool
    {
        return $there->target_sodium_mg === $figures['target_sodium_mg'] &&
            $there->target_source === $figures['target_source'] &&
            $there->rest == $figures['rest'];
    }
}
