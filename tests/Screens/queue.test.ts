import { QueryClient } from '@tanstack/react-query';
import { beforeEach, expect, it, vi } from 'vitest';
import { changes } from '../../web/src/api/change';
import { Intentions, type KeyStore } from '../../web/src/api/intentions';
import { momentIn, subjectsOf, WriteQueue, type Waiting } from '../../web/src/api/queue';
import { sendWaiting } from '../../web/src/api/send';
import { packed } from '../../web/src/api/parcel';
import { ok, server } from './server';
import '../../web/src/api/counter';
import '../../web/src/api/intake';
import '../../web/src/api/kitchen';
import '../../web/src/api/planning';
import '../../web/src/api/queries';
import '../../web/src/api/tending';

/*
 * What waits on the device while the network is away: sent once, in order, each under its own key; what is refused holds
 * back only what is about the same jar.
 */

const JAR = '01m8n05rx9pr2tk3qtdnrjpfrj';
const OTHER = '01m8n05rx9pr2tk3qtdnrjpfrk';

let store: KeyStore;
let queue: WriteQueue;

beforeEach(() => {
  const kept = new Map<string, string>();
  store = { getItem: (name) => kept.get(name) ?? null, setItem: (name, value) => void kept.set(name, value) };
  queue = new WriteQueue(store);
  queue.belongsTo('kitchen one');
});

function waiting(step: string, batch = JAR, daysAgo = 0): Omit<Waiting, 'about' | 'refused' | 'rather'> {
  const at = new Date(Date.now() - daysAgo * 86_400_000).toISOString();
  return {
    key: `01K${step.toUpperCase().padEnd(23, '0')}`,
    intention: `do a step ${batch} ${step}`,
    name: 'do a step',
    params: [batch],
    input: { step, at },
    at,
    ahead: 0,
  };
}

const send = () => sendWaiting(queue, new QueryClient());
const names = () => queue.all().map(({ intention }) => intention.split(' ').at(-1));

it('sends in the order in which it was done, each once and under its key', async () => {
  queue.add(waiting('drain'));
  queue.add(waiting('rinse'));
  const sent = server(() => ok());
  expect(await send()).toBe(2);
  expect(sent.map(({ path }) => path.split('/').at(-2))).toEqual(['drain', 'rinse']);
  expect(new Set(sent.map(({ key }) => key)).size).toBe(2);
  expect(queue.all()).toEqual([]);
  expect(await send()).toBe(0);
});

it('is one change, however often it is done while it waits', () => {
  queue.add(waiting('drain'));
  queue.add(waiting('drain'));
  expect(names()).toEqual(['drain']);
});

it('stops where there is no answer, and goes on from there', async () => {
  queue.add(waiting('drain'));
  queue.add(waiting('rinse'));
  const first = server((number) => (number === 2 ? 'lost' : ok()));
  expect(await send()).toBe(1);
  expect(names()).toEqual(['rinse']);
  const second = server(() => ok());
  expect(await send()).toBe(1);
  expect(second[0]?.key).toBe(first[1]?.key);
});

it('holds back what depends on something that was refused, and nothing else', async () => {
  queue.add(waiting('drain'));
  queue.add(waiting('rinse'));
  queue.add(waiting('stir', OTHER));
  const sent = server((_, { path }) =>
    path.includes('drain') ? { status: 422, body: { message: null, errors: {} } } : ok(),
  );
  expect(await send()).toBe(1);
  expect(sent.map(({ path }) => path.split('/').at(-2))).toEqual(['drain', 'stir']);
  expect(names()).toEqual(['drain', 'rinse']);
  expect(queue.all()[0]?.refused).not.toBeNull();
  // Discarding it lets the rest go.
  queue.discard(queue.all()[0]?.key ?? '');
  server(() => ok());
  expect(await send()).toBe(1);
});

it('takes what was written under its key already for done', async () => {
  queue.add(waiting('drain'));
  server(() => ({
    status: 409,
    body: { message: null, written: { operation: 'POST', at: '', isUndone: false, answer: {} } },
  }));
  expect(await send()).toBe(1);
  expect(queue.all()).toEqual([]);
});

it('does not send what is older than a fortnight, nor anything after signing out', async () => {
  queue.add(waiting('drain', JAR, 15));
  const sent = server(() => ok());
  expect(await send()).toBe(0);
  expect(sent).toEqual([]);
  expect(queue.all()[0]?.refused).not.toBeNull();
  queue.discard(queue.all()[0]?.key ?? '');

  queue.add(waiting('rinse'));
  server(() => ({ status: 401, body: {} }));
  expect(await send()).toBe(0);
  expect(names()).toEqual(['rinse']);
});

it('outlives the tab, and belongs to its kitchen alone', () => {
  queue.add(waiting('drain'));
  const again = new WriteQueue(store);
  expect(again.all()).toEqual([]);
  again.belongsTo('another kitchen');
  expect(again.all()).toEqual([]);
  again.belongsTo('kitchen one');
  expect(again.all().map(({ input }) => (input as { step: string }).step)).toEqual(['drain']);
  again.clear();
  queue.changed();
  expect(queue.all()).toEqual([]);
});

it('knows what a change is about by the ids in it', () => {
  expect(subjectsOf([JAR], { step: OTHER.toUpperCase(), grams: 12 })).toEqual([JAR, OTHER]);
  expect(subjectsOf([], { amount: '30 g' })).toEqual([]);
  // Two things eaten by the same person do not depend on each other.
  expect(subjectsOf([null], { personId: OTHER, batchId: JAR, saltId: OTHER })).toEqual([JAR]);
});

it('keeps the key of what waits until it is settled', () => {
  const keys = new Intentions(store, () => `01K${Math.random().toString().slice(2, 12)}`);
  const key = keys.keyOf('do a step b1 s1');
  expect(keys.keyOf('do a step b1 s1')).toBe(key);
  keys.answered('do a step b1 s1');
  expect(keys.keyOf('do a step b1 s1')).not.toBe(key);
});

it('says when it was done to the server, with photos as they were taken', async () => {
  vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no picture')));
  const photo = new File(['a picture'], 'jar.jpg', { type: 'image/jpeg' });
  const input = await packed({ text: 'fizzes', photo });
  expect(JSON.parse(JSON.stringify(input))).toEqual(input);
  const at = new Date(Date.now() - 3_600_000).toISOString();
  queue.add({ ...waiting('note'), name: 'write a note', intention: 'write a note', input, at });
  const sent = server(() => ok());
  const files: unknown[] = [];
  vi.spyOn(FormData.prototype, 'append').mockImplementation((_, value) => void files.push(value));
  expect(await send()).toBe(1);
  expect(sent.map(({ path }) => path)).toEqual([`/api/batches/${JAR}/notes`, '/api/notes/01ANSWERED/photo']);
  expect(sent.map(({ doneAt }) => doneAt)).toEqual([at, at]);
  expect(await packed({ photo: files[0] })).toEqual({ photo: (input as { photo: unknown }).photo });
  expect((files[0] as File).size).toBe('a picture'.length);
  vi.restoreAllMocks();
  // What is done now says nothing of when.
  await changes.get('write a note')?.make(...([JAR] as never[]))({ text: '', photo: null } as never, waiting('x').key);
  expect(sent.at(-1)?.doneAt).toBeNull();
});

it.each([
  ['the same clock', 0, 0, null],
  ['a clock that always was wrong', 600_000, 600_000, null],
  ['a clock that was put right', 600_000, 0, -600_000],
  ['a clock that nobody had compared', null, -300_000, -300_000],
  ['a clock two minutes off', 0, 119_000, null],
])('asks when it was: %s', async (_, then, now, off) => {
  const one = waiting('drain');
  queue.add({ ...one, ahead: then });
  queue.add(waiting('rinse', OTHER));
  queue.compare(now ?? 0);
  const [drain] = queue.all();
  expect(drain?.rather).toBe(off === null ? null : new Date(Date.parse(one.at) + off).toISOString());
  if (off !== null) {
    server(() => ok());
    const right = drain?.rather ?? '';
    expect(queue.next()?.params).not.toEqual([JAR]);
    queue.wasAt(one.key, right, now ?? 0);
    queue.compare(now ?? 0);
    expect(queue.next()).toMatchObject({ at: right, rather: null, input: { step: 'drain', at: right } });
  }
});

it('keeps every change but those that must be answered at once', () => {
  expect([...changes.values()].flatMap(({ name, waits }) => (waits === 'never' ? [name] : [])).toSorted()).toEqual([
    'answer a drawn jar',
    'enter the demo',
    'import a kitchen',
    'import a log',
    'import formulas',
    'import intake',
    'make a calendar link',
    'open a kitchen',
    'release a batch',
    'revoke the calendar link',
    'sign in',
    'sign out',
  ]);
});

it('takes its moment from a change that names one, and from no word or list', () => {
  expect(momentIn({ step: 's1', at: '2026-03-02T08:00:00Z' })).toBe('2026-03-02T08:00:00Z');
  for (const input of [JAR, ['m1', 'm2'], null, undefined, 12, { batch: JAR }, { at: null }]) {
    expect(momentIn(input)).toBeNull();
  }
});
