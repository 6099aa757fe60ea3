<?php

declare(strict_types=1);

use Tests\Support\RealStart;

/*
 * The real start, with its own database and web server in folders of this test.
 */

it('comes back after its database or its web server was killed, says so, and ends as a whole', function (): void {
    $start = new RealStart();
    $start->begin();
    try {
        [$database, $web] = [$start->process('database'), $start->process('web')];
        // No answer is given before it is known that the database is gone, so the first one after it tells.
        posix_kill($database, SIGKILL);
        while (RealStart::runs($database)) {
            usleep(1_000);
        }
        [$status, $headers, $body] = $start->ask('/api/session');
        expect($status)->toBe(503);
        expect((int) $headers['retry-after'])->toBeGreaterThan(0);
        expect($body['message']['code'])->toBe('errors.http_503');
        for ($more = 0; $more < 20; $more++) {
            $start->ask('/api/session');
        }
        expect($start->until('/api/session', 200))->toBeTrue();
        expect($start->process('database'))->not->toBe($database);
        // One line in the log says it all, and no trace.
        $log = implode(
            '',
            array_map(file_get_contents(...), glob("{$start->state}/main/private/logs/tempesal-*.log") ?: []),
        );
        expect(substr_count($log, 'The database does not answer'))->toBe(1);
        expect($log)->not->toContain('#0 ');

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
