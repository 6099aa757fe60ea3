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

/** The application, served once more on the same database: with a clock that is set by hand, or to be away for a while. */
export class OwnServer {
  private server: ChildProcess | null = null;

  private constructor(
    private readonly port: number,
    /** Where the clock's time is read from; null: the machine's own clock. */
    private readonly clock: string | null,
  ) {}

  /** @param now what its clock says at first, and goes on from */
  static async start(now?: Date): Promise<OwnServer> {
    const clock = now === undefined ? null : mkdtempSync(join(tmpdir(), 'tempesal-clock-'));
    const own = new OwnServer(await freePort(), clock);
    if (now !== undefined) {
      own.set(now);
    }
    await own.back();
    return own;
  }

  get url(): string {
    return `http://127.0.0.1:${String(this.port)}`;
  }

  /** Sets its clock. */
  set(now: Date): void {
    if (this.clock !== null) {
      writeFileSync(join(this.clock, 'now'), `@${now.toISOString().slice(0, 19).replace('T', ' ')}\n`);
    }
  }

  /** From now on nobody answers. */
  async away(): Promise<void> {
    const { server } = this;
    this.server = null;
    if (server !== null && server.exitCode === null) {
      const gone = new Promise((resolve) => server.once('exit', resolve));
      process.kill(-(server.pid ?? 0), 'SIGKILL');
      await gone;
    }
  }

  /** Answers, at the same address as before. */
  async back(): Promise<void> {
    this.server = spawn(
      'php',
      [
        ...['-d', 'variables_order=EGPCS', '-d', 'opcache.validate_timestamps=0'],
        ...['-S', `127.0.0.1:${String(this.port)}`, '-t', 'public', 'public/router.php'],
      ],
      {
        // A group of its own, so that its workers go with it.
        detached: true,
        env: {
          ...process.env,
          TZ: 'UTC',
          APP_ENV: 'production',
          APP_URL: this.url,
          // The database of the browser tests; PHP's own tests have another.
          DB_DATABASE: process.env.TEMPESAL_BROWSER_DATABASE ?? process.env.DB_DATABASE,
          PHP_CLI_SERVER_WORKERS: '2',
          ...(this.clock === null
            ? {}
            : {
                LD_PRELOAD: library(),
                FAKETIME_TIMESTAMP_FILE: join(this.clock, 'now'),
                FAKETIME_NO_CACHE: '1',
                FAKETIME_DONT_FAKE_MONOTONIC: '1',
              }),
        },
        stdio: 'ignore',
      },
    );
    for (let tries = 0; tries < 100; tries++) {
      if (
        await fetch(`${this.url}/api/session`).then(
          ({ ok }) => ok,
          () => false,
        )
      ) {
        return;
      }
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    await this.stop();
    throw new Error('The server did not start.');
  }

  async stop(): Promise<void> {
    await this.away();
    if (this.clock !== null) {
      rmSync(this.clock, { recursive: true, force: true });
    }
  }
}
