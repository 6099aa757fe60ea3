<?php

declare(strict_types=1);

namespace App\Views;

use App\Language\Catalogue;
use App\Language\ReaderLanguage;
use App\Language\StoredText;
use App\Models\Batch;
use App\Models\HoldDown;
use App\Models\Household;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Room;
use App\Models\Salt;
use App\Models\WeighedMeasure;
use App\Pantry\FoodTable;
use App\Pictures\JarPicture;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Formula\FormulaDefaults;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Aim;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Process\ProcessFields;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\FoodTrait;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltNotes;
use Tempesal\Core\Uptake\Tissue;

/**
 * What the bench can choose from.
 */
final class KitchenView
{
    /** @return array{spoonSystem: string, usesInches: bool, usesFahrenheit: bool, measureBy: string} */
    public static function units(Household $household): array
    {
        return [
            'spoonSystem' => $household->spoon_system->value,
            'usesInches' => $household->uses_inches,
            'usesFahrenheit' => $household->uses_fahrenheit,
            'measureBy' => $household->measure_by,
        ];
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Jar>  $jars  with batches_count
     * @param  Collection<int, Salt>  $salts
     * @param  Collection<int, HoldDown>  $holdDowns
     * @return array<string, mixed>
     */
    public static function of(
        Household $household,
        Collection $people,
        Collection $jars,
        Collection $salts,
        Collection $holdDowns,
    ): array {
        return [
            'version' => $household->version,
            'name' => $household->name,
            'timeZone' => $household->time_zone,
            'language' => $household->language,
            'languages' => Catalogue::languages(),
            ...self::units($household),
            'weighedMeasures' => WeighedMeasure::query()
                ->orderBy('created_at')
                ->get()
                ->map(
                    static fn(WeighedMeasure $one): array => [
                        'what' => $one->what,
                        'family' => $one->family,
                        'personId' => $one->person_id,
                        'grams' => $one->grams,
                    ],
                )
                ->all(),
            'weekStart' => $household->week_start,
            'quietFrom' => $household->quiet_from,
            'quietTo' => $household->quiet_to,
            'aim' => $household->aim->value,
            'aims' => array_map(
                static fn(Aim $aim): array => ['id' => $aim->value, 'label' => $aim->label()],
                Aim::cases(),
            ),
            'people' => $people->map(self::person(...))->values()->all(),
            'jars' => $jars
                ->map(
                    static fn(Jar $jar): array => [
                        'id' => $jar->id,
                        'version' => $jar->version,
                        'name' => $jar->name,
                        'nominalMl' => $jar->nominal_ml,
                        'cover' => $jar->cover,
                        'mouthMm' => $jar->mouth_mm,
                        'bodyMm' => $jar->body_mm,
                        'picture' => JarPicture::empty($jar),
                        'howMany' => $jar->how_many,
                        'inUse' => $jar->batches_count ?? 0,
                        'heldBy' => $jar->batches
                            ->whereNull('emptied_at')
                            ->map(static fn(Batch $batch): array => ['id' => $batch->id, 'name' => $batch->name])
                            ->values()
                            ->all(),
                    ],
                )
                ->values()
                ->all(),
            'salts' => $salts
                ->map(
                    static fn(Salt $salt): array => [
                        'id' => $salt->id,
                        'version' => $salt->version,
                        'key' => $salt->key,
                        'name' => ReaderLanguage::say($salt->product()->label()),
                        'gramsPerTablespoon' => $salt->product()->gramsPerTablespoon->toArray(),
                        'isCalibrated' => $salt->calibrated,
                        'sodiumPer100g' => $salt->product()->sodiumPer100g->toArray(),
                        'iodised' => $salt->iodised,
                        'antiCaking' => $salt->anti_caking,
                        'potassium' => $salt->potassium,
                        'isOwn' => $salt->own,
                        'notes' => SaltNotes::on($salt->product()),
                    ],
                )
                ->values()
                ->all(),
            'holdDowns' => $holdDowns
                ->map(
                    static fn(HoldDown $one): array => [
                        'id' => $one->id,
                        'version' => $one->version,
                        'name' => $one->name,
                        'volumeMl' => $one->volume_ml,
                        'isBag' => $one->is_bag,
                        'howMany' => $one->how_many,
                    ],
                )
                ->values()
                ->all(),
            'places' => array_map(
                static fn(Place $place): array => [
                    'id' => $place->value,
                    'name' => $place->name(),
                    'label' => $place->label(),
                    'usualCelsius' => Room::at($place)->usual_celsius,
                ],
                Place::cases(),
            ),
            'covers' => array_column(Cover::cases(), 'value'),
            'allergens' => array_map(static fn(Allergen $one): string => $one->value, Allergen::cases()),
            'tissues' => array_map(
                static fn(Tissue $one): array => ['id' => $one->value, 'label' => $one->label()],
                Tissue::cases(),
            ),
            'methods' => array_map(self::method(...), Method::made()),
            'waysToServe' => array_map(
                static fn(ServingStyle $way): array => ['id' => $way->value, 'label' => $way->label()],
                ServingStyle::cases(),
            ),
            'traits' => array_column(FoodTrait::cases(), 'value'),
            'bases' => array_map(
                static fn(SaltBasis $basis): array => ['id' => $basis->value, 'label' => $basis->label()],
                SaltBasis::cases(),
            ),
            'shapes' => array_map(static fn(PieceShape $shape): string => $shape->value, PieceShape::cases()),
        ];
    }

    /**
     * @param  Collection<int, Ingredient>  $ingredients
     * @return list<array<string, mixed>>
     */
    public static function foods(Collection $ingredients): array
    {
        $inTable = self::inTable($ingredients);

        return array_values(
            $ingredients
                ->map(
                    static fn(Ingredient $ingredient): array => [
                        'id' => $ingredient->id,
                        'version' => $ingredient->version,
                        'key' => $ingredient->key,
                        'name' => ReaderLanguage::say($ingredient->produce()->label()),
                        'use' => $ingredient->use,
                        'waterPer100g' => $ingredient->water_g_per_100g,
                        'sodiumPer100g' => $ingredient->produce()->sodiumPer100g->typical,
                        'sodiumBand' => $ingredient->produce()->sodiumPer100g->toArray(),
                        'potassiumPer100g' => $ingredient->potassium_mg_per_100g,
                        'density' => $ingredient->density_g_per_ml,
                        'shape' => $ingredient->shape->value,
                        'tissue' => $ingredient->tissue->value,
                        'hollow' => $ingredient->hollow,
                        'live' => $ingredient->live,
                        'traits' => array_column($ingredient->traits(), 'value'),
                        'allergens' => $ingredient->allergens,
                        'notFor' => $ingredient->not_for,
                        'also' => $ingredient->also,
                        'isOwn' => $ingredient->own,
                        'isEdited' => $ingredient->edited,
                        'inTable' => $inTable[$ingredient->key] ?? null,
                        'labelSodiumMg' => $ingredient->label_sodium_mg,
                        'labelServingGrams' => $ingredient->label_serving_g,
                        'colour' => $ingredient->colour,
                        'source' => StoredText::read($ingredient->source),
                    ],
                )
                ->all(),
        );
    }

    /**
     * What the table says of the foods that the cook has changed, read once.
     *
     * @param  Collection<int, Ingredient>  $ingredients
     * @return array<string, array{sodiumMg: float, waterGrams: float}> by key
     */
    private static function inTable(Collection $ingredients): array
    {
        $changed = $ingredients->where('edited', true)->pluck('key')->flip();
        $said = [];
        foreach ($changed->isEmpty() ? [] : FoodTable::all() as $food) {
            if ($changed->has($food['key'])) {
                $said[$food['key']] = ['sodiumMg' => $food['sodium']['typical'], 'waterGrams' => $food['water']];
            }
        }

        return $said;
    }

    /** @return array<string, mixed> */
    public static function person(Person $person): array
    {
        return [
            'id' => $person->id,
            'version' => $person->version,
            'name' => $person->name,
            'targetMg' => $person->currentTarget()->target_sodium_mg,
            'targetSource' => StoredText::read($person->currentTarget()->target_source),
            'usualServingGrams' => $person->usual_serving_g,
            'usualCondimentGrams' => $person->usual_condiment_g,
            'liveGoal' => $person->live_goal,
            'limitIsHard' => $person->limit_is_hard,
            'isCareful' => $person->is_careful,
            'dietKnowledge' => $person->diet_knowledge->value,
            'allergens' => $person->allergens,
            'dislikes' => $person->dislikes,
            'tolerances' => (object) $person->tolerances,
            'away' => $person->away,
            'stays' => $person->stays,
            'restOfDiet' => (object) $person->currentTarget()->restOfWeek()->toArray(),
            'before' => self::targetsBefore($person),
        ];
    }

    /** @return array<string, mixed> all that a screen needs to begin with a method */
    private static function method(Method $method): array
    {
        $profile = $method->profile();

        return [
            'id' => $method->value,
            'label' => $method->label(),
            'note' => $method->note(),
            'isFerment' => $method->isFerment(),
            'basis' => $profile->salting->basis->value,
            'percent' => $profile->salting->usual * 100.0,
            'headspaceMm' => $profile->storage->headspace->value,
            'hasPouredBrine' => $method->hasPouredBrine(),
            'takesStarter' => $profile->preparation->takesStarter,
            'isDressed' => $method->isDressed(),
            'isMixed' => $method->isMixed(),
            'lists' => ProcessFields::lists($method),
            'servedPhase' => $profile->eaten->served->value,
            'portionGrams' => $profile->eaten->portion->value,
            'covers' => array_map(static fn(Cover $cover): string => $cover->value, $profile->storage->covers),
            'fridgeDays' => $profile->storage->fridgeDays,
            'saltingMinutes' =>
                $profile->preparation->salting === null ? null : $profile->preparation->salting->value / 60.0,
            'rinseSeconds' => $profile->preparation->rinse?->value,
            // One that is made of another batch is begun from that batch, not from a formula.
            'begins' => $method->isOfAnotherBatch() ? null : FormulaDefaults::of($method),
        ];
    }

    /** @return list<array{id: string, label: Message, milligrams: int, source: Message}> */
    public static function targets(): array
    {
        return array_map(
            static fn(TargetPreset $preset): array => [
                'id' => $preset->value,
                'label' => $preset->label(),
                'milligrams' => $preset->milligrams(),
                'source' => $preset->source(),
            ],
            TargetPreset::offered(),
        );
    }

    /**
     * @return list<array{until: string, targetMg: int, targetSource: Message}> targets that held before, the last first
     */
    public static function targetsBefore(Person $person): array
    {
        $before = [];
        $last = null;
        foreach ($person->intakeTargets as $next) {
            if ($last !== null && $last->target_sodium_mg !== $next->target_sodium_mg) {
                array_unshift($before, [
                    'until' => CarbonImmutable::parse($next->since)->subDay()->toDateString(),
                    'targetMg' => $last->target_sodium_mg,
                    'targetSource' => StoredText::read($last->target_source),
                ]);
            }
            $last = $next;
        }

        return $before;
    }
}
