<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Actions\Begin;
use App\Actions\CreateHousehold;
use App\Actions\MoveJar;
use App\Actions\ServePortion;
use App\Actions\StartFromFormula;
use App\Household\CurrentHousehold;
use App\Intake\ServedFrom;
use App\Intake\ServingMoment;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Serving;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Method\Place;

/**
 * An invented kitchen with a long history. Jars are started by the same actions that a cook uses; of what is eaten of a jar the
 * first serving is, and the others are rows like it at other moments: thousands of them are written in seconds.
 */
final class LongKitchen
{
    private const AT_ONCE = 500;

    public readonly User $cook;

    /** @param  string  $formula  of which all of its jars are */
    public function __construct(string $name, private readonly string $formula = 'golden-kraut')
    {
        $this->cook = app(CreateHousehold::class)(
            $name,
            Str::lower(Str::random(12)) . '@example.org',
            'a long enough password',
            'UTC',
            KitchenUnits::of(Habit::Metric),
            array_map(
                static fn(string $who): array => [
                    'name' => $who,
                    'targetSodiumMg' => 2000,
                    'targetSource' => 'test',
                    'usualServingG' => 30.0,
                    'restOfDietMg' => 1200,
                ],
                ['Ada', 'Bo', 'Cy'],
            ),
            [0, 400, 400, 400],
        );
        app(CurrentHousehold::class)->set($this->cook->household);
        $long = CarbonImmutable::now()->subYears(2);
        Person::query()->update(['created_at' => $long]);
    }

    /**
     * A jar that was started so many days ago and of which so many servings were eaten since it was ready.
     *
     * @param  bool  $isEmptied  whether it is over since
     */
    public function jar(string $name, int $daysAgo, int $servings, bool $isEmptied = false): Batch
    {
        $version = Formula::query()->where('key', $this->formula)->firstOrFail()->newest;
        $began = CarbonImmutable::now()->subDays($daysAgo);
        $batch = app(StartFromFormula::class)(
            $version,
            StartFromFormula::read($version),
            Jar::query()->where('how_many', '>', 0)->orderByDesc('nominal_ml')->firstOrFail()->id,
            $name,
            'counter',
            $began,
            (string) Str::ulid(),
            begin: Begin::Packed,
        );
        $batch->update(['created_at' => $began]);
        $ready = min($daysAgo - 1, 21);
        app(MoveJar::class)($batch->id, Place::Fridge, (string) Str::ulid(), $began->addDays($ready));
        if ($servings > 0) {
            $this->eat($batch, $began->addDays($ready), CarbonImmutable::now()->subHour(), $servings);
        }
        if ($isEmptied) {
            $batch->update(['emptied_at' => $began->addDays(60)->min(CarbonImmutable::now())]);
        }

        return $batch;
    }

    /** Half a gram at a time, so that no jar runs out. */
    private function eat(Batch $batch, CarbonImmutable $from, CarbonImmutable $to, int $count): void
    {
        $people = Person::atTable()->all();
        $first = app(ServePortion::class)(
            new ServedFrom($batch->id, new ServingMoment($from->toDateString()), at: $from),
            $people[0]->id,
            Grams::of(0.5),
            (string) Str::ulid(),
        );
        $serving = (array) DB::table('servings')->where('id', $first->id)->first();
        $entry = (array) DB::table('batch_entries')->where('id', $first->batch_entry_id)->first();
        $position = (int) DB::table('batch_entries')->where('batch_id', $batch->id)->max('position');
        $seconds = max(1, (int) $from->diffInSeconds($to));
        $entries = $servings = [];
        for ($n = 1; $n < $count; $n++) {
            $at = $from->addSeconds(intdiv($seconds * $n, $count));
            $id = strtolower((string) Str::ulid());
            $entries[] = [
                ...$entry,
                'id' => $id,
                'position' => $position + $n,
                'happened_at' => $at,
                'created_at' => $at,
                'updated_at' => $at,
                'request_key' => null,
            ];
            $servings[] = [
                ...$serving,
                'id' => strtolower((string) Str::ulid()),
                'person_id' => $people[$n % count($people)]->id,
                'batch_entry_id' => $id,
                'eaten_on' => $at->toDateString(),
                'request_key' => (string) Str::ulid(),
                'created_at' => $at,
                'updated_at' => $at,
            ];
        }
        foreach (array_chunk($entries, self::AT_ONCE) as $some) {
            DB::table('batch_entries')->insert($some);
        }
        foreach (array_chunk($servings, self::AT_ONCE) as $some) {
            DB::table('servings')->insert($some);
        }
    }

    /** Other food for everybody on each of the last days. */
    public function otherFood(int $days): void
    {
        $rows = [];
        foreach (Person::atTable() as $person) {
            for ($ago = 0; $ago < $days; $ago++) {
                $at = CarbonImmutable::now()->subDays($ago);
                $rows[] = [
                    'id' => strtolower((string) Str::ulid()),
                    'household_id' => $this->cook->household_id,
                    'person_id' => $person->id,
                    'eaten_on' => $at->toDateString(),
                    'name' => ['bread', 'cheese', 'soup'][$ago % 3],
                    'sodium_mg' => 200 + ($ago % 7) * 30,
                    'instead_of' => '[]',
                    'how' => '{"by":"mg","milligrams":300}',
                    'request_key' => (string) Str::ulid(),
                    'created_at' => $at,
                    'updated_at' => $at,
                ];
            }
        }
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            DB::table('other_foods')->insert($some);
        }
    }

    /** How many servings were written. */
    public function servings(): int
    {
        return Serving::query()->count();
    }
}
