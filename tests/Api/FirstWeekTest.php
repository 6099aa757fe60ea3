<?php

declare(strict_types=1);

use App\Models\Person;
use App\Models\PlannedBatch;
use App\Models\RotationLine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/*
 * A kitchen in which nothing stands yet: what it is to begin with, and one press that makes it so.
 */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-30T07:00:00Z'));
});

it('says that nobody has a kitchen here yet, so that the first page is the set-up', function (): void {
    expect($this->getJson('/api/session')->json('isNew'))->toBeTrue();
    $this->cook();
    expect($this->getJson('/api/session')->json('isNew'))->toBeFalse();
});

it('begins with what is ready soonest, with something that lasts, and with jars that are there', function (): void {
    $this->asCook($this->cook());
    $way = $this->getJson('/api/first-week')->assertOk()->json('choices');
    $live = array_values(array_filter($way, fn(array $one): bool => $one['isLive']));
    // Milk in hours, vegetables in days, something for later, and a pickle that does not count.
    expect($way)->toHaveCount(4)->and($live)->toHaveCount(3);
    expect(count($live))
        ->toBeGreaterThanOrEqual(2)
        ->and(min(array_column($live, 'readyHours')))
        ->toBeLessThan(48.0)
        ->and(max(array_column($live, 'readyHours')))
        ->toBeGreaterThan(7 * 24.0)
        ->and(array_column($way, 'readyHours'))
        ->toBe(array_values(collect(array_column($way, 'readyHours'))->sort()->all()));
    $jars = array_column($this->getJson('/api/kitchen')->json('jars'), 'howMany', 'name');
    foreach (array_count_values(array_column($way, 'jarName')) as $jar => $count) {
        expect($count)->toBeLessThanOrEqual($jars[$jar]);
    }
});

it('makes it the rotation and plans it for today, once for one key', function (): void {
    $this->asCook($this->cook());
    $way = $this->getJson('/api/first-week')->json();
    $key = (string) Str::ulid();
    $this->postJson('/api/first-week', ['requestKey' => $key])->assertOk();
    $this->postJson('/api/first-week', ['requestKey' => $key]);
    $live = array_filter($way['choices'], fn(array $one): bool => $one['isLive']);
    expect(PlannedBatch::query()->pluck('formula_id')->all())
        ->toEqualCanonicalizing(array_column($way['choices'], 'formulaId'))
        ->and(RotationLine::query()->pluck('formula_id')->all())
        ->toEqualCanonicalizing(array_column($live, 'formulaId'))
        ->and(RotationLine::query()->pluck('times_a_week')->unique()->values()->all())
        ->toEqual([$way['timesAWeek']])
        ->and(count($live) * $way['timesAWeek'])
        ->toBeGreaterThanOrEqual(7);
    // It stands in the weeks ahead and among what is to be bought, and the jars are no longer free.
    expect(count($this->getJson('/api/timeline')->json('planned')))
        ->toBe(count($way['choices']))
        ->and(
            $this->getJson('/api/timeline/shopping')->json('lines') ?? $this->getJson('/api/timeline/shopping')->json(),
        )
        ->not->toBe([]);
});

it('begins with nothing that someone at the table must avoid', function (): void {
    $this->asCook($this->cook());
    $this->putJson('/api/people/' . Person::query()->firstOrFail()->id, [
        'version' => 1,
        'allergens' => ['added' => ['milk'], 'removed' => []],
        'dislikes' => ['added' => ['napa-cabbage', 'green-cabbage'], 'removed' => []],
    ])->assertOk();
    foreach ($this->getJson('/api/first-week')->json('choices') as $one) {
        $formula = $this->getJson("/api/formulas/{$one['formulaId']}")->json();
        expect(json_encode($formula['allergens'] ?? []))
            ->not->toContain('milk')
            ->and(json_encode($formula))
            ->not->toContain('"napa-cabbage"');
    }
});
