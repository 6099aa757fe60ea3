import { choose, enterDemo, expect, signIn, test } from './kitchen';

test('seats someone at the table and sees them on Today', async ({ page, cook }) => {
  await signIn(page, cook);
  await page.keyboard.press('k');
  await expect(page).toHaveURL(/kitchen$/);
  await page.getByRole('button', { name: 'Add a person' }).click();
  const drawer = page.getByRole('dialog');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer.getByRole('alert')).toContainText('Enter a name.');
  await drawer.getByLabel('Name').fill('Cleo');
  await choose(page, 'Daily limit', 'Child 4–8 years');
  await drawer.getByRole('spinbutton', { name: 'Sun, morning' }).fill('120');
  await choose(page, 'Must not have', 'fish');
  await page.keyboard.press('Escape');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Cleo' })).toBeVisible();
  await expect(page.getByText('no fish')).toBeVisible();
  await expect(page.getByRole('img', { name: /Sun 1,100 mg; target 1,500 mg/ })).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('region', { name: 'Cleo' })).toBeVisible();
});

test('weighs a spoon of salt, and says so when no salt weighs that much', async ({ page, cook }) => {
  await signIn(page, cook, '/kitchen#salts');
  await page.getByRole('button', { name: 'Weigh a spoon of salt flakes' }).click();
  const drawer = page.getByRole('dialog');
  await drawer.getByLabel('Weight of the salt').fill('90');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer.getByRole('alert')).toContainText('A level tablespoon of salt weighs between');
  await expect(drawer.getByLabel('Weight of the salt')).toHaveValue('90');
  await drawer.getByLabel('Weight of the salt').fill('7.4');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('6.9 g to 7.9 g, weighed by you')).toBeVisible();
});

test('enters a food from its label and finds it misspelt', async ({ page, cook }) => {
  await signIn(page, cook, '/kitchen#foods');
  await page.getByRole('button', { name: 'Add a food from its label' }).click();
  const drawer = page.getByRole('dialog');
  await drawer.getByLabel('Name').fill('Barrel pickles from the market');
  await drawer.getByLabel('Sodium in a serving').fill('290');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer.getByRole('alert')).toContainText('grams in a serving');
  await drawer.getByLabel('A serving is').fill('29');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer).toBeHidden();
  await page.getByLabel('Search foods').fill('barel pickels');
  const foods = page.getByRole('list', { name: 'Foods' });
  await expect(foods.getByRole('listitem')).toHaveCount(1);
  await expect(foods).toContainText('1,000 mg per 100 g');
  await expect(foods).toContainText('the package label');
  await page.getByLabel('Search foods').fill('daikon');
  await expect(foods.getByRole('listitem').first()).toContainText('white radish');
});

test('keeps a jar, and names measures that cannot be', async ({ page, cook }) => {
  await signIn(page, cook, '/kitchen#jars');
  await page.getByRole('button', { name: 'Add a jar' }).click();
  const drawer = page.getByRole('dialog');
  await drawer.getByLabel('Name').fill('Tall jar');
  await drawer.getByLabel('Mouth width').fill('15 cm');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(drawer.getByRole('alert')).toContainText('wider than the body');
  await drawer.getByLabel('Mouth width').fill('70 mm');
  await drawer.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('img', { name: 'Tall jar, screw lid' })).toBeVisible();
  await page.getByRole('button', { name: 'Edit Tall jar' }).last().click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('img', { name: 'Tall jar, screw lid' })).toBeHidden();
});

test('changes how the house measures', async ({ page, cook }) => {
  await signIn(page, cook, '/kitchen#house');
  await page.getByLabel('Name of the kitchen').fill('Kitchen above the bakery');
  await page.getByText('spoons', { exact: true }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto('/formulas');
  await page.getByRole('link', { name: 'Plain kraut' }).click();
  await expect(page.getByRole('row', { name: 'green cabbage' })).toContainText('1 lb 13 oz');
});

test('a whole kitchen moves house as a file', async ({ page, cook }) => {
  await enterDemo(page, '/kitchen#house');
  const kitchen = page.getByRole('region', { name: 'The whole kitchen as a file' });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    kitchen.getByRole('link', { name: 'Export' }).click(),
  ]);
  const file = await download.path();
  await kitchen.locator('input[type=file]').setInputFiles(file);
  await expect(page.getByText('Create a new one and import it there.')).toBeVisible();
  await page.getByRole('link', { name: /^Account/ }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.getByRole('button', { name: 'Look around the demo kitchen' }).waitFor();
  await signIn(page, cook);
  await page.goto('/kitchen#house');
  await kitchen.locator('input[type=file]').setInputFiles({
    name: 'kitchen.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"tempesal":"formula"}'),
  });
  await expect(
    page.getByText('This is not a kitchen file. Choose a file that was exported from Tempesal.'),
  ).toBeVisible();
  await kitchen.locator('input[type=file]').setInputFiles(file);
  await expect(page.getByText(/Imported: 3 people, \d+ jars, \d+ servings\./)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Caraway kraut' })).toBeVisible();
  await page.goto('/today');
  await expect(page.getByRole('region', { name: 'Marit' })).toContainText('Caraway kraut');
});
