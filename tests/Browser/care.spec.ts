import ICAL from 'ical.js';
import { ulid } from 'ulid';
import { expect, kitchenOf, number, signIn, startCarrots, test, write } from './kitchen';

/** Noon of a day, by which the words on the screen are told apart. */
const shown = (date: string) =>
  new Date(`${date}T12:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });

test('today’s chores are done in a tap, all at once, undone, or put off', async ({ page, cook }) => {
  await signIn(page, cook);
  await startCarrots(page, { name: 'One', daysAgo: 2, jar: 'Quart jar' });
  await startCarrots(page, { name: 'Two', daysAgo: 2, jar: 'Quart jar' });
  await page.goto('/today');
  const chores = page.getByRole('region', { name: 'Chores' });
  await expect(chores).toContainText('2 to do');
  await chores.getByRole('button', { name: /^Burp: Open the lid .*\(One\)$/ }).click();
  await expect(chores).toContainText('1 to do');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chores).toContainText('2 to do');
  await expect(page.getByRole('link', { name: '2 chores' })).toBeVisible();

  await chores.getByRole('button', { name: 'More about Two' }).click();
  await chores.getByRole('button', { name: /^Later: .*\(Two\)$/ }).click();
  await page.getByRole('menuitem', { name: 'In three days' }).click();
  await expect(chores).toContainText('1 to do');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chores).toContainText('2 to do');
  await page.keyboard.press('d');
  await expect(chores).toContainText('nothing to do now');
});

test('what falls due while one looks elsewhere is called out', async ({ page, cook }) => {
  await page.clock.install();
  await signIn(page, cook);
  const kitchen = await kitchenOf(page);
  await write(page, 'put', '/household', {
    version: kitchen.version,
    quietFrom: '00:00',
    quietTo: '00:00',
  });
  await page.goto('/formulas');
  await expect(page.getByRole('link', { name: 'No chores now' })).toBeVisible();
  await startCarrots(page, { name: 'Sudden sticks', daysAgo: 1, jar: 'Quart jar' });
  const call = page.locator('[aria-live]').filter({ hasText: 'Sudden sticks' });
  await page.clock.runFor(61_000);
  await expect(call).toContainText('Open the lid');
  await call.getByRole('button', { name: 'Show today’s chores' }).click();
  await expect(page).toHaveURL(/today#chores$/);
  await expect(page.getByRole('region', { name: 'Chores' })).toBeInViewport();
});

test('a jar goes into the fridge in a tap, and comes out with a reading of its acid', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await startCarrots(page, { name: 'Old sticks', daysAgo: 30 });
  await page.goto('/today');
  await page.getByRole('button', { name: /^To the fridge: .*\(Old sticks\)$/ }).click();
  await expect(page.getByText('Old sticks is now in the fridge.')).toBeVisible();

  await page.goto(`/shelf/${batch.id}`);
  await page.getByRole('button', { name: 'Move it' }).click();
  await page.getByRole('menuitem', { name: 'in the cool place' }).click();
  await expect(page.getByText(/There is no pH reading since something was last added/)).toBeVisible();
  await page.getByRole('button', { name: 'Bottle, give away' }).click();
  await expect(page.getByRole('region', { name: 'Bottle it' })).toContainText('Measure it first');
  await page.getByRole('region', { name: 'Bottle it' }).getByRole('link', { name: 'Measure its pH' }).click();

  await page.getByRole('button', { name: 'Instruments' }).click();
  await page.getByRole('tab', { name: 'pH meter' }).click();
  const meter = page.getByRole('group', { name: 'pH meter' });
  await meter.getByLabel('pH meter: pH of the sample').fill('3.7');
  await page.getByLabel('pH', { exact: true }).focus();
  await meter.getByRole('button', { name: 'Read the pH meter' }).click();
  await expect(page.getByText('The pH meter is not calibrated.').first()).toBeVisible();
  await meter.getByRole('button', { name: 'Buffer 6.86' }).click();
  await meter.getByRole('button', { name: 'Buffer 4.01' }).click();
  await expect(meter.getByTestId('pH calibration')).toContainText('slope 93 %');
  await meter.getByRole('button', { name: 'Read the pH meter' }).click();
  await expect(page.getByLabel('pH', { exact: true })).toHaveValue(/^3\.(69|7)/);
  await page.getByRole('button', { name: 'Instruments' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('region', { name: 'So far' })).toContainText('pH 3.');

  await page.getByRole('link', { name: 'Back to the jar' }).click();
  await page.getByRole('button', { name: 'Bottle, give away' }).click();
  const store = page.getByRole('region', { name: 'Store it out of the fridge' });
  await expect(store).toContainText('still not recommended');
  await store.getByRole('button', { name: 'Store it out of the fridge' }).click();
  await expect(page.getByText('is now in the cool place').first()).toBeVisible();
});

test('a warm spell moves the day on which a jar is ready, and so does a logger', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await startCarrots(page, { name: 'Sticks', daysAgo: 0 });
  const usual = batch.window?.readyOn ?? '';
  await page.goto('/kitchen#rooms');
  const jars = page.getByRole('list', { name: 'Jars there, Counter' });
  await expect(jars).toContainText(`ready ${shown(usual)}`);
  const counter = page.getByRole('region', { name: 'Counter' });
  await counter.getByRole('button', { name: 'Expect another temperature' }).click();
  await page.getByRole('dialog').getByLabel('About').fill('31 °C');
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(counter).toContainText('88 °F expected');
  await expect(jars).not.toContainText(`ready ${shown(usual)}`);
  const { window } = (await (await page.request.get(`/api/batches/${batch.id}`)).json()) as typeof batch;
  expect((window?.readyOn ?? '') < usual).toBe(true);
  await expect(jars).toContainText(`ready ${shown(window?.readyOn ?? '')}`);
  await counter.getByRole('button', { name: /^Delete: 88 °F expected/ }).click();
  await expect(jars).toContainText(`ready ${shown(usual)}`);

  await counter.getByRole('button', { name: 'Import a log' }).click();
  const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  await page
    .getByRole('dialog')
    .getByLabel('One reading per line: time, degrees')
    .fill(`time,celsius\n${yesterday} 08:30,19\nnonsense\n${yesterday} 20:30,22.5`);
  await page.getByRole('dialog').getByRole('button', { name: 'Preview' }).click();
  await expect(page.getByTestId('look')).toContainText('2 readings');
  await expect(page.getByTestId('look')).toContainText('line 3');
  await page.getByRole('dialog').getByRole('button', { name: 'Save 2 readings' }).click();
  await expect(counter).toContainText('2 readings');
  await page.getByRole('button', { name: 'Instruments' }).click();
  await page.getByRole('tab', { name: 'room logger' }).click();
  await page.getByRole('button', { name: 'Get its readings' }).click();
  await expect(counter).toContainText('122 readings');
});

test('looking into a jar: kahm is skimmed, fuzz goes out, and both are written down', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await startCarrots(page, { name: 'Sticks', daysAgo: 6, jar: 'Quart jar' });
  await page.goto(`/shelf/${batch.id}/check`);
  const find = async (...signs: string[]) => {
    for (const sign of signs) {
      await page.getByLabel(sign, { exact: true }).check();
    }
  };
  await find('A flat white film, smooth or wrinkled', 'Everything is under the brine', 'Cloudy');
  await expect(page.getByTestId('verdict')).toHaveText('5 more things to check');
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  // What was found is kept when the page is left.
  await page.reload();
  await find('As it was, or a little duller', 'Flat and quiet', 'Some, when I tap it');
  await find('Sour, fresh, garlicky', 'Crisp or firm');
  await expect(page.getByTestId('verdict')).toHaveText('Good, with something to do');
  await expect(page.getByText('Skim it off', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('region', { name: 'So far' })).toContainText('kahm');

  await page.getByRole('link', { name: 'Check the jar' }).click();
  await find('White fuzz, raised and hairy');
  await expect(page.getByTestId('verdict')).toHaveText('Do not eat it');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('region', { name: 'So far' })).toContainText('Do not eat it');
  await page.goto('/today');
  const chores = page.getByRole('region', { name: 'Chores' });
  await expect(chores).toContainText('Throw it out');
  await chores.getByRole('button', { name: /^Throw it out/ }).click();
  await expect(chores).toContainText('nothing to do now');
});

test('the colour of red food is told from growth by one question; the strict verdict stands until then', async ({
  page,
  cook,
}) => {
  await signIn(page, cook);
  const kitchen = await kitchenOf(page);
  const of = (key: string) => kitchen.ingredients.find((one) => one.key === key)?.id;
  const begin = async (food: string) =>
    (await write(page, 'post', '/batches', {
      method: 'dry_salting',
      vegetableId: of(food),
      vegetableAmount: '700 g',
      shape: 'shreds',
      saltId: kitchen.salts[0]?.id,
      saltUnit: 'grams',
      fixed: 'strength',
      strengthPercent: '2.2',
      strengthBasis: 'of_vegetable',
      name: food,
      place: 'counter',
      startedOn: new Date(Date.now() - 6 * 86_400_000).toISOString().slice(0, 10),
      requestKey: ulid(),
    })) as { id: string };
  const verdict = page.getByTestId('verdict');
  const green = await begin('green-cabbage');
  await page.goto(`/shelf/${green.id}/check`);
  await page.getByLabel('Pink or orange spots or film', { exact: true }).check();
  await expect(verdict).toHaveText('Do not eat it');
  await expect(page.getByText('Is it the colour of the red food?')).toBeHidden();

  const red = await begin('red-cabbage');
  await page.goto(`/shelf/${red.id}/check`);
  await page.getByLabel('Pink or orange spots or film', { exact: true }).check();
  await expect(verdict).toHaveText('Do not eat it');
  await page.getByLabel('It lies on top, as spots, film or slime', { exact: true }).check();
  await expect(verdict).toHaveText('Do not eat it');
  await page.getByLabel('Pink or red, evenly, in the food or the brine itself', { exact: true }).check();
  await expect(verdict).toHaveText(/more things to check/);
  await page.getByLabel('White fuzz, raised and hairy', { exact: true }).check();
  await expect(verdict).toHaveText('Do not eat it');
});

test('film and mould are practised on drawn jars, with a score', async ({ page, cook }) => {
  await signIn(page, cook, '/practice');
  for (const round of [1, 2, 3]) {
    await page.getByRole('button', { name: 'Throw all of it out' }).click();
    await expect(page.getByTestId('said')).toBeVisible();
    const isRight = (await page.getByTestId('said').textContent()) === 'Right.';
    await expect(page.getByTestId('score')).toContainText(`of your last ${String(round)}.`);
    // Out is right for what is mould, and for nothing else.
    const picture = await page.getByRole('img', { name: /: / }).first().getAttribute('aria-label');
    expect(isRight, picture ?? '').toBe(/fuzz|Pink|Black/.test(picture ?? ''));
    await page.getByRole('button', { name: 'Next jar' }).click();
    await expect(page.getByTestId('said')).toBeHidden();
  }
});

test('a log with marks and a photo, and its like beside it', async ({ page, cook }) => {
  await signIn(page, cook);
  const earlier = await startCarrots(page, { name: 'The one before', daysAgo: 20 });
  for (const [days, liked] of [
    [12, 5],
    [4, 2],
  ]) {
    await write(page, 'post', `/batches/${earlier.id}/notes`, {
      marks: { liked },
      at: new Date(Date.now() - (days ?? 0) * 86_400_000).toISOString(),
      requestKey: ulid(),
    });
  }
  const batch = await startCarrots(page, { name: 'Sticks', daysAgo: 8 });
  await page.goto(`/shelf/${batch.id}/log`);
  await expect(page.getByText('Score “liked” in 1 more tasting')).toBeVisible();
  await page.getByRole('button', { name: 'crunch 5 of 5' }).click();
  await page.getByRole('button', { name: 'liked 4 of 5' }).click();
  await page.getByRole('button', { name: 'sour', exact: true }).click();
  await page.getByLabel('pH', { exact: true }).fill('1');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Enter a pH from 2 to 9.')).toBeVisible();
  // A refusal loses nothing, nor does leaving the page.
  await page.reload();
  await expect(page.getByRole('button', { name: 'liked 4 of 5' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByLabel('pH', { exact: true }).fill('3.9');
  await page.getByLabel('Photo of the jar').setInputFiles({
    name: 'jar.png',
    mimeType: 'image/png',
    buffer: await page.screenshot(),
  });
  await page.getByRole('button', { name: 'Save' }).click();
  const sofar = page.getByRole('region', { name: 'So far' });
  await expect(sofar).toContainText('crunch 5, liked 4, smells sour, pH 3.9');
  const photo = sofar.getByRole('img', { name: 'The jar on day 8' });
  await expect(photo).toBeVisible();
  expect(await photo.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(100);

  const log = (await (await page.request.get(`/api/batches/${batch.id}/log`)).json()) as {
    ownDays: number;
  };
  const alike = page.getByRole('region', { name: 'Compared with similar batches' });
  await expect(alike).toContainText(`liked this kind best at about ${log.ownDays.toFixed(0)} days`);
  await expect(alike.getByRole('row')).toHaveCount(3);
  await expect(alike.getByRole('row', { name: /The one before/ })).toContainText('68 °F');
});

test('a calendar follows the chores under a secret address until it is revoked', async ({
  page,
  cook,
  playwright,
  baseURL,
}) => {
  await signIn(page, cook);
  await startCarrots(page, { name: 'Sticks', daysAgo: 1, jar: 'Quart jar' });
  await page.goto('/kitchen#house');
  await page.getByRole('button', { name: 'Create an address' }).click();
  const address = await page.getByLabel('Secret address').inputValue();
  const stranger = await playwright.request.newContext({ baseURL: baseURL ?? '' });
  const feed = await stranger.get(new URL(address).pathname);
  expect(feed.ok()).toBe(true);
  expect(feed.headers()['content-type']).toContain('text/calendar');

  // Read by another library than the one it was written with.
  const calendar = new ICAL.Component(ICAL.parse(await feed.text()));
  expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  const burp = events.find(({ summary }) => summary.includes('Open the lid'));
  expect(burp?.startDate.isDate).toBe(true);
  const days = burp?.iterator();
  const today = new Date().toISOString().slice(0, 10);
  expect(days?.next().toString()).toBe(today);
  for (const event of events) {
    expect(event.uid).toMatch(/@tempesal$/);
    expect(number(event.component.getFirstPropertyValue('dtstamp')?.toString() ?? '')).toBeGreaterThan(2000);
  }

  await page.getByRole('button', { name: 'Revoke' }).click();
  await expect(page.getByRole('button', { name: 'Create an address' })).toBeVisible();
  expect((await stranger.get(new URL(address).pathname)).status()).toBe(404);
  await stranger.dispose();
});
