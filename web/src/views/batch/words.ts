import { t } from '../../messages/words';
import type { Batch } from '../../api/client';
import { shade } from '../../drawings/jarShape';

/** How the parts of a jar are called. */
export const phaseWords = {
  pieces: t('phase.pieces'),
  brine: t('phase.brine'),
  sauce: t('phase.sauce'),
} as const;

/** How the sides of the salt flow are called. */
export const streamWords: Record<string, string> = {
  salt: t('stream.salt'),
  produce: t('stream.produce'),
  dressing: t('stream.dressing'),
  starter: t('stream.starter'),
  added: t('stream.topped_up'),
  correction: t('stream.readings'),
  pieces: t('stream.pieces'),
  brine: t('stream.brine'),
  sauce: t('stream.sauce'),
  eaten: t('stream.eaten'),
  given: t('stream.given'),
  poured_off: t('stream.poured_off'),
  rinsed: t('stream.rinsed_off'),
  squeezed: t('stream.squeezed_out'),
  ran_over: t('stream.ran_over'),
  not_used: t('stream.not_used'),
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
