import type { LabelSodium } from '../api/client';

/** So much of the same, as its label says it: what was eaten is scaled, what a hundred grams or a portion hold is not. */
export function scaled(how: LabelSodium, share: number): LabelSodium {
  const times = (value: number | undefined) =>
    value === undefined ? undefined : Math.round(value * share * 100) / 100;
  switch (how.by) {
    case 'mg':
      return { ...how, milligrams: times(how.milligrams) };
    case 'salt':
      return { ...how, saltG: times(how.saltG) };
    case 'per_100g':
      return { ...how, grams: times(how.grams) };
    case 'per_portion':
      return { ...how, portions: times(how.portions) };
  }
}
