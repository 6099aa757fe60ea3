import type { Locator, Page } from '@playwright/test';
import { choose, expect, number, signIn, startCarrots, test, write } from './kitchen';

/** Today's name in the kitchen of the test, whose clock is UTC. */
const today = new Date().toLocaleDateString('en-GB', { weekday: 'long', timeZone: 'UTC' });

const place = (page: Page, who: string) => page.getByRole('gridcell', { name: new RegExp(`^${who}, ${today}`) });
const jar = (page: Page, name: string) =>
  page.getByRole('region', { name: 'Jars' }).getByRole('button', { name: new RegExp(`^${name}`) });
const left = async (page: Page, who: string) => number(await place(page, who).locator('.place-says').textContent());

test.beforeEach(async ({ page, cook }) => {
  await signIn(page, cook, '/kitchen');
  await startCarrots(page, { name: 'Old sticks', daysAgo: 20, jar: 'Quart jar' });
  await startCarrots(page, { name: 'Young sticks', daysAgo: 14, jar: 'Quart jar' });
  await page.goto('/week');
  await expect(jar(page, 'Old sticks')).toBeVisible();
});

test('one key plans the week, another takes it back', async ({ page }) => {
  const before = await left(page, 'Ada');
  await page.keyboard.press('p');
  await expect(page.getByText('The week is planned.')).toBeVisible();
  const meant = place(page, 'Ada').locator('.serving-card');
  await expect(meant.first()).toBeVisible();
  expect(await left(page, 'Ada')).toBeLessThan(before);
  await page.keyboard.press('u');
  await expect(meant).toHaveCount(0);
  await page.keyboard.press('y');
  await expect(meant.first()).toBeVisible();
  await page.reload();
  await expect(meant.first()).toBeVisible();
  await more(page, 'Clear');
  await expect(meant).toHaveCount(0);
});

/** From one thing to another with the mouse, by way of places between. */
async function drag(page: Page, from: Locator, to: Locator): Promise<void> {
  await from.scrollIntoViewIfNeeded();
  await from.hover();
  await page.mouse.down();
  const box = await to.boundingBox();
  await page.mouse.move((box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2, { steps: 12 });
  await page.mouse.up();
}

/** Something of the menu at the end of the row. */
async function more(page: Page, what: string): Promise<void> {
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: what }).click();
}

test('a jar is picked up and put down by keys, and it is said where it is', async ({ page }) => {
  await jar(page, 'Old sticks').focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'Old sticks is selected' }).first()).toBeAttached();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('status').filter({ hasText: `Over Ada, ${today}` })).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('status').filter({ hasText: `Over Bo, ${today}` })).toBeAttached();
  await page.keyboard.press('Space');
  await expect(place(page, 'Bo').locator('.serving-card')).toContainText('Old sticks');
  // What stands on a day is moved in the same way, and someone else takes what they usually do.
  await drag(page, place(page, 'Bo').locator('.serving-card'), place(page, 'Ada'));
  await expect(place(page, 'Ada').locator('.serving-card')).toContainText('Old sticks');
  await expect(place(page, 'Bo').locator('.serving-card')).toHaveCount(0);
});

test('on a tablet all seven days are seen at once, and a finger drags', async ({ browser, page }) => {
  const tablet = await browser.newContext({
    viewport: { width: 820, height: 1100 },
    hasTouch: true,
    storageState: await page.context().storageState(),
  });
  const touched = await tablet.newPage();
  await touched.goto(page.url());
  await expect(touched.getByRole('columnheader')).toHaveCount(7);
  expect(await touched.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(820);
  const client = await tablet.newCDPSession(touched);
  const middle = async (what: Locator) => {
    const box = await what.boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  const [from, to] = [await middle(jar(touched, 'Old sticks')), await middle(place(touched, 'Bo'))];
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints: points });
  await touch('touchStart', [from]);
  await touched.waitForTimeout(400);
  for (let i = 1; i <= 8; i++) {
    await touch('touchMove', [{ x: from.x + ((to.x - from.x) * i) / 8, y: from.y + ((to.y - from.y) * i) / 8 }]);
  }
  await touch('touchEnd', []);
  await expect(place(touched, 'Bo').locator('.serving-card')).toContainText('Old sticks');
  await tablet.close();
});

test('a jar is dragged onto a day, and its salt line and stock answer', async ({ page }) => {
  const stock = await jar(page, 'Old sticks').locator('.at-hand-says').textContent();
  const before = await left(page, 'Bo');
  await drag(page, jar(page, 'Old sticks'), place(page, 'Bo'));
  await expect(place(page, 'Bo').locator('.serving-card')).toContainText('Old sticks');
  const milligrams = number(await place(page, 'Bo').locator('.serving-card b').textContent());
  expect(Math.abs(before - (await left(page, 'Bo')) - milligrams)).toBeLessThanOrEqual(10);
  await expect(jar(page, 'Old sticks').locator('.at-hand-says')).not.toHaveText(stock ?? '');
});

test('everything is done with keys alone: taken in hand, put down, locked, left out', async ({ page }) => {
  await jar(page, 'Young sticks').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Young sticks is selected')).toBeVisible();
  await place(page, 'Ada').focus();
  await page.keyboard.press('ArrowDown');
  await expect(place(page, 'Bo')).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  const meant = place(page, 'Ada').locator('.serving-card');
  await expect(meant).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(page.getByText('Drag a jar onto a day')).toBeVisible();
  await meant.focus();
  await page.keyboard.press('l');
  await expect(place(page, 'Ada').locator('.serving-card.is-locked')).toHaveCount(1);
  await more(page, 'Clear');
  await expect(place(page, 'Ada').locator('.serving-card.is-locked')).toHaveCount(1);
  await place(page, 'Ada').locator('.serving-card').focus();
  await page.keyboard.press('Delete');
  await expect(meant).toHaveCount(0);
});

test('on a phone a jar is tapped, then a day, then how it is served', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await jar(page, 'Old sticks').click();
  await place(page, 'Ada').click();
  const meant = place(page, 'Ada').locator('.serving-card');
  await expect(meant).toHaveCount(1);
  const drained = number(await meant.locator('b').textContent());
  await meant.click();
  await page.getByText('rinsed 30 s').click();
  await expect(meant).toContainText('rinsed');
  expect(number(await meant.locator('b').textContent())).toBeLessThan(drained);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('what does not fit is said in words, and a lever does away with it', async ({ page }) => {
  const kitchen = (await (await page.request.get('/api/kitchen')).json()) as {
    people: { id: string; targetMg: number }[];
  };
  const [ada] = kitchen.people;
  await write(page, 'put', `/people/${ada?.id ?? ''}`, {
    ...ada,
    targetSource: undefined,
    targetMg: 1290,
    limitIsHard: false,
  });
  await page.reload();
  await drag(page, jar(page, 'Old sticks'), place(page, 'Ada'));
  const conflicts = page.getByRole('region', { name: 'Conflicts' });
  await expect(conflicts).toContainText(`Ada on ${today}`);
  await expect(place(page, 'Ada').locator('.place-says .over')).toBeVisible();
  const lever = conflicts.getByRole('listitem').filter({ hasText: 'over the target' }).getByRole('button').first();
  await expect(lever).toContainText('−');
  await lever.click();
  await expect(conflicts.getByText('over the target')).toHaveCount(0);
});

test('what is planned is eaten in one tap on Today, and taken back', async ({ page }) => {
  await drag(page, jar(page, 'Old sticks'), place(page, 'Ada'));
  await expect(place(page, 'Ada').locator('.serving-card')).toHaveCount(1);
  await page.goto('/today');
  const ada = page.getByRole('region', { name: 'Ada' });
  await ada.getByRole('button', { name: 'Eaten: Old sticks, Ada' }).click();
  await expect(ada.getByRole('button', { name: 'Undo Old sticks for Ada' })).toBeVisible();
  await expect(ada.getByRole('list', { name: 'Planned for Ada' })).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(ada.getByRole('button', { name: 'Eaten: Old sticks, Ada' })).toBeVisible();
});

test('the week goes onto the fridge door, without what is only for the screen', async ({ page }) => {
  await page.keyboard.press('p');
  await expect(place(page, 'Ada').locator('.serving-card').first()).toBeVisible();
  await more(page, 'Print');
  await expect(page.getByRole('table')).toContainText('sticks, 40 g');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Main pages' })).toBeHidden();
  await expect(page.getByRole('table')).toBeVisible();
});

test('what comes round never runs out: suggested, planned, called for, started', async ({ page }) => {
  await page.getByRole('button', { name: 'Weekly rotation' }).click();
  await page.getByRole('button', { name: 'Add a line' }).click();
  await page.getByLabel('Name of line 1').fill('Kraut');
  await choose(page, 'Formula', 'Plain kraut');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await page.keyboard.press('a');
  await expect(page).toHaveURL(/shelf\/ahead$/);
  await expect(page.getByTestId('gap-days')).toContainText(/No .* for \d+ days? from /);
  await expect(page.getByRole('region', { name: 'How long it lasts' })).toContainText('Started today it is ready');
  const toStart = page.getByRole('region', { name: 'What to start' });
  await toStart
    .getByRole('button', { name: /^Plan it: Kraut,/ })
    .first()
    .click();
  await expect(toStart.getByRole('listitem').filter({ hasText: 'planned' })).toHaveCount(1);
  await expect(page.getByRole('region', { name: 'To buy' })).toContainText('green cabbage');
  await page.getByLabel('Degrees warmer').fill('8');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('status')).toContainText('instead of');

  await page.goto('/today');
  const chores = page.getByRole('region', { name: 'Chores' });
  await expect(chores).toContainText('Start Plain kraut');
  await chores.getByRole('link', { name: 'Open the formula' }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page).toHaveURL(/shelf\/[0-9A-Za-z]{26}$/);
  await page.goto('/today');
  await expect(page.getByText('Start Plain kraut')).toHaveCount(0);
});

test('what was eaten instead of the plan takes its place, and what was planned from the same jar is done', async ({
  page,
}) => {
  await startCarrots(page, { name: 'Older sticks', daysAgo: 19 });
  const today = new Date().toISOString().slice(0, 10);
  const { batches } = (await (await page.request.get('/api/batches')).json()) as {
    batches: { id: string; name: string }[];
  };
  const { people } = (await (await page.request.get('/api/kitchen')).json()) as {
    people: { id: string; name: string }[];
  };
  const id = (name: string) => batches.find((one) => one.name === name)?.id;
  const ada = people.find(({ name }) => name === 'Ada')?.id;
  const plan = () =>
    write(page, 'post', '/weeks/today/changes', {
      put: [{ personId: ada, batchId: id('Old sticks'), date: today }],
      remove: [],
      requestKey: `01K${String(Date.now())}0000000000`.slice(0, 26),
    });
  await plan();
  await page.goto('/today');
  const region = page.getByRole('region', { name: 'Ada' });
  await expect(region.getByRole('list', { name: 'Planned for Ada' })).toContainText('Old sticks');
  await region.getByRole('button', { name: 'Ada eats…' }).click();
  await region.getByRole('button', { name: /^Older sticks/ }).click();
  await page.getByRole('button', { name: 'It was eaten instead of Old sticks' }).click();
  await expect(region.getByRole('list', { name: 'Planned for Ada' })).toHaveCount(0);

  await plan();
  await page.reload();
  await expect(region.getByRole('list', { name: 'Planned for Ada' })).toContainText('Old sticks');
  await region.getByRole('button', { name: 'Ada eats…' }).click();
  await region.getByRole('button', { name: /^Old sticks/ }).click();
  await expect(region.getByRole('list', { name: 'Planned for Ada' })).toHaveCount(0);
});
