import { useKitchen } from '../api/queries';
import { t } from '../messages/words';
import { number } from './numbers';

export interface Lengths {
  /** "20 mm" or "0.79 in", as this kitchen measures. */
  say: (millimetres: number) => string;
}

/** Lengths in the kitchen's own measure. */
export function useLengths(): Lengths {
  const usesInches = useKitchen().data?.usesInches ?? false;

  return {
    say: (millimetres) =>
      t('amount.length', {
        length: usesInches ? number(millimetres / 25.4, 2) : number(millimetres, 0),
        isInches: usesInches,
      }),
  };
}
