import { benchAnswer, choose, expect, number, openNewKitchen, signIn, test } from './kitchen';

/** The main road is walked with everything that moves on it. */
test.use({ contextOptions: { reducedMotion: 'no-preference' } });

test('from a weighed vegetable to today’s sodium, and back', async ({ page, cook }) => {
  await signIn(page, cook);
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/bench$/);

  await choose(page, 'Vegetable', 'carrot');
  await page.getByLabel('Weight of the vegetable').fill('1 lb 2 oz');
  await choose(page, 'Jar', 'Quart jar');
  await choose(page, 'Salt', 'pickling salt');
  await page.getByLabel('Strength in percent').fill('2,5');
  await page.getByLabel('Serving').fill('40');
  const answer = await benchAnswer(page);
  expect(answer.vegetableGrams).toBeCloseTo(453.59237 + 2 * 28.349523125, 3);
  const sodium = page.getByTestId('serving-sodium');
  await expect(sodium).toHaveText(`${String(answer.serving.sodium.shown)} mg`);
  await expect(page.getByRole('img', { name: /^The jar when filled, carrot/ })).toBeVisible();

  await page.getByLabel('Name of the jar').fill('Carrots for the test');
  // Three weeks ago, so that the carrots have taken up their salt and a serving holds what the bench says.
  await page.getByLabel('Started on').fill(new Date(Date.now() - 21 * 86_400_000).toISOString().slice(0, 10));
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page.getByRole('heading', { name: 'Carrots for the test' })).toBeVisible();

  await page.getByRole('link', { name: 'Today' }).click();
  const ada = page.getByRole('region', { name: 'Ada' });
  const before = number(await ada.getByTestId('margin').textContent());
  expect(before).toBe(800);

  await ada.getByRole('button', { name: 'Ada eats' }).click();
  await ada.getByRole('button', { name: 'Carrots for the test' }).click();
  await expect(ada.getByRole('link', { name: 'Carrots for the test' })).toBeVisible();
  const after = number(await ada.getByTestId('margin').textContent());
  expect(Math.abs(before - after - answer.serving.sodium.typical)).toBeLessThanOrEqual(2.5);

  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(ada.getByRole('link', { name: 'Carrots for the test' })).toBeHidden();
  expect(number(await ada.getByTestId('margin').textContent())).toBe(before);

  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await page.locator('.board-jar', { hasText: 'Carrots for the test' }).click();
  await expect(page.getByText('An undone entry')).toBeVisible();
});

test('serves any amount from the jar itself, and says when there is less', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page.getByRole('heading', { name: 'carrot' })).toBeVisible();
  const amount = page.getByLabel('Amount for Bo');

  await amount.fill('9 kg');
  await page.getByRole('button', { name: 'Serve Bo' }).click();
  await expect(page.getByRole('region', { name: 'Serve' }).getByRole('alert')).toContainText(
    'of pieces are left, and this needs 9,000 g',
  );
  await expect(amount).toHaveValue('9 kg');

  await amount.fill('60 g');
  await page.getByRole('button', { name: 'Serve Bo' }).click();
  await expect(page.getByText('60 g served')).toBeVisible();
});

test('looks around the demo kitchen with one click', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).click();
  // Three eaters, and what the jars ask for.
  await expect(page.getByRole('region')).toHaveCount(4);
  await page.keyboard.press('s');
  const counter = page.getByRole('region', { name: 'On the counter' });
  await expect(counter.getByRole('link', { name: 'Caraway kraut' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Undo the last serving');
});

test('opens a kitchen with three questions', async ({ page }) => {
  await openNewKitchen(page);
  await page.getByRole('button', { name: 'Create the kitchen' }).click();
  await expect(page.getByText('Enter your e-mail address.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Cy');
  await page.getByLabel('Name of the kitchen').fill('Kitchen by the stairs');
  await page.getByLabel('E-mail').fill(`door-${String(Date.now())}@example.org`);
  await page.getByLabel('Password, at least 10 characters').fill('ten letters or more');
  await page.getByRole('button', { name: 'Create the kitchen' }).click();
  await expect(page.getByText('There is no jar on the shelf yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Kitchen', exact: true }).click();
  await expect(page.getByRole('tab', { name: 'Settings Kitchen by the stairs' })).toBeVisible();
});
