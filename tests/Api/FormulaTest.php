<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\Formula;
use App\Models\FormulaVersion;
use App\Models\Person;
use App\Pantry\FormulaLibrary;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
    $this->formula = fn(string $key): Formula => Formula::query()->where('key', $key)->sole();
    $this->page = fn(string $key, string $query = ''): array => $this->getJson(
        '/api/formulas/' . ($this->formula)($key)->id . $query,
    )
        ->assertOk()
        ->json();
    $this->document = fn(array $change = []): array => array_replace_recursive(
        array_diff_key(($this->formula)('carrot-sticks')->newest->document, ['key' => '']),
        ['name' => 'My carrots', ...$change],
    );
    $this->write = fn(array $document, ?string $key = null): TestResponse => $this->postJson('/api/formulas', [
        'document' => $document,
        'requestKey' => $key ?? (string) Str::ulid(),
    ]);
});

it('lists the library with the arithmetic done', function (): void {
    $formulas = $this->getJson('/api/formulas')->assertOk()->json('formulas');
    expect(count($formulas))->toBe(count(FormulaLibrary::documents()));
    $kraut = collect($formulas)->firstWhere('name', 'Plain kraut');
    expect($kraut)->toMatchArray([
        'group' => 'kraut',
        'isLive' => true,
        'isLibrary' => true,
        'isArchived' => false,
        'servingGrams' => 25,
        'servingMg' => 210,
    ]);
    expect(collect($formulas)->firstWhere('name', 'Everyday kimchi')['allergens'])->toBe(['fish']);
});

it('shows a formula with every member\'s share of their target', function (): void {
    Person::query()
        ->where('name', 'Bo')
        ->sole()
        ->update(['allergens' => ['fish'], 'dislikes' => ['garlic']]);
    $page = ($this->page)('kimchi-dry-salted');
    $bo = collect($page['members'])->firstWhere('name', 'Bo');
    expect($bo['allergens'])
        ->toBe(['fish'])
        ->and($bo['dislikes'])
        ->toBe(['garlic'])
        ->and($bo['grams'])
        ->toEqual(25)
        ->and($bo['percentOfTarget'])
        ->toEqualWithDelta(((($page['per100gMg'] / 100) * 25) / 1500) * 100, 1.0)
        ->and($page['allergens'])
        ->toBe(['fish'])
        ->and($page['notFor'])
        ->toBe(['vegan', 'vegetarian'])
        ->and(array_column($page['lines'], 'part'))
        ->toContain('vegetables', 'salt', 'paste')
        ->and($page['strength']['percent'])
        ->toEqualWithDelta(3.0, 1e-9)
        ->and($page['cautions'])
        ->not->toBe([]);
    // A condiment is taken by the spoon.
    expect(collect(($this->page)('ketchup-brine')['members'])->firstWhere('name', 'Bo')['grams'])->toEqual(10);
});

it('scales by vegetable, servings, jar and sodium', function (): void {
    $plain = ($this->page)('plain-kraut');
    $double = ($this->page)('plain-kraut', '?by=vegetable&amount=' . urlencode('1640 g'));
    expect($double['factor'])
        ->toEqualWithDelta(2.0, 1e-9)
        ->and($double['lines'][0]['grams'])
        ->toEqualWithDelta(1640, 1e-6)
        ->and($double['lines'][1]['grams'])
        ->toEqualWithDelta(2 * $plain['lines'][1]['grams'], 1e-6)
        ->and($double['serving']['sodium']['typical'])
        ->toEqualWithDelta($plain['serving']['sodium']['typical'], 0.01)
        ->and($double['strength']['percent'])
        ->toEqualWithDelta(2.25, 1e-9);
    expect(($this->page)('plain-kraut', '?by=servings&servings=40')['servings'])->toBe(40);
    $pint = ($this->page)('carrot-sticks', '?by=jar&jarId=' . $this->jar('Pint jar'));
    $quart = ($this->page)('carrot-sticks', '?by=jar&jarId=' . $this->jar('Quart jar'));
    expect($quart['factor'] / $pint['factor'])
        ->toBeGreaterThan(1.8)
        ->toBeLessThan(2.6)
        ->and($quart['factor'])
        ->toBeGreaterThan(0.7)
        ->toBeLessThan(1.3);
    $light = ($this->page)('plain-kraut', '?by=sodium&sodiumMg=140');
    expect($light['serving']['sodium']['typical'])
        ->toEqualWithDelta(140, 0.01)
        ->and($light['factor'])
        ->toEqual(1)
        ->and($light['strength']['percent'])
        ->toEqualWithDelta(2.25, 1e-9);
});

it('says the amounts in the spoons of the kitchen', function (): void {
    $lines = collect(($this->page)('carrot-sticks')['lines']);
    expect($lines->firstWhere('name', 'carrot')['measure'])
        ->toBe('1 lb 1 oz')
        ->and($lines->firstWhere('name', 'water')['measure'])
        ->toBe('1 1/2 cups')
        ->and($lines->firstWhere('part', 'salt')['measure'])
        ->toContain('tsp');
});

it('refuses a scale that cannot be', function (string $query, string $field): void {
    $this->getJson('/api/formulas/' . ($this->formula)('plain-kraut')->id . $query)
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
})->with([
    ['?by=magic', 'by'],
    ['?by=jar', 'jarId'],
    ['?by=jar&jarId=none', 'jarId'],
    ['?by=vegetable&amount=abc', 'amount'],
    ['?by=vegetable&amount=0', 'amount'],
    ['?by=vegetable&amount=900000g', 'by'],
    ['?by=servings&servings=0', 'servings'],
    ['?by=sodium&sodiumMg=-4', 'sodiumMg'],
    ['?version=x', 'version'],
]);

it('writes a formula, then versions of it, and old ones stay as they were', function (): void {
    $new = ($this->write)(($this->document)())->assertCreated()->json();
    expect($new)->toMatchArray(['name' => 'My carrots', 'version' => 1, 'newest' => 1, 'isLibrary' => false]);
    $changed = $this->putJson("/api/formulas/{$new['id']}", [
        'document' => ($this->document)(['steps' => [0 => ['salt' => ['share' => 0.03]]]]),
        'basedOn' => 1,
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertOk()
        ->json();
    expect($changed['version'])
        ->toBe(2)
        ->and($changed['strength']['percent'])
        ->toEqualWithDelta(3.0, 1e-9)
        ->and($this->getJson("/api/formulas/{$new['id']}?version=1")->json('strength.percent'))
        ->toEqualWithDelta(2.5, 1e-9)
        ->and(array_column($changed['versions'], 'number'))
        ->toBe([1, 2]);
    $this->getJson("/api/formulas/{$new['id']}?version=9")->assertNotFound();
});

it('does not let one window write over another', function (): void {
    $new = ($this->write)(($this->document)())->json();
    $put = fn(string $name): TestResponse => $this->putJson("/api/formulas/{$new['id']}", [
        'document' => ($this->document)(['name' => $name]),
        'basedOn' => 1,
        'requestKey' => (string) Str::ulid(),
    ]);
    $put('First window')->assertOk();
    $put('Second window')
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['basedOn']);
    expect(Formula::query()->find($new['id'])->name)->toBe('First window');
});

it('writes once for one press of the button', function (): void {
    $key = (string) Str::ulid();
    $first = ($this->write)(($this->document)(), $key)->json('id');
    expect(($this->write)(($this->document)(), $key)->json('id'))
        ->toBe($first)
        ->and(FormulaVersion::query()->where('formula_id', $first)->count())
        ->toBe(1);
});

it('never changes a version', function (): void {
    FormulaVersion::query()
        ->firstOrFail()
        ->update(['number' => 7]);
})->throws(LogicException::class, 'write another');

it('computes while a formula is being written, and keeps nothing', function (): void {
    $count = Formula::query()->count();
    $answer = $this->postJson('/api/formulas/compute', [
        'document' => ($this->document)(['steps' => [0 => ['salt' => ['share' => 0.012]]]]),
    ])
        ->assertOk()
        ->json();
    expect($answer['advice'][0]['code'])
        ->toBe('below_floor')
        ->and($answer['advice'][0]['text'])
        ->not->toContain('less salt')
        ->and(Formula::query()->count())
        ->toBe($count);
});

it('names the field of a formula that cannot be', function (array $change, string $field): void {
    $count = Formula::query()->count();
    ($this->write)(($this->document)($change))
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
    $this->postJson('/api/formulas/compute', ['document' => ($this->document)($change)])
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
    expect(Formula::query()->count())->toBe($count);
})->with([
    [['name' => '   '], 'document.name'],
    [['steps' => [0 => ['water' => -5]]], 'document.steps[0].water'],
    [['steps' => [0 => ['water' => 'a cup']]], 'document.steps[0].water'],
    [
        ['steps' => [0 => ['vegetables' => [0 => ['ingredient' => 'carott']]]]],
        'document.steps[0].vegetables[0].ingredient',
    ],
    [['serving' => ['phase' => 'sauce']], 'document.serving.phase'],
    [['window' => ['readyDays' => 1]], 'document.window.readyDays'],
    [['surprise' => 1], 'document.surprise'],
]);

it('puts a formula into the archive and takes it out', function (): void {
    $id = ($this->formula)('beet-kvass')->id;
    $this->putJson("/api/formulas/{$id}/archive", ['archived' => true])
        ->assertOk()
        ->assertJson(['isArchived' => true]);
    expect(
        collect($this->getJson('/api/formulas')->json('formulas'))->firstWhere('name', 'Beet kvass')['isArchived'],
    )->toBeTrue();
    $this->putJson("/api/formulas/{$id}/archive", ['archived' => false])->assertJson(['isArchived' => false]);
});

it('starts a jar from a formula at its scale, and the jar keeps its version', function (): void {
    $new = ($this->write)(($this->document)())->json();
    $jar = [
        'name' => 'Carrots of the week',
        'place' => 'counter',
        'by' => 'jar',
        'jarId' => $this->jar('Pint jar'),
        'intoJarId' => $this->jar('Pint jar'),
        'startedOn' => now()->subDays(20)->toDateString(),
        'requestKey' => (string) Str::ulid(),
    ];
    $batch = $this->postJson("/api/formulas/{$new['id']}/batches", $jar)
        ->assertCreated()
        ->json();
    $page = $this->getJson("/api/formulas/{$new['id']}?by=jar&jarId=" . $this->jar('Pint jar'))->json();
    expect($batch['jarName'])
        ->toBe('Pint jar')
        ->and($batch['method'])
        ->toBe('poured_brine')
        ->and($batch['gramsLeft'])
        ->toEqualWithDelta($page['makesGrams'], 0.5)
        ->and($batch['sodiumPer100g'])
        ->toEqualWithDelta($page['per100gMg'], 0.5)
        ->and($page['batches'])
        ->toBe([['id' => $batch['id'], 'name' => 'Carrots of the week', 'version' => 1]]);
    $this->putJson("/api/formulas/{$new['id']}", [
        'document' => ($this->document)(['steps' => [0 => ['salt' => ['share' => 0.05]]]]),
        'basedOn' => 1,
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    expect($this->getJson("/api/batches/{$batch['id']}")->json('sodiumPer100g'))
        ->toEqualWithDelta($batch['sodiumPer100g'], 1e-6)
        ->and($this->getJson("/api/formulas/{$new['id']}")->json('batches.0.version'))
        ->toBe(1);
    expect($this->postJson("/api/formulas/{$new['id']}/batches", $jar)->json('id'))
        ->toBe($batch['id'])
        ->and(Batch::query()->count())
        ->toBe(1);
});

it('starts every formula of the library', function (): void {
    foreach (Formula::query()->get() as $formula) {
        $this->postJson("/api/formulas/{$formula->id}/batches", [
            'name' => $formula->name,
            'place' => 'fridge',
            'startedOn' => now()->subDays(5)->toDateString(),
            'requestKey' => (string) Str::ulid(),
        ])->assertCreated();
    }
    $this->getJson('/api/batches')->assertOk()->assertJsonCount(count(FormulaLibrary::documents()), 'batches');
    $this->getJson('/api/days/today')->assertOk();
});

it('goes out and comes back as a bundle and as schema.org recipes', function (string $as): void {
    $out = $this->getJson("/api/formulas/export?as={$as}")->assertOk();
    $candidates = $this->postJson('/api/formulas/preview', ['text' => $out->getContent()])
        ->assertOk()
        ->json('candidates');
    $library = collect(FormulaLibrary::documents())->keyBy('name');
    expect(count($candidates))->toBe($library->count());
    foreach ($candidates as $candidate) {
        expect($candidate['problems'])->toBe([])->and($candidate['document'])->toEqual($library[$candidate['name']]);
    }
    $ids = $this->postJson('/api/formulas/import', [
        'documents' => array_column($candidates, 'document'),
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->json('ids');
    expect(count($ids))
        ->toBe($library->count())
        ->and(Formula::query()->count())
        ->toBe(2 * $library->count());
})->with(['json', 'jsonld']);

it('hands out only what was asked for', function (): void {
    $id = ($this->formula)('beet-kvass')->id;
    $this->getJson("/api/formulas/export?as=json&ids[]={$id}")
        ->assertOk()
        ->assertJsonCount(1, 'formulas');
    $this->getJson('/api/formulas/export?as=xml')->assertUnprocessable();
});

it('brings in all or none', function (): void {
    $count = Formula::query()->count();
    $this->postJson('/api/formulas/import', [
        'documents' => [($this->document)(), ($this->document)(['steps' => [0 => ['water' => -1]]])],
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['documents[1].steps[0].water']);
    expect(Formula::query()->count())->toBe($count);
});

it('looks at a pasted recipe with the kitchen\'s own foods', function (): void {
    $this->postJson('/api/foods', [
        'name' => 'Grandfather\'s pickling herbs',
        'use' => 'seasoning',
        'sodiumPer100g' => 20,
        'waterPer100g' => 10,
        'density' => 0.3,
        'shape' => 'leaves',
        'tissue' => 'root',
        'hollow' => false,
        'live' => false,
        'allergens' => [],
        'notFor' => [],
    ])->assertCreated();
    $candidate = $this->postJson('/api/formulas/preview', [
        'text' =>
            "Herby carrots:\n2 lb carrots\n1 quart water\n2 tbsp pickling salt\n" .
            "10 g grandfathers pickling herbs\n1 tbsp kosher salt",
    ])
        ->assertOk()
        ->json('candidates.0');
    expect($candidate['name'])
        ->toBe('Herby carrots')
        ->and(array_column($candidate['problems'], 'text')[0])
        ->toContain('dense kosher salt or flaky kosher salt')
        ->and(count($candidate['document']['steps'][0]['vegetables']))
        ->toBe(2)
        ->and(Formula::query()->where('name', 'Herby carrots')->count())
        ->toBe(0);
});

it('refuses a hostile file in a sentence', function (string $text, string $words): void {
    $answer = $this->postJson('/api/formulas/preview', ['text' => $text])->assertUnprocessable();
    expect($answer->json('errors.text.0'))->toContain($words);
})->with([
    'too large' => [fn() => str_repeat('a', 4_100_000), 'too large'],
    'too deep' => [str_repeat('[', 200), 'levels deep'],
    'broken' => ['{"tempesal": ', 'not valid JSON'],
    'something else' => ['{"hello": "world"}', 'no formula'],
    'empty' => [' ', 'Paste a recipe'],
]);

it('keeps what a hostile file says as plain text', function (): void {
    $document = ($this->document)([
        'name' => '<script>alert(1)</script>',
        'work' => ['{{constructor}}', '=1+1'],
    ]);
    $id = ($this->write)($document)->assertCreated()->json('id');
    $answer = $this->getJson("/api/formulas/{$id}");
    expect($answer->json('name'))
        ->toBe('<script>alert(1)</script>')
        ->and($answer->headers->get('Content-Type'))
        ->toContain('application/json');
});

it('keeps formulas to their kitchen', function (): void {
    $mine = ($this->write)(($this->document)())->json('id');
    $this->asCook($this->cook('neighbour@example.org'));
    $this->getJson("/api/formulas/{$mine}")
        ->assertNotFound()
        ->assertJson(['message' => 'There is no such formula in your kitchen.']);
    $this->putJson("/api/formulas/{$mine}/archive", ['archived' => true])->assertNotFound();
    $this->putJson("/api/formulas/{$mine}", [
        'document' => ($this->document)(),
        'basedOn' => 1,
        'requestKey' => (string) Str::ulid(),
    ])->assertNotFound();
    expect(
        collect($this->getJson('/api/formulas')->json('formulas'))
            ->pluck('name')
            ->contains('My carrots'),
    )->toBeFalse();
});
