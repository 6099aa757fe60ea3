<?php

declare(strict_types=1);

use App\Actions\SavePhoto;
use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Note;
use App\Models\RoomReading;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
    config(['tempesal.photos' => sys_get_temp_dir() . '/tempesal-photos-' . Str::random(8)]);
});

afterEach(fn() => File::deleteDirectory(config('tempesal.photos')));

/** A quart jar under a screw lid, begun some days ago and on this shelf since. */
function tended(object $test, int $days = 0, array $change = []): array
{
    $batch = $test
        ->startJar([
            'jarId' => $test->jar('Quart jar'),
            'vegetableAmount' => '400 g',
            'waterAmount' => '',
            ...$days > 0 ? ['startedOn' => now()->subDays($days)->toDateString()] : [],
            ...$change,
        ])
        ->assertCreated()
        ->json();
    Batch::query()
        ->whereKey($batch['id'])
        ->update(['created_at' => now()->subDays($days)]);

    return $batch;
}

function note(object $test, string $batch, array $note): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/batches/{$batch}/notes", ['requestKey' => (string) Str::ulid(), ...$note]);
}

/** @return array<string, array<string, mixed>> chores of now by their task */
function chores(object $test, string $when = 'now'): array
{
    return collect($test->getJson('/api/chores')->assertOk()->json($when))
        ->keyBy('task')
        ->all();
}

function mark(object $test, array $chore, ?CarbonImmutable $until = null): Illuminate\Testing\TestResponse
{
    return $test->postJson('/api/chores/marks', [
        'chores' => [['batchId' => $chore['batchId'], 'task' => $chore['task'], 'dueOn' => $chore['dueOn']]],
        'until' => $until?->toIso8601String(),
        'requestKey' => (string) Str::ulid(),
    ]);
}

it('asks today for what a jar wants today, and says what was missed', function (): void {
    $batch = tended($this, 3);
    $burp = chores($this)['burp'];
    expect($burp)
        ->toMatchArray(['batchId' => $batch['id'], 'lateDays' => 2, 'doneBy' => 'tap'])
        ->and($burp['whenLate'])
        ->toContain('burst')
        ->and($burp['jar'])
        ->not->toBeNull()
        ->and($this->getJson("/api/batches/{$batch['id']}")->json('attention'))
        ->toMatchArray(['code' => 'burp', 'text' => "{$burp['text']}, due for 2 days"]);
});

it('is done in one tap, several at once, and undone', function (): void {
    $one = tended($this, 1);
    $two = tended($this, 1);
    $due = $this->getJson('/api/chores')->json('now');
    expect($due)->toHaveCount(2);
    $body = [
        'chores' => array_map(
            fn(array $chore): array => [
                'batchId' => $chore['batchId'],
                'task' => $chore['task'],
                'dueOn' => $chore['dueOn'],
            ],
            $due,
        ),
        'requestKey' => (string) Str::ulid(),
    ];
    $marks = $this->postJson('/api/chores/marks', $body)->assertCreated()->json('marks');
    expect($this->postJson('/api/chores/marks', $body)->json('marks'))
        ->toBe($marks)
        ->and(chores($this))
        ->toBe([])
        ->and(chores($this, 'soon')['burp']['dueOn'])
        ->toBe(now()->addDay()->toDateString())
        ->and($this->getJson("/api/batches/{$one['id']}")->json('attention'))
        ->toBeNull();
    $this->deleteJson("/api/chores/marks/{$marks[1]}")->assertOk();
    expect(chores($this)['burp']['batchId'])->toBe($two['id']);
    $this->travel(1)->days();
    expect($this->getJson('/api/chores')->json('now'))->toHaveCount(2);
});

it('puts a chore off until a moment, and no further than two weeks', function (): void {
    tended($this, 1);
    $burp = chores($this)['burp'];
    mark($this, $burp, now()->addHours(3)->toImmutable())->assertCreated();
    expect(chores($this))->toBe([])->and(chores($this, 'soon')['burp']['snoozedUntil'])->not->toBeNull();
    $this->travel(181)->minutes();
    expect(chores($this))->toHaveKey('burp');
    foreach ([now()->subMinute(), now()->addDays(15)] as $until) {
        mark($this, $burp, $until->toImmutable())->assertJsonValidationErrors(['until']);
    }
    $this->postJson('/api/chores/marks', ['chores' => [['task' => 'dance']]])->assertJsonValidationErrors([
        'chores.0.batchId',
        'chores.0.task',
        'chores.0.dueOn',
        'requestKey',
    ]);
});

it('takes a taste and a reading in the log for what they are', function (): void {
    $batch = tended($this, 5);
    expect(chores($this))->toHaveKeys(['taste', 'ph']);
    note($this, $batch['id'], ['marks' => ['sour' => 3, 'liked' => 4], 'smell' => 'sour'])->assertCreated();
    note($this, $batch['id'], ['ph' => 4.1])->assertCreated();
    expect(chores($this))
        ->not->toHaveKeys(['taste'])
        ->not->toHaveKeys(['ph']);
});

it('does what is due in hours in hours, and before quiet hours begin', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-11-25 14:00', 'UTC'));
    app(CurrentHousehold::class)
        ->get()
        ->update(['quiet_from' => '21:00', 'quiet_to' => '07:00']);
    $formula = collect($this->getJson('/api/formulas')->json('formulas'))->firstWhere('method', 'cultured_condiment');
    $batch = $this->postJson("/api/formulas/{$formula['id']}/batches", [
        'name' => 'Dressing',
        'place' => 'counter',
        'requestKey' => (string) Str::ulid(),
    ])->json();
    $model = Batch::query()->findOrFail($batch['id']);
    $document = $model->formulaVersion->document;
    Illuminate\Support\Facades\DB::table('formula_versions')
        ->where('id', $model->formula_version_id)
        ->update([
            'document' => json_encode([
                ...$document,
                'window' => ['youngDays' => 0.25, 'readyDays' => 0.375, 'longDays' => 0.5, 'celsius' => 20],
            ]),
        ]);
    $chore = chores($this, 'soon')['fridge'];
    // Nine hours from two in the afternoon is eleven at night; the kitchen is quiet from nine on.
    expect($chore['at'])->toBe('2026-11-25T21:00:00+00:00');
    $this->travelTo(CarbonImmutable::parse('2026-11-25 20:59', 'UTC'));
    expect(chores($this))->not->toHaveKey('fridge');
    $this->travelTo(CarbonImmutable::parse('2026-11-25 21:00', 'UTC'));
    expect(chores($this))
        ->toHaveKey('fridge')
        ->and($this->getJson('/api/chores')->json('isQuiet'))
        ->toBeTrue();
});

it(
    'moves to the fridge and ripens there by its own slow clock; a move is taken back like any entry',
    function (): void {
        $batch = tended($this, 2);
        $move = fn(string $place, ?string $key = null) => $this->putJson("/api/batches/{$batch['id']}/place", [
            'place' => $place,
            'requestKey' => $key ?? (string) Str::ulid(),
        ]);
        $key = (string) Str::ulid();
        $moved = $move('fridge', $key)->assertOk()->json();
        expect($move('fridge', $key)->json('entries'))
            ->toBe($moved['entries'])
            ->and($moved['place'])
            ->toBe('fridge')
            ->and($moved['window']['readyOn'])
            ->toBeGreaterThan($batch['window']['readyOn'])
            ->and(array_column($moved['coming'], 'code'))
            ->not->toContain('burp')
            ->and(end($moved['entries'])['text'])
            ->toBe('Standing in the fridge');
        $back = $this->postJson(
            "/api/batches/{$batch['id']}/entries/" . end($moved['entries'])['id'] . '/reversal',
        )->assertCreated();
        expect($back->json('place'))
            ->toBe('counter')
            ->and($back->json('window.readyOn'))
            ->toBe($batch['window']['readyOn']);
        // Not ready yet, it may go out again to go on.
        $move('fridge')->assertOk();
        expect($move('cool')->assertOk()->json('place'))->toBe('cool');
        $this->putJson("/api/batches/{$batch['id']}/place", ['place' => 'roof'])->assertJsonValidationErrors([
            'place',
            'requestKey',
        ]);
    },
);

it(
    'asks for a reading before a jar that is ready is stored out of the fridge, bottled or given away',
    function (): void {
        $batch = tended($this, 30);
        $move = fn(string $place) => $this->putJson("/api/batches/{$batch['id']}/place", [
            'place' => $place,
            'requestKey' => (string) Str::ulid(),
        ]);
        $pass = fn(array $how) => $this->postJson("/api/batches/{$batch['id']}/releases", [
            'requestKey' => (string) Str::ulid(),
            ...$how,
        ]);
        $move('fridge')->assertOk();
        $move('cool')->assertJsonValidationErrors(['place' => 'no pH reading']);
        $pass(['purpose' => 'bottle'])->assertJsonValidationErrors(['purpose' => 'no pH reading']);
        note($this, $batch['id'], ['ph' => 4.9]);
        $pass(['purpose' => 'give_away', 'grams' => 50])->assertJsonValidationErrors([
            'purpose' => 'above 4.6',
        ]);
        note($this, $batch['id'], ['ph' => 3.8]);
        $pass(['purpose' => 'give_away'])->assertJsonValidationErrors(['grams']);
        $pass(['purpose' => 'give_away', 'grams' => 9000])->assertJsonValidationErrors(['grams']);
        $before = $this->getJson("/api/batches/{$batch['id']}")->json();
        expect(collect($before['gates'])->pluck('isOpen', 'purpose')->all())->toBe([
            'bottle' => true,
            'store_out' => true,
            'give_away' => true,
        ]);
        $key = (string) Str::ulid();
        $pass(['purpose' => 'give_away', 'grams' => 50, 'requestKey' => $key])->assertOk();
        $after = $pass(['purpose' => 'give_away', 'grams' => 50, 'requestKey' => $key])->json();
        expect($before['gramsLeft'] - $after['gramsLeft'])
            ->toEqualWithDelta(50.0, 1e-6)
            ->and(collect($after['flow']['to'])->pluck('name'))
            ->toContain('given');
        $pass(['purpose' => 'bottle'])->assertOk();
        expect($this->getJson("/api/batches/{$batch['id']}/log")->json('notes.0.text'))->toContain('Bottled');
        // What is put in later makes the reading void.
        $this->travel(1)->minutes();
        $this->postJson("/api/batches/{$batch['id']}/entries", [
            'entry' => ['kind' => 'top_up', 'grams' => 60],
            'requestKey' => (string) Str::ulid(),
        ])->assertCreated();
        $move('cool')->assertJsonValidationErrors(['place']);
        expect($this->getJson("/api/batches/{$batch['id']}")->json('lastReading'))->toMatchArray([
            'ph' => 3.8,
            'stands' => false,
        ]);
        note($this, $batch['id'], ['ph' => 4.2]);
        // Strips count to 4.0, and nobody said that it was a meter.
        $move('cool')->assertJsonValidationErrors(['place']);
        $this->travel(1)->minutes();
        note($this, $batch['id'], ['ph' => 4.2, 'phBy' => 'meter', 'phMargin' => 0.05]);
        $move('cool')->assertOk();
    },
);

it('moves a ready day when a warm spell is expected, and again when it was otherwise', function (): void {
    $batch = tended($this, 1);
    $readyOn = fn(): string => $this->getJson("/api/batches/{$batch['id']}")->json('window.readyOn');
    $usual = $readyOn();
    $rooms = $this->postJson('/api/rooms/counter/spells', [
        'fromOn' => now()->toDateString(),
        'toOn' => now()->addDays(6)->toDateString(),
        'celsius' => 29,
    ])->assertCreated();
    $warm = $readyOn();
    expect($warm)->toBeLessThan($usual)->and($rooms->json('rooms.0.jars.0.readyOn'))->toBe($warm);
    $spell = $rooms->json('rooms.0.spells.0.id');
    $this->deleteJson("/api/rooms/cool/spells/{$spell}")->assertNotFound();
    $this->deleteJson("/api/rooms/counter/spells/{$spell}")->assertOk();
    expect($readyOn())->toBe($usual);
    $this->putJson('/api/rooms/counter', [
        'version' => 0,
        'usualCelsius' => 14,
        'swingCelsius' => 2,
        'warmestHour' => 15,
    ])->assertOk();
    expect($readyOn())->toBeGreaterThan($usual);
    $this->postJson('/api/rooms/counter/spells', [
        'fromOn' => '2026-11-25',
        'toOn' => '2026-11-24',
        'celsius' => 99,
    ])->assertJsonValidationErrors(['toOn', 'celsius']);
    $this->putJson('/api/rooms/attic', [
        'usualCelsius' => 14,
        'swingCelsius' => 2,
        'warmestHour' => 15,
    ])->assertNotFound();
});

it('follows what was read where the jar stands, and leaves alone what the cook has said for a jar', function (): void {
    $free = tended($this, 6);
    $said = tended($this, 6, ['roomCelsius' => 18]);
    $ready = fn(array $batch): string => $this->getJson("/api/batches/{$batch['id']}")->json('window.readyOn');
    [$freeBefore, $saidBefore] = [$ready($free), $ready($said)];
    $readings = array_map(
        fn(int $hours): array => ['at' => now()->subHours($hours)->toIso8601String(), 'celsius' => 27.0],
        range(0, 144, 3),
    );
    $this->postJson('/api/rooms/counter/readings', [
        'readings' => $readings,
        'source' => 'logger',
    ])->assertCreated();
    $this->postJson('/api/rooms/counter/readings', [
        'readings' => $readings,
        'source' => 'logger',
    ])->assertCreated();
    expect(RoomReading::query()->count())
        ->toBe(49)
        ->and($ready($free))
        ->toBeLessThan($freeBefore)
        ->and($ready($said))
        ->toBe($saidBefore);
    $this->postJson('/api/rooms/counter/readings', [
        'readings' => [['at' => now()->addDay()->toIso8601String(), 'celsius' => 20]],
        'source' => 'typed',
    ])->assertJsonValidationErrors(['readings.0.at']);
});

it('computes how ripe a jar was when it was tasted again, once more temperatures are known', function (): void {
    $batch = tended($this, 8);
    $id = note($this, $batch['id'], [
        'marks' => ['liked' => 4],
        'at' => now()->subDays(2)->toIso8601String(),
    ])->json('id');
    $ripened = fn(): float => Note::query()->findOrFail($id)->ripened_s;
    $before = $ripened();
    $spell = $this->postJson('/api/rooms/counter/spells', [
        'fromOn' => now()->subDays(7)->toDateString(),
        'toOn' => now()->subDays(4)->toDateString(),
        'celsius' => 28,
    ])->json('rooms.0.spells.0.id');
    // Four days at 28 instead of 20 °C are worth as many more as 2.25^0.7 is above 2.25^-0.1.
    expect(($ripened() - $before) / 86_400)->toEqualWithDelta(4 * (2.25 ** 0.7 - 2.25 ** -0.1), 0.02);
    $this->deleteJson("/api/rooms/counter/spells/{$spell}")->assertOk();
    expect($ripened())->toEqualWithDelta($before, 1.0);
});

it('reads a logger\'s file, looked at first, with a reason for each line left out', function (): void {
    $day = now()->subDays(2)->toDateString();
    $text =
        "time;celsius\r\n{$day} 08:00;21,5\r\n{$day}T10:00:00Z;22.25\r\nyesterday;20\r\n{$day} 12:00;hot\r\n" .
        "{$day} 14:00;180\r\n" .
        now()->addDays(3)->toDateString() .
        " 08:00;20\r\n";
    $look = $this->postJson('/api/rooms/cool/log', ['text' => $text, 'isPreview' => true])->assertOk();
    expect($look->json())
        ->toMatchArray([
            'readings' => 2,
            'inFuture' => 1,
            'problemsInAll' => 3,
            'lowest' => 21.5,
            'highest' => 22.25,
        ])
        ->and(array_column($look->json('problems'), 'line'))
        ->toBe([4, 5, 6])
        ->and(RoomReading::query()->count())
        ->toBe(0);
    $this->postJson('/api/rooms/cool/log', ['text' => $text, 'isPreview' => false])->assertOk();
    expect(RoomReading::query()->pluck('celsius')->sort()->values()->all())->toBe([21.5, 22.25]);
    $this->postJson('/api/rooms/cool/log', ['text' => ''])->assertJsonValidationErrors(['text', 'isPreview']);
});

it('says how it stands with its acid, and goes on from what was read', function (): void {
    $batch = tended($this, 4);
    $expected = fn(): float => $this->getJson("/api/batches/{$batch['id']}")->json('expectedPh');
    expect($expected())
        ->toBeLessThan(5.0)
        ->and($this->getJson("/api/batches/{$batch['id']}")->json('lastReading'))
        ->toBeNull();
    note($this, $batch['id'], ['ph' => 5.4])->assertCreated();
    expect($expected())->toEqualWithDelta(5.4, 1e-6);
    $this->travel(2)->days();
    expect($expected())->toBeLessThan(5.4)->toBeGreaterThan(3.5);
});

it('keeps a log: marks, words, readings, a note, and takes one out again', function (): void {
    $batch = tended($this, 7);
    $written = note($this, $batch['id'], [
        'marks' => ['salty' => 2, 'crunch' => 5, 'liked' => 4],
        'smell' => 'sour',
        'colour' => 'duller',
        'bubbles' => 'few',
        'celsius' => 19.5,
        'ph' => 3.9,
        'text' => 'Crunchy still.',
    ])->assertCreated();
    expect($written->json())->toMatchArray([
        'day' => 7,
        'marks' => ['salty' => 2, 'crunch' => 5, 'liked' => 4],
        'ph' => 3.9,
        'text' => 'Crunchy still.',
    ]);
    $log = $this->getJson("/api/batches/{$batch['id']}/log")->assertOk();
    expect($log->json('notes'))->toHaveCount(1);
    $this->deleteJson("/api/notes/{$written->json('id')}")
        ->assertOk()
        ->assertJsonPath('notes', []);
    note($this, $batch['id'], [])->assertJsonValidationErrors(['text']);
    note($this, $batch['id'], [
        'marks' => ['liked' => 6],
        'ph' => 12,
        'smell' => 'purple',
    ])->assertJsonValidationErrors(['marks.liked', 'ph', 'smell']);
    note($this, $batch['id'], [
        'ph' => 4,
        'at' => now()->addDay()->toIso8601String(),
    ])->assertJsonValidationErrors(['at']);
});

it('encodes a photo again, outside the public folder, and refuses what is no photo', function (): void {
    $batch = tended($this, 1);
    $id = note($this, $batch['id'], ['text' => 'Look'])->json('id');
    $send = fn(UploadedFile $file) => $this->post(
        "/api/notes/{$id}/photo",
        ['photo' => $file],
        ['Accept' => 'application/json'],
    );
    $large = UploadedFile::fake()->image('jar.png', 3000, 900);
    File::append($large->getPathname(), '<?php echo "hidden";');
    $send($large)->assertCreated();
    $path = SavePhoto::path(Note::query()->findOrFail($id));
    [$width, $height, $type] = getimagesize($path);
    expect([$width, $height, $type])
        ->toBe([1600, 480, IMAGETYPE_JPEG])
        ->and(file_get_contents($path))
        ->not->toContain('hidden')
        ->and(str_starts_with($path, public_path()))
        ->toBeFalse();
    $this->get("/api/notes/{$id}/photo")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/jpeg')
        ->assertHeader('X-Content-Type-Options', 'nosniff');
    $send(UploadedFile::fake()->image('again.jpg', 20, 20))->assertCreated();
    expect(file_exists($path))->toBeFalse();
    $page = '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>';
    foreach (
        [
            UploadedFile::fake()->createWithContent('jar.svg', $page),
            UploadedFile::fake()->createWithContent('jar.jpg', 'no picture'),
            UploadedFile::fake()->createWithContent('jar.gif', "GIF89a\x01\x00\x01\x00"),
        ]
        as $file
    ) {
        $send($file)
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['photo']);
    }
    $this->postJson("/api/notes/{$id}/photo")->assertJsonValidationErrors(['photo']);
    $this->asCook($this->cook('neighbour@example.org'));
    $this->getJson("/api/notes/{$id}/photo")->assertNotFound();
});

it('turns a photo upright as the camera was held', function (): void {
    $batch = tended($this, 1);
    $id = note($this, $batch['id'], ['text' => 'Look'])->json('id');
    $file = UploadedFile::fake()->image('jar.jpg', 40, 20);
    $jpeg = file_get_contents($file->getPathname());
    // Exif with one entry: orientation 6, the camera turned by a quarter (JEITA CP-3451, from memory).
    $exif = "Exif\0\0II*\0\x08\0\0\0\x01\0\x12\x01\x03\0\x01\0\0\0\x06\0\0\0\0\0\0\0";
    $segment = "\xFF\xE1" . pack('n', strlen($exif) + 2) . $exif;
    file_put_contents($file->getPathname(), substr($jpeg, 0, 2) . $segment . substr($jpeg, 2));
    $this->post("/api/notes/{$id}/photo", ['photo' => $file])->assertCreated();
    [$width, $height] = getimagesize(SavePhoto::path(Note::query()->findOrFail($id)));
    expect([$width, $height])->toBe([20, 40]);
});

it('lays batches of one kind side by side, and learns when they are liked', function (): void {
    $first = tended($this, 20, ['strengthPercent' => '2']);
    $second = tended($this, 9, ['strengthPercent' => '3']);
    tended($this, 9, [
        'method' => 'equilibrium_brine',
        'strengthBasis' => 'of_everything',
    ]);
    note($this, $first['id'], [
        'marks' => ['liked' => 2, 'sour' => 5],
        'ph' => 3.6,
        'at' => now()->subDay()->toIso8601String(),
    ]);
    note($this, $first['id'], [
        'marks' => ['liked' => 5, 'sour' => 3],
        'at' => now()->subDays(8)->toIso8601String(),
    ]);
    $log = $this->getJson("/api/batches/{$second['id']}/log")->json();
    expect($log['tastingsNeeded'])
        ->toBe(1)
        ->and($log['ownDays'])
        ->toBeNull()
        ->and(array_column($log['alike'], 'id'))
        ->toBe([$second['id'], $first['id']])
        ->and($log['alike'][1])
        ->toMatchArray(['ph' => 3.6, 'tastings' => 2, 'isThis' => false])
        ->and($log['alike'][1]['strengthPercent'])
        ->toEqualWithDelta(2.0, 0.001)
        ->and($log['alike'][1]['marks'])
        ->toMatchArray(['liked' => 3.5, 'sour' => 4.0, 'heat' => null])
        ->and($log['alike'][1]['meanCelsius'])
        ->toEqualWithDelta(20.0, 1e-6)
        ->and($log['alike'][1]['warmDays'])
        ->toEqualWithDelta(20.0, 0.6);
    note($this, $second['id'], ['marks' => ['liked' => 4], 'at' => now()->subDays(2)->toIso8601String()]);
    $own = $this->getJson("/api/batches/{$second['id']}/log")->json('ownDays');
    // Twelve days count nine times, seven days four times, nineteen not at all; noon to now is half a day more or less.
    // The window is said at 21 °C, and the kitchen stands at 20: everything goes 2.25^-0.1 times as fast there.
    expect($own)->toEqualWithDelta(((12 * 9 + 7 * 4) / 13) * 2.25 ** -0.1, 0.6);
    $aim = fn(?string $aim) => $this->putJson("/api/batches/{$second['id']}/aim", ['aim' => $aim])
        ->assertOk()
        ->json('window');
    expect($aim(null)['ownDays'])
        ->toEqualWithDelta($own, 0.6)
        ->and($aim('young')['readyOn'])
        ->toBe($aim('young')['youngOn'])
        ->and($aim('long')['readyOn'])
        ->toBeGreaterThan($aim('middle')['readyOn']);
    $this->putJson("/api/batches/{$second['id']}/aim", ['aim' => 'burnt'])->assertJsonValidationErrors(['aim']);
});

it('looks into a jar and writes the verdict down; a condemned jar asks for the bin', function (): void {
    $batch = tended($this, 6);
    $questions = $this->getJson("/api/batches/{$batch['id']}/check")
        ->assertOk()
        ->json('questions');
    expect(array_column($questions, 'code'))->toContain('under', 'lid', 'bubbles');
    $well = [
        'top_clean',
        'all_under',
        'brine_cloudy',
        'colour_as_expected',
        'lid_flat',
        'few_bubbles',
        'smell_sour',
        'crisp',
    ];
    $look = fn(array $found, string $path = '') => $this->postJson("/api/batches/{$batch['id']}/check{$path}", [
        'found' => $found,
        'requestKey' => (string) Str::ulid(),
    ]);
    expect($look($well, '/preview')->assertOk()->json('verdict'))
        ->toBe('fine')
        ->and($look(['top_clean'], '/preview')->json('verdict'))
        ->toBe('wait')
        ->and(
            $look(['film_flat', ...array_slice($well, 1)])
                ->assertCreated()
                ->json('inspection.verdict'),
        )
        ->toBe('fine_do');
    expect($this->getJson("/api/batches/{$batch['id']}")->json('attention.code'))->not->toBe('discard');
    $this->travel(1)->minutes();
    $look([...$well, 'fuzz_white'])->assertCreated();
    $after = $this->getJson("/api/batches/{$batch['id']}")->json();
    expect($after['attention']['code'])
        ->toBe('discard')
        ->and(array_keys(chores($this)))
        ->toBe(['discard'])
        ->and(collect($after['gates'])->where('isOpen', true)->all())
        ->toBe([])
        ->and($this->getJson("/api/batches/{$batch['id']}/log")->json('notes.0'))
        ->toMatchArray(['verdict' => 'do_not_eat', 'verdictLabel' => 'Do not eat it']);
    $look(['a unicorn'])->assertJsonValidationErrors(['found.0']);
});

it('practises on drawn jars and keeps a score', function (): void {
    $first = $this->getJson('/api/practice')->assertOk()->json();
    expect($first['said'])
        ->toBeNull()
        ->and($first['score'])
        ->toBe(['right' => 0, 'of' => 0]);
    $key = (string) Str::ulid();
    $right = $this->postJson('/api/practice', [
        'number' => $first['number'],
        'answer' => in_array($first['signs'][0], ['film_flat'], true) ? 'skim' : 'out',
        'requestKey' => $key,
    ])->assertCreated();
    $this->postJson('/api/practice', [
        'number' => $first['number'],
        'answer' => 'wait',
        'requestKey' => $key,
    ]);
    expect($right->json('said.because'))
        ->not->toBe('')
        ->and($this->getJson('/api/practice')->json('number'))
        ->toBe(1)
        ->and($this->getJson('/api/practice')->json('score.of'))
        ->toBe(1);
    $this->postJson('/api/practice', ['number' => -1, 'answer' => 'eat'])->assertJsonValidationErrors([
        'number',
        'answer',
        'requestKey',
    ]);
});

/** The day until which a jar on the counter is opened every day: a week at 21 °C, at 20 °C (Q10 2.25). */
function lively(CarbonInterface $begun): CarbonImmutable
{
    return CarbonImmutable::instance($begun)->addSeconds((int) (7 * 86_400 * 2.25 ** 0.1))->startOfDay();
}

/** What a strict reader makes of the kitchen's calendar. */
function calendar(object $test): VCalendar
{
    $text = $test->get('/api/calendar/file')->assertOk()->getContent();
    $calendar = Reader::read($text);
    expect($calendar)->toBeInstanceOf(VCalendar::class)->and($calendar->validate())->toBe([]);
    foreach (explode("\r\n", $text) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75);
    }

    return $calendar;
}

it('hands the chores to a calendar that a strict reader finds nothing wrong with', function (): void {
    tended($this, 2, ['name' => 'Carrots, with; "odd" \\ name and 🥕 ' . str_repeat('long ', 14)]);
    $calendar = calendar($this);
    $burp = collect($calendar->select('VEVENT'))->first(fn($event): bool => str_contains((string) $event->UID, 'burp'));
    expect((string) $burp->DTSTART)
        ->toBe(now()->format('Ymd'))
        ->and((string) $burp->DTSTART['VALUE'])
        ->toBe('DATE')
        ->and((string) $burp->RRULE)
        ->toBe(
            'FREQ=DAILY;INTERVAL=1;COUNT=' .
                (1 + (int) now()->startOfDay()->diffInDays(lively(now()->subDays(2)->setTime(12, 0)))),
        )
        ->and((string) $burp->SUMMARY)
        ->toContain('Carrots, with; "odd" \\ name and 🥕')
        ->and((string) $burp->DESCRIPTION)
        ->toContain('burst');
});

it('keeps a chore on its day in every time zone and over a change of the clocks', function (
    string $zone,
    string $begun,
    string $asked,
): void {
    $this->travelTo(CarbonImmutable::parse($begun, $zone));
    $this->asCook($this->cook('elsewhere@example.org', $zone));
    $batch = tended($this, 0);
    $this->travelTo(CarbonImmutable::parse($asked, $zone));
    $first = CarbonImmutable::parse($begun)->addDay();
    expect(chores($this)['burp']['dueOn'])->toBe($first->toDateString());
    $events = collect(calendar($this)->select('VEVENT'));
    $burp = $events->first(fn($event): bool => str_contains((string) $event->UID, 'burp'));
    expect((string) $burp->DTSTART)->toBe(CarbonImmutable::parse($asked)->format('Ymd'));
    // Unfolded by the reader in any zone, its days are the kitchen's days.
    foreach (['UTC', 'Pacific/Kiritimati', 'America/Los_Angeles', $zone] as $elsewhere) {
        $days = [];
        $expanded = calendar($this)->expand(
            new DateTime('2026-01-01', new DateTimeZone($elsewhere)),
            new DateTime('2027-12-31', new DateTimeZone($elsewhere)),
            new DateTimeZone($elsewhere),
        );
        foreach ($expanded->select('VEVENT') as $event) {
            if (str_contains((string) $event->UID, 'burp')) {
                $days[] = $event->DTSTART->getDateTime(new DateTimeZone($elsewhere))->format('Y-m-d');
            }
        }
        $wanted = [];
        for (
            $day = CarbonImmutable::parse($asked)->startOfDay();
            $day->lessThanOrEqualTo(lively(CarbonImmutable::parse($begun, $zone))->shiftTimezone('UTC')->endOfDay());
            $day = $day->addDay()
        ) {
            $wanted[] = $day->toDateString();
        }
        expect($days)->toBe($wanted);
    }
    expect($batch['startedOn'])->toBe(CarbonImmutable::parse($begun)->toDateString());
})->with([
    'clocks go back' => ['Europe/Lisbon', '2026-10-24 23:30', '2026-10-26 00:30'],
    'clocks go forward' => ['Europe/Lisbon', '2026-03-28 23:30', '2026-03-30 00:30'],
    'far east' => ['Pacific/Auckland', '2026-11-25 00:20', '2026-11-26 23:50'],
    'far west' => ['America/Los_Angeles', '2026-11-25 23:40', '2026-11-27 00:10'],
    'by half hours' => ['Asia/Kolkata', '2026-11-25 04:00', '2026-11-26 04:00'],
]);

it('shows the calendar to who knows the secret address, until it is revoked', function (): void {
    tended($this, 1);
    expect($this->getJson('/api/calendar')->json('path'))->toBeNull();
    $path = $this->postJson('/api/calendar')->assertCreated()->json('path');
    expect($path)->toMatch('#^/calendar/[A-Za-z0-9]{48}\.ics$#');
    $row = (array) Illuminate\Support\Facades\DB::table('calendar_links')->first();
    expect($row['secret'])->not->toContain(substr($path, 10, 48));
    auth()->forgetGuards();
    app()->forgetInstance(CurrentHousehold::class);
    $feed = $this->get($path)->assertOk();
    expect($feed->headers->get('Content-Type'))
        ->toStartWith('text/calendar')
        ->and(Reader::read($feed->getContent())->validate())
        ->toBe([])
        ->and($feed->getContent())
        ->toContain('Carrots');
    $this->get('/calendar/' . str_repeat('a', 48) . '.ics')->assertNotFound();

    $this->asCook(App\Models\User::query()->where('email', 'cook@example.org')->sole());
    $next = $this->postJson('/api/calendar')->json('path');
    $this->get($path)->assertNotFound();
    $this->get($next)->assertOk();
    $this->deleteJson('/api/calendar')->assertOk()->assertJsonPath('path', null);
    $this->get($next)->assertNotFound();
});

it('expects no acid of a condiment that nobody has read', function (): void {
    $ketchup = Formula::query()->where('key', 'ketchup-whey')->sole()->id;
    $jar = $this->postJson("/api/formulas/{$ketchup}/batches", [
        'by' => 'as_written',
        'intoJarId' => null,
        'hasOneMore' => true,
        'name' => 'Ketchup',
        'place' => 'counter',
        'startedOn' => null,
        'plannedBatchId' => null,
        'begin' => 'packed',
        'requestKey' => (string) Str::ulid(),
    ])
        ->assertCreated()
        ->json('id');
    $this->travel(3)->days();
    $ph = fn(): ?float => $this->getJson("/api/batches/{$jar}")->json('expectedPh');
    expect($ph())->toBeNull();
    $this->postJson("/api/batches/{$jar}/notes", [
        'ph' => 4.1,
        'phBy' => 'meter',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->travel(1)->days();
    expect($ph())->toBeLessThanOrEqual(4.1)->toBeGreaterThan(3.3);
    $carrots = $this->startJar(['name' => 'Sticks'])->json('id');
    expect($this->getJson("/api/batches/{$carrots}")->json('expectedPh'))->toBeGreaterThan(5.0);
});
