import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import type { components } from '../../web/src/api/contract.gen';
import { enterDemo, expect, signIn, test, startCarrots } from './kitchen';

// Nothing moves here: what is waited for comes sooner.

type Batch = components['schemas']['ShelfBatch'];

test('the shelf puts what asks for something first, and is walked through by arrows', async ({ page }) => {
  await enterDemo(page, '/shelf');
  const { batches } = (await (await page.request.get('/api/batches')).json()) as { batches: Batch[] };
  const counter = batches.filter(({ place }) => place === 'counter');
  const ranks = counter.map(({ attention }) => attention?.rank ?? 99);
  expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  expect(ranks[0]).toBeLessThan(99);
  const board = page.getByRole('region', { name: 'On the counter' });
  await expect(board.locator('.board-name b')).toHaveText(counter.map(({ name }) => name));
  await expect(board.locator('.board-jar').first().locator('.board-asks')).not.toBeEmpty();

  await board.getByRole('link').first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(board.getByRole('link').nth(1)).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('.board').nth(1).locator('.board-jar:focus')).toHaveCount(1);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Home');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: counter[0]?.name ?? '' })).toBeVisible();
});

test('the shelf is searched and sifted', async ({ page }) => {
  await enterDemo(page, '/shelf');
  await page.getByRole('region', { name: 'Empty jars' }).waitFor();
  await page.getByLabel('Search jars').fill('kraut');
  await expect(page.getByRole('link', { name: 'Carrot sticks' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Caraway kraut' })).toBeVisible();
  await page.getByLabel('Search jars').fill('no such jar');
  await expect(page.getByText('No jar found.')).toBeVisible();
  await page.getByLabel('Search jars').fill('');
  await page.getByText(/^needs attention/).click();
  for (const jar of await page.locator('.boards .board-jar').all()) {
    await expect(jar.locator('.board-asks')).not.toBeEmpty();
  }
});

test('an empty jar goes to the bench, comes back full, is emptied and put back', async ({ page, cook }) => {
  await signIn(page, cook, '/shelf');
  const empty = page.getByRole('region', { name: 'Empty jars' });
  await expect(empty.getByRole('link', { name: 'Quart jar' })).toContainText('4 free');
  await empty.getByRole('link', { name: 'Half-gallon jar' }).click();
  await expect(page).toHaveURL(/bench$/);
  await expect(page.getByRole('figure').getByText('Half-gallon jar')).toBeVisible();
  await page.getByRole('button', { name: 'Start the jar' }).click();
  await expect(page.getByRole('heading', { name: 'carrot' })).toBeVisible();
  const address = page.url();
  await page.goto('/shelf');
  await expect(empty.getByRole('link', { name: 'Half-gallon jar' })).toBeHidden();

  await page.goto(address);
  await page.getByRole('button', { name: 'Empty the jar...' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Empty the jar' }).click();
  await expect(page.getByText('The jar is empty and free again.')).toBeVisible();
  await expect(empty.getByRole('link', { name: 'Half-gallon jar' })).toContainText('1 free');
  await page.goto(address);
  await expect(page.getByText('Nothing is left in it.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByTestId('pieces-per-100g')).toBeVisible();
});

test('a label leads back to its jar by its code', async ({ page }) => {
  await enterDemo(page, '/shelf');
  await page.getByRole('link', { name: 'Everyday kimchi' }).click();
  await page.getByRole('link', { name: 'Label', exact: true }).click();
  const label = page.getByRole('article', { name: 'Label of Everyday kimchi' });
  await expect(label).toContainText('Contains fish');
  await expect(label).toContainText(/ready.*–/);
  await expect(label).toContainText('% of the vegetable');
  await expect(label).toContainText(/\d+ mg in 25 g/);
  const picture = PNG.sync.read(await label.screenshot());
  const code = jsQR(new Uint8ClampedArray(picture.data), picture.width, picture.height);
  const { batches } = (await (await page.request.get('/api/batches')).json()) as { batches: Batch[] };
  const kimchi = batches.find(({ name }) => name === 'Everyday kimchi');
  expect(code?.data).toBe(`${new URL(page.url()).origin}/shelf/${kimchi?.id ?? ''}`);
});

test('labels print at their size: singles on pages of their own, sheets on A4 and Letter', async ({ page }) => {
  await enterDemo(page, '/labels');
  await expect(page.getByRole('article')).toHaveCount(11);
  // Letters that one reads at arm's length, 60 cm: 20 minutes of arc are 3.5 mm (ISO 9241-303; from memory).
  const smallest = await page
    .locator('.label dd, .label p, .label h2')
    .evaluateAll((all) => Math.min(...all.map((one) => parseFloat(getComputedStyle(one).fontSize))));
  expect(smallest).toBeGreaterThanOrEqual((3.5 / 25.4) * 96 - 0.01);

  const boxes = async (): Promise<number[][]> => {
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    return [...pdf.matchAll(/\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/g)].map(([, width, height]) => [
      (Number(width) / 72) * 25.4,
      (Number(height) / 72) * 25.4,
    ]);
  };
  await page.getByText('sheet of eight').click();
  // Whatever a label says, its lines stay clear of its foot and of its code.
  for (const label of await page.getByRole('article').all()) {
    const overlaps = await label.evaluate((one) => {
      const box = (part: Element) => {
        const range = document.createRange();
        range.selectNodeContents(part);
        return range.getBoundingClientRect();
      };
      const others = [...one.querySelectorAll('p, .label-code')].map(box);
      return [...one.querySelectorAll('dt, dd')]
        .filter((line) => {
          const it = box(line);
          return others.some(
            (other) =>
              it.left < other.right && other.left < it.right && it.top < other.bottom - 1 && other.top < it.bottom - 1,
          );
        })
        .map((line) => line.textContent);
    });
    expect(overlaps).toEqual([]);
  }
  // Eleven labels: a full sheet, and three on the next.
  const [sheet, ...more] = await boxes();
  expect(more).toHaveLength(1);
  expect(sheet?.[0]).toBeCloseTo(210, 0);
  expect(sheet?.[1]).toBeCloseTo(297, 0);
  // Six on a sheet of US Letter, 8.5 by 11 inches: two sheets.
  await page.getByText('sheet of six').click();
  const letters = await boxes();
  expect(letters).toHaveLength(2);
  expect(letters[0]?.[0]).toBeCloseTo(8.5 * 25.4, 0);
  expect(letters[0]?.[1]).toBeCloseTo(11 * 25.4, 0);
  await page.getByText('single labels').click();
  const singles = await boxes();
  expect(singles).toHaveLength(11);
  expect(singles[0]?.[0]).toBeCloseTo(99.1, 0);
  expect(singles[0]?.[1]).toBeCloseTo(67.7, 0);

  const pdf = page.getByRole('link', { name: 'PDF' });
  const file = await page.request.get((await pdf.getAttribute('href')) ?? '');
  expect(file.headers()['content-type']).toBe('application/pdf');
  expect((await file.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('a jar, a formula and a day are found from anywhere', async ({ page, cook }) => {
  await signIn(page, cook, '/kitchen');
  await startCarrots(page, { name: 'Dilly sticks', daysAgo: 3 });
  await page.goto('/today');
  await page.getByRole('heading', { name: 'Ada' }).waitFor();
  await page.keyboard.press('/');
  const field = page.getByRole('combobox', { name: 'A jar, a formula or a day' });
  await field.fill('dily stiks');
  await expect(page.locator('.find-hit', { hasText: 'Dilly sticks' })).toHaveCount(1);
  await field.press('Enter');
  await expect(page.getByRole('heading', { name: 'Dilly sticks' })).toBeVisible();
  await page.getByRole('button', { name: 'Search' }).click();
  await field.fill('plain kraut');
  await page.getByText('Plain kraut', { exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Plain kraut' })).toBeVisible();
  await page.keyboard.press('/');
  await field.fill('3 days ago');
  await expect(page.locator('.find-hit')).toHaveCount(1);
  await field.press('Enter');
  await expect(page).toHaveURL(/today\/\d{4}-\d\d-\d\d$/);
  await page.keyboard.press('/');
  await field.fill('zzzz');
  await expect(page.getByText('Nothing found.')).toBeVisible();
});
