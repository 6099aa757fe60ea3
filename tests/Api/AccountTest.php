<?php

declare(strict_types=1);

use App\Account\Browser;
use App\Account\PasswordRule;
use App\Household\Access;
use App\Household\AccessRules;
use App\Household\CurrentHousehold;
use App\Models\Device;
use App\Models\Household;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Support\Str;

const PASSWORD = 'a long enough password';

const NEW_PASSWORD = 'carrots under seven stones';

/** Another browser: nothing of the one before is left but the database. */
function inAnotherBrowser(): void
{
    auth()->forgetGuards();
    app('session')->forgetDrivers();
    app()->forgetInstance(CurrentHousehold::class);
}

/** A cook signed in by the door, with a session of their own; returns what brings that browser back. */
function signsIn(string $email, string $password = PASSWORD): Closure
{
    inAnotherBrowser();
    test()
        ->postJson('/api/session', ['email' => $email, 'password' => $password])
        ->assertOk();
    $kept = app('session')->driver()->all();
    $user = auth()->user();

    return function () use ($kept, $user): void {
        inAnotherBrowser();
        app('session')->driver()->replace($kept);
        test()->withSession($kept);
        auth()
            ->guard('web')
            ->setUser(User::query()->find($user->id) ?? new User());
    };
}

/** Another cook of the current kitchen. */
function member(string $email, Access $access): User
{
    $household = app(CurrentHousehold::class)->get();
    $user = User::create(['household_id' => $household->id, 'email' => $email, 'password' => PASSWORD]);
    Membership::create(['household_id' => $household->id, 'user_id' => $user->id, 'access' => $access]);

    return $user;
}

it('refuses passwords that are soon guessed', function (string $password, ?string $why): void {
    expect(PasswordRule::problem($password, ['hanna.field@example.org', 'Orchard Kitchen']))->toBe($why);
})->with([
    'too short' => ['kraut 7 b', 'errors.password_short'],
    'one letter' => ['aaaaaaaaaa', 'errors.password_simple'],
    'a run of digits' => ['0123456789', 'errors.password_simple'],
    'a run backwards' => ['zyxwvutsrqp', 'errors.password_simple'],
    'a row of keys' => ['qwertyuiop', 'errors.password_simple'],
    'a word again and again' => ['saltsaltsaltsalt', 'errors.password_simple'],
    'a common one' => ['basketball', 'errors.password_common'],
    'a common one with digits' => ['football2024', 'errors.password_common'],
    'a common one in look-alikes' => ['p@ssw0rd123!', 'errors.password_common'],
    'one\'s address' => ['hanna.field1', 'errors.password_own'],
    'one\'s kitchen' => ['myorchard12', 'errors.password_own'],
    'too many bytes' => [str_repeat('äöü', 13), 'errors.password_long'],
    'some words' => ['seven jars of quiet brine', null],
    'words in another script' => ['сім банок розсолу', null],
    'signs at random' => ['x7-Qd!pR2vbn', null],
]);

it('reads a password by its bytes as bcrypt does, up to the last one', function (): void {
    $longest = 'salt and time and quiet ' . str_repeat('ab7', 16);
    expect(strlen($longest))->toBe(PasswordRule::MOST_BYTES)->and(PasswordRule::problem($longest))->toBeNull();
    $hash = password_hash($longest, PASSWORD_BCRYPT, ['cost' => 4]);
    expect(password_verify(substr($longest, 0, -1) . 'x', $hash))->toBeFalse();
    expect(PasswordRule::problem($longest . 'x'))->toBe('errors.password_long');
});

it('opens no kitchen with a password that is soon guessed', function (): void {
    $kitchen = [
        'name' => 'Orchard',
        'email' => 'new@example.org',
        'password' => 'aaaaaaaaaa',
        'timeZone' => 'UTC',
        'spoonSystem' => 'us',
        'people' => [['name' => 'Ada', 'targetMg' => 2000, 'restOfDietMg' => 1000]],
        'jarCounts' => [1],
    ];
    $this->postJson('/api/kitchens', $kitchen)
        ->assertUnprocessable()
        ->assertJsonPath('errors.password.0', 'This is easy to guess. Use a few words that do not belong together.');
    $this->postJson('/api/kitchens', [...$kitchen, 'password' => NEW_PASSWORD])->assertCreated();
});

it('stops guessing by account, and lets others behind the same address in', function (): void {
    $this->cook('one@example.org');
    $this->cook('two@example.org');
    for ($try = 0; $try < 8; $try++) {
        $this->postJson('/api/session', [
            'email' => 'one@example.org',
            'password' => "guess {$try}",
        ])->assertUnprocessable();
    }
    $refused = $this->postJson('/api/session', ['email' => 'ONE@example.org ', 'password' => PASSWORD]);
    $refused->assertStatus(429)->assertJsonPath('message', 'Too many tries. Wait 10 minutes and try again.');
    expect((int) $refused->headers->get('Retry-After'))->toBeGreaterThan(500);
    $this->postJson('/api/session', ['email' => 'two@example.org', 'password' => PASSWORD])->assertOk();
    // Whoever guesses from elsewhere does not lock out the cook at home.
    $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.7'])
        ->postJson('/api/session', ['email' => 'one@example.org', 'password' => PASSWORD])
        ->assertOk();
    $this->travel(11)->minutes();
    $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])
        ->postJson('/api/session', ['email' => 'one@example.org', 'password' => PASSWORD])
        ->assertOk();
});

it('knows an address letter by letter', function (string $spelt): void {
    $this->cook('one@example.org');
    $this->postJson('/api/session', ['email' => $spelt, 'password' => PASSWORD])->assertUnprocessable();
})->with(['óne@example.org', 'one@éxample.org', 'oｎe@example.org', 'ｏne@example.org']);

it('opens only so many kitchens from one address', function (): void {
    config(['tempesal.kitchens_at_once' => 3]);
    $open = fn(int $number) => $this->postJson('/api/kitchens', [
        'name' => "Kitchen {$number}",
        'email' => "cook{$number}@example.org",
        'password' => NEW_PASSWORD,
        'timeZone' => 'UTC',
        'spoonSystem' => 'us',
        'people' => [['name' => 'Ada', 'targetMg' => 2000, 'restOfDietMg' => 1000]],
        'jarCounts' => [1],
    ]);
    expect(array_map(fn(int $number): int => $open($number)->getStatusCode(), range(1, 5)))->toBe([
        201,
        201,
        201,
        429,
        429,
    ]);
    expect(Household::query()->count())->toBe(3);
});

it('changes a password, and ends what was open elsewhere', function (): void {
    $cook = $this->cook();
    $tablet = signsIn('cook@example.org');
    $laptop = signsIn('cook@example.org');
    $this->putJson('/api/account/password', ['password' => 'not mine', 'newPassword' => NEW_PASSWORD])
        ->assertUnprocessable()
        ->assertJsonPath('errors.password.0', 'This is not your password.');
    $this->putJson('/api/account/password', ['password' => PASSWORD, 'newPassword' => 'password123'])
        ->assertUnprocessable()
        ->assertJsonPath(
            'errors.newPassword.0',
            'Many people use this password. Use a few words that do not belong together.',
        );
    $this->putJson('/api/account/password', ['password' => PASSWORD, 'newPassword' => NEW_PASSWORD])
        ->assertOk()
        ->assertJsonCount(1, 'devices');
    $tablet();
    $this->getJson('/api/kitchen')->assertUnauthorized();
    $laptop();
    $this->getJson('/api/kitchen')->assertOk();
    inAnotherBrowser();
    $this->postJson('/api/session', ['email' => $cook->email, 'password' => PASSWORD])->assertUnprocessable();
    $this->postJson('/api/session', ['email' => $cook->email, 'password' => NEW_PASSWORD])->assertOk();
});

it('lists where a cook is signed in, and ends one of them or all', function (): void {
    $this->cook();
    $this->withHeader(
        'User-Agent',
        'Mozilla/5.0 (iPad; CPU OS 17_4 like Mac OS X) AppleWebKit/605.1.15 Version/17.4 Safari/604.1',
    );
    $tablet = signsIn('cook@example.org');
    $this->withHeader('User-Agent', 'Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0');
    $laptop = signsIn('cook@example.org');
    $account = $this->getJson('/api/account')->assertOk();
    $devices = collect($account->json('devices'))->sortBy('isThis')->values();
    expect($devices->pluck('browser')->all())
        ->toBe(['safari', 'firefox'])
        ->and($devices->pluck('system')->all())
        ->toBe(['ipad', 'linux'])
        ->and($devices->pluck('isThis')->all())
        ->toBe([false, true]);

    $this->deleteJson("/api/account/devices/{$devices[0]['id']}")
        ->assertOk()
        ->assertJsonCount(1, 'devices');
    $tablet();
    $this->getJson('/api/session')->assertJsonPath('isSignedIn', false);
    $this->getJson('/api/kitchen')->assertUnauthorized();

    $laptop();
    $calendar = $this->postJson('/api/calendar')->json('path');
    $this->get($calendar)->assertOk();
    $token = $this->postJson('/api/account/tokens', ['name' => 'scale', 'access' => 'log'])->json('token');
    $tablet = signsIn('cook@example.org');
    $laptop();
    $this->deleteJson('/api/account/devices')->assertOk()->assertJsonCount(1, 'devices')->assertJsonCount(0, 'tokens');
    $this->getJson('/api/kitchen')->assertOk();
    $tablet();
    $this->getJson('/api/kitchen')->assertUnauthorized();
    inAnotherBrowser();
    $this->get($calendar)->assertNotFound();
    $this->getJson('/api/kitchen', ['Authorization' => "Bearer {$token}"])->assertUnauthorized();
});

it('knows a browser and a system by what it says of itself', function (
    string $says,
    string $browser,
    string $system,
): void {
    expect(Browser::of($says))->toBe(['browser' => $browser, 'system' => $system]);
})->with([
    [
        'Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 Chrome/126.0.0.0 Safari/537.36 Edg/126.0.0.0',
        'edge',
        'windows',
    ],
    [
        'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/126.0.0.0 Mobile Safari/537.36',
        'chrome',
        'android',
    ],
    [
        'Mozilla/5.0 (Macintosh; Intel Mac OS X 10_15_7) AppleWebKit/605.1.15 Version/17.5 Safari/605.1.15',
        'safari',
        'mac',
    ],
    [
        'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 CriOS/126.0 Mobile Safari/604.1',
        'chrome',
        'iphone',
    ],
    ['curl/8.5.0', 'other', 'other'],
    ['', 'other', 'other'],
]);

it('sends a link for a new password, once and for an hour, and says nothing of who has an account', function (): void {
    config(['mail.default' => 'array']);
    $this->cook();
    $sent = fn() => app('mailer')->getSymfonyTransport()->messages();
    $tablet = signsIn('cook@example.org');
    inAnotherBrowser();
    $known = $this->postJson('/api/password/forgotten', ['email' => 'Cook@Example.org'])->assertStatus(202);
    $unknown = $this->postJson('/api/password/forgotten', ['email' => 'nobody@example.org'])->assertStatus(202);
    expect($known->getContent())->toBe($unknown->getContent());
    expect($sent())->toHaveCount(1);
    $mail = $sent()[0]->getOriginalMessage();
    expect($mail->getTo()[0]->getAddress())
        ->toBe('cook@example.org')
        ->and($mail->getSubject())
        ->toContain('Tempesal');
    preg_match('#/new-password/(\w+)\?email=cook%40example.org#', (string) $mail->getTextBody(), $link);
    $reset = fn(string $token, string $password = NEW_PASSWORD) => $this->putJson('/api/password', [
        'email' => 'cook@example.org',
        'token' => $token,
        'password' => $password,
    ]);
    $reset('something else')
        ->assertUnprocessable()
        ->assertJsonPath('errors.token.0', 'This link is not valid any more. Ask for a new one.');
    $reset($link[1], 'short')->assertUnprocessable();
    $reset($link[1])->assertOk()->assertJsonPath('isSignedIn', true);
    inAnotherBrowser();
    $reset($link[1])->assertUnprocessable();
    $tablet();
    $this->getJson('/api/kitchen')->assertUnauthorized();
    inAnotherBrowser();
    $this->postJson('/api/session', ['email' => 'cook@example.org', 'password' => NEW_PASSWORD])->assertOk();

    inAnotherBrowser();
    $this->postJson('/api/password/forgotten', ['email' => 'cook@example.org'])->assertStatus(202);
    preg_match('#/new-password/(\w+)\?#', (string) $sent()[1]->getOriginalMessage()->getTextBody(), $late);
    $this->travel(61)->minutes();
    $reset($late[1])->assertUnprocessable();
});

it('sends only so many links to one account', function (): void {
    config(['mail.default' => 'array']);
    $this->cook();
    $ask = fn(string $email): int => $this->postJson('/api/password/forgotten', ['email' => $email])->getStatusCode();
    expect(array_map($ask, array_fill(0, 4, 'cook@example.org')))->toBe([202, 202, 202, 429]);
    // The same for an account that is not there.
    expect(array_map($ask, array_fill(0, 4, 'nobody@example.org')))->toBe([202, 202, 202, 429]);
});

it('writes mails to files where no mail server is set', function (): void {
    $folder = sys_get_temp_dir() . '/tempesal-outbox-' . Str::random(6);
    config(['mail.default' => 'outbox', 'mail.mailers.outbox.folder' => $folder]);
    $this->cook();
    $this->postJson('/api/password/forgotten', ['email' => 'cook@example.org'])->assertStatus(202);
    $files = glob("{$folder}/*.eml") ?: [];
    expect($files)->toHaveCount(1);
    expect((string) file_get_contents($files[0]))->toContain('To: cook@example.org')->toContain('/new-password/');
    Illuminate\Support\Facades\File::deleteDirectory($folder);
});

it('changes name and address, the address only with the password', function (): void {
    $this->asCook($this->cook());
    $this->cook('taken@example.org');
    $change = fn(array $fields) => $this->putJson('/api/account', [
        'name' => 'Hanna',
        'email' => 'cook@example.org',
        ...$fields,
    ]);
    $change([])->assertOk()->assertJsonPath('name', 'Hanna');
    $change(['email' => 'new@example.org'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.password.0', 'Enter your password.');
    $change(['email' => 'TAKEN@example.org', 'password' => PASSWORD])->assertUnprocessable();
    $change(['email' => 'New@example.org', 'password' => PASSWORD])
        ->assertOk()
        ->assertJsonPath('email', 'new@example.org');
});

it('lets somebody in by an invitation, once, and for what was said', function (): void {
    $cook = $this->cook();
    $this->asCook($cook);
    $ask = ['access' => 'log', 'forWhom' => 'Bo'];
    $made = $this->postJson('/api/invitations', $ask)->assertCreated();
    // Sent twice, it is one.
    $this->postJson('/api/invitations', $ask)->assertUnprocessable();
    expect(Invitation::query()->count())->toBe(1);
    $secret = Str::after($made->json('invitations.0.path'), '/join/');

    inAnotherBrowser();
    $this->getJson("/api/join/{$secret}")
        ->assertOk()
        ->assertJsonPath('kitchen', 'Test kitchen')
        ->assertJsonPath('access', 'log')
        ->assertJsonPath('signedInAs', null);
    $this->postJson("/api/join/{$secret}", ['name' => 'Bo', 'email' => $cook->email, 'password' => NEW_PASSWORD])
        ->assertUnprocessable()
        ->assertJsonPath(
            'errors.email.0',
            'This e-mail already has an account. Sign in, then open the invitation again.',
        );
    $this->postJson("/api/join/{$secret}", ['name' => 'Bo', 'email' => 'Bo@example.org', 'password' => NEW_PASSWORD])
        ->assertCreated()
        ->assertJsonPath('household.name', 'Test kitchen')
        ->assertJsonPath('household.access', 'log');
    $this->postJson("/api/join/{$secret}", [])->assertNotFound();
    $this->getJson("/api/join/{$secret}")->assertNotFound();
    $this->getJson('/api/members')->assertOk()->assertJsonCount(2, 'members')->assertJsonCount(0, 'invitations');

    $this->asCook($cook->refresh());
    $late = Str::after(
        $this->postJson('/api/invitations', ['access' => 'keep', 'forWhom' => 'Cy'])->json('invitations.0.path'),
        '/join/',
    );
    $this->travel(8)->days();
    $this->getJson("/api/join/{$late}")->assertNotFound();
});

it('brings somebody with a kitchen of their own into another, and back', function (): void {
    $this->asCook($this->cook());
    $secret = Str::after(
        $this->postJson('/api/invitations', ['access' => 'read', 'forWhom' => 'Bo'])->json('invitations.0.path'),
        '/join/',
    );
    $guest = $this->cook('guest@example.org');
    $own = $guest->household_id;
    $this->asCook($guest);
    $this->postJson("/api/join/{$secret}")
        ->assertCreated()
        ->assertJsonPath('household.access', 'read');
    $this->asCook($guest->refresh());
    $kitchens = $this->getJson('/api/account')->json('kitchens');
    expect(array_column($kitchens, 'access'))
        ->toBe(['keep', 'read'])
        ->and(array_column($kitchens, 'isOpen'))
        ->toBe([false, true]);
    $this->putJson('/api/account/kitchen', ['kitchenId' => $own])
        ->assertOk()
        ->assertJsonPath('household.access', 'keep');
    $this->asCook($guest->refresh());
    $this->deleteJson("/api/account/kitchens/{$kitchens[1]['id']}")->assertOk();
    $this->putJson('/api/account/kitchen', ['kitchenId' => $kitchens[1]['id']])->assertNotFound();
    // The last who keeps a kitchen stays.
    $this->deleteJson("/api/account/kitchens/{$own}")->assertUnprocessable();
});

it('asks of every address what its reader may do', function (Access $access): void {
    $this->asCook($this->cook());
    $household = app(CurrentHousehold::class)->get();
    $this->asCook(member('other@example.org', $access));
    $tried = ['refused' => 0, 'let in' => 0];
    foreach (Routes::getRoutes() as $route) {
        /** @var Route $route */
        if (!in_array('household', $route->gatherMiddleware(), true)) {
            continue;
        }
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            if ([$method, $route->uri()] === ['DELETE', 'api/session']) {
                continue;
            }
            $address = (string) preg_replace('/\{\w+\}/', (string) Str::ulid(), $route->uri());
            $before = Household::query()->count();
            // Files among them, which the contract does not describe.
            $status = $this->call(
                $method,
                "/{$address}",
                server: ['HTTP_ACCEPT' => 'application/json'],
            )->getStatusCode();
            $may = $access->covers(AccessRules::of($method, $route->uri()));
            expect($status === 403)->toBe(!$may, "{$method} {$route->uri()} for {$access->value}: {$status}");
            expect(Household::query()->count())->toBe($before);
            $tried[$may ? 'let in' : 'refused']++;
        }
    }
    expect($tried['let in'])
        ->toBeGreaterThan(50)
        ->and($tried['refused'])
        ->toBeGreaterThan($access === Access::Log ? 40 : 60);
    expect($household->exists)->toBeTrue();
})->with([Access::Read, Access::Log]);

it('gives those who write down what they need, and no more', function (string $asked, Access $access): void {
    expect(AccessRules::of(...explode(' ', $asked)))->toBe($access);
})->with([
    ['GET api/days/{date}', Access::Read],
    ['POST api/bench', Access::Read],
    ['POST api/servings', Access::Log],
    ['POST api/batches/{batch}/steps/{step}/done', Access::Log],
    ['POST api/chores/marks', Access::Log],
    ['POST api/rooms/{place}/readings', Access::Log],
    ['PUT api/people/{person}', Access::Keep],
    ['PUT api/formulas/{formula}', Access::Keep],
    ['PUT api/salts/{salt}/calibration', Access::Keep],
    ['DELETE api/notes/{note}', Access::Keep],
    ['DELETE api/jars/{jar}', Access::Keep],
    ['POST api/weeks/{date}/changes', Access::Keep],
    ['GET api/calendar', Access::Keep],
    ['PATCH api/anything/new', Access::Keep],
]);

it('names only addresses that there are', function (): void {
    $known = collect(Routes::getRoutes())
        ->flatMap(
            fn(Route $route) => array_map(fn(string $method): string => "{$method} {$route->uri()}", $route->methods()),
        )
        ->all();
    $named = (new ReflectionClass(AccessRules::class))->getConstants();
    expect(array_keys($named))->toHaveCount(5);
    foreach ($named as $list) {
        expect(array_diff($list, $known))->toBe([]);
    }
});

it('writes by a token what the token is for, and nothing of a cook\'s own', function (): void {
    $cook = $this->cook();
    $this->asCook($cook);
    $batch = $this->startJar(['startedOn' => now()->subDays(9)->toDateString()])->json();
    $person = $this->getJson('/api/kitchen')->json('people.0.id');
    $tokens = [];
    foreach (Access::cases() as $access) {
        $tokens[$access->value] = $this->postJson('/api/account/tokens', [
            'name' => $access->value,
            'access' => $access->value,
        ])
            ->assertCreated()
            ->json('token');
    }
    $this->postJson('/api/account/tokens', ['name' => 'read', 'access' => 'keep'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.name.0', 'There is already a token with this name.');
    expect(json_encode($this->getJson('/api/account')->json()))->not->toContain(Str::after($tokens['read'], '|'));
    $by = function (string $token, string $method, string $path, array $body = []): int {
        inAnotherBrowser();

        return $this->json($method, $path, $body, ['Authorization' => "Bearer {$token}"])->getStatusCode();
    };
    $serving = fn(): array => [
        'batchId' => $batch['id'],
        'personId' => $person,
        'amount' => '20 g',
        'requestKey' => (string) Str::ulid(),
    ];
    expect($by($tokens['read'], 'GET', '/api/days/today'))->toBe(200);
    expect($by($tokens['read'], 'POST', '/api/servings', $serving()))->toBe(403);
    expect($by($tokens['log'], 'POST', '/api/servings', $serving()))->toBe(201);
    expect($by($tokens['log'], 'DELETE', "/api/people/{$person}"))->toBe(403);
    expect($by($tokens['keep'], 'GET', '/api/account'))->toBe(403);
    expect(
        $by($tokens['keep'], 'PUT', '/api/account/password', ['password' => PASSWORD, 'newPassword' => NEW_PASSWORD]),
    )->toBe(403);
    expect($by('1|tempesal_wrong', 'GET', '/api/days/today'))->toBe(401);
    expect($by('', 'GET', '/api/days/today'))->toBe(401);

    // It goes on with the kitchen it was made for, whatever the cook has open, and ends with the cook's own access.
    $other = $this->cook('other@example.org');
    Membership::create(['household_id' => $other->household_id, 'user_id' => $cook->id, 'access' => Access::Keep]);
    $cook->update(['household_id' => $other->household_id]);
    expect($by($tokens['read'], 'GET', "/api/batches/{$batch['id']}"))->toBe(200);
    Membership::query()
        ->where('user_id', $cook->id)
        ->where('household_id', '!=', $other->household_id)
        ->update(['access' => Access::Read]);
    expect($by($tokens['keep'], 'POST', '/api/servings', $serving()))->toBe(403);
});

it('asks a page for its token, and a script for none', function (): void {
    $this->app['env'] = 'production';
    $cook = $this->cook();
    $this->asCook($cook);
    $token = tap(
        $cook->tokens()->make(),
        fn($one) => $one
            ->forceFill([
                'name' => 'x',
                'token' => hash('sha256', 'secret'),
                'abilities' => ['keep'],
                'household_id' => $cook->household_id,
            ])
            ->save(),
    );
    $this->postJson('/api/calendar')->assertStatus(419);
    inAnotherBrowser();
    $this->postJson('/api/calendar', [], ['Authorization' => "Bearer {$token->id}|secret"])->assertCreated();
    // A cookie beside it counts for nothing.
    $this->asCook($cook);
    $this->postJson('/api/calendar', [], ['Authorization' => 'Bearer made up'])->assertUnauthorized();
});

it('keeps one who keeps the kitchen', function (): void {
    $this->asCook($this->cook());
    $other = member('other@example.org', Access::Log);
    $members = collect($this->getJson('/api/members')->assertOk()->json('members'));
    $mine = $members->firstWhere('isYou', true)['id'];
    $theirs = $members->firstWhere('isYou', false)['id'];
    $this->putJson("/api/members/{$mine}", ['access' => 'read'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.access.0', 'Somebody has to keep this kitchen. Make another member a keeper first.');
    $this->deleteJson("/api/members/{$mine}")->assertUnprocessable();
    $this->deleteJson('/api/account', ['password' => PASSWORD])->assertUnprocessable();
    $this->putJson("/api/members/{$theirs}", ['access' => 'keep'])->assertOk();
    $this->putJson("/api/members/{$mine}", ['access' => 'log'])->assertOk();
    $this->deleteJson("/api/members/{$theirs}")->assertForbidden();
    expect(User::query()->find($other->id))->not->toBeNull();
});

it('deletes an account, and a kitchen with everything in it', function (): void {
    $neighbour = $this->cook('neighbour@example.org');
    $cook = $this->cook();
    $this->asCook($cook);
    $batch = $this->startJar()->json();
    $note = $this->postJson("/api/batches/{$batch['id']}/notes", ['ph' => 4.2, 'requestKey' => (string) Str::ulid()]);
    $photo = Illuminate\Http\UploadedFile::fake()->image('jar.png', 40, 40);
    $this->post("/api/notes/{$note->json('id')}/photo", ['photo' => $photo])->assertCreated();
    $folder = App\Actions\SavePhoto::folderOf($cook->household_id);
    expect(is_dir($folder))->toBeTrue();
    member('second@example.org', Access::Keep);

    $this->deleteJson('/api/kitchen', ['name' => 'Test', 'password' => PASSWORD])
        ->assertUnprocessable()
        ->assertJsonPath('errors.name.0', 'Enter the name of the kitchen as it is written here.');
    $this->deleteJson('/api/kitchen', ['name' => 'Test kitchen', 'password' => 'wrong'])->assertUnprocessable();
    $this->deleteJson('/api/kitchen', ['name' => 'test kitchen', 'password' => PASSWORD])
        ->assertOk()
        ->assertJsonPath('isSignedIn', false);
    expect(Household::query()->pluck('id')->all())->toBe([$neighbour->household_id]);
    expect(User::query()->pluck('id')->all())->toBe([$neighbour->id]);
    expect(DB::table('batches')->where('household_id', $cook->household_id)->count())->toBe(0);
    expect(is_dir($folder))->toBeFalse();

    $this->asCook($neighbour);
    $this->deleteJson('/api/account', ['password' => PASSWORD])
        ->assertOk()
        ->assertJsonPath('isSignedIn', false);
    expect(Household::query()->count() + User::query()->count() + Device::query()->count())->toBe(0);
});

it('shows one person\'s report to whoever holds its link, and nothing else, until it ends', function (): void {
    $this->asCook($this->cook());
    [$ada, $bo] = $this->getJson('/api/kitchen')->json('people');
    $links = $this->postJson('/api/report-links', ['personId' => $ada['id'], 'days' => 14])->assertCreated();
    $again = $this->postJson('/api/report-links', ['personId' => $ada['id'], 'days' => 7])->assertCreated();
    expect($again->json('reports'))->toHaveCount(1);
    expect($again->json('reports.0.path'))->toBe($links->json('reports.0.path'));
    $address = str_replace('/report/', '/api/reports/', $links->json('reports.0.path'));
    inAnotherBrowser();
    $report = $this->getJson($address)->assertOk();
    expect($report->json('intake.person.name'))->toBe('Ada');
    expect($report->getContent())->not->toContain($bo['id'])->not->toContain('cook@example.org');
    $this->travel(8)->days();
    $this->getJson($address)->assertNotFound();
});

it('leaves the demo kitchen as it is for whoever comes next', function (): void {
    $cook = $this->cook();
    Household::query()
        ->whereKey($cook->household_id)
        ->update(['is_demo' => true]);
    $this->asCook($cook->refresh());
    foreach (
        [['PUT', 'account'], ['PUT', 'account/password'], ['DELETE', 'account'], ['DELETE', 'kitchen']]
        as [$method, $path]
    ) {
        $this->json($method, "/api/{$path}", ['name' => 'Test kitchen', 'password' => PASSWORD])->assertForbidden();
    }
});

it('says with every answer how it may be used', function (string $path): void {
    $headers = $this->get($path)->headers;
    expect($headers->get('X-Content-Type-Options'))
        ->toBe('nosniff')
        ->and($headers->get('X-Frame-Options'))
        ->toBe('DENY')
        ->and($headers->get('Referrer-Policy'))
        ->toBe('same-origin')
        ->and($headers->get('Content-Security-Policy'))
        ->toContain("frame-ancestors 'none'")
        ->and($headers->has('X-Powered-By'))
        ->toBeFalse()
        ->and($headers->has('Strict-Transport-Security'))
        ->toBeFalse();
})->with(['/api/session', '/api/nothing', '/today', '/health', '/calendar/' . 'x.ics']);

it('asks browsers that came by https to come by nothing else', function (): void {
    expect($this->get('https://localhost/api/session')->headers->get('Strict-Transport-Security'))->toStartWith(
        'max-age=',
    );
});

it('tells figures of the installation to who knows the token, and to nobody where there is none', function (): void {
    $this->cook();
    $this->get('/metrics')->assertNotFound();
    config(['tempesal.metrics_token' => 'watching']);
    $this->get('/metrics')->assertNotFound();
    $this->get('/metrics', ['Authorization' => 'Bearer other'])->assertNotFound();
    $figures = (string) $this->get('/metrics', ['Authorization' => 'Bearer watching'])
        ->assertOk()
        ->getContent();
    expect($figures)
        ->toContain("# TYPE tempesal_kitchens gauge\ntempesal_kitchens 1\n")
        ->toContain('tempesal_database_up 1')
        ->not->toContain('Test kitchen');
});
