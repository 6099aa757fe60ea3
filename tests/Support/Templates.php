<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Account\ResetTokens;
use App\Household\Access;
use App\Household\CurrentHousehold;
use App\Models\Device;
use App\Models\Household;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use App\Week\KitchenWeek;
use App\Week\WeekPlanning;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;
use Tests\TestCase;

/**
 * For every operation of the contract a request that succeeds, in a small kitchen of its own: two jars going, one from
 * a shop, a formula, plans, notes. Whatever a request uses up is made for it first.
 *
 * @phpstan-type Request array{path: string, body?: mixed, files?: array<string, string>, cook?: User}
 */
final class Templates
{
    public readonly string $formula;

    public readonly string $batch;

    public readonly string $bought;

    public readonly string $today;

    /** @var array<string, mixed> the kitchen as it is at first */
    public readonly array $kitchen;

    public readonly User $cook;

    /** @var list<string> weeks that were planned and are asked after */
    private array $planned = [];

    /** @var array<string, Closure(): Request> by operation */
    private readonly array $all;

    public function __construct(private readonly TestCase $test)
    {
        $this->cook = User::query()->firstOrFail();
        $this->today = CarbonImmutable::now('UTC')->toDateString();
        $this->kitchen = $test->wholeKitchen();
        $this->batch = $test->startJar(['name' => 'Sticks', 'startedOn' => $this->day(-9)])->json('id');
        $this->bought = $test->postJson('/api/batches/bought', $this->olives())->json('id');
        $this->formula = $test
            ->postJson('/api/formulas', ['document' => $this->document(), 'requestKey' => $this->key()])
            ->assertSuccessful()
            ->json('id');
        $test->postJson("/api/batches/{$this->batch}/notes", $this->reading());
        $this->all = $this->templates();
    }

    /** A week that was planned beside everything else. */
    private function planning(string $week): string
    {
        $id = $this->key();
        $this->test->postJson("/api{$week}/plans/{$id}", ['rest' => false])->assertOk();
        $this->planned[] = $id;

        return $id;
    }

    /** @return Request that succeeds */
    public function of(string $operation): array
    {
        return $this->all[$operation]();
    }

    public function key(): string
    {
        return (string) Str::ulid();
    }

    private function day(int $from): string
    {
        return CarbonImmutable::now('UTC')->addDays($from)->toDateString();
    }

    private function food(string $key): string
    {
        return collect($this->kitchen['ingredients'])->firstWhere('key', $key)['id'];
    }

    private const PASSWORD = 'a long enough password';

    /** Somebody with a kitchen of their own. */
    private function stranger(): User
    {
        return $this->test->cook(strtolower(Str::random(12)) . '@example.org');
    }

    /** The address of an invitation into the kitchen. */
    private function invitation(): string
    {
        $all = $this->test
            ->postJson('/api/invitations', ['access' => 'log', 'forWhom' => Str::random(9)])
            ->assertCreated()
            ->json('invitations');

        return $all[array_key_last($all)]['path'];
    }

    /** @return array{id: string, path: string} */
    private function reportLink(): array
    {
        return $this->test
            ->postJson('/api/report-links', ['personId' => $this->person(), 'days' => 7])
            ->assertCreated()
            ->json('reports.0');
    }

    /** The membership of somebody in the kitchen. */
    private function member(User $user): string
    {
        return Membership::create([
            'household_id' => $this->cook->household_id,
            'user_id' => $user->id,
            'access' => Access::Log,
        ])->id;
    }

    /** @return array<string, mixed> */
    private function olives(): array
    {
        return [
            'name' => 'Olives',
            'foodId' => $this->food('cucumber'),
            'amount' => '340 g',
            'servingAmount' => '20 g',
            'phase' => 'pieces',
            'isLive' => false,
            'allergens' => [],
            'useBy' => null,
            'place' => 'fridge',
            'sodiumPer100g' => 900,
            'requestKey' => $this->key(),
        ];
    }

    /** @return array<string, mixed> */
    private function document(): array
    {
        return [
            'tempesal' => 'formula',
            'version' => 1,
            'name' => 'Plain beets',
            'method' => 'poured_brine',
            'group' => 'roots',
            'isLive' => true,
            'steps' => [
                [
                    'kind' => 'process',
                    'method' => 'poured_brine',
                    'vegetables' => [['ingredient' => 'carrot', 'grams' => 400]],
                    'water' => 300,
                    'salt' => ['product' => 'fine-sea', 'share' => 0.03, 'basis' => 'of_water'],
                ],
            ],
            'serving' => ['phase' => 'pieces', 'grams' => 40],
            'vessel' => ['nominalMl' => 946, 'headspaceMm' => 20],
            'window' => ['youngDays' => 5, 'readyDays' => 10, 'longDays' => 21, 'celsius' => 20],
        ];
    }

    /** @return array<string, mixed> */
    private function portion(): array
    {
        return [
            'batchId' => $this->batch,
            'personId' => $this->person(),
            'amount' => '20 g',
            'phase' => 'pieces',
            'way' => 'drained',
            'eatenOn' => $this->today,
            'requestKey' => $this->key(),
        ];
    }

    private function person(int $number = 0): string
    {
        return $this->kitchen['people'][$number]['id'];
    }

    /** @return array<string, mixed> */
    private function dish(): array
    {
        return [
            'batchId' => $this->batch,
            'dishAmount' => '30 g',
            'portions' => [
                ['personId' => $this->person(), 'share' => 0.5],
                ['personId' => $this->person(1), 'share' => 0.5],
            ],
            'phase' => 'pieces',
            'way' => 'drained',
            'eatenOn' => $this->today,
            'requestKey' => $this->key(),
        ];
    }

    /** @return array<string, mixed> */
    private function bread(): array
    {
        return [
            'personId' => $this->person(),
            'name' => 'bread',
            'eatenOn' => $this->today,
            'how' => ['by' => 'mg', 'milligrams' => 210],
            'insteadOf' => ['noon'],
            'requestKey' => $this->key(),
        ];
    }

    /** @return array<string, array<string, mixed>> what may be owned, by its path */
    private function owned(): array
    {
        return [
            'people' => [
                'name' => 'Cleo',
                'preset' => 'who_adult',
                'usualServingGrams' => 30,
                'usualCondimentGrams' => 15,
                'liveGoal' => 3,
                'limitIsHard' => false,
                'restOfDiet' => TestCase::restOfDiet(400),
                'allergens' => ['milk'],
                'dislikes' => [],
            ],
            'salts' => [
                'name' => 'grey salt',
                'gramsPerTablespoon' => 16,
                'sodiumPer100g' => 38000,
                'iodised' => false,
                'antiCaking' => false,
                'potassium' => false,
            ],
            'foods' => [
                'name' => 'cardoon ' . Str::random(8),
                'use' => 'vegetable',
                'sodiumPer100g' => 170,
                'waterPer100g' => 94,
                'density' => 0.6,
                'shape' => 'sticks',
                'tissue' => 'root',
                'hollow' => false,
                'live' => false,
                'allergens' => [],
                'notFor' => [],
                'traits' => [],
            ],
            'jars' => [
                'name' => 'Tall jar',
                'nominalMl' => 720,
                'mouthMm' => 70,
                'bodyMm' => 82,
                'cover' => 'clamp',
                'howMany' => 2,
            ],
            'hold-downs' => ['name' => 'glass weight', 'volumeMl' => 60, 'howMany' => 2],
        ];
    }

    private const LISTED = [
        'people' => 'people',
        'salts' => 'salts',
        'foods' => 'ingredients',
        'jars' => 'jars',
        'hold-downs' => 'holdDowns',
    ];

    /** @return array{id: string, version: int} one that was just added */
    private function add(string $path): array
    {
        $fields = $this->owned()[$path];
        $kitchen = $this->test
            ->postJson("/api/{$path}", [...$fields, 'requestKey' => $this->key()])
            ->assertSuccessful()
            ->json();

        return collect($kitchen[self::LISTED[$path]])->sortBy('id')->where('name', $fields['name'])->last();
    }

    private function serve(): string
    {
        return $this->test->postJson('/api/servings', $this->portion())->assertSuccessful()->json('id');
    }

    private function write(): string
    {
        return $this->test->postJson('/api/other-foods', $this->bread())->assertSuccessful()->json('id');
    }

    /** @return array<string, mixed> a note that a jar is well sour */
    private function reading(): array
    {
        return ['ph' => 3.6, 'phBy' => 'meter', 'requestKey' => $this->key()];
    }

    private function note(): string
    {
        return $this->test
            ->postJson("/api/batches/{$this->batch}/notes", ['text' => 'sour', 'requestKey' => $this->key()])
            ->assertSuccessful()
            ->json('id');
    }

    private function photo(): string
    {
        $picture = imagecreatetruecolor(8, 8);
        ob_start();
        imagejpeg($picture);

        return (string) ob_get_clean();
    }

    /** @return array<string, Closure(): Request> */
    private function templates(): array
    {
        $key = fn(): array => ['requestKey' => $this->key()];
        $get = fn(string $path): Closure => fn(): array => ['path' => $path];
        $step = fn(string $path, Closure $body): Closure => fn(): array => [
            'path' => $path,
            'body' => $body(),
        ];
        $week = "/weeks/{$this->today}";
        $batch = "/batches/{$this->batch}";
        $jar = collect($this->kitchen['jars'])->firstWhere('howMany', 4)['id'];
        $change = [
            'put' => [['personId' => $this->person(), 'batchId' => $this->batch, 'date' => $this->today]],
            'remove' => [],
            'what' => 'a portion',
        ];
        $plan = fn(): array => [
            'formulaId' => $this->formula,
            'lineId' => null,
            'jarId' => $jar,
            'startOn' => $this->day(3),
            'share' => 1,
            ...$key(),
        ];
        $planned = fn(): string => $this->test
            ->postJson('/api/timeline/batches', $plan())
            ->assertSuccessful()
            ->json('id');
        $intake = (string) $this->test->get('/api/intake/export?as=csv')->getContent();
        $all = [
            'GET /session' => $get('/session'),
            'POST /session' => $step(
                '/session',
                fn() => [
                    'email' => $this->cook->email,
                    'password' => 'a long enough password',
                ],
            ),
            'POST /session/demo' => function (): array {
                config(['app.demo' => true]);
                Household::query()
                    ->whereKey($this->cook->household_id)
                    ->update(['is_demo' => true]);

                return ['path' => '/session/demo'];
            },
            'DELETE /session' => $get('/session'),
            'POST /password/forgotten' => $step(
                '/password/forgotten',
                fn() => ['email' => Str::random(9) . '@example.org'],
            ),
            'PUT /password' => function (): array {
                $who = $this->stranger();

                return [
                    'path' => '/password',
                    'body' => [
                        'email' => $who->email,
                        'token' => ResetTokens::create($who),
                        'password' => 'carrots under seven stones',
                    ],
                ];
            },
            'GET /join/{secret}' => fn(): array => ['path' => $this->invitation()],
            'POST /join/{secret}' => fn(): array => ['path' => $this->invitation(), 'cook' => $this->stranger()],
            'GET /reports/{secret}' => fn(): array => [
                'path' => str_replace('/report/', '/reports/', $this->reportLink()['path']),
            ],
            'GET /account' => $get('/account'),
            'PUT /account' => function (): array {
                $who = $this->stranger();

                return ['path' => '/account', 'body' => ['name' => 'Hanna', 'email' => $who->email], 'cook' => $who];
            },
            'DELETE /account' => fn(): array => [
                'path' => '/account',
                'body' => ['password' => self::PASSWORD],
                'cook' => $this->stranger(),
            ],
            'PUT /account/password' => fn(): array => [
                'path' => '/account/password',
                'body' => ['password' => self::PASSWORD, 'newPassword' => 'carrots under seven stones'],
                'cook' => $this->stranger(),
            ],
            'PUT /account/kitchen' => $step('/account/kitchen', fn() => ['kitchenId' => $this->cook->household_id]),
            'DELETE /account/kitchens/{kitchen}' => function (): array {
                $guest = $this->stranger();
                $this->member($guest);

                return ['path' => "/account/kitchens/{$this->cook->household_id}", 'cook' => $guest];
            },
            'DELETE /account/devices' => fn(): array => ['path' => '/account/devices', 'cook' => $this->stranger()],
            'DELETE /account/devices/{device}' => fn(): array => [
                'path' =>
                    '/account/devices/' .
                    Device::create([
                        'user_id' => $this->cook->id,
                        'browser' => 'other',
                        'system' => 'other',
                        'last_seen_at' => CarbonImmutable::now(),
                    ])->id,
            ],
            'POST /account/tokens' => $step('/account/tokens', fn() => ['name' => Str::random(9), 'access' => 'log']),
            'DELETE /account/tokens/{token}' => fn(): array => [
                'path' =>
                    '/account/tokens/' .
                    $this->test
                        ->postJson('/api/account/tokens', ['name' => Str::random(9), 'access' => 'log'])
                        ->json('tokens.0.id'),
            ],
            'GET /members' => $get('/members'),
            'PUT /members/{member}' => fn(): array => [
                'path' => "/members/{$this->member($this->stranger())}",
                'body' => ['access' => 'read'],
            ],
            'DELETE /members/{member}' => fn(): array => ['path' => "/members/{$this->member($this->stranger())}"],
            'POST /invitations' => $step('/invitations', fn() => ['access' => 'log', 'forWhom' => Str::random(9)]),
            'DELETE /invitations/{invitation}' => function (): array {
                $this->invitation();

                return ['path' => '/invitations/' . Invitation::query()->latest('id')->firstOrFail()->id];
            },
            'POST /report-links' => $step('/report-links', fn() => ['personId' => $this->person(), 'days' => 7]),
            'DELETE /report-links/{reportLink}' => fn(): array => [
                'path' => "/report-links/{$this->reportLink()['id']}",
            ],
            'DELETE /kitchen' => fn(): array => [
                'path' => '/kitchen',
                'body' => ['name' => 'Test kitchen', 'password' => self::PASSWORD],
                'cook' => $this->stranger(),
            ],
            'POST /kitchens' => $step(
                '/kitchens',
                fn() => [
                    'name' => 'Another kitchen',
                    'email' => Str::random(12) . '@example.org',
                    'password' => 'a long enough password',
                    'timeZone' => 'UTC',
                    'spoonSystem' => 'us',
                    'people' => [['name' => 'Dot', 'preset' => 'who_adult', 'restOfDietMg' => 1000]],
                    'jarCounts' => [1],
                ],
            ),
            'GET /batches/{batch}/savings' => $get(
                "{$batch}/savings?personId={$this->person()}&way=drained&phase=pieces&grams=40",
            ),
            'POST /bench' => $step('/bench', fn() => $this->test->bench()),
            'POST /batches' => $step(
                '/batches',
                fn() => [
                    ...$this->test->bench(),
                    'name' => 'More sticks',
                    'place' => 'counter',
                    'startedOn' => null,
                    'isPacked' => false,
                    ...$key(),
                ],
            ),
            'POST /batches/bought' => $step('/batches/bought', fn() => [...$this->olives(), ...$key()]),
            'PUT /batches/{batch}/emptied' => $step(
                "/batches/{$this->bought}/emptied",
                fn() => ['isEmptied' => true, ...$key()],
            ),
            'POST /batches/{batch}/entries' => $step(
                "{$batch}/entries",
                fn() => [
                    'entry' => ['kind' => 'top_up', 'grams' => 10],
                    ...$key(),
                ],
            ),
            'POST /batches/{batch}/preview' => $step(
                "{$batch}/preview",
                fn() => [
                    'entry' => ['kind' => 'top_up', 'grams' => 10],
                ],
            ),
            'POST /batches/{batch}/questions' => $step(
                "{$batch}/questions",
                fn() => [
                    'question' => ['question' => 'portion', 'sodiumMg' => 140],
                ],
            ),
            'PUT /batches/{batch}/place' => $step("{$batch}/place", fn() => ['place' => 'fridge', ...$key()]),
            'PUT /batches/{batch}/jar' => $step("{$batch}/jar", fn() => ['cover' => 'cloth', ...$key()]),
            'POST /batches/{batch}/spare-brine' => $step("{$batch}/spare-brine", fn() => ['grams' => 20, ...$key()]),
            'PUT /batches/{batch}/aim' => $step("{$batch}/aim", fn() => ['aim' => 'young', ...$key()]),
            'POST /batches/{batch}/releases' => function () use ($key): array {
                $sour = $this->test->startJar(['name' => 'Sour sticks', 'startedOn' => $this->day(-20)])->json('id');
                $this->test->postJson("/api/batches/{$sour}/notes", $this->reading());

                return [
                    'path' => "/batches/{$sour}/releases",
                    'body' => ['purpose' => 'give_away', 'grams' => 5, ...$key()],
                ];
            },
            'POST /batches/{batch}/notes' => $step(
                "{$batch}/notes",
                fn() => [
                    'marks' => ['crunch' => 4],
                    'smell' => 'sour',
                    'text' => 'good',
                    'at' => null,
                    ...$key(),
                ],
            ),
            'DELETE /notes/{note}' => fn(): array => ['path' => "/notes/{$this->note()}", 'body' => $key()],
            'POST /notes/{note}/photo' => fn(): array => [
                'path' => "/notes/{$this->note()}/photo",
                'body' => $key(),
                'files' => ['photo' => $this->photo()],
            ],
            'GET /notes/{note}/photo' => function (): array {
                $note = $this->note();
                $this->test->call(
                    'POST',
                    "/api/notes/{$note}/photo",
                    [],
                    [],
                    [
                        'photo' => UploadedFile::fake()->createWithContent('jar.jpg', $this->photo()),
                    ],
                );

                return ['path' => "/notes/{$note}/photo"];
            },
            'POST /batches/{batch}/check' => $step("{$batch}/check", fn() => ['found' => ['film_flat'], ...$key()]),
            'POST /batches/{batch}/check/preview' => $step(
                "{$batch}/check/preview",
                fn() => ['found' => ['film_flat']],
            ),
            'POST /practice' => $step('/practice', fn() => ['number' => 0, 'answer' => 'skim', ...$key()]),
            'POST /chores/marks' => $step(
                '/chores/marks',
                fn() => [
                    'chores' => [['batchId' => $this->batch, 'task' => 'burp', 'dueOn' => $this->today]],
                    ...$key(),
                ],
            ),
            'DELETE /chores/marks/{mark}' => fn(): array => [
                'path' =>
                    '/chores/marks/' .
                    $this->test
                        ->postJson('/api/chores/marks', [
                            'chores' => [['batchId' => $this->batch, 'task' => 'taste', 'dueOn' => $this->today]],
                            ...$key(),
                        ])
                        ->json('marks.0'),
                'body' => $key(),
            ],
            'PUT /rooms/{place}' => fn(): array => [
                'path' => '/rooms/cool',
                'body' => [
                    'version' => $this->test->getJson('/api/rooms')->json('rooms.1.version'),
                    'usualCelsius' => 15.5,
                    'swingCelsius' => 1,
                    'warmestHour' => 16,
                    ...$key(),
                ],
            ],
            'POST /rooms/{place}/readings' => $step(
                '/rooms/counter/readings',
                fn() => [
                    'readings' => [['at' => CarbonImmutable::now()->subHour()->toIso8601String(), 'celsius' => 21.5]],
                    'source' => 'typed',
                    ...$key(),
                ],
            ),
            'POST /rooms/{place}/log' => $step(
                '/rooms/counter/log',
                fn() => [
                    'text' => "time,temperature\n{$this->day(-2)}T10:00:00Z,21.5\n{$this->day(-2)}T11:00:00Z,21.75\n",
                    'isPreview' => false,
                    ...$key(),
                ],
            ),
            'POST /rooms/{place}/spells' => $step(
                '/rooms/counter/spells',
                fn() => [
                    'fromOn' => $this->day(2),
                    'toOn' => $this->day(5),
                    'celsius' => 27,
                    ...$key(),
                ],
            ),
            'DELETE /rooms/{place}/spells/{spell}' => function () use ($key): array {
                $rooms = $this->test
                    ->postJson('/api/rooms/cool/spells', [
                        'fromOn' => $this->day(20),
                        'toOn' => $this->day(21),
                        'celsius' => 12,
                    ])
                    ->json('rooms');
                $cool = collect($rooms)->firstWhere('place', 'cool');

                return ['path' => "/rooms/cool/spells/{$cool['spells'][0]['id']}", 'body' => $key()];
            },
            'POST /calendar' => $step('/calendar', $key),
            'DELETE /calendar' => $step('/calendar', $key),
            'GET /calendar/file' => $get('/calendar/file'),
            'PUT /weighed-measures' => fn(): array => [
                'path' => '/weighed-measures',
                'body' => [
                    'what' => 'forkful',
                    'family' => 'shreds',
                    'personId' => $this->kitchen['people'][0]['id'],
                    'grams' => 14.0,
                    ...$key(),
                ],
            ],
            'GET /amounts' => $get('/amounts?phrase=2%20tbsp&kind=amount&of=food&id=' . $this->food('carrot')),
            'PUT /household' => fn(): array => [
                'path' => '/household',
                'body' => [
                    'version' => Household::query()->findOrFail($this->cook->household_id)->version,
                    'measureBy' => 'spoons',
                    'quietFrom' => '21:00',
                    ...$key(),
                ],
            ],
            'GET /find' => $get('/find?q=sticks'),
            'GET /pantry' => $get('/pantry'),
            'GET /foods' => $get('/foods?q=carot'),
            'POST /kitchen/file' => fn(): array => [
                'path' => '/kitchen/file',
                'body' => $key(),
                'cook' => $this->test->cook(Str::random(12) . '@example.org'),
                'files' => [
                    'file' => (string) file_get_contents(dirname(__DIR__) . '/fixtures/kitchen-1.json'),
                ],
            ],
            'POST /kitchen/file/parts' => $get('/kitchen/file/parts'),
            'PUT /kitchen/file/parts/{file}/{part}' => fn(): array => [
                'path' => '/kitchen/file/parts/' . $this->test->postJson('/api/kitchen/file/parts')->json('id') . '/0',
            ],
            'POST /foods/{food}/restoration' => fn(): array => [
                'path' => "/foods/{$this->food('carrot')}/restoration",
                'body' => $key(),
            ],
            'PUT /salts/{salt}/calibration' => $step(
                "/salts/{$this->kitchen['salts'][0]['id']}/calibration",
                fn() => ['grams' => 15, 'spoon' => 'tbsp', ...$key()],
            ),
            'DELETE /salts/{salt}/calibration' => $step("/salts/{$this->kitchen['salts'][0]['id']}/calibration", $key),
            'POST /formulas' => $step('/formulas', fn() => ['document' => $this->document(), ...$key()]),
            'POST /formulas/compute' => $step('/formulas/compute', fn() => ['document' => $this->document()]),
            'POST /formulas/preview' => $step(
                '/formulas/preview',
                fn() => [
                    'text' => "Beets:\n2 lb beets\n1 quart water\n2 tbsp pickling salt",
                ],
            ),
            'POST /formulas/import' => $step(
                '/formulas/import',
                fn() => ['documents' => [$this->document()], ...$key()],
            ),
            'PUT /formulas/{formula}' => fn(): array => [
                'path' => "/formulas/{$this->formula}",
                'body' => [
                    'document' => [...$this->document(), 'summary' => Str::random(6)],
                    'basedOn' => $this->test->getJson("/api/formulas/{$this->formula}")->json('newest'),
                    ...$key(),
                ],
            ],
            'PUT /formulas/{formula}/archive' => $step(
                "/formulas/{$this->formula}/archive",
                fn() => ['archived' => false, ...$key()],
            ),
            'POST /formulas/{formula}/batches' => $step(
                "/formulas/{$this->formula}/batches",
                fn() => [
                    'by' => 'servings',
                    'servings' => 6,
                    'name' => 'Beets',
                    'place' => 'counter',
                    'startedOn' => null,
                    'intoJarId' => null,
                    'plannedBatchId' => null,
                    ...$key(),
                ],
            ),
            'GET /formulas/{formula}' => $get("/formulas/{$this->formula}?by=sodium&sodiumMg=120"),
            'GET /formulas/{formula}/savings' => $get("/formulas/{$this->formula}/savings?mg=120"),
            'GET /labels' => $get("/labels?batches={$this->batch}"),
            'GET /labels/pdf' => $get("/labels/pdf?batches={$this->batch}&layout=single&copies=1"),
            'GET /days/{date}' => $get("/days/{$this->today}"),
            'GET /weeks/{date}' => $get($week),
            'POST /weeks/{date}/changes' => $step("{$week}/changes", fn() => [...$change, ...$key()]),
            'POST /weeks/{date}/fill' => $step("{$week}/fill", fn() => ['rest' => false, ...$key()]),
            'POST /weeks/{date}/plans/{planning}' => fn(): array => [
                'path' => "{$week}/plans/{$this->key()}",
                'body' => ['rest' => false],
            ],
            'GET /plans/{planning}' => fn(): array => ['path' => "/plans/{$this->planning($week)}"],
            'POST /plans/{planning}/stop' => fn(): array => ['path' => "/plans/{$this->planning($week)}/stop"],
            'POST /weeks/{date}/clear' => $step("{$week}/clear", $key),
            'POST /weeks/{date}/copy' => function () use ($week, $change, $key): array {
                $last = $this->day(-7);
                $this->test->postJson("/api/weeks/{$last}/changes", [
                    ...$change,
                    'put' => [['personId' => $this->person(), 'batchId' => $this->batch, 'date' => $last]],
                    ...$key(),
                ]);

                return ['path' => "{$week}/copy", 'body' => $key()];
            },
            'POST /weeks/{date}/undo' => function () use ($week, $change, $key): array {
                $this->test->postJson("/api{$week}/changes", [...$change, ...$key()]);

                return ['path' => "{$week}/undo", 'body' => $key()];
            },
            'POST /weeks/{date}/redo' => function () use ($week, $change, $key): array {
                $this->test->postJson("/api{$week}/changes", [...$change, ...$key()]);
                $this->test->postJson("/api{$week}/undo", $key());

                return ['path' => "{$week}/redo", 'body' => $key()];
            },
            'GET /timeline' => $get("/timeline?jarId={$jar}&warmer=2"),
            'GET /first-week' => fn(): array => ['path' => '/first-week'],
            'POST /first-week' => $step('/first-week', fn(): array => ['requestKey' => $this->key()]),
            'POST /timeline/batches' => $step('/timeline/batches', $plan),
            'DELETE /timeline/batches/{plannedBatch}' => fn(): array => [
                'path' => "/timeline/batches/{$planned()}",
                'body' => $key(),
            ],
            'PUT /rotation' => $step(
                '/rotation',
                fn() => [
                    'lines' => [
                        [
                            'id' => null,
                            'name' => 'Roots',
                            'formulaId' => $this->formula,
                            'likenesses' => [],
                            'weekdays' => [1, 3],
                            'timesAWeek' => 2,
                            'months' => [],
                        ],
                    ],
                    'perDay' => 2,
                    'hasNew' => false,
                    'weights' => ['short' => 100],
                    ...$key(),
                ],
            ),
            'GET /formulas/export' => $get('/formulas/export?as=json'),
            'GET /intake' => $get("/intake?personId={$this->person()}&days=14"),
            'GET /intake/export' => $get('/intake/export?as=json'),
            'POST /intake/preview' => $step('/intake/preview', fn() => ['text' => $intake]),
            'POST /intake/import' => $step('/intake/import', fn() => ['text' => $intake, ...$key()]),
            'POST /other-foods' => $step('/other-foods', $this->bread(...)),
            'POST /other-foods/again' => function () use ($key): array {
                $this->write();

                return [
                    'path' => '/other-foods/again',
                    'body' => [
                        'personId' => $this->person(),
                        'eatenOn' => $this->today,
                        'from' => $this->today,
                        ...$key(),
                    ],
                ];
            },
            'PUT /other-foods/{otherFood}' => fn(): array => [
                'path' => "/other-foods/{$this->write()}",
                'body' => $this->bread(),
            ],
            'DELETE /other-foods/{otherFood}' => fn(): array => [
                'path' => "/other-foods/{$this->write()}",
                'body' => $key(),
            ],
            'POST /servings' => $step('/servings', $this->portion(...)),
            'POST /dishes' => $step('/dishes', $this->dish(...)),
            'PUT /servings/{serving}' => fn(): array => [
                'path' => "/servings/{$this->serve()}",
                'body' => $this->portion(),
            ],
            'PUT /servings/{serving}/dish' => fn(): array => [
                'path' =>
                    '/servings/' . $this->test->postJson('/api/dishes', $this->dish())->json('servings.0.id') . '/dish',
                'body' => $this->dish(),
            ],
            'DELETE /servings/{serving}' => fn(): array => [
                'path' => "/servings/{$this->serve()}",
                'body' => $key(),
            ],
        ];
        $atStep = fn(string $end, array $body): Closure => function () use ($end, $body): array {
            $jar = $this->test->startJar(['begin' => 'counter', 'jarId' => null])->json('id');
            $step = $this->test->getJson("/api/batches/{$jar}/steps")->json('steps.0.id');

            return [
                'path' => "/batches/{$jar}/steps/{$step}{$end}",
                'body' => [...$body, 'requestKey' => $this->key()],
            ];
        };
        $all['GET /batches/{batch}/portions'] = $get("{$batch}/portions");
        foreach (['POST', 'DELETE'] as $method) {
            $all["{$method} /batches/{batch}/portions/update"] = fn(): array => [
                'path' => "{$batch}/portions/update",
                'body' => ['requestKey' => $this->key()],
            ];
        }
        $all['GET /batches/{batch}/steps'] = $get("{$batch}/steps");
        $all['GET /batches/{batch}/history'] = $get("{$batch}/history");
        $all['POST /batches/{batch}/steps/{step}/done'] = $atStep('/done', [
            'weighed' => [['line' => 0, 'grams' => 3]],
        ]);
        $all['DELETE /batches/{batch}/steps/{step}/done'] = $atStep('/done', []);
        $all['POST /batches/{batch}/steps/{step}/skipped'] = $atStep('/skipped', []);
        $all['POST /batches/{batch}/steps/{step}/preview'] = $atStep('/preview', ['rinseSeconds' => 90]);
        foreach (['/reversal' => true, '/reversal/preview' => false] as $end => $isWritten) {
            $all["POST /batches/{batch}/entries/{entry}{$end}"] = function () use ($batch, $end, $key): array {
                $this->test
                    ->postJson("/api{$batch}/entries", [
                        'entry' => ['kind' => 'top_up', 'grams' => 5],
                        ...$key(),
                    ])
                    ->assertSuccessful();
                $entry = collect($this->test->getJson("/api{$batch}")->json('entries'))
                    ->where('id', '!=', null)
                    ->sortBy('id')
                    ->last();

                return ['path' => "{$batch}/entries/{$entry['id']}{$end}", 'body' => $key()];
            };
        }
        foreach (array_keys(self::LISTED) as $path) {
            $one = ['people' => 'person', 'hold-downs' => 'holdDown'][$path] ?? rtrim($path, 's');
            $all["POST /{$path}"] = $step("/{$path}", fn() => [...$this->owned()[$path], ...$key()]);
            $all["PUT /{$path}/{{$one}}"] = function () use ($path, $key): array {
                $added = $this->add($path);
                $name = $this->owned()[$path]['name'] . ' two';

                return [
                    'path' => "/{$path}/{$added['id']}",
                    'body' => ['version' => $added['version'], 'name' => $name, ...$key()],
                ];
            };
            $all["DELETE /{$path}/{{$one}}"] = fn(): array => [
                'path' => "/{$path}/{$this->add($path)['id']}",
                'body' => $key(),
            ];
        }
        foreach (Contract::read()->operations() as $operation) {
            // What is only read from a fixed place, or of the jar.
            [$method, $path] = explode(' ', $operation);
            if ($method === 'GET') {
                $all[$operation] ??= $get(str_replace('{batch}', $this->batch, $path));
            }
        }

        return $all;
    }

    /** The cook is signed in, and no door is closed for having been tried too often. */
    public function signIn(?User $cook = null): void
    {
        $cook ??= $this->cook;
        Cache::flush();
        app()->forgetScopedInstances();
        $this->test->flushSession();
        $this->test->actingAs($cook->fresh() ?? $cook);
        app(CurrentHousehold::class)->set($cook->household);
        // What is asked after while it is planned is kept where the tries are counted.
        foreach ($this->planned as $id) {
            app(WeekPlanning::class)->run(KitchenWeek::firstDayOf($cook->household, 'today'), false, $id);
        }
        $this->planned = [];
    }
}
