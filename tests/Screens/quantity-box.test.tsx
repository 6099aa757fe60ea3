import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, useState } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { QuantityBox } from '../../web/src/app/QuantityBox';
import type { Measure } from '../../web/src/app/units';
import { useOnceRead } from '../../web/src/app/unread';
import { measureBy } from '../../web/src/messages/readerUnits';
import { ok, server } from './server';

let root: Root;
let place: HTMLElement;
let kept: (number | null)[];
let sent: (number | null)[];

function Form({ first, measures }: { first: number | null; measures: Measure }) {
  const [value, setValue] = useState(first);
  const send = useOnceRead(() => sent.push(value));

  return (
    <form>
      <QuantityBox
        measures={measures}
        aria-label="How much"
        value={value}
        change={(next) => {
          kept.push(next);
          setValue(next);
        }}
      />
      <button type="button" onClick={(event) => send(event.target)}>
        Save
      </button>
    </form>
  );
}

const box = () => place.querySelector('input') ?? document.createElement('input');
const text = (role: string) => place.querySelector(`[role=${role}]`)?.textContent ?? null;

const show = (first: number | null, measures: Measure) =>
  act(() => {
    root.render(
      <QueryClientProvider client={new QueryClient()}>
        <Form first={first} measures={measures} />
      </QueryClientProvider>,
    );
  });

const type = (typed: string) =>
  act(() => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(box(), typed);
    box().dispatchEvent(new Event('input', { bubbles: true }));
  });

const save = () =>
  act(() => {
    place.querySelector('button')?.click();
  });

/** What the server reads, a moment after it was typed. */
const rest = () => act(() => new Promise<void>((done) => setTimeout(done, 320)));

/** Until something has come about, however busy the machine is. */
async function until(isSo: () => boolean): Promise<void> {
  for (let tries = 0; tries < 100 && !isSo(); tries++) {
    await act(() => new Promise<void>((done) => setTimeout(done, 50)));
  }
}

const reading = (typical: number, unit: string) => ({
  reading: {
    kind: 'volume',
    unit,
    typical,
    low: typical,
    high: typical,
    isPlain: false,
    said: { code: 'say.plain', values: { text: `understood as ${String(typical)}` } },
  },
  question: null,
  offers: [],
  problem: null,
});

const refused = {
  reading: null,
  question: null,
  offers: [],
  problem: { code: 'errors.amount_unclear', values: { typed: 'plenty' } },
};

beforeEach(() => {
  vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', true);
  kept = [];
  sent = [];
  place = document.createElement('div');
  document.body.append(place);
  root = createRoot(place);
});

afterEach(async () => {
  await act(() => {
    root.unmount();
  });
  place.remove();
  vi.unstubAllGlobals();
  measureBy({ usesInches: false, usesFahrenheit: false });
});

test('a bare number is in the unit of the box, and is asked of nobody', async () => {
  const asked = server(() => ok(refused));
  await show(null, 'grams');
  await type('1,5');
  await rest();
  expect(kept.at(-1)).toBe(1.5);
  await type('1 1/2');
  await rest();
  expect(kept.at(-1)).toBe(1.5);
  expect(asked).toHaveLength(0);
});

test('a bare number in a kitchen of inches is inches', async () => {
  measureBy({ usesInches: true, usesFahrenheit: true });
  await show(20, 'length');
  expect(box().value).toBe('0.79');
  await type('3/4');
  expect(kept.at(-1)).toBeCloseTo(19.05, 9);
  await act(() => {
    root.render(null);
  });
  await show(20, 'temperature');
  expect(box().value).toBe('68');
});

test('a phrase counts once it was understood, and stays as it was typed', async () => {
  server(() => ok(reading(59, 'g')));
  await show(10, 'grams');
  await type('1/4 cup');
  expect(kept).toEqual([]);
  await until(() => kept.length > 0);
  expect(kept).toEqual([59]);
  expect(box().value).toBe('1/4 cup');
  expect(text('status')).toBe('understood as 59');
});

test('a form waits for what is being read, and sends that', async () => {
  server(() => ok(reading(59, 'g')));
  await show(10, 'grams');
  await type('1/4 cup');
  await save();
  expect(sent).toEqual([]);
  await until(() => sent.length > 0);
  expect(sent).toEqual([59]);
});

test('what cannot be read stays with its sentence, and nothing is sent', async () => {
  server(() => ok(refused));
  await show(10, 'grams');
  await type('plenty');
  await until(() => text('alert') !== null);
  expect(box().value).toBe('plenty');
  expect(text('alert')).toContain('plenty');
  await save();
  await rest();
  expect(sent).toEqual([]);
  await type('12');
  await save();
  expect(sent).toEqual([12]);
});

test('a reading in another unit than that of the box is none', async () => {
  server(() => ok(reading(3, '%')));
  await show(10, 'grams');
  await type('3 %');
  await rest();
  await save();
  expect(kept).toEqual([]);
  expect(sent).toEqual([]);
});

test('what is changed elsewhere is shown as it is', async () => {
  await show(10, 'grams');
  await type('12');
  await act(() => {
    root.render(null);
  });
  await show(33, 'grams');
  expect(box().value).toBe('33');
});

test('an emptied box is nothing', async () => {
  await show(10, 'grams');
  await type('');
  expect(kept).toEqual([null]);
  await save();
  expect(sent).toEqual([null]);
});
