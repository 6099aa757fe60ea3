import type { AmountAnswer, AmountOf } from '../api/amounts';
import type { Kitchen } from '../api/client';
import { fahrenheit, readerUnits } from '../messages/readerUnits';

/** What a box measures, and so in which unit its number is kept. */
export type Measure =
  'grams' | 'millilitres' | 'percent' | 'length' | 'temperature' | 'warmth' | 'days' | 'hours' | 'minutes' | 'seconds';

type ReadUnit = NonNullable<AmountAnswer['reading']>['unit'];

export interface Scale {
  /** The field for which a phrase is read, none where only a number is; and the unit in which it comes back. */
  kind: AmountOf['kind'] | null;
  readAs: ReadUnit;
  /** The unit in the box, by its name in the catalogue. */
  unit:
    | 'gram'
    | 'millilitre'
    | 'percent'
    | 'millimetre'
    | 'inch'
    | 'celsius'
    | 'fahrenheit'
    | 'days'
    | 'hour'
    | 'minute'
    | 'second';
  decimals: 0 | 1 | 2;
  /** From what is kept to what is shown, and back. */
  shown: (kept: number) => number;
  stored: (shown: number) => number;
  fromReading: (read: number) => number;
}

const same = (value: number): number => value;

const plain = (kind: Scale['kind'], readAs: ReadUnit, unit: Scale['unit'], decimals: Scale['decimals']): Scale => ({
  kind,
  readAs,
  unit,
  decimals,
  shown: same,
  stored: same,
  fromReading: same,
});

/** In which unit the reader's kitchen sees such a measure. */
export function scaleOf(measure: Measure): Scale {
  const { usesInches, usesFahrenheit } = readerUnits();
  switch (measure) {
    case 'grams':
      return plain('amount', 'g', 'gram', 1);
    case 'millilitres':
      return plain('amount', 'ml', 'millilitre', 0);
    case 'length':
      return usesInches
        ? {
            ...plain('length', 'mm', 'inch', 2),
            shown: (mm) => mm / 25.4,
            stored: (inches) => inches * 25.4,
          }
        : plain('length', 'mm', 'millimetre', 1);
    case 'temperature':
      return usesFahrenheit
        ? {
            ...plain('temperature', 'C', 'fahrenheit', 0),
            shown: fahrenheit,
            stored: (degrees) => ((degrees - 32) * 5) / 9,
          }
        : plain('temperature', 'C', 'celsius', 1);
    case 'percent':
      return plain('strength', '%', 'percent', 2);
    case 'warmth':
      return usesFahrenheit
        ? {
            ...plain(null, 'C', 'fahrenheit', 1),
            shown: (degrees) => (degrees * 9) / 5,
            stored: (degrees) => (degrees * 5) / 9,
          }
        : plain(null, 'C', 'celsius', 1);
    case 'days':
      return { ...plain('duration', 'h', 'days', 2), fromReading: (hours) => hours / 24 };
    case 'minutes':
      return { ...plain('duration', 'h', 'minute', 0), fromReading: (hours) => hours * 60 };
    case 'hours':
      return plain('duration', 'h', 'hour', 2);
    default:
      return { ...plain('duration', 'h', 'second', 0), fromReading: (hours) => hours * 3600 };
  }
}

type Units = Pick<Kitchen, 'spoonSystem' | 'usesInches' | 'usesFahrenheit' | 'measureBy'>;

const INCHES = ['US', 'LR', 'PR', 'GU', 'VI'];
const IMPERIAL = ['GB', 'IE', 'IM', 'JE', 'GG', 'GI', 'MT'];

/** How kitchens of the reader's region usually measure; the cook can say otherwise. */
export function usualUnits(locale: string, timeZone: string): Units {
  const asked = new Intl.Locale(locale);
  const region = asked.region ?? regionOf(timeZone) ?? asked.maximize().region ?? '';
  const isUs = INCHES.includes(region);

  return {
    spoonSystem: isUs ? 'us' : region === 'AU' ? 'australian' : IMPERIAL.includes(region) ? 'imperial' : 'metric',
    usesInches: isUs,
    usesFahrenheit: isUs,
    measureBy: isUs ? 'spoons' : 'grams',
  };
}

const regionOf = (timeZone: string): string | undefined =>
  timeZone.startsWith('Australia/') ? 'AU' : timeZone === 'Europe/London' ? 'GB' : undefined;
