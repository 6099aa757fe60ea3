import { choose, expect, signIn, startCarrots, test } from './kitchen';

// A window of 1280 x 800 at 200 %: WCAG 2.2, 1.4.4 and 1.4.10.
test.use({ viewport: { width: 640, height: 400 }, deviceScaleFactor: 2 });

test('a jar is planned, started and served from at 200 %', async ({ page, cook }) => {
  test.slow();
  await signIn(page, cook, '/bench');
  const fits = async () =>
    expect
      .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: page.url() })
      .toBeLessThanOrEqual(640);

  await choose(page, 'Vegetable', 'carrot');
  await page.getByLabel('Weight of the vegetable').fill('500 g');
  await expect(page.getByTestId('salt')).not.toBeEmpty();
  await fits();
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/carrot/i);
  await fits();

  await startCarrots(page, { name: 'Old carrots', daysAgo: 20 });
  await page.goto('/shelf');
  await fits();
  await page.getByRole('link', { name: /Old carrots/ }).click();
  await expect(page.getByRole('heading', { name: 'Old carrots' })).toBeVisible();
  const serve = page
    .getByRole('region', { name: 'Serve' })
    .getByRole('button', { name: /^Serve/ })
    .first();
  await serve.click();
  await expect(page.getByText(/Ada: \d+ g/)).toBeVisible();
  await fits();

  await page.goto('/today');
  await expect(page.getByRole('region', { name: 'Ada' })).toContainText('Old carrots');
  await fits();
  for (const path of ['/week', '/shelf/ahead', '/formulas', '/kitchen', '/today/intake']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
    await fits();
  }
});
