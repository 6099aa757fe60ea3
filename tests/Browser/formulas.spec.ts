import { readFile } from 'node:fs/promises';
import { choose, csrf, enterDemo, expect, number, signIn, test } from './kitchen';

// Nothing moves here: what is waited for comes sooner.

test('finds a formula, scales it four ways and starts it', async ({ page, cook }) => {
  await signIn(page, cook);
  await page.keyboard.press('f');
  await expect(page).toHaveURL(/formulas$/);
  await page.getByLabel('Search formulas').fill('plain kraut');
  await page.getByRole('link', { name: 'Plain kraut' }).click();
  await expect(page.getByRole('heading', { name: 'Plain kraut' })).toBeVisible();
  await expect(page.getByTestId('formula-sodium')).toHaveText('210 mg');
  const cabbage = page.getByRole('row', { name: 'green cabbage' });
  await expect(cabbage).toContainText('820 g');

  await page.getByText('weight', { exact: true }).click();
  await page.getByLabel('Weight of the vegetable').fill('1,64 kg');
  await expect(cabbage).toContainText('1,640 g');
  await expect(page.getByRole('row', { name: 'fine sea salt' })).toContainText('36.9 g');
  await expect(page.getByTestId('formula-sodium')).toHaveText('210 mg');

  await page.getByLabel('Weight of the vegetable').fill('a basket');
  await expect(page.getByRole('alert')).toContainText('How much is in it?');
  await expect(page.getByLabel('Weight of the vegetable')).toHaveValue('a basket');

  await page.getByText('servings', { exact: true }).click();
  await page.getByRole('spinbutton', { name: 'Servings' }).fill('40');
  await expect(page.getByText(/40 servings of 25 g/)).toBeVisible();

  await page.getByText('sodium', { exact: true }).click();
  await page.getByRole('spinbutton', { name: 'Sodium in a serving' }).fill('140');
  await expect(page.getByTestId('formula-sodium')).toHaveText('140 mg');
  await expect(page.getByText('never the salt in the jar')).toBeVisible();
  await expect(cabbage).toContainText('820 g');

  await page.getByText('a jar', { exact: true }).click();
  await choose(page, 'Jar to fill', 'Pint jar');
  await expect(page.getByText(/0\.\d+ times/)).toBeVisible();
  const grams = number(await cabbage.textContent());
  expect(grams).toBeLessThan(500);

  await page.getByText('cups and spoons').click();
  await expect(cabbage).toContainText(/oz/);
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page.getByRole('heading', { name: 'Plain kraut' })).toBeVisible();
  await expect(page.getByText(/Dry salting, 2\.3 % of the vegetable; Pint jar/)).toBeVisible();
});

test('shows each member their share, and who must not eat it', async ({ page }) => {
  await enterDemo(page, '/formulas');
  await page.getByLabel('everyone can eat it').check();
  await expect(page.getByRole('link', { name: 'Kimchi without fish' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Everyday kimchi' })).toBeHidden();
  await page.getByLabel('everyone can eat it').uncheck();
  await page.getByRole('link', { name: 'Everyday kimchi' }).click();
  const worked = page.getByRole('complementary', { name: 'Result' });
  await expect(worked).toContainText('not for Nell: fish');
  await expect(worked).toContainText(/Marit\s*2\d0 mg/);
  await expect(worked.getByRole('list', { name: 'Cautions' })).toContainText('Contains fish');
});

test('changes a formula while the numbers follow, and keeps both versions', async ({ page, cook }) => {
  await signIn(page, cook, '/formulas');
  await page.getByRole('link', { name: 'Carrot sticks with garlic' }).click();
  const before = number(await page.getByTestId('formula-sodium').textContent());
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Carrot sticks with garlic, copy');
  await page.getByLabel('Salt in percent').fill('3.5');
  await expect
    .poll(async () => number(await page.getByTestId('formula-sodium').textContent()))
    .toBeGreaterThan(before * 1.2);

  await page.getByLabel('Salt in percent').fill('1');
  await expect(page.getByRole('list', { name: 'Advice' })).toContainText('This method needs at least');
  await page.getByLabel('Salt in percent').fill('3');
  await page.getByLabel('Grams of carrot').fill('-4');
  await expect(page.getByRole('region', { name: 'Ingredients' }).getByRole('alert')).toContainText(/0|nothing/);
  await expect(page.getByRole('button', { name: 'Save as version 2' })).toBeDisabled();

  await page.reload();
  await expect(page.getByText('What you typed before is still here.')).toBeVisible();
  await page.getByLabel('Grams of carrot').fill('500');
  await page.getByLabel('Steps, one per line').fill('Cut them.\nPour the brine over.');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText('Version 2')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Steps' })).toContainText('Pour the brine over.');
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page.getByText('Archived.')).toBeVisible();
  await page.goto('/formulas');
  await expect(page.getByRole('link', { name: 'Carrot sticks with garlic, copy' })).toBeHidden();
  await page.getByLabel('archive').check();
  await expect(page.getByRole('link', { name: 'Carrot sticks with garlic, copy' })).toBeVisible();
});

test('two windows do not write over each other', async ({ page, cook, context }) => {
  await signIn(page, cook, '/formulas');
  await page.getByRole('link', { name: 'Beet kvass' }).click();
  await page.getByRole('button', { name: 'Edit', exact: true }).click();
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByLabel('Summary')).toBeVisible();
  await page.getByLabel('Summary').fill('From the first window');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText('From the first window')).toBeVisible();
  await other.getByLabel('Summary').fill('From the second window');
  await other.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(other.getByRole('alert').first()).toContainText('was saved in the meantime');
  await expect(other.getByLabel('Summary')).toHaveValue('From the second window');
});

test('writes a new formula by any method', async ({ page, cook }) => {
  await signIn(page, cook, '/formulas/new');
  await page.getByLabel('Name').fill('Salted cabbage of mine');
  await choose(page, 'Method', 'Dry salting');
  await choose(page, 'Food', 'red cabbage');
  await page.getByLabel('Grams of red cabbage').fill('900');
  await expect(page.getByTestId('formula-sodium')).toHaveText(/mg$/);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Salted cabbage of mine' })).toBeVisible();
  await expect(page.getByRole('row', { name: 'red cabbage' })).toContainText('900 g');
});

test('brings in a pasted recipe, settling what was not understood', async ({ page, cook }) => {
  await signIn(page, cook, '/formulas/import');
  await page
    .getByLabel('Recipe')
    .fill(
      'Herb carrots:\n2 lb carrots\n1 quart water\n3 tbsp kosher salt\n4 cloves garlic\na handful of luck\nPour the brine over.',
    );
  await page.getByRole('button', { name: 'Preview' }).click();
  const found = page.getByRole('region', { name: 'What was found' });
  await expect(found).toContainText('907 g carrot');
  await expect(found).toContainText('dense kosher salt or flaky kosher salt?');
  await choose(page, 'What line 4 is', 'flaky kosher salt');
  await page.getByLabel('Grams of line 4').fill('28');
  await found.getByRole('button', { name: 'Accept' }).first().click();
  await found.getByRole('button', { name: 'Keep as a note' }).click();
  await found.getByRole('button', { name: 'Import' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Herb carrots');
  await expect(page.getByLabel('Grams of salt')).toHaveValue('28');
  await expect(page.getByLabel('Notes')).toHaveValue('a handful of luck');
});

test('hands formulas out and takes them back, and refuses what is none', async ({ page, cook }) => {
  test.slow();
  await signIn(page, cook, '/formulas');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'as recipes' }).click(),
  ]);
  const text = await readFile(await download.path(), 'utf8');
  const graph = (JSON.parse(text) as { '@graph': { '@type': string }[] })['@graph'];
  expect(graph.length).toBeGreaterThanOrEqual(24);
  expect(new Set(graph.map((one) => one['@type']))).toEqual(new Set(['Recipe']));

  await page.goto('/formulas/import');
  await page.getByLabel('Recipe').fill(text);
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(page.getByText(`${String(graph.length)} formulas found, nothing saved yet`)).toBeVisible();

  await page.getByLabel('Recipe').fill('{"hello": ');
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(page.getByRole('alert')).toContainText('This is not valid JSON');
  await expect(page.getByLabel('Recipe')).toHaveValue('{"hello": ');
});

test('refuses a file of ten megabytes in a sentence', async ({ page, cook }) => {
  await signIn(page, cook);
  const answer = await page.request.post('/api/formulas/preview', {
    headers: await csrf(page),
    data: { text: 'x'.repeat(10_000_000) },
  });
  expect([413, 422]).toContain(answer.status());
  expect(((await answer.json()) as { message: { code: string } }).message.code).toBe('errors.http_413');

  await page.goto('/formulas/import');
  await page.locator('input[type=file]').setInputFiles({
    name: 'huge.json',
    mimeType: 'application/json',
    buffer: Buffer.alloc(10_000_000, 'x'),
  });
  await expect(page.getByRole('alert')).toContainText('This is too large. At most 4 MB are read.');
});

test('shows a hostile name as the text it is', async ({ page, cook }) => {
  await signIn(page, cook);
  const name = '<img src=x onerror="document.title=1">';
  const list = await page.request.get('/api/formulas');
  const { formulas } = (await list.json()) as { formulas: { id: string; name: string }[] };
  const kvass = formulas.find((one) => one.name === 'Beet kvass');
  const one = await page.request.get(`/api/formulas/${kvass?.id ?? ''}`);
  const { document } = (await one.json()) as { document: Record<string, unknown> };
  const written = Object.fromEntries(Object.entries(document).filter(([key]) => key !== 'key'));
  const made = await page.request.post('/api/formulas', {
    headers: await csrf(page),
    data: { document: { ...written, name }, requestKey: '01JZZZZZZZZZZZZZZZZZZZZZZZ' },
  });
  expect(made.status()).toBe(201);
  await page.goto('/formulas');
  await expect(page.getByText(name)).toBeVisible();
  expect(await page.title()).not.toBe('1');
});

test('yogurt stands in the warm box without salt, and is ready the same day', async ({ page, cook }) => {
  await signIn(page, cook, '/formulas');
  await page.getByRole('link', { name: /Plain yogurt/ }).click();
  await expect(page.getByTestId('formula-sodium')).toHaveText('55 mg');
  await expect(page.getByText(/this method needs at least/)).toHaveCount(0);
  await expect(page.getByText(/Potassium: about \d+ mg in 125 g/)).toBeVisible();
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page).toHaveURL(/\/shelf\//);
  await expect(page.getByText('in the warm box').first()).toBeVisible();
  await expect(page.getByText(/needs at least/)).toHaveCount(0);
});
