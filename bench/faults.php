<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Tests\Support\RealStart;

/*
 * Sixteen clients of eight kitchens at once, against a real start: first for two minutes, then while its database and its web
 * server are killed in turn, ten times. What is not answered is asked again under the same key, as the screens do. In the end the
 * servings in the database are held against those that were acknowledged.
 *   ./tempesal bench faults [SECONDS] [KILLS]
 */
require dirname(__DIR__) . '/vendor/autoload.php';

$seconds = (int) ($argv[1] ?? 120);
$kills = (int) ($argv[2] ?? 10);
$seed = (int) (getenv('TEMPESAL_SEED') ?: random_int(1, 999_999));
mt_srand($seed);
printf("seed %d, %d clients\n", $seed, 16);

/** One browser of a kitchen: what it does next, what it waits for, what was acknowledged to it. */
final class Client
{
    /** @var array<string, string>  ids of servings by the key under which they were acknowledged */
    public array $acknowledged = [];

    /** @var array<string, true>  ids of servings whose undoing was acknowledged */
    public array $undone = [];

    /** @var array{string, string, array<string, mixed>|null}|null  what was not answered yet */
    public ?array $open = null;

    public string $cookies;

    public function __construct(public readonly string $batch, public readonly string $person, string $cookies)
    {
        $this->cookies = $cookies;
    }

    /** @return array{string, string, array<string, mixed>|null} method, path, body */
    public function next(): array
    {
        $left = array_diff($this->acknowledged, array_keys($this->undone));
        $chance = mt_rand(0, 99);

        return $this->open ??= match (true) {
            $chance < 35 => [
                'POST',
                '/api/servings',
                [
                    'batchId' => $this->batch,
                    'personId' => $this->person,
                    'amount' => '1 g',
                    'requestKey' => (string) Str::ulid(),
                ],
            ],
            $chance < 43 && $left !== [] => [
                'DELETE',
                '/api/servings/' . $left[array_rand($left)],
                ['requestKey' => (string) Str::ulid()],
            ],
            $chance < 50 => [
                'POST',
                '/api/other-foods',
                [
                    'personId' => $this->person,
                    'name' => 'Soup',
                    'how' => ['by' => 'mg', 'milligrams' => 300],
                    'requestKey' => (string) Str::ulid(),
                ],
            ],
            default => [
                'GET',
                [
                    '/api/days/today',
                    '/api/weeks/today',
                    '/api/batches',
                    "/api/batches/{$this->batch}",
                    '/api/kitchen',
                    '/api/formulas',
                    '/api/chores',
                    "/api/intake?personId={$this->person}",
                ][mt_rand(0, 7)],
                null,
            ],
        };
    }

    /** @param  array<string, mixed>|null  $answer */
    public function hears(int $status, ?array $answer): bool
    {
        [$method, $path, $body] = $this->open ?? ['', '', null];
        if ($status >= 500 || $status === 0) {
            return false;
        }
        if ($status < 300 && $method === 'POST' && $path === '/api/servings') {
            $this->acknowledged[$body['requestKey']] = (string) ($answer['id'] ?? '');
        }
        if ($status < 300 && $method === 'DELETE') {
            $this->undone[basename($path)] = true;
        }
        $this->open = null;

        return true;
    }
}

$start = new RealStart();
$start->allow(['TEMPESAL_KITCHENS_AT_ONCE' => '100']);
$start->begin();
$url = $start->read('address');

/** @return CurlHandle */
function call(string $url, Client|string $who, string $method, string $path, ?array $body): CurlHandle
{
    $cookies = is_string($who) ? $who : $who->cookies;
    preg_match('/XSRF-TOKEN\s+(\S+)/', is_file($cookies) ? (string) file_get_contents($cookies) : '', $token);
    $call = curl_init($url . $path);
    assert($call !== false);
    curl_setopt_array($call, [
        CURLOPT_CUSTOMREQUEST => $method,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_TIMEOUT => 60,
        CURLOPT_COOKIEFILE => $cookies,
        CURLOPT_HTTPHEADER => [
            'Accept: application/json',
            'Content-Type: application/json',
            'X-XSRF-TOKEN: ' . rawurldecode($token[1] ?? ''),
        ],
    ]);
    if (is_string($who)) {
        curl_setopt($call, CURLOPT_COOKIEJAR, $cookies);
    }
    if ($body !== null) {
        curl_setopt($call, CURLOPT_POSTFIELDS, json_encode($body));
    }

    return $call;
}

function now_(string $url, string $cookies, string $method, string $path, ?array $body = null): array
{
    $call = call($url, $cookies, $method, $path, $body);
    $answer = (string) curl_exec($call);
    $status = curl_getinfo($call, CURLINFO_RESPONSE_CODE);
    unset($call);
    if ($status >= 300) {
        throw new RuntimeException("{$method} {$path}: {$status} {$answer}");
    }

    return json_decode($answer, true) ?? [];
}

$clients = [];
for ($kitchen = 0; $kitchen < 8; $kitchen++) {
    $email = "cook{$kitchen}@example.org";
    foreach (['first', 'second'] as $browser) {
        $cookies = "{$start->state}/{$kitchen}-{$browser}";
        now_($url, $cookies, 'GET', '/api/session');
        if ($browser === 'first') {
            now_($url, $cookies, 'POST', '/api/kitchens', [
                'name' => "Kitchen {$kitchen}",
                'email' => $email,
                'password' => 'carrots under seven stones',
                'timeZone' => 'UTC',
                'spoonSystem' => 'us',
                'people' => [['name' => 'Ada', 'targetMg' => 2000, 'restOfDietMg' => 1000]],
                'jarCounts' => [1],
            ]);
            $house = now_($url, $cookies, 'GET', '/api/kitchen');
            $foods = now_($url, $cookies, 'GET', '/api/pantry')['ingredients'];
            $cucumber = array_values(
                array_filter($foods, static fn(array $one): bool => $one['key'] === 'cucumber'),
            )[0]['id'];
            $jar = now_($url, $cookies, 'POST', '/api/batches/bought', [
                'name' => 'Pickles',
                'foodId' => $cucumber,
                'amount' => '10 kg',
                'servingAmount' => '20 g',
                'phase' => 'pieces',
                'isLive' => true,
                'allergens' => [],
                'useBy' => null,
                'place' => 'fridge',
                'sodiumPer100g' => 900,
                'requestKey' => (string) Str::ulid(),
            ]);
        } else {
            now_($url, $cookies, 'POST', '/api/session', [
                'email' => $email,
                'password' => 'carrots under seven stones',
            ]);
        }
        $clients[] = new Client($jar['id'], $house['people'][0]['id'], $cookies);
    }
}

/**
 * Lets all clients work until the time is over and nothing is open.
 *
 * @param  list<Client>  $clients
 * @param  list<float>  $killAt  seconds from the beginning
 * @return array<int, int>  answers by status
 */
function work(array $clients, string $url, float $seconds, RealStart $start, array $killAt = []): array
{
    $multi = curl_multi_init();
    $of = new WeakMap();
    $statuses = [];
    $begin = microtime(true);
    $waits = [];
    $killed = 0;
    $send = static function (Client $client) use ($multi, $of, $url): void {
        $call = call($url, $client, ...$client->next());
        $of[$call] = $client;
        curl_multi_add_handle($multi, $call);
    };
    foreach ($clients as $client) {
        $send($client);
    }
    $running = count($clients);
    while ($running > 0) {
        curl_multi_exec($multi, $active);
        curl_multi_select($multi, 0.05);
        $passed = microtime(true) - $begin;
        if (isset($killAt[$killed]) && $passed > $killAt[$killed]) {
            $what = $killed % 2 === 0 ? 'database' : 'web';
            $process = $start->process($what);
            if ($process > 1) {
                posix_kill($what === 'web' ? -$process : $process, SIGKILL);
            }
            $killed++;
        }
        while ($done = curl_multi_info_read($multi)) {
            $call = $done['handle'];
            $client = $of[$call];
            $status = curl_getinfo($call, CURLINFO_RESPONSE_CODE);
            $answer = json_decode((string) curl_multi_getcontent($call), true);
            curl_multi_remove_handle($multi, $call);
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            if ($status >= 400 && $status !== 503) {
                fprintf(
                    STDERR,
                    "%d %s\n",
                    $status,
                    json_encode($client->open) . ' ' . substr((string) json_encode($answer), 0, 200),
                );
            }
            $client->hears($status, is_array($answer) ? $answer : null);
            if ($passed < $seconds || $client->open !== null) {
                $waits[] = [$client, microtime(true) + ($client->open === null ? 0.02 : 1.0)];
            } else {
                $running--;
            }
        }
        foreach ($waits as $n => [$client, $at]) {
            if (microtime(true) >= $at) {
                unset($waits[$n]);
                $send($client);
            }
        }
    }
    ksort($statuses);

    return $statuses;
}

/** @param  array<int, int>  $statuses */
function told(string $title, array $statuses, float $seconds): void
{
    $all = array_sum($statuses);
    printf('%s: %d answers in %.0f s (%.1f a second)', $title, $all, $seconds, $all / $seconds);
    foreach ($statuses as $status => $count) {
        printf(', %s %d', $status === 0 ? 'none' : (string) $status, $count);
    }
    echo "\n";
}

try {
    $begin = microtime(true);
    told('At once', work($clients, $url, $seconds, $start), microtime(true) - $begin);

    $begin = microtime(true);
    $killAt = $kills === 0 ? [] : array_map(static fn(int $n): float => 6.0 + 9.0 * $n, range(0, $kills - 1));
    $statuses = work($clients, $url, 9.0 * $kills + 6.0, $start, $killAt);
    told("With {$kills} kills", $statuses, microtime(true) - $begin);

    $lost = $double = $undoneLost = 0;
    $rows = [];
    $query = new Symfony\Component\Process\Process([
        'mariadb',
        '--no-defaults',
        "--socket={$start->socket()}",
        '-BN',
        '-e',
        'select id, request_key, undone_at is not null, batch_entry_id from tempesal.servings',
    ]);
    foreach (array_filter(explode("\n", $query->mustRun()->getOutput())) as $line) {
        [$id, $key, $isUndone] = explode("\t", $line);
        $rows[strtoupper($key)][] = [$id, $isUndone === '1'];
    }
    $acknowledged = 0;
    foreach ($clients as $client) {
        foreach ($client->acknowledged as $key => $id) {
            $acknowledged++;
            $there = $rows[$key] ?? [];
            $lost += count($there) === 0 ? 1 : 0;
            $double += count($there) > 1 ? 1 : 0;
            $undoneLost += isset($client->undone[$id]) && !($there[0][1] ?? false) ? 1 : 0;
        }
    }
    $unknown = count($rows) - $acknowledged;
    $half = (int) trim(
        (new Symfony\Component\Process\Process([
            'mariadb',
            '--no-defaults',
            "--socket={$start->socket()}",
            '-BN',
            '-e',
            'select count(*) from tempesal.batch_entries e left join tempesal.servings s on s.batch_entry_id = e.id' .
            " where e.kind = 'serve' and s.id is null",
        ]))
            ->mustRun()
            ->getOutput(),
    );
    printf(
        "%d servings acknowledged: %d lost, %d twice, %d undone and still there, %d written and never acknowledged, %d half done\n",
        $acknowledged,
        $lost,
        $double,
        $undoneLost,
        $unknown,
        $half,
    );
    echo $start->command('check')->mustRun()->getOutput();
    preg_match_all('/is back/', $start->process->getOutput(), $back);
    printf("servers brought back: %d\n", count($back[0]));
} finally {
    $start->end();
}
