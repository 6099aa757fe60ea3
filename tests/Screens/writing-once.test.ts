import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeEach, expect, it, vi } from 'vitest';
import { changes, perform, type Change, type Choice } from '../../web/src/api/change';
import { Refusal } from '../../web/src/api/client';
import { Intentions, type KeyStore } from '../../web/src/api/intentions';
import { tried, withoutKey } from './changes';
import { ok, server, type Sent } from './server';
import '../../web/src/api/account';
import '../../web/src/api/counter';
import '../../web/src/api/intake';
import '../../web/src/api/kitchen';
import '../../web/src/api/planning';
import '../../web/src/api/queries';
import '../../web/src/api/tending';

type AnyChange = Change<unknown[], unknown, { id: string }>;

const named = (name: string) => changes.get(name) as unknown as AnyChange;
const all = Object.entries(tried).flatMap(([name, one]) =>
  [one].flat().map((how, number) => ({ name, number, ...how })),
);

let store: KeyStore;
let keys: Intentions;

beforeEach(() => {
  vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no picture')));
  const kept = new Map<string, string>();
  store = { getItem: (name) => kept.get(name) ?? null, setItem: (name, value) => void kept.set(name, value) };
  keys = new Intentions(store);
});

const leave = () => Promise.resolve<Choice>('leave');
const press = ({ name, params, input }: (typeof all)[number], decide = leave) =>
  perform(named(name), params, input, decide, keys);
const keysOf = (sent: Sent[]) => sent.map(({ key }) => key);

it('tries every change that the screens can make', () => {
  expect(Object.keys(tried).sort()).toEqual([...changes.keys()].sort());
});

it.each(all)('$name ($number): a lost answer is asked for again under the same key', async (one) => {
  const requests = one.requests ?? 1;
  for (let lostAt = 1; lostAt <= requests; lostAt++) {
    const first = server((number) => (number === lostAt ? 'lost' : ok()));
    await expect(press(one)).rejects.toMatchObject({ status: 0 });
    // The page may have been loaded again since.
    keys = new Intentions(store);
    const second = server(() => ({ status: 500, body: {} }));
    await expect(press(one)).rejects.toMatchObject({ status: 500 });
    // One that cannot answer just now is like none.
    const away = server(() => ({ status: 503, body: { message: { code: 'errors.http_503', values: {} } } }));
    await expect(press(one)).rejects.toMatchObject({ status: 0 });
    const third = server(() => ok());
    await press(one);
    const later = server(() => ok());
    await press(one);

    expect(third).toHaveLength(requests);
    expect(first).toEqual(third.slice(0, lostAt));
    expect(second).toEqual(third.slice(0, 1));
    expect(away).toEqual(third.slice(0, 1));
    if (withoutKey.includes(one.name)) {
      expect(new Set(keysOf(third))).toEqual(new Set([null]));
    } else {
      expect([...keysOf(third), ...keysOf(later)].every((key) => /^[0-9A-HJKMNP-TV-Z]{26}$/.test(key ?? ''))).toBe(
        true,
      );
      expect(new Set([...keysOf(third), ...keysOf(later)]).size).toBe(2 * requests);
    }
  }
});

it.each(all)('$name ($number): what was refused is a new intention', async (one) => {
  const refused = server(() => ({
    status: 422,
    body: {
      message: { code: 'errors.name', values: {} },
      errors: { name: [{ code: 'errors.name', values: {} }] },
    },
  }));
  await expect(press(one)).rejects.toBeInstanceOf(Refusal);
  const again = server(() => ok());
  await press(one);

  if (!withoutKey.includes(one.name)) {
    expect(again[0]?.key).not.toBe(refused[0]?.key);
  }
});

it('reaches every operation of the contract that takes a key', async () => {
  const contract = readdirSync('contract')
    .filter((file) => file.endsWith('.yaml'))
    .map((file) => readFileSync(join('contract', file), 'utf8'))
    .join('');
  const taking = [...contract.matchAll(/^ {2}(\/\S+):\n((?: {4}.*\n|\n)+)/gm)].flatMap(([, path, body]) =>
    [...(body ?? '').matchAll(/^ {4}(post|put|delete):\n((?: {6}.*\n|\n)+)/gm)]
      .filter(([, , operation]) => /IdempotencyKey|AlreadyWritten/.test(operation ?? ''))
      .map(([, method]) => `${(method ?? '').toUpperCase()} ${path ?? ''}`),
  );
  const sent = server(() => ok());
  for (const one of all) {
    await press(one);
  }
  const reached = taking.filter((operation) => {
    const [method, path] = operation.split(' ');
    const pattern = new RegExp(`^/api${(path ?? '').replace(/\{\w+\}/g, '[^/]+')}$`);
    return sent.some((one) => one.method === method && pattern.test(one.path));
  });

  expect(taking.length).toBeGreaterThan(50);
  expect(taking.filter((operation) => !reached.includes(operation))).toEqual([]);
});

it('makes keys and changes in one place alone', () => {
  const files = readdirSync('web/src', { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file))
    .map((file) => [file, readFileSync(join('web/src', file), 'utf8')] as const);
  const having = (pattern: RegExp) => files.filter(([, text]) => pattern.test(text)).map(([file]) => file);
  const readOnly = /export const usePreview\w+ = \(\) =>\n {2}useMutation</g;

  expect(having(/from 'ulid'|randomUUID/)).toEqual(['api/intentions.ts']);

  expect(files.filter(([, text]) => /useMutation</.test(text.replace(readOnly, ''))).map(([file]) => file)).toEqual([
    'api/change.ts',
  ]);
});

const serve = () => all.find(({ name }) => name === 'serve') as (typeof all)[number];
const written = (isUndone: boolean) => ({
  status: 409,
  body: {
    message: { code: 'errors.saved_differently', values: {} },
    written: {
      at: '2026-03-02T08:00:00Z',
      isUndone,
      answer: { id: 's1', grams: 30, batchName: 'Beets', personName: 'Ilka' },
    },
  },
});

it('leaves what was saved before as it is', async () => {
  const sent = server(() => written(false));
  const told: unknown[] = [];
  const answer = await press(serve(), ((...asked: unknown[]) => {
    told.push(asked.slice(1));
    return leave();
  }) as typeof leave);

  expect(answer).toMatchObject({ id: 's1' });
  expect(told).toEqual([['30 g of Beets for Ilka', true]]);
  expect(sent).toHaveLength(1);
});

it('makes of what was saved before what is typed now, under a key of its own', async () => {
  const sent = server((number) => (number === 1 ? written(false) : number === 2 ? 'lost' : ok()));
  const change = () => Promise.resolve<Choice>('change');
  await expect(press(serve(), change)).rejects.toMatchObject({ status: 0 });
  const again = server((number) => (number === 1 ? written(false) : ok()));
  await press(serve(), change);

  expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual(['POST /api/servings', 'PUT /api/servings/s1']);
  expect(keysOf(again)).toEqual(keysOf(sent));
  expect(sent[1]?.key).not.toBe(sent[0]?.key);
});

it('saves as new what the cook wants as new, and what was removed again since', async () => {
  for (const isUndone of [true, false]) {
    const sent = server((number) => (number === 1 ? written(isUndone) : ok()));
    await press(serve(), () => Promise.resolve<Choice>('new'));

    expect(sent).toHaveLength(2);
    expect(sent[1]?.key).not.toBe(sent[0]?.key);
    expect(sent[1]?.path).toBe(sent[0]?.path);
  }
});

it('keeps two things apart that are done at once', async () => {
  const sent = server(() => 'lost');
  const two = { ...serve(), input: { ...(serve().input as object), personId: 'p2' } };
  for (const one of [serve(), two, serve(), two]) {
    await expect(press(one)).rejects.toMatchObject({ status: 0 });
  }

  expect(sent[0]?.key).toBe(sent[2]?.key);
  expect(sent[1]?.key).toBe(sent[3]?.key);
  expect(sent[0]?.key).not.toBe(sent[1]?.key);
});
