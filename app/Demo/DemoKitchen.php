<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\AddBoughtJar;
use App\Actions\CalibrateSpoon;
use App\Actions\ChangeWeek;
use App\Actions\CreateHousehold;
use App\Actions\EmptyJar;
use App\Actions\MoveJar;
use App\Actions\PlanBatch;
use App\Actions\RecordNote;
use App\Actions\RecordOtherFood;
use App\Actions\SaveFood;
use App\Actions\SavePerson;
use App\Actions\SavePhoto;
use App\Actions\SaveReadings;
use App\Actions\SaveRotation;
use App\Actions\ServeDish;
use App\Actions\StartBatch;
use App\Household\CurrentHousehold;
use App\Intake\ServedFrom;
use App\Intake\ServingMoment;
use App\Language\StoredText;
use App\Models\Batch;
use App\Models\ChoreMark;
use App\Models\Formula;
use App\Models\Household;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\RoomSpell;
use App\Models\RotationLine;
use App\Models\Salt;
use App\Week\KitchenWeek;
use App\Week\Planning;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Tempesal\Core\Care\Task;
use Tempesal\Core\Check\Finding;
use Tempesal\Core\Intake\LabelSodium;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Measure\VolumeUnit;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient as Produce;

/**
 * An invented kitchen with jars at every stage, laid out around today. It goes through the same actions as a cook does.
 *
 * @phpstan-import-type Typed from \App\Bench\BenchFields
 */
final class DemoKitchen
{
    private const EMAIL = 'cook@larkfield.example';

    public function __construct(
        private readonly CreateHousehold $open,
        private readonly StartBatch $start,
        private readonly CalibrateSpoon $calibrate,
        private readonly SaveFood $saveFood,
        private readonly MoveJar $stand,
        private readonly EmptyJar $empty,
        private readonly RecordNote $writeNote,
        private readonly SaveReadings $keepReadings,
        private readonly SaveRotation $keepRotation,
        private readonly ChangeWeek $changeWeek,
        private readonly PlanBatch $planBatch,
        private readonly RecordOtherFood $writeOther,
        private readonly SavePerson $savePerson,
        private readonly ServeDish $serveDish,
        private readonly AddBoughtJar $shelve,
        private readonly CurrentHousehold $current,
        private readonly EightWeeks $before,
    ) {}

    /** Does nothing when the kitchen was laid out today already. */
    public function layOut(bool $again = false): void
    {
        $there = Household::query()->where('is_demo', true)->first();
        if ($there !== null) {
            if (!$again && $there->dateOf($there->created_at) === $there->today()) {
                return;
            }
            self::clear($there);
        }
        DB::transaction(function (): void {
            $cook = ($this->open)(
                'Larkfield Row kitchen',
                self::EMAIL,
                Str::random(40),
                'Europe/Lisbon',
                new KitchenUnits(Habit::Us, usesInches: false, usesFahrenheit: false),
                self::people(),
                [0 => 4, 1 => 6, 2 => 2, 3 => 3, 4 => 2, 5 => 1, 6 => 1],
                demo: true,
            );
            $cook->update(['name' => 'Marit']);
            $this->current->during($cook->household, function () use ($cook): void {
                $this->fill($cook->household);
            });
        });
    }

    private static function clear(Household $household): void
    {
        DB::transaction(static function () use ($household): void {
            File::deleteDirectory(SavePhoto::folderOf($household->id));
            DB::table('servings')->where('household_id', $household->id)->delete();
            DB::table('batch_entries')->where('household_id', $household->id)->whereNotNull('reverses_id')->delete();
            $household->delete();
        });
    }

    /**
     * @return list<array{name: string, targetSodiumMg: int, targetSource: string, usualServingG: float,
     *     restOfDietMg: array<int, int>}>
     */
    private static function people(): array
    {
        $person = static fn(
            string $name,
            int $target,
            string $source,
            float $serving,
            int $weekday,
            int $weekend,
        ): array => [
            'name' => $name,
            'targetSodiumMg' => $target,
            'targetSource' => $source,
            'usualServingG' => $serving,
            'restOfDietMg' => array_replace(array_fill(1, 7, $weekday), [6 => $weekend, 7 => $weekend]),
        ];

        return [
            $person('Marit', 1500, 'agreed with her clinician', 30.0, 940, 1080),
            $person(
                'Jory',
                TargetPreset::UsDailyValue->milligrams(),
                StoredText::of(TargetPreset::UsDailyValue->source()),
                50.0,
                1390,
                1620,
            ),
            $person(
                'Nell',
                TargetPreset::NasemChild4->milligrams(),
                StoredText::of(TargetPreset::NasemChild4->source()),
                20.0,
                930,
                1010,
            ),
        ];
    }

    private function fill(Household $household): void
    {
        $this->warmth();
        $this->before->begin();
        $this->earlierKraut();
        $kraut = $this->jar(
            'Caraway kraut',
            'counter',
            17,
            'green-cabbage',
            'Half-gallon jar',
            'fine-sea',
            [
                'method' => 'dry_salting',
                'vegetableAmount' => '1280 g',
                'strengthPercent' => '2.2',
                'strengthBasis' => 'of_vegetable',
                'weightMl' => 60,
                // From the first minutes of its day on, so that it is ready in the course of today, whenever that is
                // asked.
            ],
            CarbonImmutable::parse($household->today(), $household->time_zone)->subDays(17)->utc(),
        );
        $red = $this->jar('Red kraut with apple', 'cool', 41, 'red-cabbage', 'Quart jar', 'fine-sea', [
            'method' => 'dry_salting',
            'vegetableAmount' => '540 g',
            'strengthPercent' => '2',
            'strengthBasis' => 'of_vegetable',
            'weightMl' => 40,
        ]);
        ($this->stand)($red->id, Place::Fridge, (string) Str::ulid(), CarbonImmutable::now()->subDays(13));
        $carrots = $this->jar('Carrot sticks with dill', 'counter', 6, 'carrot', 'Quart jar', 'flaky-kosher', [
            'method' => 'poured_brine',
            'saltUnit' => 'spoons',
            'fixed' => 'salt',
            'saltAmount' => '2 tbsp',
            'strengthPercent' => '3',
            'strengthBasis' => 'of_water',
        ]);
        $spears = $this->jar('Half-sour spears', 'counter', 4, 'cucumber', 'Half-gallon jar', 'pickling', [
            'method' => 'poured_brine',
            'strengthPercent' => '4',
            'strengthBasis' => 'of_water',
            'weightMl' => 60,
        ]);
        $cauliflower = $this->jar(
            'Turmeric cauliflower',
            'counter',
            2,
            'cauliflower',
            'One-litre clamp jar',
            'fine-sea',
            [
                'method' => 'equilibrium_brine',
                'strengthPercent' => '2.5',
                'strengthBasis' => 'of_everything',
            ],
        );
        $mash = $this->jar('Red chilli mash', 'cool', 23, 'red-chilli', 'Pint jar', 'pickling', [
            'method' => 'mash',
            'vegetableAmount' => '260 g',
            'strengthPercent' => '3',
            'strengthBasis' => 'of_vegetable',
            'servingAmount' => '6 g',
        ]);
        $this->before->make('kimchi-dry-salted', 'Everyday kimchi', 'Two-litre jar', 9, 4);
        $this->particulars();
        $this->intakeTargets($household);
        $this->bought();
        $this->status([
            [$kraut, Task::Press, 1, 3],
            [$kraut, Task::Airlock, 14, 14],
            [$red, Task::Press, 1, 3],
            [$red, Task::Burp, 1, 7],
            [$carrots, Task::Burp, 1, 3],
            [$mash, Task::Stir, 1, 7],
            [$mash, Task::Burp, 1, 7],
        ]);
        $this->note($kraut, $kraut->started_at->addDays(8), [
            'marks' => ['salty' => 4, 'sour' => 2, 'crunch' => 5, 'liked' => 3],
            'smell' => 'fresh',
            'bubbles' => 'lively',
            'text' => 'Still mostly salt.',
        ]);
        $this->note($kraut, $kraut->started_at->addDays(15), [
            'marks' => ['salty' => 3, 'sour' => 3, 'crunch' => 5, 'liked' => 4],
            'smell' => 'sour',
            'bubbles' => 'few',
            'ph' => 3.8,
        ]);
        $this->note($red, 20, [
            'marks' => ['salty' => 2, 'sour' => 4, 'crunch' => 3, 'liked' => 4],
            'ph' => 3.6,
            'colour' => 'deeper',
        ]);
        $this->note($mash, 12, ['ph' => 3.9, 'marks' => ['heat' => 5, 'sour' => 3], 'bubbles' => 'few']);
        $this->note($spears, 0, [
            'marks' => ['salty' => 3, 'sour' => 2, 'crunch' => 5, 'liked' => 5],
            'text' => 'Half sour, just as the name says.',
        ]);
        $this->writeNote->check(
            $mash->id,
            [
                Finding::FilmFlat,
                Finding::ColourAsExpected,
                Finding::LidFlat,
                Finding::FewBubbles,
                Finding::SmellSour,
                Finding::Smooth,
            ],
            (string) Str::ulid(),
        );
        $this->before->goOn();
        $people = Person::atTable()->keyBy('name');
        $meals = [
            [12, $red, 'Marit', 30],
            [12, $red, 'Jory', 60],
            [9, $red, 'Jory', 50],
            [6, $red, 'Nell', 20],
            [5, $red, 'Jory', 60],
            [4, $red, 'Marit', 30],
            [3, $red, 'Jory', 60],
            [3, $kraut, 'Marit', 30],
            [2, $kraut, 'Nell', 20],
            [2, $red, 'Jory', 60],
            [1, $kraut, 'Marit', 40],
            [1, $kraut, 'Jory', 70],
            [1, $mash, 'Jory', 6],
            [1, $carrots, 'Nell', 25],
            [0, $kraut, 'Marit', 40],
            [0, $carrots, 'Marit', 25],
            [0, $carrots, 'Nell', 30],
            [0, $red, 'Jory', 60],
        ];
        foreach ($meals as [$daysAgo, $batch, $name, $grams]) {
            if ($daysAgo === 1) {
                $lent ??= $this->beetroot($kraut);
            }
            $this->before->eats($batch, $people[$name] ?? throw new \LogicException($name), $grams, $daysAgo);
        }
        // Chilli mash went into last night's soup: two shares of it, and a bowl for a guest.
        $portions = array_values(
            $people
                ->whereIn('name', ['Marit', 'Jory'])
                ->map(static fn(Person $person): array => ['personId' => $person->id, 'grams' => Grams::of(6.0)])
                ->all(),
        );
        if ($portions !== []) {
            $yesterday = CarbonImmutable::parse($household->today())->subDay()->toDateString();
            ($this->serveDish)(
                new ServedFrom($mash->id, new ServingMoment($yesterday), at: CarbonImmutable::now()->subDay()),
                $portions,
                Grams::of(20.0),
                (string) Str::ulid(),
            );
        }
        $this->before->keepBrine();
        $this->besidesTheJars($people);
        $this->comesRound($household, [
            'dry_salting' => [$kraut, $red],
            'carrots' => [$carrots],
            'spears' => [$spears],
        ]);
        $this->plans($household, $red, $people);
    }

    /** @param  array<string, list<Batch>>  $like  batches that count as a line of the rotation */
    private function comesRound(Household $household, array $like): void
    {
        ($this->keepRotation)(
            [
                self::line('Kraut', 'caraway-kraut', $like['dry_salting'], [1, 4], 2.0),
                self::line('Kimchi', 'kimchi-dry-salted', [], [], 2.0),
                self::line('Carrot sticks', 'carrot-sticks', $like['carrots'], [], 2.0),
                self::line('Half-sours', 'half-sours', $like['spears'], [6], 1.0, [6, 7, 8, 9, 10]),
                self::line('Pink onions', 'red-onions', [], [], 1.0),
            ],
            Planning::of(['hasNew' => true]),
        );
    }

    /**
     * Last week as it was meant, this week and the next as the planner has them, and a batch to start the day after
     * tomorrow.
     *
     * @param  Collection<array-key, Person>  $people
     */
    private function plans(Household $household, Batch $red, Collection $people): void
    {
        $monday = CarbonImmutable::parse(KitchenWeek::firstDayOf($household, 'today'));
        $meant = [];
        foreach ([1, 3, 5] as $day) {
            foreach ($people as $person) {
                $meant[] = [
                    'personId' => $person->id,
                    'batchId' => $red->id,
                    'date' => $monday->subDays(7 - $day)->toDateString(),
                    'grams' => $person->usual_serving_g,
                    'way' => ServingStyle::Drained,
                    'isLocked' => false,
                ];
            }
        }
        ($this->changeWeek)($monday->subDays(7)->toDateString(), $meant, [], (string) Str::ulid());
        $this->changeWeek->fill($monday->toDateString(), false, (string) Str::ulid());
        $this->changeWeek->fill($monday->addDays(7)->toDateString(), false, (string) Str::ulid());
        $line = RotationLine::query()->where('name', 'Carrot sticks')->firstOrFail();
        ($this->planBatch)(
            (string) $line->formula_id,
            $line->id,
            Jar::query()->where('name', 'Quart jar')->firstOrFail()->id,
            CarbonImmutable::parse($household->today())->addDays(2)->toDateString(),
            1.0,
            (string) Str::ulid(),
        );
    }

    /**
     * What was written down instead of the estimate, or beside it.
     *
     * @param  Collection<array-key, Person>  $people
     */
    private function besidesTheJars(Collection $people): void
    {
        foreach (
            [
                ['Jory', 6, 'Tinned tomato soup', 920.0, ['noon']],
                ['Jory', 2, 'Rye bread with cheese', 640.0, ['evening']],
                ['Marit', 9, 'Smoked trout', 480.0, []],
                ['Marit', 1, 'Rye bread with cheese', 410.0, ['evening']],
                ['Nell', 1, 'Seeded crackers', 105.0, []],
            ]
            as [$name, $daysAgo, $what, $sodium, $meals]
        ) {
            $person = $people[$name] ?? throw new \LogicException($name);
            $date = CarbonImmutable::parse($this->current->get()->today())
                ->subDays($daysAgo)
                ->toDateString();
            ($this->writeOther)(
                [
                    'person_id' => $person->id,
                    'eaten_on' => $date,
                    'name' => $what,
                    'sodium_mg' => $sodium,
                    'instead_of' => $meals,
                    'how' => ['by' => 'mg', 'milligrams' => $sodium],
                ],
                (string) Str::ulid(),
            );
        }
    }

    /** A logger on the counter, a thermometer in the cool place, and a warm weekend to come. */
    private function warmth(): void
    {
        $hour = CarbonImmutable::now()->startOfHour();
        $counter = [];
        for ($ago = 15 * 24; $ago >= 0; $ago -= 2) {
            $at = $hour->subHours($ago);
            $counter[] = [
                $at->utc()->toDateTimeImmutable(),
                round(20.4 + 1.5 * cos((($at->hour - 16) / 24) * 2 * M_PI) + 0.5 * sin($ago / 31), 1),
            ];
        }
        ($this->keepReadings)(Place::Counter, $counter, 'logger');
        ($this->keepReadings)(
            Place::Cool,
            array_map(
                static fn(int $days): array => [
                    $hour->subDays($days)->utc()->toDateTimeImmutable(),
                    15.5 + 0.4 * ($days % 4),
                ],
                range(12, 0),
            ),
            'typed',
        );
        $today = CarbonImmutable::parse($this->current->get()->today());
        RoomSpell::create([
            'place' => Place::Counter,
            'from_on' => $today->addDays(2)->toDateString(),
            'to_on' => $today->addDays(4)->toDateString(),
            'celsius' => 25.0,
        ]);
    }

    /** The one before, saltier and warmer, eaten by now. */
    private function earlierKraut(): void
    {
        $earlier = $this->jar(
            'First kraut of the autumn',
            'counter',
            74,
            'green-cabbage',
            'Half-gallon jar',
            'fine-sea',
            [
                'method' => 'dry_salting',
                'vegetableAmount' => '1250 g',
                'strengthPercent' => '2.6',
                'strengthBasis' => 'of_vegetable',
                'weightMl' => 60,
                'roomCelsius' => 22,
            ],
        );
        $this->note($earlier, 66, ['marks' => ['salty' => 5, 'sour' => 2, 'crunch' => 5, 'liked' => 2]]);
        $this->note($earlier, 58, ['marks' => ['salty' => 4, 'sour' => 3, 'crunch' => 4, 'liked' => 4], 'ph' => 3.7]);
        $this->note($earlier, 44, [
            'marks' => ['salty' => 4, 'sour' => 5, 'crunch' => 3, 'liked' => 3],
            'ph' => 3.4,
            'text' => 'Sharp by now; shorter next time.',
        ]);
        ($this->stand)($earlier->id, Place::Fridge, (string) Str::ulid(), CarbonImmutable::now()->subDays(44));
        $this->before->eatOf($earlier->name);
        foreach (Person::atTable() as $n => $person) {
            foreach ([27, 26, 24, 23, 22, 21] as $daysAgo) {
                if (($daysAgo + $n) % 3 > 0) {
                    $this->before->eats($earlier, $person, $person->usual_serving_g, $daysAgo);
                }
            }
        }
        ($this->empty)($earlier->id, true, CarbonImmutable::now()->subDays(20));
    }

    /** @param  list<array{Batch, Task, int, int}>  $chores  done from one day of a jar's life to another */
    private function status(array $chores): void
    {
        foreach ($chores as [$batch, $task, $from, $to]) {
            for ($day = $from; $day <= $to; $day++) {
                $at = $batch->started_at->addDays($day);
                ChoreMark::create([
                    'batch_id' => $batch->id,
                    'task' => $task,
                    'due_on' => $at->toDateString(),
                    'done_at' => $at,
                    'request_key' => (string) Str::ulid(),
                ]);
            }
        }
    }

    /**
     * @param  int|CarbonImmutable  $when  days ago, or the moment
     * @param  array<string, mixed>  $columns
     */
    private function note(Batch $batch, int|CarbonImmutable $when, array $columns): void
    {
        ($this->writeNote)(
            $batch->id,
            $columns,
            is_int($when) ? CarbonImmutable::now()->subDays($when) : $when,
            (string) Str::ulid(),
        );
    }

    /** A jar of gherkins from the shop, heated there, for guests. */
    private function bought(): void
    {
        $food = Ingredient::query()->where('key', 'cucumber')->firstOrFail();
        $known = $food->produce();
        ($this->shelve)(
            new Produce(
                $known->id,
                'Gherkins from the shop',
                $known->waterPer100g,
                LabelSodium::per100g(640.0),
                $known->density,
                $known->shape,
                $known->hollow,
                false,
                tissue: $known->tissue,
                allergens: [Allergen::Mustard],
            ),
            $food,
            Grams::of(360.0),
            Grams::of(30.0),
            Phase::Pieces,
            false,
            Place::Fridge,
            CarbonImmutable::parse($this->current->get()->today())
                ->addDays(70)
                ->toDateString(),
            (string) Str::ulid(),
        );
    }

    /** Marit's clinician has asked for less since a while; Jory has a small lunch on weekdays. */
    private function intakeTargets(Household $household): void
    {
        $today = CarbonImmutable::parse($household->today());
        $figures = static fn(Person $person): array => [
            'target_sodium_mg' => $person->currentTarget()->target_sodium_mg,
            'target_source' => $person->currentTarget()->target_source,
            'rest' => $person->currentTarget()->rest,
        ];
        $marit = Person::query()->where('name', 'Marit')->firstOrFail();
        ($this->savePerson)(
            $marit->id,
            [],
            [...$figures($marit), 'target_sodium_mg' => 1800, 'target_source' => 'agreed with her clinician in spring'],
            null,
        );
        ($this->savePerson)($marit->id, [], $figures($marit), $today->subDays(17)->toDateString());
        $jory = Person::query()->where('name', 'Jory')->firstOrFail();
        $rest = $jory->currentTarget()->rest;
        foreach (range(1, 5) as $weekday) {
            $rest[$weekday] = ['morning' => 380, 'noon' => 260, 'evening' => 750];
        }
        ($this->savePerson)($jory->id, [], [...$figures($jory), 'rest' => $rest], null);
    }

    /** What makes this household itself: allergies and dislikes, a weighed spoon, a food from its label. */
    private function particulars(): void
    {
        Person::query()
            ->where('name', 'Nell')
            ->firstOrFail()
            ->update(['allergens' => ['fish'], 'usual_condiment_g' => 6.0]);
        Person::query()
            ->where('name', 'Jory')
            ->firstOrFail()
            ->update(['dislikes' => ['beetroot'], 'live_goal' => 2]);
        ($this->calibrate)(
            Salt::query()->where('key', 'flaky-kosher')->firstOrFail()->id,
            9.6,
            VolumeUnit::UsTablespoon,
        );
        ($this->saveFood)(null, [
            'name' => 'seeded crackers',
            'use' => 'pantry',
            'water_g_per_100g' => 4.0,
            ...Ingredient::sodium()->write(Band::of(420.0, 525.0, 630.0)),
            'label_sodium_mg' => 105.0,
            'label_serving_g' => 20.0,
            'density_g_per_ml' => 0.4,
            'shape' => 'chunks',
            'tissue' => 'root',
            'hollow' => false,
            'live' => false,
            'allergens' => ['gluten', 'sesame'],
            'not_for' => [],
            'source' => 'the package label',
        ]);
    }

    /** Beetroot started with brine lent by another jar. */
    private function beetroot(Batch $lender): Batch
    {
        return $this->jar('Beetroot with kraut brine', 'counter', 1, 'beetroot', 'Quart jar', 'fine-sea', [
            'method' => 'poured_brine',
            'strengthPercent' => '2.2',
            'strengthBasis' => 'of_water',
            'starterBatchId' => $lender->id,
            'starterAmount' => '3 tbsp',
        ]);
    }

    /**
     * @param  list<Batch>  $batches  that count as it
     * @param  list<int>  $weekdays
     * @param  list<int>  $months
     * @return array{id: null, name: string, formula_id: string, likenesses: list<string>, weekdays: list<int>,
     *     times_a_week: float, months: list<int>}
     */
    private static function line(
        string $name,
        string $formula,
        array $batches,
        array $weekdays,
        float $times,
        array $months = [],
    ): array {
        return [
            'id' => null,
            'name' => $name,
            'formula_id' => Formula::query()->where('key', $formula)->firstOrFail()->id,
            'likenesses' => array_map(static fn(Batch $batch): string => $batch->likeness, $batches),
            'weekdays' => $weekdays,
            'times_a_week' => $times,
            'months' => $months,
        ];
    }

    /** @param  array<string, mixed>  $fixed */
    private function jar(
        string $name,
        string $place,
        int $daysAgo,
        string $vegetable,
        string $jar,
        string $salt,
        array $fixed,
        ?CarbonImmutable $startedAt = null,
    ): Batch {
        /** @var Typed $typed */
        $typed = [
            'vegetableId' => Ingredient::query()->where('key', $vegetable)->firstOrFail()->id,
            'jarId' => Jar::query()->where('name', $jar)->firstOrFail()->id,
            'saltId' => Salt::query()->where('key', $salt)->firstOrFail()->id,
            'saltUnit' => 'grams',
            'fixed' => 'strength',
            'servingAmount' => '40 g',
            ...$fixed,
        ];
        $batch = ($this->start)(
            $typed,
            $name,
            $place,
            (string) Str::ulid(),
            $startedAt ?? CarbonImmutable::now()->subDays($daysAgo)->subHours(3),
        );
        // It has stood on this shelf since.
        $batch->update(['created_at' => $batch->started_at]);

        return $batch;
    }
}
