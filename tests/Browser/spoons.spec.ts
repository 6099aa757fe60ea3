import type { Page } from '@playwright/test';
import { benchAnswer, choose, expect, signIn, startCarrots, test, type Cook } from './kitchen';

/*
 * Jars from spoons, cups and counts alone: no scale in the house. What was said is shown as it was understood, and what
 * went in is what stands in the book.
 */

async function atTheBench(page: Page, cook: Cook): Promise<void> {
  await signIn(page, cook, '/bench');
  await expect(page.getByTestId('salt')).not.toBeEmpty();
}

const take = (page: Page) => page.getByRole('region', { name: 'Take', exact: true });

const water = (page: Page) => page.getByRole('textbox', { name: 'Water', exact: true });

/** The food that the search finds first. */
async function food(page: Page, field: string, typed: string): Promise<void> {
  const box = page.getByRole('combobox', { name: field, exact: true });
  await box.click();
  await box.fill(typed);
  await page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option').first().click();
}

/** Starts what stands there, with nothing refused on the way. */
async function start(page: Page): Promise<void> {
  await expect(page.getByText('Working it out')).toBeHidden();
  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await page.waitForURL(/shelf\/\w+/);
}

test('a quart of carrots from a rounded tablespoon per quart, and the rest of the brine is kept', async ({
  page,
  cook,
}) => {
  await atTheBench(page, cook);
  await page.getByLabel('Weight of the vegetable').fill('3 cups');
  await expect(take(page).getByRole('status')).toContainText(/3 cups of carrot.*about \d+ g \(\d+–\d+ g\)/);
  await page.getByLabel('Strength in percent').fill('a rounded tablespoon per quart');
  await expect(page.getByRole('region', { name: 'Salt' }).getByRole('status')).toContainText(/tbsp.*quart.*about/i);
  await water(page).fill('1 quart');
  const left = page.getByRole('radiogroup', { name: 'What is left over' });
  await expect(left).toBeVisible();
  const answer = await benchAnswer(page);
  expect(answer.waterGrams).toBeCloseTo(946, -1);
  // A rounded tablespoon of fine salt is 20-28 g in 946 g of water: 2.1 to 3 % of it.
  const ofWater = answer.strengths.find(({ basis }) => basis === 'of_water')?.percent ?? 0;
  expect(ofWater).toBeGreaterThan(1.9);
  expect(ofWater).toBeLessThan(3.1);
  expect(answer.pouredGrams + answer.leftOverGrams).toBeCloseTo(answer.waterGrams + answer.saltGrams, 3);
  await left.getByText('spare brine').click();
  await page.getByLabel('Name of the jar').fill('Spooned carrots');
  await start(page);

  await page.goto('/shelf');
  const spare = page.locator('.board-jar', { hasText: 'Spare brine, Spooned carrots' });
  await expect(spare).toContainText(/\d+ g, \d(\.\d)? % brine/);
  await spare.click();
  await expect(page.getByText('It is not eaten.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Serve' })).toBeHidden();
});

test('mayonnaise from an egg, 1 1/4 cups of oil and 2 tbsp of brine', async ({ page, cook }) => {
  await signIn(page, cook);
  await startCarrots(page, { name: 'Sour sticks', daysAgo: 9, jar: 'Quart jar' });
  await page.goto('/bench');
  await choose(page, 'Method', 'Cultured condiment');
  await food(page, 'Vegetable', 'egg');
  await page.getByLabel('Weight of the vegetable').fill('1');
  await expect(take(page).getByRole('status')).toContainText(/1 × whole egg: about 50 g/);
  await page.getByRole('button', { name: 'Add another food' }).click();
  await food(page, 'food 1', 'olive oil');
  await page.getByLabel('Amount of food 1').fill('1 1/4 cups');
  await expect(take(page).getByText(/about 2[67]\d g/)).toBeVisible();
  await choose(page, 'Starter', 'Sour sticks');
  await page.getByLabel('Amount of starter').fill('2 tbsp');
  await choose(page, 'Jar', 'Pint jar');
  const answer = await benchAnswer(page);
  // An egg without its shell 45 to 55 g, a quarter over a cup of oil 272 g, two spoons of brine 30 g.
  expect(answer.makesGrams).toBeGreaterThan(335);
  expect(answer.makesGrams).toBeLessThan(375);
  expect(answer.allergens).toContain('egg');
  await start(page);
});

test('a kraut from half a head, in a jar that is said to be too small, and fits', async ({ page, cook }) => {
  await atTheBench(page, cook);
  await choose(page, 'Method', 'Dry salting');
  await food(page, 'Vegetable', 'cabbage');
  await page.getByLabel('Weight of the vegetable').fill('half a head');
  await expect(take(page).getByRole('status')).toContainText(/cabbage.*about \d+ g \(\d+–\d+ g\)/);
  await choose(page, 'Jar', 'Pint jar');
  await expect(page.getByRole('list', { name: 'Advice' })).toContainText('If it went in, it fits');
  const { vegetableGrams } = await benchAnswer(page);
  expect(vegetableGrams).toBeGreaterThan(300);
  await start(page);
  await expect(page.getByText(/Pint jar, on the counter/)).toBeVisible();
});

test('chillies by count, in brine', async ({ page, cook }) => {
  await atTheBench(page, cook);
  await food(page, 'Vegetable', 'jalapeno');
  const weight = page.getByLabel('Weight of the vegetable');
  // A bare count is asked about, with both readings offered.
  await weight.fill('12');
  await expect(take(page).getByRole('button', { name: /12 .*about/ })).toBeVisible();
  await take(page)
    .getByRole('button', { name: /12 .*about/ })
    .click();
  const { vegetableGrams } = await benchAnswer(page);
  expect(vegetableGrams).toBeGreaterThan(110);
  expect(vegetableGrams).toBeLessThan(260);
  await weight.fill('a dozen jalapeños');
  await expect.poll(async () => (await benchAnswer(page)).vegetableGrams).toBeCloseTo(vegetableGrams, 3);
  await start(page);
});

test('a mash of 370 g in a pint', async ({ page, cook }) => {
  await atTheBench(page, cook);
  await choose(page, 'Method', 'Mash');
  await food(page, 'Vegetable', 'red chilli');
  await page.getByLabel('Weight of the vegetable').fill('370 g');
  await choose(page, 'Jar', 'Pint jar');
  await page.locator('.bench-closed summary').click();
  await page.getByRole('textbox', { name: 'Headspace' }).fill('38 mm');
  await expect(page.getByTestId('vegetable')).toHaveText('370 g');
  await start(page);
});

test('a known jar is begun with few taps, and nothing is refused', async ({ page, cook }) => {
  await signIn(page, cook);
  let taps = 0;
  const tap = async (what: ReturnType<Page['locator']>) => {
    taps += 1;
    await what.click();
  };
  await tap(page.getByRole('link', { name: 'Bench', exact: true }));
  await expect(page.getByTestId('salt')).not.toBeEmpty();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByLabel('Weight of the vegetable').fill('1 lb');
  const jar = page.getByRole('combobox', { name: 'Jar', exact: true });
  await tap(jar);
  await tap(page.locator('.ant-select-item-option', { hasText: 'Quart jar' }).first());
  await expect(page.getByText('Working it out')).toBeHidden();
  await page.waitForLoadState('networkidle');
  await tap(page.getByRole('button', { name: 'Start the jar' }));
  await page.waitForURL(/shelf\/\w+/);
  expect(taps).toBeLessThanOrEqual(8);
});

test('nothing is red before anything was typed, whichever way the salt is said', async ({ page, cook }) => {
  await atTheBench(page, cook);
  for (const way of ['amount', 'both', 'to taste', 'strength']) {
    await page.getByText(way, { exact: true }).first().click();
    await page.waitForLoadState('networkidle');
    await expect(page.getByRole('alert')).toHaveCount(0);
  }
  await choose(page, 'Method', 'Reused brine');
  await page.waitForLoadState('networkidle');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a jar that is taken says by which batch, and there may be one more', async ({ page, cook }) => {
  await signIn(page, cook);
  const { jars } = (await (await page.request.get('/api/kitchen')).json()) as {
    jars: { name: string; howMany: number }[];
  };
  const many = jars.find(({ name }) => name === 'Quart jar')?.howMany ?? 0;
  for (let i = 0; i < many; i++) {
    await startCarrots(page, { name: `Full ${String(i + 1)}`, daysAgo: 1, jar: 'Quart jar' });
  }
  await page.goto('/bench');
  await choose(page, 'Jar', 'Quart jar');
  await expect(page.getByText(/Full 1/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start the jar' })).toBeDisabled();
  await page.getByRole('button', { name: 'Use the Half-gallon jar' }).click();
  await expect(page.getByRole('button', { name: 'Start the jar' })).toBeEnabled();
  await choose(page, 'Jar', 'Quart jar');
  await page.getByText('I have one more').click();
  await start(page);
});

test('the cover is changed later, and the chores follow it', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await startCarrots(page, { name: 'Sticks', daysAgo: 2, jar: 'Quart jar' });
  await page.goto(`/shelf/${batch.id}`);
  await page.getByRole('button', { name: 'Jar and lid' }).click();
  const drawer = page.getByRole('dialog');
  await choose(page, 'Cover', 'airlock');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer).toBeHidden();
  const chores = (await (await page.request.get('/api/chores')).json()) as { now: { task: string }[] };
  expect(chores.now.map(({ task }) => task)).not.toContain('burp');
});

test('a forkful that was weighed is what a forkful is', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await startCarrots(page, { name: 'Sticks', daysAgo: 9 });
  await page.goto('/kitchen#house');
  await page.getByRole('button', { name: 'Weigh a fork or a spoon' }).click();
  const drawer = page.getByRole('dialog');
  await choose(page, 'Of', 'anything else');
  await drawer.getByLabel('Weighs').fill('33');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('A forkful of anything else: 33 g')).toBeVisible();
  await expect(drawer).toBeHidden();
  await page.goto(`/shelf/${batch.id}`);
  const amount = page.getByLabel('Amount for Bo');
  await amount.click();
  await page.getByRole('button', { name: 'a forkful' }).click();
  await expect(amount).toHaveValue('a forkful');
  await expect(page.getByRole('region', { name: 'Serve' }).getByRole('status').first()).toContainText('33 g');
  await page.getByRole('button', { name: 'Serve Bo' }).click();
  await expect(page.getByText('33 g served')).toBeVisible();
});
