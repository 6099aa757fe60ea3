import { act, useState } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { NumberBox } from '../../web/src/app/NumberBox';

let root: Root;
let place: HTMLElement;
let said: (number | null)[];

function Held({ first }: { first: number | null }) {
  const [value, setValue] = useState(first);

  return (
    <NumberBox
      aria-label="Headspace"
      value={value}
      onChange={(next) => {
        said.push(next);
        setValue(next);
      }}
    />
  );
}

const box = () => place.querySelector('input') ?? document.createElement('input');
const complaint = () => place.querySelector('[role=alert]')?.textContent ?? null;

async function show(first: number | null): Promise<void> {
  await act(() => {
    root.render(<Held first={first} />);
  });
}

/** As a cook does it: the text, letter by letter, and on to the next field. */
async function fill(text: string): Promise<void> {
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
  await act(() => {
    box().focus();
  });
  for (let letters = 0; letters <= text.length; letters++) {
    await act(() => {
      set?.call(box(), text.slice(0, letters));
      box().dispatchEvent(new Event('input', { bubbles: true }));
    });
  }
  await act(() => {
    box().blur();
  });
}

beforeEach(() => {
  vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', true);
  said = [];
  place = document.createElement('div');
  document.body.append(place);
  root = createRoot(place);
});

afterEach(async () => {
  await act(() => {
    root.unmount();
  });
  place.remove();
});

test.each([
  ['22,5', 22.5],
  ['22.5', 22.5],
  ['1 1/2', 1.5],
  ['3/4', 0.75],
  ['½', 0.5],
  ['1,250', 1250],
  ['-3', -3],
])('%s comes to %d', async (typed, value) => {
  await show(20);
  await fill(typed);

  expect(said.at(-1)).toBe(value);
  expect(complaint()).toBeNull();
});

test.each(['a thumb', '10 d', '38 F', '1-2', '1,2,3'])('"%s" is named, and the number stays', async (typed) => {
  await show(20);
  await fill(typed);

  expect(complaint()).toContain(typed);
  expect(complaint()).toContain('not a number');
  expect(box().getAttribute('aria-invalid')).toBe('true');
  // On the way some of it may have been a number; the box goes back to the one it had.
  expect(complaint()).toContain('still 20');
  expect(said.at(-1)).toBe(20);
  expect(box().value).toBe('20');
});

test('a complaint goes when the next number comes', async () => {
  await show(20);
  await fill('abc');
  expect(complaint()).not.toBeNull();
  await fill('25');

  expect(complaint()).toBeNull();
  expect(said.at(-1)).toBe(25);
});

test('an emptied box says that it is empty, without a complaint', async () => {
  await show(20);
  await fill('');

  expect(said.at(-1)).toBeNull();
  expect(complaint()).toBeNull();
});

test('an empty box takes an example where it kept no number', async () => {
  await show(null);
  await fill('lots');

  expect(complaint()).toBe('“lots” is not a number. Enter one such as 2 or 1.5.');
});
