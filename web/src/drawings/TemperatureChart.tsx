import { t } from '../messages/words';
import { when } from '../messages/dates';
import { scaleLinear } from 'd3-scale';
import { Chart, thinned, ValueAxis } from './Chart';
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
  const x = scaleLinear([first, Math.max(first + 1, last)], [LEFT, width - RIGHT]);
  const y = scaleLinear([low, high], [HEIGHT - FOOT, TOP]);
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
      <Chart
        label={label}
        width={width}
        height={HEIGHT}
        stops={course.map(({ at, celsius }) => ({
          x: x(at),
          says: t('chart.at', { when: when(new Date(at).toISOString(), 'moment'), what: degrees(celsius) }),
        }))}
        table={{
          head: [t('chart.when'), t('log.temperature')],
          rows: thinned(course, 24).map(({ at, celsius }) => [
            when(new Date(at).toISOString(), 'moment'),
            degrees(celsius),
          ]),
        }}
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
        <ValueAxis
          scale={y}
          values={steps}
          left={LEFT}
          right={width - RIGHT}
          write={(value, hasUnit) => (hasUnit ? degrees(value) : String(scaleOf('temperature').shown(value)))}
        />
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
      </Chart>
    </div>
  );
}
