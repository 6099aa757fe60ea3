import dayjs from 'dayjs';
import { useId } from 'react';
import type { IntakeDay } from '../api/client';
import { mg } from '../app/numbers';
import { useWidth } from './useWidth';

/** The parts of a day's sodium, in the order in which they stand on one another. */
export const parts = [
  { key: 'estimateMg', says: 'rest of the diet, estimated', colour: 'var(--rest)' },
  { key: 'writtenMg', says: 'rest of the diet, written down', colour: 'var(--written)' },
  { key: 'fermentsMg', says: 'ferments', colour: 'var(--leaf)' },
  { key: 'condimentsMg', says: 'condiments and brine', colour: 'var(--turmeric)' },
] as const;

/** A day, or the mean of some. */
type Post = Pick<
  IntakeDay,
  | 'date'
  | 'targetMg'
  | 'estimateMg'
  | 'writtenMg'
  | 'fermentsMg'
  | 'condimentsMg'
  | 'ferments'
  | 'totalMg'
  | 'live'
>;

interface Props {
  days: Post[];
  beside?: Post[] | undefined;
  height?: number;
}

const LEFT = 46;
const FLOOR = 40;

/**
 * Days as posts of salt: what they are made of, the target as a line, the end soft as far as it is uncertain, what lies past
 * the target hatched; a ring below a day on which nothing live was eaten. Other days beside them are a dotted line.
 */
export function IntakeDays({ days, beside, height = 270 }: Props) {
  const id = useId();
  const [box, width] = useWidth(1200);
  const most =
    Math.max(
      ...days.map((day) => Math.max(day.targetMg * 1.2, day.totalMg)),
      ...(beside ?? []).map((day) => day.totalMg),
    ) * 1.04;
  const per = (width - LEFT - 4) / days.length;
  const y = (milligrams: number) => 8 + (height - FLOOR - 8) * (1 - milligrams / most);
  const x = (at: number) => LEFT + at * per;
  const step = most > 3500 ? 1000 : 500;
  const ticks = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);

  return (
    <div ref={box}>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${String(width)} ${String(height)}`}
        role="img"
        aria-label={`Sodium a day: ${days.map((day) => `${dayjs(day.date).format('D MMM')} ${mg(Math.round(day.totalMg))}`).join(', ')}`}
      >
        <defs>
          <pattern
            id={`${id}past`}
            width="8"
            height="8"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="3.4" height="8" fill="var(--chilli)" />
          </pattern>
        </defs>
        {ticks.map((tick) => (
          <g key={tick}>
            <path d={`M${String(LEFT)} ${String(y(tick))} H${String(width)}`} stroke="var(--line)" />
            <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" fontSize={12} fill="var(--ink-soft)">
              {tick}
            </text>
          </g>
        ))}
        {days.map((day, at) => {
          const wide = Math.max(2, per * 0.68);
          const left = x(at) + (per - wide) / 2;
          const spread = day.ferments;
          return (
            <g key={day.date}>
              <title>{`${dayjs(day.date).format('dddd, D MMMM')}: ${parts.map((part) => `${part.says} ${mg(Math.round(day[part.key]))}`).join(', ')}`}</title>
              {parts.map((part, i) => {
                const below = parts.slice(0, i).reduce((sum, one) => sum + day[one.key], 0);
                return (
                  <rect
                    key={part.key}
                    x={left}
                    width={wide}
                    y={y(below + day[part.key])}
                    height={Math.max(0, y(below) - y(below + day[part.key]))}
                    fill={part.colour}
                  />
                );
              })}
              {day.totalMg > day.targetMg && (
                <rect
                  x={left}
                  width={wide}
                  y={y(day.totalMg)}
                  height={y(day.targetMg) - y(day.totalMg)}
                  fill={`url(#${id}past)`}
                  opacity={0.6}
                />
              )}
              {spread.high - spread.low > 1 && (
                <path
                  d={`M${String(left + wide / 2)} ${String(y(day.totalMg - spread.typical + spread.low))} V${String(y(day.totalMg - spread.typical + spread.high))}`}
                  stroke="var(--ink)"
                  strokeWidth={1.6}
                />
              )}
              <path
                d={`M${String(x(at))} ${String(y(day.targetMg))} H${String(x(at + 1))}`}
                stroke="var(--ink)"
                strokeWidth={2}
              />
              {day.live === 0 && (
                <circle
                  cx={left + wide / 2}
                  cy={height - FLOOR + 9}
                  r={4}
                  fill="none"
                  stroke="var(--chilli)"
                  strokeWidth={1.5}
                  strokeDasharray="2 2"
                />
              )}
              {(days.length <= 14 || at % 7 === (days.length - 1) % 7) && (
                <text
                  x={days.length > 14 && at === days.length - 1 ? width - 2 : left + wide / 2}
                  y={height - 8}
                  textAnchor={days.length > 14 && at === days.length - 1 ? 'end' : 'middle'}
                  fontSize={12}
                  fill="var(--ink-soft)"
                >
                  {dayjs(day.date).format(days.length <= 14 ? 'dd D' : 'D MMM')}
                </text>
              )}
            </g>
          );
        })}
        {beside && beside.length > 0 && (
          <path
            d={beside
              .slice(0, days.length)
              .map((day, at) => `${at === 0 ? 'M' : 'L'}${String(x(at) + per / 2)} ${String(y(day.totalMg))}`)
              .join(' ')}
            fill="none"
            stroke="var(--beet)"
            strokeWidth={2}
            strokeDasharray="3 4"
          />
        )}
      </svg>
    </div>
  );
}
