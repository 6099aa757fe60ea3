<?php

declare(strict_types=1);

use App\Models\Person;
use App\Models\PlannedServing;
use App\Models\WeekChange;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/*
 * A week's plan through its addresses: steps that can be undone, the planner, what is eaten of it, and what comes
 * round.
 */

beforeEach(function (): void {
    // A Wednesday, at noon.
    $this->travelTo(Carbon::parse('2026-11-25 12:00:00'));
    $this->asCook($this->cook());
    $this->carrots = $this->startJar(['startedOn' => '2026-11-05'])->json('id');
    $this->people = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
});

/** @param  list<array<string, mixed>>  $put */
function weekStep(Tests\TestCase $test, array $put, array $remove = [], string $week = 'today'): TestResponse
{
    return $test->postJson("/api/weeks/{$week}/changes", [
        'put' => $put,
        'remove' => $remove,
        'requestKey' => (string) Str::ulid(),
    ]);
}

/** @return array<string, mixed> */
function forAda(Tests\TestCase $test, string $date, array $as = []): array
{
    return ['personId' => $test->people[0], 'batchId' => $test->carrots, 'date' => $date, ...$as];
}

function freshKey(): array
{
    return ['requestKey' => (string) Str::ulid()];
}

it('shows a week from its first day, by any of its days', function (): void {
    $week = $this->getJson('/api/weeks/today')->assertOk()->json();
    expect($week['from'])
        ->toBe('2026-11-23')
        ->and($week['dates'])
        ->toHaveCount(7)
        ->and($week['before'])
        ->toBe('2026-11-16')
        ->and($this->getJson('/api/weeks/2026-11-29')->json('from'))
        ->toBe('2026-11-23')
        ->and($this->getJson('/api/weeks/2026-11-30')->json('from'))
        ->toBe('2026-11-30');
    foreach (['never', '2026-13-40', '1990-01-01'] as $wrong) {
        $this->getJson("/api/weeks/{$wrong}")
            ->assertUnprocessable()
            ->assertJsonValidationErrors('date');
    }
    app(App\Household\CurrentHousehold::class)
        ->get()
        ->update(['week_start' => 7]);
    expect($this->getJson('/api/weeks/today')->json('from'))->toBe('2026-11-22');
});

it('puts down, alters, locks and takes away, and each step can be undone and done again', function (): void {
    $week = weekStep($this, [forAda($this, '2026-11-26')])
        ->assertOk()
        ->json();
    $serving = $week['servings'][0];
    $ada = $week['people'][0]['days'][3];
    expect($serving['grams'])
        ->toBe(40)
        ->and($ada['marginMg'])
        ->toEqualWithDelta(2000 - 1200 - $serving['sodium']['typical'], 1e-6)
        ->and($week['jars'][0]['left'][2] - $week['jars'][0]['left'][3])
        ->toEqualWithDelta(40.0, 1e-9)
        ->and($week['undo'])
        ->toBe('adding Carrots for Ada on Thursday');
    $rinsed = weekStep(
        $this,
        [forAda($this, '2026-11-26', ['grams' => 30, 'way' => 'rinsed', 'isLocked' => true])],
        [$serving['id']],
    )->json('servings');
    expect($rinsed)
        ->toHaveCount(1)
        ->and($rinsed[0])
        ->toMatchArray(['grams' => 30, 'way' => 'rinsed', 'isLocked' => true])
        ->and($rinsed[0]['sodium']['typical'])
        ->toBeLessThan($serving['sodium']['typical'] * 0.75);
    $undone = $this->postJson('/api/weeks/today/undo')->json();
    expect($undone['servings'][0]['id'])
        ->toBe($serving['id'])
        ->and($undone['redo'])
        ->toBe('changing Carrots for Ada on Thursday');
    expect($this->postJson('/api/weeks/today/redo')->json('servings.0.way'))->toBe('rinsed');
    $this->postJson('/api/weeks/today/undo');
    expect($this->postJson('/api/weeks/today/undo')->json('servings'))->toBe([]);
    // With nothing left to undo, nothing happens; after another change what was undone is gone for good.
    expect($this->postJson('/api/weeks/today/undo')->assertOk()->json('undo'))->toBeNull();
    $other = weekStep($this, [forAda($this, '2026-11-27')])->json();
    expect($other['redo'])
        ->toBeNull()
        ->and($other['servings'])
        ->toHaveCount(1)
        ->and(WeekChange::query()->count())
        ->toBe(1)
        ->and(PlannedServing::query()->count())
        ->toBe(1);
});

it('makes a step once, however often it is sent, and all of it or nothing', function (): void {
    $body = [
        'put' => [forAda($this, '2026-11-26')],
        'remove' => [],
        'requestKey' => (string) Str::ulid(),
    ];
    $this->postJson('/api/weeks/today/changes', $body)->assertOk();
    $this->postJson('/api/weeks/today/changes', $body)->assertOk();
    expect(PlannedServing::query()->count())->toBe(1);
    weekStep($this, [forAda($this, '2026-11-27'), forAda($this, '2026-11-26')])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('put.1.batchId');
    weekStep($this, [forAda($this, '2026-11-28'), forAda($this, '2026-12-09')])
        ->assertUnprocessable()
        ->assertJsonValidationErrors('put.1.date');
    expect(PlannedServing::query()->count())
        ->toBe(1)
        ->and(WeekChange::query()->count())
        ->toBe(1);
    weekStep($this, [forAda($this, '2026-11-28', ['grams' => -3])])->assertJsonValidationErrors('put.0.grams');
    weekStep($this, [forAda($this, '2026-11-28', ['way' => 'fried'])])->assertJsonValidationErrors('put.0.way');
});

it('plans the week, keeps what is locked, and never passes a limit that is kept to', function (): void {
    Person::query()
        ->where('name', 'Bo')
        ->sole()
        ->update(['limit_is_hard' => true]);
    weekStep($this, [forAda($this, '2026-11-26', ['grams' => 25, 'isLocked' => true])])->assertOk();
    $week = $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])
        ->assertOk()
        ->json();
    $days = array_count_values(array_column($week['servings'], 'date'));
    expect(array_keys($days))
        ->toEqualCanonicalizing(['2026-11-25', '2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29'])
        ->and(array_column($week['servings'], 'grams'))
        ->toContain(25)
        ->and($week['undo'])
        ->toBe('filling the week');
    foreach ($week['people'][1]['days'] as $day) {
        expect($day['marginMg'])->toBeGreaterThanOrEqual(-1e-6);
    }
    expect(min($week['jars'][0]['left']))->toBeGreaterThanOrEqual(0);
    $cleared = $this->postJson('/api/weeks/today/clear', freshKey())->json('servings');
    expect(array_column($cleared, 'grams'))->toBe([25]);
    $rest = $this->postJson('/api/weeks/today/fill', ['rest' => true, ...freshKey()])->json('servings');
    expect(count($rest))->toBeGreaterThan(5);
    expect(
        $this->postJson('/api/weeks/2026-11-16/fill', ['rest' => false, ...freshKey()])
            ->assertUnprocessable()
            ->json('message'),
    )->toBe('That week is over.');
});

it('plans nothing without jars, and says so', function (): void {
    $this->putJson("/api/batches/{$this->carrots}/emptied", ['isEmptied' => true])->assertOk();
    $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])
        ->assertUnprocessable()
        ->assertJsonFragment([
            'message' => 'There is no jar on the shelf to plan with. Start one at the bench first.',
        ]);
});

it('says in a sentence that a table is too large to plan for, and plans where nothing fits', function (): void {
    Person::query()
        ->where('name', 'Ada')
        ->sole()
        ->update(['limit_is_hard' => true]);
    $this->aim('Ada', 200);
    $week = $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])
        ->assertOk()
        ->json();
    // Her rest of the diet alone is past it: nothing is put down for her, and every day says why.
    expect(array_filter($week['servings'], fn(array $one): bool => $one['personId'] === $this->people[0]))
        ->toBe([])
        ->and(collect($week['conflicts'])->where('personId', $this->people[0])->pluck('code')->unique()->all())
        ->toBe(['nothing_live'])
        ->and($week['conflicts'][0]['text'])
        ->toContain('0 mg are left after other food');
    foreach (range(1, 38) as $n) {
        $this->seat("Guest {$n}", 2000, 30.0);
    }
    $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])
        ->assertUnprocessable()
        ->assertJsonFragment([
            'message' => 'A week can be planned for at most 12 people and 40 jars. There are 40 and 1.',
        ]);
});

it('takes over the week before, from a jar of the same kind where the old one is gone', function (): void {
    $this->postJson('/api/weeks/today/copy', freshKey())->assertUnprocessable()->assertJsonValidationErrors('week');
    weekStep($this, [forAda($this, '2026-11-19', ['grams' => 35, 'way' => 'rinsed'])], week: '2026-11-19');
    $new = $this->startJar(['name' => 'More carrots'])->json('id');
    $copied = $this->postJson('/api/weeks/today/copy', freshKey())->assertOk()->json('servings');
    expect($copied)
        ->toHaveCount(1)
        ->and($copied[0])
        ->toMatchArray([
            'date' => '2026-11-26',
            'grams' => 35,
            'way' => 'rinsed',
            'batchId' => $this->carrots,
        ]);
    $this->postJson('/api/weeks/today/undo');
    $this->putJson("/api/batches/{$this->carrots}/emptied", ['isEmptied' => true])->assertOk();
    expect($this->postJson('/api/weeks/today/copy', freshKey())->json('servings.0.batchId'))->toBe($new);
});

it('eats what was planned in one tap, once, and undoing brings the plan back', function (): void {
    $planned = weekStep($this, [forAda($this, '2026-11-25', ['grams' => 30, 'way' => 'rinsed'])])->json('servings.0');
    $today = $this->getJson('/api/days/today')->json('people.0');
    expect($today['planned'])
        ->toHaveCount(1)
        ->and($today['planned'][0]['sodium']['typical'])
        ->toEqualWithDelta($planned['sodium']['typical'], 0.5);
    $eat = fn(): TestResponse => $this->postJson('/api/servings', [
        'batchId' => $this->carrots,
        'personId' => $this->people[0],
        'amount' => '30 g',
        'way' => 'rinsed',
        'plannedId' => $planned['id'],
        'requestKey' => (string) Str::ulid(),
    ]);
    $serving = $eat()->assertCreated()->json();
    $eat()->assertUnprocessable()->assertJsonValidationErrors('plannedId');
    $after = $this->getJson('/api/days/today')->json('people.0');
    expect($after['planned'])->toBe([])->and($after['servings'])->toHaveCount(1);
    $week = $this->getJson('/api/weeks/today')->json();
    expect($week['servings'])
        ->toBe([])
        ->and($week['people'][0]['days'][2]['eaten'])
        ->toHaveCount(1);
    $this->deleteJson("/api/servings/{$serving['id']}")->assertOk();
    expect($this->getJson('/api/days/today')->json('people.0.planned.0.id'))->toBe($planned['id']);
    // Planned for one, it is not eaten by another.
    $this->postJson('/api/servings', [
        'batchId' => $this->carrots,
        'personId' => $this->people[1],
        'amount' => '30 g',
        'plannedId' => $planned['id'],
        'requestKey' => (string) Str::ulid(),
    ])->assertNotFound();
});

it('names what does not go together, and its levers can be sent as they are', function (): void {
    $this->aim('Ada', 1300);
    $week = weekStep($this, [forAda($this, '2026-11-26', ['grams' => 60])])->json();
    $conflict = collect($week['conflicts'])->firstWhere('code', 'past_target');
    expect($conflict['text'])->toContain('Ada on Thursday')->and($conflict['levers'])->not->toBe([]);
    foreach ($conflict['levers'] as $lever) {
        $then = weekStep($this, $lever['instead'] === null ? [] : [$lever['instead']], [$lever['servingId']])
            ->assertOk()
            ->json('people.0.days.3.marginMg');
        expect($then - $week['people'][0]['days'][3]['marginMg'])->toEqualWithDelta($lever['savesMg'], 0.01);
        $this->postJson('/api/weeks/today/undo')->assertOk();
    }
});

it('saves the weekly rotation in its order, and plans by it', function (): void {
    $likeness = $this->getJson('/api/rotation')->assertOk()->json('kinds.0.likeness');
    $line = fn(array $as): array => [
        'name' => 'Carrots',
        'formulaId' => null,
        'likenesses' => [$likeness],
        'weekdays' => [],
        'timesAWeek' => 2,
        'months' => [],
        ...$as,
    ];
    $body = [
        'lines' => [$line(['weekdays' => [4, 6]]), $line(['name' => 'Beets'])],
        'perDay' => 2,
        'hasNew' => true,
        'weights' => ['short' => 0, 'urgency' => 0, 'variety' => 0, 'fair' => 0],
    ];
    $kept = $this->putJson('/api/rotation', $body)->assertOk()->json();
    expect(array_column($kept['lines'], 'name'))
        ->toBe(['Carrots', 'Beets'])
        ->and($kept['lines'][0]['timesAWeek'])
        ->toBe(2)
        ->and($kept['perDay'])
        ->toBe(2)
        ->and($kept['weights']['repeat'])
        ->toBe(3);
    $turned = $this->putJson('/api/rotation', ['lines' => array_reverse($kept['lines'])] + $body)->json('lines');
    expect(array_column($turned, 'id'))->toBe(array_reverse(array_column($kept['lines'], 'id')));
    $this->putJson('/api/rotation', ['lines' => [$line(['weekdays' => [4, 6]])]] + $body)->assertOk();
    // Nothing but the rotation gains anything with these weights: it alone says what is put down.
    $week = $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])->json('servings');
    expect(array_values(array_unique(array_column($week, 'date'))))->toEqualCanonicalizing([
        '2026-11-26',
        '2026-11-28',
    ]);
    foreach (
        [['perDay' => 0], ['perDay' => 99], ['weights' => ['short' => -1]], ['weights' => ['wish' => 1]]]
        as $wrong
    ) {
        $this->putJson('/api/rotation', [...$body, ...$wrong])->assertUnprocessable();
    }
    $this->putJson('/api/rotation', [...$body, 'lines' => [$line(['weekdays' => [8]])]])->assertJsonValidationErrors(
        'lines.0.weekdays.0',
    );
    $this->putJson('/api/rotation', [...$body, 'lines' => [$line(['timesAWeek' => 20])]])->assertJsonValidationErrors(
        'lines.0.timesAWeek',
    );
});

/** @return list<string> why each of the two does not eat of the first jar, nothing where they do */
function reasonsAgainst(Tests\TestCase $test): array
{
    return array_map(
        fn(?string $why): string => (string) $why,
        array_column($test->getJson('/api/weeks/today')->json('jars.0.portions'), 'notFor'),
    );
}

it('serves nobody what they do not like or must not eat', function (): void {
    Person::query()
        ->where('name', 'Ada')
        ->sole()
        ->update(['dislikes' => ['carrot']]);
    expect(reasonsAgainst($this))->toBe(['Does not like carrot.', '']);
    $week = $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])->json();
    expect(array_unique(array_column($week['servings'], 'personId')))->toBe([$this->people[1]]);
    // By hand it can be put down, and is called what it is.
    $by = weekStep($this, [forAda($this, '2026-11-28')])
        ->assertOk()
        ->json('conflicts');
    expect(collect($by)->firstWhere('code', 'not_for')['text'])->toContain('not for Ada. Does not like carrot');
    $this->putJson("/api/batches/{$this->carrots}/emptied", ['isEmptied' => true]);
    $kimchi = App\Models\Formula::query()->where('key', 'kimchi-dry-salted')->sole()->id;
    $this->postJson("/api/formulas/{$kimchi}/batches", [
        'name' => 'Kimchi',
        'place' => 'counter',
        'startedOn' => '2026-11-10',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    Person::query()
        ->where('name', 'Bo')
        ->sole()
        ->update(['allergens' => ['fish']]);
    $jars = collect($this->getJson('/api/weeks/today')->json('jars'));
    expect(array_column($jars->firstWhere('name', 'Kimchi')['portions'], 'notFor'))->toBe([
        null,
        'It contains fish, to be avoided.',
    ]);
    $left = $this->postJson('/api/weeks/today/fill', ['rest' => true, ...freshKey()])->json('servings');
    expect(collect($left)->where('name', 'Kimchi')->pluck('personId')->unique()->all())->toBe([$this->people[0]]);
});

it('plans nothing from a jar that a check spoke against, that is not ready, or that was emptied', function (): void {
    $this->startJar(['name' => 'Too young'])->assertCreated();
    $week = $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])->json();
    expect(array_unique(array_column($week['servings'], 'name')))
        ->toBe(['Carrots'])
        ->and(collect($week['jars'])->firstWhere('name', 'Too young')['readyOn'])
        ->toBeGreaterThan('2026-11-29');
    $this->postJson("/api/batches/{$this->carrots}/check", [
        'found' => ['fuzz_coloured'],
        'requestKey' => (string) Str::ulid(),
    ]);
    $closed = $this->getJson('/api/weeks/today')->json();
    $carrots = collect($closed['jars'])->firstWhere('id', $this->carrots);
    expect($carrots['closed'])
        ->not->toBeNull()
        ->and(collect($closed['conflicts'])->where('code', 'closed')->count())
        ->toBe(count($closed['servings']));
    $again = $this->postJson('/api/weeks/today/fill', ['rest' => false, ...freshKey()])->json('servings');
    expect(collect($again)->where('batchId', $this->carrots)->all())->toBe([]);
});

it('has the sodium of each day, as the jar gets older', function (): void {
    $young = $this->startJar(['name' => 'Young', 'shape' => 'whole', 'waterAmount' => '900 g'])->json('id');
    $days = collect($this->getJson('/api/weeks/today')->json('jars'))->firstWhere('id', $young)['portions'][0]['days'];
    $milligrams = array_column($days, 'milligrams');
    // Salt goes into whole carrots for days: each day's portion holds more than the one before.
    for ($day = 3; $day < 7; $day++) {
        expect($milligrams[$day])->toBeGreaterThan($milligrams[$day - 1]);
    }
    // An old jar has come to rest.
    $old = collect($this->getJson('/api/weeks/today')->json('jars'))->firstWhere('id', $this->carrots)['portions'][0][
        'days'
    ];
    expect($old[6]['milligrams'])->toEqualWithDelta($old[2]['milligrams'], 0.5);
});
