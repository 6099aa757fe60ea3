<?php

declare(strict_types=1);

use App\Language\Words;
use App\Models\Ingredient;
use App\Models\Salt;
use Illuminate\Support\Str;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Message\Message;

beforeEach(fn() => $this->asCook($this->cook()));

/** @return array<string, mixed> how a phrase is understood */
function understood(string $phrase, array $of = []): array
{
    return test()
        ->getJson('/api/amounts?' . http_build_query(['kind' => 'amount', ...$of, 'phrase' => $phrase]))
        ->assertOk()
        ->json();
}

/** @return array{of: string, id: string} */
function aFood(string $key): array
{
    return ['of' => 'food', 'id' => Ingredient::query()->where('key', $key)->sole()->id];
}

/** @return array{of: string, id: string} */
function aSalt(string $key): array
{
    return ['of' => 'salt', 'id' => Salt::query()->where('key', $key)->sole()->id];
}

it('reads what a cook says in each kind of field', function (
    string $phrase,
    Closure $of,
    string $kind,
    string $unit,
    float $typical,
    float $within,
): void {
    $reading = understood($phrase, $of())['reading'];
    expect($reading['kind'])
        ->toBe($kind)
        ->and($reading['unit'])
        ->toBe($unit)
        ->and($reading['typical'])
        ->toEqualWithDelta($typical, $within)
        ->and($reading['low'])
        ->toBeLessThanOrEqual($reading['typical'])
        ->and($reading['high'])
        ->toBeGreaterThanOrEqual($reading['typical']);
})->with([
    // A level US tablespoon is 14.79 ml, fine salt some 1.2 g/ml (common practice, no source).
    'a spoon of salt' => ['1 tbsp', fn() => aSalt('fine-sea'), 'volume', 'g', 18.0, 2.0],
    'a cup of oil' => ['1 1/4 cups', fn() => aFood('olive-oil'), 'volume', 'g', 269.0, 6.0],
    'half a head' => ['half a head', fn() => aFood('green-cabbage'), 'count', 'g', 450.0, 60.0],
    'a bare count' => ['1', fn() => aFood('egg'), 'count', 'g', 50.0, 3.0],
    'water' => ['1 quart', fn() => ['of' => 'water'], 'volume', 'g', 944.7, 1.0],
    'a share' => ['2-2.5 %', fn() => ['kind' => 'strength'], 'share', '%', 2.25, 1e-6],
    // 18 g in 946.35 ml of water at 20 °C.
    'a ratio' => [
        '18 g per quart',
        fn() => ['kind' => 'strength', ...aSalt('fine-sea')],
        'ratio',
        '%',
        (18.0 / (946.353 * 0.9982)) * 100.0,
        0.01,
    ],
    'a share of a weight' => ['3 % of 370 g', fn() => aSalt('fine-sea'), 'mass', 'g', 11.1, 1e-6],
    'inches' => ['3/4"', fn() => ['kind' => 'length'], 'length', 'mm', 19.05, 1e-6],
    'Fahrenheit' => ['75 F', fn() => ['kind' => 'temperature'], 'temperature', 'C', 23.889, 0.001],
    'bare degrees are the kitchen\'s' => ['68', fn() => ['kind' => 'temperature'], 'temperature', 'C', 20.0, 1e-6],
    'minutes' => ['90 min', fn() => ['kind' => 'duration'], 'duration', 'h', 1.5, 1e-6],
    'a night' => ['overnight', fn() => ['kind' => 'duration'], 'duration', 'h', 10.0, 2.0],
]);

it('offers both where a number can be two things', function (): void {
    $answer = understood('25', aFood('carrot'));
    expect($answer['reading'])
        ->toBeNull()
        ->and(array_column($answer['offers'], 'phrase'))
        ->toBe(['25 carrot', '25 g']);
    // What is offered can be taken as it is.
    foreach ($answer['offers'] as $offer) {
        expect(understood($offer['phrase'], aFood('carrot'))['reading']['typical'])->toEqualWithDelta(
            $offer['reading']['typical'],
            1e-6,
        );
    }
    $thousands = understood('1.500 g', aFood('carrot'));
    expect(array_column($thousands['offers'], 'phrase'))->toBe(['1500 g', '1.5 g']);
});

it('says in a sentence what it cannot read', function (string $phrase): void {
    $answer = understood($phrase, aFood('carrot'));
    expect($answer['reading'])
        ->toBeNull()
        ->and($answer['offers'])
        ->toBe([])
        ->and($answer['problem'])
        ->toMatch('/\S+.*[.]$/s');
})->with(['salty', '-3 g', '1e308 cups', '🥕🥕', '2 onions', 'ثلاثة جزر', 'a tin', '9999999 kg', "\u{202E}g 3"]);

it('knows a kind of the food that is asked for, and no other food', function (): void {
    expect(understood('2 pickling cucumbers', aFood('cucumber'))['reading']['typical'])
        ->toBeLessThan(understood('2', aFood('cucumber'))['reading']['typical'])
        ->and(understood('1 head garlic', aFood('onion'))['problem'])
        ->toContain('garlic');
});

it('takes a forkful of a jar as it was weighed: the eater\'s, the kitchen\'s, what is usual', function (): void {
    $jar = $this->startJar()->json('id');
    [$ada, $bo] = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
    $fork = fn(string $person): float => understood('a forkful', [
        'of' => 'portion',
        'id' => $jar,
        'personId' => $person,
    ])['reading']['typical'];
    $weigh = fn(?string $person, ?float $grams) => $this->putJson('/api/weighed-measures', [
        'what' => 'forkful',
        'family' => 'other',
        'personId' => $person,
        'grams' => $grams,
        'requestKey' => (string) Str::ulid(),
    ]);
    $usual = $fork($ada);
    $weigh(null, 31.0)->assertOk();
    $weigh($bo, 44.0)->assertOk();
    expect($fork($ada))->toEqualWithDelta(31.0, 1e-6)->and($fork($bo))->toEqualWithDelta(44.0, 1e-6);
    $weigh($bo, null)->assertOk();
    $weigh(null, null)->assertOk();
    expect($fork($ada))->toEqualWithDelta($usual, 1e-6)->and($fork($bo))->toEqualWithDelta($usual, 1e-6);
    $weigh(null, 900.0)->assertUnprocessable()->assertJsonValidationErrors('grams');
    $weigh((string) Str::ulid(), 20.0)->assertUnprocessable()->assertJsonValidationErrors('personId');
});

it('asks of nobody else\'s jar or food', function (): void {
    $jar = $this->startJar()->json('id');
    $theirs = aFood('carrot')['id'];
    $this->asCook($this->cook('other@example.org'));
    $this->getJson(
        '/api/amounts?' .
            http_build_query(['kind' => 'amount', 'of' => 'portion', 'id' => $jar, 'phrase' => 'a spoonful']),
    )->assertNotFound();
    expect(understood('2 cups', ['of' => 'food', 'id' => $theirs])['reading']['unit'])->toBe('ml');
});

it('measures as the kitchen does', function (): void {
    $pint = fn(): float => understood('1 pint', ['of' => 'water'])['reading']['typical'];
    expect($pint())->toEqualWithDelta(472.3, 1.0);
    $version = $this->getJson('/api/kitchen')->json('version');
    $this->putJson('/api/household', [
        'version' => $version,
        'spoonSystem' => 'imperial',
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    // An imperial pint is 568.26 ml (Weights and Measures Act 1985, schedule 1; from memory).
    expect($pint())->toEqualWithDelta(567.2, 1.0);
});

it('refuses what is no question', function (array $asked, string $field): void {
    $this->getJson('/api/amounts?' . http_build_query($asked))
        ->assertUnprocessable()
        ->assertJsonValidationErrors($field);
})->with([
    [['kind' => 'amount'], 'phrase'],
    [['phrase' => '1', 'kind' => 'mood'], 'kind'],
    [['phrase' => str_repeat('1 g ', 60), 'kind' => 'amount'], 'phrase'],
    [['phrase' => '1', 'kind' => 'amount', 'of' => 'air'], 'of'],
]);

it('says lengths and temperatures as quantities, which follow the reader\'s kitchen', function (): void {
    $said = fn(string $phrase, string $kind): string => understood($phrase, ['kind' => $kind])['reading']['said'];
    expect($said('2 cm', 'length'))
        ->toBe('20 mm')
        ->and($said('2 fingers', 'length'))
        ->toBe('2 fingers: about 38 mm (30 mm to 46 mm)')
        ->and($said('75 F', 'temperature'))
        ->toBe('23.9 °C');
    $us = Words::in('en-US')->measuredBy(KitchenUnits::of(Habit::Us));
    expect($us->say(Message::of('unit.length', millimetres: 20.0)))
        ->toBe('0.8 in')
        ->and($us->say(Message::of('unit.temperature', celsius: 20.0)))
        ->toBe('68 °F')
        ->and($us->say(Message::of('errors.jar_temperature')))
        ->toBe('Enter from 14 to 140 °F.')
        ->and(Words::in('en-US')->say(Message::of('errors.jar_temperature')))
        ->toBe('Enter from -10 to 60 °C.');
});

it('says what was weighed in spoons and cups where the kitchen measures', function (): void {
    $measure = fn(string $by) => $this->putJson('/api/household', [
        'version' => $this->getJson('/api/kitchen')->json('version'),
        'measureBy' => $by,
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    $measure('spoons');
    expect(understood('18 g', aSalt('fine-sea'))['reading'])
        ->toMatchArray(['isPlain' => false, 'typical' => 18])
        ->and(understood('18 g', aSalt('fine-sea'))['reading']['said'])
        ->toContain('18 g, about 1 tbsp')
        ->and(understood('473 g', aFood('white-vinegar'))['reading']['said'])
        ->toBe('473 g, about 2 cups');
    $measure('grams');
    expect(understood('18 g', aSalt('fine-sea'))['reading']['isPlain'])->toBeTrue();
});
