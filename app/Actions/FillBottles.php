<?php

declare(strict_types=1);

namespace App\Actions;

use App\Language\Words;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Jar;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;

/**
 * Shares a sauce out into bottles: the first is the batch itself, each other one a batch that received its part of it.
 */
final readonly class FillBottles
{
    public function __construct(private LedgerWriter $ledger) {}

    /**
     * @param  Batch  $sauce  locked, in the first of the bottles
     * @param  list<Jar>  $bottles
     * @return list<Batch> those of the further bottles
     *
     * @throws NotEnough
     */
    public function fill(Batch $sauce, array $bottles, string $name, CarbonImmutable $at): array
    {
        $filled = [];
        $room = array_sum(array_map(static fn(Jar $bottle): float => $bottle->nominal_ml, $bottles));
        $state = Ledgers::of($sauce, $at)->state();
        $grams = $state->phase(Phase::Sauce)->weightG();
        foreach (array_slice($bottles, 1) as $i => $bottle) {
            $part = Grams::of(($grams * $bottle->nominal_ml) / $room);
            $liquid = Ledgers::lent($sauce, $at);
            $batch = Batch::create([
                ...$sauce->only([
                    'method',
                    'served',
                    'is_apart',
                    'shape',
                    'colour',
                    'density_g_per_ml',
                    'headspace_mm',
                    'cover',
                    'serving_g',
                    'bench_input',
                    'strengths',
                    'place',
                    'likeness',
                    'formula_version_id',
                ]),
                'jar_id' => $bottle->id,
                'name' => $this->nameOf($name, $i + 2),
                'weight_ml' => 0.0,
                'started_in' => $sauce->place,
                'started_at' => $at,
                'request_key' => (string) Str::ulid(),
            ])->load(['entries', 'jar', 'steps']);
            $this->ledger->append($batch, $at, new Starter($liquid, $part, Phase::Sauce, $sauce->id));
            if (!$state->live) {
                $this->ledger->append($batch, $at, new Heat());
            }
            $this->ledger->append($batch, $at, MoveJar::standing($sauce->place));
            $this->ledger->lend($sauce, $at, $part, $batch);
            $filled[] = $batch;
        }

        return $filled;
    }

    public function nameOf(string $name, int $number): string
    {
        return mb_substr(Words::here()->say(Message::of('batch.of_bottles', name: $name, number: $number)), 0, 120);
    }
}
