import { benchAnswer, choose, expect, signIn, test } from './kitchen';

// Nothing moves here: what is waited for comes sooner.

test('a weight on the scale is read into the field one is in', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  await page.getByRole('button', { name: 'Instruments' }).click();
  const panel = page.getByRole('region', { name: 'Instruments' });
  await panel.getByLabel('scale: on the pan').fill('250');
  await panel.getByRole('button', { name: 'Set to zero' }).waitFor();
  await expect(panel.getByTestId('scale display')).toContainText(/^(249|250|251) g$/);
  await panel.getByRole('button', { name: 'Set to zero' }).click();
  await panel.getByLabel('scale: on the pan').fill('662');

  const weight = page.getByLabel('Weight of the vegetable');
  await weight.focus();
  await page.keyboard.press('F2');
  await expect(weight).toHaveValue(/^(411|412|413) g$/);
  await expect(weight).toBeFocused();
  const read = Number((await weight.inputValue()).replace(' g', ''));
  await page.waitForLoadState('networkidle');
  expect((await benchAnswer(page)).vegetableGrams).toBe(read);

  await page.getByLabel('Temperature there').focus();
  await panel.getByLabel('thermometer: at the probe').fill('17.5');
  await page.getByLabel('Temperature there').focus();
  await panel.getByRole('button', { name: 'Read the thermometer' }).click();
  await expect(page.getByLabel('Temperature there')).toHaveValue(/^17\.[456] °C$/);

  await page.getByLabel('Strength in percent').focus();
  await panel.getByLabel('salinity meter: salt in the sample').fill('3.2');
  await page.getByLabel('Strength in percent').focus();
  await page.keyboard.press('F2');
  await expect(page.getByLabel('Strength in percent')).toHaveValue(/^3\.(19|20|21)$/);
});

test('an overloaded scale and a field that takes no weight leave everything as it was', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  const weight = page.getByLabel('Weight of the vegetable');
  await weight.fill('500 g');
  await page.getByRole('button', { name: 'Instruments' }).click();
  const panel = page.getByRole('region', { name: 'Instruments' });
  await panel.getByLabel('scale: on the pan').fill('9000');
  await weight.focus();
  await page.keyboard.press('F2');
  await expect(page.getByText('The scale is overloaded')).toBeVisible();
  await expect(weight).toHaveValue('500 g');

  await page.getByLabel('Name of the jar').focus();
  await page.keyboard.press('F2');
  await expect(page.getByText('First put the cursor in a weight')).toBeVisible();
  await expect(page.getByLabel('Name of the jar')).toHaveValue('');
});

test('a brine is measured into a jar’s life', async ({ page, cook }) => {
  await signIn(page, cook, '/bench');
  await page.getByLabel('Weight of the vegetable').fill('400 g');
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page.getByRole('heading', { name: 'carrot' })).toBeVisible();
  await choose(page, 'What happened', 'brine measured');
  await page.getByRole('button', { name: 'Instruments' }).click();
  const panel = page.getByRole('region', { name: 'Instruments' });
  await panel.getByRole('tab', { name: 'salinity meter' }).click();
  await panel.getByLabel('salinity meter: salt in the sample').fill('2.2');
  await page.getByLabel('Strength', { exact: true }).focus();
  await panel.getByRole('button', { name: 'Read the salinity meter' }).click();
  await expect(page.getByLabel('Strength', { exact: true })).toHaveValue(/^2\.(19|2|20|21)$/);
  // What it changes comes between the field and the button.
  await expect(page.getByRole('table', { name: 'What it changes' })).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/Brine measured: 2\.(19|2|21) %/)).toBeVisible();
});
