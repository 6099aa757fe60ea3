<?php

declare(strict_types=1);

namespace App\Backup;

use App\Actions\SavePhoto;
use App\Models\Household;
use App\Models\Note;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/**
 * A whole kitchen as one document: every row of it as it lies in the tables, and the photos. Nothing of signing in is
 * in it.
 */
final class KitchenFile
{
    public const VERSION = 4;

    /** The tables of a kitchen, each after those to which it points. */
    public const TABLES = [
        'people',
        'weighed_measures',
        'intake_targets',
        'salts',
        'ingredients',
        'jars',
        'hold_downs',
        'rooms',
        'room_readings',
        'room_spells',
        'formulas',
        'formula_versions',
        'batches',
        'batch_steps',
        'batch_entries',
        'notes',
        'chore_marks',
        'practice_answers',
        'week_changes',
        'rotation_lines',
        'planned_batches',
        'planned_servings',
        'servings',
        'other_foods',
    ];

    /** What a kitchen is by itself. */
    public const HOUSEHOLD = [
        'name',
        'time_zone',
        'language',
        'spoon_system',
        'uses_inches',
        'uses_fahrenheit',
        'measure_by',
        'week_start',
        'quiet_from',
        'quiet_to',
        'aim',
        'planning',
    ];

    /**
     * @return array{tempesal: string, version: int, made: string, household: array<string, mixed>,
     *     rows: array<string, list<array<string, mixed>>>, photos: array<string, string>}
     */
    public static function of(Household $household): array
    {
        $rows = [];
        foreach (self::TABLES as $table) {
            $rows[$table] = array_values(
                array_map(
                    static fn(object $row): array => self::row((array) $row),
                    DB::table($table)->where('household_id', $household->id)->orderBy('id')->get()->all(),
                ),
            );
        }

        return [...self::head($household), 'rows' => $rows, 'photos' => self::photos()];
    }

    /** The same for two kitchens with the same rows and photos, whenever and wherever it is asked for. */
    public static function hash(Household $household): string
    {
        $hash = hash_init('sha256');
        hash_update($hash, serialize(array_diff_key(self::head($household), ['made' => 0])));
        foreach (self::TABLES as $table) {
            $rows = DB::table($table)->where('household_id', $household->id)->orderBy('id')->lazyById();
            foreach ($rows as $row) {
                hash_update($hash, serialize(self::row((array) $row)));
            }
        }
        foreach (Note::query()->where('photo', '!=', null)->orderBy('id')->lazyById() as $note) {
            $path = SavePhoto::path($note);
            hash_update($hash, $path !== null && File::exists($path) ? (string) hash_file('sha256', $path) : '-');
        }

        return hash_final($hash);
    }

    /** @return array{tempesal: string, version: int, made: string, household: array<string, mixed>} */
    public static function head(Household $household): array
    {
        return [
            'tempesal' => 'kitchen',
            'version' => self::VERSION,
            'made' => CarbonImmutable::now()->toIso8601ZuluString(),
            'household' => array_intersect_key($household->getAttributes(), array_flip(self::HOUSEHOLD)),
        ];
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    public static function row(array $row): array
    {
        return array_diff_key($row, ['household_id' => 0]);
    }

    /** @return array<string, string> each photo by its name, its bytes in base64 */
    private static function photos(): array
    {
        $photos = [];
        foreach (Note::query()->where('photo', '!=', null)->get() as $note) {
            $path = SavePhoto::path($note);
            if ($path !== null && File::exists($path)) {
                $photos[(string) $note->photo] = base64_encode(File::get($path));
            }
        }

        return $photos;
    }
}
