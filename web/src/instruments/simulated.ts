import type { Instrument, Measure, Reading } from './Instrument';

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

  constructor(
    make: Make,
    load: number,
    clock: Clock = () => performance.now(),
    chance: Chance = Math.random,
  ) {
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
        name: 'scale',
        unit: 'g',
        digits: 0,
        from: 0,
        to: 5000,
        inertia: 220,
        noise: 0.4,
        beyond: 'The scale is overloaded: it weighs up to 5 kg. Weigh in two goes.',
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
        name: 'thermometer',
        unit: '°C',
        digits: 1,
        from: -20,
        to: 110,
        inertia: 450,
        noise: 0.04,
        beyond: 'The thermometer reads between -20 and 110 °C.',
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
        name: 'salinity meter',
        unit: '%',
        digits: 2,
        from: 0,
        to: 28,
        inertia: 350,
        noise: 0.004,
        beyond: 'The salinity meter reads between 0 and 28 % of salt. Thin the sample and reckon back.',
      },
      2.5,
      clock,
      chance,
    );
  }
}
