<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\CurrentHousehold;
use App\Models\Household;
use App\Models\Person;
use App\Models\RestOfDiet;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Measure\SpoonSystem;

/**
 * Opens a new kitchen: household, cook, eaters, stocked pantry.
 *
 * @phpstan-type Eater array{name: string, targetSodiumMg: int, targetSource: string, usualServingG: float, restOfDietMg: int|array<int, int>}
 */
final readonly class OpenKitchen
{
    public function __construct(private CurrentHousehold $current, private StockPantry $stock, private StockFormulas $formulas)
    {
    }

    /**
     * @param  list<Eater>  $eaters  the rest of the diet as one figure, or by ISO weekday
     * @param  array<int, int>  $jarCounts
     */
    public function __invoke(string $name, string $email, string $password, string $timeZone, SpoonSystem $spoons, array $eaters, array $jarCounts, bool $demo = false): User
    {
        return DB::transaction(function () use ($name, $email, $password, $timeZone, $spoons, $eaters, $jarCounts, $demo): User {
            $household = Household::create(['name' => $name, 'time_zone' => $timeZone, 'spoon_system' => $spoons, 'is_demo' => $demo]);
            $this->current->during($household, function () use ($eaters, $jarCounts): void {
                ($this->stock)($jarCounts);
                ($this->formulas)();
                foreach ($eaters as $position => $eater) {
                    self::seat($position, $eater);
                }
            });

            return User::create(['household_id' => $household->id, 'email' => $email, 'password' => $password]);
        });
    }

    /** @param  Eater  $eater */
    private static function seat(int $position, array $eater): void
    {
        $person = Person::create([
            'name' => $eater['name'],
            'position' => $position,
            'target_sodium_mg' => $eater['targetSodiumMg'],
            'target_source' => $eater['targetSource'],
            'usual_serving_g' => $eater['usualServingG'],
        ]);
        foreach (range(1, 7) as $weekday) {
            $rest = $eater['restOfDietMg'];
            RestOfDiet::create([
                'person_id' => $person->id,
                'weekday' => $weekday,
                'sodium_mg' => is_array($rest) ? $rest[$weekday] ?? 0 : $rest,
            ]);
        }
    }
}
