import { useKitchen } from '../api/queries';
import { t } from '../messages/words';
import { number } from './numbers';
import { fahrenheit } from './units';

export interface Degrees {
  /** "21 °C" or "70 °F", as this kitchen reads its thermometer. */
  say: (celsius: number) => string;
  /** The number alone. */
  number: (celsius: number) => string;
}

/** Temperatures in the kitchen's own degrees. */
export function useDegrees(): Degrees {
  const usesFahrenheit = useKitchen().data?.usesFahrenheit ?? false;
  const shown = (celsius: number): string => (usesFahrenheit ? number(fahrenheit(celsius), 0) : number(celsius, 1));

  return {
    number: shown,
    say: (celsius) => t('amount.degrees', { degrees: shown(celsius), isFahrenheit: usesFahrenheit }),
  };
}
