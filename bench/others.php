<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tests\Support\LongKitchen;

/*
 * The main answers of one kitchen with two years of history, while the database holds nothing else and while it is full of other
 * kitchens like it. Both stand in databases of their own on one server, and are asked in turn, so that what else the machine does
 * falls on both alike.
 *   ./tempesal bench others [KITCHENS]
 */
require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

const ROUNDS = 40;

$kitchens = (int) ($argv[1] ?? 200);

/** Everything of a kitchen once more, under ids of its own: rows as they are, but for the first five letters of every id. */
function cloned(string $household, string $cook, int $number): void
{
    $mark = '7' . str_pad((string) $number, 4, '0', STR_PAD_LEFT);
    $ours = [$household, "{$mark}" . substr($household, 5)];
    DB::statement('set foreign_key_checks = 0');
    foreach (['households', 'users', ...App\Backup\KitchenFile::TABLES, 'memberships', 'batch_snapshots'] as $table) {
        $columns = Schema::getColumnListing($table);
        $values = array_map(
            static fn(string $column): string => match (true) {
                $table === 'users' && $column === 'email' => "concat('{$mark}', email)",
                $column === 'id',
                str_ends_with($column, '_id')
                    => "if({$column} is null, null, concat('{$mark}', substr({$column}, 6)))",
                default => "`{$column}`",
            },
            $columns,
        );
        $where = match ($table) {
            'households' => "id = '{$household}'",
            'users' => "id = '{$cook}'",
            default => "household_id = '{$household}'",
        };
        DB::statement(
            "insert into {$table} (`" .
                implode('`, `', $columns) .
                '`) select ' .
                implode(', ', $values) .
                " from {$table} where {$where}",
        );
    }
    DB::statement('set foreign_key_checks = 1');
}

/** @return array<string, string> paths by what they show */
function screens(string $person): array
{
    return [
        'Today' => '/days/today',
        'Week' => '/weeks/today',
        'Shelf' => '/batches',
        'Weeks ahead' => '/timeline',
        'Intake' => "/intake?personId={$person}",
        'Kitchen' => '/kitchen',
        'Formulas' => '/formulas',
        'Search' => '/find?query=jar',
    ];
}

/** Milliseconds of one answer. */
function asked(App\Models\User $cook, string $path): float
{
    app()->forgetScopedInstances();
    Illuminate\Support\Facades\Facade::clearResolvedInstances();
    app(App\Household\CurrentHousehold::class)->set($cook->household);
    auth()->forgetGuards();
    auth()->guard('web')->setUser($cook);
    $begin = hrtime(true);
    $answer = app(Illuminate\Contracts\Http\Kernel::class)->handle(
        Illuminate\Http\Request::create("/api{$path}", 'GET', server: ['HTTP_ACCEPT' => 'application/json']),
    );
    $took = (hrtime(true) - $begin) / 1e6;
    if ($answer->getStatusCode() !== 200) {
        throw new RuntimeException("{$path}: {$answer->getStatusCode()}");
    }

    return $took;
}

function useDatabase(string $name): void
{
    config(['database.connections.mariadb.database' => $name]);
    DB::purge();
    DB::reconnect();
}

$cooks = [];
foreach (['tempesal_alone', 'tempesal_full'] as $name) {
    DB::statement("drop database if exists {$name}");
    DB::statement("create database {$name} character set utf8mb4 collate utf8mb4_unicode_ci");
    useDatabase($name);
    Illuminate\Support\Facades\Artisan::call('migrate', ['--force' => true]);
    $kitchen = new LongKitchen('Ours');
    foreach (range(1, 40) as $n) {
        $kitchen->jar("Jar {$n}", 18 * (41 - $n) + 10, 95, $n < 36);
    }
    $kitchen->otherFood(730);
    $person = App\Models\Person::query()->where('name', 'Ada')->firstOrFail()->id;
    $cooks[$name] = [$kitchen->cook, screens($person)];
    foreach ($cooks[$name][1] as $path) {
        asked($kitchen->cook, $path);
    }
    if ($name === 'tempesal_full') {
        $begin = microtime(true);
        foreach (range(1, $kitchens) as $number) {
            cloned($kitchen->cook->household_id, $kitchen->cook->id, $number);
        }
        $rows =
            DB::table('servings')->count() + DB::table('batch_entries')->count() + DB::table('other_foods')->count();
        DB::statement('analyze table servings, batch_entries, other_foods, batches, notes, ingredients');
        printf(
            "%d kitchens beside ours, %s rows of entries, servings and other food, written in %.0f s\n",
            $kitchens,
            number_format($rows),
            microtime(true) - $begin,
        );
    }
}

$times = [];
for ($round = 0; $round < ROUNDS; $round++) {
    foreach ($round % 2 === 0 ? $cooks : array_reverse($cooks) as $name => [$cook, $paths]) {
        useDatabase($name);
        foreach ($paths as $screen => $path) {
            $times[$screen][$name][] = asked($cook, $path);
        }
    }
}
printf("%-14s %16s %16s %8s\n", 'screen', 'alone p50/p95 ms', 'full p50/p95 ms', 'p95');
foreach ($times as $screen => $both) {
    $at = static function (string $name, float $share) use ($both): float {
        $all = $both[$name];
        sort($all);

        return $all[(int) floor($share * (count($all) - 1))];
    };
    printf(
        "%-14s %7.0f /%7.0f %7.0f /%7.0f %7.2fx\n",
        $screen,
        $at('tempesal_alone', 0.5),
        $at('tempesal_alone', 0.95),
        $at('tempesal_full', 0.5),
        $at('tempesal_full', 0.95),
        $at('tempesal_full', 0.95) / $at('tempesal_alone', 0.95),
    );
}
foreach (array_keys($cooks) as $name) {
    DB::statement("drop database {$name}");
}
