import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { barriers, csrf, expect, signIn, signInByHand, test } from './kitchen';

/** Somebody else's browser. */
async function another(browser: Browser): Promise<Page> {
  return (await browser.newContext()).newPage();
}

/** No barrier at any width, in light and dark, and nothing that scrolls sideways. */
async function isOpenToAll(page: Page): Promise<void> {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    for (const width of [320, 1280]) {
      await page.setViewportSize({ width, height: 800 });
      // Pictures take the new width a moment later.
      await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
      expect(await barriers(page)).toEqual([]);
    }
  }
}

const password = 'carrots under seven stones';

test('a second cook comes in by a link, writes down and changes nothing, and is taken out again', async ({
  page,
  cook,
  browser,
}, info) => {
  await signIn(page, cook, '/kitchen#sharing');
  await page.getByLabel('For whom?').fill('Mina');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByLabel('Link for Mina', { exact: true }).inputValue();
  expect(link).toMatch(/\/join\/\w{40}$/);

  const guest = await another(browser);
  await guest.goto(link);
  await expect(guest.getByRole('heading', { name: 'Come into Kitchen of the test' })).toBeVisible();
  await expect(guest.getByText('invited to eat here')).toBeVisible();
  await isOpenToAll(guest);
  await guest.getByLabel('E-mail').fill(`mina-${info.testId}-${String(Date.now())}@example.org`);
  await guest.getByLabel('Password').fill('password1234');
  await guest.getByRole('button', { name: 'Create an account and come in' }).click();
  await expect(guest.getByText('Many people use this password.')).toBeVisible();
  await expect(guest.getByLabel('Password')).toBeFocused();
  await guest.getByLabel('Password').fill(password);
  await guest.getByRole('button', { name: 'Create an account and come in' }).click();
  await expect(guest.getByText('You can write down what is eaten and done in this kitchen.')).toBeVisible();
  await expect(guest.getByRole('link', { name: 'Bench', exact: true })).toBeHidden();
  // What they may not do has no button.
  await guest.goto('/kitchen#house');
  await expect(guest.getByLabel('Name of the kitchen')).toBeVisible();
  await expect(guest.getByRole('button', { name: 'Save' })).toHaveCount(0);
  await guest.goto('/shelf');
  await expect(guest.getByRole('heading', { level: 1 })).toBeAttached();
  await expect(guest.getByRole('button', { name: 'Add a bought jar' })).toHaveCount(0);

  // Used up, the link opens no second door.
  const stranger = await another(browser);
  await stranger.goto(link);
  await expect(stranger.getByText('There is nothing here with this name.')).toBeVisible();

  await page.reload();
  const mina = page.getByRole('listitem').filter({ hasText: 'Mina' });
  await mina.getByRole('button', { name: 'Remove' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
  await expect(mina).toHaveCount(0);
  await guest.goto('/today');
  await expect(guest.getByLabel('Password')).toBeVisible();
});

test('a password is changed, and forgotten, and chosen again by the mail', async ({ page, cook, browser }) => {
  await signInByHand(page, cook);
  await page.getByRole('link', { name: /^Account/ }).click();
  await page.getByLabel('Your password').fill(cook.password);
  await page.getByLabel('New password').fill(password);
  await page.getByRole('button', { name: 'Change the password' }).click();
  await expect(page.getByText('The password is changed.')).toBeVisible();

  const elsewhere = await another(browser);
  await elsewhere.goto('/');
  await elsewhere.getByRole('button', { name: 'Forgot your password?' }).click();
  await elsewhere.getByLabel('E-mail').fill(cook.email);
  await elsewhere.getByRole('button', { name: 'Send the link' }).click();
  await expect(elsewhere.getByText('the link is on its way')).toBeVisible();
  const outbox = process.env.TEMPESAL_OUTBOX ?? '';
  const mail = async () =>
    readdirSync(outbox)
      .map((file) => readFileSync(join(outbox, file), 'utf8').replaceAll('=\r\n', '').replaceAll('=3D', '='))
      .find((text) => text.includes(cook.email));
  await expect.poll(mail).toBeTruthy();
  const path = /\/new-password\/\S+/.exec((await mail()) ?? '')?.[0] ?? '';
  await elsewhere.goto(path);
  await expect(elsewhere.getByRole('heading', { name: 'Choose a new password' })).toBeVisible();
  await isOpenToAll(elsewhere);
  await elsewhere.getByLabel('Password').fill('seven quiet stones here');
  await elsewhere.getByRole('button', { name: 'Save and sign in' }).click();
  await expect(elsewhere.getByRole('link', { name: 'Bench', exact: true })).toBeVisible();
  // The first browser is signed out by it.
  await page.goto('/today');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('a token is shown once, and a device is signed out from another', async ({ page, cook, browser }) => {
  const tablet = await another(browser);
  await signInByHand(tablet, cook);
  await signIn(page, cook, '/account');
  await page.getByLabel('What is it for?').fill('kitchen scale');
  await page.getByRole('button', { name: 'Make a token' }).click();
  const token = await page.getByLabel('Token', { exact: true }).inputValue();
  expect(token).toMatch(/^\d+\|tempesal_\w{48}$/);
  const script = await page
    .context()
    .browser()
    ?.newContext({ extraHTTPHeaders: { Authorization: `Bearer ${token}` } });
  expect((await script?.request.get('/api/days/today'))?.status()).toBe(200);
  expect((await script?.request.post('/api/calendar'))?.status()).toBe(403);
  await page.reload();
  await expect(page.getByText('kitchen scale')).toBeVisible();
  await expect(page.getByLabel('Token', { exact: true })).toBeHidden();

  await page.getByRole('button', { name: 'Sign out there' }).first().click();
  await expect(page.getByRole('button', { name: 'Sign out there' })).toHaveCount(0);
  await tablet.goto('/today');
  await expect(tablet.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('a report is read by its link without an account, and a kitchen is deleted for good', async ({
  page,
  cook,
  browser,
}) => {
  await signIn(page, cook, '/kitchen#sharing');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  const link = await page.getByLabel('Link to the report of Ada', { exact: true }).inputValue();
  const clinician = await another(browser);
  await clinician.goto(link);
  await expect(clinician.getByRole('heading', { name: /Ada/ })).toBeVisible();
  await expect(clinician.getByText('This link is valid until')).toBeVisible();
  await isOpenToAll(clinician);

  await page.goto('/account');
  await page.getByRole('button', { name: 'Delete the kitchen' }).click();
  const question = page.getByRole('dialog');
  await question.getByLabel(/To confirm/).fill('Kitchen');
  await question.getByLabel('Your password').fill(cook.password);
  await question.getByRole('button', { name: 'Delete for good' }).click();
  await expect(question.getByText('Enter the name of the kitchen as it is written here.')).toBeVisible();
  await question.getByLabel(/To confirm/).fill('kitchen of the test');
  await question.getByRole('button', { name: 'Delete for good' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  const again = await page.request.post('/api/session', { headers: await csrf(page), data: { ...cook } });
  expect(again.status()).toBe(422);
  await clinician.reload();
  await expect(clinician.getByText('There is nothing here with this name.')).toBeVisible();
});
