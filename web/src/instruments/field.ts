import { t } from '../messages/words';
import { MEASURES, type Measure } from './Instrument';

/** The attribute by which a field says what it takes from an instrument. */
const TAKES = 'takes';

/** What a field takes, or null for one that takes nothing from an instrument. */
export function takenBy(field: Element | null): Measure | null {
  const takes = field instanceof HTMLInputElement ? field.dataset[TAKES] : undefined;
  return MEASURES.find((measure) => measure === takes) ?? null;
}

/** How a field is called on the screen. */
export function nameOf(field: HTMLInputElement): string {
  return field.ariaLabel ?? field.labels?.[0]?.textContent ?? t('instrument.field');
}

/** Puts text into a field as if the cook had typed it, so that whoever owns the field hears of it. */
export function type(field: HTMLInputElement, text: string): void {
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
  set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** A reading as a field takes it: fields of numbers alone say their unit themselves. */
export function textFor(field: HTMLInputElement, value: number, digits: number, unit: string): string {
  const number = value.toFixed(digits);
  return field.role === 'spinbutton' || unit === '%' || unit === 'pH' ? number : `${number} ${unit}`;
}
