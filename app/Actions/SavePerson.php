<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Person;
use App\Models\RestOfDiet;
use Illuminate\Support\Facades\DB;

/**
 * Seats someone at the table, or changes what is known of them.
 */
final readonly class SavePerson
{
    /**
     * @param  array<string, mixed>  $columns
     * @param  array<int, int>  $restOfDiet  milligrams of sodium by ISO weekday
     */
    public function __invoke(?string $id, array $columns, array $restOfDiet): Person
    {
        return DB::transaction(static function () use ($id, $columns, $restOfDiet): Person {
            if ($id === null) {
                $person = Person::create([...$columns, 'position' => 1 + (int) Person::query()->withoutGlobalScope('present')->get()->max('position')]);
            } else {
                $person = Person::query()->lockForUpdate()->findOrFail($id);
                $person->update($columns);
            }
            foreach ($restOfDiet as $weekday => $sodium) {
                RestOfDiet::query()->updateOrCreate(['person_id' => $person->id, 'weekday' => $weekday], ['sodium_mg' => $sodium]);
            }

            return $person;
        });
    }
}
