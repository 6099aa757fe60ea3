import type { Sodium } from '../api/client';

const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 });
const tenths = new Intl.NumberFormat('en', { maximumFractionDigits: 1 });
const hundredths = new Intl.NumberFormat('en', { maximumFractionDigits: 2 });

/** "1,460 mg" */
export const mg = (milligrams: number): string => `${whole.format(milligrams)} mg`;

/** Grams with a tenth where it matters. */
export const grams = (value: number): string => `${(value < 100 ? tenths : whole).format(value)} g`;

export const ml = (value: number): string => `${whole.format(value)} ml`;

export const percent = (value: number, digits = 1): string =>
  `${(digits === 1 ? tenths : hundredths).format(value)} %`;

/** "330 mg", as on a label. */
export const sodium = (value: Sodium): string => mg(value.shown);

/** "320-340 mg", or nothing where the band is narrower than the label's rounding. */
export const sodiumBand = (value: Sodium): string =>
  value.shownLow === value.shownHigh ? '' : `${whole.format(value.shownLow)}–${mg(value.shownHigh)}`;
