import type { components } from '../../web/src/api/contract.gen';
import type { Page } from '@playwright/test';
import { choose, expect, number, signIn, startCarrots, test, write, type Cook } from './kitchen';

type Batch = components['schemas']['Batch'];

/** A quart of carrot sticks, started thirty days ago; the page stands at it. */
async function atTheCarrots(page: Page, cook: Cook, name = 'Sticks'): Promise<Batch> {
  await signIn(page, cook);
  const batch = await startCarrots(page, { name, daysAgo: 30 });
  await page.goto(`/shelf/${batch.id}`);
  await expect(page.getByRole('heading', { name })).toBeVisible();
  return batch;
}

async function now(page: Page, batch: Batch): Promise<Batch> {
  return (await (await page.request.get(`/api/batches/${batch.id}`)).json()) as Batch;
}

/** Sodium in the jar, mg; where in the jar it is, time decides. */
const allOf = (batch: Batch) => batch.phases.reduce((sum, { sodiumMg }) => sum + sodiumMg, 0);

const brineOf = (batch: Batch) => batch.phases.find(({ phase }) => phase === 'brine');

test('shows what a top-up does before it is written, writes it once, and takes it back', async ({ page, cook }) => {
  const before = await atTheCarrots(page, cook);
  const happened = page.getByRole('region', { name: 'Add to the history' });
  await choose(page, 'What happened', 'topped up with another brine');
  await expect(happened.getByRole('button', { name: 'Save' })).toBeDisabled();
  await happened.getByLabel('How much').fill('100');
  await happened.getByLabel('Strength').fill('2');
  const foreseen = page.getByTestId('brine-after');
  await expect(foreseen).toContainText(`${String(Math.round((brineOf(before)?.grams ?? 0) + 100))} g`);
  expect((await now(page, before)).entries).toHaveLength(before.entries.length);

  await happened.getByRole('button', { name: 'Save' }).dblclick();
  const life = page.getByRole('region', { name: 'History' });
  await expect(life.getByText('Topped up with 100 g brine of 2 %')).toHaveCount(1);
  const after = await now(page, before);
  expect(after.entries).toHaveLength(before.entries.length + 1);
  // 100 g of 2 % brine bring 2 g of salt, 0.393372 of it sodium (IUPAC atomic weights).
  expect(allOf(after) - allOf(before)).toBeCloseTo(786.744, 2);
  // Minutes may pass between the two answers, in which a little goes into the pieces: one step of the rounding.
  const shown = number(await page.getByTestId('brine-per-100g').textContent());
  expect(Math.abs(shown - (brineOf(after)?.per100g.shown ?? 0))).toBeLessThanOrEqual(10);

  await life.getByRole('button', { name: 'Undo: Topped up with 100 g brine of 2 %' }).click();
  const mistake = page.getByRole('dialog');
  await expect(mistake.getByTestId('brine-after')).toContainText(
    `${String(Math.round(brineOf(before)?.grams ?? 0))} g`,
  );
  expect((await now(page, before)).entries).toHaveLength(after.entries.length);
  await mistake.getByRole('button', { name: 'Undo' }).click();
  await expect(life.locator('.taken-back')).toHaveText('Topped up with 100 g brine of 2 %');
  expect(allOf(await now(page, before))).toBeCloseTo(allOf(before), 6);
});

test('says in words what cannot have happened, and keeps what was typed', async ({ page, cook }) => {
  await atTheCarrots(page, cook);
  const happened = page.getByRole('region', { name: 'Add to the history' });
  await choose(page, 'What happened', 'brine ran over');
  await happened.getByLabel('How much').fill('90000');
  await expect(happened.getByRole('alert')).toContainText('brine');
  await expect(happened.getByRole('button', { name: 'Save' })).toBeDisabled();
  await expect(happened.getByLabel('How much')).toHaveValue('90000');
  await happened.getByLabel('How much').fill('20');
  await expect(happened.getByRole('alert')).toBeHidden();
  await happened.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('20 g of brine ran over')).toBeVisible();
});

test('refuses to take back what the rest of a life stands on', async ({ page, cook }) => {
  const batch = await atTheCarrots(page, cook);
  const person = batch.portions[0]?.personId;
  await write(page, 'post', '/servings', {
    batchId: batch.id,
    personId: person,
    amount: '50 g',
    requestKey: '01M' + String(Date.now()).padEnd(23, '0'),
  });
  await page.reload();
  await page.getByRole('button', { name: 'Undo: 500 g carrot' }).click();
  await expect(page.getByText('Undo what came after it first.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  expect((await now(page, batch)).entries.filter(({ isReversed }) => isReversed)).toEqual([]);
});

test('loses no entry when two windows write into one jar', async ({ page, cook }) => {
  const batch = await atTheCarrots(page, cook);
  const other = await page.context().newPage();
  await other.goto(`/shelf/${batch.id}`);
  for (const [window, amount] of [
    [page, '11'],
    [other, '13'],
  ] as const) {
    await choose(window, 'What happened', 'topped up with water');
    await window.getByLabel('How much').fill(amount);
    await expect(window.getByTestId('brine-after')).toBeVisible();
  }
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByText(/Another window has added: topped up with 11 g water\./i)).toBeVisible();
  await page.reload();
  await expect(page.getByText('Topped up with 11 g water')).toBeVisible();
  await expect(page.getByText('Topped up with 13 g water')).toBeVisible();
});
