<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->asCook($this->cook());
    $this->jar = $this->startJar()->json('id');
});

it('refuses in a sentence what was an error of its own', function (
    string $method,
    string $path,
    array $body,
    int $status,
): void {
    $answer = $this->call(
        $method,
        "/api{$path}",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        json_encode($body),
    );
    expect($answer->getStatusCode())->toBe($status)->and($answer->json('message'))->toBeString()->not->toBe('');
})->with([
    'a list to find' => ['GET', '/find?q[]=x', [], 422],
    'a list of foods' => ['GET', '/foods?q[]=x', [], 422],
    'a spell from a list' => [
        'POST',
        '/rooms/cool/spells',
        ['fromOn' => ['2026-01-01'], 'toOn' => '2026-01-02', 'celsius' => 20],
        422,
    ],
    'a spell to a number' => [
        'POST',
        '/rooms/cool/spells',
        ['fromOn' => '2026-01-01', 'toOn' => 5, 'celsius' => 20],
        422,
    ],
    'a byte that no address has' => ['GET', '/batches/%00', [], 404],
    'bytes that are no text' => ['GET', '/batches/%FF', [], 404],
    'a sign-in of lists' => ['POST', '/session', ['email' => ['a' => 'b'], 'password' => []], 422],
]);

it('refuses a body that is too large before it is read', function (): void {
    $server = [
        'CONTENT_TYPE' => 'application/json',
        'HTTP_ACCEPT' => 'application/json',
        'CONTENT_LENGTH' => (string) (30 * 1024 * 1024),
    ];
    $answer = $this->call('POST', '/api/batches', [], [], [], $server, '{}');
    expect($answer->getStatusCode())->toBe(413)->and($answer->json('message'))->toBe('This is too large to send.');
});

it('looks at no more of a list than a list may hold', function (): void {
    $found = array_fill(0, 2400, 'film_flat');
    foreach (["/api/batches/{$this->jar}/check", "/api/batches/{$this->jar}/check/preview"] as $path) {
        $answer = $this->postJson($path, [
            'found' => $found,
            'requestKey' => (string) Str::ulid(),
        ])->assertUnprocessable();
        // One sentence, not one for each of them.
        expect(count($answer->json('errors')))->toBe(1)->and($answer->json('errors'))->toHaveKey('found');
    }
});

it('hands a photo to its own cook alone, and to no cache between', function (): void {
    $note = $this->postJson("/api/batches/{$this->jar}/notes", [
        'text' => 'fizzy',
        'requestKey' => (string) Str::ulid(),
    ])->json('id');
    $this->post(
        "/api/notes/{$note}/photo",
        ['photo' => UploadedFile::fake()->image('jar.jpg', 20, 20)],
        ['Accept' => 'application/json'],
    )->assertSuccessful();
    $cache = (string) $this->get("/api/notes/{$note}/photo")
        ->assertOk()
        ->headers->get('Cache-Control');
    expect($cache)->toContain('private')->not->toContain('public');
    $this->asCook($this->cook('neighbour@example.org'));
    $this->getJson("/api/notes/{$note}/photo")->assertNotFound();
});

it('keeps secrets, settings and sessions from every other account of the machine', function (): void {
    $state = sys_get_temp_dir() . '/tempesal-' . Str::random(8);
    $script = <<<'SH'
    set -eu
    ROOT=$PWD
    . ops/say.sh; . ops/database.sh
    mkdir -p "$TEMPESAL_STATE/other/photos"
    echo 'APP_KEY=kept' > "$TEMPESAL_STATE/other/secrets"; chmod 644 "$TEMPESAL_STATE/other/secrets"
    echo x > "$TEMPESAL_STATE/other/photos/jar.jpg"
    prepare_environment other
    echo x > "$PRIVATE/settings-x.php"
    stat -c '%a %n' "$STATE" "$PRIVATE" "$PRIVATE"/* "$PRIVATE"/photos/* "$ROOT/storage/framework/sessions" | sed "s#$STATE##; s#$ROOT##"
    cat "$PRIVATE/secrets"
    SH;
    $process = new Symfony\Component\Process\Process(['bash', '-c', $script], base_path(), [
        'TEMPESAL_STATE' => $state,
    ]);
    $said = explode("\n", trim($process->mustRun()->getOutput()));
    expect(array_pop($said))->toBe('APP_KEY=kept');
    [$folder, $rest] = [array_shift($said), $said];
    expect($folder)->toBeIn(['700 ', '711 ', '755 ']);
    expect($rest)->toBe([
        '700 /private',
        '700 /private/cache',
        '700 /private/logs',
        '700 /private/photos',
        '600 /private/secrets',
        '700 /private/sessions',
        '600 /private/settings-x.php',
        '600 /private/photos/jar.jpg',
        '700 /storage/framework/sessions',
    ]);
    Illuminate\Support\Facades\File::deleteDirectory($state);
});

it('knows no jar called 0', function (string $path, array $body): void {
    $this->postJson($path, [...$body, 'requestKey' => (string) Str::ulid()])->assertNotFound();
})->with([
    'an entry' => ['/api/batches/0/entries', ['entry' => ['kind' => 'top_up', 'grams' => 10]]],
    'a reversal' => ['/api/batches/0/entries/0/reversal', []],
]);
