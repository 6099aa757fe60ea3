import { barriers, enterDemo, expect, openKitchen, signIn, startCarrots, test, cookOf } from './kitchen';

/*
 * What is open is in the address, charts are read by hand and by keys, and what was refused is pointed at.
 */
test('an open drawer is there again after a reload, and gone from the address when it is closed', async ({ page }) => {
  for (const [path, button, open] of [
    ['/kitchen#rooms', 'Usual temperature', null],
    ['/kitchen#jars', 'Add a jar', /jar=new#jars$/],
    ['/shelf', 'Add a bought jar', /bought=new$/],
    ['/week', 'Weekly rotation', /rotation=new$/],
    ['/today', 'Several people, or a dish', /dish=new$/],
  ] as const) {
    await enterDemo(page, path);
    if (path.includes('#')) {
      await page.reload();
    }
    await page.getByRole('button', { name: button }).first().click();
    const drawer = page.getByRole('dialog');
    await expect(drawer).toBeVisible();
    if (open !== null) {
      await expect(page).toHaveURL(open);
      await page.reload();
      await expect(drawer).toBeVisible();
    }
    await page.keyboard.press('Escape');
    await expect(drawer).toHaveCount(0);
    const isClosed = () => expect.poll(() => page.url().replace(/^https?:\/\/[^/]+/, '')).toBe(path);
    await isClosed();
    if (open !== null) {
      // The way back closes it too, and the way on opens it; it is left once, however often it is closed.
      await page.getByRole('button', { name: button }).first().click();
      await expect(drawer).toBeVisible();
      await page.goBack();
      await expect(drawer).toHaveCount(0);
      await isClosed();
      await page.goForward();
      await expect(drawer).toBeVisible();
      await page.keyboard.press('Escape');
      await page.keyboard.press('Escape');
      await expect(drawer).toHaveCount(0);
      await isClosed();
    }
  }
  // What an address names and the kitchen has not opens nothing.
  await page.goto('/kitchen?person=nobody');
  await expect(page.getByRole('button', { name: 'Add a person' })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the cupboards of the kitchen are walked along with the arrow keys', async ({ page }) => {
  await enterDemo(page, '/kitchen');
  const door = (name: RegExp) => page.getByRole('tab', { name });
  await door(/^People/).focus();
  await page.keyboard.press('ArrowRight');
  await expect(door(/^Salts/)).toBeFocused();
  await expect(page.getByRole('button', { name: 'Add a salt' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(door(/^Sharing/)).toBeFocused();
  // One of them is on the way of the tab key.
  await page.keyboard.press('Tab');
  expect(await page.evaluate(() => document.activeElement?.getAttribute('role'))).not.toBe('tab');
});

test('a chart is read with the pointer, with a finger and with the arrow keys, and as a table', async ({ page }) => {
  await enterDemo(page, '/today/intake');
  const picture = page.getByRole('img', { name: /^Sodium a day: / });
  await expect(picture).toBeVisible();
  const said = page.locator('.chart-reading').first();
  await expect(said).toBeEmpty();
  await picture.hover({ position: { x: 300, y: 60 } });
  await expect(said).toContainText(/ mg of .* mg/);
  const there = await said.textContent();
  await page.mouse.move(0, 0);
  await expect(said).toBeEmpty();

  const along = page.getByRole('slider', { name: 'Read the chart from left to right' });
  await along.focus();
  const last = await said.textContent();
  await page.keyboard.press('ArrowLeft');
  await expect(said).not.toHaveText(last ?? '');
  await expect(along).toHaveAttribute('aria-valuetext', (await said.textContent()) ?? '');
  await page.keyboard.press('Home');
  const first = (await said.textContent()) ?? '';
  expect(first).not.toBe(there);

  await page.getByText('As a table').first().click();
  const rows = page.getByRole('table').first().getByRole('row');
  expect(await rows.count()).toBe(29);
  // The table says what the chart does.
  const total = /: ([\d,]+ mg) of/.exec(first)?.[1] ?? '?';
  await expect(rows.nth(1)).toContainText(total);
});

test('a refused sign-up takes the cook to the first field that is wrong', async ({ page }) => {
  await page.goto('/');
  const door = page.getByRole('button', { name: 'Create your kitchen' });
  const form = page.getByRole('heading', { name: 'Which jars do you have?' });
  await expect(door.or(form)).toBeVisible();
  if (await door.isVisible()) {
    await door.click();
  }
  await page
    .getByRole('button', { name: 'Open the kitchen' })
    .or(page.locator('form button[type=submit]'))
    .first()
    .click();
  const name = page.getByLabel('Name', { exact: true }).first();
  await expect(name).toBeFocused();
  await expect(name).toBeInViewport();
  await expect(name).toHaveAttribute('aria-invalid', 'true');
  await expect(page.locator(`#${(await name.getAttribute('aria-describedby')) ?? 'none'}`)).toBeVisible();
  // What is wrong can be read by everyone, in the evening too.
  expect(await barriers(page)).toEqual([]);
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.waitForTimeout(300);
  expect(await barriers(page, ['color-contrast'])).toEqual([]);
});

test('the way back leads to where one was on a long page', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const [path, link] of [
    ['/formulas', '.formula-tag'],
    ['/shelf', '.board-jar'],
  ] as const) {
    await enterDemo(page, path);
    const there = page.locator(link).nth(9);
    await there.scrollIntoViewIfNeeded();
    const scrolled = await page.evaluate(() => window.scrollY);
    expect(scrolled).toBeGreaterThan(300);
    await there.click();
    await expect(page).not.toHaveURL(new RegExp(`${path}$`));
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    // A page that is gone to begins at its top.
    await expect.poll(() => page.evaluate(() => window.scrollY)).toBe(0);
    await page.goBack();
    await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(scrolled - 120);
    await page.reload();
    await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(scrolled - 120);
  }
});

test('a serving that is eaten at another counter is seen without a touch', async ({ page, browser }, info) => {
  test.slow();
  const cook = cookOf(info);
  await openKitchen(page, cook, [{ name: 'Ada', preset: 'who_adult', restOfDietMg: 1200 }]);
  await startCarrots(page, { name: 'Old carrots', daysAgo: 20 });
  await page.goto('/today');
  const here = page.getByRole('region', { name: 'Ada' });
  await expect(here).toBeVisible();
  await expect(here).not.toContainText('Old carrots, 30 g');

  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await other.goto('/');
  await signIn(other, cook, '/shelf');
  await other.getByRole('link', { name: /Old carrots/ }).click();
  await other
    .getByRole('region', { name: 'Serve' })
    .getByRole('button', { name: /^Serve/ })
    .first()
    .click();
  await expect(other.getByText(/Ada: \d+ g/)).toBeVisible();
  await expect(here.getByRole('button', { name: /Undo Old carrots/ })).toBeVisible({ timeout: 30_000 });
  await other.context().close();
});
