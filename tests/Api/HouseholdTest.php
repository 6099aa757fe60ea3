<?php

declare(strict_types=1);

use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Device;
use App\Models\Formula;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/*
 * Every row belongs to a household, and every address is bound to it: asked of the list of addresses itself, so that a
 * new one cannot be forgotten.
 */

/** Laravel's own, the household itself, and where a cook is signed in. */
const NOBODYS = [
    'cache',
    'cache_locks',
    'devices',
    'households',
    'migrations',
    'password_reset_tokens',
    'sessions',
    'jobs',
];

/** @return list<array{string, string}> method and address of everything behind the door */
function behindTheDoor(): array
{
    $all = [];
    foreach (Routes::getRoutes() as $route) {
        /** @var Route $route */
        if (in_array('household', $route->gatherMiddleware(), true)) {
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $all[] = [$method, '/' . $route->uri()];
            }
        }
    }

    return $all;
}

/** @return list<string> */
function ownTables(): array
{
    $tables = array_column(Schema::getTables(DB::connection()->getDatabaseName()), 'name');

    return array_values(array_diff($tables, NOBODYS));
}

/**
 * Everything a household has, as one text for each table.
 *
 * @return array<string, string>
 */
function belongings(string $household): array
{
    $all = [];
    foreach (ownTables() as $table) {
        $rows = DB::table($table)
            ->where('household_id', $household)
            ->get()
            ->map(fn($row): string => json_encode($row))
            ->sort();
        $all[$table] = $rows->implode("\n");
    }

    return $all;
}

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
    $this->household = app(CurrentHousehold::class)->get()->id;
    $batch = $this->startJar()->assertCreated()->json();
    $kitchen = $this->wholeKitchen();
    $serving = $this->postJson('/api/servings', [
        'batchId' => $batch['id'],
        'personId' => $kitchen['people'][0]['id'],
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $note = $this->postJson("/api/batches/{$batch['id']}/notes", [
        'ph' => 4.2,
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $photo = Illuminate\Http\UploadedFile::fake()->image('jar.png', 40, 40);
    $this->post("/api/notes/{$note->json('id')}/photo", ['photo' => $photo])->assertCreated();
    $mark = $this->postJson('/api/chores/marks', [
        'chores' => [['batchId' => $batch['id'], 'task' => 'burp', 'dueOn' => now()->toDateString()]],
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $spell = $this->postJson('/api/rooms/counter/spells', [
        'fromOn' => now()->toDateString(),
        'toOn' => now()->toDateString(),
        'celsius' => 25,
    ])->assertCreated();
    $this->putJson('/api/rooms/counter', [
        'version' => 0,
        'usualCelsius' => 21,
        'swingCelsius' => 1,
        'warmestHour' => 15,
    ])->assertOk();
    $this->postJson('/api/rooms/counter/readings', [
        'readings' => [['at' => now()->toIso8601String(), 'celsius' => 22]],
        'source' => 'typed',
    ])->assertCreated();
    $this->postJson('/api/practice', [
        'number' => 0,
        'answer' => 'out',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->postJson('/api/calendar')->assertCreated();
    $formula = Formula::query()->first()->id;
    $this->putJson('/api/rotation', [
        'lines' => [
            [
                'name' => 'Carrots',
                'formulaId' => $formula,
                'likenesses' => [],
                'weekdays' => [1],
                'timesAWeek' => 1,
                'months' => [],
            ],
        ],
        'perDay' => 3,
        'hasNew' => false,
        'weights' => ['short' => 100],
    ])->assertOk();
    $planned = $this->postJson('/api/timeline/batches', [
        'formulaId' => $formula,
        'jarId' => $kitchen['jars'][0]['id'],
        'startOn' => now()->toDateString(),
        'share' => 1,
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->postJson('/api/weeks/today/changes', [
        'put' => [
            [
                'personId' => $kitchen['people'][0]['id'],
                'batchId' => $batch['id'],
                'date' => now()->toDateString(),
            ],
        ],
        'remove' => [],
        'what' => 'carrots',
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    $other = $this->postJson('/api/other-foods', [
        'personId' => $kitchen['people'][0]['id'],
        'name' => 'Soup',
        'how' => ['by' => 'mg', 'milligrams' => 300],
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
    $this->putJson('/api/weighed-measures', [
        'what' => 'forkful',
        'family' => 'shreds',
        'personId' => $kitchen['people'][0]['id'],
        'grams' => 14,
    ])->assertOk();
    $invitation = $this->postJson('/api/invitations', ['access' => 'log', 'forWhom' => 'Cy'])->assertCreated();
    $report = $this->postJson('/api/report-links', ['personId' => $kitchen['people'][0]['id'], 'days' => 7]);
    $this->postJson('/api/account/tokens', ['name' => 'scale', 'access' => 'log'])->assertCreated();
    $account = $this->getJson('/api/account')->assertOk();
    $this->mine = [
        'invitation' => $invitation->json('invitations.0.id'),
        'reportLink' => $report->json('reports.0.id'),
        'token' => $account->json('tokens.0.id'),
        'member' => $invitation->json('members.0.id'),
        'kitchen' => $this->household,
        'device' => Device::create([
            'user_id' => auth()->id(),
            'browser' => 'other',
            'system' => 'other',
            'last_seen_at' => now(),
        ])->id,
        'otherFood' => $other->json('id'),
        'plannedBatch' => $planned->json('id'),
        'note' => $note->json('id'),
        'mark' => $mark->json('marks.0'),
        'place' => 'counter',
        'spell' => $spell->json('rooms.0.spells.0.id'),
        'batch' => $batch['id'],
        'entry' => $batch['entries'][0]['id'],
        'step' => $this->getJson("/api/batches/{$batch['id']}/steps")->json('steps.0.id'),
        'person' => $kitchen['people'][0]['id'],
        'salt' => $kitchen['salts'][0]['id'],
        'food' => $kitchen['ingredients'][0]['id'],
        'jar' => $kitchen['jars'][0]['id'],
        'holdDown' => $kitchen['holdDowns'][0]['id'],
        'formula' => Formula::query()->first()->id,
        'serving' => $serving->json('id'),
        'date' => 'today',
        'planning' => (string) Str::ulid(),
        'file' => $this->postJson('/api/kitchen/file/parts')->json('id'),
        'part' => '0',
    ];
});

it('gives every row a household', function (): void {
    expect(count(ownTables()))->toBeGreaterThan(10);
    foreach (ownTables() as $table) {
        expect(Schema::hasColumn($table, 'household_id'))->toBeTrue("{$table} has no household");
    }
});

it('shows nothing behind the door to a stranger', function (): void {
    auth()->forgetGuards();
    app()->forgetInstance(CurrentHousehold::class);
    expect(count(behindTheDoor()))->toBeGreaterThan(35);
    foreach (behindTheDoor() as [$method, $uri]) {
        $address = preg_replace_callback('/\{(\w+)\}/', fn(array $name): string => $this->mine[$name[1]], $uri);
        $this->json($method, $address)->assertUnauthorized();
    }
});

it('finds nothing of a neighbour\'s at any address, and changes nothing of theirs', function (): void {
    $before = belongings($this->household);
    expect(array_filter($before))->toHaveCount(count($before));
    $this->asCook($this->cook('neighbour@example.org'));
    $tried = 0;
    foreach (behindTheDoor() as [$method, $uri]) {
        preg_match_all('/\{(\w+)\}/', $uri, $names);
        // A planning is nobody's until it is begun, and then found by its own household alone.
        if (array_diff($names[1], ['date', 'place', 'planning']) === []) {
            continue;
        }
        $address = preg_replace_callback('/\{(\w+)\}/', fn(array $name): string => $this->mine[$name[1]], $uri);
        $answer = $this->json($method, $address, ['requestKey' => (string) Str::ulid()]);
        expect($answer->getStatusCode())->toBeIn([404, 422], "{$method} {$uri}");
        $said = (string) $answer->getContent();
        expect($said)->not->toContain('Carrots', "{$method} {$uri}");
        $tried++;
    }
    expect($tried)->toBeGreaterThan(20)->and(belongings($this->household))->toBe($before);
});

it('takes nothing of a neighbour\'s inside a request', function (Closure $ask): void {
    $before = belongings($this->household);
    $this->asCook($this->cook('neighbour@example.org'));
    $jars = Batch::query()->count();
    $answer = $ask->call($this, $this->mine);
    expect($answer->getStatusCode())
        ->toBeIn([404, 422])
        ->and(Batch::query()->count())
        ->toBe($jars)
        ->and(belongings($this->household))
        ->toBe($before);
})->with([
    'their vegetable on the bench' => [
        fn(array $theirs) => $this->postJson('/api/bench', $this->bench(['vegetableId' => $theirs['food']])),
    ],
    'their salt' => [fn(array $theirs) => $this->startJar(['saltId' => $theirs['salt']])],
    'their jar' => [fn(array $theirs) => $this->startJar(['jarId' => $theirs['jar']])],
    'their brine as a starter' => [
        fn(array $theirs) => $this->startJar([
            'starterBatchId' => $theirs['batch'],
            'starterAmount' => '20 g',
        ]),
    ],
    'their jar for a formula' => [
        fn(array $theirs) => $this->postJson('/api/formulas/' . Formula::query()->first()->id . '/batches', [
            'name' => 'Borrowed',
            'place' => 'counter',
            'intoJarId' => $theirs['jar'],
            'requestKey' => (string) Str::ulid(),
        ]),
    ],
    'a serving from their jar' => [
        fn(array $theirs) => $this->postJson('/api/servings', [
            'batchId' => $theirs['batch'],
            'personId' => $this->getJson('/api/kitchen')->json('people.0.id'),
            'amount' => '20 g',
            'requestKey' => (string) Str::ulid(),
        ]),
    ],
    'their jar in our week' => [
        fn(array $theirs) => $this->postJson('/api/weeks/today/changes', [
            'put' => [
                [
                    'personId' => $this->getJson('/api/kitchen')->json('people.0.id'),
                    'batchId' => $theirs['batch'],
                    'date' => now()->toDateString(),
                    'grams' => 20,
                ],
            ],
            'remove' => [],
            'what' => 'carrots',
            'requestKey' => (string) Str::ulid(),
        ]),
    ],
    'their jar for a planned batch' => [
        fn(array $theirs) => $this->postJson('/api/timeline/batches', [
            'formulaId' => Formula::query()->first()->id,
            'jarId' => $theirs['jar'],
            'startOn' => now()->toDateString(),
            'share' => 1,
            'requestKey' => (string) Str::ulid(),
        ]),
    ],
    'their formula in our rotation' => [
        fn(array $theirs) => $this->putJson('/api/rotation', [
            'lines' => [
                [
                    'name' => 'Borrowed',
                    'formulaId' => $theirs['formula'],
                    'likenesses' => [],
                    'weekdays' => [],
                    'timesAWeek' => 1,
                    'months' => [],
                ],
            ],
            'perDay' => 3,
            'hasNew' => false,
            'weights' => ['short' => 100],
        ]),
    ],
    'a serving for their eater' => [
        fn(array $theirs) => $this->postJson('/api/servings', [
            'batchId' => $theirs['batch'],
            'personId' => $theirs['person'],
            'amount' => '20 g',
            'requestKey' => (string) Str::ulid(),
        ]),
    ],
]);
