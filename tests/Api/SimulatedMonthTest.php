<?php

declare(strict_types=1);

use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Formula;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Ledger\Account;

/*
 * Four weeks in an invented kitchen, day by day through the API: jars are started, feed each other, lose and gain
 * brine, are read, are eaten from by three people, and some of it is taken back. A tally kept apart from the application
 * must agree with what every day says, and no sodium may be lost between all the jars.
 */
final class MonthTally
{
    /** @var array<string, array<string, float>> milligrams by day and person */
    public array $eaten = [];

    /** @var array<string, array{day: string, person: string, mg: float}> by serving */
    public array $servings = [];

    public function serve(string $id, string $day, string $person, float $mg): void
    {
        $this->servings[$id] = ['day' => $day, 'person' => $person, 'mg' => $mg];
        $this->eaten[$day][$person] = ($this->eaten[$day][$person] ?? 0.0) + $mg;
    }

    public function takeBack(string $id): void
    {
        ['day' => $day, 'person' => $person, 'mg' => $mg] = $this->servings[$id];
        $this->eaten[$day][$person] -= $mg;
        unset($this->servings[$id]);
    }
}

function sodiumOf(array $accounts): float
{
    return array_sum(array_map(fn($masses): float => $masses->sodiumMg, $accounts));
}

it('agrees with a tally kept apart, and loses nothing between the jars', function (int $seed): void {
    $chance = new Randomizer(new Mt19937($seed));
    $first = CarbonImmutable::parse('2026-10-20 08:00', 'UTC');
    $this->travelTo($first);
    $this->asCook($this->cook());
    $this->seat('Cleo', 1800, 33.0);
    $people = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
    expect($people)->toHaveCount(3);
    $formulas = Formula::query()
        ->whereIn('key', ['plain-kraut', 'carrot-sticks', 'kimchi-dry-salted', 'ketchup-brine', 'red-onions'])
        ->get()
        ->pluck('id')
        ->sort()
        ->values()
        ->all();
    $tally = new MonthTally();
    $refusals = 0;
    $write = function (string $batch, array $entry): int {
        return $this->postJson("/api/batches/{$batch}/entries", [
            'entry' => $entry,
            'requestKey' => (string) Str::ulid(),
        ])->getStatusCode();
    };

    for ($day = 0; $day < 28; $day++) {
        $this->travelTo($first->addDays($day));
        if ($day % 4 === 0) {
            $this->postJson("/api/formulas/{$formulas[$chance->getInt(0, count($formulas) - 1)]}/batches", [
                'name' => "Jar of day {$day}",
                'place' => 'counter',
                'requestKey' => (string) Str::ulid(),
            ])->assertCreated();
        }
        $jars = Batch::query()->get()->sortBy('started_at')->pluck('id')->values()->all();
        $pick = fn(): string => $jars[$chance->getInt(0, count($jars) - 1)];

        // Something happens to a jar.
        $entry = match ($chance->getInt(0, 6)) {
            0 => ['kind' => 'top_up', 'grams' => $chance->getInt(5, 60), 'strength' => 'own'],
            1 => ['kind' => 'overflow', 'grams' => ['low' => 2, 'typical' => 6, 'high' => 12]],
            2 => ['kind' => 'leak', 'grams' => $chance->getInt(5, 40)],
            3 => [
                'kind' => 're_salt',
                'share' => 0.02 + $chance->getInt(0, 10) / 1000,
                'product' => 'fine-sea',
            ],
            4 => [
                'kind' => 'measured',
                'what' => 'brine_strength',
                'value' => 0.02 + $chance->getInt(0, 10) / 1000,
            ],
            5 => ['kind' => 'add', 'ingredient' => 'garlic', 'grams' => 5, 'into' => 'pieces'],
            default => ['kind' => 'starter', 'fromBatch' => $pick(), 'grams' => $chance->getInt(5, 25)],
        };
        $code = $write($pick(), $entry);
        expect($code)->toBeIn([201, 422]);
        $refusals += $code === 422 ? 1 : 0;

        // People eat.
        for ($meal = 0; $meal < 3; $meal++) {
            $this->travelTo($first->addDays($day)->addHours(4 * $meal + 1));
            $person = $people[$chance->getInt(0, 2)];
            $answer = $this->postJson('/api/servings', [
                'batchId' => $pick(),
                'personId' => $person,
                'amount' => $chance->getInt(5, 70) . ' g',
                'requestKey' => (string) Str::ulid(),
            ]);
            if ($answer->getStatusCode() === 201) {
                $tally->serve(
                    $answer->json('id'),
                    $first->addDays($day)->toDateString(),
                    $person,
                    $answer->json('sodium.typical'),
                );
            } else {
                $answer->assertUnprocessable();
            }
        }

        // Some of it was a mistake.
        if ($day % 5 === 4 && $tally->servings !== []) {
            $ids = array_keys($tally->servings);
            $mistake = $ids[$chance->getInt(0, count($ids) - 1)];
            $this->deleteJson("/api/servings/{$mistake}")->assertOk();
            $tally->takeBack($mistake);
        }
        if ($day % 6 === 5) {
            $jar = $this->getJson('/api/batches/' . $pick())->json();
            $entries = collect($jar['entries'])->whereIn('kind', ['leak', 'top_up', 'overflow', 're_salt', 'starter']);
            $entry = $entries->where('isReversed', false)->last();
            if ($entry !== null) {
                $code = $this->postJson("/api/batches/{$jar['id']}/entries/{$entry['id']}/reversal")->getStatusCode();
                expect($code)->toBeIn([201, 422]);
            }
        }
    }

    // Each day says what the tally says, to the microgram.
    for ($day = 0; $day < 28; $day++) {
        $date = $first->addDays($day)->toDateString();
        foreach ($this->getJson("/api/days/{$date}")->json('people') as $person) {
            expect($person['ferments']['typical'])->toEqualWithDelta(
                $tally->eaten[$date][$person['id']] ?? 0.0,
                1e-3,
                "{$date} {$person['name']}",
            );
        }
    }

    // What the jars say was eaten is what the people ate.
    $states = Batch::query()->with('entries')->get()->map(fn(Batch $batch) => Ledgers::of($batch)->state());
    $account = fn(Account $account): float => $states->sum(fn($state): float => $state->account($account)->sodiumMg);
    $ate = array_sum(array_map('array_sum', $tally->eaten));
    expect($account(Account::Eaten))->toEqualWithDelta($ate, 1e-3)->and($ate)->toBeGreaterThan(1000.0);

    // Nothing is lost in any jar, nor between them.
    expect($states->map(fn($state): float => abs($state->sodiumAstray()))->max())->toBeLessThan(1e-3);
    expect($account(Account::GivenAway))->toEqualWithDelta($account(Account::Received), 1e-3);
    $present = $states->sum(fn($state): float => $state->present()->sodiumMg);
    expect($account(Account::Outside) + $account(Account::Correction))->toEqualWithDelta(
        $present + $account(Account::Eaten) + $account(Account::Discarded) + $account(Account::Evaporated),
        1e-3,
    );
    expect($refusals)->toBeLessThan(20);
})->with([1, 2]);
