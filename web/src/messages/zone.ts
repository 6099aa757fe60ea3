/*
 * The clock of the kitchen. Moments are told by it, wherever the device is and whatever clock that keeps.
 */

const DAY = 86_400_000;
const HOUR = 3_600_000;

let zone: string | undefined;
let reads: Intl.DateTimeFormat | undefined;

/** The clock goes by this zone from here on; by the device's where the browser does not know it. */
export function clockOf(timeZone: string): void {
  try {
    reads = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    zone = timeZone;
  } catch {
    [zone, reads] = [undefined, undefined];
  }
}

/** The zone that the clock goes by; undefined: the device's. */
export const kitchenZone = (): string | undefined => zone;

/** What the clock shows at a moment, as a moment of a clock that shows UTC. */
function shownAt(at: number): number {
  if (reads === undefined) {
    return at - new Date(at).getTimezoneOffset() * 60_000;
  }
  const { year, month, day, hour, minute, second } = Object.fromEntries(
    reads.formatToParts(at).map(({ type, value }) => [type, Number(value)]),
  );

  return Date.UTC(year ?? 0, (month ?? 1) - 1, day, hour, minute, second);
}

const written = (shown: number): string => new Date(shown).toISOString().slice(0, 10);

/** The day in the kitchen at a moment, YYYY-MM-DD. */
export const dayThere = (at: number = Date.now()): string => written(shownAt(at));

/** A day so many days after another, both YYYY-MM-DD. */
export const dayAfter = (day: string, days: number): string => written(Date.parse(`${day}T00:00Z`) + days * DAY);

/** The moment at which the kitchen's clock shows this hour of a day; where it jumps over the hour, one hour beside it. */
export function momentThere(day: string, hour = 0): number {
  const wanted = Date.parse(`${day}T00:00Z`) + hour * HOUR;
  const near = 2 * wanted - shownAt(wanted);

  return wanted - shownAt(near) + near;
}
