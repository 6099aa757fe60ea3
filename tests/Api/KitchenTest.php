<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;
use App\Models\Batch;
use App\Models\Ingredient;
use App\Models\Salt;
use Illuminate\Support\Str;
use Tests\TestCase;

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
    $this->person = fn(array $change = []): array => [
        'name' => 'Cleo',
        'preset' => null,
        'targetMg' => 1700,
        'targetSource' => 'Agreed with a clinician',
        'usualServingGrams' => 35,
        'usualCondimentGrams' => 8,
        'liveGoal' => 2,
        'limitIsHard' => false,
        'restOfDiet' => self::restOfDiet(330),
        'allergens' => ['fish', 'milk'],
        'dislikes' => ['garlic'],
        ...$change,
    ];
    $this->food = fn(array $change = []): array => [
        'name' => 'Crackers from the corner shop',
        'use' => 'pantry',
        'labelSodiumMg' => 140,
        'labelServingGrams' => 28,
        'waterPer100g' => 4,
        'density' => 0.4,
        'shape' => 'chunks',
        'tissue' => 'root',
        'hollow' => false,
        'live' => false,
        'allergens' => ['gluten'],
        'notFor' => [],
        ...$change,
    ];
    $this->salt = fn(array $change = []): array => [
        'name' => 'Salt from the bay',
        'gramsPerTablespoon' => 14,
        'sodiumPer100g' => 38000,
        'iodised' => false,
        'antiCaking' => false,
        'potassium' => false,
        ...$change,
    ];
    $this->jarFields = fn(array $change = []): array => [
        'name' => 'Tall jar',
        'nominalMl' => 1500,
        'mouthMm' => 80,
        'bodyMm' => 105,
        'cover' => 'slit lid',
        'howMany' => 3,
        ...$change,
    ];
});

it('knows what a kitchen owns', function (): void {
    $kitchen = $this->wholeKitchen();
    expect(count($kitchen['ingredients']))
        ->toBeGreaterThanOrEqual(120)
        ->and(count($kitchen['salts']))
        ->toBe(10)
        ->and($kitchen['covers'])
        ->toContain('slit lid')
        ->and($kitchen['allergens'])
        ->toContain('crustaceans')
        ->and(collect($kitchen['salts'])->firstWhere('key', 'half-potassium')['notes'][0])
        ->toContain('kidney')
        ->and(collect($kitchen['salts'])->firstWhere('key', 'table')['notes'][0])
        ->toContain('Iodised')
        ->and(collect($kitchen['ingredients'])->firstWhere('key', 'carrot')['source'])
        ->toBe('IFCT 2017, F002')
        ->and(collect($kitchen['ingredients'])->firstWhere('key', 'fish-sauce')['source'])
        ->toContain('from memory')
        ->and(collect($kitchen['ingredients'])->firstWhere('key', 'fish-sauce')['allergens'])
        ->toBe(['fish']);
});

it('changes how the kitchen measures', function (): void {
    $this->putJson('/api/household', [
        'version' => 1,
        'name' => 'Kitchen above the bakery',
        'timeZone' => 'Europe/Lisbon',
        'spoonSystem' => 'australian',
        'usesInches' => true,
        'usesFahrenheit' => true,
        'measureBy' => 'spoons',
        'weekStart' => 7,
        'quietFrom' => '21:30',
        'quietTo' => '06:00',
        'aim' => 'young',
    ])
        ->assertOk()
        ->assertJson([
            'name' => 'Kitchen above the bakery',
            'spoonSystem' => 'australian',
            'usesInches' => true,
            'usesFahrenheit' => true,
            'measureBy' => 'spoons',
            'weekStart' => 7,
            'quietFrom' => '21:30',
            'quietTo' => '06:00',
            'aim' => 'young',
        ]);
    $this->putJson('/api/household', [
        'version' => 2,
        'name' => '',
        'timeZone' => 'Mars/Olympus',
        'spoonSystem' => 'martian',
        'measureBy' => 'eye',
        'weekStart' => 8,
        'quietFrom' => '24:30',
        'quietTo' => 'noon',
        'aim' => 'burnt',
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors([
            'name',
            'timeZone',
            'spoonSystem',
            'measureBy',
            'weekStart',
            'quietFrom',
            'quietTo',
            'aim',
        ]);
});

it('seats someone at the table and knows their limit, dislikes and portions', function (): void {
    $kitchen = $this->postJson('/api/people', ($this->person)())->assertCreated()->json();
    $cleo = collect($kitchen['people'])->firstWhere('name', 'Cleo');
    expect($cleo)->toMatchArray([
        'targetMg' => 1700,
        'liveGoal' => 2,
        'limitIsHard' => false,
        'allergens' => ['fish', 'milk'],
        'dislikes' => ['garlic'],
    ]);
    $changed = $this->putJson(
        "/api/people/{$cleo['id']}",
        ($this->person)([
            'version' => 1,
            'preset' => 'nasem_child_9',
            'restOfDiet' => [7 => ['morning' => 400, 'noon' => 900, 'evening' => 0]] + self::restOfDiet(300),
        ]),
    )
        ->assertOk()
        ->json();
    $cleo = collect($changed['people'])->firstWhere('name', 'Cleo');
    expect($cleo['targetMg'])
        ->toBe(1800)
        ->and($cleo['targetSource'])
        ->toContain('NASEM')
        ->and($cleo['restOfDiet']['7'])
        ->toBe(['morning' => 400, 'noon' => 900, 'evening' => 0]);
    $sunday = CarbonImmutable::now()->next('Sunday')->toDateString();
    expect($this->getJson("/api/days/{$sunday}")->json('people.2.restMg'))->toBe(1300);
});

it('lets someone leave the table and keeps what they ate', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(9)->toDateString()])->json();
    $id = $batch['portions'][0]['personId'];
    $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $id,
        'amount' => '40 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->deleteJson("/api/people/{$id}")
        ->assertOk()
        ->assertJsonCount(1, 'people');
    expect($this->getJson("/api/batches/{$batch['id']}")->json('servings.0.personName'))->toBe('Ada');
    $this->putJson("/api/people/{$id}", ($this->person)())->assertNotFound();
});

it('names what is wrong with a person', function (array $change, string $field): void {
    $this->postJson('/api/people', ($this->person)($change))
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
    $this->getJson('/api/kitchen')->assertJsonCount(2, 'people');
})->with([
    [['name' => ''], 'name'],
    [['targetMg' => 50], 'targetMg'],
    [['targetMg' => null], 'targetMg'],
    [['preset' => 'mine'], 'preset'],
    [['usualServingGrams' => 0], 'usualServingGrams'],
    [['restOfDiet' => [1 => ['morning' => 5]]], 'restOfDiet'],
    [['restOfDiet' => [1 => ['morning' => 5]] + TestCase::restOfDiet(1)], 'restOfDiet.1'],
    [['restOfDiet' => TestCase::restOfDiet(-3)], 'restOfDiet.1.morning'],
    [['holds' => 'sometimes'], 'holds'],
    [['allergens' => ['air']], 'allergens.0'],
    [['liveGoal' => 99], 'liveGoal'],
]);

it('reads a food from its label, and from salt as the EU prints it', function (): void {
    $food = fn(string $name): array => collect($this->getJson('/api/pantry')->json('ingredients'))->firstWhere(
        'name',
        $name,
    );
    $this->postJson('/api/foods', ($this->food)())->assertCreated();
    // 140 mg in 28 g are 500 mg in 100 g; a label may be off by a fifth.
    expect($food('Crackers from the corner shop'))->toMatchArray([
        'sodiumPer100g' => 500,
        'isOwn' => true,
        'source' => 'the package label',
    ]);
    expect($food('Crackers from the corner shop')['sodiumBand'])->toEqual([
        'low' => 400,
        'typical' => 500,
        'high' => 600,
    ]);
    $this->postJson(
        '/api/foods',
        ($this->food)([
            'name' => 'Olives',
            'labelSodiumMg' => null,
            'labelServingGrams' => null,
            'labelSaltPer100g' => 3.5,
        ]),
    )->assertCreated();
    // Regulation (EU) 1169/2011, annex I: salt = sodium x 2.5.
    expect($food('Olives')['sodiumPer100g'])->toEqual(1400);
});

it('takes other values for a food it knows, and gives the table back', function (): void {
    $carrot = Ingredient::query()->where('key', 'carrot')->sole();
    $before = $this->startJar()->json();
    $this->putJson(
        "/api/foods/{$carrot->id}",
        ($this->food)([
            'version' => 1,
            'name' => 'carrot',
            'use' => 'vegetable',
            'labelSodiumMg' => null,
            'labelServingGrams' => null,
            'sodiumPer100g' => 90,
            'waterPer100g' => 88,
            'shape' => 'sticks',
        ]),
    )->assertOk();
    expect($carrot->refresh()->edited)
        ->toBeTrue()
        ->and($carrot->produce()->sodiumPer100g->typical)
        ->toBe(90.0)
        // A jar keeps what it was made with.
        ->and($this->getJson("/api/batches/{$before['id']}")->json('whereabouts'))
        ->toEqual($before['whereabouts']);
    $this->postJson("/api/foods/{$carrot->id}/restoration")->assertOk();
    expect($carrot->refresh()->edited)
        ->toBeFalse()
        ->and($carrot->produce()->sodiumPer100g->typical)
        ->toBe(52.33);
    $this->deleteJson("/api/foods/{$carrot->id}")->assertNotFound();
});

it('removes a food of its own', function (): void {
    $this->postJson('/api/foods', ($this->food)());
    $own = Ingredient::query()->where('own', true)->sole();
    $this->deleteJson("/api/foods/{$own->id}")->assertOk();
    expect(Ingredient::query()->where('own', true)->count())
        ->toBe(0)
        ->and(Ingredient::query()->withoutGlobalScope('present')->where('own', true)->count())
        ->toBe(1);
});

it('names what is wrong with a food', function (array $change, string $field): void {
    $this->postJson('/api/foods', ($this->food)($change))
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
})->with([
    [['name' => ''], 'name'],
    [['labelServingGrams' => null], 'labelServingGrams'],
    [['labelSodiumMg' => null], 'sodiumPer100g'],
    [['labelSodiumMg' => 9000, 'labelServingGrams' => 1], 'labelSodiumMg'],
    [['waterPer100g' => 140], 'waterPer100g'],
    [['waterPer100g' => 99, 'labelSodiumMg' => 5000, 'labelServingGrams' => 100], 'waterPer100g'],
    [['density' => 'heavy'], 'density'],
    [['shape' => 'round'], 'shape'],
    [['tissue' => 'wool'], 'tissue'],
    [['allergens' => ['dust']], 'allergens.0'],
]);

it('finds foods that were misspelt', function (): void {
    $ids = $this->getJson('/api/foods?q=caulifower')->assertOk()->json('ids');
    expect(Ingredient::query()->find($ids[0])->key)->toBe('cauliflower');
    $this->getJson('/api/foods?q=' . str_repeat('x', 500))
        ->assertOk()
        ->assertJsonCount(0, 'ids');
});

it('hands foods out as CSV without a cell that a spreadsheet would run', function (): void {
    $this->postJson('/api/foods', ($this->food)(['name' => '=HYPERLINK("http://x.example")']))->assertCreated();
    $csv = $this->get('/api/foods/csv')->assertOk()->getContent();
    expect($csv)->toContain('"\'=HYPERLINK')->not->toContain("\n\"=")->not->toContain("\n=");
    $rows = array_map(fn(string $line): array => str_getcsv($line, escape: ''), array_filter(explode("\n", $csv)));
    expect(count($rows))
        ->toBe(1 + Ingredient::query()->count())
        ->and(count(array_unique(array_map('count', $rows))))
        ->toBe(1);
});

it('calibrates a spoon, and the band becomes the scale\'s', function (): void {
    $flaky = Salt::query()->where('key', 'flaky-kosher')->sole();
    $this->putJson("/api/salts/{$flaky->id}/calibration", ['grams' => 10.1, 'spoon' => 'tbsp'])->assertOk();
    $product = $flaky->refresh()->product();
    expect($product->gramsPerTablespoon->typical)
        ->toEqualWithDelta(10.1, 1e-9)
        ->and($product->gramsPerTablespoon->high - $product->gramsPerTablespoon->low)
        ->toEqualWithDelta(1.0, 1e-9)
        ->and($product->calibrated)
        ->toBeTrue();
    $this->putJson("/api/salts/{$flaky->id}/calibration", ['grams' => 3.2, 'spoon' => 'tsp'])->assertOk();
    expect($flaky->refresh()->product()->gramsPerTablespoon->typical)->toEqualWithDelta(9.6, 1e-9);
    $this->deleteJson("/api/salts/{$flaky->id}/calibration")->assertOk();
    expect($flaky->refresh()->product()->gramsPerTablespoon->toArray())->toEqual([
        'low' => 8,
        'typical' => 9,
        'high' => 10.5,
    ]);
    $this->putJson("/api/salts/{$flaky->id}/calibration", ['grams' => 100, 'spoon' => 'tsp'])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['grams']);
    $this->putJson("/api/salts/{$flaky->id}/calibration", ['grams' => 'ten', 'spoon' => 'ladle'])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['grams', 'spoon']);
});

it('narrows a serving by weighing one spoon', function (): void {
    $salt = Salt::query()->where('key', 'flaky-kosher')->sole();
    $width = fn(): float => collect([
        $this->postJson(
            '/api/bench',
            $this->bench([
                'saltId' => $salt->id,
                'saltUnit' => 'spoons',
                'fixed' => 'salt',
                'saltAmount' => '1 1/2 tbsp',
            ]),
        )->json('serving.sodium'),
    ])
        ->map(fn(array $band): float => ($band['high'] - $band['low']) / $band['typical'])
        ->first();
    $before = $width();
    $this->putJson("/api/salts/{$salt->id}/calibration", ['grams' => 9.4, 'spoon' => 'tbsp'])->assertOk();
    expect($width())->toBeLessThan(0.6 * $before);
});

it('keeps salts of its own', function (): void {
    $kitchen = $this->postJson('/api/salts', ($this->salt)())->assertCreated()->json();
    $own = collect($kitchen['salts'])->firstWhere('name', 'Salt from the bay');
    expect($own['gramsPerTablespoon'])->toEqual(['low' => 11.9, 'typical' => 14, 'high' => 16.1]);
    $this->putJson("/api/salts/{$own['id']}", ['version' => 1, 'name' => 'Bay salt'])->assertOk();
    expect(Salt::query()->find($own['id'])->name)->toBe('Bay salt');
    $this->deleteJson("/api/salts/{$own['id']}")
        ->assertOk()
        ->assertJsonCount(10, 'salts');
    $pickling = Salt::query()->where('key', 'pickling')->sole();
    $this->putJson("/api/salts/{$pickling->id}", ($this->salt)(['version' => 1]))->assertNotFound();
    $this->postJson('/api/salts', ($this->salt)(['gramsPerTablespoon' => 90, 'sodiumPer100g' => 50000]))
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['gramsPerTablespoon', 'sodiumPer100g']);
});

it('keeps jars and says who holds them', function (): void {
    $kitchen = $this->postJson('/api/jars', ($this->jarFields)())->assertCreated()->json();
    $tall = collect($kitchen['jars'])->firstWhere('name', 'Tall jar');
    expect($tall)
        ->toMatchArray(['howMany' => 3, 'inUse' => 0, 'heldBy' => []])
        ->and($tall['picture']['bodyMm'])
        ->toEqual(105);
    $batch = $this->startJar([
        'jarId' => $tall['id'],
        'vegetableAmount' => '500 g',
        'waterAmount' => '',
        'name' => 'In the tall jar',
    ])
        ->assertCreated()
        ->json();
    $tall = collect($this->getJson('/api/kitchen')->json('jars'))->firstWhere('name', 'Tall jar');
    expect($tall['heldBy'])->toBe([['id' => $batch['id'], 'name' => 'In the tall jar']]);
    Batch::query()
        ->findOrFail($batch['id'])
        ->update(['emptied_at' => now()]);
    expect(collect($this->getJson('/api/kitchen')->json('jars'))->firstWhere('name', 'Tall jar')['inUse'])->toBe(0);
    $this->deleteJson("/api/jars/{$tall['id']}")->assertOk();
    expect($this->getJson("/api/batches/{$batch['id']}")->json('jarName'))->toBe('Tall jar');
});

it('names what is wrong with a jar', function (array $change, string $field): void {
    $this->postJson('/api/jars', ($this->jarFields)($change))
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
})->with([
    [['nominalMl' => 2], 'nominalMl'],
    [['mouthMm' => 200], 'bodyMm'],
    [['bodyMm' => 500], 'bodyMm'],
    [['cover' => 'hat'], 'cover'],
    [['howMany' => -1], 'howMany'],
]);

it('keeps weights', function (): void {
    $kitchen = $this->postJson('/api/hold-downs', ['name' => 'River stone', 'volumeMl' => 90, 'howMany' => 1])
        ->assertCreated()
        ->json();
    $stone = collect($kitchen['holdDowns'])->firstWhere('name', 'River stone');
    $this->putJson("/api/hold-downs/{$stone['id']}", [
        'version' => 1,
        'name' => 'Stone',
        'volumeMl' => 95,
        'howMany' => 2,
    ])->assertOk();
    $this->deleteJson("/api/hold-downs/{$stone['id']}")
        ->assertOk()
        ->assertJsonCount(4, 'holdDowns');
    $this->postJson('/api/hold-downs', ['name' => '', 'volumeMl' => -1, 'howMany' => 'many'])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['name', 'volumeMl', 'howMany']);
});

it('keeps a kitchen to itself', function (): void {
    $mine = $this->wholeKitchen();
    $this->asCook($this->cook('neighbour@example.org'));
    $this->putJson("/api/people/{$mine['people'][0]['id']}", ($this->person)())->assertNotFound();
    $this->putJson("/api/jars/{$mine['jars'][0]['id']}", ($this->jarFields)())->assertNotFound();
    $this->putJson("/api/foods/{$mine['ingredients'][0]['id']}", ($this->food)())->assertNotFound();
    $this->putJson("/api/salts/{$mine['salts'][0]['id']}/calibration", [
        'grams' => 9,
        'spoon' => 'tbsp',
    ])->assertNotFound();
    $this->deleteJson("/api/hold-downs/{$mine['holdDowns'][0]['id']}")->assertNotFound();
});
