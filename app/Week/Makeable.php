<?php

declare(strict_types=1);

namespace App\Week;

use App\Actions\StartFromFormula;
use App\Intake\BackgroundIntake;
use App\Ledger\EntryReader;
use App\Models\Formula;
use App\Models\Household;
use App\Models\Jar;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Tempesal\Core\Formula\Formula as Read;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Intake\PortionSize;
use Tempesal\Core\Produce\Season;
use Tempesal\Core\Restock\WayIn;
use Tempesal\Core\Restock\WayInCandidate;

/**
 * The formulas of a kitchen that can be started from nothing and that everybody at its table eats.
 */
final readonly class Makeable
{
    /**
     * @param  list<WayInCandidate>  $candidates
     * @param  array<string, Read>  $formulas  by id
     * @param  array<string, FormulaAnswer>  $answers
     * @param  float  $roomMg  for ferments that whoever has least has left on an ordinary day
     */
    private function __construct(
        public Household $household,
        public array $candidates,
        public array $formulas,
        public array $answers,
        public float $roomMg,
    ) {}

    public static function of(Household $household): self
    {
        $people = Person::atTable();
        $jars = Jar::query()->orderBy('position')->orderBy('id')->get();
        $formulas = $answers = $candidates = [];
        $pantry = EntryReader::pantry();
        foreach (Formula::query()->whereNull('archived_at')->with('newest')->orderBy('id')->get() as $formula) {
            $read = StartFromFormula::read($formula->newest, $pantry);
            if ($read->method->isOfAnotherBatch() || !WayIn::isMeant($read->group, $read->isLive)) {
                continue;
            }
            $answer = FormulaAnswer::of($read);
            if (!$people->every(static fn(Person $one): bool => $one->eats($answer))) {
                continue;
            }
            $formulas[$formula->id] = $read;
            $answers[$formula->id] = $answer;
            $candidates[] = new WayInCandidate(
                $formula->id,
                $read->group,
                $read->isLive,
                StockAhead::leadTime($household, $read),
                $answer->shelfLife()->days,
                ($answer->typicalServingMg() * self::smallest($read)) / $read->serving->grams->value,
                StockAhead::gramsIn($answer, $jars),
                $read->mainFood(),
                Season::isIn(
                    $read->mainFood(),
                    CarbonImmutable::parse($household->today())->month,
                    $household->time_zone,
                ),
            );
        }

        return new self($household, $candidates, $formulas, $answers, self::room($people->all(), $household));
    }

    /** Grams of the smallest serving that counts as live. */
    public static function smallest(Read $read): float
    {
        $usual = $read->serving->grams->value;

        return min($usual, PortionSize::of($read->served()->phase())->liveFrom($usual));
    }

    /** The date on which one that is started today is ready. */
    public function readyOn(WayInCandidate $one): string
    {
        return CarbonImmutable::parse($this->household->today())
            ->addDays((int) ceil($one->readyDays - 1e-6))
            ->toDateString();
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
