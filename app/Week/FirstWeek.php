<?php

declare(strict_types=1);

namespace App\Week;

use App\Models\Batch;
use App\Models\Household;
use App\Models\Jar;
use App\Models\Person;
use App\Models\PlannedBatch;
use Tempesal\Core\Restock\FreeJar;
use Tempesal\Core\Restock\WayIn;
use Tempesal\Core\Restock\WayInChoice;

/**
 * A way into the first weeks of a kitchen in which nothing is ready yet, from its own formulas, jars and people.
 */
final readonly class FirstWeek
{
    private const DAYS_A_WEEK = 7;

    /** @param  list<WayInChoice>  $choices */
    private function __construct(public Makeable $makeable, public array $choices) {}

    public static function of(Household $household): self
    {
        $makeable = Makeable::of($household);
        $jars = Jar::query()->orderBy('position')->orderBy('id')->get();
        $choices = WayIn::choose($makeable->candidates, self::free($jars->all()), $makeable->roomMg);

        return new self($makeable, $choices);
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
}
