<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

/*
 * The real start, with its own database and web server in folders of this test.
 */

/** A start of `./tempesal serve` in a folder of its own, and what is asked of it. */
final class RealStart
{
    public string $state;

    public Process $process;

    public function __construct()
    {
        $this->state = '/tmp/tempesal-start-' . Str::lower(Str::random(8));
    }

    public function begin(): void
    {
        $this->process = $this->command('serve');
        $this->process->start();
        $this->process->waitUntil(static fn(string $type, string $said): bool => str_contains($said, 'Press Ctrl-C'));
        // Process 0 would be this one.
        if ($this->process('web') <= 1 || $this->process('database') <= 1) {
            throw new RuntimeException($this->process->getOutput() . $this->process->getErrorOutput());
        }
    }

    /** Settings of the tests are none of the start's. */
    public function command(string $name): Process
    {
        return (new Process(['./tempesal', $name], dirname(__DIR__, 2), [
            'TEMPESAL_STATE' => $this->state,
            'TEMPESAL_PORT' => '8480',
            'CACHE_STORE' => false,
            'LOG_CHANNEL' => false,
            'TEMPESAL_DEMO' => false,
            'APP_KEY' => false,
        ]))->setTimeout(120);
    }

    public function read(string $name): string
    {
        return trim((string) @file_get_contents("{$this->state}/main/private/{$name}"));
    }

    public function process(string $name): int
    {
        return (int) explode(' ', $this->read("{$name}.process"))[0];
    }

    /** @return array{int, array<string, string>, mixed}  status, headers, body */
    public function ask(string $path): array
    {
        $headers = [];
        $call = curl_init($this->read('address') . $path);
        assert($call !== false);
        curl_setopt_array($call, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 10,
            CURLOPT_HEADERFUNCTION => static function (mixed $call, string $line) use (&$headers): int {
                [$name, $value] = [...explode(': ', trim($line), 2), ''];
                $headers[strtolower($name)] = $value;

                return strlen($line);
            },
        ]);
        $body = curl_exec($call);

        return [curl_getinfo($call, CURLINFO_RESPONSE_CODE), $headers, json_decode((string) $body, true)];
    }

    /** Until it answers with this status, at most half a minute. */
    public function until(string $path, int $status): bool
    {
        for ($tries = 0; $tries < 300; $tries++) {
            if ($this->ask($path)[0] === $status) {
                return true;
            }
            usleep(100_000);
        }

        return false;
    }

    public static function runs(int $process): bool
    {
        return $process > 0 &&
            is_dir("/proc/{$process}") &&
            !str_contains((string) @file_get_contents("/proc/{$process}/stat"), ') Z ');
    }

    public function end(): void
    {
        $this->command('stop')->run();
        $this->process->stop(5);
        (new Process(['rm', '-rf', $this->state]))->run();
    }
}

it('comes back after its database or its web server was killed, says so, and ends as a whole', function (): void {
    $start = new RealStart();
    $start->begin();
    try {
        [$database, $web] = [$start->process('database'), $start->process('web')];
        // No answer is given before it is known that the database is gone, so the first one after it tells.
        posix_kill($database, SIGKILL);
        [$status, $headers, $body] = $start->ask('/api/session');
        expect($status)->toBe(503);
        expect((int) $headers['retry-after'])->toBeGreaterThan(0);
        expect($body['message']['code'])->toBe('errors.http_503');
        expect($start->until('/api/session', 200))->toBeTrue();
        expect($start->process('database'))->not->toBe($database);

        posix_kill(-$web, SIGKILL);
        expect($start->ask('/api/session')[0])->toBe(0);
        expect($start->until('/api/session', 200))->toBeTrue();
        expect($start->process('web'))->not->toBe($web);
        expect($start->process->getOutput())
            ->toContain('The database stopped. Starting it again.')
            ->toContain('The database is back.')
            ->toContain('The web server stopped. Starting it again.')
            ->toContain('The web server is back.');

        $second = $start->command('serve');
        expect($second->run())->toBe(1);
        expect($second->getErrorOutput())->toContain($start->read('address'))->toContain('./tempesal stop');
        expect($start->ask('/api/session')[0])->toBe(200);

        $servers = [$start->process('database'), $start->process('web')];
        $stop = $start->command('stop');
        expect($stop->run())->toBe(0);
        expect($stop->getOutput())->toContain('Stopped Tempesal.');
        expect(array_map(RealStart::runs(...), $servers))->toBe([false, false]);
        expect($start->process->wait())->toBe(0);
    } finally {
        $start->end();
    }
});

it('leaves nothing running when it is killed itself, and shares nothing with another start', function (): void {
    [$one, $other] = [new RealStart(), new RealStart()];
    $one->begin();
    try {
        $other->begin();
        expect($other->read('address'))->not->toBe($one->read('address'));
        expect($other->read('secrets'))->not->toBe($one->read('secrets'));
        expect($one->ask('/health')[2]['status'])->toBe('up');

        $servers = [$one->process('database'), $one->process('web')];
        posix_kill($one->process('start'), SIGKILL);
        for ($tries = 0; $tries < 300 && array_filter($servers, RealStart::runs(...)) !== []; $tries++) {
            usleep(100_000);
        }
        expect(array_map(RealStart::runs(...), $servers))->toBe([false, false]);
        expect($other->ask('/health')[2]['status'])->toBe('up');
    } finally {
        $one->end();
        $other->end();
    }
});
