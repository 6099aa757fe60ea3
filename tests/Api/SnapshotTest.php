<?php

declare(strict_types=1);

use App\Household\CurrentHousehold;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchSnapshot;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * What is kept of a batch's states comes to what its entries come to, digit for digit, whatever was done to it since.
 */

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
});

/** What it holds, from what was kept, and from its first entry on. */
function estimatesOf(string $batch): array
{
    $read = static function (bool $isKept) use ($batch): string {
        app()->forgetScopedInstances();
        app(CurrentHousehold::class)->set(auth()->user()->household);
        $whole = Batch::whole()->findOrFail($batch);
        $ledger = $isKept ? Ledgers::history($whole) : Ledgers::replayed($whole);

        return serialize($ledger->asOf($whole->secondsSinceStart(now()->toImmutable()))->estimates());
    };

    return [$read(true), $read(false)];
}

it('comes to the same as all entries do, after anything that can be done to a jar', function (): void {
    $seed = random_int(1, 1_000_000);
    $chance = new Randomizer(new Mt19937($seed));
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])
        ->assertCreated()
        ->json();
    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $path = "/api/batches/{$batch['id']}";
    $times = [];
    for ($n = 0; $n < 40; $n++) {
        $key = ['requestKey' => (string) Str::ulid()];
        $at = now()->subMinutes($chance->getInt(0, 12_000))->toIso8601String();
        $grams = $chance->getInt(2, 12);
        $entry = fn(array $entry) => $this->postJson("{$path}/entries", ['entry' => $entry, 'at' => $at, ...$key]);
        $what = $chance->getInt(0, 6);
        match ($what) {
            0 => $this->postJson('/api/servings', [
                'batchId' => $batch['id'],
                'personId' => $person,
                'amount' => "{$grams} g",
                ...$key,
            ]),
            1 => $entry(['kind' => 'top_up', 'grams' => $grams]),
            2 => $entry(['kind' => 'drain', 'grams' => $grams]),
            3 => $this->putJson("{$path}/place", [
                'place' => ['fridge', 'counter', 'cool'][$chance->getInt(0, 2)],
                ...$key,
            ]),
            4 => $this->postJson('/api/rooms/counter/readings', [
                'readings' => [['at' => $at, 'celsius' => $chance->getInt(12, 30)]],
                'source' => 'typed',
            ]),
            5 => $this->travel($chance->getInt(1, 400))->minutes(),
            6 => $this->postJson(
                "{$path}/entries/" .
                    $chance->shuffleArray($this->getJson($path)->json('entries'))[0]['id'] .
                    '/reversal',
                $key,
            ),
        };
        $times[$what] = ($times[$what] ?? 0) + 1;
        [$kept, $replayed] = estimatesOf($batch['id']);
        expect($kept)->toBe($replayed, "seed {$seed}, step {$n}, what {$what}");
    }
    expect(count($times))->toBeGreaterThan(4, "seed {$seed}");
    expect(BatchSnapshot::query()->count())->toBe(1);
});

it('is found again, and not where something is another', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])->json();
    $first = estimatesOf($batch['id'])[0];
    $row = BatchSnapshot::query()->sole();
    estimatesOf($batch['id']);
    // It was not written a second time.
    expect(BatchSnapshot::query()->sole()->state)->toBe($row->state);
    foreach (
        ['', 'nonsense', base64_encode((string) gzdeflate(serialize(['x']))), substr($row->state, 0, 200)]
        as $state
    ) {
        DB::table('batch_snapshots')->update(['state' => $state]);
        expect(estimatesOf($batch['id']))->toBe([$first, $first]);
    }
});

it('is in no export, and is checked by a command over the whole database', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])->json();
    estimatesOf($batch['id']);
    expect((string) $this->get('/api/kitchen/file')->getContent())->not->toContain('batch_snapshots');
    expect(Artisan::call('tempesal:check'))->toBe(0);

    $row = BatchSnapshot::query()->sole();
    $kept = unserialize((string) gzinflate((string) base64_decode($row->state)));
    // As if it had been kept with another state under the same edition.
    $wrong = (new ReflectionClass($kept))->newInstance(
        $kept->edition,
        [],
        (new ReflectionProperty($kept, 'typical'))->getValue($kept),
        [],
    );
    DB::table('batch_snapshots')->update(['state' => base64_encode((string) gzdeflate(serialize($wrong)))]);
    app()->forgetScopedInstances();
    expect(Artisan::call('tempesal:check'))->toBe(1);
    expect(Artisan::output())->toContain('is not what its entries come to');
});
