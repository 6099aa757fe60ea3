<?php

declare(strict_types=1);

namespace App\Views;

use App\Bench\BenchOrder;
use App\Models\Jar;
use App\Models\Person;
use App\Pictures\JarPicture;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Bench\BenchAdvice;
use Tempesal\Core\Bench\Making;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Propagation;
use Tempesal\Core\Jar\Jars;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\SpoonPhrase;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\Basis;
use Tempesal\Core\Salt\SaltDose;

/**
 * The bench's answer.
 */
final class BenchView
{
    /** Jars to name when none was picked yet. */
    private const SUGGESTED = 3;

    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Jar>  $jars  from which to name some; none where one was picked
     * @return array<string, mixed>
     */
    public static function of(BenchOrder $order, Making $making, Collection $people, Collection $jars): array
    {
        $phase = $making->servedPhase();
        $estimates = $making->finished->estimates(Serve::of($phase, $making->servingWeight()));
        [$serving] = $estimates['servings'];
        $salt = self::salt($making);

        return [
            'vegetableGrams' => $making->vegetable()->value,
            'saltGrams' => $making->salt->value,
            'saltBand' => ['low' => $salt->low, 'typical' => $salt->typical, 'high' => $salt->high],
            'saltSpoons' => $making->spoons()->text,
            'saltIsSpooned' => $making->isSpooned(),
            'doses' => self::doses($making),
            'waterGrams' => $making->work->water->value,
            'brineMl' => $making->brine()->value,
            'spareBrineMl' => $making->spareBrine()->value,
            'strengths' => self::strengths($making, $salt),
            'piecesPer100g' => Shown::sodium($estimates["{$phase->value}Per100g"]->band),
            'brinePer100g' => $making->state->isOnePhase() ? null : Shown::sodium($estimates['brinePer100g']->band),
            'makesGrams' => $making->state->phase($phase)->weightG(),
            'serving' => [
                'grams' => $making->servingWeight()->value,
                'sodium' => Shown::sodium($serving->band),
                'contributions' => Shown::contributions($serving),
                'shares' => $people->map(static fn (Person $person): array => [
                    'personId' => $person->id,
                    'name' => $person->name,
                    'targetMg' => $person->yardstick()->target_sodium_mg,
                    'percentOfTarget' => $serving->band->typical / max(1, $person->yardstick()->target_sodium_mg) * 100.0,
                ])->values()->all(),
            ],
            'servings' => $making->servings(),
            'starter' => self::starter($making),
            'preparationSeconds' => $making->timetable()->seconds,
            'allergens' => array_map(static fn (Allergen $allergen): string => $allergen->value, $making->state->allergens()),
            'jars' => self::jars($order, $making),
            'fitting' => self::fitting($making, $jars),
            'advice' => array_map(static fn (Advice $advice): array => $advice->toArray(), BenchAdvice::on($making)),
        ];
    }

    private static function salt(Making $making): Band
    {
        return Propagation::estimate(static fn (Point $point): array => [
            'salt' => array_sum(array_map(static fn (SaltDose $dose): float => $dose->gramsAt($point), $making->work->doses)),
        ])['salt']->band;
    }

    /** @return list<array<string, mixed>> what went in one after another, and how strong it was then */
    private static function doses(Making $making): array
    {
        $basis = $making->sheet->method->profile()->salting->basis;
        $running = $making->running($basis);

        return array_map(static function (SaltDose $dose, int $i) use ($making, $running, $basis): array {
            $millilitres = $dose->spooned ?? Millilitres::of($dose->grams()->value / Point::typical()->of($dose->product->density()));

            return [
                'grams' => $dose->grams()->value, 'spoons' => SpoonPhrase::nearest($millilitres, $making->sheet->spoons)->text,
                'runningPercent' => isset($running[$i]) ? $running[$i] * 100.0 : null, 'basis' => $basis->label(),
            ];
        }, $making->work->doses, array_keys($making->work->doses));
    }

    /** @return list<array{basis: string, label: string, percent: float|null, lowPercent: float|null, highPercent: float|null}> */
    private static function strengths(Making $making, Band $salt): array
    {
        return array_map(static function (Basis $basis) use ($making, $salt): array {
            $share = $making->strength($basis);
            $band = $share === null ? null : self::strengthBand($making, $basis, $share, $salt);

            return [
                'basis' => $basis->value, 'label' => $basis->label(), 'percent' => $share === null ? null : $share * 100.0,
                'lowPercent' => $band === null ? null : $band->low * 100.0, 'highPercent' => $band === null ? null : $band->high * 100.0,
            ];
        }, Basis::cases());
    }

    /** How far a strength can be off: one that is said of the salting by the salt alone, one of the finished batch by all that went on. */
    private static function strengthBand(Making $making, Basis $basis, float $share, Band $salt): Band
    {
        if ($share !== $making->contents->shareOrNull($basis)) {
            return Propagation::estimate(static fn (Point $point): array => [
                'share' => Strength::of($making->finished->state($point))->share($basis) ?? 0.0,
            ])['share']->band;
        }
        $at = static fn (float $grams): float => $making->contents
            ->withSalt(Grams::of(max(0.0, $making->contents->salt->value + ($grams - $salt->typical) / (1.0 + $making->work->spare))))->share($basis);

        return Band::of($at($salt->low), $share, $at($salt->high));
    }

    /** @return array{name: string, grams: float, strengthPercent: float, sodiumMg: float}|null */
    private static function starter(Making $making): ?array
    {
        $starter = $making->work->starter;
        if ($starter === null) {
            return null;
        }
        $masses = $starter->liquid->masses($starter->grams->value, Point::typical());

        return [
            'name' => $starter->liquid->name, 'grams' => $starter->grams->value, 'strengthPercent' => $masses->brineStrength() * 100.0, 'sodiumMg' => $masses->sodiumMg,
        ];
    }

    /** @return list<array<string, mixed>> each jar with what goes into it */
    private static function jars(BenchOrder $order, Making $making): array
    {
        $shares = $making->sheet->row()?->shares() ?? [];
        $jars = [];
        foreach ($making->settledFits() as $i => $fit) {
            $jars[] = [
                'jarId' => $order->jars[$i]->id, 'name' => $order->jars[$i]->name,
                'vegetableGrams' => $making->vegetable()->value * $shares[$i], 'saltGrams' => $making->salt->value * $shares[$i],
                'brineMl' => $making->sheet->method->keepsPouredBrine() ? $making->brine()->minus($making->spareBrine())->value * $shares[$i] : 0.0,
                'foodGrams' => $making->state->phase($making->servedPhase())->weightG() * $shares[$i],
                'picture' => JarPicture::ofMaking($making, $fit, $shares[$i], $order->colour, $order->jars[$i]->cover),
            ];
        }

        return $jars;
    }

    /**
     * The smallest free jars that would hold it.
     *
     * @param  Collection<int, Jar>  $jars
     * @return list<array{jarId: string, name: string, percentFull: float}>
     */
    private static function fitting(Making $making, Collection $jars): array
    {
        $packing = $making->sheet->packing;

        return array_values($jars->map(static fn (Jar $jar): array => [
            'jarId' => $jar->id, 'name' => $jar->name,
            'percentFull' => Jars::fullness($jar->geometry(), $packing->headspace, $packing->weightVolume, $making->bulk()) * 100.0,
        ])->filter(static fn (array $jar): bool => $jar['percentFull'] <= 100.05)->sortByDesc('percentFull')->take(self::SUGGESTED)->all());
    }
}
