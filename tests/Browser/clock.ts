import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The library that tells a process another time than it is (Debian: faketime). */
function library(): string {
  for (const machine of readdirSync('/usr/lib')) {
    const path = `/usr/lib/${machine}/faketime/libfaketimeMT.so.1`;
    if (existsSync(path)) {
      return path;
    }
  }
  throw new Error('The Debian package faketime is not here.');
}

/** A port that nothing listens on. */
const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address !== null ? address.port : 0));
    });
  });

/** The application, served once more on the same database, with a clock that is set by hand and then goes on. */
export class ServerOfAnotherDay {
  private constructor(
    public readonly url: string,
    private readonly server: ChildProcess,
    private readonly folder: string,
  ) {}

  static async start(now: Date): Promise<ServerOfAnotherDay> {
    const port = await freePort();
    const folder = mkdtempSync(join(tmpdir(), 'tempesal-clock-'));
    const url = `http://127.0.0.1:${String(port)}`;
    ServerOfAnotherDay.set(folder, now);
    const server = spawn(
      'php',
      [
        '-d',
        'variables_order=EGPCS',
        '-d',
        'opcache.validate_timestamps=0',
        '-S',
        `127.0.0.1:${String(port)}`,
        '-t',
        'public',
        'public/router.php',
      ],
      {
        env: {
          ...process.env,
          TZ: 'UTC',
          APP_URL: url,
          LD_PRELOAD: library(),
          FAKETIME_TIMESTAMP_FILE: join(folder, 'now'),
          FAKETIME_NO_CACHE: '1',
          PHP_CLI_SERVER_WORKERS: '2',
          FAKETIME_DONT_FAKE_MONOTONIC: '1',
        },
        stdio: 'ignore',
      },
    );
    for (let tries = 0; tries < 100; tries++) {
      if (
        await fetch(`${url}/api/session`).then(
          ({ ok }) => ok,
          () => false,
        )
      ) {
        return new ServerOfAnotherDay(url, server, folder);
      }
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    server.kill();
    throw new Error('The server of another day did not start.');
  }

  set(now: Date): void {
    ServerOfAnotherDay.set(this.folder, now);
  }

  stop(): void {
    this.server.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }

  private static set(folder: string, now: Date): void {
    writeFileSync(join(folder, 'now'), `@${now.toISOString().slice(0, 19).replace('T', ' ')}\n`);
  }
}
