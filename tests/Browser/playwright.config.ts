import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  outputDir: '../../storage/tempesal/browser',
  workers: 2,
  fullyParallel: true,
  forbidOnly: Boolean(process.env.CI),
  // A host that takes the machine away for seconds breaks a wait now and then; such a test is reported as flaky.
  retries: process.env.CI ? 1 : 0,
  reporter: [['list']],
  timeout: 90_000,
  expect: { timeout: 20_000 },
  use: {
    // What is kept on the device is tried where it is the matter; everywhere else the network is.
    serviceWorkers: 'block',
    baseURL: process.env.TEMPESAL_URL ?? 'http://127.0.0.1:8460',
    // Movement is tried where it is the matter; everywhere else it only costs time.
    contextOptions: { reducedMotion: 'reduce' },
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        // A page lives for seconds here: making its code faster takes longer than it saves.
        '--js-flags=--no-opt,--no-maglev',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
