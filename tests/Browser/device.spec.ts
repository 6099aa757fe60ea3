import { cookOf, expect, kitchenOf, openKitchen, startCarrots, test } from './kitchen';
import { OwnServer } from './server';

/*
 * The screens and the last answers are on the device: without a network they can be opened and read, and what is eaten
 * meanwhile is written once when the network is back.
 */

test('without a network the last known pages open, and a serving outlives its tab and is written once', async ({
  browser,
}, info) => {
  test.setTimeout(180_000);
  const server = await OwnServer.start();
  try {
    const context = await browser.newContext({
      baseURL: server.url,
      serviceWorkers: 'allow',
      reducedMotion: 'reduce',
      locale: 'en-GB',
    });
    const first = await context.newPage();
    await openKitchen(first, cookOf(info), [{ name: 'Ada', preset: 'who_adult', restOfDietMg: 1200 }]);
    const jar = await startCarrots(first, { name: 'Sticks', daysAgo: 20, jar: 'Quart jar' });
    const formula = ((await (await first.request.get('/api/formulas')).json()) as { formulas: { id: string }[] })
      .formulas[0];
    await first.goto('/today');
    await first.evaluate(() => navigator.serviceWorker.ready);
    await expect.poll(() => first.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    const pages = [
      ['/today', 'Ada'],
      ['/week', /–|to/],
      ['/shelf', 'Shelf'],
      [`/shelf/${jar.id}`, 'Sticks'],
      ['/formulas', 'Formulas'],
      [`/formulas/${formula?.id ?? ''}`, /./],
    ] as const;
    for (const [path] of pages) {
      await first.goto(path);
      await first.waitForLoadState('networkidle');
    }
    await server.away();

    await first.goto('/today');
    await expect(first.getByText('No network: this is how it was')).toBeVisible();
    await first.getByRole('button', { name: 'Ada eats…' }).click();
    await first
      .getByRole('group', { name: 'Jars for Ada' })
      .getByRole('button', { name: /^Sticks/ })
      .first()
      .click();
    await expect(first.getByRole('button', { name: '1 waiting' })).toBeVisible();
    await first.close();
    const second = await context.newPage();
    for (const [path, heading] of pages) {
      await second.goto(path);
      await expect(second.getByRole('heading', { name: heading }).first()).toBeAttached();
      await expect(second.getByRole('button', { name: '1 waiting' })).toBeVisible();
    }

    await server.back();
    await expect(second.getByRole('button', { name: /waiting/ })).toBeHidden({ timeout: 40_000 });
    await second.goto('/today');
    await expect(second.getByText('No network')).toHaveCount(0);
    await expect(second.getByRole('button', { name: /^Undo Sticks for/ })).toHaveCount(1);
    const person = (await kitchenOf(second)).people[0]?.id ?? '';
    const day = (await (await second.request.get('/api/days/today')).json()) as {
      people: { id: string; servings: unknown[] }[];
    };
    expect(day.people.find(({ id }) => id === person)?.servings).toHaveLength(1);

    // Whoever leaves takes what was known along.
    await second.getByRole('link', { name: /^Account/ }).click();
    await second.getByRole('button', { name: 'Sign out', exact: true }).click();
    await expect(second.getByLabel('E-mail')).toBeVisible();
    await expect
      .poll(() =>
        second.evaluate(async () => {
          const names = (await caches.keys()).filter((name) => name.startsWith('tempesal.answers'));
          const kept = (await Promise.all(names.map(async (name) => (await caches.open(name)).keys()))).flat();
          return kept.map(({ url }) => new URL(url).pathname).filter((path) => path !== '/api/session');
        }),
      )
      .toEqual([]);
    await context.close();
  } finally {
    await server.stop();
  }
});

test('can be installed', async ({ page }) => {
  await page.goto('/');
  const link = await page.evaluate(() => document.querySelector<HTMLLinkElement>('link[rel=manifest]')?.href ?? '');
  const manifest = (await (await page.request.get(link)).json()) as {
    start_url: string;
    display: string;
    icons: { src: string; sizes: string }[];
  };
  expect(manifest).toMatchObject({ start_url: '/today', display: 'standalone' });
  for (const { src, sizes } of manifest.icons) {
    const icon = await page.request.get(src);
    expect(icon.headers()['content-type']).toBe('image/png');
    // The width stands in bytes 16 to 19 of a PNG.
    expect((await icon.body()).readUInt32BE(16)).toBe(Number(sizes.split('x')[0]));
  }
  expect((await page.request.get('/sw.js')).headers()['content-type']).toContain('text/javascript');
});
