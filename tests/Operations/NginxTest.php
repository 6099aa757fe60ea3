<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

/*
 * The real application behind the shipped configuration of nginx and php-fpm, with a certificate of its own authority: set up
 * by the shipped script in a folder of this test.
 */

/** An installation below a folder, with its own nginx and php-fpm. */
final class Installed
{
    public const HTTP = 8491;

    public const HTTPS = 8492;

    public readonly string $prefix;

    /** @var list<Process> */
    private array $servers = [];

    private readonly string $database;

    private readonly string $cookies;

    public function __construct()
    {
        $this->prefix = '/tmp/tempesal-installed-' . Str::lower(Str::random(6));
        $this->database = 'tempesal_installed_' . Str::lower(Str::random(6));
        $this->cookies = "{$this->prefix}/cookies";
    }

    public function root(): string
    {
        return dirname(__DIR__, 2);
    }

    /** @param  list<string>  $words */
    public function run(array $words, bool $must = true): Process
    {
        $process = new Process($words, $this->root(), [
            'TEMPESAL_SETTINGS' => "{$this->prefix}/etc/tempesal/settings.env",
            'LARAVEL_STORAGE_PATH' => "{$this->prefix}/var/lib/tempesal/storage",
            'APP_CONFIG_CACHE' => "{$this->prefix}/var/lib/tempesal/settings.php",
            'APP_ROUTES_CACHE' => "{$this->prefix}/var/lib/tempesal/addresses.php",
            ...array_fill_keys(self::settingsOfTests(), false),
        ]);
        $process->setTimeout(180);
        $must ? $process->mustRun() : $process->run();

        return $process;
    }

    /** What this test was told is not for the application that it starts. */
    private static function settingsOfTests(): array
    {
        return array_values(
            array_filter(
                array_keys(getenv()),
                static fn(string $name): bool => preg_match('/^(APP_|DB_|CACHE_|LOG_|BCRYPT|TEMPESAL_)/', $name) ===
                    1 && !in_array($name, ['TEMPESAL_SETTINGS', 'APP_CONFIG_CACHE', 'APP_ROUTES_CACHE'], true),
            ),
        );
    }

    public function setUp(): void
    {
        mkdir($this->prefix);
        chmod($this->prefix, 0755);
        $this->run([
            'ops/install.sh',
            '--prefix',
            $this->prefix,
            '--host',
            'localhost',
            '--http-port',
            (string) self::HTTP,
            '--https-port',
            (string) self::HTTPS,
        ]);
        $this->usesDatabaseOfTests();
        foreach ([['migrate', '--force', '--no-interaction'], ['config:cache'], ['route:cache']] as $artisan) {
            $this->run(['php', 'artisan', ...$artisan]);
        }
        $user = posix_geteuid() === 0 ? 'user root;' : '';
        file_put_contents(
            "{$this->prefix}/nginx.conf",
            <<<CONF
            {$user}
            pid {$this->prefix}/nginx.pid;
            include /etc/nginx/modules-enabled/*.conf;
            error_log {$this->prefix}/nginx.log;
            events {}
            http {
                include /etc/nginx/mime.types;
                client_body_temp_path {$this->prefix}/body;
                fastcgi_temp_path {$this->prefix}/fastcgi;
                include {$this->prefix}/etc/nginx/sites-available/tempesal.conf;
            }
            CONF
            ,
        );
        $fpm = trim(
            (string) shell_exec(
                'bash -c "command -v php-fpm || compgen -c php-fpm | sort -V | tail -n 1 | xargs which"',
            ),
        );
        $this->start([
            $fpm,
            ...posix_geteuid() === 0 ? ['--allow-to-run-as-root'] : [],
            '--nodaemonize',
            '--fpm-config',
            "{$this->prefix}/etc/tempesal/php-fpm.conf",
        ]);
        $nginx = is_executable('/usr/sbin/nginx') ? '/usr/sbin/nginx' : 'nginx';
        $this->start([$nginx, '-c', "{$this->prefix}/nginx.conf", '-g', 'daemon off;']);
        for ($tries = 0; $tries < 100 && $this->ask('GET', '/health')['status'] !== 200; $tries++) {
            usleep(100_000);
        }
    }

    private function usesDatabaseOfTests(): void
    {
        DB::statement("create database `{$this->database}` character set utf8mb4 collate utf8mb4_unicode_ci");
        $file = "{$this->prefix}/etc/tempesal/settings.env";
        $settings = (string) file_get_contents($file);
        foreach (
            [
                'DB_PORT' => config('database.connections.mariadb.port'),
                'DB_DATABASE' => $this->database,
                'DB_PASSWORD' => '"' . config('database.connections.mariadb.password') . '"',
                'APP_URL' => '"https://localhost:' . self::HTTPS . '"',
            ]
            as $name => $value
        ) {
            $settings = preg_replace("/^{$name}=.*$/m", "{$name}={$value}", $settings);
        }
        file_put_contents($file, $settings);
        if (posix_geteuid() === 0) {
            // As the service's own user would run it.
            file_put_contents(
                "{$this->prefix}/etc/tempesal/php-fpm.conf",
                str_replace(
                    '[tempesal]',
                    "[tempesal]\nuser = root\ngroup = root",
                    (string) file_get_contents("{$this->prefix}/etc/tempesal/php-fpm.conf"),
                ),
            );
        }
    }

    /** @param  list<string>  $words */
    private function start(array $words): void
    {
        $server = new Process($words, $this->root(), array_fill_keys(self::settingsOfTests(), false), timeout: null);
        $server->start();
        $this->servers[] = $server;
    }

    /**
     * @param  array<string, string>  $headers
     * @return array{status: int, headers: array<string, string>, body: string, json: mixed}
     */
    public function ask(
        string $method,
        string $path,
        mixed $body = null,
        array $headers = [],
        bool $isSecure = true,
    ): array {
        $call = curl_init(($isSecure ? 'https://localhost:' . self::HTTPS : 'http://localhost:' . self::HTTP) . $path);
        assert($call !== false);
        $got = [];
        $cookies = is_file($this->cookies) ? (string) file_get_contents($this->cookies) : '';
        preg_match('/XSRF-TOKEN\s+(\S+)/', $cookies, $token);
        $sent = is_string($body) || $body === null ? $body : json_encode($body);
        $all = [
            'Accept' => 'application/json',
            ...$body === null
                ? []
                : ['Content-Type' => is_string($body) ? 'application/octet-stream' : 'application/json'],
            ...isset($token[1]) ? ['X-XSRF-TOKEN' => rawurldecode($token[1])] : [],
            ...$headers,
        ];
        curl_setopt_array($call, [
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 60,
            CURLOPT_CAINFO => "{$this->prefix}/etc/tempesal/tls/authority.crt",
            CURLOPT_COOKIEJAR => $this->cookies,
            CURLOPT_COOKIEFILE => $this->cookies,
            CURLOPT_HTTPHEADER => array_map(
                static fn(string $name, string $value): string => "{$name}: {$value}",
                array_keys($all),
                $all,
            ),
            CURLOPT_HEADERFUNCTION => static function (mixed $call, string $line) use (&$got): int {
                [$name, $value] = [...explode(': ', trim($line), 2), ''];
                $got[strtolower($name)] = $value;

                return strlen($line);
            },
        ]);
        if ($sent !== null) {
            curl_setopt($call, CURLOPT_POSTFIELDS, $sent);
        }
        $answer = (string) curl_exec($call);
        $status = curl_getinfo($call, CURLINFO_RESPONSE_CODE);
        curl_close($call);

        return ['status' => $status, 'headers' => $got, 'body' => $answer, 'json' => json_decode($answer, true)];
    }

    public function end(): void
    {
        foreach (array_reverse($this->servers) as $server) {
            $server->stop(5);
        }
        DB::statement("drop database if exists `{$this->database}`");
        (new Process(['rm', '-rf', $this->prefix]))->run();
    }
}

it('serves the real application over nginx and php-fpm by the shipped configuration', function (): void {
    $here = new Installed();
    try {
        $here->setUp();
        expect($here->ask('GET', '/health'))->toMatchArray([
            'status' => 200,
            'json' => ['status' => 'up', 'database' => 'up'],
        ]);

        // By http one is sent on, and finds the authority of this home.
        $plain = $here->ask('GET', '/today', isSecure: false);
        expect($plain['status'])
            ->toBe(301)
            ->and($plain['headers']['location'])
            ->toBe('https://localhost:' . Installed::HTTPS . '/today');
        expect($here->ask('GET', '/authority.crt', isSecure: false)['body'])->toContain('BEGIN CERTIFICATE');

        // Screens, packed and kept.
        $page = $here->ask('GET', '/today');
        expect($page['headers']['content-security-policy'])->toContain("default-src 'self'");
        preg_match('#/build/assets/[^"]+\.js#', $page['body'], $script);
        foreach (
            ['gzip', ...is_file('/usr/lib/nginx/modules/ngx_http_brotli_static_module.so') ? ['br'] : []]
            as $encoding
        ) {
            $asset = $here->ask('GET', $script[0], headers: ['Accept-Encoding' => $encoding]);
            expect($asset['headers']['content-encoding'] ?? '')->toBe($encoding);
            expect($asset['headers']['cache-control'])->toContain('immutable');
            expect($asset['headers']['x-content-type-options'])->toBe('nosniff');
        }
        foreach (['/.git/config', '/index.php', '/build/assets/nothing.js', '/router.php'] as $closed) {
            expect($here->ask('GET', $closed)['status'])->toBe(404, $closed);
        }

        expect($here->ask('GET', '/%2e%2e/composer.json')['body'])->not->toContain('laravel');

        // A kitchen, a jar, a photo of 6 MB, and a part of a large file.
        $here->ask('GET', '/api/session');
        $kitchen = $here->ask('POST', '/api/kitchens', [
            'name' => 'Behind nginx',
            'email' => 'cook@example.org',
            'password' => 'carrots under seven stones',
            'timeZone' => 'UTC',
            'spoonSystem' => 'us',
            'people' => [['name' => 'Ada', 'targetMg' => 2000, 'restOfDietMg' => 1000]],
            'jarCounts' => [1, 1],
        ]);
        expect($kitchen['status'])->toBe(201, $kitchen['body']);
        expect($kitchen['headers']['strict-transport-security'] ?? '')->toContain('max-age=');
        expect($kitchen['headers'])->not->toHaveKey('x-powered-by');
        expect((string) file_get_contents("{$here->prefix}/cookies"))->toMatch(
            '/#HttpOnly_localhost\s+FALSE\s+\/\s+TRUE\s+\d+\s+tempesal_session/',
        );
        $formula = $here->ask('GET', '/api/formulas')['json']['formulas'][0]['id'];
        $batch = $here->ask('POST', "/api/formulas/{$formula}/batches", [
            'name' => 'First',
            'place' => 'counter',
            'requestKey' => (string) Str::ulid(),
        ]);
        expect($batch['status'])->toBe(201, $batch['body']);
        $note = $here->ask('POST', "/api/batches/{$batch['json']['id']}/notes", [
            'ph' => 4.1,
            'requestKey' => (string) Str::ulid(),
        ]);
        $image = imagecreatetruecolor(1500, 1400);
        for ($n = 0; $n < 200_000; $n++) {
            imagesetpixel($image, random_int(0, 1499), random_int(0, 1399), random_int(0, 0xffffff));
        }
        imagepng($image, "{$here->prefix}/photo.png", 0);
        expect(filesize("{$here->prefix}/photo.png"))->toBeGreaterThan(6_000_000);
        $form =
            "--line\r\nContent-Disposition: form-data; name=\"photo\"; filename=\"jar.png\"\r\nContent-Type: image/png\r\n\r\n" .
            file_get_contents("{$here->prefix}/photo.png") .
            "\r\n--line--\r\n";
        $photo = $here->ask('POST', "/api/notes/{$note['json']['id']}/photo", $form, [
            'Content-Type' => 'multipart/form-data; boundary=line',
        ]);
        expect($photo['status'])->toBe(201, $photo['body']);
        expect($here->ask('GET', "/api/notes/{$note['json']['id']}/photo")['headers']['content-type'])->toBe(
            'image/jpeg',
        );
        $upload = $here->ask('POST', '/api/kitchen/file/parts', [])['json']['id'];
        expect(
            $here->ask('PUT', "/api/kitchen/file/parts/{$upload}/0", str_repeat('x', 8 * 1024 * 1024))['status'],
        )->toBe(200);
        expect(
            $here->ask('PUT', "/api/kitchen/file/parts/{$upload}/0", str_repeat('x', 9 * 1024 * 1024))['status'],
        )->toBe(413);
        $archive = $here->ask('GET', '/api/kitchen/file?as=zip');
        expect(substr($archive['body'], 0, 2))->toBe('PK')->and(strlen($archive['body']))->toBeGreaterThan(50_000);

        // The shipped check finds what is well, and what this test has not set up.
        $doctor = $here->run(['ops/doctor.sh'], must: false)->getOutput();
        preg_match_all('/^WRONG  (.*)$/m', $doctor, $wrong);
        expect(
            array_diff($wrong[1], [
                'there is a backup of the last two days',
                'photos and sessions are closed to others',
                'scripts come packed (brotli)',
            ]),
        )->toBe([], $doctor);
        expect(substr_count($doctor, 'well   '))->toBeGreaterThan(10);
    } finally {
        $here->end();
    }
});
