<?php

declare(strict_types=1);

use App\Ledger\Ledgers;
use App\Actions\SavePhoto;
use App\Demo\DemoKitchen;
use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Note;
use App\Models\Serving;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\File;

/*
 * The demo kitchen has something to say on every screen, whatever day it is laid out.
 */
beforeEach(function (): void {
    $this->freezeSecond();
    config(['tempesal.photos' => sys_get_temp_dir() . '/tempesal-demo-photos']);
    $this->layOut = function (): void {
        app(DemoKitchen::class)->layOut();
        $this->household = Household::query()->where('is_demo', true)->sole();
        $this->asCook(User::query()->where('household_id', $this->household->id)->sole());
    };
});

afterEach(fn() => File::deleteDirectory(config('tempesal.photos')));

it('has its kraut ready today at any hour of the day', function (string $hour): void {
    $this->travelTo(CarbonImmutable::parse("2026-11-28 {$hour}", 'Europe/Lisbon'));
    ($this->layOut)();
    expect(shelf($this)['Caraway kraut']['window']['readyOn'])->toBe('2026-11-28');
})->with(['00:20', '23:40']);

/** @return array<string, array<string, mixed>> jars on the shelf by their names */
function shelf(object $test): array
{
    return collect($test->getJson('/api/batches')->assertOk()->json('batches'))
        ->keyBy('name')
        ->all();
}

it(
    'has a jar overdue, one ready today, one with film, one in the cold, and one that is nearly eaten',
    function (): void {
        ($this->layOut)();
        $jars = shelf($this);
        $chores = collect($this->getJson('/api/chores')->json('now'));
        expect($chores->where('task', 'burp')->where('batchName', 'Carrot sticks with dill')->first()['lateDays'])
            ->toBeGreaterThan(0)
            ->and($jars['Caraway kraut']['window']['readyOn'])
            ->toBe($this->household->today())
            ->and($jars['Everyday kimchi'])
            ->toMatchArray(['place' => 'fridge', 'isReady' => true])
            ->and($jars['Red kraut with apple']['attention']['code'])
            ->toBe('low')
            ->and(Note::query()->where('verdict', 'fine_do')->sole()->because)
            ->toContain('kahm');
    },
);

it('has a warm spell to come, readings of two weeks, and a kraut before this one', function (): void {
    ($this->layOut)();
    [$counter, $cool] = $this->getJson('/api/rooms')->json('rooms');
    $log = $this->getJson('/api/batches/' . shelf($this)['Caraway kraut']['id'] . '/log')->json();
    expect($counter['spells'])
        ->toHaveCount(1)
        ->and($counter['readingsInAll'])
        ->toBeGreaterThan(150)
        ->and($cool['readingsInAll'])
        ->toBeGreaterThan(10)
        ->and(array_column($log['alike'], 'name'))
        ->toBe(['Caraway kraut', 'First kraut of the autumn'])
        ->and($log['ownDays'])
        ->toBeGreaterThan(10)
        ->toBeLessThan(25);

    // Eight weeks were lived in it: something live on most days, jars that were finished, and some days away.
    $days = Serving::query()->where('is_live', true)->pluck('eaten_on')->unique();
    $ago = fn(int $days): string => CarbonImmutable::parse($this->household->today())->subDays($days)->toDateString();
    expect($days->filter(fn(string $day): bool => $day >= $ago(56))->count())
        ->toBeGreaterThan(38)
        ->and($days->intersect(array_map($ago, range(33, 36)))->all())
        ->toBe([])
        ->and(Batch::query()->whereNotNull('emptied_at')->count())
        ->toBe(3)
        ->and(array_keys(shelf($this)))
        ->toContain('Tomato ketchup', 'Beet kvass', 'Spare brine, Red kraut with apple');

    // Nothing is lost between the jars, and every history holds.
    foreach (Batch::whole()->get() as $batch) {
        expect(abs(Ledgers::of($batch)->state()->sodiumAstray()))->toBeLessThan(1e-6);
    }
});

it('is laid out once a day, and then again from the start', function (): void {
    ($this->layOut)();
    app(DemoKitchen::class)->layOut();
    expect(Household::query()->where('is_demo', true)->sole()->id)->toBe($this->household->id);
    $folder = SavePhoto::folderOf($this->household->id);
    File::ensureDirectoryExists($folder);
    $this->travel(1)->days();
    app(DemoKitchen::class)->layOut();
    $next = Household::query()->where('is_demo', true)->sole();
    app(CurrentHousehold::class)->set($next);
    expect($next->id)
        ->not->toBe($this->household->id)
        ->and(File::exists($folder))
        ->toBeFalse()
        ->and(Batch::onShelf()->count())
        ->toBe(12);
});
