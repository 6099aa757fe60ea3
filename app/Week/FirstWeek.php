<?php

declare(strict_types=1);

namespace App\Week;

use App\Actions\StartFromFormula;
use App\Intake\BackgroundIntake;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Household;
use App\Models\Jar;
use App\Models\Person;
use App\Models\PlannedBatch;
use Carbon\CarbonImmutable;
use Tempesal\Core\Formula\Formula as Read;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Intake\PortionSize;
use Tempesal\Core\Produce\Season;
use Tempesal\Core\Restock\FreeJar;
use Tempesal\Core\Restock\WayIn;
use Tempesal\Core\Restock\WayInCandidate;
use Tempesal\Core\Restock\WayInChoice;

/**
 * A way into the first weeks of a kitchen in which nothing is ready yet, from its own formulas, jars and people.
 */
final readonly class FirstWeek
{
    private const DAYS_A_WEEK = 7;

    /**
     * @param  list<WayInChoice>  $choices
     * @param  array<string, Read>  $formulas  those that were chosen, by id
     * @param  array<string, FormulaAnswer>  $answers
     */
    private function __construct(
        public Household $household,
        public array $choices,
        public array $formulas,
        public array $answers,
    ) {}

    public static function of(Household $household): self
    {
        $people = Person::atTable();
        $jars = Jar::query()->orderBy('position')->orderBy('id')->get();
        $formulas = $answers = $candidates = [];
        foreach (Formula::query()->whereNull('archived_at')->with('newest')->orderBy('id')->get() as $formula) {
            $read = StartFromFormula::read($formula->newest);
            $answer = FormulaAnswer::of($read);
            if (
                $read->method->isOfAnotherBatch() ||
                !$people->every(static fn(Person $one): bool => $one->eats($answer))
            ) {
                continue;
            }
            $formulas[$formula->id] = $read;
            $answers[$formula->id] = $answer;
            $usual = $read->serving->grams->value;
            $least = min([$usual, PortionSize::of($read->served()->phase())->liveFrom($usual)]);
            $candidates[] = new WayInCandidate(
                $formula->id,
                $read->group,
                $read->isLive,
                StockAhead::leadTime($household, $read),
                $answer->shelfLife()->days,
                ($answer->typicalServingMg() * $least) / $usual,
                StockAhead::gramsIn($answer, $jars),
                $read->mainFood(),
                Season::isIn(
                    $read->mainFood(),
                    CarbonImmutable::parse($household->today())->month,
                    $household->time_zone,
                ),
            );
        }
        $choices = WayIn::choose($candidates, self::free($jars->all()), self::room($people->all(), $household));
        $ids = array_map(static fn(WayInChoice $one): string => $one->candidate->id, $choices);

        return new self(
            $household,
            $choices,
            array_intersect_key($formulas, array_flip($ids)),
            array_intersect_key($answers, array_flip($ids)),
        );
    }

    /** The date on which a choice that is started today is ready. */
    public function readyOn(WayInChoice $choice): string
    {
        return CarbonImmutable::parse($this->household->today())
            ->addDays((int) ceil($choice->candidate->readyDays - 1e-6))
            ->toDateString();
    }

    /** How often a week each of the live choices is eaten, so that everyone's goal is met. */
    public function timesAWeek(): int
    {
        $live = count(array_filter($this->choices, static fn(WayInChoice $one): bool => $one->candidate->isLive));
        $goal = max([1, ...Person::atTable()->map(static fn(Person $one): int => $one->live_goal)->all()]);

        return min(self::DAYS_A_WEEK, (int) ceil(($goal * self::DAYS_A_WEEK) / max(1, $live)));
    }

    /**
     * @param  array<array-key, Jar>  $jars
     * @return list<FreeJar>
     */
    private static function free(array $jars): array
    {
        $batches = Batch::query()->whereNull('emptied_at')->get();
        $planned = PlannedBatch::toStart();
        $free = [];
        foreach ($jars as $jar) {
            $taken = $batches->where('jar_id', $jar->id)->count() + $planned->where('jar_id', $jar->id)->count();
            for ($i = 1; $i <= $jar->how_many - $taken; $i++) {
                $free[] = new FreeJar("{$jar->id} {$i}", $jar->id);
            }
        }

        return $free;
    }

    /**
     * Milligrams for ferments that whoever has least has left on an ordinary day.
     *
     * @param  array<array-key, Person>  $people
     */
    private static function room(array $people, Household $household): float
    {
        $today = $household->today();
        $rest = BackgroundIntake::between($today, $today);

        return max(
            0.0,
            min([
                INF,
                ...array_map(
                    static fn(Person $one): float => $one->targetOn($today)->target_sodium_mg -
                        $rest->estimate($one, $today),
                    $people,
                ),
            ]),
        );
    }
}
