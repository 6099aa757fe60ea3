import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './kitchen';

/*
 * The rooms in the evening, on a large screen, on paper, and by keys alone.
 */
const rooms = ['/today', '/shelf', '/bench', '/formulas', '/kitchen', '/kitchen#salts', '/kitchen#foods'];

test.describe('in the evening', () => {
  test.use({ colorScheme: 'dark' });

  test('has no barrier that a machine can find', async ({ page }) => {
    test.slow();
    await page.goto('/');
    await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
    await expect(page.getByRole('link', { name: 'Shelf' })).toBeVisible();
    const found: string[] = [];
    for (const path of rooms) {
      await page.goto(path);
      await page.reload();
      await page.waitForLoadState('networkidle');
      await page.evaluate(() =>
        Promise.all(document.getAnimations().map((animation) => animation.finished.catch(() => null))),
      );
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag22aa'])
        .analyze();
      found.push(...violations.map((one) => `${path} ${one.id}: ${one.nodes[0]?.html ?? ''}`));
    }
    expect(found).toEqual([]);
  });
});

test('uses a large screen without running over its edge', async ({ page }) => {
  await page.setViewportSize({ width: 1920, height: 1080 });
  await page.goto('/');
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
  await expect(page.getByRole('link', { name: 'Shelf' })).toBeVisible();
  for (const path of rooms) {
    await page.goto(path);
    await page.reload();
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(1920);
  }
});

test('prints a formula without its buttons, and with all that the cook needs', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
  await expect(page.getByRole('link', { name: 'Shelf' })).toBeVisible();
  await page.goto('/formulas');
  await page.getByRole('link', { name: 'Everyday kimchi' }).click();
  await expect(page.getByTestId('formula-sodium')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Start the jar' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Everyday kimchi' })).toBeVisible();
  await expect(page.getByRole('row', { name: 'napa cabbage' })).toContainText('900 g');
  await expect(page.getByText('Rinse twice, drain, squeeze gently.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Cautions' })).toBeVisible();
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
  await expect(page).toHaveURL(/formulas$/);
  await expect(page.getByLabel('Search formulas')).toHaveValue('kimchi');
  await expect(page.getByRole('link', { name: 'Cold half-fermented kimchi' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Plain kraut' })).toBeHidden();
});
