import { allViews, views } from './addresses';
import { barriers, choose, enterDemo, expect, signIn, test, visit } from './kitchen';

/*
 * The views in the evening, on a large screen, on paper, and by keys alone.
 */
test.describe('in the evening', () => {
  test.use({ colorScheme: 'dark' });

  test('has enough contrast everywhere', async ({ page }) => {
    test.slow();
    await enterDemo(page);
    const found: string[] = [];
    for (const path of views) {
      await visit(page, path);
      found.push(...(await barriers(page, ['color-contrast', 'link-in-text-block'])));
    }
    expect(found).toEqual([]);
  });
});

test.describe('where nothing may move', () => {
  test('opens and closes what opens and closes', async ({ page, cook }) => {
    await signIn(page, cook, '/kitchen#salts');
    await page.getByRole('button', { name: 'Weigh a spoon of salt flakes' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.goto('/bench');
    await choose(page, 'Vegetable', 'carrot');
    await expect(page.locator('.ant-select-dropdown')).toBeHidden();
  });
});

test('uses a large screen without running over its edge', async ({ page }) => {
  await page.setViewportSize({ width: 1920, height: 1080 });
  await enterDemo(page);
  for (const path of views) {
    await visit(page, path);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(1920);
  }
});

test('prints a formula without its buttons, and with all that the cook needs', async ({ page }) => {
  await enterDemo(page, '/formulas');
  await page.getByRole('link', { name: 'Everyday kimchi' }).click();
  await expect(page.getByTestId('formula-sodium')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Start the jar' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Main pages' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Everyday kimchi' })).toBeVisible();
  await expect(page.getByRole('row', { name: 'napa cabbage' })).toContainText('900 g');
  await expect(page.getByText('Rinse twice, drain, and squeeze gently.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Cautions' })).toBeVisible();
});

test('on paper stands what is read, not what is pressed', async ({ page }) => {
  test.slow();
  await enterDemo(page);
  await page.emulateMedia({ media: 'print' });
  for (const path of await allViews(page)) {
    if (path.startsWith('/counter')) {
      // It stands upright at the counter, and is never printed.
      continue;
    }
    await visit(page, path);
    await expect(page.getByRole('navigation', { name: 'Main pages' }), path).toBeHidden();
    const pressed = page.locator('.ant-btn:visible, .ant-segmented:visible, .ant-select:visible, .as-button:visible');
    expect(await pressed.evaluateAll((all) => all.map((one) => one.outerHTML.slice(0, 120))), path).toEqual([]);
    expect((await page.locator('main').innerText()).length, path).toBeGreaterThan(20);
  }
});

test('can be walked through by keys alone', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Shelf' })).toBeVisible();
  for (const [key, path] of [
    ['s', /shelf$/],
    ['b', /bench$/],
    ['f', /formulas$/],
    ['k', /kitchen$/],
    ['t', /today$/],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(path);
  }
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog');
  for (const name of ['Today', 'Shelf', 'Bench', 'Formulas', 'Kitchen']) {
    await expect(sheet).toContainText(name);
  }
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();

  // A letter typed into a field is a letter.
  await page.keyboard.press('f');
  await page.getByLabel('Search formulas').focus();
  await page.keyboard.type('kimchi');
  await expect(page).toHaveURL(/formulas\?find=kimchi$/);
  await expect(page.getByLabel('Search formulas')).toHaveValue('kimchi');
  await expect(page.getByRole('link', { name: 'Cold half-fermented kimchi' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Plain kraut' })).toBeHidden();
});
