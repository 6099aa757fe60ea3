<?php

declare(strict_types=1);

namespace App\Bench;

use App\Care\MeantServing;
use App\Care\RipeningWindows;
use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\BatchStep;
use App\Models\Jar;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Bench\BenchSolution;
use Tempesal\Core\Making\StepPlan;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Salt\SaltBasis;

/**
 * The jar that a bench would begin: what is known of it before it is there, and what a portion of it will hold.
 *
 * @phpstan-import-type Typed from BenchFields
 */
final readonly class JarToBe
{
    /** @param  Typed  $typed */
    public function __construct(
        private ParsedBench $order,
        private BenchSolution $solution,
        private array $typed,
        private Place $place,
    ) {}

    /** @return array<string, mixed> its row, but for its name, its beginning and its key */
    public function attributes(?Jar $jar): array
    {
        $input = $this->order->input;

        return [
            'jar_id' => $jar?->id,
            'method' => $input->method,
            'shape' => $input->vegetable->shape,
            'colour' => $this->order->colour,
            'density_g_per_ml' => $input->vegetable->density,
            'headspace_mm' => $input->packing->headspace->value,
            'weight_ml' => $input->packing->weightVolume->value,
            'cover' => $this->typed['cover'] ?? null,
            'hold_down' => $this->order->holdDown?->name,
            'has_saucer' => $this->typed['hasSaucer'] ?? false,
            'packed' => KitchenPacking::told($this->solution, trim($this->typed['leftOutAmount'] ?? '') !== ''),
            'serving_g' => $input->serving->value,
            'bench_input' => $this->typed,
            'strengths' => self::strengths($this->solution),
            'served' => $this->solution->served(),
            'place' => $this->place,
            'started_in' => $this->place,
            'likeness' => "{$input->method->value}:" . ($this->typed['vegetableId'] ?? ''),
        ];
    }

    /** How one of the jars is made, and where it stands then. */
    public function plan(int $number, ?Jar $jar, bool $isSaltedTwice = false): StepPlan
    {
        $plan = $this->solution->stepsOf($number);

        return ($isSaltedTwice ? $plan->saltedTwice() : $plan)
            ->standing(($this->typed['roomCelsius'] ?? null) === null ? $this->place : null)
            ->closedWith(Cover::tryFrom($this->typed['cover'] ?? ($jar->cover ?? '')));
    }

    /**
     * A portion on the day on which the first jar is meant to be eaten; null where it has no such day.
     *
     * @param  CarbonImmutable|null  $packedAt  null: it is begun now
     */
    public function meant(?CarbonImmutable $packedAt): ?MeantServing
    {
        $jar = $this->order->jars[0] ?? null;
        $plan = $this->plan(0, $jar);
        $begins = $packedAt?->subSeconds((int) round($plan->seconds())) ?? CarbonImmutable::now();
        $batch = new Batch([...$this->attributes($jar), 'started_at' => $begins]);
        $batch->setRelation('jar', $jar);
        $batch->setRelation('formulaVersion', null);
        $done = $packedAt === null ? 0 : $plan->untilPacked();
        $steps = $entries = [];
        foreach (BatchStep::planned($plan, $begins) as $i => $row) {
            $isDone = $i < $done;
            $steps[] = new BatchStep([...$row, 'done_at' => $isDone ? $row['due_at'] : null]);
            foreach ($isDone ? $plan->steps[$i]->entries : [] as $entry) {
                $entries[] = new BatchEntry([
                    'position' => count($entries) + 1,
                    'kind' => $entry::kind(),
                    'entry' => $entry->toArray(),
                    'happened_at' => $row['due_at'],
                ]);
            }
        }
        $batch->setRelation('entries', new Collection($entries));
        $batch->setRelation('steps', new Collection($steps));

        return MeantServing::of($batch, RipeningWindows::forecast($batch, app(CurrentHousehold::class)->get()));
    }

    /** @return array<string, float|null> shares of salt by basis, as made */
    public static function strengths(BenchSolution $solution): array
    {
        $strengths = [];
        foreach (SaltBasis::cases() as $basis) {
            $strengths[$basis->value] = $solution->strength($basis);
        }

        return $strengths;
    }
}
