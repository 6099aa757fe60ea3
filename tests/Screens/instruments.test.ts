import { settled } from '../../web/src/instruments/Instrument';
import {
  bufferPh,
  nernst,
  SimulatedLogger,
  SimulatedPhMeter,
  SimulatedSalinityMeter,
  SimulatedScale,
  SimulatedThermometer,
} from '../../web/src/instruments/simulated';
import { describe, expect, it } from 'vitest';

// Nothing moves here: what is waited for comes sooner.

/** A clock that the test winds. */
function clockwork(): { now: () => number; pass: (ms: number) => void; wait: (ms: number) => Promise<void> } {
  let time = 0;
  const pass = (ms: number) => {
    time += ms;
  };
  return {
    now: () => time,
    pass,
    wait: (ms) => {
      pass(ms);
      return Promise.resolve();
    },
  };
}

const never = () => 0.5;

describe('a simulated scale', () => {
  it('comes to rest by and by', async () => {
    const clock = clockwork();
    const scale = new SimulatedScale(clock.now, never);
    expect(scale.read()).toEqual({ value: 0, isSettled: true, fault: null });
    scale.put(800);
    expect(scale.read()).toMatchObject({ value: 0, isSettled: false });
    clock.pass(220);
    // A first-order lag has gone 1 - 1/e of its way after one time constant.
    expect(scale.read().value).toBe(Math.round(800 * (1 - 1 / Math.E)));
    expect(await settled(scale, clock.wait)).toEqual({ value: 800, isSettled: true, fault: null });
  });

  it('trembles by less than its step', () => {
    let toss = 0;
    const scale = new SimulatedScale(
      () => 0,
      () => (toss = (toss + 0.37) % 1),
    );
    const shown = new Set(Array.from({ length: 200 }, () => scale.read().value));
    expect([...shown].every((value) => Math.abs(value) <= 1)).toBe(true);
  });

  it('counts from what is on it when it is set to nothing', async () => {
    const clock = clockwork();
    const scale = new SimulatedScale(clock.now, never);
    scale.put(350);
    await settled(scale, clock.wait);
    scale.tare();
    expect(scale.read().value).toBe(0);
    scale.put(350 + 120);
    expect((await settled(scale, clock.wait)).value).toBe(120);
    scale.put(0);
    expect((await settled(scale, clock.wait)).value).toBe(-350);
  });

  it('says that it is overloaded, and weighs again afterwards', async () => {
    const clock = clockwork();
    const scale = new SimulatedScale(clock.now, never);
    scale.put(7000);
    clock.pass(5000);
    expect(scale.read().fault).toContain('overloaded');
    expect((await settled(scale, clock.wait)).fault).toContain('up to 5 kg');
    scale.put(4999);
    clock.pass(5000);
    expect(scale.read()).toMatchObject({ value: 4999, fault: null });
  });

  it('gives up on what does not settle', async () => {
    const restless = {
      ...new SimulatedScale(),
      name: 'scale',
      read: () => ({ value: 1, isSettled: false, fault: null }),
    };
    const reading = await settled(restless as unknown as SimulatedScale, () => Promise.resolve());
    expect(reading.fault).toContain('does not settle');
  });
});

describe('a simulated pH meter', () => {
  it('reads rightly once it stood in both buffers, at the temperature of the sample', async () => {
    const clock = clockwork();
    const meter = new SimulatedPhMeter(clock.now, never);
    meter.put(3.8);
    await settled(meter, clock.wait);
    expect(meter.read().fault).toContain('not calibrated');
    expect(Math.abs(meter.read().value - 3.8)).toBeGreaterThan(0.1);
    meter.calibrate('neutral');
    expect([meter.wants, meter.slope]).toEqual(['acid', null]);
    meter.calibrate('acid');
    expect(meter.wants).toBeNull();
    expect(meter.slope).toBeCloseTo(0.93, 6);
    expect(meter.read()).toEqual({ value: 3.8, isSettled: true, fault: null });
    meter.warm(6);
    expect(meter.read().value).toBeCloseTo(3.8, 1);
  });

  it('drifts, and asks for its buffers again after a day', () => {
    const clock = clockwork();
    const meter = new SimulatedPhMeter(clock.now, never);
    meter.calibrate('neutral');
    meter.calibrate('acid');
    meter.put(4.2);
    clock.pass(20 * 3_600_000);
    const late = meter.read();
    expect(late.fault).toBeNull();
    expect(Math.abs(late.value - 4.2)).toBeGreaterThan(0.05);
    expect(Math.abs(late.value - 4.2)).toBeLessThan(0.3);
    clock.pass(5 * 3_600_000);
    expect(meter.read().fault).toContain('more than a day ago');
    meter.calibrate('neutral');
    meter.calibrate('acid');
    expect(meter.read().value).toBeCloseTo(4.2, 2);
  });

  it('knows the slope of Nernst and what the buffers have', () => {
    // 59.16 mV for a step of pH at 25 °C; phthalate 4.01 and phosphate 6.86 at 25 °C, phosphate 6.88 at 20 °C
    // (from memory).
    expect(nernst(25)).toBeCloseTo(59.16, 2);
    expect(bufferPh('acid', 25)).toBeCloseTo(4.006, 3);
    expect(bufferPh('neutral', 25)).toBeCloseTo(6.865, 3);
    expect(bufferPh('neutral', 22.5)).toBeCloseTo((6.881 + 6.865) / 2, 6);
    expect([bufferPh('acid', 0), bufferPh('acid', 60)]).toEqual([3.999, 4.031]);
  });
});

it('a room logger keeps an hour’s readings of five days, warm by day and cool by night', () => {
  const logger = new SimulatedLogger(() => Date.parse('2026-11-25T10:20:00Z'), never);
  logger.mean = 22;
  const kept = logger.fetch();
  expect(kept).toHaveLength(120);
  expect(kept.at(-1)?.at).toBe('2026-11-25T10:00:00.000Z');
  const celsius = kept.map((one) => one.celsius);
  expect(celsius.reduce((sum, one) => sum + one, 0) / 120).toBeCloseTo(22, 1);
  expect([Math.min(...celsius), Math.max(...celsius)]).toEqual([20.4, 23.6]);
});

it('a thermometer and a salinity meter know their range and their digits', async () => {
  const clock = clockwork();
  const thermometer = new SimulatedThermometer(clock.now, never);
  thermometer.put(18.34);
  expect((await settled(thermometer, clock.wait)).value).toBe(18.3);
  thermometer.put(140);
  clock.pass(9000);
  expect(thermometer.read().fault).toContain('110');
  const meter = new SimulatedSalinityMeter(clock.now, never);
  meter.put(3.456);
  expect((await settled(meter, clock.wait)).value).toBe(3.46);
});
