import AxeBuilder from '@axe-core/playwright';
import { choose, csrf, expect, signIn, test } from './kitchen';

/** Every room that can be walked into without naming a jar or a formula. */
const rooms = [
  '/today',
  '/shelf',
  '/bench',
  '/formulas',
  '/formulas/bring',
  '/formulas/new',
  '/kitchen',
  '/kitchen#salts',
  '/kitchen#jars',
  '/kitchen#foods',
  '/kitchen#house',
];

test('a wrong entry is named beside its field and kept', async ({ page, cook }) => {
  await signIn(page, cook);
  await page.goto('/bench');
  const weight = page.getByLabel('Weight of the vegetable');
  const take = page.getByRole('region', { name: 'Take' });
  await expect(page.getByTestId('salt')).not.toBeEmpty();
  const saltBefore = await page.getByTestId('salt').textContent();

  for (const [typed, sentence] of [
    ['-5 g', 'cannot be less than 0'],
    ['abc', '"abc" is not an amount'],
  ] as const) {
    await weight.fill(typed);
    await expect(take.getByRole('alert')).toContainText(sentence);
    await expect(weight).toHaveValue(typed);
    await expect(page.getByTestId('salt')).toHaveText(saltBefore ?? '');
    await expect(page.getByRole('button', { name: 'Start the jar' })).toBeDisabled();
  }

  await weight.fill('5 kg');
  await expect(page.getByRole('region', { name: 'Into' }).getByRole('alert')).toContainText(
    'The jar is too small for the food',
  );
  await weight.fill('700 g');
  await expect(page.getByText('Choose a larger jar, or fill 2 of these.')).toBeVisible();
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page.getByRole('alert')).toContainText('The jar is too small');

  await weight.fill('300 g');
  await page.getByText('amount', { exact: true }).click();
  await page.getByLabel('Amount of salt').fill('400 g');
  await expect(page.getByText('will not dissolve')).toBeVisible();

  await page.reload();
  await expect(weight).toHaveValue('300 g');
  await expect(page.getByLabel('Amount of salt')).toHaveValue('400 g');
});

test('an unknown jar and a missing token are refused in a sentence', async ({ page, cook }) => {
  await signIn(page, cook);
  await page.goto('/shelf/01HZZZZZZZZZZZZZZZZZZZZZZZ');
  await expect(page.getByRole('alert')).toContainText('There is no such batch in your kitchen.');

  const bare = await page.request.post('/api/servings', {
    headers: { Accept: 'application/json' },
    data: {},
  });
  expect(bare.status()).toBe(419);
  expect(((await bare.json()) as { message: string }).message).toContain('Nothing is lost');

  const headers = await csrf(page);
  const broken = await page.request.post('/api/bench', { headers, data: '{"method": ' });
  expect(broken.status()).toBe(422);
});

test('a session that ended leads to the door, and the bench is kept', async ({ page, cook }) => {
  await signIn(page, cook);
  await page.goto('/bench');
  await page.getByLabel('Weight of the vegetable').fill('444 g');
  await expect(page.getByTestId('salt')).not.toBeEmpty();
  // An answer still on its way would bring the session back.
  await page.waitForLoadState('networkidle');
  await page.context().clearCookies();
  await page.getByLabel('Serving').fill('30 g');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await signIn(page, cook);
  await page.goto('/bench');
  await expect(page.getByLabel('Weight of the vegetable')).toHaveValue('444 g');
});

test('spoons show their band and what weighing would change', async ({ page, cook }) => {
  await signIn(page, cook);
  await page.goto('/bench');
  await choose(page, 'Salt', 'salt flakes');
  await page.getByText('spooned', { exact: true }).click();
  await expect(page.getByTestId('salt')).toContainText(/tsp|tbsp/);
  await expect(
    page.getByText(/of that band is how densely salt flakes lies in the spoon; weigh the salt/),
  ).toBeVisible();
});

test('has no barrier that a machine can find', async ({ page }) => {
  test.slow();
  await page.goto('/');
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
  await expect(page.getByRole('link', { name: 'Shelf' })).toBeVisible();
  for (const path of rooms) {
    await page.goto(path);
    await page.reload();
    await page.waitForLoadState('networkidle');
    // Colours that are still fading in are nobody's to judge.
    await page.evaluate(() =>
      Promise.all(document.getAnimations().map((animation) => animation.finished.catch(() => null))),
    );
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag22aa'])
      .analyze();
    expect(
      violations.map(
        (one) =>
          `${path} ${one.id}: ${one.nodes
            .map((node) => node.html)
            .join(' | ')
            .slice(0, 400)}`,
      ),
    ).toEqual([]);
  }
});

test('fits a phone: no sideways scrolling, targets of 44 px', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/');
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
  await expect(page.getByRole('link', { name: 'Shelf' })).toBeVisible();
  for (const path of rooms) {
    await page.goto(path);
    await page.reload();
    await page.waitForLoadState('networkidle');
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth),
      `${path} scrolls sideways`,
    ).toBeLessThanOrEqual(390);
    for (const button of await page.locator('main button:visible, nav a:visible').all()) {
      const box = await button.boundingBox();
      expect(box?.height ?? 0, await button.innerText()).toBeGreaterThanOrEqual(43.5);
    }
  }
});
