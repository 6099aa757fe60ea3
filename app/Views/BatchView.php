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
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
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

        return [...self::summary($batch, $ledger->state(), $household), 'portions' => self::portions($batch, $ledger, $people)];
    }

    /**
     * Everything about one batch.
     *
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Serving>  $servings  of this batch, with their people
     * @return array<string, mixed>
     */
    public static function whole(Batch $batch, Household $household, Collection $people, Collection $servings): array
    {
        $ledger = $batch->ledger();
        $state = $ledger->state();
        $concentrations = $ledger->concentrations();
        $served = $batch->method->servedPhase();

        return [
            ...self::summary($batch, $state, $household),
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
            'portions' => self::portions($batch, $ledger, $people),
            'entries' => $batch->entries->map(static fn (BatchEntry $entry): array => self::entry($batch, $entry))->values()->all(),
            'servings' => $servings->map(static fn (Serving $serving): array => ServingView::of($serving))->values()->all(),
        ];
    }

    /**
     * Each person's usual portion, taken now; its sodium is null when the jar holds less than that.
     *
     * @param  Collection<int, Person>  $people
     * @return list<array{personId: string, name: string, grams: float, targetMg: int, sodium: array<string, float|int>|null}>
     */
    private static function portions(Batch $batch, Ledger $ledger, Collection $people): array
    {
        $phase = $batch->method->servedPhase();
        $known = [];

        return array_values($people->map(static function (Person $person) use ($batch, $ledger, $phase, &$known): array {
            $grams = $batch->usualPortion($person);
            $known["{$grams}"] ??= $ledger->servingsLeft($phase, Grams::of($grams)) < 1 ? null
                : Shown::sodium($ledger->serving(Serve::of($phase, Grams::of($grams)))->band);

            return [
                'personId' => $person->id, 'name' => $person->name, 'grams' => $grams,
                'targetMg' => $person->target_sodium_mg, 'sodium' => $known["{$grams}"],
            ];
        })->all());
    }

    /** @return array<string, mixed> */
    private static function summary(Batch $batch, BatchState $state, Household $household): array
    {
        $served = $batch->method->servedPhase();
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

    /** @return list<array{place: string, sodiumMg: float}> */
    private static function whereabouts(BatchState $state): array
    {
        $places = [];
        foreach (Phase::cases() as $phase) {
            $places[] = ['place' => $phase->value, 'sodiumMg' => max(0.0, $state->phase($phase)->sodiumMg)];
        }
        foreach ([Account::Eaten, Account::Discarded, Account::GivenAway] as $account) {
            $places[] = ['place' => $account->value, 'sodiumMg' => $state->account($account)->sodiumMg];
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
