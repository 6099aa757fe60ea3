<?php

declare(strict_types=1);

use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Symfony\Component\Process\Process;
use Tests\Support\Contract;

it('describes every address and no other', function (): void {
    $routes = [];
    foreach (Routes::getRoutes() as $route) {
        /** @var Route $route */
        if (str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/{any}') {
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $routes[] = $method . ' ' . substr($route->uri(), 3);
            }
        }
    }
    sort($routes);
    expect($routes)->toBe(Contract::read()->operations());
});

it('has the client types that belong to it', function (): void {
    $root = dirname(__DIR__, 2);
    $fresh = tempnam(sys_get_temp_dir(), 'contract') . '.ts';
    (new Process(
        ['npx', '--no-install', 'openapi-typescript', '-o', $fresh],
        $root,
        input: (new Process(['php', 'contract/join.php'], $root))->mustRun()->getOutput(),
    ))->mustRun();
    expect(file_get_contents("{$root}/web/src/api/contract.gen.ts"))->toBe(
        file_get_contents($fresh),
        'Run: npm run contract',
    );
    unlink($fresh);
});

it('says no to an answer that drifts', function (): void {
    expect(fn() => Contract::read()->assertAnswer('GET', '/api/session', 200, '{"isSignedIn":"yes"}'))->toThrow(
        PHPUnit\Framework\AssertionFailedError::class,
    );
});

it('says no to an address it does not know', function (): void {
    $this->getJson('/api/nowhere')
        ->assertNotFound()
        ->assertJson(['message' => 'There is nothing here with this name.']);
});
