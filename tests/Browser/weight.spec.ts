import type { Response } from '@playwright/test';
import { enterDemo, expect, test } from './kitchen';

/** What Today may fetch before anything is touched, in bytes as they are sent: scripts, styles, letters. */
const MOST = 250_000;

test('Today is light, packed, and kept by the browser', async ({ page }) => {
  await enterDemo(page, '/kitchen');
  const fetched: Response[] = [];
  await page
    .context()
    .newPage()
    .then(async (fresh) => {
      fresh.on('response', (response) => fetched.push(response));
      // Nothing of the page before is at hand.
      const session = await fresh.context().newCDPSession(fresh);
      await session.send('Network.setCacheDisabled', { cacheDisabled: true });
      await fresh.goto('/today');
      await expect(fresh.getByRole('heading', { level: 1 })).toBeVisible();
      await fresh.waitForLoadState('networkidle');
    });
  const assets = fetched.filter((one) => ['script', 'stylesheet', 'font'].includes(one.request().resourceType()));
  const weights = await Promise.all(
    assets.map(async (one) => ({
      name: one.url().replace(/^.*\//, ''),
      bytes: Number(await one.headerValue('content-length')),
      isPacked: one.request().resourceType() === 'font' || (await one.headerValue('content-encoding')) === 'br',
      isKept: (await one.headerValue('cache-control'))?.includes('immutable') ?? false,
    })),
  );
  const inAll = weights.reduce((sum, { bytes }) => sum + bytes, 0);
  console.log(
    `Today fetches ${(inAll / 1000).toFixed(1)} kB in ${String(weights.length)} files; ${String(MOST / 1000)} kB may be.`,
  );
  expect(weights.length).toBeGreaterThan(10);
  expect(weights.every(({ bytes }) => bytes > 0)).toBe(true);
  expect(inAll).toBeLessThanOrEqual(MOST);
  // Very small files are not packed.
  expect(weights.filter(({ isPacked, bytes }) => !isPacked && bytes > 600).map(({ name }) => name)).toEqual([]);
  expect(weights.filter(({ isKept }) => !isKept).map(({ name }) => name)).toEqual([]);
  // What only other pages say is not among it.
  expect(weights.map(({ name }) => name).filter((name) => name.startsWith('rest-'))).toEqual([]);
});
