<?php

declare(strict_types=1);

namespace App\Views;

use App\Bench\ParsedBench;
use App\Bench\TakenJars;
use App\Care\MeantServing;
use App\Household\CurrentHousehold;
use App\Language\ReaderLanguage;
use App\Models\Jar;
use App\Models\Person;
use App\Pictures\JarPicture;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Bench\BenchAdvice;
use Tempesal\Core\Bench\BenchSolution;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Propagation;
use Tempesal\Core\Jar\JarSet;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\SpoonPhrase;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\SaltBasis;
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
     * @param  array{cover?: string|null, hasOneMore?: bool|null, ...<array-key, mixed>}  $typed  at the bench
     * @param  MeantServing|null  $meant  a portion on the day on which it is meant to be eaten, where there is one
     * @return array<string, mixed>
     */
    public static function of(
        ParsedBench $order,
        BenchSolution $solution,
        Collection $people,
        Collection $jars,
        array $typed = [],
        ?MeantServing $meant = null,
    ): array {
        $served = $solution->served();
        $estimates = $solution->finished->estimates(Serve::of($served, $solution->servingWeight()));
        $serving = $meant->sodium ?? $estimates['servings'][0];
        $salt = self::salt($solution);

        return [
            'vegetableGrams' => $solution->vegetable()->value,
            'saltGrams' => $solution->salt->value,
            'saltBand' => ['low' => $salt->low, 'typical' => $salt->typical, 'high' => $salt->high],
            'saltSpoons' => $solution->spoons()->text,
            'saltIsSpooned' => $solution->isSpooned(),
            'doses' => self::doses($solution),
            'waterGrams' => $solution->work->water->value,
            'brineMl' => $solution->brine()->value,
            'spareBrineMl' => $solution->spareBrine()->value,
            'strengths' => self::strengths($solution, $salt),
            'piecesPer100g' => WireNumbers::sodium($estimates["{$served->value}Per100g"]->band),
            'brinePer100g' => $solution->state->isOnePhase()
                ? null
                : WireNumbers::sodium($estimates['brinePer100g']->band),
            'kinds' => KindsView::of($solution->state),
            'isAtEquilibrium' => $solution->isAtEquilibrium(),
            'makesGrams' => $served->in($solution->state)->weightG(),
            'serving' => [
                'grams' => $solution->servingWeight()->value,
                'sodium' => WireNumbers::sodium($serving->band),
                'contributions' => WireNumbers::contributions($serving),
                'on' => $meant === null ? null : app(CurrentHousehold::class)->get()->dateOf($meant->on),
                'shares' => $people
                    ->map(
                        static fn(Person $person): array => [
                            'personId' => $person->id,
                            'name' => $person->name,
                            'targetMg' => $person->currentTarget()->target_sodium_mg,
                            'percentOfTarget' =>
                                ($serving->band->typical / max(1, $person->currentTarget()->target_sodium_mg)) * 100.0,
                        ],
                    )
                    ->values()
                    ->all(),
            ],
            'servings' => $solution->servings(),
            'starter' => self::starter($solution),
            'preparationSeconds' => $solution->timetable()->seconds,
            'allergens' => array_map(
                static fn(Allergen $allergen): string => $allergen->value,
                $solution->state->allergens(),
            ),
            'jars' => self::jars($order, $solution, $typed),
            'taken' => array_map(
                static fn(array $one): array => [
                    'jarId' => $one['jar']->id,
                    'message' => TakenJars::message($one['jar'], $one['by']),
                ],
                $typed['hasOneMore'] ?? false ? [] : TakenJars::of($order->jars),
            ),
            'leftOverGrams' => $solution->leftOver()->value,
            'pouredGrams' => $solution->poured()->value,
            'bag' => self::bag($order, $solution),
            'packsAsBefore' => $solution->input->packing->fraction,
            'fitting' => self::fitting($solution, $jars),
            'advice' => array_map(static fn(Advice $advice): array => $advice->toArray(), BenchAdvice::on($solution)),
        ];
    }

    /** @return array{waterGrams: float, saltGrams: float}|null what fills the bag of one jar */
    private static function bag(ParsedBench $order, BenchSolution $solution): ?array
    {
        if ($order->holdDown?->is_bag !== true) {
            return null;
        }
        ['salt' => $salt, 'water' => $water] = $solution->brineFor(Millilitres::of($order->holdDown->volume_ml));

        return ['waterGrams' => $water->value, 'saltGrams' => $salt->value];
    }

    private static function salt(BenchSolution $solution): Band
    {
        return Propagation::estimate(
            static fn(Point $point): array => [
                'salt' => array_sum(
                    array_map(static fn(SaltDose $dose): float => $dose->gramsAt($point), $solution->work->doses),
                ),
            ],
        )['salt']->band;
    }

    /** @return list<array<string, mixed>> what went in one after another, and how strong it was then */
    private static function doses(BenchSolution $solution): array
    {
        $basis = $solution->input->method->profile()->salting->basis;
        $running = $solution->running($basis);

        return array_map(
            static function (SaltDose $dose, int $i) use ($solution, $running, $basis): array {
                $millilitres =
                    $dose->spooned ??
                    Millilitres::of($dose->grams()->value / Point::typical()->of($dose->product->density()));

                return [
                    'grams' => $dose->grams()->value,
                    'spoons' => SpoonPhrase::nearest($millilitres, $solution->input->salt->spoons)->text,
                    'runningPercent' => isset($running[$i]) ? $running[$i] * 100.0 : null,
                    'running' => isset($running[$i]) ? $basis->strength(round($running[$i] * 100.0, 2)) : null,
                ];
            },
            $solution->work->doses,
            array_keys($solution->work->doses),
        );
    }

    /**
     * @return list<array{basis: string, label: Message, percent: float|null, lowPercent: float|null,
     *     highPercent: float|null}>
     */
    private static function strengths(BenchSolution $solution, Band $salt): array
    {
        return array_map(static function (SaltBasis $basis) use ($solution, $salt): array {
            $share = $solution->strength($basis);
            $band = $share === null ? null : self::strengthBand($solution, $basis, $share, $salt);

            return [
                'basis' => $basis->value,
                'label' => $solution->input->method->isDressed()
                    ? Message::of(
                        $solution->isOfTheEnd($basis) ? 'strength_when.jar' : 'strength_when.salting',
                        strength: $basis->label(),
                    )
                    : $basis->label(),
                'percent' => $share === null ? null : $share * 100.0,
                'lowPercent' => $band === null ? null : $band->low * 100.0,
                'highPercent' => $band === null ? null : $band->high * 100.0,
            ];
        }, SaltBasis::cases());
    }

    /**
     * How far a strength can be off: one that is said of the salting by the salt alone, one of the finished batch by
     * all that went on.
     */
    private static function strengthBand(BenchSolution $solution, SaltBasis $basis, float $share, Band $salt): Band
    {
        if ($share !== $solution->contents->shareOrNull($basis)) {
            return Propagation::estimate(
                static fn(Point $point): array => [
                    'share' => Strength::of($solution->finished->state($point))->share($basis) ?? 0.0,
                ],
            )['share']->band;
        }
        $at = static fn(float $grams): float => $solution->contents
            ->withSalt(
                Grams::of(
                    max(
                        0.0,
                        $solution->contents->salt->value + ($grams - $salt->typical) / (1.0 + $solution->work->spare),
                    ),
                ),
            )
            ->share($basis);

        return Band::of($at($salt->low), $share, $at($salt->high));
    }

    /** @return array{name: string, grams: float, strengthPercent: float, sodiumMg: float}|null */
    private static function starter(BenchSolution $solution): ?array
    {
        $starter = $solution->work->starter;
        if ($starter === null) {
            return null;
        }
        $masses = $starter->liquid->masses($starter->grams->value, Point::typical());

        return [
            'name' => ReaderLanguage::say($starter->liquid->label()),
            'grams' => $starter->grams->value,
            'strengthPercent' => $masses->brineStrength() * 100.0,
            'sodiumMg' => $masses->sodiumMg,
        ];
    }

    /**
     * @param  array{cover?: string|null, ...<array-key, mixed>}  $typed
     * @return list<array<string, mixed>> each jar with what goes into it
     */
    private static function jars(ParsedBench $order, BenchSolution $solution, array $typed): array
    {
        $shares = $solution->input->row()?->shares() ?? [];
        $jars = [];
        foreach ($solution->settledFits() as $i => $fit) {
            $jars[] = [
                'jarId' => $order->jars[$i]->id,
                'name' => $order->jars[$i]->name,
                'vegetableGrams' => $solution->vegetable()->value * $shares[$i],
                'saltGrams' => $solution->salt->value * $shares[$i],
                'brineMl' => $solution->input->method->keepsPouredBrine()
                    ? $solution->brine()->minus($solution->spareBrine())->value * $shares[$i]
                    : 0.0,
                'foodGrams' => $solution->served()->in($solution->state)->weightG() * $shares[$i],
                'picture' => JarPicture::ofMaking(
                    $solution,
                    $fit,
                    $shares[$i],
                    $order->colour,
                    $typed['cover'] ?? $order->jars[$i]->cover,
                ),
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
    private static function fitting(BenchSolution $solution, Collection $jars): array
    {
        $packing = $solution->input->packing;

        return array_values(
            $jars
                ->map(
                    static fn(Jar $jar): array => [
                        'jarId' => $jar->id,
                        'name' => $jar->name,
                        'percentFull' =>
                            JarSet::fullness(
                                $jar->geometry(),
                                $packing->headspace,
                                $packing->weightVolume,
                                $solution->bulk(),
                            ) * 100.0,
                    ],
                )
                ->filter(static fn(array $jar): bool => $jar['percentFull'] <= 100.05)
                ->sortByDesc('percentFull')
                ->take(self::SUGGESTED)
                ->all(),
        );
    }
}
