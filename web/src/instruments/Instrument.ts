import { t } from '../messages/words';

/** What an instrument can measure; a field says which of these it takes. */
export const MEASURES = ['weight', 'temperature', 'strength', 'ph'] as const;

export type Measure = (typeof MEASURES)[number];

/** What stands on an instrument's display. */
export interface Reading {
  /** In the instrument's unit, rounded to what its display can show. */
  value: number;
  /** Whether the display has come to rest. */
  isSettled: boolean;
  /** Why there is no value, in a sentence; null when there is one. */
  fault: string | null;
}

/**
 * Anything in the kitchen that measures. The application asks only this much, so that a device behind a cable or a
 * radio can stand in the place of a simulated one.
 */
export interface Instrument {
  readonly measure: Measure;
  readonly name: string;
  /** As it is written after the number. */
  readonly unit: string;
  /** Digits behind the decimal point. */
  readonly digits: number;
  read(): Reading;
  /** Sets what is on it to nothing, where the instrument can do that. */
  tare?(): void;
}

/** A room's temperature at a moment. */
export interface Logged {
  /** ISO 8601. */
  at: string;
  celsius: number;
}

/** Anything that keeps a place's temperatures until they are fetched. */
export interface Logger {
  readonly name: string;
  /** What it has kept, oldest first. */
  fetch(): Logged[];
}

/** How long a display may take to come to rest, in ms. */
const PATIENCE = 4000;

/** How often a display is looked at while it comes to rest, in ms. */
const GLANCE = 60;

/** The reading once the display has come to rest; the last one, with a fault, when it never does. */
export async function settled(instrument: Instrument, wait: (ms: number) => Promise<void> = sleep): Promise<Reading> {
  for (let waited = 0; waited <= PATIENCE; waited += GLANCE) {
    const reading = instrument.read();
    if (reading.isSettled || reading.fault !== null) {
      return reading;
    }
    await wait(GLANCE);
  }
  return { ...instrument.read(), fault: t('instrument.unsteady', { instrument: instrument.name }) };
}

const sleep = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
