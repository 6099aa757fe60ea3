import type { Locator, Page } from '@playwright/test';
import { ulid } from 'ulid';
import type { components } from '../../web/src/api/contract.gen';
import { choose, expect, kitchenOf, signIn, startCarrots, test, write, type Cook } from './kitchen';
import { inEveryLook } from './opened';

type Schemas = components['schemas'];

/** Ada on Today, with a jar to eat from. */
async function adaOfToday(page: Page, cook: Cook): Promise<Locator> {
  await signIn(page, cook);
  await startCarrots(page, { name: 'Sticks', daysAgo: 12 });
  await page.goto('/today');
  return page.getByRole('region', { name: 'Ada' });
}

/** A soup that is typed and not saved yet. */
async function soupOf(page: Page, ada: Locator): Promise<Locator> {
  await ada.getByRole('button', { name: 'Add other food for Ada' }).click();
  const drawer = page.getByRole('dialog', { name: /Ada/ });
  await drawer.getByLabel('What').fill('Soup');
  await drawer.getByRole('spinbutton', { name: 'Sodium' }).fill('600');
  return drawer;
}

test('a serving whose answer was lost is there once, however often it is pressed', async ({ page, cook }) => {
  const ada = await adaOfToday(page, cook);
  const served = ada.getByRole('button', { name: 'Edit Sticks of Ada' });
  const press = async () => {
    await ada.getByRole('button', { name: 'Ada eats…' }).click();
    await ada.getByRole('button', { name: /^Sticks/ }).click();
  };
  let cut = 0;
  let isAway = true;
  await page.route('**/api/servings', async (route) => {
    if (!isAway) {
      await route.continue();
      return;
    }
    await route.fetch();
    cut += 1;
    await route.abort('connectionreset');
  });
  await press();
  await expect(page.getByText('The network is away.').first()).toBeVisible();
  await press();
  await expect.poll(() => cut).toBeGreaterThan(1);
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();
  isAway = false;
  // It goes out by itself, once.
  await expect(served).toHaveCount(1, { timeout: 15_000 });
  await page.reload();
  await expect(served).toHaveCount(1);

  // What was answered is over: the next press is another portion.
  await press();
  await expect(served).toHaveCount(2);
});

test('what was written although its answer was lost is there when the page is loaded again', async ({ page, cook }) => {
  await signIn(page, cook);
  const { id } = await startCarrots(page, { name: 'Sticks', daysAgo: 12 });
  await page.goto(`/shelf/${id}`);
  let isAway = true;
  await page.route('**/api/batches/*/emptied', async (route) => {
    if (!isAway) {
      await route.continue();
      return;
    }
    await route.fetch();
    await route.abort('connectionreset');
  });
  await page.getByRole('button', { name: 'Empty the jar...' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Empty the jar' }).click();
  await expect(page.getByText('The network is away.').first()).toBeVisible();
  isAway = false;
  await page.goto(`/shelf/${id}`);
  await expect(page.getByRole('button', { name: 'Put it back' })).toBeVisible();
  await expect(page.getByRole('button', { name: /waiting/ })).toBeHidden({ timeout: 15_000 });
  await expect(page.getByRole('button', { name: 'Put it back' })).toBeVisible();
});

test('a form whose answer was lost is there once, and can be put right', async ({ page, cook }) => {
  const ada = await adaOfToday(page, cook);
  let isAway = true;
  await page.route('**/api/other-foods', async (route) => {
    if (isAway && route.request().method() === 'POST') {
      await route.fetch();
      await route.abort('connectionreset');
    } else {
      await route.continue();
    }
  });
  const drawer = await soupOf(page, ada);
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer).toBeHidden();
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();
  isAway = false;
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeHidden({ timeout: 15_000 });
  const foods = ada.getByRole('list', { name: 'Other food of Ada' });
  await expect(foods.getByRole('listitem')).toHaveCount(1);
  await expect(foods).toContainText('Soup, 600 mg');
  await ada.getByRole('button', { name: 'Edit Soup of Ada' }).click();
  await drawer.getByRole('spinbutton', { name: 'Sodium' }).fill('450');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(foods).toContainText('Soup, 450 mg');
  await expect(foods.getByRole('listitem')).toHaveCount(1);
});

test('what was saved behind a failing answer is told apart from what is typed since', async ({ page, cook }) => {
  const ada = await adaOfToday(page, cook);
  let fails = true;
  await page.route('**/api/other-foods', async (route) => {
    if (fails && route.request().method() === 'POST') {
      await route.fetch();
      await route.fulfill({ status: 500, contentType: 'application/json', body: '{"message":"Something failed"}' });
    } else {
      await route.continue();
    }
  });
  const drawer = await soupOf(page, ada);
  const answer = page.waitForResponse((one) => one.url().endsWith('/other-foods') && one.status() === 500);
  await drawer.getByRole('button', { name: 'Save' }).click();
  await answer;
  fails = false;
  await drawer.getByRole('spinbutton', { name: 'Sodium' }).fill('450');
  await drawer.getByRole('button', { name: 'Save' }).click();
  const question = page.getByRole('dialog', { name: 'This was already saved' });
  await expect(question).toContainText('what you typed has changed since');
  expect(await inEveryLook(page)).toEqual([]);
  await question.getByRole('button', { name: 'Change what was saved' }).click();
  const foods = ada.getByRole('list', { name: 'Other food of Ada' });
  await expect(foods).toContainText('Soup, 450 mg');
  await expect(foods.getByRole('listitem')).toHaveCount(1);
});

test('an allergy entered in one window stays when the other is saved', async ({ page, cook, context }) => {
  await signIn(page, cook, '/kitchen');
  const other = await context.newPage();
  await other.goto('/kitchen');
  for (const one of [page, other]) {
    await one.getByRole('button', { name: 'Edit Ada' }).click();
    await expect(one.getByRole('dialog').getByLabel('Name')).toHaveValue('Ada');
  }
  await choose(page, 'Must not have', 'fish');
  await page.keyboard.press('Escape');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('no fish')).toBeVisible();

  const drawer = other.getByRole('dialog');
  await drawer.getByLabel('Name').fill('Adelheid');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer.getByRole('alert')).toContainText('changed in another window');
  // Theirs is shown with one's own on top.
  await expect(drawer.locator('.ant-select-selection-item', { hasText: 'fish' })).toBeVisible();
  await expect(drawer.getByLabel('Name')).toHaveValue('Adelheid');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByRole('heading', { name: 'Adelheid' })).toBeVisible();
  const { people } = await kitchenOf(page);
  expect(people[0]).toMatchObject({ name: 'Adelheid', allergens: ['fish'] });
});

test('a portion written down later has the figure of its day', async ({ page, cook }) => {
  await signIn(page, cook);
  const { id } = await startCarrots(page, { name: 'Sticks', daysAgo: 3 });
  // The jar was thinned today: what was eaten before holds more than what is eaten now.
  await write(page, 'post', `/batches/${id}/entries`, {
    entry: { kind: 'top_up', grams: 400 },
    requestKey: ulid(),
  });
  await page.goto('/today');
  await page.getByRole('link', { name: 'Previous day' }).click();
  await expect(page.getByText('from the jars as they were then')).toBeVisible();
  await page.getByText('evening', { exact: true }).click();
  const ada = page.getByRole('region', { name: 'Ada' });
  const answer = page.waitForResponse((one) => one.url().endsWith('/api/servings'));
  await ada.getByRole('button', { name: 'Ada eats…' }).click();
  await ada.getByRole('button', { name: /^Sticks/ }).click();
  const late = (await (await answer).json()) as Schemas['Serving'];

  const day = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  const serve = async (body: object) =>
    (await write(page, 'post', '/servings', {
      batchId: id,
      personId: late.personId,
      amount: `${String(late.grams)} g`,
      requestKey: ulid(),
      ...body,
    })) as Schemas['Serving'];
  const evening = await serve({ eatenOn: day, meal: 'evening' });
  const now = await serve({});
  expect(late.eatenOn).toBe(day);
  expect(late.sodium.typical).toBeCloseTo(evening.sodium.typical, 3);
  await expect(ada).toContainText(`${String(late.sodium.shown)} mg`);
  expect(late.sodium.typical - now.sodium.typical).toBeGreaterThan(5);
});
