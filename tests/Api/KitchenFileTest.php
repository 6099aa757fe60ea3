<?php

declare(strict_types=1);

use App\Demo\DemoKitchen;
use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Note;
use App\Models\Person;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/*
 * A whole kitchen goes out as a file and comes in again, beside the one it came from, in full or not at all.
 */

beforeEach(function (): void {
    $this->freezeSecond();
    config(['tempesal.uploads' => sys_get_temp_dir() . '/tempesal-file-uploads-' . Str::random(8)]);
    config(['tempesal.photos' => sys_get_temp_dir() . '/tempesal-file-photos-' . Str::random(8)]);
    $this->small = function (): array {
        $this->asCook($this->cook());
        $jar = $this->startJar()->json();
        $this->postJson('/api/servings', [
            'batchId' => $jar['id'],
            'personId' => $jar['portions'][0]['personId'],
            'amount' => '20 g',
            'requestKey' => (string) Str::ulid(),
        ])->assertCreated();
        $this->postJson("/api/batches/{$jar['id']}/notes", ['ph' => 4, 'requestKey' => (string) Str::ulid()]);

        return kitchenFile($this);
    };
});

afterEach(function (): void {
    File::deleteDirectory(config('tempesal.photos'));
    File::deleteDirectory(config('tempesal.uploads'));
});

/** The document of the kitchen one is in. */
function kitchenFile(Tests\TestCase $test): array
{
    return json_decode((string) $test->get('/api/kitchen/file')->assertOk()->getContent(), true);
}

function bringKitchen(Tests\TestCase $test, mixed $document): TestResponse
{
    $text = is_string($document)
        ? $document
        : json_encode($document, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);

    return $test->post(
        '/api/kitchen/file',
        ['file' => UploadedFile::fake()->createWithContent('kitchen.json', $text)],
        ['Accept' => 'application/json'],
    );
}

/** A document with every id told by its place, so that two of them can be held side by side. */
function withoutIds(array $document): string
{
    $ids = [];
    foreach ($document['rows'] as $rows) {
        array_push($ids, ...array_column($rows, 'id'));
    }
    // Some are written in capital letters; their order is the same.
    usort($ids, strcasecmp(...));
    $text = json_encode(
        array_diff_key($document, ['made' => 0, 'photos' => 0]),
        JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
    );

    return strtr($text, array_combine($ids, array_map(fn(int $at): string => "id{$at}", array_keys($ids))));
}

it('comes back to the last digit beside the kitchen it came from', function (): void {
    app(DemoKitchen::class)->layOut();
    $this->demo = Household::query()->where('is_demo', true)->sole();
    $this->asCook(User::query()->where('household_id', $this->demo->id)->sole());
    $note = Note::query()->firstOrFail();
    $photo = UploadedFile::fake()->image('jar.png', 60, 40);
    $this->post("/api/notes/{$note->id}/photo", ['photo' => $photo])->assertCreated();
    $out = kitchenFile($this);
    $today = $this->getJson('/api/days/today')->json();
    $week = $this->getJson('/api/weeks/today')->json();
    expect(count($out['photos']))->toBe(1)->and($out['rows']['batches'])->not->toBe([]);

    $this->asCook($this->cook('mover@example.org'));
    $rows = bringKitchen($this, $out)->assertCreated()->json('rows');
    expect($rows)->toBe(array_map(count(...), $out['rows']));
    $again = kitchenFile($this);
    // Told by the first place at which they differ, since the whole is long.
    [$one, $other] = [withoutIds($out), withoutIds($again)];
    $same = strspn($one ^ $other, "\0");
    expect(substr($other, max(0, $same - 60), 120))->toBe(substr($one, max(0, $same - 60), 120));
    expect(strlen($other))->toBe(strlen($one));
    // No row is the old one, and the old kitchen has lost none.
    foreach ($out['rows'] as $table => $some) {
        expect(array_intersect(array_column($again['rows'][$table], 'id'), array_column($some, 'id')))->toBe([]);
        expect(DB::table($table)->where('household_id', $this->demo->id)->count())->toBe(count($some));
    }
    $plain = fn(array $day): array => array_map(
        fn(array $person): array => [$person['name'], $person['marginMg'], $person['ferments'], $person['roomMg']],
        $day['people'],
    );
    expect($plain($this->getJson('/api/days/today')->json()))->toBe($plain($today));
    expect(array_column($this->getJson('/api/weeks/today')->json('conflicts'), 'text'))->toBe(
        array_column($week['conflicts'], 'text'),
    );
    $kept = Note::query()->where('photo', '!=', null)->sole();
    $this->get("/api/notes/{$kept->id}/photo")->assertOk();
    $size = getimagesize((string) App\Actions\SavePhoto::path($kept));
    expect([$size[0], $size[1]])->toBe([60, 40]);
    // Another zone and spoon came along with it.
    expect(app(CurrentHousehold::class)->get()->name)->toBe($this->demo->name);
});

it('is not brought in where something was made already', function (): void {
    $out = ($this->small)();
    bringKitchen($this, $out)->assertUnprocessable()->assertJsonValidationErrors('file');
    expect(Batch::query()->count())->toBe(count($out['rows']['batches']));
});

it('takes over nothing of what does not hold together', function (Closure $spoil, string $says): void {
    $out = ($this->small)();
    $this->asCook($this->cook('mover@example.org'));
    $before = kitchenFile($this);
    bringKitchen($this, $spoil($out, $this))
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['file' => $says]);
    expect(array_diff_key(kitchenFile($this), ['made' => 0]))->toBe(array_diff_key($before, ['made' => 0]));
})->with([
    'no document' => [fn(): string => 'kitchen', 'not a kitchen file'],
    'a cut one' => [fn(array $all): string => substr((string) json_encode($all), 0, 4000), 'not a kitchen file'],
    'another document' => [fn(array $all): array => [...$all, 'tempesal' => 'formula'], 'not a kitchen file'],
    'a later version' => [fn(array $all): array => [...$all, 'version' => 99], 'Versions 1 to 4'],
    'the same row twice' => [
        function (array $all): array {
            $all['rows']['people'][] = $all['rows']['people'][0];

            return $all;
        },
        'same id',
    ],
    'a row that is none' => [
        function (array $all): array {
            $all['rows']['jars'][0] = 'jar';

            return $all;
        },
        '“jars”',
    ],
    'a life without its jar' => [
        function (array $all): array {
            $all['rows']['batches'] = [];

            return $all;
        },
        'refers to something that is not',
    ],
    'a serving of another kitchen' => [
        function (array $all, Tests\TestCase $test): array {
            $all['rows']['intake_targets'][0]['person_id'] = Person::query()->firstOrFail()->id;

            return $all;
        },
        'refers to something that is not',
    ],
    'a method that is none' => [
        function (array $all): array {
            $all['rows']['batches'][0]['method'] = 'magic';

            return $all;
        },
        'not consistent',
    ],
    'a ledger that cannot be' => [
        function (array $all): array {
            $lines = &$all['rows']['batch_entries'];
            foreach ($lines as $i => $line) {
                if ($line['kind'] === 'add') {
                    unset($lines[$i]);
                }
            }
            $lines = array_values($lines);

            return $all;
        },
        'not consistent',
    ],
    'a zone that is none' => [
        fn(array $all): array => [...$all, 'household' => [...$all['household'], 'time_zone' => 'Mars/Base']],
        'not consistent',
    ],
    'nobody' => [fn(array $all): array => [...$all, 'rows' => ['people' => []]], 'Nobody'],
]);

it('looks for no photo outside its folder', function (): void {
    $out = ($this->small)();
    $out['rows']['notes'][0]['photo'] = '../../../../etc/passwd';
    $out['photos'] = ['../../../../etc/passwd' => base64_encode('x')];
    $this->asCook($this->cook('mover@example.org'));
    bringKitchen($this, $out)->assertCreated();
    expect(Note::query()->where('photo', '!=', null)->count())->toBe(0);
});

/** A kitchen with two photos. */
function withPhotos(Tests\TestCase $test): void
{
    ($test->small)();
    $batch = Batch::query()->firstOrFail();
    foreach ([40, 60] as $side) {
        $note = $test
            ->postJson("/api/batches/{$batch->id}/notes", ['text' => 'a photo', 'requestKey' => (string) Str::ulid()])
            ->assertCreated();
        $photo = UploadedFile::fake()->image('jar.png', $side, $side);
        $test->post("/api/notes/{$note->json('id')}/photo", ['photo' => $photo])->assertCreated();
    }
}

/** The archive of the kitchen one is in, as a file. */
function archiveOf(Tests\TestCase $test): string
{
    $answer = $test->get('/api/kitchen/file?as=zip')->assertOk();
    $path = (string) tempnam(sys_get_temp_dir(), 'kitchen');
    copy($answer->baseResponse->getFile()->getPathname(), $path);

    return $path;
}

it('goes out as an archive with the same document and each photo beside it', function (): void {
    withPhotos($this);
    $document = kitchenFile($this);
    $zip = new ZipArchive();
    $zip->open(archiveOf($this));
    // 40.0 in the one is 40 in the other.
    $inside = json_decode((string) json_encode(json_decode((string) $zip->getFromName('kitchen.json'), true)), true);
    expect(withoutIds($inside))->toBe(withoutIds($document));
    expect($document['photos'])->toHaveCount(2);
    foreach ($document['photos'] as $name => $bytes) {
        expect($zip->getFromName("photos/{$name}"))->toBe(base64_decode($bytes));
    }
    expect($zip->numFiles)->toBe(3);
    $this->getJson('/api/kitchen/file?as=tar')->assertUnprocessable();
});

it('comes in as an archive, in one piece or in parts in any order', function (bool $inParts): void {
    withPhotos($this);
    $document = kitchenFile($this);
    $path = archiveOf($this);
    $this->asCook($this->cook('other@example.org'));
    if ($inParts) {
        $upload = $this->postJson('/api/kitchen/file/parts')->assertCreated();
        $bytes = (string) file_get_contents($path);
        $parts = str_split($bytes, (int) ceil(strlen($bytes) / 3));
        // The second is sent twice, and the last first.
        foreach ([2, 1, 0, 1] as $part) {
            $this->call(
                'PUT',
                "/api/kitchen/file/parts/{$upload->json('id')}/{$part}",
                content: $parts[$part],
            )->assertOk();
        }
        $sent = ['upload' => $upload->json('id'), 'parts' => 3];
        $this->postJson('/api/kitchen/file', [...$sent, 'parts' => 4])
            ->assertUnprocessable()
            ->assertJsonPath('errors.file.0', 'A part of the file is missing. Choose the file again.');
        $answer = $this->postJson('/api/kitchen/file', $sent);
        $this->postJson('/api/kitchen/file', $sent)->assertUnprocessable();
    } else {
        $answer = $this->post(
            '/api/kitchen/file',
            ['file' => new UploadedFile($path, 'kitchen.zip', 'application/zip', test: true)],
            ['Accept' => 'application/json'],
        );
    }
    $answer->assertCreated()->assertJsonPath('rows.notes', count($document['rows']['notes']));
    expect(withoutIds(kitchenFile($this)))->toBe(withoutIds($document));
    foreach (Note::query()->where('photo', '!=', null)->get() as $note) {
        $this->get("/api/notes/{$note->id}/photo")->assertOk();
    }
})->with(['in one piece' => false, 'in parts' => true]);

it('takes no part of another kitchen\'s upload, and no part that is none', function (): void {
    $this->asCook($this->cook());
    $upload = $this->postJson('/api/kitchen/file/parts')->assertCreated()->json('id');
    $this->call('PUT', "/api/kitchen/file/parts/{$upload}/0", content: 'x')->assertOk();
    foreach (["{$upload}/-1", "{$upload}/x", "{$upload}/100000", 'nothing/0', '../0'] as $wrong) {
        $this->call('PUT', "/api/kitchen/file/parts/{$wrong}", content: 'x')->assertNotFound();
    }
    $this->asCook($this->cook('other@example.org'));
    $this->call('PUT', "/api/kitchen/file/parts/{$upload}/0", content: 'x')->assertNotFound();
    $this->postJson('/api/kitchen/file', ['upload' => $upload, 'parts' => 1])->assertUnprocessable();
});

it('reads no archive that is none', function (string $bytes): void {
    $this->asCook($this->cook());
    bringKitchen($this, $bytes)->assertUnprocessable();
})->with(["PK\x03\x04 and nothing more", "PK\x03\x04" . str_repeat("\0", 5000)]);
