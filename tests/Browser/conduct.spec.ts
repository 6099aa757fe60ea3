import { barriers, choose, csrf, enterDemo, expect, settled, signIn, signInByHand, test } from './kitchen';

test('a wrong entry is named beside its field and kept', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  const weight = page.getByLabel('Weight of the vegetable');
  const take = page.getByRole('region', { name: 'Take' });
  await expect(page.getByTestId('salt')).not.toBeEmpty();
  const saltBefore = await page.getByTestId('salt').textContent();

  for (const [typed, sentence] of [
    ['-5 g', 'Enter zero or more'],
    ['abc', '“abc” is not an amount'],
  ] as const) {
    await weight.fill(typed);
    await expect(take.getByRole('alert')).toContainText(sentence);
    await expect(weight).toHaveValue(typed);
    await expect(page.getByTestId('salt')).toHaveText(saltBefore ?? '');
    await expect(page.getByRole('button', { name: 'Start the jar' })).toBeDisabled();
  }

  await weight.fill('5 kg');
  await expect(page.getByRole('list', { name: 'Advice' })).toContainText('If it went in, it fits');
  await expect(page.getByRole('button', { name: 'Start the jar' })).toBeEnabled();

  await weight.fill('300 g');
  await page.getByText('amount', { exact: true }).click();
  await page.getByLabel('Amount of salt').fill('400 g');
  await expect(page.getByText('will not dissolve')).toBeVisible();

  await page.reload();
  await expect(weight).toHaveValue('300 g');
  await expect(page.getByLabel('Amount of salt')).toHaveValue('400 g');
});

test('an unknown jar and a missing token are refused in a sentence', async ({ page, cook }) => {
  await signIn(page, cook, '/shelf/01HZZZZZZZZZZZZZZZZZZZZZZZ');
  await expect(page.getByRole('alert')).toContainText('There is no such batch in your kitchen.');

  const bare = await page.request.post('/api/servings', {
    headers: { Accept: 'application/json' },
    data: {},
  });
  expect(bare.status()).toBe(419);
  expect(((await bare.json()) as { message: { code: string } }).message.code).toBe('errors.http_419');

  const headers = await csrf(page);
  const broken = await page.request.post('/api/bench', { headers, data: '{"method": ' });
  expect(broken.status()).toBe(422);
});

test('a session that ended leads to the door, and the bench is kept', async ({ page, cook }) => {
  await signInByHand(page, cook);
  await page.goto('/bench');
  await page.getByLabel('Weight of the vegetable').fill('444 g');
  await expect(page.getByTestId('salt')).not.toBeEmpty();
  let portion = 20;
  // An answer that was still on its way brings the session back; then it ends once more.
  await expect(async () => {
    if (await page.getByLabel('Serving').isVisible()) {
      await page.context().clearCookies();
      await page.getByLabel('Serving').fill(`${String((portion += 1))} g`, { timeout: 1_000 });
    }
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible({ timeout: 3_000 });
  }).toPass();
  await signIn(page, cook, '/bench');
  await expect(page.getByLabel('Weight of the vegetable')).toHaveValue('444 g');
});

test('spoons show their band and what weighing would change', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  await choose(page, 'Salt', 'salt flakes');
  await page.getByText('spooned', { exact: true }).click();
  await expect(page.getByTestId('salt')).toContainText(/tsp|tbsp/);
  await expect(
    page.getByText(/of this range comes from how densely salt flakes packs in the spoon. To narrow it, weigh the salt/),
  ).toBeVisible();
});

test('an address that leads nowhere says so, and leads on', async ({ page }) => {
  await enterDemo(page, '/shelves/of/mine');
  await expect(page.getByRole('heading', { name: 'Not found' })).toBeVisible();
  await expect(page.getByText('There is no page at /shelves/of/mine.')).toBeVisible();
  await page.getByRole('link', { name: 'Go to Today' }).click();
  await expect(page).toHaveURL(/today$/);
});

test('the first key leads past the board, and what was looked for is there again on the way back', async ({ page }) => {
  await enterDemo(page, '/shelf');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the page' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
  const search = page.getByLabel('Search jars');
  await search.fill('kraut');
  const jar = page.locator('.board-jar').first();
  await expect(jar).toContainText(/kraut/i);
  await jar.click();
  await expect(page).toHaveURL(/shelf\/[0-9a-z]{26}$/);
  await page.goBack();
  await expect(search).toHaveValue('kraut');
  await page.reload();
  await expect(search).toHaveValue('kraut');
  await page.goto('/formulas?archive=yes');
  await expect(page.getByRole('checkbox', { name: /archive/i })).toBeChecked();
});

test('what is typed in a drawer is there after a reload, and is gone once the drawer was closed', async ({ page }) => {
  await enterDemo(page, '/kitchen');
  const someone = page.getByRole('button', { name: /^Edit/ }).first();
  await someone.click();
  const drawer = page.getByRole('dialog');
  const name = drawer.getByLabel('Name');
  const before = await name.inputValue();
  await name.fill('Half a nam');
  await page.reload();
  await expect(name).toHaveValue('Half a nam');
  await drawer.getByRole('button', { name: 'Close' }).click();
  await expect(drawer).toBeHidden();
  await someone.click();
  await expect(name).toHaveValue(before);
});

test('letters are shortcuts only as the cook likes, and the screens are dark when they are to be', async ({ page }) => {
  await enterDemo(page, '/today');
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Keys and screen' });
  await sheet.getByText('Alt and the letter').click();
  await sheet.getByText('Dark', { exact: true }).click();
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await page.keyboard.press('w');
  await page.keyboard.press('Alt+s');
  await expect(page).toHaveURL(/shelf$/);
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
  await settled(page);
  await expect(page.getByRole('link', { name: 'Shelf', exact: true })).toBeVisible();
  expect(await barriers(page, ['color-contrast'])).toEqual([]);
  await page.keyboard.press('Alt+?');
  await sheet.getByText('Off', { exact: true }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Alt+w');
  await page.keyboard.press('w');
  await expect(page).toHaveURL(/shelf$/);
});

test('what is sent is packed, kept as long as it holds, and not sent again unchanged', async ({ page }) => {
  await enterDemo(page, '/today');
  const script = await page.evaluate(() => document.querySelector<HTMLScriptElement>('script[src]')?.src ?? '');
  const packed = await page.request.get(script, { headers: { 'Accept-Encoding': 'gzip, br' } });
  expect(packed.headers()).toMatchObject({
    'content-encoding': 'br',
    'cache-control': 'public, max-age=31536000, immutable',
    vary: 'Accept-Encoding',
  });
  const older = await page.request.get(script, { headers: { 'Accept-Encoding': 'gzip' } });
  expect(older.headers()['content-encoding']).toBe('gzip');
  expect(await older.text()).toBe(await packed.text());
  const kitchen = await page.request.get('/api/kitchen');
  const etag = kitchen.headers().etag ?? '';
  expect(etag).not.toBe('');
  expect(kitchen.headers()['content-encoding']).toBe('gzip');
  const again = await page.request.get('/api/kitchen', { headers: { 'If-None-Match': etag } });
  expect(again.status()).toBe(304);
});
