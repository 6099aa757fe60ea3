<?php

declare(strict_types=1);

use Illuminate\Support\Str;

/*
 * What stands in no jar that is known is drawn in a plain pot: it holds all that came into it, stays as large while it is
 * eaten from, and nothing is concluded from how full it looks.
 */

beforeEach(function (): void {
    $this->asCook($this->cook());
});

/** What the pot holds to the rim, in ml, worked out from its measures: a cylinder. */
function potHolds(array $pot): float
{
    return (M_PI * ($pot['bodyMm'] / 20.0) ** 2 * $pot['bodyHeightMm']) / 10.0;
}

it('stands in a pot that holds all of it', function (string $food, string $water): void {
    $batch = $this->startJar(['vegetableAmount' => $food, 'waterAmount' => $water, 'jarId' => null])
        ->assertCreated()
        ->json();
    $pot = $batch['jar'];
    $grams = (float) $food + (float) $water;
    expect($batch['jarName'])
        ->toBeNull()
        ->and($pot['isGuessed'])
        ->toBeTrue()
        ->and($pot['mouthMm'])
        ->toBe($pot['bodyMm'])
        ->and(potHolds($pot))
        ->toBeGreaterThan($grams)
        ->toBeLessThan(2.0 * $grams)
        ->and($pot['overflowMl'])
        ->toEqual(0.0)
        ->and(max($pot['foodMm'], $pot['liquidMm']))
        ->toBeLessThan($pot['bodyHeightMm'])
        ->and($pot['liquidMm'])
        ->toBeGreaterThanOrEqual($pot['foodMm']);

    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $person,
        'amount' => (float) $food / 2.0 . ' g',
        'phase' => 'pieces',
        'way' => 'drained',
        'eatenOn' => now('UTC')->toDateString(),
        'requestKey' => (string) Str::ulid(),
    ])->assertSuccessful();
    $later = $this->getJson("/api/batches/{$batch['id']}")->json('jar');
    expect($later['bodyMm'])
        ->toEqualWithDelta($pot['bodyMm'], 1e-6)
        ->and($later['foodMm'])
        ->toBeLessThan($pot['foodMm']);
})->with([
    'a little' => ['120 g', '60 g'],
    'a jarful' => ['500 g', '500 g'],
    'a crockful' => ['9000 g', '7000 g'],
]);

it('asks nobody to press down what is in a pot', function (): void {
    // Hardly any water: in a jar the food would stand above it.
    $dry = ['vegetableAmount' => '500 g', 'waterAmount' => '60 g', 'strengthPercent' => '20'];
    $jars = collect($this->getJson('/api/kitchen')->json('jars'));
    $inJar = $this->startJar([...$dry, 'jarId' => $jars->firstWhere('howMany', 4)['id']])
        ->assertCreated()
        ->json();
    $inPot = $this->startJar([...$dry, 'jarId' => null])
        ->assertCreated()
        ->json();
    expect($inJar['jar']['isGuessed'])
        ->toBeFalse()
        ->and($inJar['attention']['code'])
        ->toBe('sticks_out')
        ->and($inPot['attention']['code'] ?? null)
        ->not->toBe('sticks_out');
});

it('draws what is planned as the empty jar that is meant for it', function (): void {
    $kitchen = $this->wholeKitchen();
    $formula = collect($this->getJson('/api/formulas')->json('formulas'))->firstWhere('name', 'Plain kraut');
    $jar = collect($kitchen['jars'])->firstWhere('howMany', 4);
    $this->postJson('/api/timeline/batches', [
        'formulaId' => $formula['id'],
        'lineId' => null,
        'jarId' => $jar['id'],
        'share' => 1,
        'startOn' => now('UTC')->toDateString(),
        'requestKey' => (string) Str::ulid(),
    ])->assertSuccessful();
    foreach ([0, 7, 14, 21, 28] as $days) {
        $date = now('UTC')->addDays($days)->toDateString();
        $planned = $this->getJson("/api/weeks/{$date}")
            ->assertOk()
            ->json('jars.0');
        if ($planned !== null) {
            expect($planned['jar'])->toMatchArray(['nominalMl' => $jar['nominalMl'], 'foodMm' => 0]);

            return;
        }
    }
    $this->fail('What is planned is in no week.');
});
