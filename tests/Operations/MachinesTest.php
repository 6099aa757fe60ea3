<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

/*
 * Past one machine: two application servers that keep nothing themselves, sessions and limits in a real Redis, reads from a real
 * copy of a real MariaDB. All on loopback, from binaries of Debian.
 */

/** A MariaDB with its copy, a Redis, and two application servers. */
final class Machines
{
    public const APPS = [8493, 8494];

    private const PORTS = ['original' => 3393, 'copy' => 3394, 'redis' => 6393];

    public readonly string $folder;

    private readonly string $key;

    /** @var list<Process> */
    private array $running = [];

    public function __construct()
    {
        $this->folder = '/tmp/tempesal-machines-' . Str::lower(Str::random(6));
        $this->key = 'base64:' . base64_encode(random_bytes(32));
    }

    public function begin(): void
    {
        mkdir($this->folder);
        chmod($this->folder, 0755);
        $this->start([
            'redis-server',
            '--port',
            (string) self::PORTS['redis'],
            '--bind',
            '127.0.0.1',
            '--save',
            '',
            '--dir',
            $this->folder,
        ]);
        foreach (['original' => 1, 'copy' => 2] as $name => $id) {
            $this->database($name, $id);
        }
        $this->sql(
            'original',
            "create user 'copier'@'127.0.0.1' identified by 'copies'; grant replication slave on *.* to 'copier'@'127.0.0.1';
            create user 'tempesal'@'127.0.0.1' identified by 'writes'; grant all on `tempesal%`.* to 'tempesal'@'127.0.0.1';
            create database tempesal character set utf8mb4 collate utf8mb4_unicode_ci",
        );
        $this->sql(
            'copy',
            "change master to master_host = '127.0.0.1', master_port = " .
                self::PORTS['original'] .
                ",
            master_user = 'copier', master_password = 'copies', master_use_gtid = slave_pos; start slave",
        );
        (new Process(
            ['php', 'artisan', 'migrate', '--force', '--no-interaction'],
            dirname(__DIR__, 2),
            $this->settings(0),
        ))
            ->setTimeout(120)
            ->mustRun();
        foreach (self::APPS as $port) {
            $this->start(
                ['php', '-q', '-S', "127.0.0.1:{$port}", '-t', 'public', 'public/router.php'],
                $this->settings($port),
            );
        }
        foreach (self::APPS as $at => $_) {
            for (
                $tries = 0;
                $tries < 100 && ($this->ask($at, 'GET', '/health', 'nobody')['status'] ?? 0) !== 200;
                $tries++
            ) {
                usleep(100_000);
            }
        }
    }

    private function database(string $name, int $id): void
    {
        $data = "{$this->folder}/{$name}";
        mkdir($data);
        $isRoot = posix_geteuid() === 0;
        $user = $isRoot ? ['--user=mysql'] : [];
        $owner = posix_getpwuid(posix_geteuid())['name'];
        if ($isRoot) {
            chown($data, 'mysql');
        }
        (new Process([
            'mariadb-install-db',
            '--no-defaults',
            "--datadir={$data}",
            '--auth-root-authentication-method=socket',
            "--auth-root-socket-user={$owner}",
            '--skip-test-db',
            ...$user,
        ]))
            ->setTimeout(120)
            ->mustRun();
        $this->start([
            is_executable('/usr/sbin/mariadbd') ? '/usr/sbin/mariadbd' : 'mariadbd',
            '--no-defaults',
            "--datadir={$data}",
            "--socket={$data}/db.sock",
            '--bind-address=127.0.0.1',
            '--port=' . self::PORTS[$name],
            "--server-id={$id}",
            '--log-bin=log',
            '--skip-name-resolve',
            '--innodb-flush-log-at-trx-commit=0',
            ...$name === 'copy' ? ['--read-only'] : [],
            ...$user,
        ]);
        for ($tries = 0; $tries < 200 && !$this->sql($name, 'select 1', must: false); $tries++) {
            usleep(100_000);
        }
    }

    public function sql(string $name, string $sql, bool $must = true): bool
    {
        $process = new Process(['mariadb', '--no-defaults', "--socket={$this->folder}/{$name}/db.sock", '-e', $sql]);
        $must ? $process->mustRun() : $process->run();

        return $process->isSuccessful();
    }

    /** @return array<string, string|false> of one application server; nothing of it lies on the server's own disk */
    private function settings(int $port): array
    {
        return [
            ...array_fill_keys(
                array_filter(
                    array_keys(getenv()),
                    static fn(string $name): bool => preg_match('/^(APP_|DB_|CACHE_|LOG_|BCRYPT|TEMPESAL_)/', $name) ===
                        1,
                ),
                false,
            ),
            'APP_ENV' => 'production',
            'APP_KEY' => $this->key,
            'APP_URL' => "http://127.0.0.1:{$port}",
            'DB_HOST' => '127.0.0.1',
            'DB_PORT' => (string) self::PORTS['original'],
            'DB_DATABASE' => 'tempesal',
            'DB_USERNAME' => 'tempesal',
            'DB_PASSWORD' => 'writes',
            'DB_READ_HOST' => '127.0.0.1',
            'DB_READ_PORT' => (string) self::PORTS['copy'],
            'SESSION_DRIVER' => 'redis',
            'CACHE_STORE' => 'redis',
            'REDIS_PORT' => (string) self::PORTS['redis'],
            'PHP_CLI_SERVER_WORKERS' => '2',
        ];
    }

    /**
     * @param  list<string>  $words
     * @param  array<string, string|false>  $settings
     */
    private function start(array $words, array $settings = []): void
    {
        $process = new Process(['setsid', ...$words], dirname(__DIR__, 2), $settings, timeout: null);
        $process->start();
        $this->running[] = $process;
    }

    /** @return array{status: int, json: mixed} what one of the application servers answers to one of the cooks */
    public function ask(int $app, string $method, string $path, string $cook, ?array $body = null): array
    {
        $jar = "{$this->folder}/{$cook}.cookies";
        preg_match('/XSRF-TOKEN\s+(\S+)/', is_file($jar) ? (string) file_get_contents($jar) : '', $token);
        $call = curl_init('http://127.0.0.1:' . self::APPS[$app] . $path);
        assert($call !== false);
        curl_setopt_array($call, [
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 30,
            CURLOPT_COOKIEJAR => $jar,
            CURLOPT_COOKIEFILE => $jar,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                'X-XSRF-TOKEN: ' . rawurldecode($token[1] ?? ''),
            ],
        ]);
        if ($body !== null) {
            curl_setopt($call, CURLOPT_POSTFIELDS, json_encode($body));
        }
        $answer = (string) curl_exec($call);
        $status = curl_getinfo($call, CURLINFO_RESPONSE_CODE);
        curl_close($call);

        return ['status' => $status, 'json' => json_decode($answer, true)];
    }

    public function end(): void
    {
        foreach (array_reverse($this->running) as $process) {
            if ($process->getPid() !== null) {
                posix_kill(-$process->getPid(), SIGTERM);
                $process->stop(5);
            }
        }
        (new Process(['rm', '-rf', $this->folder]))->run();
    }
}

it(
    'serves one kitchen from two machines, with reads from a copy, and shows everybody what they have just written',
    function (): void {
        $machines = new Machines();
        try {
            $machines->begin();
            $machines->ask(0, 'GET', '/api/session', 'ada');
            $opened = $machines->ask(0, 'POST', '/api/kitchens', 'ada', [
                'name' => 'Two machines',
                'email' => 'ada@example.org',
                'password' => 'carrots under seven stones',
                'timeZone' => 'UTC',
                'spoonSystem' => 'us',
                'people' => [['name' => 'Ada', 'targetMg' => 2000, 'restOfDietMg' => 1000]],
                'jarCounts' => [1],
            ]);
            expect($opened['status'])->toBe(201);
            // The other machine knows the session at once, and what was written with it.
            expect($machines->ask(1, 'GET', '/api/kitchen', 'ada'))->toMatchArray(['status' => 200]);
            expect($machines->ask(1, 'GET', '/api/kitchen', 'ada')['json']['name'])->toBe('Two machines');

            // A second cook, who has not written, reads from the copy: while it stands still, they see what was before.
            $secret = Str::after(
                $machines->ask(1, 'POST', '/api/invitations', 'ada', ['access' => 'read', 'forWhom' => 'Bo'])['json'][
                    'invitations'
                ][0]['path'],
                '/join/',
            );
            $machines->ask(0, 'GET', '/api/session', 'bo');
            expect(
                $machines->ask(0, 'POST', "/api/join/{$secret}", 'bo', [
                    'name' => 'Bo',
                    'email' => 'bo@example.org',
                    'password' => 'seven quiet stones here',
                ])['status'],
            )->toBe(201);
            sleep(11);
            $machines->sql('copy', 'stop slave sql_thread');
            $kitchen = $machines->ask(0, 'GET', '/api/kitchen', 'ada')['json'];
            $renamed = $machines->ask(0, 'PUT', '/api/household', 'ada', [
                'version' => $kitchen['version'],
                'name' => 'Renamed',
                'requestKey' => (string) Str::ulid(),
            ]);
            expect($renamed['status'])->toBe(200);
            expect($machines->ask(1, 'GET', '/api/kitchen', 'ada')['json']['name'])->toBe('Renamed');
            expect($machines->ask(1, 'GET', '/api/kitchen', 'bo')['json']['name'])->toBe('Two machines');
            $machines->sql('copy', 'start slave sql_thread');
            for (
                $tries = 0;
                $tries < 100 && $machines->ask(1, 'GET', '/api/kitchen', 'bo')['json']['name'] !== 'Renamed';
                $tries++
            ) {
                usleep(100_000);
            }
            expect($machines->ask(0, 'GET', '/api/kitchen', 'bo')['json']['name'])->toBe('Renamed');

            // Wrong passwords are counted together, whichever machine they come to.
            for ($try = 0; $try < 8; $try++) {
                $machines->ask($try % 2, 'POST', '/api/session', 'guess', [
                    'email' => 'ada@example.org',
                    'password' => "guess {$try}",
                ]);
                if ($try === 0) {
                    $machines->ask(0, 'GET', '/api/session', 'guess');
                }
            }
            $machines->ask(0, 'POST', '/api/session', 'guess', ['email' => 'ada@example.org', 'password' => 'guess 9']);
            expect(
                $machines->ask(1, 'POST', '/api/session', 'guess', [
                    'email' => 'ada@example.org',
                    'password' => 'carrots under seven stones',
                ])['status'],
            )->toBe(429);

            // Signed out on one, signed out on both.
            expect($machines->ask(0, 'DELETE', '/api/session', 'bo')['status'])->toBe(200);
            expect($machines->ask(1, 'GET', '/api/kitchen', 'bo')['status'])->toBe(401);
        } finally {
            $machines->end();
        }
    },
);
