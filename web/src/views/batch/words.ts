import type { Batch } from '../../api/client';
import { shade } from '../../drawings/jarShape';

/** How the parts of a jar are called. */
export const phaseWords = { pieces: 'pieces', brine: 'brine', sauce: 'sauce' } as const;

/** How the sides of the salt flow are called. */
export const streamWords: Record<string, string> = {
  salt: 'salt',
  produce: 'produce',
  dressing: 'dressing',
  starter: 'starter',
  added: 'topped up',
  correction: 'readings',
  pieces: 'in the pieces',
  brine: 'in the brine',
  sauce: 'in the sauce',
  eaten: 'eaten',
  given: 'given on',
  poured_off: 'poured off',
  rinsed: 'rinsed off',
  squeezed: 'squeezed out',
  ran_over: 'ran over',
  not_used: 'not used',
};

/** The colour of a part of the jar or of a way that its salt took. */
export function streamColour(batch: Pick<Batch, 'colour'>, name: string): string {
  switch (name) {
    case 'pieces':
    case 'sauce':
    case 'produce':
      return batch.colour;
    case 'brine':
      return '#b3a04f';
    case 'salt':
      return '#8f9aa1';
    case 'dressing':
      return '#a8562a';
    case 'starter':
    case 'added':
      return '#8a8f4a';
    case 'eaten':
      return shade(batch.colour, -0.45);
    case 'given':
      return '#6f8fa0';
    default:
      return '#a0978c';
  }
}
