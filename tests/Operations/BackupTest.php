<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Support\RealStart;

/*
 * The whole installation out to a file and back, while it runs.
 */

/** Every kitchen with a hash over its rows and photos. */
function kitchensOf(RealStart $start): string
{
    return $start->command('check')->mustRun()->getOutput();
}

it('comes back from its backup as it was, while it runs and after it was stopped', function (): void {
    $start = new RealStart();
    $start->begin('demo');
    $file = "{$start->state}/kept.tar.gz";
    try {
        $before = kitchensOf($start);
        expect($before)->toMatch('/^\w{26}  \w{64}$/m')->toContain('Everything holds together.');
        expect($start->command('backup', $file)->mustRun()->getOutput())->toContain($file);
        expect(decoct(fileperms($file) & 0777))->toBe('600');

        $change = "update tempesal.people set name = 'Somebody else'; delete from tempesal.servings";
        (new Process(['mariadb', '--no-defaults', "--socket={$start->socket()}", '-e', $change]))->mustRun();
        expect(kitchensOf($start))->not->toBe($before);

        // A damaged one changes nothing.
        $after = kitchensOf($start);
        $damaged = "{$start->state}/damaged.tar.gz";
        file_put_contents($damaged, substr((string) file_get_contents($file), 0, 9000));
        $refused = $start->command('restore', $damaged);
        expect($refused->run())->toBe(1)->and($refused->getErrorOutput())->toContain('damaged');
        expect(kitchensOf($start))->toBe($after);

        // A service that is not whoever restores reads the settings by their group, and writes its sessions.
        $secrets = "{$start->state}/main/private/secrets";
        $sessions = "{$start->state}/main/private/sessions";
        foreach (is_writable('/etc/shadow') ? [$secrets, $sessions] : [] as $path) {
            // For root, any group but its own.
            chgrp($path, (int) filegroup('/etc/shadow'));
        }
        $modes = static fn(): array => array_map(
            static fn(string $path): array => [fileperms($path), fileowner($path), filegroup($path)],
            [$secrets, $sessions],
        );
        $let = $modes();
        expect($start->command('restore', $file)->mustRun()->getOutput())->toContain('Restored.');
        clearstatcache();
        expect($modes())->toBe($let);
        expect(kitchensOf($start))->toBe($before);
        expect($start->until('/health', 200))->toBeTrue()->and($start->until('/api/session', 200))->toBeTrue();
        expect($start->ask('/api/session')[2]['demoIsOpen'])->toBeTrue();

        $start->command('stop')->mustRun();
        (new Process(['rm', '-rf', "{$start->state}/main/mariadb"]))->mustRun();
        // On an empty machine, that has never been started.
        $start->command('restore', $file)->mustRun();
        expect(kitchensOf($start))->toBe($before);
        expect($start->command('restore', '/nothing/here')->run())->toBe(2);
        expect($start->command('backup')->run())->toBe(2);
    } finally {
        $start->end();
    }
});
