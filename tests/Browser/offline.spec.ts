import type { Page } from '@playwright/test';
import type { components } from '../../web/src/api/contract.gen';
import { expect, kitchenOf, signIn, startCarrots, test } from './kitchen';
import { inEveryLook } from './opened';

/*
 * Forms without a network: put away, kept on the device, sent once when the network is back, each at the moment at which
 * it was filled in.
 */

type Schemas = components['schemas'];

/** The network of a page: away until it is said to be back. */
async function withoutNetwork(page: Page): Promise<() => void> {
  let isAway = true;
  await page.route('**/api/**', (route) => (isAway ? route.abort('internetdisconnected') : route.continue()));
  return () => {
    isAway = false;
  };
}

const answer = async <Body>(page: Page, path: string): Promise<Body> =>
  (await (await page.request.get(`/api${path}`)).json()) as Body;

test('what is written in forms waits, and is sent once with its moment', async ({ page, cook }) => {
  await signIn(page, cook);
  const jar = await startCarrots(page, { name: 'Sticks', daysAgo: 3 });
  await page.goto(`/shelf/${jar.id}/log`);
  await page.waitForLoadState('networkidle');
  const back = await withoutNetwork(page);
  const before = Date.now();
  await page.getByLabel('Anything else').fill('fizzes');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/network is away/).first()).toBeVisible();
  await expect(page.getByLabel('Anything else')).toHaveValue('');
  await page.getByLabel('Anything else').fill('smells of dill');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: '2 waiting' })).toBeVisible();
  const after = Date.now();
  await page.waitForTimeout(2500);
  back();
  await expect(page.getByText('2 changes sent')).toBeVisible({ timeout: 15_000 });
  await expect(page.getByText('smells of dill')).toBeVisible();
  const { notes } = await answer<Schemas['Log']>(page, `/batches/${jar.id}/log`);
  expect(notes.map(({ text }) => JSON.stringify(text)).filter((text) => /fizzes|dill/.test(text))).toHaveLength(2);
  for (const { at } of notes) {
    expect(Date.parse(at)).toBeGreaterThan(before - 2500);
    expect(Date.parse(at)).toBeLessThan(after + 1500);
  }
});

test('other food and a new jar wait, and what is refused is shown with its way out', async ({ page, cook }) => {
  await signIn(page, cook, '/today');
  const kitchen = await kitchenOf(page);
  const ada = page.getByRole('region', { name: 'Ada' });
  await expect(ada.getByTestId('margin')).toBeVisible();
  await page.waitForLoadState('networkidle');
  const back = await withoutNetwork(page);
  await ada.getByRole('button', { name: 'Add other food for Ada' }).click();
  const drawer = page.getByRole('dialog');
  await drawer.getByLabel('What').fill('Soup');
  await drawer.getByText('g salt', { exact: true }).click();
  // More than a plate can hold: the server will not take it.
  await drawer.getByRole('spinbutton', { name: 'Salt' }).fill('900');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer).toBeHidden();
  await ada.getByRole('button', { name: 'Add other food for Ada' }).click();
  await drawer.getByLabel('What').fill('Bread');
  await drawer.getByText('g salt', { exact: true }).click();
  await drawer.getByRole('spinbutton', { name: 'Salt' }).fill('1');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: '2 waiting' })).toBeVisible();
  back();
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible({ timeout: 15_000 });
  await page.getByRole('button', { name: '1 waiting' }).click();
  const waiting = page.getByRole('dialog', { name: 'Waiting to be sent' });
  await expect(waiting).toContainText('Something else that was eaten');
  await expect(waiting).toContainText('from 0 to 50');
  await expect(waiting.getByRole('link', { name: 'Open the page' })).toHaveAttribute('href', '/today');
  expect(await inEveryLook(page)).toEqual([]);
  await waiting.getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByRole('button', { name: /waiting/ })).toBeHidden();
  const today = new Date().toISOString().slice(0, 10);
  const day = JSON.stringify(await answer(page, `/days/${today}`));
  expect(day).toContain('Bread');
  expect(day).not.toContain('Soup');
  expect(kitchen.people).toHaveLength(2);
});

test('a jar that is begun without a network is begun once, when it was begun', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  await expect(page.getByTestId('serving-sodium')).toBeVisible();
  await page.waitForLoadState('networkidle');
  const back = await withoutNetwork(page);
  const began = Date.now();
  await page.getByRole('button', { name: /^(Start the jar|Start)$/ }).click();
  await expect(page.getByText(/network is away/).first()).toBeVisible();
  await expect(page).toHaveURL(/\/shelf$/);
  await page.waitForTimeout(2500);
  back();
  await expect(page.getByText('1 change sent')).toBeVisible({ timeout: 15_000 });
  const { batches } = await answer<{ batches: Schemas['ShelfBatch'][] }>(page, '/batches');
  expect(batches).toHaveLength(1);
  const jar = await answer<Schemas['Batch']>(page, `/batches/${batches[0]?.id ?? ''}`);
  const first = jar.entries.map(({ happenedAt }) => Date.parse(happenedAt)).toSorted((a, b) => a - b)[0] ?? 0;
  expect(Math.abs(first - began)).toBeLessThan(2500);
});

test('a device whose clock was put right since is asked when it was', async ({ page, cook }) => {
  await signIn(page, cook);
  const jar = await startCarrots(page, { name: 'Sticks', daysAgo: 3 });
  await page.goto(`/shelf/${jar.id}/log`);
  await page.waitForLoadState('networkidle');
  const back = await withoutNetwork(page);
  await page.getByLabel('Anything else').fill('fizzes');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();
  // From now on the device's clock is twenty minutes behind.
  await page.evaluate(() => {
    const now = Date.now.bind(Date);
    Date.now = () => now() - 20 * 60_000;
  });
  back();
  await page.getByRole('button', { name: '1 waiting' }).click();
  const waiting = page.getByRole('dialog', { name: 'Waiting to be sent' });
  await expect(waiting.getByRole('alert')).toContainText('The clock of this device was changed', { timeout: 15_000 });
  await expect(waiting.getByRole('button', { name: /^At / })).toHaveCount(2);
  expect(await inEveryLook(page)).toEqual([]);
  await waiting.getByRole('button', { name: /^At / }).first().click();
  await expect(page.getByText('1 change sent')).toBeVisible({ timeout: 15_000 });
  const { notes } = await answer<Schemas['Log']>(page, `/batches/${jar.id}/log`);
  expect(notes).toHaveLength(1);
  expect(Math.abs(Date.parse(notes[0]?.at ?? '') - Date.now())).toBeLessThan(60_000);
});

test('who signs out is asked before what waits is lost', async ({ page, cook }) => {
  await signIn(page, cook);
  const jar = await startCarrots(page, { name: 'Sticks', daysAgo: 3 });
  await page.goto(`/shelf/${jar.id}/log`);
  await page.waitForLoadState('networkidle');
  await withoutNetwork(page);
  await page.getByLabel('Anything else').fill('fizzes');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();
  await page.getByRole('link', { name: /^Account/ }).click();
  const signOut = page.getByRole('button', { name: 'Sign out', exact: true });
  await signOut.click();
  const question = page.getByRole('dialog', { name: /1 change has not been sent yet/ });
  await expect(question).toBeVisible();
  expect(await inEveryLook(page)).toEqual([]);
  await question.getByRole('button', { name: 'Cancel' }).click();
  await expect(question).toBeHidden();
  await expect(signOut).toBeFocused();
  await expect(page.getByRole('button', { name: '1 waiting' })).toBeVisible();
  await signOut.click();
  await question.getByRole('button', { name: 'Discard and sign out' }).click();
  await expect(page.getByRole('button', { name: /waiting/ })).toHaveCount(0);
});
