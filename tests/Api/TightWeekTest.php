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

it(
    'plans a careful eater with the upper end of what a jar may bring, and says sooner that a day may pass',
    function (): void {
        $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14']);
        ($this->limit)(1400, 1150, true);
        $portion = fn(): array => $this->getJson('/api/weeks/2026-11-30')->json('jars.0.portions.0');
        // Room for exactly what the usual portion brings typically: enough for most, not for the careful.
        $typical = $portion()['days'][0]['milligrams'];
        ($this->limit)((int) ceil(1100 + $typical), 1100, true);
        $fits = fn(): float => (float) collect($this->getJson('/api/days/today')->json('jars.0.portions'))->firstWhere(
            'personId',
            $this->person->id,
        )['fitsGrams'];
        $before = $fits();
        expect(array_unique(array_column(($this->fill)('2026-11-30')['servings'], 'grams')))->toEqual([40]);
        $this->putJson("/api/people/{$this->person->id}", [
            'version' => $this->person->fresh()->version,
            'isCareful' => true,
        ])->assertOk();
        $careful = ($this->fill)('2026-11-30')['servings'];
        expect($careful)->toHaveCount(7)->and($fits())->toBeLessThan($before);
        foreach ($careful as $serving) {
            expect($serving['grams'])
                ->toBeLessThan(40)
                ->and($serving['sodium']['high'])
                ->toBeLessThanOrEqual(ceil($typical) + 1e-6);
        }
        // About one day in three passes: said to the careful, not yet to others.
        ($this->limit)(1900, 1700, false);
        $warning = fn(): mixed => $this->getJson('/api/weeks/2026-12-07')->json('people.0.days.0.warning');
        expect($warning())->not->toBeNull();
        $this->putJson("/api/people/{$this->person->id}", [
            'version' => $this->person->fresh()->version,
            'isCareful' => false,
        ])->assertOk();
        expect($warning())->toBeNull();
    },
);

it('has a guest at the table on the days of the stay, with a limit of their own, and on no others', function (): void {
    $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14']);
    $this->postJson('/api/people', [
        ...array_diff_key($this->getJson('/api/kitchen')->json('people.0'), array_flip(['id', 'version', 'before'])),
        'name' => 'Guest',
        'preset' => null,
        'targetMg' => 1500,
        'targetSource' => null,
        'stays' => ['2026-12-02/2026-12-03'],
    ])->assertCreated();
    $guest = Person::query()->where('name', 'Guest')->firstOrFail()->id;
    $names = fn(string $path): array => array_column($this->getJson($path)->json('people'), 'name');
    $servings = array_filter(
        ($this->fill)('2026-11-30')['servings'],
        fn(array $one): bool => $one['personId'] === $guest,
    );
    expect(array_unique(array_column($servings, 'date')))
        ->toEqualCanonicalizing(['2026-12-02', '2026-12-03'])
        ->and($names('/api/weeks/2026-11-30'))
        ->toContain('Guest')
        ->and($names('/api/weeks/2026-12-07'))
        ->not->toContain('Guest')
        ->and($names('/api/days/2026-12-01'))
        ->not->toContain('Guest')
        ->and($names('/api/days/2026-12-02'))
        ->toContain('Guest');
    $this->putJson("/api/people/{$guest}", [
        'version' => Person::query()->findOrFail($guest)->version,
        'stays' => ['added' => ['2026-12-09/2026-12-01'], 'removed' => []],
    ])->assertStatus(422);
});

it(
    'lets a serving that was not eaten go on, over the end of a week too, and says what is still to come',
    function (): void {
        ($this->limit)(2300, 900, false);
        $jar = $this->startJar(['name' => 'Sticks', 'startedOn' => '2026-11-14'])->json('id');
        $put = fn(string $week, string $date, array $remove = []) => $this->postJson("/api/weeks/{$week}/changes", [
            'put' => [['personId' => $this->person->id, 'batchId' => $jar, 'date' => $date, 'grams' => 25]],
            'remove' => $remove,
            'requestKey' => (string) Str::ulid(),
        ])->assertOk();
        // Planned on Sunday, forgotten.
        $put('2026-11-30', '2026-12-06');
        $this->travelTo(CarbonImmutable::parse('2026-12-07T07:00:00Z'));
        $put('2026-12-07', '2026-12-09');
        $person = fn(): array => $this->getJson('/api/days/today')->json('people.0');
        $missed = $person()['missed'];
        expect($missed)
            ->toHaveCount(1)
            ->and($missed[0]['date'])
            ->toBe('2026-12-06')
            ->and($person()['toCome'])
            ->toBe(['servings' => 1, 'kinds' => 1]);
        $put('2026-12-07', '2026-12-07', [$missed[0]['id']]);
        expect($person()['missed'])
            ->toBe([])
            ->and(array_column($person()['planned'], 'grams'))
            ->toEqual([25]);
        // Undoing it brings the missed one back.
        $this->postJson('/api/weeks/2026-12-07/undo', ['requestKey' => (string) Str::ulid()])->assertOk();
        expect($person()['missed'])->toHaveCount(1)->and($person()['planned'])->toBe([]);
    },
);

it('says what the jars ask for while nobody is here, and nothing of it while someone is', function (): void {
    $jar = $this->startJar([
        'name' => 'Lively sticks',
        'startedOn' => '2026-11-29',
        'place' => 'counter',
        'cover' => 'screw lid',
    ])->json('id');
    $away = fn(array $spans) => $this->putJson("/api/people/{$this->person->id}", [
        'version' => $this->person->fresh()->version,
        'away' => ['added' => $spans, 'removed' => $this->person->fresh()->away],
    ])->assertOk();
    $told = fn(): ?array => $this->getJson('/api/chores')->json('away');
    expect($told())->toBeNull();
    $away(['2026-12-03/2026-12-12']);
    expect($told())
        ->toMatchArray(['from' => '2026-12-03', 'to' => '2026-12-12'])
        ->and(array_unique(array_column($told()['chores'], 'batchId')))
        ->toContain($jar)
        ->and(max(array_column($told()['chores'], 'dueOn')))
        ->toBeLessThanOrEqual('2026-12-12');
    // A single day away, or one that is far off, is no journey to prepare for.
    $away(['2026-12-03/2026-12-03']);
    expect($told())->toBeNull();
    $away(['2026-12-25/2027-01-04']);
    expect($told())->toBeNull();
});
