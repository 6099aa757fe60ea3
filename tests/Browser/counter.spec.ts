import { ulid } from 'ulid';
import {
  atTheCounter,
  begin,
  done,
  hoursAgo,
  inView,
  kimchi,
  PHONE,
  press,
  ready,
  stepsOf,
  TABLET,
  type Schemas,
} from './counter';
import { benchAnswer, choose, expect, kitchenOf, number, signIn, startCarrots, test, write } from './kitchen';

/*
 * Jars that are made at the counter, on a phone and on a tablet. Time goes on by saying of a step that it was done some
 * hours ago, as a device does that was away.
 */

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
  await drawer.getByText('Starter', { exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(drawer).toBeHidden();
  await page.getByRole('button', { name: 'Empty the jar...' }).click();
  await expect(drawer.getByRole('radio', { name: 'Pour away' })).toBeChecked();
  await drawer.getByText('Spare brine', { exact: true }).click();
  await drawer.getByRole('checkbox', { name: 'Start the same again' }).check();
  await drawer.getByRole('button', { name: 'Empty the jar' }).click();
  await expect(page).toHaveURL(/\/bench$/);
  await expect(page.getByLabel('Weight of the vegetable')).toHaveValue('460 g');
  await page.goto('/shelf');
  await expect(page.getByRole('link', { name: 'Spare brine, Sticks' })).toBeVisible();
});

test('brine of an empty jar becomes the starter of the next one, and a jar on the shelf gets some', async ({
  page,
  cook,
}) => {
  await ready(page, cook, TABLET);
  const fed = await startCarrots(page, { name: 'Fed', daysAgo: 0 });
  for (const [name, goal] of [
    ['First', 'the next jar, at the bench'],
    ['Second', 'Fed'],
  ] as const) {
    const jar = await startCarrots(page, { name, daysAgo: 6 });
    await write(page, 'post', `/batches/${jar.id}/notes`, {
      marks: { liked: 4, salty: 3 },
      text: 'less dill',
      requestKey: ulid(),
    });
    await page.goto(`/shelf/${jar.id}`);
    await page.getByRole('button', { name: 'Empty the jar...' }).click();
    const drawer = page.getByRole('dialog');
    await drawer.getByText('Starter', { exact: true }).click();
    await choose(page, 'As a starter for', goal);
    await drawer.getByRole('spinbutton', { name: 'How much of it' }).fill('30');
    await drawer.getByRole('checkbox', { name: 'Start the same again' }).check();
    await expect(drawer).toContainText('less dill');
    await expect(drawer).toContainText(/Liked best so far: 3 % of the water in (First|Second), 4 of 5/);
    await drawer.getByRole('checkbox', { name: 'Use that salt' }).check();
    // What was chosen so far is there after a reload.
    await page.reload();
    await expect(drawer.getByRole('spinbutton', { name: 'How much of it' })).toHaveValue('30');
    await expect(drawer.getByRole('checkbox', { name: 'Use that salt' })).toBeChecked();
    await drawer.getByRole('button', { name: 'Empty the jar' }).click();
    await expect(page).toHaveURL(/\/bench$/);
  }
  const drafted = await page.evaluate(() => localStorage.getItem('tempesal.bench'));
  expect(JSON.parse(drafted ?? '{}')).toMatchObject({ strengthPercent: '3', vegetableAmount: '500 g' });
  const jar = (await (await page.request.get(`/api/batches/${fed.id}`)).json()) as Schemas['Batch'];
  expect(jar.entries.filter(({ kind }) => kind === 'starter')).toHaveLength(1);
});

test('portions are brought up to date after a step that is entered late, and put back', async ({ page, cook }) => {
  await ready(page, cook, PHONE);
  const kitchen = await kitchenOf(page);
  const batch = await begin(page, { ...kimchi, name: 'Kimchi' });
  for (const [kind, hours] of Object.entries({ clean: 60, dissolve: 60, soak: 60, drain: 40, rinse: 40 })) {
    await done(page, batch, kind, hours);
  }
  for (const kind of ['squeeze', 'dress', 'pack']) {
    await done(page, batch, kind, 39);
  }
  const serving = (await write(page, 'post', '/servings', {
    batchId: batch,
    personId: kitchen.people[0]?.id,
    amount: '40 g',
    requestKey: ulid(),
  })) as Schemas['Serving'];
  const rinse = (await stepsOf(page, batch)).steps.find((one) => one.kind === 'rinse');
  await write(page, 'post', `/batches/${batch}/steps/${rinse?.id ?? ''}/done`, {
    at: new Date(Date.parse(rinse?.doneAt ?? '') - 60_000).toISOString(),
    rinseSeconds: 900,
    requestKey: ulid(),
  });
  const booked = async () => {
    const jar = (await (await page.request.get(`/api/batches/${batch}`)).json()) as Schemas['Batch'];
    return jar.servings.find((one) => !one.isUndone)?.sodium.typical ?? 0;
  };
  await page.goto(`/shelf/${batch}`);
  await inView(page);
  await expect(page.getByText(/1 portion was entered as/)).toBeVisible();
  expect(await booked()).toBeCloseTo(serving.sodium.typical, 6);
  await page.getByRole('button', { name: 'Update 1 portion' }).click();
  await expect(page.getByText('1 portion updated.')).toBeVisible();
  expect(await booked()).toBeLessThan(serving.sodium.typical * 0.9);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(page.getByText('The portions are as they were.')).toBeVisible();
  expect(await booked()).toBeCloseTo(serving.sodium.typical, 6);
});

test('a mash is stirred, blended with vinegar at the bench, its pH read, and in two bottles', async ({
  page,
  cook,
}) => {
  await ready(page, cook, TABLET);
  const kitchen = await kitchenOf(page);
  const mash = await begin(page, {
    method: 'mash',
    food: 'red-chilli',
    vegetableAmount: '400 g',
    saltAmount: '12 g',
    name: 'Chilli mash',
    begin: 'packed',
    startedOn: hoursAgo(96).slice(0, 10),
  });
  await page.goto('/today');
  const chores = page.getByRole('region', { name: 'Chores' });
  await chores.getByRole('button', { name: /Stir/ }).first().click();
  await expect(page.getByText('Done: Chilli mash.')).toBeVisible();
  const vinegar = kitchen.ingredients.find(({ key }) => key === 'cider-vinegar')?.id;
  const bottle = kitchen.jars.find(({ name }) => name === 'Sauce bottle, 250 ml')?.id;
  const draft = {
    method: 'transform',
    sourceBatchId: mash,
    alongside: [{ foodId: vinegar, amount: '60 g' }],
    jarId: bottle,
    moreJarIds: [bottle],
    hasOneMore: true,
    fixed: 'salt',
    saltAmount: '',
    strengthBasis: 'of_everything',
    servingAmount: '10 g',
    place: 'fridge',
    name: 'Hot sauce',
  };
  await page.evaluate((fields) => localStorage.setItem('tempesal.bench', JSON.stringify(fields)), draft);
  await page.goto('/bench');
  await page.getByRole('button', { name: 'Blend it' }).click();
  await expect(page.getByText('Read the pH before it is bottled').last()).toBeVisible();
  await page.getByRole('button', { name: 'I read it first' }).click();
  await expect(page).toHaveURL(/\/bench$/);
  await page.getByRole('spinbutton', { name: 'pH of the sauce' }).fill('3.6');
  await page.getByRole('button', { name: 'Blend it' }).click();
  await expect(page).toHaveURL(/\/shelf\/\w+$/);
  const { batches } = (await (await page.request.get('/api/batches')).json()) as { batches: Schemas['ShelfBatch'][] };
  const bottles = batches.filter(({ name }) => name.startsWith('Hot sauce, bottle'));
  expect(bottles).toHaveLength(2);
  for (const { id } of bottles) {
    const jar = (await (await page.request.get(`/api/batches/${id}`)).json()) as Schemas['Batch'];
    expect(jar.lastReading).toMatchObject({ ph: 3.6, stands: true });
  }
});

test('a sauce is blended at the counter, thinned until it pours, read, and bottled by its last step', async ({
  page,
  cook,
}) => {
  await ready(page, cook, PHONE);
  const kitchen = await kitchenOf(page);
  const mash = await begin(page, {
    method: 'mash',
    food: 'red-chilli',
    vegetableAmount: '400 g',
    saltAmount: '12 g',
    name: 'Chilli mash',
    begin: 'packed',
    startedOn: hoursAgo(96).slice(0, 10),
  });
  const bottle = kitchen.jars.find(({ name }) => name === 'Sauce bottle, 250 ml')?.id;
  const draft = {
    method: 'transform',
    sourceBatchId: mash,
    alongside: [{ foodId: kitchen.ingredients.find(({ key }) => key === 'cider-vinegar')?.id, amount: '60 g' }],
    jarId: bottle,
    moreJarIds: [bottle],
    hasOneMore: true,
    fixed: 'salt',
    saltAmount: '',
    strengthBasis: 'of_everything',
    servingAmount: '10 g',
    place: 'fridge',
    name: 'Hot sauce',
  };
  await page.evaluate((fields) => localStorage.setItem('tempesal.bench', JSON.stringify(fields)), draft);
  await page.goto('/bench');
  await page.getByRole('button', { name: 'Make it at the counter' }).click();
  await expect(page).toHaveURL(/\/counter\/\w+$/);
  await press(page, 'Sterilise the bottles');
  await press(page, 'Blend');
  await expect(page.getByRole('heading', { level: 1, name: 'Season and thin' })).toBeVisible();
  await inView(page);
  const grams = async () => {
    const jar = (await (await page.request.get(`/api/batches/${mash}`)).json()) as Schemas['Batch'];
    return jar.gramsLeft;
  };
  const before = await grams();
  await page.getByRole('button', { name: /water/ }).click();
  await expect.poll(grams).toBeCloseTo(before + 15, 1);
  await press(page, 'Season and thin');
  await page.getByRole('spinbutton', { name: 'pH' }).fill('3.5');
  await press(page, 'Measure the pH');
  await press(page, 'Bottle');
  await expect(page.getByRole('heading', { level: 1, name: /is made$/ })).toBeVisible();
  const { batches } = (await (await page.request.get('/api/batches')).json()) as { batches: Schemas['ShelfBatch'][] };
  expect(batches.filter(({ name }) => name.startsWith('Hot sauce, bottle'))).toHaveLength(2);
});

test('a note and a photo of a step stand in the log', async ({ page, cook }) => {
  await ready(page, cook, PHONE);
  const batch = await begin(page, { ...kimchi, name: 'Kimchi' });
  await atTheCounter(page, batch);
  await press(page, 'Clean');
  await expect(page.getByRole('heading', { level: 1, name: 'Dissolve the salt' })).toBeVisible();
  await page.getByRole('button', { name: 'Note or photo' }).click();
  const drawn = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [40, 30];
    canvas.getContext('2d')?.fillRect(5, 5, 20, 10);
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  await page.getByRole('dialog').getByRole('textbox').fill('outer leaves wilted');
  await page
    .getByLabel('Photo', { exact: true })
    .setInputFiles({ name: 'jar.png', mimeType: 'image/png', buffer: Buffer.from(drawn, 'base64') });
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.goto(`/shelf/${batch}/log`);
  await expect(page.getByText(/Dissolve the salt.*outer leaves wilted/)).toBeVisible();
  const photo = page.locator('img[src*="/photo"]');
  await expect(photo).toBeVisible();
  await expect.poll(() => photo.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0);
});

test('the device stays awake, rings, shakes, shows a notice and reads aloud', async ({ page, cook }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    const put = (on: object, name: string, value: unknown) =>
      Object.defineProperty(on, name, { configurable: true, value });
    put(navigator, 'wakeLock', {
      request: (what: string) => {
        said.push(`awake: ${what}`);
        return Promise.resolve({ addEventListener: () => undefined, release: () => Promise.resolve() });
      },
    });
    put(navigator, 'vibrate', () => said.push('shakes'));
    put(window, 'speechSynthesis', {
      cancel: () => undefined,
      speak: ({ text }: { text: string }) => said.push(`reads: ${text}`),
    });
    function Notice(title: string, { body }: { body: string }) {
      said.push(`notice: ${title}, ${body}`);
    }
    Notice.permission = 'granted';
    put(window, 'Notification', Notice);
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (when?: number) {
      said.push('rings');
      start.call(this, when);
    };
  });
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
  await ready(page, cook, PHONE);
  const batch = await begin(page, { ...kimchi, name: 'Kimchi', saltingMinutes: 0.1 });
  await atTheCounter(page, batch);
  await expect.poll(said).toContain('awake: screen');
  await expect(page.getByText('The screen stays on')).toBeVisible();
  await page.getByRole('button', { name: 'Read aloud' }).click();
  expect((await said()).some((one) => /^reads: Clean/.test(one))).toBe(true);
  await press(page, 'Clean');
  await press(page, 'Dissolve the salt');
  await press(page, 'Soak');
  await expect(page.getByText(/^Due since/)).toBeVisible({ timeout: 15_000 });
  await expect.poll(said).toContain('notice: Drain, Kimchi');
  expect((await said()).filter((one) => one === 'rings')).toHaveLength(3);
  expect(await said()).toContain('shakes');
});

test('leaf and rib are set by a slider, at the bench and in a formula', async ({ page, cook }) => {
  await ready(page, cook, TABLET);
  const kitchen = await kitchenOf(page);
  await page.evaluate((fields) => localStorage.setItem('tempesal.bench', JSON.stringify(fields)), {
    method: 'kimchi_dry_salted',
    vegetableId: kitchen.ingredients.find(({ key }) => key === 'napa-cabbage')?.id,
    vegetableAmount: '900 g',
    shape: 'leaves',
    strengthBasis: 'of_vegetable',
  });
  await page.goto('/bench');
  // Leaf and rib are told apart by themselves; the cook can say otherwise, and say it again.
  await expect(page.getByRole('slider', { name: /Share of/ })).toBeVisible();
  await page.getByText('cut and whole', { exact: true }).click();
  await page.getByText('leaf and rib', { exact: true }).click();
  const share = page.getByRole('slider', { name: /Share of/ });
  await expect(share).toHaveAttribute('aria-valuenow', '55');
  const before = (await benchAnswer(page)).serving.sodium.typical;
  for (let i = 0; i < 6; i++) {
    await share.press('ArrowRight');
  }
  await expect(share).toHaveAttribute('aria-valuenow', '85');
  await expect.poll(async () => (await benchAnswer(page)).serving.sodium.typical).not.toBeCloseTo(before, 0);
  await expect(page.getByRole('list', { name: 'Kinds of pieces' }).getByRole('img')).toHaveCount(2);

  await page.goto('/formulas/new');
  await page.waitForLoadState('networkidle');
  await page.getByText('cut and whole', { exact: true }).first().click();
  const whole = page.getByRole('slider', { name: /Share of/ }).first();
  await whole.press('ArrowLeft');
  await expect(whole).toHaveAttribute('aria-valuenow', '50');
  await expect(page.getByRole('list', { name: 'Kinds of pieces' })).toBeVisible();
});
