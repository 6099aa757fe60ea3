<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Str;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A start of Tempesal in a folder of its own, and what is asked of it. */
final class RealStart
{
    public string $state;

    public Process $process;

    public function __construct()
    {
        $this->state = '/tmp/tempesal-start-' . Str::lower(Str::random(8));
    }

    /** @var array<string, string> */
    private array $more = [];

    /** @param  array<string, string>  $settings  for it alone */
    public function allow(array $settings): void
    {
        $this->more = $settings;
    }

    public function begin(string $how = 'serve'): void
    {
        $this->process = $this->command($how);
        $this->process->start();
        $this->process->waitUntil(static fn(string $type, string $said): bool => str_contains($said, 'Press Ctrl-C'));
        // Process 0 would be this one.
        if ($this->process('web') <= 1 || $this->process('database') <= 1) {
            throw new RuntimeException($this->process->getOutput() . $this->process->getErrorOutput());
        }
    }

    /** Settings of the tests are none of the start's. */
    public function command(string ...$words): Process
    {
        return (new Process(['./tempesal', ...$words], dirname(__DIR__, 2), [
            'TEMPESAL_STATE' => $this->state,
            'TEMPESAL_PORT' => '8480',
            'CACHE_STORE' => false,
            'LOG_CHANNEL' => false,
            'TEMPESAL_DEMO' => false,
            'APP_KEY' => false,
            ...$this->more,
        ]))->setTimeout(120);
    }

    public function read(string $name): string
    {
        return trim((string) @file_get_contents("{$this->state}/main/private/{$name}"));
    }

    public function socket(): string
    {
        return '/tmp/tempesal-' . substr(hash('sha256', "{$this->state}/main"), 0, 10) . '.sock';
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
            // The first answer after a start is read by cold servers.
            CURLOPT_TIMEOUT => 30,
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

    /** What has ended and was not fetched yet has no programme any more. */
    public static function runs(int $process): bool
    {
        clearstatcache();

        return $process > 0 && file_exists("/proc/{$process}/exe");
    }

    public function end(): void
    {
        $this->command('stop')->run();
        $this->process->stop(5);
        (new Process(['rm', '-rf', $this->state]))->run();
    }
}
