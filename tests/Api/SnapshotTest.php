<?php

declare(strict_types=1);

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\BatchSnapshot;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Method\Hazards;
use Tests\Support\LongKitchen;

/*
 * What is kept of a batch's states comes to what its entries come to, whatever was done to it since: what it holds digit for
 * digit, the bands of what is said of it to nine digits.
 */

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
});

/**
 * What it holds and what is said of it: by what was kept and the entries that are no servings, by what was kept and all of them,
 * and from its first entry on.
 *
 * @return list<array{string, array<string, Estimate>}>
 */
function estimatesOf(string $batch): array
{
    $read = static function (Builder $batches, bool $isKept) use ($batch): array {
        app()->forgetScopedInstances();
        $household = auth()->user()->household;
        app(CurrentHousehold::class)->set($household);
        $row = $batches->findOrFail($batch);
        $now = $row->secondsSinceStart(now()->toImmutable());
        $ledger = ($isKept ? Ledgers::history($row) : Ledgers::replayed($row))->asOf($now);
        $status = BatchStatus::of($row, $ledger, $household);

        $holds = serialize([
            $ledger->state()->whereabouts(),
            Hazards::of($ledger, $row->method),
            // To the millisecond: the way there is summed up in other parts.
            array_map(static fn(?float $at): ?float => $at === null ? null : round($at, 3), (array) $status->forecast),
            $status->dues,
            $row->stands(),
        ]);

        return [$holds, array_diff_key($ledger->estimates(), ['servings' => []])];
    };

    return [$read(Batch::inShort(), true), $read(Batch::whole(), true), $read(Batch::whole(), false)];
}

/** @param  array{string, array<string, Estimate>}  $one */
function expectSame(array $one, array $other, string $where = ''): void
{
    expect($one[0])->toBe($other[0], $where);
    foreach ($one[1] as $what => $estimate) {
        expect($estimate->isSameAs($other[1][$what]))->toBeTrue("{$what} {$where}");
    }
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
        [$short, $kept, $replayed] = estimatesOf($batch['id']);
        expectSame($short, $replayed, "seed {$seed}, step {$n}, what {$what}, in short");
        expectSame($kept, $replayed, "seed {$seed}, step {$n}, what {$what}");
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
    foreach (['short', 'state'] as $column) {
        foreach (
            ['', 'nonsense', base64_encode((string) gzdeflate(serialize(['x']))), substr($row->{$column}, 0, 200)]
            as $wrong
        ) {
            DB::table('batch_snapshots')->update([$column => $wrong]);
            foreach (estimatesOf($batch['id']) as $again) {
                expectSame($again, $first);
            }
        }
    }
});

it('is forgotten once another version takes over', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])->json();
    estimatesOf($batch['id']);
    Artisan::call('tempesal:restock');
    expect(BatchSnapshot::query()->count())->toBe(1);
    DB::table('batch_snapshots')->update(['core' => str_repeat('0', 32)]);
    Artisan::call('tempesal:restock');
    expect(BatchSnapshot::query()->count())->toBe(0);
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
        [],
        (new ReflectionProperty($kept, 'typical'))->getValue($kept),
        [],
    );
    DB::table('batch_snapshots')->update(['state' => base64_encode((string) gzdeflate(serialize($wrong)))]);
    app()->forgetScopedInstances();
    expect(Artisan::call('tempesal:check'))->toBe(1);
    expect(Artisan::output())->toContain('is not what its entries come to');
});

it('reads as many rows for the shelf and for today, however much was eaten before', function (): void {
    $read = function (int $servings): array {
        $kitchen = new LongKitchen("After {$servings} servings");
        $kitchen->jar('Old kraut', 200, $servings);
        $this->flushSession();
        $this->asCook($kitchen->cook);
        $rows = [];
        foreach (['/api/batches', '/api/days/today'] as $path) {
            // The first time it is computed and kept.
            $this->getJson($path)->assertOk();
            app()->forgetScopedInstances();
            $count = static fn(): int => (int) DB::selectOne("show session status like 'Handler_read_next'")->Value;
            $before = $count();
            $this->getJson($path)->assertOk();
            $rows[$path] = $count() - $before;
        }

        return $rows;
    };
    // Of today's own and the last weeks' servings both have a part: the jar is old enough for few of them.
    [$few, $many] = [$read(40), $read(120)];
    expect($few['/api/batches'])
        ->toBeGreaterThan(5)
        ->and($many['/api/batches'])
        ->toBe($few['/api/batches'])
        ->and($many['/api/days/today'] - $few['/api/days/today'])
        ->toBeLessThan(40);
});
