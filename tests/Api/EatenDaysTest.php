<?php

declare(strict_types=1);

use App\Household\CurrentHousehold;
use App\Intake\EatenDays;
use App\Models\EatenDay;
use App\Models\Person;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\LongKitchen;

/*
 * What is kept of someone's days is what their servings say, whatever was done to these since.
 */

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
    $this->eat = fn(string $batch, Person $person) => $this->postJson('/api/servings', [
        'batchId' => $batch,
        'personId' => $person->id,
        'amount' => '5 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
});

it('is what the servings say, after anything that can be done to them', function (): void {
    $seed = random_int(1, 1_000_000);
    $chance = new Randomizer(new Mt19937($seed));
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])->json('id');
    $people = array_column($this->getJson('/api/kitchen')->json('people'), 'id');
    $eaten = $done = [];
    for ($n = 0; $n < 40; $n++) {
        $key = ['requestKey' => (string) Str::ulid()];
        $one = [
            'batchId' => $batch,
            'personId' => $people[$chance->getInt(0, count($people) - 1)],
            'amount' => $chance->getInt(2, 9) . ' g',
            'eatenOn' => now()->subDays($chance->getInt(0, 6))->toDateString(),
            ...$key,
        ];
        $other = $eaten === [] ? null : $eaten[$chance->getInt(0, count($eaten) - 1)];
        $what = $other === null ? 0 : $chance->getInt(0, 5);
        match ($what) {
            0, 1 => ($eaten[] = $this->postJson('/api/servings', $one)->json('id')),
            2 => $this->deleteJson("/api/servings/{$other}"),
            3 => $this->putJson("/api/servings/{$other}", $one),
            4 => $this->postJson("/api/batches/{$batch}/entries", [
                'entry' => ['kind' => 'top_up', 'grams' => $chance->getInt(5, 60)],
                'at' => now()->subDays(8)->toIso8601String(),
                ...$key,
            ]),
            5 => $this->postJson("/api/batches/{$batch}/portions"),
        };
        $eaten = array_values(array_filter($eaten));
        $done[$what] = true;
        foreach (Person::query()->get() as $person) {
            $span = [now()->subDays($chance->getInt(0, 9))->toDateString(), now()->toDateString()];
            $written = EatenDays::asWritten($person, ...$span);
            // The first time some of it may be read anew, the second time all of it was kept.
            foreach (['as it is read', 'as it was kept'] as $time) {
                expect(EatenDays::of($person, ...$span))->toEqual(
                    $written,
                    "seed {$seed}, step {$n}, {$what}, {$time}",
                );
            }
        }
    }
    expect(count($eaten))->toBeGreaterThan(2, "seed {$seed}");
    expect(count($done))->toBeGreaterThan(3, "seed {$seed}");
    expect(Artisan::call('tempesal:check'))->toBe(0);
    expect((string) $this->get('/api/kitchen/file')->getContent())->not->toContain('eaten_days');
});

it('keeps nothing of a day that changed while it was read', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])->json('id');
    $person = Person::query()->firstOrFail();
    $day = now()->toDateString();
    // A serving that is written after the servings were read, and before what they come to is kept.
    $isFirst = true;
    DB::listen(function ($query) use ($batch, $person, &$isFirst): void {
        if ($isFirst && str_contains($query->sql, 'from `servings` where `eaten_on` between')) {
            $isFirst = false;
            ($this->eat)($batch, $person);
        }
    });
    expect(EatenDays::of($person, $day, $day))->toBe([]);
    expect(EatenDay::query()->sole()->portions)->toBeNull();
    expect(EatenDays::of($person, $day, $day)[$day])->toHaveCount(1);
});

it('is found wrong by the command that checks a whole database', function (): void {
    $batch = $this->startJar(['startedOn' => now()->subDays(20)->toDateString()])->json('id');
    $person = Person::query()->firstOrFail();
    ($this->eat)($batch, $person);
    EatenDays::of($person, now()->toDateString(), now()->toDateString());
    expect(Artisan::call('tempesal:check'))->toBe(0);
    DB::table('eaten_days')->update(['portions' => '[]']);
    expect(Artisan::call('tempesal:check'))->toBe(1);
    expect(Artisan::output())->toContain('is not what was eaten');
});

it('reads a row for each day, however much was eaten on it and before', function (): void {
    $read = function (int $daysAgo, int $servings): int {
        $kitchen = new LongKitchen("After {$servings} servings in {$daysAgo} days");
        $kitchen->jar('Old kraut', $daysAgo, $servings);
        $this->flushSession();
        $this->asCook($kitchen->cook);
        app(CurrentHousehold::class)->set($kitchen->cook->household);
        $ada = Person::query()->where('name', 'Ada')->firstOrFail();
        $count = static fn(): int => (int) DB::selectOne("show session status like 'Handler_read_next'")->Value;
        // The first time it is read anew and kept.
        $this->getJson("/api/intake?personId={$ada->id}")->assertOk();
        app()->forgetScopedInstances();
        $before = $count();
        $this->getJson("/api/intake?personId={$ada->id}")->assertOk();

        return $count() - $before;
    };
    $few = $read(100, 40);
    expect($few)->toBeGreaterThan(80);
    expect($read(100, 200) - $few)->toBeLessThan(60);
    expect($read(300, 200) - $few)->toBeLessThan(60);
});
