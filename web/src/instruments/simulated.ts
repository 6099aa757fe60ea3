import { t } from '../messages/words';
import type { Instrument, Logged, Logger, Measure, Reading } from './Instrument';

/** Milliseconds, from any origin. */
export type Clock = () => number;

/** Numbers from 0 to 1. */
export type Chance = () => number;

interface Make {
  measure: Measure;
  name: string;
  unit: string;
  digits: number;
  /** What it shows between, in its unit. */
  from: number;
  to: number;
  /** Milliseconds in which a difference falls to a third of itself: 1/e. */
  inertia: number;
  /** The most by which it is off at any moment, in its unit. */
  noise: number;
  /** What it says beyond its range. */
  beyond: string;
}

/**
 * A stand-in for a device: what is put on it shows by and by, with a tremble, and not beyond its range. Invented values
 * of ordinary kitchen devices.
 */
export class Simulated implements Instrument {
  readonly measure: Measure;
  readonly name: string;
  readonly unit: string;
  readonly digits: number;

  private readonly make: Make;
  private readonly clock: Clock;
  private readonly chance: Chance;
  private load: number;
  private shownThen: number;
  private changedAt: number;
  private zero = 0;

  constructor(make: Make, load: number, clock: Clock = () => performance.now(), chance: Chance = Math.random) {
    this.make = make;
    this.measure = make.measure;
    this.name = make.name;
    this.unit = make.unit;
    this.digits = make.digits;
    this.clock = clock;
    this.chance = chance;
    this.load = load;
    this.shownThen = load;
    this.changedAt = clock();
  }

  /** Something else lies on it, or it stands in something else. */
  put(load: number): void {
    this.shownThen = this.inside();
    this.changedAt = this.clock();
    this.load = load;
  }

  /** What lies on it. */
  get true(): number {
    return this.load;
  }

  /** What it shows at most and at least. */
  get range(): [number, number] {
    return [this.make.from, this.make.to];
  }

  read(): Reading {
    const inside = this.inside();
    if (inside > this.make.to || inside < this.make.from) {
      return { value: NaN, isSettled: true, fault: this.make.beyond };
    }
    const trembling = inside - this.zero + (this.chance() * 2 - 1) * this.make.noise;
    const step = 10 ** -this.digits;

    return {
      value: Number((Math.round(trembling / step) * step).toFixed(this.digits)),
      isSettled: Math.abs(this.load - inside) < step / 20,
      fault: null,
    };
  }

  protected setZero(): void {
    this.zero = this.inside();
  }

  /** What it has come to by now. */
  private inside(): number {
    const passed = this.clock() - this.changedAt;
    return this.load + (this.shownThen - this.load) * Math.exp(-passed / this.make.inertia);
  }
}

/** A kitchen scale to 5 kg in steps of 1 g, that can be set to nothing with a bowl on it. */
export class SimulatedScale extends Simulated {
  constructor(clock?: Clock, chance?: Chance) {
    super(
      {
        measure: 'weight',
        name: t('instrument.scale'),
        unit: 'g',
        digits: 0,
        from: 0,
        to: 5000,
        inertia: 220,
        noise: 0.4,
        beyond: t('instrument.overload'),
      },
      0,
      clock,
      chance,
    );
  }

  tare(): void {
    this.setZero();
  }
}

/** A thermometer with a probe. */
export class SimulatedThermometer extends Simulated {
  constructor(clock?: Clock, chance?: Chance) {
    super(
      {
        measure: 'temperature',
        name: t('instrument.thermometer'),
        unit: '°C',
        digits: 1,
        from: -20,
        to: 110,
        inertia: 450,
        noise: 0.04,
        beyond: t('instrument.temperature_range'),
      },
      20,
      clock,
      chance,
    );
  }
}

/** A salinity meter for brine, in per cent of its weight. */
export class SimulatedSalinityMeter extends Simulated {
  constructor(clock?: Clock, chance?: Chance) {
    super(
      {
        measure: 'strength',
        name: t('instrument.salinity_meter'),
        unit: '%',
        digits: 2,
        from: 0,
        to: 28,
        inertia: 350,
        noise: 0.004,
        beyond: t('instrument.salinity_range'),
      },
      2.5,
      clock,
      chance,
    );
  }
}

/**
 * pH of the two usual buffers at a temperature: potassium hydrogen phthalate and phosphate
 * (NIST, IUPAC 2002; from memory).
 */
export function bufferPh(name: Buffer, celsius: number): number {
  const table: readonly (readonly [number, number])[] = BUFFERS[name];
  const above = table.findIndex(([at]) => at >= celsius);
  const [warm, cool] = [table[Math.max(1, above)] ?? table.at(-1), table[Math.max(0, above - 1)] ?? table[0]];
  if (above === -1 || !warm || !cool) {
    return table.at(-1)?.[1] ?? NaN;
  }
  const share = Math.max(0, Math.min(1, (celsius - cool[0]) / (warm[0] - cool[0])));
  return cool[1] + share * (warm[1] - cool[1]);
}

export type Buffer = 'acid' | 'neutral';

const BUFFERS = {
  acid: [
    [5, 3.999],
    [10, 3.998],
    [15, 3.999],
    [20, 4.001],
    [25, 4.006],
    [30, 4.012],
    [35, 4.021],
    [40, 4.031],
  ],
  neutral: [
    [5, 6.951],
    [10, 6.923],
    [15, 6.9],
    [20, 6.881],
    [25, 6.865],
    [30, 6.853],
    [35, 6.844],
    [40, 6.838],
  ],
} as const;

/** Millivolts for each step of pH at a temperature: the slope of Nernst, R T ln 10 / F (CODATA constants). */
export const nernst = (celsius: number): number =>
  ((8.314462618 * (celsius + 273.15) * Math.LN10) / 96485.33212) * 1000;

const HOUR = 3_600_000;

/**
 * A pH meter: an electrode that gives a voltage, is a little weak and a little off, and drifts; and a display that
 * reckons the voltage back by its last calibration. Before two buffers it is not to be trusted, nor a day after them.
 */
export class SimulatedPhMeter extends Simulated {
  /** How far the electrode reaches of what theory says, and how far it is off at pH 7, in mV. */
  private static readonly WEAKNESS = 0.93;
  private static readonly OFF = -11;
  /** By which it goes off further, in mV an hour. */
  private static readonly DRIFT = 0.35;
  /** Milliseconds for which a calibration is good. */
  static readonly GOOD_FOR = 24 * HOUR;

  private readonly time: Clock;
  private readonly bornAt: number;
  private celsius = 20;
  private points: Partial<Record<Buffer, { volts: number; ph: number; at: number; celsius: number }>> = {};

  constructor(clock: Clock = () => performance.now(), chance: Chance = Math.random) {
    super(
      {
        measure: 'ph',
        name: t('instrument.ph_meter'),
        unit: 'pH',
        digits: 2,
        from: 0,
        to: 14,
        inertia: 600,
        noise: 0.004,
        beyond: t('instrument.ph_range'),
      },
      3.8,
      clock,
      chance,
    );
    this.time = clock;
    this.bornAt = clock();
  }

  /** The sample's temperature, which the meter measures with its own probe. */
  warm(celsius: number): void {
    this.celsius = celsius;
  }

  get temperature(): number {
    return this.celsius;
  }

  /** What the electrode gives for a pH, in mV. */
  private volts(ph: number): number {
    const hours = (this.time() - this.bornAt) / HOUR;
    return (
      (7 - ph) * nernst(this.celsius) * SimulatedPhMeter.WEAKNESS +
      SimulatedPhMeter.OFF +
      hours * SimulatedPhMeter.DRIFT
    );
  }

  /** The electrode stands in a buffer and is told so. */
  calibrate(buffer: Buffer): void {
    const ph = bufferPh(buffer, this.celsius);
    this.points = {
      ...this.points,
      [buffer]: { volts: this.volts(ph), ph, at: this.time(), celsius: this.celsius },
    };
  }

  /** How good its calibration is: which buffers it still wants, or that it is too old. */
  get wants(): 'both' | Buffer | 'again' | null {
    const { acid, neutral } = this.points;
    if (!acid || !neutral) {
      return acid ? 'neutral' : neutral ? 'acid' : 'both';
    }
    return this.time() - Math.min(acid.at, neutral.at) > SimulatedPhMeter.GOOD_FOR ? 'again' : null;
  }

  /** The electrode's slope as a share of what theory says; null before two buffers. */
  get slope(): number | null {
    const { acid, neutral } = this.points;
    return acid && neutral
      ? (acid.volts - neutral.volts) / (neutral.ph - acid.ph) / nernst((acid.celsius + neutral.celsius) / 2)
      : null;
  }

  override read(): Reading {
    const sample = super.read();
    if (sample.fault !== null) {
      return sample;
    }
    const volts = this.volts(sample.value);
    const { neutral } = this.points;
    const slope = nernst(this.celsius) * (this.slope ?? 1);
    const value = (neutral?.ph ?? 7) - (volts - (neutral?.volts ?? 0)) / slope;
    const wants = this.wants;

    return {
      value: Number(value.toFixed(this.digits)),
      isSettled: sample.isSettled,
      fault:
        wants === null
          ? null
          : wants === 'again'
            ? t('instrument.ph_old_error')
            : t('instrument.ph_uncalibrated_error'),
    };
  }
}

/**
 * A stand-in for a room logger: an ordinary day's swing around a mean that the panel sets, an hour between readings.
 */
export class SimulatedLogger implements Logger {
  readonly name = t('instrument.logger');
  mean = 21;
  /** Days that it has kept. */
  days = 5;

  private readonly now: Clock;
  private readonly chance: Chance;

  constructor(now: Clock = () => Date.now(), chance: Chance = Math.random) {
    this.now = now;
    this.chance = chance;
  }

  fetch(): Logged[] {
    const last = Math.floor(this.now() / HOUR) * HOUR;
    return Array.from({ length: this.days * 24 }, (_, i) => {
      const at = last - (this.days * 24 - 1 - i) * HOUR;
      const swing = 1.6 * Math.cos(((at / HOUR - 15) / 24) * 2 * Math.PI);
      return {
        at: new Date(at).toISOString(),
        celsius: Number((this.mean + swing + (this.chance() - 0.5) * 0.4).toFixed(1)),
      };
    });
  }
}
