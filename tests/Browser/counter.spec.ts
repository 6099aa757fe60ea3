import type { Page } from '@playwright/test';
import { ulid } from 'ulid';
import type { components } from '../../web/src/api/contract.gen';
import { expect, kitchenOf, number, signIn, test, write, type Cook } from './kitchen';

/*
 * Jars that are made at the counter, on a phone and on a tablet. Time goes on by saying of a step that it was done some
 * hours ago, as a device does that was away.
 */

type Schemas = components['schemas'];
type Steps = Schemas['Steps'];

const PHONE = { width: 390, height: 844 };
const TABLET = { width: 820, height: 1180 };

const hoursAgo = (hours: number): string => new Date(Date.now() - hours * 3_600_000).toISOString();

/** What stands on the bench; foods by their keys. */
interface Bench {
  food: string;
  name: string;
  paste?: string[][];
  alongside?: string[][];
  [field: string]: unknown;
}

async function begin(page: Page, bench: Bench): Promise<string> {
  const kitchen = await kitchenOf(page);
  const of = (key: string | undefined) => kitchen.ingredients.find((one) => one.key === key)?.id;
  const { food, paste, alongside, ...rest } = bench;
  const parts = (list: string[][] | undefined) => (list ?? []).map(([key, amount]) => ({ foodId: of(key), amount }));
  const batch = (await write(page, 'post', '/batches', {
    vegetableId: of(food),
    shape: kitchen.ingredients.find((one) => one.key === food)?.shape,
    saltId: kitchen.salts.find((one) => one.name === 'pickling salt')?.id,
    saltUnit: 'grams',
    fixed: 'salt',
    strengthBasis: 'of_vegetable',
    jarId: null,
    place: 'counter',
    begin: 'counter',
    paste: parts(paste),
    alongside: parts(alongside),
    requestKey: ulid(),
    ...rest,
  })) as Schemas['Batch'];
  return batch.id;
}

const stepsOf = async (page: Page, batch: string): Promise<Steps> =>
  (await (await page.request.get(`/api/batches/${batch}/steps`)).json()) as Steps;

/** A step was done some hours ago. */
async function done(page: Page, batch: string, kind: string, hours: number): Promise<void> {
  const step = (await stepsOf(page, batch)).steps.find((one) => one.kind === kind);
  await write(page, 'post', `/batches/${batch}/steps/${step?.id ?? ''}/done`, {
    at: hoursAgo(hours),
    requestKey: ulid(),
  });
}

/** Goes to the counter, and does steps until one of them is to be done. */
async function atTheCounter(page: Page, batch: string): Promise<void> {
  await page.goto(`/counter/${batch}`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

async function press(page: Page, heading: string): Promise<void> {
  await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
  await page.getByRole('button', { name: /^Done$| now$/ }).click();
}

async function inView(page: Page): Promise<void> {
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
}

const kimchi = {
  method: 'kimchi_soaked',
  food: 'napa-cabbage',
  vegetableAmount: '900 g',
  waterAmount: '1800 g',
  saltAmount: '120 g',
  saltingMinutes: 1200,
  paste: [
    ['fish-sauce', '30 g'],
    ['white-radish', '200 g'],
  ],
};

async function ready(page: Page, cook: Cook, size: { width: number; height: number }): Promise<void> {
  await page.setViewportSize(size);
  await signIn(page, cook);
}

test('a kimchi that soaked for twenty hours is finished the next day, on a phone', async ({ page, cook }) => {
  await ready(page, cook, PHONE);
  const batch = await begin(page, { ...kimchi, name: 'Kimchi' });
  await atTheCounter(page, batch);
  await press(page, 'Clean');
  await press(page, 'Dissolve the salt');
  await expect(page.getByRole('heading', { level: 1, name: 'Soak' })).toBeVisible();
  await inView(page);
  await expect(page.getByText('120 g').first()).toBeVisible();
  await done(page, batch, 'soak', 20.5);
  await page.reload();
  // The clock has run out while nobody looked.
  await expect(page.getByText(/^Due since/)).toBeVisible();
  await press(page, 'Drain');
  await expect(page.getByRole('heading', { level: 1, name: 'Rinse' })).toBeVisible();
  const left = async () => number(((await page.getByTestId('what-if').textContent()) ?? '').split(',').at(-1) ?? '');
  await page.getByText('0.5 min').click();
  await expect(page.getByTestId('what-if')).toBeVisible();
  await page.waitForLoadState('networkidle');
  const short = await left();
  await page.getByText('5 min', { exact: true }).click();
  await expect.poll(left).toBeLessThan(short);
  await page.keyboard.press('Escape');
  await press(page, 'Rinse');
  await press(page, 'Squeeze');
  await press(page, 'Mix in the paste');
  await press(page, 'Pack the jar');
  await expect(page.getByRole('heading', { level: 1, name: 'Kimchi is made' })).toBeVisible();
  await page.getByRole('link', { name: 'To the jar' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Kimchi' })).toBeVisible();
  await expect(page.getByText('Not food yet')).toBeHidden();
});

test('what is still in its soak is not served, but what was eaten can be written down', async ({ page, cook }) => {
  await ready(page, cook, TABLET);
  const batch = await begin(page, { ...kimchi, name: 'Kimchi' });
  for (const kind of ['clean', 'dissolve', 'soak']) {
    await done(page, batch, kind, 1);
  }
  await page.goto(`/shelf/${batch}`);
  await expect(page.getByText('Not food yet: in its soak.')).toBeVisible();
  await expect(page.getByTestId('meant')).toContainText('Still to do: Drain.');
  await expect(page.getByRole('region', { name: 'Serve' })).toBeHidden();
  await page.getByRole('button', { name: 'I ate some' }).click();
  await expect(page.getByRole('region', { name: 'Serve' })).toBeVisible();
});

test('a kimchi salted dry for forty minutes is squeezed, on a tablet', async ({ page, cook }) => {
  await ready(page, cook, TABLET);
  const batch = await begin(page, {
    ...kimchi,
    method: 'kimchi_dry_salted',
    waterAmount: '',
    saltAmount: '27 g',
    saltingMinutes: 40,
    name: 'Quick kimchi',
  });
  await done(page, batch, 'clean', 1);
  await atTheCounter(page, batch);
  await press(page, 'Salt');
  await expect(page.getByTestId('clock')).toContainText(/^(40:00|39:\d\d)/);
  await inView(page);
  // Back opens the salting again; it is done a second time, three quarters of an hour ago.
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Salt' })).toBeVisible();
  await done(page, batch, 'salt', 0.75);
  await page.reload();
  for (const step of ['Drain', 'Rinse', 'Squeeze', 'Mix in the paste', 'Pack the jar']) {
    await press(page, step);
  }
  await expect(page.getByRole('heading', { level: 1, name: 'Quick kimchi is made' })).toBeVisible();
});

test('a mayonnaise stands for eight hours and goes into the fridge', async ({ page, cook }) => {
  await ready(page, cook, PHONE);
  const batch = await begin(page, {
    method: 'cultured_condiment',
    food: 'egg',
    vegetableAmount: '50 g',
    alongside: [['sunflower-oil', '200 g']],
    strengthBasis: 'of_everything',
    saltAmount: '2.5 g',
    name: 'Mayonnaise',
  });
  await atTheCounter(page, batch);
  await press(page, 'Clean');
  await press(page, 'Mix');
  await expect(page.getByTestId('clock')).toContainText(/^(8:00:00|7:59:\d\d)/);
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Mix' })).toBeVisible();
  await done(page, batch, 'mix', 8.1);
  await page.reload();
  await press(page, 'Into the fridge');
  await expect(page.getByRole('heading', { level: 1, name: 'Mayonnaise is made' })).toBeVisible();
  await page.getByRole('link', { name: 'To the jar' }).click();
  await expect(page.getByText('in the fridge').first()).toBeVisible();
});

test('a quick pickle goes into the fridge, and its second day is what its page says', async ({ page, cook }) => {
  await ready(page, cook, PHONE);
  const batch = await begin(page, {
    method: 'quick_salt_pickle',
    food: 'cucumber',
    vegetableAmount: '500 g',
    waterAmount: '400 g',
    strengthBasis: 'of_water',
    saltAmount: '60 g',
    name: 'Pickle',
  });
  for (const kind of ['clean', 'dissolve', 'pack', 'pour']) {
    await done(page, batch, kind, 4.2);
  }
  await atTheCounter(page, batch);
  await press(page, 'Into the fridge');
  await page.getByRole('link', { name: 'To the jar' }).click();
  await expect(page.getByTestId('meant')).toBeVisible();
});

test('a kraut is salted in two halves under a plate', async ({ page, cook }) => {
  await ready(page, cook, TABLET);
  const batch = await begin(page, {
    method: 'dry_salting',
    food: 'green-cabbage',
    vegetableAmount: '1000 g',
    saltAmount: '22 g',
    isSaltedTwice: true,
    name: 'Kraut',
  });
  await atTheCounter(page, batch);
  await press(page, 'Clean');
  await expect(page.getByText('11 g').first()).toBeVisible();
  await press(page, 'Salt');
  await expect(page.getByTestId('clock')).toContainText(/^(30:00|29:\d\d)/);
  await page.getByRole('button', { name: 'Salt again now' }).click();
  await page.getByRole('button', { name: 'Pack the jar now' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Kraut is made' })).toBeVisible();
});

test('a drink is served by the glass', async ({ page, cook }) => {
  await ready(page, cook, PHONE);
  const formulas = (await (await page.request.get('/api/formulas')).json()) as {
    formulas: { id: string; name: string }[];
  };
  const kvass = formulas.formulas.find(({ name }) => /kvass|beet drink/i.test(name));
  const batch = (await write(page, 'post', `/formulas/${kvass?.id ?? ''}/batches`, {
    by: 'as_written',
    intoJarId: null,
    name: 'Kvass',
    place: 'counter',
    startedOn: hoursAgo(24 * 12).slice(0, 10),
    requestKey: ulid(),
  })) as Schemas['Batch'];
  expect(batch.servedPhase).toBe('brine');
  await page.goto(`/shelf/${batch.id}`);
  const serve = page.getByRole('region', { name: 'Serve' });
  await expect(serve).toContainText(`${String(batch.servingGrams)} g`);
});

test('one drain, one rinse, the right times: the network goes on one device while another works on', async ({
  page,
  cook,
  browser,
}) => {
  await ready(page, cook, TABLET);
  const batch = await begin(page, { ...kimchi, name: 'Kimchi' });
  for (const kind of ['clean', 'dissolve', 'soak']) {
    await done(page, batch, kind, 21);
  }
  await atTheCounter(page, batch);
  await expect(page.getByRole('heading', { level: 1, name: 'Drain' })).toBeVisible();

  const context = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const other = await context.newPage();
  await other.request.get('/api/session');
  await signIn(other, cook);

  await page.context().setOffline(true);
  const drainedAt = Date.now();
  await page.getByRole('button', { name: /^Done$/ }).click();
  await expect(page.getByText(/network is away/).first()).toBeVisible();
  // It goes on here: the step is done as far as this device knows.
  await expect(page.getByRole('heading', { level: 1, name: 'Rinse' })).toBeVisible();
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();

  await other.waitForTimeout(1500);
  await atTheCounter(other, batch);
  await press(other, 'Drain');
  await press(other, 'Rinse');
  await expect(other.getByRole('heading', { level: 1, name: 'Squeeze' })).toBeVisible();
  const rinsedAt = Date.now();

  await page.context().setOffline(false);
  await expect(page.getByText('1 change sent')).toBeVisible({ timeout: 15_000 });
  await expect(page.getByRole('heading', { level: 1, name: 'Squeeze' })).toBeVisible({ timeout: 15_000 });
  const jar = (await (await page.request.get(`/api/batches/${batch}`)).json()) as Schemas['Batch'];
  const kinds = (kind: string) => jar.entries.filter((entry) => entry.kind === kind && !entry.isReversed);
  expect(kinds('drain')).toHaveLength(1);
  expect(kinds('rinse')).toHaveLength(1);
  expect(Math.abs(Date.parse(kinds('drain')[0]?.happenedAt ?? '') - drainedAt)).toBeLessThan(2500);
  expect(Math.abs(Date.parse(kinds('rinse')[0]?.happenedAt ?? '') - rinsedAt)).toBeLessThan(10_000);
  await context.close();
});

test('what was done without a network survives a reload', async ({ page, cook }) => {
  await ready(page, cook, PHONE);
  const batch = await begin(page, { ...kimchi, name: 'Kimchi' });
  await atTheCounter(page, batch);
  await page.route('**/api/batches/*/steps/*/done', (route) => route.abort('connectionreset'));
  await press(page, 'Clean');
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();
  await page.unroute('**/api/batches/*/steps/*/done');
  await expect(page.getByText('1 change sent')).toBeVisible({ timeout: 15_000 });
  await expect(page.getByRole('heading', { level: 1, name: 'Dissolve the salt' })).toBeVisible();
  expect((await stepsOf(page, batch)).steps[0]?.doneAt).not.toBeNull();
});

test('a mash is blended with vinegar into two bottles, and its pH is asked before they leave the house', async ({
  page,
  cook,
}) => {
  await ready(page, cook, TABLET);
  const kitchen = await kitchenOf(page);
  const of = (key: string) => kitchen.ingredients.find((one) => one.key === key)?.id;
  const mash = await begin(page, {
    method: 'mash',
    food: 'red-chilli',
    vegetableAmount: '400 g',
    saltAmount: '12 g',
    name: 'Chilli mash',
  });
  await atTheCounter(page, mash);
  for (const step of ['Clean', 'Salt', 'Pack the jar']) {
    await press(page, step);
  }
  await expect(page.getByRole('heading', { level: 1, name: 'Chilli mash is made' })).toBeVisible();
  const bottle = kitchen.jars.find(({ name }) => name === 'Sauce bottle, 250 ml')?.id;
  await write(page, 'post', '/batches', {
    method: 'transform',
    sourceBatchId: mash,
    alongside: [{ foodId: of('cider-vinegar'), amount: '60 g' }],
    saltId: kitchen.salts[0]?.id,
    saltUnit: 'grams',
    fixed: 'salt',
    saltAmount: '',
    strengthBasis: 'of_everything',
    jarId: bottle,
    moreJarIds: [bottle],
    hasOneMore: true,
    servingAmount: '10 g',
    name: 'Hot sauce',
    place: 'fridge',
    requestKey: ulid(),
  });
  await page.goto('/shelf');
  await expect(page.getByRole('link', { name: 'Hot sauce, bottle 1' })).toBeVisible();
  await page.getByRole('link', { name: 'Hot sauce, bottle 2' }).click();
  await expect(page.getByText('Sauce bottle, 250 ml')).toBeVisible();
  await page.getByRole('button', { name: 'Bottle, give away' }).click();
  await expect(page.getByText(/pH/).first()).toBeVisible();
});

test('the end of a jar keeps its brine and puts the same on the bench again', async ({ page, cook }) => {
  await ready(page, cook, TABLET);
  const kitchen = await kitchenOf(page);
  const batch = (await write(page, 'post', '/batches', {
    method: 'poured_brine',
    vegetableId: kitchen.ingredients.find((one) => one.key === 'carrot')?.id,
    vegetableAmount: '460 g',
    shape: 'sticks',
    saltId: kitchen.salts.find((one) => one.name === 'pickling salt')?.id,
    saltUnit: 'grams',
    fixed: 'strength',
    strengthPercent: '3',
    strengthBasis: 'of_water',
    waterAmount: '500 g',
    name: 'Sticks',
    place: 'counter',
    requestKey: ulid(),
  })) as Schemas['Batch'];
  await page.goto(`/shelf/${batch.id}`);
  await page.getByRole('button', { name: 'Empty the jar...' }).click();
  const drawer = page.getByRole('dialog');
  await expect(drawer).toContainText('Nobody has eaten of it.');
  await drawer.getByText('Keep as spare brine').click();
  await drawer.getByRole('checkbox', { name: 'Start the same again' }).check();
  await drawer.getByRole('button', { name: 'Empty the jar' }).click();
  await expect(page).toHaveURL(/\/bench$/);
  await expect(page.getByLabel('Weight of the vegetable')).toHaveValue('460 g');
  await page.goto('/shelf');
  await expect(page.getByRole('link', { name: 'Spare brine, Sticks' })).toBeVisible();
});
