import { describe, expect, it } from 'vitest';
import { scaled } from '../../web/src/app/labelSodium';

describe('a share of what was eaten', () => {
  it('scales what was eaten, whichever way the label says it', () => {
    expect(scaled({ by: 'mg', milligrams: 333 }, 0.5)).toEqual({ by: 'mg', milligrams: 166.5 });
    expect(scaled({ by: 'salt', saltG: 1.5 }, 2)).toEqual({ by: 'salt', saltG: 3 });
    expect(scaled({ by: 'per_100g', sodiumMg: 400, grams: 80 }, 0.25)).toEqual({
      by: 'per_100g',
      sodiumMg: 400,
      grams: 20,
    });
    expect(scaled({ by: 'per_portion', saltG: 0.8, portions: 1 }, 1.5)).toEqual({
      by: 'per_portion',
      saltG: 0.8,
      portions: 1.5,
    });
  });

  it('leaves open what was open', () => {
    expect(scaled({ by: 'per_100g', sodiumMg: 400 }, 0.5)).toEqual({ by: 'per_100g', sodiumMg: 400 });
  });
});
