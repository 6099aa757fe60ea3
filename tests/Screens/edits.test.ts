import { expect, it } from 'vitest';
import { changed, rebased } from '../../web/src/api/edits';

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
