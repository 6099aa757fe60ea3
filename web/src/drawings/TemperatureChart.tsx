import { t } from '../messages/words';
import { when } from '../messages/dates';
import { useWidth } from './useWidth';
import { degrees } from '../app/numbers';
import { scaleOf } from '../app/units';

interface Point {
  at: number;
  celsius: number;
}

interface Props {
  course: Point[];
  readings: Point[];
  now: number;
  /** Degrees between which a ferment starts well and stays firm. */
  firm: { from: number; to: number };
  label: string;
}

/** Points of a day. */
const QUARTERS = 4;

const HEIGHT = 150;
const LEFT = 48;
const RIGHT = 14;
const TOP = 14;
const FOOT = 22;

/** How warm a place was, is, and is taken to become. What was read are dots, what is supposed is dashed. */
export function TemperatureChart({ course, readings, now, firm, label }: Props) {
  const [frame, width] = useWidth(620);
  const values = [...course, ...readings].map(({ celsius }) => celsius);
  const low = Math.floor(Math.min(...values) - 1.5);
  const high = Math.ceil(Math.max(...values) + 1.5);
  const first = course[0]?.at ?? now;
  const last = course.at(-1)?.at ?? now;
  const x = (at: number) => LEFT + ((at - first) / Math.max(1, last - first)) * (width - LEFT - RIGHT);
  const y = (celsius: number) => TOP + ((high - celsius) / (high - low)) * (HEIGHT - TOP - FOOT);
  const path = (points: Point[]) =>
    points.map(({ at, celsius }, i) => `${i === 0 ? 'M' : 'L'}${x(at)} ${y(celsius)}`).join(' ');
  const step = high - low > 12 ? 5 : 2;
  const steps = Array.from(
    { length: Math.floor((high - low) / step) + 1 },
    (_, i) => Math.ceil(low / step) * step + i * step,
  ).filter((value) => value <= high);
  const [from, to] = [Math.max(low, firm.from), Math.min(high, firm.to)];

  return (
    <div ref={frame}>
      <svg
        role="img"
        aria-label={label}
        width={width}
        height={HEIGHT}
        viewBox={`0 0 ${String(width)} ${String(HEIGHT)}`}
        style={{ display: 'block' }}
        fontSize={12.5}
        fill="var(--ink-soft)"
      >
        {to > from && (
          <rect
            x={LEFT}
            width={width - LEFT - RIGHT}
            y={y(to)}
            height={y(from) - y(to)}
            fill="var(--leaf)"
            opacity={0.1}
          />
        )}
        {steps.map((value) => (
          <g key={value}>
            <line x1={LEFT} x2={width - RIGHT} y1={y(value)} y2={y(value)} stroke="var(--line)" />
            <text x={LEFT - 7} y={y(value)} textAnchor="end" dominantBaseline="central">
              {value === steps.at(-1) ? degrees(value) : scaleOf('temperature').shown(value)}
            </text>
          </g>
        ))}
        {course
          .filter((_, i) => i % (4 * QUARTERS) === 2 * QUARTERS)
          .map(({ at }) => (
            <text key={at} x={x(at)} y={HEIGHT - 5} textAnchor="middle">
              {when(at, 'short')}
            </text>
          ))}
        <path
          d={path(course.filter(({ at }) => at <= now + 10_800_000))}
          fill="none"
          stroke="var(--beet)"
          strokeWidth={2}
        />
        <path
          d={path(course.filter(({ at }) => at >= now - 10_800_000))}
          fill="none"
          stroke="var(--beet)"
          strokeWidth={2}
          strokeDasharray="5 5"
        />
        {readings.map(({ at, celsius }) => (
          <circle key={at} cx={x(at)} cy={y(celsius)} r={1.7} fill="var(--ink)" />
        ))}
        <path d={`M${x(now)} ${TOP - 8} V${HEIGHT - FOOT}`} stroke="var(--ink)" strokeWidth={1.2} />
        <text x={x(now) + 4} y={TOP - 3} fill="var(--ink)">
          {t('chart.now')}
        </text>
      </svg>
    </div>
  );
}
