<?php

declare(strict_types=1);

namespace App\Week;

use App\Actions\StartFromFormula;
use App\Models\Household;
use App\Models\PlannedBatch;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Method\CultureGroup;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;

/**
 * A batch that is planned and not started yet, as a plan reckons with it: as much as its formula makes in its jar, ready when
 * the temperatures that are expected have brought it so far.
 */
final readonly class JarToCome
{
    /**
     * @param  float  $grams  of what is eaten of it
     * @param  string  $readyOn  YYYY-MM-DD
     * @param  int  $keeps  days from then on
     */
    private function __construct(
        public PlannedBatch $planned,
        public FormulaAnswer $answer,
        public float $grams,
        public string $readyOn,
        public int $keeps,
    ) {}

    /** @param  Pantry|null  $pantry  where several are asked for; null: the kitchen's own is looked up */
    public static function of(Household $household, PlannedBatch $planned, ?Pantry $pantry = null): self
    {
        $read = StartFromFormula::read($planned->formula->newest, $pantry);
        $answer = FormulaAnswer::of($read);
        $start = max($household->today(), $planned->start_on);
        $days = StockAhead::leadTime(
            $household,
            $read,
            CarbonImmutable::parse("{$start} 12:00", $household->time_zone),
        );

        return new self(
            $planned,
            $answer,
            (StockAhead::gramsIn($answer, new Collection([$planned->jar]))[$planned->jar_id] ?? 0.0) * $planned->share,
            CarbonImmutable::parse($start)->addDays((int) ceil($days - 1e-6))->toDateString(),
            $answer->shelfLife()->days,
        );
    }

    public function colour(): string
    {
        return $this->answer->formula->colour();
    }

    public static function colourOf(PlannedBatch $planned): string
    {
        return StartFromFormula::read($planned->formula->newest)->colour();
    }

    /** Where it is to stand. */
    public function place(): Place
    {
        return Place::near($this->answer->formula->window->temperature);
    }

    public function culture(): CultureGroup
    {
        $read = $this->answer->formula;

        return CultureGroup::of(
            $read->method,
            $read->served(),
            $read->method === Method::CulturedCondiment ? $this->planned->name() : '',
            $read->method === Method::MilkAndSweet && $this->answer->hazards()->isMilk,
        );
    }
}
