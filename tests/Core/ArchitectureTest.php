<?php

declare(strict_types=1);

arch('the core stands alone')
    ->expect('Tempesal\Core')
    ->not->toUse(['Illuminate', 'App', 'Symfony', 'Carbon', 'Opis', 'Database']);

arch('the core has no clock, no chance and no way out')
    ->expect([
        'date',
        'time',
        'microtime',
        'now',
        'rand',
        'mt_rand',
        'random_int',
        'file_get_contents',
        'fopen',
        'getenv',
        'config',
        'app',
        'dump',
        'dd',
    ])
    ->not->toBeUsedIn('Tempesal\Core');

arch('every file is strict')
    ->expect(['Tempesal\Core', 'App'])
    ->toUseStrictTypes();

arch('controllers leave the database to actions, models and views')
    ->expect('Illuminate\Support\Facades\DB')
    ->not->toBeUsedIn('App\Http');

arch('no controller calls a controller')->expect('App\Http\Controllers')->not->toBeUsedIn('App');

arch('models are rows without services')
    ->expect([
        'App\Actions',
        'App\Bench',
        'App\Care',
        'App\Climate',
        'App\Formulas',
        'App\Http',
        'App\Intake',
        'App\Ledger',
        'App\Pantry',
        'App\Views',
        'App\Week',
    ])
    ->not->toBeUsedIn('App\Models');

arch('nothing behind the doors knows of requests')
    ->expect('App\Http')
    ->toOnlyBeUsedIn(['App\Http', 'App\Providers']);

arch('what is shown is asked for last')
    ->expect('App\Views')
    // What an entry would do is shown before it is written.
    ->toOnlyBeUsedIn(['App\Http', 'App\Views', 'App\Actions\PreviewEntry']);

arch('actions write; only doors, other actions and the kitchen that is laid out for a demo begin them')
    ->expect('App\Actions')
    ->toOnlyBeUsedIn(['App\Actions', 'App\Backup', 'App\Console', 'App\Demo', 'App\Http', 'App\Week']);

it('keeps tables of before free of classes that go on changing', function (): void {
    foreach (glob(dirname(__DIR__, 2) . '/database/migrations/*.php') ?: [] as $file) {
        expect((string) file_get_contents($file))->not->toMatch('/\b(Tempesal|App)\\\\/', $file);
    }
});

/** @return array<string, array<string, true>> rooms of the core that a room uses, by room */
function rooms(): array
{
    $core = dirname(__DIR__, 2) . '/core';
    $uses = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator($core, FilesystemIterator::SKIP_DOTS))
        as $file
    ) {
        $parts = explode('/', substr((string) $file, strlen($core) + 1));
        preg_match_all('/\bTempesal\\\\Core\\\\(\w+)\\\\\w/', (string) file_get_contents((string) $file), $used);
        if (count($parts) > 1) {
            $uses[$parts[0]] = [...$uses[$parts[0]] ?? [], ...array_fill_keys(array_diff($used[1], [$parts[0]]), true)];
        }
    }

    return $uses;
}

it('has no two rooms of the core that need each other', function (): void {
    $uses = rooms();
    expect(count($uses))->toBeGreaterThan(15);
    // Rooms that need no other are taken away, again and again; what is left is a knot.
    do {
        $free = array_keys(array_filter($uses, fn(array $rooms): bool => array_intersect_key($rooms, $uses) === []));
        $uses = array_diff_key($uses, array_flip($free));
    } while ($free !== []);
    expect(array_map(array_keys(...), $uses))->toBe([]);
});

it('draws every folder of the core and the application in its documents', function (): void {
    $root = dirname(__DIR__, 2);
    $page = (string) file_get_contents("{$root}/docs/architecture.md");
    foreach (['core', 'app'] as $part) {
        preg_match('/^' . $part . '\/ .*\n((?:  .*\n)+)/m', $page, $tree);
        preg_match_all('/^  (\w+)\/ /m', $tree[1] ?? '', $drawn);
        $folders = array_map(basename(...), glob("{$root}/{$part}/*", GLOB_ONLYDIR) ?: []);
        sort($drawn[1]);
        sort($folders);
        expect($drawn[1])->toBe($folders, $part);
    }
});

it('names only files that are there in its documents', function (): void {
    $root = dirname(__DIR__, 2);
    $pages = array_diff(
        [...glob("{$root}/docs/*.md") ?: [], "{$root}/README.md", "{$root}/CONTRIBUTING.md"],
        // What was called otherwise before.
        ["{$root}/docs/renamed.md"],
    );
    $named = 0;
    foreach ($pages as $page) {
        preg_match_all(
            '#`([\w-]+/[\w./-]+\.(?:php|tsx?|mjs|md|yaml|csv|json|ini|env|py))`#',
            (string) file_get_contents($page),
            $files,
        );
        foreach ($files[1] as $file) {
            expect(is_file("{$root}/{$file}"))->toBeTrue("{$page} names {$file}.");
            $named++;
        }
    }
    expect($named)->toBeGreaterThan(50);
});
