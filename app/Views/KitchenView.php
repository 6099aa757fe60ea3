<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Household;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Salt;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Formula\Method;
use Tempesal\Core\Intake\TargetPreset;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\Basis;

/**
 * What the bench can choose from.
 */
final class KitchenView
{
    /**
     * @param  Collection<int, Person>  $people
     * @param  Collection<int, Jar>  $jars  with batches_count
     * @param  Collection<int, Salt>  $salts
     * @param  Collection<int, Ingredient>  $ingredients
     * @return array<string, mixed>
     */
    public static function of(Household $household, Collection $people, Collection $jars, Collection $salts, Collection $ingredients): array
    {
        return [
            'spoonSystem' => $household->spoon_system->value,
            'people' => $people->map(static fn (Person $person): array => [
                'id' => $person->id, 'name' => $person->name, 'targetMg' => $person->target_sodium_mg,
                'targetSource' => $person->target_source, 'usualServingGrams' => $person->usual_serving_g,
            ])->values()->all(),
            'jars' => $jars->map(static fn (Jar $jar): array => [
                'id' => $jar->id, 'name' => $jar->name, 'nominalMl' => $jar->nominal_ml, 'cover' => $jar->cover,
                'howMany' => $jar->how_many, 'inUse' => (int) $jar->getAttribute('batches_count'),
            ])->values()->all(),
            'salts' => $salts->map(static fn (Salt $salt): array => [
                'id' => $salt->id, 'key' => $salt->key, 'name' => $salt->name,
                'gramsPerTablespoon' => $salt->product()->gramsPerTablespoon->toArray(), 'isCalibrated' => $salt->calibrated,
            ])->values()->all(),
            'ingredients' => $ingredients->map(static fn (Ingredient $ingredient): array => [
                'id' => $ingredient->id, 'key' => $ingredient->key, 'name' => $ingredient->name, 'use' => $ingredient->use,
                'waterPer100g' => $ingredient->water_g_per_100g, 'sodiumPer100g' => $ingredient->produce()->sodiumPer100g->typical,
                'shape' => $ingredient->shape->value, 'colour' => $ingredient->colour, 'source' => $ingredient->source,
            ])->values()->all(),
            'methods' => array_map(static fn (Method $method): array => [
                'id' => $method->value, 'label' => $method->label(), 'note' => $method->note(),
                'basis' => $method->usualBasis()->value, 'percent' => $method->usualShare() * 100.0,
                'headspaceMm' => $method->usualHeadspace()->value, 'hasPouredBrine' => $method->hasPouredBrine(),
            ], Method::onBench()),
            'bases' => array_map(static fn (Basis $basis): array => ['id' => $basis->value, 'label' => $basis->label()], Basis::cases()),
            'shapes' => array_map(static fn (PieceShape $shape): string => $shape->value, PieceShape::cases()),
        ];
    }

    /** @return list<array{id: string, label: string, milligrams: int, source: string}> */
    public static function targets(): array
    {
        return array_map(static fn (TargetPreset $preset): array => [
            'id' => $preset->value, 'label' => $preset->label(), 'milligrams' => $preset->milligrams(), 'source' => $preset->source(),
        ], TargetPreset::cases());
    }
}
