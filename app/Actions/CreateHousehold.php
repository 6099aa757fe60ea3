<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\Access;
use App\Household\CurrentHousehold;
use App\Language\ReaderLanguage;
use App\Models\Household;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Intake\BackgroundDiet;
use Tempesal\Core\Measure\KitchenUnits;

/**
 * Opens a new kitchen: household, cook, eaters, stocked pantry.
 *
 * @phpstan-type Eater array{name: string, targetSodiumMg: int, targetSource: string, usualServingG: float,
 *     restOfDietMg: int|array<int, int>}
 */
final readonly class CreateHousehold
{
    /** How often it is begun again when two kitchens that are being opened waited for each other. */
    private const ATTEMPTS = 3;

    public function __construct(
        private CurrentHousehold $current,
        private SeedPantry $stock,
        private SeedFormulas $formulas,
        private SavePerson $save,
    ) {}

    /**
     * @param  list<Eater>  $eaters  the rest of the diet as one figure, or by ISO weekday
     * @param  array<int, int>  $jarCounts
     */
    public function __invoke(
        string $name,
        string $email,
        string $password,
        string $timeZone,
        KitchenUnits $units,
        array $eaters,
        array $jarCounts,
        bool $demo = false,
        string $measureBy = 'grams',
    ): User {
        return DB::transaction(function () use (
            $name,
            $email,
            $password,
            $timeZone,
            $units,
            $measureBy,
            $eaters,
            $jarCounts,
            $demo,
        ): User {
            $household = Household::create([
                'name' => $name,
                'time_zone' => $timeZone,
                'language' => ReaderLanguage::words(request())->locale,
                'spoon_system' => $units->habit->spoons(),
                'uses_inches' => $units->usesInches,
                'uses_fahrenheit' => $units->usesFahrenheit,
                'measure_by' => $measureBy,
                'is_demo' => $demo,
            ]);
            $this->current->during($household, function () use ($eaters, $jarCounts): void {
                ($this->stock)($jarCounts);
                ($this->formulas)();
                foreach ($eaters as $position => $eater) {
                    $this->seat($position, $eater);
                }
            });

            $user = User::create(['household_id' => $household->id, 'email' => $email, 'password' => $password]);
            Membership::create([
                'household_id' => $household->id,
                'user_id' => $user->id,
                'access' => Access::Keep,
            ]);

            return $user;
        }, self::ATTEMPTS);
    }

    /** @param  Eater  $eater */
    private function seat(int $position, array $eater): void
    {
        $rest = $eater['restOfDietMg'];
        ($this->save)(
            null,
            ['name' => $eater['name'], 'position' => $position, 'usual_serving_g' => $eater['usualServingG']],
            [
                'target_sodium_mg' => $eater['targetSodiumMg'],
                'target_source' => $eater['targetSource'],
                'rest' => BackgroundDiet::sharedOut(is_array($rest) ? $rest : array_fill(1, 7, $rest))->toArray(),
            ],
            null,
        );
    }
}
