<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;
use Tests\Support\Contract;
use Tests\TestCase;

/*
 * Every address of the contract, tried from outside: without signing in, with the ids of another kitchen, with ids of
 * nothing, and with a body that is none.
 */

/** Addresses that anyone may knock at. */
const OPEN = [
    'GET /session',
    'POST /session',
    'POST /session/demo',
    'GET /presets',
    'POST /kitchens',
    'POST /password/forgotten',
    'PUT /password',
    'GET /join/{secret}',
    'POST /join/{secret}',
    'GET /reports/{secret}',
];

/** @return array<string, array{string, string}> method and path by operation */
function operations(): array
{
    $all = [];
    foreach (Contract::read()->operations() as $operation) {
        if (!in_array($operation, OPEN, true)) {
            $all[$operation] = explode(' ', $operation);
        }
    }

    return $all;
}

/** The path with an id in every place that wants one. */
function withIds(string $path, array $ids): string
{
    return (string) preg_replace_callback(
        '/\{(\w+)\}/',
        fn(array $m): string => $ids[$m[1]] ?? (string) Str::ulid(),
        $path,
    );
}

/** A body that could be meant for any of them. */
function plausibleBody(): array
{
    return [
        'name' => 'X',
        'access' => 'log',
        'place' => 'counter',
        'requestKey' => (string) Str::ulid(),
        'entry' => ['kind' => 'heat'],
        'question' => ['question' => 'portion', 'sodiumMg' => 100],
        'archived' => true,
        'isEmptied' => true,
        'grams' => 9,
        'spoon' => 'tbsp',
        'document' => ['tempesal' => 'formula'],
        'basedOn' => 1,
        'howMany' => 1,
        'volumeMl' => 10,
        'nominalMl' => 500,
        'mouthMm' => 70,
        'bodyMm' => 80,
        'cover' => 'clamp',
        'usualServingGrams' => 30,
        'usualCondimentGrams' => 5,
        'liveGoal' => 1,
        'limitIsHard' => false,
        'targetMg' => 1500,
        'restOfDiet' => TestCase::restOfDiet(300),
        'allergens' => [],
        'dislikes' => [],
        'gramsPerTablespoon' => 15,
        'sodiumPer100g' => 30_000,
        'iodised' => false,
        'antiCaking' => false,
        'potassium' => false,
        'use' => 'pantry',
        'waterPer100g' => 5,
        'density' => 1,
        'shape' => 'pulp',
        'tissue' => 'root',
        'hollow' => false,
        'live' => false,
        'notFor' => [],
        'amount' => '10 g',
        'found' => [],
        'aim' => 'young',
        'purpose' => 'bottle',
        'ph' => 4,
        'celsius' => 20,
        'personId' => (string) Str::ulid(),
        'batchId' => (string) Str::ulid(),
        'how' => ['by' => 'mg', 'milligrams' => 1],
        'amount' => '20 g',
        'dishAmount' => '60 g',
        'portions' => [['personId' => (string) Str::ulid(), 'share' => 0.5]],
    ];
}

it('lets nobody in who has not signed in', function (): void {
    foreach (operations() as [$method, $path]) {
        $this->json($method, '/api' . withIds($path, ['date' => '2026-11-25']), plausibleBody())
            ->assertUnauthorized()
            ->assertJson(['message' => 'Please sign in again. What you typed is kept.']);
    }
});

it('finds nothing of another kitchen, and nothing by an id of nothing', function (): void {
    $this->asCook($this->cook());
    $batch = $this->startJar(['startedOn' => now()->subDays(9)->toDateString()])->json();
    $serving = $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $batch['portions'][0]['personId'],
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
    ])->json();
    $kitchen = $this->wholeKitchen();
    $note = $this->postJson("/api/batches/{$batch['id']}/notes", [
        'ph' => 4,
        'requestKey' => (string) Str::ulid(),
    ])->json();
    $ids = [
        'note' => $note['id'],
        'batch' => $batch['id'],
        'entry' => $batch['entries'][0]['id'],
        'serving' => $serving['id'],
        'person' => $kitchen['people'][0]['id'],
        'salt' => $kitchen['salts'][0]['id'],
        'food' => $kitchen['ingredients'][0]['id'],
        'jar' => $kitchen['jars'][0]['id'],
        'holdDown' => $kitchen['holdDowns'][0]['id'],
        'formula' => $this->getJson('/api/formulas')->json('formulas.0.id'),
    ];
    $before = $this->getJson("/api/batches/{$batch['id']}")->json();

    $this->asCook($this->cook('neighbour@example.org'));
    $tried = 0;
    foreach (operations() as [$method, $path]) {
        if (!str_contains($path, '{') || str_contains($path, '{date}')) {
            continue;
        }
        foreach ([$ids, []] as $some) {
            $answer = $this->json($method, '/api' . withIds($path, $some), plausibleBody());
            // A formula is refused for what it says before anyone looks for it; nothing is told of its being there.
            expect($answer->getStatusCode())->toBeIn(
                $method === 'PUT' && $path === '/formulas/{formula}' ? [404, 422] : [404],
                "{$method} {$path}: " . $answer->getContent(),
            );
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(40);

    $this->asCook(User::query()->where('email', 'cook@example.org')->sole());
    expect($this->getJson("/api/batches/{$batch['id']}")->json('entries'))
        ->toBe($before['entries'])
        ->and($this->getJson('/api/kitchen')->json('people'))
        ->toHaveCount(2);
});

it('answers a body that is none with sentences, never with a fault', function (mixed $body): void {
    $this->asCook($this->cook());
    $id = $this->startJar()->json('id');
    foreach (operations() as [$method, $path]) {
        if ($method !== 'POST' && $method !== 'PUT') {
            continue;
        }
        $answer = $this->json($method, '/api' . withIds($path, ['batch' => $id]), $body);
        expect($answer->getStatusCode())->toBeLessThan(500, "{$method} {$path}: " . $answer->getContent());
        if ($answer->getStatusCode() === 422) {
            expect($answer->json('message'))->not->toBe('');
        }
    }
})->with([
    'nothing' => [[]],
    'texts for everything' => [array_map(fn(): string => 'abc', plausibleBody())],
    'lists for everything' => [array_map(fn(): array => [['x' => [1, 2]]], plausibleBody())],
    'numbers for everything' => [array_map(fn(): float => -1e308, plausibleBody())],
    'nulls for everything' => [array_map(fn(): mixed => null, plausibleBody())],
]);

/** @return array{int, string, string} exit code, standard output, standard error */
function door(array $arguments, string $input = ''): array
{
    $process = new Process([PHP_BINARY, 'ops/console.php', ...$arguments], dirname(__DIR__, 2));
    $process->setInput($input);
    $process->run();

    return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
}

it('answers a file and standard input alike', function (string $door, string $file, string $is, Closure $look): void {
    [$code, $fromFile] = door([$door, $file]);
    [, $fromInput] = door([$door, '-'], (string) file_get_contents(dirname(__DIR__, 2) . "/{$file}"));
    $answer = json_decode($fromFile, true, 64, JSON_THROW_ON_ERROR);
    expect($code)
        ->toBe(0)
        ->and($fromInput)
        ->toBe($fromFile)
        ->and($answer['tempesal'])
        ->toBe($is)
        ->and($look($answer))
        ->toBeTrue();
})->with([
    'a batch' => [
        'compute',
        'docs/formats/examples/mash.json',
        'batch-result',
        fn(array $answer): bool => $answer['batches'][0]['name'] === 'Red chilli mash',
    ],
    'a week' => [
        'plan',
        'docs/formats/week.json',
        'planned',
        fn(array $answer): bool => array_column($answer['shortfalls'], 'day') === [5, 6],
    ],
]);

it('ends with 2, the path and the reason on standard error, and nothing on standard output', function (
    array $arguments,
    string $input,
    string $says,
): void {
    [$code, $out, $error] = door($arguments, $input);
    expect($code)->toBe(2)->and($out)->toBe('')->and($error)->toContain($says);
})->with([
    [['compute', '/nowhere/at-all.json'], '', 'There is no file'],
    [['compute', '-'], 'salt', 'not valid JSON'],
    [
        ['compute', '-'],
        '{"tempesal":"batch","version":1,"steps":[{"kind":"salt","product":"pure","grams":-2}]}',
        'steps[0].grams',
    ],
    [['compute', '-'], '{"tempesal":"batch","version":1,"steps":[{"kind":"heat","hot":true}]}', 'steps[0].hot'],
    [['plan', '-'], '{"tempesal":"plan","eaters":[{"id":"a","targetMg":0}]}', 'eaters[0].targetMg'],
    [['plan', '-'], '{"tempesal":"plan","eaters":[{"id":"a","targetMg":1500,"allowanceMg":9,"mood":1}]}', 'mood'],
    [['cook', '-'], '', 'There is no command'],
]);
