<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Ledger\EntryReader;
use App\Models\Batch;
use App\Models\FormulaVersion;
use App\Models\Jar;
use App\Models\PlannedBatch;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Formula\FormulaLine;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltBasis;

/**
 * Starts a jar from a version of a formula. The jar keeps that version, whatever becomes of the formula.
 */
final readonly class StartFromFormula
{
    public function __construct(private BeginMaking $make, private HouseholdTransaction $transaction) {}

    /**
     * @param  string  $requestKey  the same key never starts a second jar
     * @param  string|null  $plannedBatchId  the plan that it carries out
     */
    public function __invoke(
        FormulaVersion $version,
        Formula $scaled,
        ?string $jarId,
        string $name,
        string $place,
        ?CarbonImmutable $startedAt,
        string $requestKey,
        ?string $plannedBatchId = null,
        bool $hasOneMore = false,
        Begin $begin = Begin::Now,
        bool $isSaltedTwice = false,
    ): Batch {
        return ($this->transaction)(function () use (
            $version,
            $scaled,
            $jarId,
            $name,
            $place,
            $startedAt,
            $requestKey,
            $plannedBatchId,
            $hasOneMore,
            $begin,
            $isSaltedTwice,
        ): Batch {
            $started = Batch::query()->where('request_key', $requestKey)->first();
            if ($started !== null) {
                return $started;
            }
            $planned =
                $plannedBatchId === null
                    ? null
                    : PlannedBatch::query()->where('formula_id', $version->formula_id)->findOrFail($plannedBatchId);
            $jar = $jarId === null ? null : Jar::query()->findOrFail($jarId);
            FillJars::claim($jar === null ? [] : [$jar], $hasOneMore, 'intoJarId');
            $answer = FormulaAnswer::of($scaled);
            $lead = collect($answer->lines)
                ->filter(static fn(FormulaLine $line): bool => $line->food !== null && $line->part !== 'water')
                ->sortByDesc('grams')
                ->first();
            $plan = $scaled->steps();
            $plan = ($isSaltedTwice ? $plan->saltedTwice() : $plan)
                ->standing(Place::from($place))
                ->closedWith(Cover::tryFrom($jar->cover ?? ''));
            $at = $begin->of($startedAt ?? WhenDone::now(), $plan);
            $strengths = [];
            foreach (SaltBasis::cases() as $basis) {
                $strengths[$basis->value] = $answer->salted()?->share($basis);
            }
            $batch = Batch::create([
                'jar_id' => $jar?->id,
                'formula_version_id' => $version->id,
                'name' => $name,
                'method' => $scaled->method,
                'shape' => $lead->food->shape ?? PieceShape::Chunks,
                'colour' => $scaled->colour(),
                'density_g_per_ml' => $lead->food->density ?? 1.0,
                'headspace_mm' => $scaled->vessel->headspace->value,
                'weight_ml' => 0.0,
                'serving_g' => $scaled->serving->grams->value,
                'bench_input' => [],
                'strengths' => $strengths,
                'served' => $scaled->served(),
                'place' => $place,
                'started_in' => $place,
                'likeness' => "formula:{$version->formula_id}",
                'started_at' => $at,
                'request_key' => $requestKey,
            ])->load(['entries', 'jar']);
            $this->make->begin($batch, $plan, $begin);
            $planned?->becomes($batch);

            return $batch;
        });
    }

    /**
     * The version as the core reads it.
     *
     * @param  Pantry|null  $pantry  where several are read; null: the kitchen's own is looked up
     */
    public static function read(FormulaVersion $version, ?Pantry $pantry = null): Formula
    {
        return Formula::read($version->document, $pantry ?? EntryReader::pantry());
    }
}
