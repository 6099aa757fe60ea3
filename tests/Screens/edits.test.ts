import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook } from '@testing-library/react';
import { createElement, type ReactNode } from 'react';
import { afterEach, expect, it } from 'vitest';
import { changed, rebased, useEdits } from '../../web/src/api/edits';
import { Refusal } from '../../web/src/api/client';

afterEach(() => {
  cleanup();
  sessionStorage.clear();
});

const queries = new QueryClient();

/** A drawer over something of a version. */
const editing = (version: number, name: string) =>
  renderHook((now) => useEdits('person one', now, { name: '', targetMg: 0 }), {
    initialProps: { version, fields: { name, targetMg: 2000 } },
    wrapper: ({ children }: { children: ReactNode }) =>
      createElement(QueryClientProvider, { client: queries }, children),
  });

it('shows what is newest as long as nothing was typed, and never an older one', () => {
  const drawer = editing(3, 'Ilka');
  drawer.rerender({ version: 4, fields: { name: 'Ilka M.', targetMg: 2000 } });
  expect(drawer.result.current.fields.name).toBe('Ilka M.');
  drawer.rerender({ version: 3, fields: { name: 'Ilka', targetMg: 2000 } });
  expect(drawer.result.current.body()).toEqual({ version: 4 });
  act(() => drawer.result.current.change({ targetMg: 1800 }));
  drawer.rerender({ version: 5, fields: { name: 'Somebody', targetMg: 2000 } });
  // It was open at 4, and is told so when it is sent.
  expect(drawer.result.current.body()).toEqual({ version: 4, targetMg: 1800 });
  act(() => drawer.result.current.onError(new Refusal(409, 'changed', { version: ['changed'] })));
  expect(drawer.result.current.body()).toEqual({ version: 5, targetMg: 1800 });
  expect(drawer.result.current.fields.name).toBe('Somebody');
});

it('goes on after a reload from the version on which it was typed', () => {
  const before = editing(3, 'Ilka');
  act(() => before.result.current.change({ targetMg: 1800 }));
  const after = editing(4, 'Ilka M.');
  expect(after.result.current.body()).toEqual({ version: 3, targetMg: 1800 });
});

/** Small whole numbers that follow from a printed seed. */
function rolls(seed: number) {
  let state = seed;
  return (below: number): number => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}

const ALLERGENS = ['milk', 'egg', 'fish', 'soya', 'celery', 'mustard'];

it('sends what changed, and of a list what was added and what was removed', () => {
  const before = { name: 'Ilka', targetMg: 2000, allergens: ['milk', 'egg'], rest: { '1': { noon: 400 } } };

  expect(changed(before, { ...before })).toEqual({});
  expect(changed(before, { ...before, rest: { '1': { noon: 400 } } })).toEqual({});
  expect(changed(before, { ...before, name: 'Ilka M.', allergens: ['egg', 'fish'] })).toEqual({
    name: 'Ilka M.',
    allergens: { added: ['fish'], removed: ['milk'] },
  });
});

it('puts own changes on top of those of another window; what neither removed stays', () => {
  const seed = Date.now() % 1_000_000;
  const roll = rolls(seed);
  const some = () => ALLERGENS.filter(() => roll(2) === 1);
  for (let round = 0; round < 500; round++) {
    const [base, mine, theirs] = [some(), some(), some()].map((allergens) => ({
      allergens,
      targetMg: 1000 + roll(3),
      name: ['a', 'b', 'c'][roll(3)] ?? '',
    })) as [Person, Person, Person];
    const now = rebased(base, mine, theirs);
    const says = `seed ${String(seed)}, round ${String(round)}`;

    for (const one of ALLERGENS) {
      const [was, here, there] = [base, mine, theirs].map(({ allergens }) => allergens.includes(one));
      expect(
        now.allergens.filter((other) => other === one),
        says,
      ).toHaveLength(was === here ? Number(there) : Number(here));
    }
    expect(now.targetMg, says).toBe(mine.targetMg === base.targetMg ? theirs.targetMg : mine.targetMg);
    expect(now.name, says).toBe(mine.name === base.name ? theirs.name : mine.name);
  }
});

interface Person {
  allergens: string[];
  targetMg: number;
  name: string;
}
