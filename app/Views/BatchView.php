<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Household;
use App\Models\Person;
use App\Models\Serving;
use App\Pictures\JarPicture;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Ferment\ExpectedAcid;
use Tempesal\Core\Formula\Advice;
use Tempesal\Core\Formula\BatchAdvice;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\Basis;

/**
 * A batch as the shelf and its own page show it.
 */
final class BatchView
{
    /**
     * What the shelf shows.
     *
     * @return array<string, mixed>
     */
    public static function onShelf(Batch $batch, Household $household): array
    {
        return self::summary($batch, $batch->ledger()->state(), $household);
    }

    /**
     * What is needed to serve from it: the shelf's view and everyone's usual portion.
     *
     * @param  Collection<int, Person>  $people
     * @return array<string, mixed>
     */
    public static function atHand(Batch $batch, Household $household, Collection $people): array
    {
        $ledger = $batch->ledger();
        $plates = self::plates($batch, $ledger, $people);
        $estimates = array_combine(array_keys($plates), $ledger->estimates(...array_values($plates))['servings']);

        return [...self::summary($batch, $ledger->state(), $household), 'portions' => self::portions($batch, $people, $estimates)];
    }

    /**
     * Everything about one batch.
     *
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Serving>  $servings  of this batch, with their people
     * @return array<string, mixed>
     */
    public static function whole(Batch $batch, Household $household, Collection $people, Collection $servings, ?CarbonImmutable $at = null): array
    {
        $ledger = $batch->ledger($at);

        return [
            ...self::summary($batch, $ledger->state(), $household),
            'at' => ($at ?? CarbonImmutable::now())->utc()->toIso8601String(),
            ...self::numbers($batch, $ledger, $people),
            'entries' => $batch->entries->sortBy([['happened_at', 'asc'], ['position', 'asc']])
                ->map(static fn (BatchEntry $entry): array => self::entry($batch, $entry))->values()->all(),
            'servings' => $servings->map(static fn (Serving $serving): array => ServingView::of($serving))->values()->all(),
        ];
    }

    /**
     * What the ledger says at its moment.
     *
     * @param  Collection<int, Person>  $people
     * @return array<string, mixed>
     */
    public static function numbers(Batch $batch, Ledger $ledger, Collection $people): array
    {
        $state = $ledger->state();
        $served = self::servedPhase($batch, $state);
        $plates = self::plates($batch, $ledger, $people);
        $concentrations = $ledger->estimates(...array_values($plates));
        $strength = Strength::of($state)->share(Basis::BrineStrength);

        return [
            'phases' => array_values(array_map(
                static fn (Phase $phase): array => [
                    'phase' => $phase->value,
                    'grams' => max(0.0, $state->phase($phase)->weightG()),
                    'waterGrams' => max(0.0, $state->phase($phase)->waterG),
                    'sodiumMg' => max(0.0, $state->phase($phase)->sodiumMg),
                    'per100g' => Shown::sodium($concentrations["{$phase->value}Per100g"]->band),
                ],
                array_filter(Phase::cases(), static fn (Phase $phase): bool => $state->phase($phase)->weightG() > 0.05),
            )),
            'contributions' => Shown::contributions($concentrations["{$served->value}Per100g"]),
            'whereabouts' => self::whereabouts($state),
            'portions' => self::portions($batch, $people, array_combine(array_keys($plates), $concentrations['servings'])),
            'isLive' => $batch->method->isFerment() && $state->live,
            'allergens' => array_map(static fn (Allergen $allergen): string => $allergen->value, $state->allergens()),
            'strengthNowPercent' => $strength === null ? null : $strength * 100.0,
            'expectedPh' => $batch->method->isFerment() && $state->live ? ExpectedAcid::ph($state->ripened, $strength ?? 0.0) : null,
            'advice' => array_map(static fn (Advice $advice): array => $advice->toArray(), BatchAdvice::on($ledger)),
        ];
    }

    /**
     * Everyone's usual portion, as far as the jar holds it.
     *
     * @param  Collection<int, Person>  $people
     * @return array<string, Serve> by their grams
     */
    private static function plates(Batch $batch, Ledger $ledger, Collection $people): array
    {
        $phase = self::servedPhase($batch, $ledger->state());
        $plates = [];
        foreach ($people as $person) {
            $grams = $batch->usualPortion($person);
            if ($ledger->servingsLeft($phase, Grams::of($grams)) > 0) {
                $plates["{$grams} g"] = Serve::of($phase, Grams::of($grams));
            }
        }

        return $plates;
    }

    /**
     * Each person's usual portion, taken now; its sodium is null when the jar holds less than that.
     *
     * @param  Collection<int, Person>  $people
     * @param  array<string, Estimate>  $estimates  by their grams
     * @return list<array{personId: string, name: string, grams: float, targetMg: int, sodium: array<string, float|int>|null}>
     */
    private static function portions(Batch $batch, Collection $people, array $estimates): array
    {
        return array_values($people->map(static function (Person $person) use ($batch, $estimates): array {
            $grams = $batch->usualPortion($person);
            $estimate = $estimates["{$grams} g"] ?? null;

            return [
                'personId' => $person->id, 'name' => $person->name, 'grams' => $grams, 'targetMg' => $person->target_sodium_mg,
                'sodium' => $estimate === null ? null : Shown::sodium($estimate->band),
            ];
        })->all());
    }

    /** @return array<string, mixed> */
    private static function summary(Batch $batch, BatchState $state, Household $household): array
    {
        $served = self::servedPhase($batch, $state);
        $basis = $batch->method->usualBasis();
        $share = $batch->strengths[$basis->value] ?? null;

        return [
            'id' => $batch->id,
            'name' => $batch->name,
            'method' => $batch->method->value,
            'methodLabel' => $batch->method->label(),
            'colour' => $batch->colour,
            'place' => $batch->place,
            'jarName' => $batch->jar?->name,
            'startedAt' => $batch->started_at->toIso8601String(),
            'startedOn' => $batch->started_at->setTimezone($household->time_zone)->toDateString(),
            'dayCount' => self::dayCount($batch, $household),
            'strengthPercent' => $share === null ? null : $share * 100.0,
            'strengthBasis' => $basis->label(),
            'strengths' => array_map(static fn (Basis $one): array => [
                'basis' => $one->value, 'label' => $one->label(),
                'percent' => isset($batch->strengths[$one->value]) ? $batch->strengths[$one->value] * 100.0 : null,
            ], Basis::cases()),
            'servedPhase' => $served->value,
            'gramsLeft' => max(0.0, $state->phase($served)->weightG()),
            'servingGrams' => $batch->serving_g,
            'servingsLeft' => (int) floor(max(0.0, $state->phase($served)->weightG()) / $batch->serving_g),
            'sodiumPer100g' => $state->phase($served)->sodiumPer100g(),
            'jar' => JarPicture::ofBatch($batch, $state),
        ];
    }

    /** Whole days in the household's own calendar since the batch was started; the first day is 0. */
    private static function dayCount(Batch $batch, Household $household): int
    {
        $start = CarbonImmutable::parse($batch->started_at->setTimezone($household->time_zone)->toDateString());

        return (int) $start->diffInDays(CarbonImmutable::parse($household->today()));
    }

    /** What is served from it: a jar that was blended is a sauce, whatever it began as. */
    private static function servedPhase(Batch $batch, BatchState $state): Phase
    {
        return $state->isOnePhase() ? Phase::Sauce : $batch->method->servedPhase();
    }

    /** @return list<array{place: string, sodiumMg: float}> */
    private static function whereabouts(BatchState $state): array
    {
        $places = [];
        foreach ($state->whereabouts() as $place => $sodium) {
            $places[] = ['place' => $place, 'sodiumMg' => max(0.0, $sodium)];
        }

        return array_values(array_filter($places, static fn (array $place): bool => $place['sodiumMg'] > 0.5));
    }

    /** @return array<string, mixed> */
    private static function entry(Batch $batch, BatchEntry $entry): array
    {
        return [
            'id' => $entry->id,
            'position' => $entry->position,
            'kind' => $entry->kind,
            'happenedAt' => $entry->happened_at->toIso8601String(),
            'text' => EntrySentence::of($entry),
            'reversesId' => $entry->reverses_id,
            'isReversed' => $batch->entries->contains('reverses_id', $entry->id),
        ];
    }
}
