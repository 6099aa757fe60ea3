<?php

declare(strict_types=1);

use App\Actions\SeedPantry;
use App\Models\Ingredient;
use App\Pantry\FoodTable;
use Carbon\CarbonImmutable;

/*
 * What is corrected in the table of foods reaches kitchens that stand: a food that its cook never changed is brought up to
 * date, one that was changed is left alone and told, and no jar changes its figures.
 */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-02T10:00:00Z'));
    $this->asCook($this->cook());
    $this->table = collect(FoodTable::all())->keyBy('key');
    $this->age = fn(string $key, array $row) => Ingredient::query()->where('key', $key)->update($row);
    $this->food = fn(string $key): array => collect($this->getJson('/api/pantry')->json('ingredients'))->firstWhere(
        'key',
        $key,
    );
});

it('brings what nobody changed up to date, its band and its potassium too', function (): void {
    ($this->age)('celery', [
        'sodium_low_mg_per_100g' => 8.0,
        'sodium_typical_mg_per_100g' => 10.7,
        'sodium_high_mg_per_100g' => 12.0,
        'water_g_per_100g' => 92.9,
        'potassium_mg_per_100g' => null,
    ]);
    app(SeedPantry::class)->foods();
    expect(($this->food)('celery'))->toMatchArray([
        'sodiumPer100g' => $this->table['celery']['sodium']['typical'],
        'sodiumBand' => $this->table['celery']['sodium'],
        'waterPer100g' => $this->table['celery']['water'],
        'potassiumPer100g' => $this->table['celery']['potassium'],
        'inTable' => null,
    ]);
});

it('leaves what the cook changed, and says what the table has', function (): void {
    $food = ($this->food)('milk');
    $this->putJson("/api/foods/{$food['id']}", ['version' => $food['version'], 'sodiumPer100g' => 51])->assertOk();
    app(SeedPantry::class)->foods();
    expect(($this->food)('milk'))->toMatchArray([
        'sodiumPer100g' => 51,
        'isEdited' => true,
        'inTable' => [
            'sodiumMg' => $this->table['milk']['sodium']['typical'],
            'waterGrams' => $this->table['milk']['water'],
        ],
    ]);
});

it('takes a potassium that the cook knows, and refuses one that cannot be', function (): void {
    $food = ($this->food)('shrimp-paste');
    expect($food['potassiumPer100g'])->toBeNull();
    $this->putJson("/api/foods/{$food['id']}", ['version' => $food['version'], 'potassiumPer100g' => 310])->assertOk();
    expect(($this->food)('shrimp-paste')['potassiumPer100g'])->toBe(310);
    $this->putJson("/api/foods/{$food['id']}", [
        'version' => ($this->food)('shrimp-paste')['version'],
        'potassiumPer100g' => 60_000,
    ])->assertJsonValidationErrors('potassiumPer100g');
});

it('changes no jar that was made with the old figures', function (): void {
    ($this->age)('carrot', ['sodium_typical_mg_per_100g' => 40.0]);
    $jar = $this->startJar()->json();
    $before = $this->getJson("/api/batches/{$jar['id']}")->json('portions.0.sodium');
    app(SeedPantry::class)->foods();
    expect(($this->food)('carrot')['sodiumPer100g'])
        ->toBe($this->table['carrot']['sodium']['typical'])
        ->and($this->getJson("/api/batches/{$jar['id']}")->json('portions.0.sodium'))
        ->toBe($before);
});
