<?php

declare(strict_types=1);

use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Person;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Tests\Support\LongKitchen;

/*
 * What the main answers take of the processor in kitchens with a long history: a jar with 500 entries, 100 jars, a year of
 * servings. The database is the one of the environment; what is written there is taken back.
 *   ./tempesal bench history
 */
require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

/** Processor time of this process in milliseconds. */
function processorMs(): float
{
    $usage = getrusage();

    return ($usage['ru_utime.tv_sec'] + $usage['ru_stime.tv_sec']) * 1e3 +
        ($usage['ru_utime.tv_usec'] + $usage['ru_stime.tv_usec']) / 1e3;
}

/**
 * The least of three: what else the machine does makes it only longer.
 *
 * @return array{float, int, int, int} milliseconds, bytes of the answer, queries, rows read
 */
function measured(User $cook, string $path): array
{
    $best = INF;
    [$bytes, $queries, $rows] = [0, 0, 0];
    foreach (range(1, 3) as $_) {
        app()->forgetScopedInstances();
        Illuminate\Support\Facades\Facade::clearResolvedInstances();
        app(CurrentHousehold::class)->set($cook->household);
        auth()->forgetGuards();
        auth()->guard('web')->setUser($cook);
        $queries = 0;
        DB::flushQueryLog();
        DB::enableQueryLog();
        $read = (int) DB::selectOne("show session status like 'Handler_read_next'")->Value;
        $before = processorMs();
        $response = app(Kernel::class)->handle(
            Request::create("/api{$path}", 'GET', server: ['HTTP_ACCEPT' => 'application/json']),
        );
        $best = min($best, processorMs() - $before);
        $rows = (int) DB::selectOne("show session status like 'Handler_read_next'")->Value - $read;
        $queries = count(DB::getQueryLog());
        $bytes = strlen((string) $response->getContent());
        if ($response->getStatusCode() !== 200) {
            throw new RuntimeException(
                "{$path}: {$response->getStatusCode()} " . substr((string) $response->getContent(), 0, 200),
            );
        }
    }

    return [$best, $bytes, $queries, $rows];
}

/** @param  list<string>  $paths */
function table(string $title, User $cook, array $paths): void
{
    echo "\n{$title}\n";
    foreach ($paths as $path) {
        [$ms, $bytes, $queries, $rows] = measured($cook, $path);
        printf(
            "  %-44s %7.0f ms  %6.0f kB  %4d queries  %6d rows read on\n",
            preg_replace('/[0-9a-z]{26}/', '{id}', $path),
            $ms,
            $bytes / 1e3,
            $queries,
            $rows,
        );
    }
}

DB::beginTransaction();
try {
    $one = new LongKitchen('One jar of 500 entries');
    $batch = $one->jar('Kraut', 300, 500);
    $ada = Person::query()->where('name', 'Ada')->firstOrFail();
    table('A jar with 500 entries', $one->cook, [
        "/batches/{$batch->id}",
        "/batches/{$batch->id}/log",
        "/batches/{$batch->id}/course",
        '/batches',
        '/days/today',
        '/weeks/today',
    ]);

    $many = new LongKitchen('A hundred jars');
    foreach (range(1, 100) as $n) {
        $last = $many->jar("Jar {$n}", 30 + $n, 20);
    }
    table('100 jars on the shelf, 20 servings of each', $many->cook, [
        '/batches',
        '/days/today',
        '/weeks/today',
        '/chores',
        '/timeline',
        '/kitchen',
        "/batches/{$last->id}/log",
        "/batches/{$last->id}",
    ]);

    $year = new LongKitchen('Two years');
    foreach (range(1, 40) as $n) {
        $year->jar("Jar {$n}", 18 * (41 - $n) + 10, 95, $n < 36);
    }
    $year->otherFood(730);
    $ada = Person::query()->where('name', 'Ada')->firstOrFail();
    [$to, $from] = [now()->toDateString(), now()->subDays(364)->toDateString()];
    table("Two years: {$year->servings()} servings, other food every day", $year->cook, [
        "/intake?personId={$ada->id}&from={$from}&to={$to}",
        "/intake?personId={$ada->id}",
        "/intake/export?as=csv&from={$from}&to={$to}",
        '/days/today',
        '/weeks/today',
        '/batches',
        '/timeline',
        '/find?query=jar',
    ]);
} finally {
    DB::rollBack();
}
