export interface ReaderUnits {
  usesInches: boolean;
  usesFahrenheit: boolean;
}

let units: ReaderUnits = { usesInches: false, usesFahrenheit: false };

/** How the reader's kitchen measures, from here on. */
export function measureBy({ usesInches, usesFahrenheit }: ReaderUnits): void {
  units = { usesInches, usesFahrenheit };
}

export const readerUnits = (): ReaderUnits => units;

export const fahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;

/**
 * What a sentence is filled with, and beside it the same in the other units: a sentence chooses by isFahrenheit and
 * isInches, as Words does in PHP.
 */
export function inReaderUnits<V>(values: Record<string, V>): Record<string, V | number | boolean> {
  const { celsius, millimetres } = values;

  return {
    ...values,
    isFahrenheit: units.usesFahrenheit,
    isInches: units.usesInches,
    ...(typeof celsius === 'number'
      ? { fahrenheit: Math.round(fahrenheit(celsius)), fahrenheitApart: Math.round(celsius * 18) / 10 }
      : {}),
    ...(typeof millimetres === 'number' ? { inches: Math.round(millimetres / 2.54) / 10 } : {}),
  };
}
