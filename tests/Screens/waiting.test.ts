import { beforeEach, expect, it, vi } from 'vitest';
import { changes } from '../../web/src/api/change';
import { packed, unpacked } from '../../web/src/api/parcel';
import type { Waiting } from '../../web/src/api/queue';
import { changeWords, pageOf } from '../../web/src/app/changeWords';
import { tried } from './changes';
import '../../web/src/api/counter';
import '../../web/src/api/intake';
import '../../web/src/api/kitchen';
import '../../web/src/api/planning';
import '../../web/src/api/queries';
import '../../web/src/api/tending';

/*
 * What waits is said in words, leads to a page where it can be done otherwise, and is the same after it was packed.
 */

// No picture can be drawn here: photos go as they are.
beforeEach(() => void vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no picture'))));

const waiting = (name: string, params: unknown[], input: unknown): Waiting => ({
  key: '01K00000000000000000000000',
  intention: name,
  name,
  params,
  input,
  at: '2026-03-02T08:00:00Z',
  about: [],
  ahead: 0,
  refused: null,
  rather: null,
});

const waits = [...changes.values()].filter((change) => change.waits !== 'never').map(({ name }) => name);

it.each(waits)('is said in words: %s', (name) => {
  expect(changeWords(name)).not.toBe('');
  expect(changeWords(name)).not.toContain('queue.');
});

it('says what is common by its own name', () => {
  expect(changeWords('do a step')).toBe('A step at the counter');
  expect(changeWords('serve')).toBe('A serving');
  expect(changeWords('write other food')).toBe('Something else that was eaten');
  expect(changeWords('start a batch')).toBe('A new jar');
  expect(changeWords('change a formula')).toBe('A formula');
  expect(changeWords('write a note')).toBe('A note');
  expect(changeWords('save a salt')).toBe('A change');
});

it.each([
  ['do a step', ['b1'], { step: 's1' }, '/counter/b1'],
  ['write an entry', ['b1'], {}, '/shelf/b1'],
  ['write a note', ['b1'], {}, '/shelf/b1/log'],
  ['move a jar', [], { batch: 'b2', place: 'fridge' }, '/shelf/b2'],
  ['serve', [], {}, '/today'],
  ['write other food', [null], {}, '/today'],
  ['start a batch', [], {}, '/bench'],
  ['start from a formula', ['f1'], {}, '/formulas/f1'],
  ['save a salt', [null], {}, null],
])('leads to where it can be done otherwise: %s', (name, params, input, page) => {
  expect(pageOf(waiting(name, params, input))).toBe(page);
});

it.each(waits.filter((name) => name in tried))('is the same after it was packed: %s', async (name) => {
  const [one] = [tried[name] ?? []].flat();
  const input = JSON.parse(JSON.stringify((await packed(one?.input)) ?? null)) as unknown;
  expect(await unpacked(input)).toEqual(one?.input ?? null);
});
