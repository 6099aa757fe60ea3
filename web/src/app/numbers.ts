import { t } from '../messages/words';
import type { Sodium } from '../api/client';
import { readerLocale } from '../messages/catalogue';

const digits = (most: number) => {
  let format: Intl.NumberFormat | undefined;

  return (value: number): string =>
    (format ??= new Intl.NumberFormat(readerLocale(), { maximumFractionDigits: most })).format(value);
};

const whole = digits(0);
const tenths = digits(1);
const hundredths = digits(2);

/** A number as its reader writes it, with at most so many decimals. */
export const number = (value: number, decimals: 0 | 1 | 2 = 1): string =>
  (decimals === 0 ? whole : decimals === 1 ? tenths : hundredths)(value);

/** "1,460 mg" */
export const mg = (milligrams: number): string => t('amount.milligrams', { mg: whole(milligrams) });

/** Grams with a tenth where it matters. */
export const grams = (value: number): string =>
  t('amount.grams_shown', { grams: (value < 100 ? tenths : whole)(value) });

/** "21 °C" or "70 °F", as the reader's kitchen reads its thermometer. */
export const degrees = (celsius: number): string => t('unit.temperature', { celsius: Math.round(celsius * 10) / 10 });

/** "20 mm" or "0.8 in", as the reader's kitchen measures. */
export const length = (millimetres: number): string => t('unit.length', { millimetres: Math.round(millimetres) });

export const ml = (value: number): string => t('amount.millilitres', { ml: whole(value) });

export const percent = (value: number, decimals = 1): string =>
  t('amount.percent', { percent: (decimals === 1 ? tenths : hundredths)(value) });

/** "330 mg", as on a label. */
export const sodium = (value: Sodium): string => mg(value.shown);

/** With its band, where that is wider than its rounding. */
export const sodiumWithBand = (value: Sodium): string =>
  sodiumBand(value) === '' ? sodium(value) : `${sodium(value)} (${sodiumBand(value)})`;

/** "320-340 mg", or nothing where the band is narrower than the label's rounding. */
export const sodiumBand = (value: Sodium): string =>
  value.shownLow === value.shownHigh
    ? ''
    : t('amount.milligrams_range', { low: whole(value.shownLow), high: whole(value.shownHigh) });
