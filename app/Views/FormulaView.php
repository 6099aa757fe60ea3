<?php

declare(strict_types=1);

namespace App\Views;

use App\Language\ReaderLanguage;
use App\Language\StoredText;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\FormulaVersion;
use App\Models\Household;
use App\Models\Ingredient;
use App\Models\Person;
use App\Pantry\FormulaLibrary;
use App\Pantry\KnownPotassium;
use Illuminate\Support\Collection;
use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Formula\Formula as Read;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Formula\FormulaLine;
use Tempesal\Core\Intake\LabelRounding;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\KitchenPhrase;
use Tempesal\Core\Measure\SpoonPhrase;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\PieceShape;

/**
 * A formula as the list, its page and its editor show it.
 */
final class FormulaView
{
    /** @return array<string, mixed> */
    public static function inList(Formula $row, Read $read, FormulaAnswer $answer): array
    {
        return [
            'id' => $row->id,
            'name' => $read->name,
            'summary' => $read->summary(),
            'group' => $read->group,
            'method' => $read->method->value,
            'methodLabel' => $read->method->label(),
            'isLive' => $read->isLive,
            'colour' => $read->colour(),
            'isArchived' => $row->archived_at !== null,
            'isLibrary' => $row->key !== null,
            'version' => $row->version,
            'readyDays' => $read->window->readyDays,
            'servingGrams' => $read->serving->grams->value,
            'servingMg' => LabelRounding::milligrams($answer->typicalServingMg()),
            'allergens' => self::words($answer),
        ];
    }

    /**
     * Everything about a formula at some scale.
     *
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Batch>  $batches  made from any of its versions
     * @return array<string, mixed>
     */
    public static function page(
        Formula $row,
        FormulaVersion $version,
        Read $read,
        float $factor,
        Household $household,
        Collection $people,
        Collection $batches,
    ): array {
        return [
            'id' => $row->id,
            'isArchived' => $row->archived_at !== null,
            'isLibrary' => $row->key !== null,
            'version' => $version->number,
            'newest' => $row->version,
            'isCorrected' => self::isCorrected($row),
            'versions' => $row->versions
                ->map(
                    static fn(FormulaVersion $one): array => [
                        'number' => $one->number,
                        'writtenAt' => $one->created_at->toIso8601String(),
                        'note' => $one->note === null ? null : StoredText::read($one->note),
                    ],
                )
                ->values()
                ->all(),
            'batches' => $batches
                ->map(
                    static fn(Batch $batch): array => [
                        'id' => $batch->id,
                        'name' => $batch->name,
                        'version' => $row->versions->firstWhere('id', $batch->formula_version_id)->number ?? 0,
                    ],
                )
                ->values()
                ->all(),
            ...self::worked($read, $factor, $household->spoon_system, $people),
        ];
    }

    /** Whether the library has another text since the cook wrote a version of their own. */
    private static function isCorrected(Formula $row): bool
    {
        $ours = $row->versions->last(static fn(FormulaVersion $one): bool => $one->isOfLibrary());
        $library = $row->key === null ? null : FormulaLibrary::document($row->key);

        return $library !== null &&
            $ours !== null &&
            $row->versions->firstWhere('number', $row->version)?->isOfLibrary() === false &&
            $ours->document != $library;
    }

    /**
     * What the core makes of it.
     *
     * @param  Collection<int, Person>  $people
     * @return array<string, mixed>
     */
    public static function worked(Read $read, float $factor, SpoonSystem $spoons, Collection $people): array
    {
        $answer = FormulaAnswer::of($read);
        $serving = $answer->serving();
        $floor = $answer->floor()->main();
        $strength = $answer->strength();
        $keeping = $read->keeping();

        return [
            'name' => $read->name,
            'summary' => $read->summary(),
            'group' => $read->group,
            'method' => $read->method->value,
            'methodLabel' => $read->method->label(),
            'methodNote' => $read->method->note(),
            'place' => Place::near($read->window->temperature)->value,
            'isLive' => $read->isLive,
            'colour' => $read->colour(),
            'document' => $read->document,
            'factor' => $factor,
            'lines' => array_map(static fn(FormulaLine $line): array => self::line($line, $spoons), $answer->lines),
            'makesGrams' => $answer->makesG(),
            'servings' => $answer->servings(),
            'serving' => [
                'phase' => $read->serving->served->value,
                'grams' => $answer->plate()->grams->value,
                'sodium' => WireNumbers::sodium($serving->band),
                'contributions' => WireNumbers::contributions($serving),
                'potassium' => KnownPotassium::said($answer->ledger, $read->served(), $answer->plate()->grams->value),
            ],
            'kinds' => KindsView::of($answer->state),
            'per100gMg' => $read->served()->in($answer->state)->sodiumPer100g(),
            'strength' => [
                'percent' => $strength === null ? null : $strength * 100.0,
                'floorPercent' => ($floor->least ?? 0.0) * 100.0,
                'text' =>
                    $strength === null
                        ? null
                        : ($floor->basis ?? $read->method->profile()->salting->basis)->strength(
                            round($strength * 100.0, 1),
                        ),
            ],
            'members' => self::members($answer, $people),
            'allergens' => self::words($answer),
            'notFor' => self::notFor($answer),
            'advice' => array_map(static fn(Advice $advice): array => $advice->toArray(), $answer->advice()),
            'window' => [
                'youngDays' => $read->window->youngDays,
                'readyDays' => $read->window->readyDays,
                'longDays' => $read->window->longDays,
                'celsius' => $read->window->temperature->value,
            ],
            'mainFood' => $read->mainFood(),
            'vessel' => [
                'nominalMl' => $read->vessel->nominal->value,
                'headspaceMm' => $read->vessel->headspace->value,
                'cover' => $read->vessel->cover,
                'holdDown' => $read->vessel->holdDown,
            ],
            'keeping' => [
                'days' => $answer->shelfLife()->days,
                'where' => $keeping->where ?? 'fridge',
                'text' =>
                    $keeping === null || $keeping->days > $answer->shelfLife()->days
                        ? $answer->shelfLife()->text()
                        : Message::of('text.quoted', text: $keeping->text),
            ],
            'work' => $read->work,
            'signs' => $read->texts['signs'],
            'why' => $read->texts['why'],
            'schools' => $read->texts['schools'],
            'cautions' => $read->texts['cautions'],
            'notes' => $read->texts['notes'],
        ];
    }

    /** @return array{part: string, name: string, cut: string|null, grams: float, measure: Message} */
    private static function line(FormulaLine $line, SpoonSystem $spoons): array
    {
        $pours =
            $line->salt !== null ||
            ($line->part !== 'vegetables' &&
                in_array($line->food?->shape, [PieceShape::Pulp, PieceShape::Whole], true)) ||
            $line->food?->id === 'water';
        $density = $line->salt?->product->density()->band->typical ?? ($line->food->density ?? 1.0);

        return [
            'part' => $line->part,
            'name' => ReaderLanguage::say($line->label()),
            'cut' => $line->part === 'vegetables' ? $line->food?->shape->value : null,
            'grams' => $line->grams,
            'measure' =>
                $line->salt !== null
                    ? SpoonPhrase::nearest(\Tempesal\Core\Measure\Millilitres::of($line->grams / $density), $spoons)
                        ->text
                    : KitchenPhrase::of(Grams::of($line->grams), $density, $spoons, $pours),
        ];
    }

    /**
     * Each member's usual portion against their target, and what stands against eating it.
     *
     * @param  Collection<int, Person>  $people
     * @return list<array<string, mixed>>
     */
    private static function members(FormulaAnswer $answer, Collection $people): array
    {
        $isCondiment = $answer->formula->served() === Served::Sauce;
        $isGlass = $answer->formula->method === Method::MilkAndSweet || $answer->formula->served() === Served::Brine;
        $allergens = self::words($answer);
        $foods = array_map(static fn(FormulaLine $line): string => $line->food->id ?? '', $answer->lines);
        $disliked = Ingredient::query()
            ->whereIn('key', array_intersect(Person::dislikedBy($people), $foods))
            ->get()
            ->mapWithKeys(
                static fn(Ingredient $food): array => [$food->key => ReaderLanguage::say($food->produce()->label())],
            );

        return array_values(
            $people
                ->map(static function (Person $person) use (
                    $answer,
                    $isCondiment,
                    $isGlass,
                    $allergens,
                    $disliked,
                ): array {
                    $plate = $answer->plate(
                        Grams::of(
                            match (true) {
                                $isGlass => $answer->formula->serving->grams->value,
                                $isCondiment => $person->usual_condiment_g,
                                default => $person->usual_serving_g,
                            },
                        ),
                    );
                    $sodium = $plate->sodiumMg($answer->state, Point::typical());

                    return [
                        'personId' => $person->id,
                        'name' => $person->name,
                        'grams' => $plate->grams->value,
                        'sodiumMg' => LabelRounding::milligrams($sodium),
                        'targetMg' => $person->currentTarget()->target_sodium_mg,
                        'percentOfTarget' => ($sodium / max(1, $person->currentTarget()->target_sodium_mg)) * 100.0,
                        'allergens' => array_values(array_intersect($person->allergens, $allergens)),
                        'dislikes' => array_values($disliked->only($person->dislikes)->all()),
                    ];
                })
                ->all(),
        );
    }

    /** @return list<string> */
    private static function words(FormulaAnswer $answer): array
    {
        return array_map(static fn(Allergen $allergen): string => $allergen->value, $answer->allergens());
    }

    /** @return list<string> diets that an ingredient rules out */
    private static function notFor(FormulaAnswer $answer): array
    {
        $keys = array_map(static fn(FormulaLine $line): string => $line->food->id ?? '', $answer->lines);
        $diets = [];
        foreach (Ingredient::query()->withoutGlobalScope('present')->whereIn('key', $keys)->get() as $food) {
            array_push($diets, ...$food->not_for);
        }

        return array_values(array_unique($diets));
    }
}
