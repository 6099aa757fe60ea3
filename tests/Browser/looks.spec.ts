import { choose, enterDemo, expect, signIn, test } from './kitchen';

/*
 * Where nothing may move, on paper, and by keys alone.
 */
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
