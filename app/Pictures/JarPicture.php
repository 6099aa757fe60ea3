<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Batch;
use App\Models\Jar;
use Tempesal\Core\Bench\BenchSolution;
use Tempesal\Core\Jar\Jar as Geometry;
use Tempesal\Core\Jar\JarFit;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\BrineTable;

/**
 * The measures from which a jar is drawn, in mm from its floor.
 *
 * @phpstan-type Picture array{foodMm: float, liquidMm: float, isGuessed: bool, ...<string, mixed>}
 */
final class JarPicture
{
    /** The least of a pot in ml, its ml for each gram that came into it, and how wide it is for a cube as large as itself. */
    private const LEAST_POT_ML = 150.0;

    private const POT_ROOM = 1.25;

    private const POT_WIDTH = 11.5;

    /**
     * One of the jars on the bench.
     *
     * @param  float  $share  of everything that goes into it
     * @return Picture
     */
    public static function ofMaking(
        BenchSolution $solution,
        JarFit $fit,
        float $share,
        string $colour,
        string $cover,
    ): array {
        return self::draw(
            $fit,
            $solution->liquid()->times($share),
            $solution->input->vegetable->shape->value,
            $colour,
            $cover,
            $solution->served() === Served::Sauce,
            !$solution->holdsTheFood(),
        );
    }

    /** @return Picture */
    public static function ofBatch(Batch $batch, BatchState $state): array
    {
        $geometry = $batch->jar?->geometry() ?? (self::asBought($batch) ?? self::pot($state));
        $brine = $state->phase(Phase::Brine);
        $shape = $state->isOnePhase() ? PieceShape::Pulp : $batch->shape;
        $isSauce = $state->isOnePhase();
        $food = $state->phase($isSauce ? Phase::Sauce : Phase::Pieces)->saltFreeG();
        $fit = JarFit::of(
            $geometry,
            new Packing(Millimetres::of($batch->headspace_mm), Millilitres::of($batch->weight_ml)),
            Grams::of(max(0.0, $food)),
            $batch->density_g_per_ml,
            $shape->packing(),
        );
        $liquid = Millilitres::of(max(0.0, $brine->weightG()) / BrineTable::density($brine->brineStrength()));

        $picture = self::draw(
            $fit,
            $liquid,
            $shape->value,
            $batch->colour,
            $batch->cover()->value ?? $batch->method->profile()->storage->cover()->value,
            $isSauce,
        );

        if ($batch->jar !== null) {
            return $picture;
        }

        return [
            ...$picture,
            'isGuessed' => true,
            'overflowMl' => 0.0,
            // A bought jar's brine is no part of its ledger, but stands there all the same; and nobody knows that what is in a pot
            // looks out of its brine.
            'liquidMm' =>
                $batch->method === Method::Bought
                    ? $picture['foodMm']
                    : max($picture['liquidMm'], $liquid->value > 0.0 ? $picture['foodMm'] : 0.0),
        ];
    }

    /** The jar in which a shop sells so much, or so much brine is kept: common practice, no source. */
    private static function asBought(Batch $batch): ?Geometry
    {
        $grams = $batch->bench_input['grams'] ?? null;
        if ($batch->method->isMade() || !is_numeric($grams)) {
            return null;
        }
        $millilitres = max(100.0, ((float) $grams / $batch->density_g_per_ml / $batch->shape->packing()) * 1.1);
        $body = 44.0 * ($millilitres / 100.0) ** (1.0 / 3.0);

        return Geometry::of(Millilitres::of($millilitres), Millimetres::of($body * 0.86), Millimetres::of($body));
    }

    /** A plain pot for what stands in no jar that is known: a little wider than it is high, with room for all that came into it. */
    private static function pot(BatchState $state): Geometry
    {
        $came = $state->account(Account::Outside)->plus($state->account(Account::Received))->weightG();
        $millilitres = max(self::LEAST_POT_ML, abs($came) * self::POT_ROOM);
        $body = self::POT_WIDTH * $millilitres ** (1.0 / 3.0);

        return Geometry::of(Millilitres::of($millilitres), Millimetres::of($body), Millimetres::of($body));
    }

    /** @return Picture a jar with nothing in it */
    public static function empty(Jar $jar): array
    {
        $fit = JarFit::of(
            $jar->geometry(),
            new Packing(Millimetres::zero(), Millilitres::zero()),
            Grams::zero(),
            1.0,
            1.0,
        );

        return self::draw($fit, Millilitres::zero(), 'shreds', '#b9ab99', $jar->cover, false);
    }

    /** @return Picture */
    private static function draw(
        JarFit $fit,
        Millilitres $liquid,
        string $shape,
        string $colour,
        string $cover,
        bool $onePhase,
        bool $isTooFull = false,
    ): array {
        $jar = $fit->jar;
        $food = $fit->foodLevel()->value;

        return [
            'nominalMl' => $jar->nominal->value,
            'mouthMm' => $jar->mouth->value,
            'bodyMm' => $jar->body->value,
            'bodyHeightMm' => $jar->bodyHeight->value,
            'shoulderMm' => $jar->shoulderHeight->value,
            'neckMm' => $jar->neckHeight->value,
            'foodMm' => $food,
            'liquidMm' => $onePhase ? $food : $fit->liquidLevel($liquid)->value,
            'headspaceMm' => $fit->packing->headspace->value,
            'overflowMl' => $fit->overflow($liquid)->value,
            'isGuessed' => false,
            'isTooFull' => $isTooFull,
            'hasWeight' => $fit->packing->weightVolume->value > 0.0,
            'shape' => $shape,
            'colour' => $colour,
            'cover' => $cover,
        ];
    }
}
