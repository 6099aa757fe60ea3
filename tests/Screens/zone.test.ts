import { afterEach, expect, it } from 'vitest';
import { when } from '../../web/src/messages/dates';
import { clockOf, dayAfter, dayThere, kitchenZone, momentThere } from '../../web/src/messages/zone';

/*
 * The kitchen's clock, wherever the device is. Offsets and changes of the clocks are those of the IANA time zone database,
 * 2024: Auckland UTC+13 in its summer, UTC+12 from 7 April, 3:00; Kathmandu UTC+5:45; New York forward on 10 March, back
 * on 3 November; Kiritimati UTC+14.
 */

const at = (moment: string): number => Date.parse(moment);

afterEach(() => clockOf('UTC'));

it.each([
  ['Pacific/Auckland', '2024-01-01T11:30Z', '2024-01-02', '00:30'],
  ['Pacific/Auckland', '2024-07-01T11:30Z', '2024-07-01', '23:30'],
  ['Asia/Kathmandu', '2024-05-05T18:15Z', '2024-05-06', '00:00'],
  ['America/New_York', '2024-03-10T07:00Z', '2024-03-10', '03:00'],
  ['Pacific/Kiritimati', '2024-12-31T10:00Z', '2025-01-01', '00:00'],
])('tells a moment by the clock of %s', (zone, moment, day, clock) => {
  clockOf(zone);
  expect(dayThere(at(moment))).toBe(day);
  expect(when(moment, 'clock')).toBe(clock);
});

it('leaves a day of the calendar the day that it is', () => {
  for (const zone of ['Pacific/Kiritimati', 'Pacific/Pago_Pago', 'UTC']) {
    clockOf(zone);
    expect(when('2024-02-29', 'short')).toMatch(/29/);
  }
});

it.each([
  ['Pacific/Auckland', '2024-01-02', 0, '2024-01-01T11:00Z'],
  ['Pacific/Auckland', '2024-04-07', 19, '2024-04-07T07:00Z'],
  ['America/New_York', '2024-11-03', 8, '2024-11-03T13:00Z'],
  ['Asia/Kathmandu', '2024-05-06', 8, '2024-05-06T02:15Z'],
])('knows when it is so late in %s', (zone, day, hour, moment) => {
  clockOf(zone);
  expect(momentThere(day, hour)).toBe(at(moment));
});

it('comes back to the day and the hour that were asked for, but where the clock jumps over them', () => {
  const seed = Math.floor(Math.random() * 1e6);
  const zones = Intl.supportedValuesOf('timeZone');
  let state = seed;
  const below = (most: number): number => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor((state / 2_147_483_648) * most);
  };
  for (let n = 0; n < 400; n += 1) {
    const zone = zones[below(zones.length)] ?? 'UTC';
    clockOf(zone);
    const day = dayAfter('2024-01-01', below(366));
    const hour = below(24);
    const found = momentThere(day, hour);
    const asked = `${day} ${String(hour).padStart(2, '0')}:00`;
    const shown = `${dayThere(found)} ${when(new Date(found).toISOString(), 'clock')}`;
    // Clocks jump on two days of a year at most, by an hour, half of one, or two in Antarctica/Troll.
    const off = Math.abs(at(`${shown.replace(' ', 'T')}Z`) - at(`${asked.replace(' ', 'T')}Z`));
    expect(off, `seed ${String(seed)}: ${zone} ${asked}, ${shown}`).toBeLessThanOrEqual(7_200_000);
    expect(off === 0 || hour < 4, `seed ${String(seed)}: ${zone} ${asked}, ${shown}`).toBe(true);
  }
});

it('goes by the device where the browser does not know the zone', () => {
  clockOf('Nowhere/At_All');
  expect(kitchenZone()).toBeUndefined();
  const now = new Date();
  const local = new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
  expect(dayThere(now.getTime())).toBe(local);
});
