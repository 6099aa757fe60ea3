<?php

declare(strict_types=1);

use App\Models\Person;
use App\Models\PlannedServing;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/*
 * The eater for whom it is made: a hard limit, other food that takes nearly all of it, and something live wanted every day;
 * and a jar that two weeks plan from.
 */

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-30T07:00:00Z'));
    $this->asCook($this->cook());
    $this->fill = fn(string $from) => $this->postJson("/api/weeks/{$from}/fill", [
        'rest' => false,
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertOk()
        ->json();
    foreach (Person::query()->orderBy('position')->get()->skip(1) as $other) {
        $this->deleteJson("/api/people/{$other->id}");
    }
    $this->person = Person::query()->firstOrFail();
    $this->limit = fn(int $target, int $rest, bool $isHard) => $this->putJson("/api/people/{$this->person->id}", [
        'version' => $this->person->fresh()->version,
        'targetMg' => $target,
        'preset' => null,
        'limitIsHard' => $isHard,
        'liveGoal' => 1,
        'usualServingGrams' => 40,
        'holds' => 'always',
        'restOfDiet' => array_fill_keys(range(1, 7), [
            'morning' => (int) ($rest / 4),
            'noon' => (int) ($rest / 4),
            'evening' => $rest - 2 * (int) ($rest / 4),
        ]),
    ])->assertOk();
});

it('plans something live on every day for someone who has sixty milligrams left', function (): void {
    ($this->limit)(1160, 1100, true);
    $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14']);
    $week = ($this->fill)('2026-11-30');
    expect(array_column($week['servings'], 'date'))->toHaveCount(7);
    foreach ($week['servings'] as $serving) {
        expect($serving['grams'])
            ->toBeLessThan(40)
            ->toBeGreaterThanOrEqual(10)
            ->and($serving['sodium']['typical'])
            ->toBeLessThanOrEqual(60.001);
    }
    // What was planned smaller is planned anew, not kept as if the cook had said so.
    ($this->limit)(1500, 1100, true);
    $week = ($this->fill)('2026-11-30');
    expect(array_unique(array_column($week['servings'], 'grams')))->toEqual([40]);
});

it('says what the smallest portion takes where not even that fits', function (): void {
    ($this->limit)(1110, 1100, true);
    $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14']);
    $week = ($this->fill)('2026-11-30');
    $reasons = array_column($week['conflicts'], 'text');
    expect($week['servings'])
        ->toBe([])
        ->and(implode(' ', array_filter($reasons, is_string(...))))
        ->toMatch('/10 mg are left|the smallest has (3|4|5)\d mg/');
});

it('plans no more from a jar over two weeks than it holds', function (): void {
    ($this->limit)(2300, 900, false);
    $jar = $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14', 'vegetableAmount' => '300 g'])->json();
    ($this->fill)('2026-11-30');
    ($this->fill)('2026-12-07');
    $planned = PlannedServing::query()->get()->sum(static fn(PlannedServing $one): float => $one->grams);
    expect($planned)
        ->toBeLessThanOrEqual($jar['gramsLeft'] + 1e-6)
        ->toBeGreaterThan(0.5 * $jar['gramsLeft'])
        ->and(collect($this->getJson('/api/weeks/2026-12-07')->json('jars'))->firstWhere('id', $jar['id'])['grams'])
        ->toEqualWithDelta($jar['gramsLeft'], 1e-6);
});

it('does not begin a week with what the last one ended with', function (): void {
    ($this->limit)(2300, 900, false);
    $jars = array_map(
        fn(string $name): string => $this->startJar(['name' => $name, 'startedOn' => '2026-11-10'])->json('id'),
        ['Sticks', 'Other sticks'],
    );
    $this->postJson('/api/weeks/2026-11-30/changes', [
        'put' => [['personId' => $this->person->id, 'batchId' => $jars[0], 'date' => '2026-12-06']],
        'remove' => [],
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    $monday = collect(($this->fill)('2026-12-07')['servings'])->where('date', '2026-12-07')->pluck('batchId');
    expect($monday->all())->not->toContain($jars[0]);
});

it('plans nothing for someone on days on which they are away, and misses nothing of them', function (): void {
    ($this->limit)(2300, 900, false);
    $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14']);
    $save = fn(array $away) => $this->putJson("/api/people/{$this->person->id}", [
        'version' => $this->person->fresh()->version,
        'away' => $away,
    ]);
    $save(['2026-12-02/2026-12-04'])->assertOk();
    $week = ($this->fill)('2026-11-30');
    expect(array_column($week['servings'], 'date'))
        ->toEqualCanonicalizing(['2026-11-30', '2026-12-01', '2026-12-05', '2026-12-06'])
        ->and($week['conflicts'])
        ->toBe([]);
    $save([])->assertOk();
    expect(array_column(($this->fill)('2026-11-30')['servings'], 'date'))->toHaveCount(7);
    foreach ([['2026-12-04/2026-12-02'], ['tomorrow'], ['2026-13-01/2026-13-04'], ['2026-12-01']] as $wrong) {
        $save($wrong)->assertUnprocessable();
    }
});
