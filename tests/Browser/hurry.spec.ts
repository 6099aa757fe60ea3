import type { APIResponse, Page } from '@playwright/test';
import { ulid } from 'ulid';
import type { components } from '../../web/src/api/contract.gen';
import { csrf, expect, signIn, test } from './kitchen';

type Batch = components['schemas']['Batch'];

/*
 * Several windows and impatient fingers at once, against the real server and its database: nothing is lost, nothing is
 * done twice.
 */
async function post(page: Page, path: string, data: object): Promise<APIResponse> {
  return page.request.post(`/api${path}`, { headers: await csrf(page), data });
}

async function jar(page: Page): Promise<Batch> {
  const list = await page.request.get('/api/formulas');
  const { formulas } = (await list.json()) as { formulas: { id: string; name: string }[] };
  const kraut = formulas.find((one) => one.name === 'Plain kraut');
  const started = await post(page, `/formulas/${kraut?.id ?? ''}/batches`, {
    name: 'Kraut in a hurry',
    place: 'counter',
    startedOn: new Date(Date.now() - 20 * 86_400_000).toISOString().slice(0, 10),
    requestKey: ulid(),
  });
  expect(started.status()).toBe(201);
  return (await started.json()) as Batch;
}

const at = (batch: Batch, place: string): number => batch.whereabouts.find((one) => one.place === place)?.sodiumMg ?? 0;

test('many windows write into one jar and no entry is lost', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await jar(page);
  const answers = await Promise.all(
    Array.from({ length: 12 }, (_, i) =>
      post(page, `/batches/${batch.id}/entries`, {
        entry: { kind: 'top_up', grams: 5 + i },
        requestKey: ulid(),
      }),
    ),
  );
  expect(answers.map((answer) => answer.status())).toEqual(Array(12).fill(201));
  const after = (await (await page.request.get(`/api/batches/${batch.id}`)).json()) as Batch;
  const written = after.entries.filter((entry) => entry.kind === 'top_up');
  expect(written).toHaveLength(12);
  expect(new Set(after.entries.map((entry) => entry.position)).size).toBe(after.entries.length);
  const water = (one: Batch): number => one.phases.reduce((sum, phase) => sum + phase.waterGrams, 0);
  expect(water(after) - water(batch)).toBeCloseTo((12 * (5 + 16)) / 2, 6);
});

test('an impatient finger does nothing twice', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await jar(page);
  const person = batch.portions[0]?.personId;
  const entry = { entry: { kind: 'leak', grams: 40 }, requestKey: ulid() };
  const serving = { batchId: batch.id, personId: person, amount: '30 g', requestKey: ulid() };
  const again = { name: 'Twice', place: 'fridge', requestKey: ulid() };
  const list = await page.request.get('/api/formulas');
  const { formulas } = (await list.json()) as { formulas: { id: string; name: string }[] };
  const kvass = formulas.find((one) => one.name === 'Beet kvass')?.id ?? '';
  const six = <T>(make: () => Promise<T>): Promise<T[]> => Promise.all(Array.from({ length: 6 }, make));

  const entries = await six(() => post(page, `/batches/${batch.id}/entries`, entry));
  const servings = await six(() => post(page, '/servings', serving));
  const jars = await six(() => post(page, `/formulas/${kvass}/batches`, again));
  expect([...entries, ...servings, ...jars].map((answer) => answer.status())).toEqual(Array(18).fill(201));

  const after = (await (await page.request.get(`/api/batches/${batch.id}`)).json()) as Batch;
  expect(after.entries.filter((one) => one.kind === 'leak')).toHaveLength(1);
  expect(after.servings).toHaveLength(1);
  const shelf = (await (await page.request.get('/api/batches')).json()) as { batches: { name: string }[] };
  expect(shelf.batches.filter((one) => one.name === 'Twice')).toHaveLength(1);
});

test('the last servings are not eaten twice', async ({ page, cook }) => {
  await signIn(page, cook);
  const batch = await jar(page);
  const person = batch.portions[0]?.personId;
  // The jar holds two of these, not five.
  const amount = `${String(Math.floor(batch.gramsLeft / 2.4))} g`;
  const answers = await Promise.all(
    Array.from({ length: 5 }, () =>
      post(page, '/servings', { batchId: batch.id, personId: person, amount, requestKey: ulid() }),
    ),
  );
  const codes = answers.map((answer) => answer.status()).sort();
  expect(codes).toEqual([201, 201, 422, 422, 422]);
  const after = (await (await page.request.get(`/api/batches/${batch.id}`)).json()) as Batch;
  const eaten = after.servings.reduce((sum, one) => sum + one.sodium.typical, 0);
  expect(at(after, 'eaten')).toBeCloseTo(eaten, 6);
});

test('two jars that feed each other at the same moment both keep their books', async ({ page, cook }) => {
  await signIn(page, cook);
  const one = await jar(page);
  const two = await jar(page);
  const feed = (to: Batch, from: Batch) =>
    post(page, `/batches/${to.id}/entries`, {
      entry: { kind: 'starter', fromBatch: from.id, grams: 10 },
      requestKey: ulid(),
    });
  const answers = await Promise.all([feed(one, two), feed(two, one), feed(one, two), feed(two, one)]);
  expect(answers.map((answer) => answer.status())).toEqual(Array(4).fill(201));
  const read = async (id: string) => (await (await page.request.get(`/api/batches/${id}`)).json()) as Batch;
  const after = [await read(one.id), await read(two.id)];
  const present = (batch: Batch): number => batch.phases.reduce((sum, phase) => sum + phase.sodiumMg, 0);
  // Nothing came from outside: what both hold together is what they held before.
  expect(after.reduce((sum, batch) => sum + present(batch), 0)).toBeCloseTo(present(one) + present(two), 4);
  const lineage = (await (await page.request.get('/api/lineage')).json()) as { links: unknown[] };
  expect(lineage.links).toHaveLength(4);
});
