import { noon } from './words';
import { readerLocale } from './catalogue';
import { kitchenZone } from './zone';

type Day = string | number | Date | { toDate: () => Date } | null | undefined;

const STYLES = {
  /** 24 Nov */
  short: { day: 'numeric', month: 'short' },
  /** 24 November */
  month: { day: 'numeric', month: 'long' },
  /** 24 Nov 2026 */
  year: { day: 'numeric', month: 'short', year: 'numeric' },
  /** 24 November 2026 */
  full: { day: 'numeric', month: 'long', year: 'numeric' },
  /** Tuesday */
  weekday: { weekday: 'long' },
  /** Tue */
  weekdayShort: { weekday: 'short' },
  /** Tue 24 */
  weekdayDay: { weekday: 'short', day: 'numeric' },
  /** Tue, 24 Nov */
  weekdayDate: { weekday: 'short', day: 'numeric', month: 'short' },
  /** Tuesday, 24 November */
  long: { weekday: 'long', day: 'numeric', month: 'long' },
  /** Tuesday, 24 November 2026 */
  longYear: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' },
  /** 18:30 */
  clock: { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  /** 24 Nov, 18:30 */
  moment: { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  /** Tue 18:30 */
  weekdayClock: { weekday: 'short', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
} satisfies Record<string, Intl.DateTimeFormatOptions>;

export type DayStyle = keyof typeof STYLES;

const formats = new Map<string, Intl.DateTimeFormat>();

/** A day or a moment as its reader writes it; a date without a clock is a day of the calendar, a moment is told by the kitchen's. */
export function when(day: Day, style: DayStyle): string {
  if (day === null || day === undefined) {
    return '';
  }
  const isCalendarDay = typeof day === 'string' && /^\d{4}-\d\d-\d\d$/.test(day);
  const moment =
    typeof day === 'string'
      ? isCalendarDay
        ? noon(day)
        : new Date(day)
      : typeof day === 'number'
        ? new Date(day)
        : day instanceof Date
          ? day
          : day.toDate();
  const timeZone = isCalendarDay ? undefined : kitchenZone();
  const kind = `${style} ${timeZone ?? ''}`;
  let format = formats.get(kind);
  if (format === undefined) {
    format = new Intl.DateTimeFormat(readerLocale(), { ...STYLES[style], timeZone });
    formats.set(kind, format);
  }

  return format.format(moment);
}
