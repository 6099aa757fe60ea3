<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\CalibrateSpoon;
use App\Actions\OpenKitchen;
use App\Actions\SaveFood;
use App\Actions\ServePortion;
use App\Actions\StartBatch;
use App\Actions\StartFromFormula;
use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Household;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Salt;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Measure\VolumeUnit;

/**
 * An invented kitchen with jars at every stage, laid out around today. It goes through the same actions as a cook does.
 */
final class DemoKitchen
{
    private const EMAIL = 'cook@larkfield.example';

    public function __construct(
        private readonly OpenKitchen $open,
        private readonly StartBatch $start,
        private readonly ServePortion $serve,
        private readonly StartFromFormula $startFromFormula,
        private readonly CalibrateSpoon $calibrate,
        private readonly SaveFood $saveFood,
        private readonly CurrentHousehold $current,
    ) {
    }

    /** Does nothing when the kitchen was laid out today already. */
    public function layOut(bool $again = false): void
    {
        $there = Household::query()->where('is_demo', true)->first();
        if ($there !== null) {
            if (! $again && CarbonImmutable::parse($there->getAttribute('created_at'))->setTimezone($there->time_zone)->toDateString() === $there->today()) {
                return;
            }
            self::clear($there);
        }
        DB::transaction(function (): void {
            $cook = ($this->open)(
                'Larkfield Row kitchen', self::EMAIL, Str::random(40), 'Europe/Lisbon', SpoonSystem::Us, self::people(),
                [0 => 4, 1 => 6, 2 => 2, 3 => 3, 4 => 2, 5 => 1, 6 => 1], demo: true,
            );
            $this->current->during($cook->household, function () use ($cook): void {
                $this->fill($cook->household);
            });
        });
    }

    private static function clear(Household $household): void
    {
        DB::transaction(static function () use ($household): void {
            DB::table('servings')->where('household_id', $household->id)->delete();
            DB::table('batch_entries')->where('household_id', $household->id)->whereNotNull('reverses_id')->delete();
            $household->delete();
        });
    }

    /** @return list<array{name: string, targetSodiumMg: int, targetSource: string, usualServingG: float, restOfDietMg: array<int, int>}> */
    private static function people(): array
    {
        $person = static fn (string $name, int $target, string $source, float $serving, int $weekday, int $weekend): array => [
            'name' => $name, 'targetSodiumMg' => $target, 'targetSource' => $source, 'usualServingG' => $serving,
            'restOfDietMg' => array_replace(array_fill(1, 7, $weekday), [6 => $weekend, 7 => $weekend]),
        ];

        return [
            $person('Marit', 1500, 'Agreed with her clinician', 30.0, 940, 1080),
            $person('Jory', TargetPreset::UsDailyValue->milligrams(), TargetPreset::UsDailyValue->source(), 50.0, 1390, 1620),
            $person('Nell', TargetPreset::NasemChild4->milligrams(), TargetPreset::NasemChild4->source(), 20.0, 930, 1010),
        ];
    }

    private function fill(Household $household): void
    {
        $kraut = $this->jar('Caraway kraut', 'counter', 16, 'green-cabbage', 'Half-gallon jar', 'fine-sea', [
            'method' => 'dry_salting', 'vegetableAmount' => '1280 g', 'strengthPercent' => '2.2', 'strengthBasis' => 'of_vegetable', 'weightMl' => 60,
        ]);
        $red = $this->jar('Red kraut with apple', 'fridge', 41, 'red-cabbage', 'Quart jar', 'fine-sea', [
            'method' => 'dry_salting', 'vegetableAmount' => '540 g', 'strengthPercent' => '2', 'strengthBasis' => 'of_vegetable', 'weightMl' => 40,
        ]);
        $carrots = $this->jar('Carrot sticks with dill', 'counter', 6, 'carrot', 'Quart jar', 'flaky-kosher', [
            'method' => 'poured_brine', 'saltUnit' => 'spoons', 'fixed' => 'salt', 'saltAmount' => '2 tbsp', 'strengthPercent' => '3', 'strengthBasis' => 'of_water',
        ]);
        $spears = $this->jar('Half-sour spears', 'counter', 4, 'cucumber', 'Half-gallon jar', 'pickling', [
            'method' => 'poured_brine', 'strengthPercent' => '4', 'strengthBasis' => 'of_water', 'weightMl' => 60,
        ]);
        $this->jar('Turmeric cauliflower', 'counter', 2, 'cauliflower', 'One-litre clamp jar', 'fine-sea', [
            'method' => 'equilibrium_brine', 'strengthPercent' => '2.5', 'strengthBasis' => 'of_everything',
        ]);
        $mash = $this->jar('Red chilli mash', 'cool', 23, 'red-chilli', 'Pint jar', 'pickling', [
            'method' => 'mash', 'vegetableAmount' => '260 g', 'strengthPercent' => '3', 'strengthBasis' => 'of_vegetable', 'servingAmount' => '6 g',
        ]);
        $this->kimchi();
        $this->particulars();
        $people = Person::atTable()->keyBy('name');
        $meals = [
            [12, $red, 'Marit', 30], [12, $red, 'Jory', 60], [9, $red, 'Jory', 50], [6, $red, 'Nell', 20], [5, $red, 'Jory', 60],
            [4, $red, 'Marit', 30], [3, $red, 'Jory', 60], [3, $kraut, 'Marit', 30], [2, $kraut, 'Nell', 20], [2, $red, 'Jory', 60],
            [1, $kraut, 'Marit', 40], [1, $kraut, 'Jory', 70], [1, $mash, 'Jory', 6], [1, $carrots, 'Nell', 25],
            [0, $kraut, 'Marit', 40], [0, $carrots, 'Marit', 25], [0, $carrots, 'Nell', 30], [0, $red, 'Jory', 60],
        ];
        foreach ($meals as [$daysAgo, $batch, $name, $grams]) {
            if ($daysAgo === 1) {
                $lent ??= $this->beetroot($kraut);
            }
            ($this->serve)(
                $batch->id, ($people[$name] ?? throw new \LogicException($name))->id, Grams::of($grams), null,
                CarbonImmutable::parse($household->today())->subDays($daysAgo)->toDateString(), (string) Str::ulid(),
                CarbonImmutable::now()->subDays($daysAgo),
            );
        }
    }

    /** A jar from the library's own formula. */
    private function kimchi(): void
    {
        $version = Formula::query()->where('key', 'kimchi-dry-salted')->firstOrFail()->newest;
        ($this->startFromFormula)(
            $version, StartFromFormula::read($version), Jar::query()->where('name', 'Two-litre jar')->firstOrFail()->id,
            'Everyday kimchi', 'fridge', CarbonImmutable::now()->subDays(9), (string) Str::ulid(),
        );
    }

    /** What makes this household itself: allergies and dislikes, a weighed spoon, a food from its label. */
    private function particulars(): void
    {
        Person::query()->where('name', 'Nell')->firstOrFail()->update(['allergens' => ['fish'], 'usual_condiment_g' => 6.0]);
        Person::query()->where('name', 'Jory')->firstOrFail()->update(['dislikes' => ['beetroot'], 'live_goal' => 2]);
        ($this->calibrate)(Salt::query()->where('key', 'flaky-kosher')->firstOrFail()->id, 9.6, VolumeUnit::UsTablespoon);
        ($this->saveFood)(null, [
            'name' => 'seeded crackers', 'use' => 'pantry', 'water_g_per_100g' => 4.0, ...Ingredient::sodium()->write(Band::of(420.0, 525.0, 630.0)),
            'label_sodium_mg' => 105.0, 'label_serving_g' => 20.0, 'density_g_per_ml' => 0.4, 'shape' => 'chunks', 'tissue' => 'root',
            'hollow' => false, 'live' => false, 'allergens' => ['gluten', 'sesame'], 'not_for' => [],
        ], 'the package label');
    }

    /** Beetroot started with brine lent by another jar. */
    private function beetroot(Batch $lender): Batch
    {
        return $this->jar('Beetroot with kraut brine', 'counter', 1, 'beetroot', 'Quart jar', 'fine-sea', [
            'method' => 'poured_brine', 'strengthPercent' => '2.2', 'strengthBasis' => 'of_water', 'starterBatchId' => $lender->id, 'starterAmount' => '3 tbsp',
        ]);
    }

    /** @param  array<string, mixed>  $fixed */
    private function jar(string $name, string $place, int $daysAgo, string $vegetable, string $jar, string $salt, array $fixed): Batch
    {
        return ($this->start)([
            'vegetableId' => Ingredient::query()->where('key', $vegetable)->firstOrFail()->id,
            'jarId' => Jar::query()->where('name', $jar)->firstOrFail()->id,
            'saltId' => Salt::query()->where('key', $salt)->firstOrFail()->id,
            'saltUnit' => 'grams',
            'fixed' => 'strength',
            'servingAmount' => '40 g',
            ...$fixed,
        ], $name, $place, (string) Str::ulid(), CarbonImmutable::now()->subDays($daysAgo)->subHours(3));
    }
}
