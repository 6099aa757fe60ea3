<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Care\LiveCulture;
use App\Care\MeantServing;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Note;
use App\Models\Person;
use App\Models\Serving;
use App\Pantry\KnownPotassium;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Advice\BatchAdvice;
use Tempesal\Core\Advice\TemperatureAdvice;
use Tempesal\Core\Care\ReleasePurpose;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Intake\PortionSize;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\SaltFlow;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\SaltBasis;

/**
 * A batch as its own page and the tables it is served at show it.
 */
final class BatchView
{
    /** Grams that are as good as none. */
    private const TRACE_G = 0.05;

    /**
     * What is needed to serve from it: the shelf's view, everyone's usual portion, and the most that would fit into
     * their day.
     *
     * @param  Collection<int, Person>  $people
     * @param  array<string, float>  $room  milligrams for which there is room in the day of each, by id
     * @param  CarbonImmutable|null  $at  when it is served; null: now
     * @return array<string, mixed>
     */
    public static function atHand(
        Batch $batch,
        Household $household,
        Collection $people,
        array $room,
        ?CarbonImmutable $at = null,
    ): array {
        $ledger = Ledgers::of($batch, $at);
        $ways = [ServingStyle::Drained];
        $plates = self::plates($batch, $ledger, $people, $ways);
        $estimates = array_combine(array_keys($plates), $ledger->estimates(...array_values($plates))['servings']);

        $status = BatchStatus::of($batch, $ledger, $household);
        $served = BatchStatus::served($batch, $status->state);
        $plate = ServingStyle::Drained->plate($served, Grams::of(1.0));
        // For the careful what fits is reckoned as the plan is: at the upper end of what the jar may bring.
        $careful = $people->pluck('is_careful', 'id')->all();
        $band = in_array(true, $careful, true) ? $ledger->estimates()["{$served->value}Per100g"]->band : null;
        $atMost = $band === null || $band->typical <= 0.0 ? 1.0 : $band->high / $band->typical;

        return [
            ...BatchSummary::of($status),
            'portions' => array_map(
                static fn(array $one): array => [
                    ...$one,
                    'fitsGrams' => PortionSize::most(
                        $status->state,
                        $plate,
                        ($room[$one['personId']] ?? 0.0) / ($careful[$one['personId']] ?? false ? $atMost : 1.0),
                        $status->gramsLeft(),
                    ),
                ],
                self::portions($batch, $ledger, $people, $ways, $estimates),
            ),
        ];
    }

    /**
     * Everything about one batch.
     *
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Serving>  $servings  of this batch, with their people
     * @return array<string, mixed>
     */
    public static function whole(
        Batch $batch,
        Household $household,
        Collection $people,
        Collection $servings,
        int $servingCount,
        ?CarbonImmutable $at = null,
    ): array {
        $ledger = Ledgers::of($batch, $at);
        $at ??= CarbonImmutable::now();
        $status = BatchStatus::of($batch, $ledger, $household);
        $summary = BatchSummary::of($status);
        $flow = SaltFlow::of($ledger);

        return [
            ...$summary,
            'at' => $at->utc()->toIso8601String(),
            ...self::numbers($status, $ledger, $people),
            'vessel' => [
                'jarId' => $batch->jar_id,
                'headspaceMm' => $batch->headspace_mm,
                'cover' => $batch->cover,
                'usualCover' => $batch->jar?->cover,
                'holdDown' => $batch->hold_down,
                'hasSaucer' => $batch->has_saucer,
            ],
            'flow' => ['from' => self::streams($flow->from), 'to' => self::streams($flow->to)],
            'entries' => BatchHistory::entries($batch, $at, BatchHistory::LATEST),
            'entryCount' => count($batch->entries),
            'servingCount' => $servingCount,
            'meant' => self::meant($status),
            'again' => [
                'formulaId' => $batch->formulaVersion?->formula_id,
                'bench' => isset($batch->bench_input['method']) ? $batch->bench_input : null,
                'notes' => array_slice(
                    array_values(
                        $batch->notes
                            ->map(static fn(Note $note): string => trim((string) $note->text))
                            ->filter(static fn(string $text): bool => $text !== '')
                            ->all(),
                    ),
                    -3,
                ),
            ],
            'coming' => BatchHistory::coming($status, $summary['window']),
            'lastReading' => self::reading($status),
            'gates' => array_map(
                static fn(ReleasePurpose $purpose): array => self::gate($purpose, $status),
                ReleasePurpose::cases(),
            ),
            'servings' => $servings
                ->map(static fn(Serving $serving): array => ServingView::of($serving))
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed>|null a portion on the day on which it is meant to be eaten */
    private static function meant(BatchStatus $status): ?array
    {
        $meant = MeantServing::of($status->batch, $status->forecast);

        return $meant === null
            ? null
            : [
                'on' => $status->household->dateOf($meant->on),
                'grams' => $status->batch->serving_g,
                'sodium' => WireNumbers::sodium($meant->sodium->band),
                'why' => $meant->why,
            ];
    }

    /**
     * What the ledger says at its moment.
     *
     * @param  Collection<int, Person>  $people
     * @return array<string, mixed>
     */
    public static function numbers(BatchStatus $status, Ledger $ledger, Collection $people): array
    {
        $batch = $status->batch;
        $state = $status->state;
        $served = BatchStatus::served($batch, $state);
        $ways = ServingStyle::of($served, $state->phase(Phase::Brine)->weightG() > self::TRACE_G);
        $plates = self::plates($batch, $ledger, $people, $ways);
        $concentrations = $ledger->estimates(...array_values($plates));
        $strength = Strength::of($state)->share(SaltBasis::BrineStrength);

        return [
            'phases' => array_values(
                array_map(
                    static fn(Phase $phase): array => [
                        'phase' => $phase->value,
                        'grams' => max(0.0, $state->phase($phase)->weightG()),
                        'waterGrams' => max(0.0, $state->phase($phase)->waterG),
                        'sodiumMg' => max(0.0, $state->phase($phase)->sodiumMg),
                        'per100g' => WireNumbers::sodium($concentrations["{$phase->value}Per100g"]->band),
                    ],
                    array_filter(
                        Phase::cases(),
                        static fn(Phase $phase): bool => $state->phase($phase)->weightG() > self::TRACE_G,
                    ),
                ),
            ),
            'kinds' => KindsView::of($state),
            'contributions' => WireNumbers::contributions($concentrations["{$served->value}Per100g"]),
            'whereabouts' => self::whereabouts($state),
            'portions' => self::portions(
                $batch,
                $ledger,
                $people,
                $ways,
                array_combine(array_keys($plates), $concentrations['servings']),
            ),
            'isLive' => LiveCulture::counts($batch, $state),
            'potassium' => KnownPotassium::said($ledger, $served, $batch->serving_g),
            'allergens' => array_map(static fn(Allergen $allergen): string => $allergen->value, $state->allergens()),
            'strengthNowPercent' => $strength === null ? null : $strength * 100.0,
            'expectedPh' => $status->expectedPh(),
            'advice' => array_map(static fn(Advice $advice): array => $advice->toArray(), [
                ...BatchAdvice::on($ledger, $batch->method, Ledgers::foreseen($batch)),
                ...array_filter([$batch->place->isWarm() ? TemperatureAdvice::of($batch->method, $state) : null]),
            ]),
        ];
    }

    /**
     * @return array{ph: float, on: string, stands: bool}|null the last reading of its acid, and whether nothing was put
     *     in since
     */
    private static function reading(BatchStatus $status): ?array
    {
        $reading = $status->reading();

        return $reading === null
            ? null
            : [
                'ph' => (float) $reading->ph,
                'on' => $status->household->dateOf($reading->happened_at),
                'stands' => $status->standingReading() !== null,
            ];
    }

    /** @return array<string, mixed> */
    private static function gate(ReleasePurpose $purpose, BatchStatus $status): array
    {
        $gate = $status->gate($purpose);

        return [
            'purpose' => $purpose->value,
            'label' => $purpose->label(),
            'isOpen' => $gate->isOpen,
            'reason' => $gate->reason,
            'cautions' => $gate->cautions,
        ];
    }

    /**
     * Everyone's usual portion in each of some ways of serving it, as far as the jar holds it.
     *
     * @param  Collection<int, Person>  $people
     * @param  list<ServingStyle>  $ways
     * @return array<string, Serve> by their grams and way
     */
    private static function plates(Batch $batch, Ledger $ledger, Collection $people, array $ways): array
    {
        $served = BatchStatus::served($batch, $ledger->state());
        $plates = [];
        foreach ($people as $person) {
            $grams = Grams::of($batch->usualPortion($person, $served));
            foreach ($ledger->servingsLeft($served, $grams) > 0 ? $ways : [] as $way) {
                $plates["{$grams->value} g {$way->value}"] = $way->plate($served, $grams);
            }
        }

        return $plates;
    }

    /**
     * Each person's usual portion, taken now; its sodium is null when the jar holds less than that.
     *
     * @param  Collection<int, Person>  $people
     * @param  list<ServingStyle>  $ways
     * @param  array<string, Estimate>  $estimates  by their grams and way
     * @return list<array{personId: string, ...<string, mixed>}>
     */
    private static function portions(
        Batch $batch,
        Ledger $ledger,
        Collection $people,
        array $ways,
        array $estimates,
    ): array {
        $state = $ledger->state();
        $served = BatchStatus::served($batch, $state);
        $allergens = array_map(static fn(Allergen $allergen): string => $allergen->value, $state->allergens());

        return array_values(
            $people
                ->map(static function (Person $person) use ($batch, $served, $allergens, $ways, $estimates): array {
                    $grams = $batch->usualPortion($person, $served);
                    $sodium = static function (ServingStyle $way) use ($estimates, $grams): ?array {
                        $estimate = $estimates["{$grams} g {$way->value}"] ?? null;

                        return $estimate === null ? null : WireNumbers::sodium($estimate->band);
                    };

                    return [
                        'personId' => $person->id,
                        'name' => $person->name,
                        'grams' => $grams,
                        'targetMg' => $person->currentTarget()->target_sodium_mg,
                        'clashes' => array_values(array_intersect($allergens, $person->allergens)),
                        'sodium' => $sodium(ServingStyle::Drained),
                        'ways' => array_map(
                            static fn(ServingStyle $way): array => [
                                'way' => $way->value,
                                'label' => $way->label($served),
                                'sodium' => $sodium($way),
                            ],
                            $ways,
                        ),
                    ];
                })
                ->all(),
        );
    }

    /**
     * @param  array<string, float>  $streams
     * @return list<array{name: string, sodiumMg: float}> widest first
     */
    private static function streams(array $streams): array
    {
        arsort($streams);

        return array_map(
            static fn(string $name, float $sodium): array => ['name' => $name, 'sodiumMg' => $sodium],
            array_keys($streams),
            array_values($streams),
        );
    }

    /** @return list<array{place: string, sodiumMg: float}> */
    private static function whereabouts(BatchState $state): array
    {
        $places = [];
        foreach ($state->whereabouts() as $place => $sodium) {
            $places[] = ['place' => $place, 'sodiumMg' => max(0.0, $sodium)];
        }

        return array_values(array_filter($places, static fn(array $place): bool => $place['sodiumMg'] > 0.5));
    }
}
