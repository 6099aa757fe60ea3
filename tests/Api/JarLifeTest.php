<?php

declare(strict_types=1);

use App\Models\Batch;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
});

/**
 * As much as goes into a quart jar.
 *
 * @return array<string, string>
 */
function inAQuart(string $jarId): array
{
    return ['jarId' => $jarId, 'vegetableAmount' => '400 g', 'waterAmount' => ''];
}

/** Sodium of one side of the flow, mg. */
function flowing(array $batch, string $side): float
{
    return array_sum(array_column($batch['flow'][$side], 'sodiumMg'));
}

it('shows the life of a jar: what was done, what comes, and where its salt is', function (): void {
    $batch = $this->startJar(inAQuart($this->jar('Quart jar')))->json();
    expect($batch['coming'])
        ->toHaveCount(5)
        ->and($batch['coming'][0])
        ->toMatchArray([
            'code' => 'burp',
            'on' => now()->addDay()->toDateString(),
            // A week at 21 °C, on a counter of 20 °C (Q10 2.25).
            'until' => now()->addSeconds((int) (7 * 86_400 * 2.25 ** 0.1))->toDateString(),
            'every' => 1,
        ])
        ->and(array_column($batch['coming'], 'code'))
        ->toBe(['burp', 'taste', 'ph', 'fridge', 'long'])
        ->and($batch['window']['youngOn'])
        ->toBe($batch['coming'][1]['on'])
        ->and(flowing($batch, 'from'))
        ->toEqualWithDelta(flowing($batch, 'to'), 0.01)
        ->and(array_column($batch['flow']['from'], 'name'))
        ->toBe(['salt', 'produce'])
        ->and($batch['attention'])
        ->toBeNull();

    $this->travel(2)->days();
    $this->getJson("/api/batches/{$batch['id']}")->assertJsonPath('attention.code', 'burp');
});

it('says for whom a jar is not', function (): void {
    $kitchen = $this->wholeKitchen();
    $food = fn(string $key): string => collect($kitchen['ingredients'])->firstWhere('key', $key)['id'];
    App\Models\Person::query()
        ->where('name', 'Bo')
        ->sole()
        ->update(['allergens' => ['fish', 'milk']]);
    $kimchi = $this->startJar([
        'method' => 'kimchi_dry_salted',
        'vegetableId' => $food('napa-cabbage'),
        'strengthBasis' => 'of_vegetable',
        'strengthPercent' => '3',
        'waterAmount' => '',
        'paste' => [['foodId' => $food('fish-sauce'), 'amount' => '1 tbsp']],
        'isPacked' => true,
    ])
        ->assertCreated()
        ->json();
    expect(collect($kimchi['portions'])->pluck('clashes', 'name')->all())->toBe([
        'Ada' => [],
        'Bo' => ['fish'],
    ]);
});

it('ripens sooner in a warm room', function (): void {
    $readyOn = fn(int $celsius): string => $this->startJar(['roomCelsius' => $celsius])->json('window.readyOn');
    expect($readyOn(26))->toBeLessThan($readyOn(20))->and($readyOn(14))->toBeGreaterThan($readyOn(20));
});

it('takes the days of its formula, and those of its method where there is none', function (): void {
    $formula = collect($this->getJson('/api/formulas')->json('formulas'))->firstWhere('name', 'Everyday kimchi');
    $kimchi = $this->postJson("/api/formulas/{$formula['id']}/batches", [
        'name' => 'Kimchi',
        'place' => 'counter',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    expect($kimchi->json('window.readyOn'))
        ->toBeGreaterThan(now()->toDateString())
        ->and($kimchi->json('window.longOn'))
        ->toBeGreaterThan($kimchi->json('window.readyOn'));
    $quick = $this->startJar([
        'method' => 'quick_salt_pickle',
        'strengthPercent' => '20',
        'isPacked' => true,
    ])->assertCreated();
    expect($quick->json('window'))->toBeNull();
});

it('draws the course of its sodium from the first day to days ahead', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(5)->toDateString()])->json();
    $course = $this->getJson("/api/batches/{$batch['id']}/course")
        ->assertOk()
        ->json();
    $moments = collect($course['moments']);
    $now = $moments->last(fn(array $one): bool => CarbonImmutable::parse($one['at'])->lessThanOrEqualTo(now()));
    expect(CarbonImmutable::parse($moments->last()['at'])->diffInDays(now(), true))
        ->toBeGreaterThan(6.9)
        ->and($moments->pluck('at')->all())
        ->toBe($moments->pluck('at')->sort()->values()->all())
        ->and($now['piecesPer100g']['typical'])
        ->toEqualWithDelta($batch['sodiumPer100g'], 0.01)
        ->and($now['brinePer100g']['typical'])
        ->toEqualWithDelta(collect($batch['phases'])->firstWhere('phase', 'brine')['per100g']['typical'], 0.01)
        ->and($moments->last()['saucePer100g'])
        ->toBeNull();
});

it('shows what taking an entry back would do, and leaves it in', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])->json();
    $written = $this->postJson("/api/batches/{$batch['id']}/entries", [
        'entry' => ['kind' => 'top_up', 'grams' => 200],
        'requestKey' => (string) Str::ulid(),
    ])->json();
    $topUp = collect($written['entries'])->firstWhere('kind', 'top_up')['id'];
    $effect = $this->postJson("/api/batches/{$batch['id']}/entries/{$topUp}/reversal/preview")
        ->assertOk()
        ->json();
    $brine = fn(array $numbers): float => collect($numbers['phases'])->firstWhere('phase', 'brine')['grams'];
    expect($brine($effect['before']) - $brine($effect['after']))
        ->toEqualWithDelta(200.0, 1e-6)
        ->and(Batch::query()->findOrFail($batch['id'])->entries)
        ->toHaveCount(count($written['entries']));
    $carrot = collect($written['entries'])->firstWhere('text', '600 g carrot')['id'];
    $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $batch['portions'][0]['personId'],
        'amount' => '50 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->postJson("/api/batches/{$batch['id']}/entries/{$carrot}/reversal/preview")
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['entry']);
});

it('serves drained, rinsed or with juice, for the sodium that each shows', function (string $way, float $eaten): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(40)->toDateString()])->json();
    $portion = $batch['portions'][0];
    $shown = collect($portion['ways'])->firstWhere('way', $way)['sodium'];
    $serving = $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $portion['personId'],
        'amount' => "{$portion['grams']} g",
        'way' => $way,
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    expect($serving->json('sodium.typical'))
        ->toEqualWithDelta($shown['typical'], 1e-6)
        ->and($shown['typical'] / $portion['sodium']['typical'])
        ->toBeGreaterThan($eaten - 0.2)
        ->toBeLessThan($eaten + 0.2);
    $after = $this->getJson("/api/batches/{$batch['id']}")->json();
    expect(collect($after['flow']['to'])->firstWhere('name', 'eaten')['sodiumMg'])->toEqualWithDelta(
        $shown['typical'],
        1e-6,
    );
})->with([['drained', 1.0], ['rinsed', 0.8], ['with_juice', 1.37]]);

it('empties a jar once, frees it, and puts it back as it was', function (): void {
    $jar = $this->jar('Quart jar');
    $before = $this->startJar([...inAQuart($jar), 'startedOn' => now()->subDays(3)->toDateString()])->json();
    $free = fn(): int => collect($this->getJson('/api/batches')->json('emptyJars'))->firstWhere('jarId', $jar)['free'];
    expect($free())->toBe(3);
    foreach ([1, 2] as $press) {
        $emptied = $this->putJson("/api/batches/{$before['id']}/emptied", ['isEmptied' => true])->assertOk();
    }
    expect($emptied->json('phases'))
        ->toBe([])
        ->and($emptied->json('emptiedOn'))
        ->toBe(now()->toDateString())
        ->and($emptied->json('coming'))
        ->toBe([])
        ->and(array_column($emptied->json('flow.to'), 'name'))
        ->toBe(['not_used'])
        ->and(flowing($emptied->json(), 'to'))
        ->toEqualWithDelta(flowing($before, 'to'), 0.01)
        ->and(count($emptied->json('entries')) - count($before['entries']))
        ->toBe(2)
        ->and($free())
        ->toBe(4)
        ->and($this->getJson('/api/batches')->json('batches'))
        ->toBe([])
        ->and($this->getJson('/api/days/today')->json('jars'))
        ->toBe([]);
    $this->getJson("/api/batches/{$before['id']}/course")->assertOk();
    $this->postJson('/api/servings', [
        'batchId' => $before['id'],
        'personId' => $before['portions'][0]['personId'],
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertUnprocessable();

    $back = $this->putJson("/api/batches/{$before['id']}/emptied", ['isEmptied' => false])->assertOk();
    expect($back->json('phases'))->toEqual($before['phases'])->and($free())->toBe(3);
    $this->putJson("/api/batches/{$before['id']}/emptied", [])->assertJsonValidationErrors(['isEmptied']);
});

it('keeps the strength that every pinch of salt made in the jar\'s life', function (): void {
    $batch = $this->startJar([
        'method' => 'dry_salting',
        'vegetableAmount' => '800 g',
        'waterAmount' => '',
        'fixed' => 'taste',
        'tastings' => ['8 g', '', '4 g', '6 g'],
        'strengthBasis' => 'of_vegetable',
    ])
        ->assertCreated()
        ->json();
    expect(array_values(array_filter(array_column($batch['entries'], 'running'))))->toBe([
        '1 % of the vegetable so far',
        '1.5 % of the vegetable so far',
        '2.25 % of the vegetable so far',
    ]);
});

it('puts the jars that ask for something first, with the strength of their brine as it is', function (): void {
    $this->startJar(['name' => 'Long gone', 'startedOn' => now()->subDays(90)->toDateString()]);
    $this->travel(1)->seconds();
    $well = $this->startJar(['name' => 'Well']);
    $shelf = $this->getJson('/api/batches')->json('batches');
    expect(array_column($shelf, 'name'))
        ->toBe(['Long gone', 'Well'])
        ->and($shelf[0]['attention']['code'])
        ->toBe('long')
        // 15 g of salt in 615 g of brine, some seconds old.
        ->and($shelf[1]['liquidPercent'])
        ->toBeGreaterThan(2.3)
        ->toBeLessThan(2.45)
        ->and($well->json('liquidGrams'))
        ->toBeGreaterThan(600.0);
});

it('says on a label what a cook must know at arm\'s length', function (): void {
    $quart = inAQuart($this->jar('Quart jar'));
    $batch = $this->startJar([...$quart, 'name' => 'Carrots & "dill"'])->json();
    $bench = $this->postJson('/api/bench', $this->bench($quart))->json();
    $label = $this->getJson("/api/labels?batches={$batch['id']}")
        ->assertOk()
        ->assertJsonCount(1, 'labels')
        ->json('labels.0');
    expect($label)
        ->toMatchArray([
            'name' => 'Carrots & "dill"',
            'startedOn' => $batch['startedOn'],
            'youngOn' => $batch['window']['youngOn'],
            'readyOn' => $batch['window']['readyOn'],
            'longOn' => $batch['window']['longOn'],
            'servingGrams' => 40,
            'allergens' => [],
            'isLive' => true,
            'path' => "/shelf/{$batch['id']}",
        ])
        ->and($label['strengthPercent'])
        ->toEqualWithDelta(collect($bench['strengths'])->firstWhere('basis', 'of_water')['percent'], 1e-9)
        ->and($label['sodium']['shown'])
        ->toBe($bench['serving']['sodium']['shown'])
        ->and(array_column($label['rows'], 0))
        ->toBe(['started', 'keep until', 'sodium', 'potassium', 'salt', 'taste from', 'ready', 'printed when'])
        ->and($label['rows'][7][1])
        ->toBe('fermenting')
        ->and($label['rows'][2][1])
        ->toStartWith("{$bench['serving']['sodium']['shown']} mg in 40 g on ")
        ->and($label['foot'])
        ->toBe('None of the listed allergens; live');
});

it('prints labels, eight on a sheet or each on a page of its own', function (): void {
    foreach (range(1, 3) as $i) {
        $this->startJar([
            'name' => "Jar {$i} with a rather long name, so that it has to shrink to fit its line",
        ]);
    }
    $pages = fn(string $query): int => preg_match_all(
        '#/Type\s*/Page\b#',
        (string) $this->get("/api/labels/pdf?{$query}")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent(),
    );
    expect($pages('layout=sheet'))
        ->toBe(1)
        ->and($pages('layout=sheet&copies=3'))
        ->toBe(2)
        ->and($pages('layout=letter&copies=2'))
        ->toBe(1)
        ->and($pages('layout=letter&copies=3'))
        ->toBe(2)
        ->and($pages('layout=single&copies=2'))
        ->toBe(6);
    $this->getJson('/api/labels/pdf?layout=wall')->assertJsonValidationErrors(['layout']);
    $this->getJson('/api/labels/pdf?copies=90')->assertJsonValidationErrors(['copies']);
    $this->getJson('/api/labels?batches=' . implode(',', range(1, 90)))->assertJsonValidationErrors(['batches']);
    $this->getJson('/api/labels/pdf?batches=unknown')->assertJsonValidationErrors(['batches']);
});
