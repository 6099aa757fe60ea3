<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Begin;
use App\Actions\EmptyJar;
use App\Actions\KeepSpareBrine;
use App\Actions\MoveJar;
use App\Intake\ServedFrom;
use App\Actions\ServePortion;
use App\Actions\StartFromFormula;
use App\Household\CurrentHousehold;
use App\Intake\ServingMoment;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Jar;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Method\Place;

/**
 * What the demo kitchen lived through before the jars that stand there now: something live on most days for eight weeks, two
 * jars that were finished, a sauce, a drink, spare brine, and four days on which everyone was away.
 */
final readonly class EightWeeks
{
    /** Days ago between which nobody ate here. */
    private const AWAY_FROM = 36;

    private const AWAY_TO = 33;

    /**
     * Days ago from which to which a jar is eaten, who has it how often (every so many days), and grams.
     *
     * @var list<array{string, int, int, array<string, array{int, float}>}>
     */
    private const EATEN = [
        ['September half-sours', 56, 45, ['Marit' => [3, 25.0], 'Jory' => [3, 35.0], 'Nell' => [4, 15.0]]],
        ['Golden kraut', 48, 13, ['Marit' => [4, 30.0], 'Jory' => [4, 45.0]]],
        ['First kraut of the autumn', 44, 28, ['Nell' => [3, 20.0]]],
        ['Tomato ketchup', 20, 4, ['Jory' => [7, 17.0], 'Nell' => [5, 8.0]]],
        ['Beet kvass', 12, 1, ['Marit' => [4, 60.0]]],
    ];

    public function __construct(
        private StartFromFormula $start,
        private ServePortion $serve,
        private MoveJar $stand,
        private EmptyJar $empty,
        private KeepSpareBrine $keepBrine,
        private CurrentHousehold $current,
    ) {}

    /** The first jars, made, eaten and finished before those of today took their places. */
    public function begin(): void
    {
        $this->make('half-sours', 'September half-sours', 'Half-gallon jar', 64, 58);
        $this->make('golden-kraut', 'Golden kraut', 'One-litre clamp jar', 66, 47);
        $this->eatOf('September half-sours');
        $this->eatOf('Golden kraut');
        ($this->empty)($this->batch('September half-sours')->id, true, CarbonImmutable::now()->subDays(43));
        ($this->empty)($this->batch('Golden kraut')->id, true, CarbonImmutable::now()->subDays(12));
    }

    /** A sauce and a drink, and what was eaten of them. */
    public function goOn(): void
    {
        $this->make('ketchup-whey', 'Tomato ketchup', 'Pint jar', 30, 26);
        $this->make('beet-kvass', 'Beet kvass', 'Quart jar', 20, 13);
        $this->eatOf('Tomato ketchup');
        $this->eatOf('Beet kvass');
    }

    /** What is kept of a jar's own brine, by itself. */
    public function keepBrine(): void
    {
        $this->keepBrine->fromJar($this->batch('Red kraut with apple')->id, Grams::of(40.0), (string) Str::ulid());
    }

    /** What was eaten of a jar in the weeks before. */
    public function eatOf(string $name): void
    {
        $batch = $this->batch($name);
        foreach (range(56, 1) as $daysAgo) {
            foreach (self::EATEN as [$of, $from, $to, $eaters]) {
                $isThen = $of === $name && $daysAgo <= $from && $daysAgo >= $to && !self::isAway($daysAgo);
                foreach ($isThen ? $eaters : [] as $who => [$every, $grams]) {
                    if (($daysAgo + strlen($who)) % $every === 0) {
                        $this->eats($batch, Person::query()->where('name', $who)->firstOrFail(), $grams, $daysAgo);
                    }
                }
            }
        }
    }

    public static function isAway(int $daysAgo): bool
    {
        return $daysAgo <= self::AWAY_FROM && $daysAgo >= self::AWAY_TO;
    }

    /** A jar from the library's own formula, moved into the fridge when it was ready. */
    public function make(string $formula, string $name, string $jar, int $daysAgo, int $inFridgeDaysAgo): void
    {
        $version = Formula::query()->where('key', $formula)->firstOrFail()->newest;
        $batch = ($this->start)(
            $version,
            StartFromFormula::read($version),
            Jar::query()->where('name', $jar)->firstOrFail()->id,
            $name,
            'counter',
            CarbonImmutable::now()->subDays($daysAgo),
            (string) Str::ulid(),
            begin: Begin::Packed,
        );
        $batch->update(['created_at' => $batch->started_at]);
        ($this->stand)(
            $batch->id,
            Place::Fridge,
            (string) Str::ulid(),
            CarbonImmutable::now()->subDays($inFridgeDaysAgo),
        );
    }

    private function batch(string $name): Batch
    {
        return Batch::query()->where('name', $name)->firstOrFail();
    }

    public function eats(Batch $batch, Person $person, float $grams, int $daysAgo): void
    {
        ($this->serve)(
            new ServedFrom(
                $batch->id,
                new ServingMoment(
                    CarbonImmutable::parse($this->current->get()->today())
                        ->subDays($daysAgo)
                        ->toDateString(),
                ),
                at: CarbonImmutable::now()->subDays($daysAgo),
            ),
            $person->id,
            Grams::of($grams),
            (string) Str::ulid(),
        );
    }
}
