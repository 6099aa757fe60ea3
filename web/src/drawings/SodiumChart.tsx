import { t } from '../messages/words';
import { when } from '../messages/dates';
import { dayAfter, dayThere, momentThere } from '../messages/zone';
import { useId } from 'react';
import { scaleLinear } from 'd3-scale';
import { mg, number } from '../app/numbers';
import { Chart, thinned, ValueAxis } from './Chart';
import { useWidth } from './useWidth';

export interface Reach {
  low: number;
  typical: number;
  high: number;
}

export interface Line {
  name: string;
  colour: string;
  /** Milligrams of sodium in 100 g at each moment; null where there is none of it. */
  values: (Reach | null)[];
}

interface Props {
  /** Milliseconds of the epoch, ascending. */
  moments: number[];
  now: number;
  lines: Line[];
  /** Moments at which something was done to it. */
  marks: number[];
}

const HEIGHT = 190;
const LEFT = 72;
const RIGHT = 96;
const TOP = 10;
const FOOT = 24;
const DAY = 86_400_000;

/** Moments are told in whole seconds: this near, it is the same one. */
const NEAR = 1_500;

/** Sodium in 100 g over a batch's life: what was, as lines; what comes, dashed; how far either may be off, as bands. */
export function SodiumChart({ moments, now, lines, marks }: Props) {
  const [frame, width] = useWidth(560);
  const clip = useId();
  const [first, last] = [moments[0] ?? now, moments.at(-1) ?? now];
  const highest = Math.max(1, ...lines.map((line) => highestOf(line, moments)));
  const right = width - RIGHT;
  const x = scaleLinear([first, Math.max(first + 1, last)], [LEFT, right]);
  const up = scaleLinear([0, highest], [HEIGHT - FOOT, TOP]).nice(3);
  const y = (value: number) => Math.max(-9, up(value));
  const ends = apart(
    lines.map((line) => y(line.values.findLast((value) => value !== null)?.typical ?? 0)),
    16,
  );

  const reading = (at: number) =>
    lines.map((line) => {
      const value = line.values[at];
      return value
        ? t('chart.reach', { typical: mg(value.typical), low: number(value.low, 0), high: mg(value.high) })
        : '';
    });
  const places = moments.map((moment, at) => ({ at, moment }));

  return (
    <div ref={frame}>
      <Chart
        label={t('chart.sodium_over_time', {
          lines: lines.map((line) => describe(line, moments, now)).join('; '),
        })}
        width={width}
        height={HEIGHT}
        stops={places.map(({ at, moment }) => ({
          x: x(moment),
          says: t('chart.at', {
            when: when(new Date(moment).toISOString(), 'moment'),
            what: lines
              .flatMap(({ name }, line) => (reading(at)[line] === '' ? [] : `${name} ${reading(at)[line] ?? ''}`))
              .join('; '),
          }),
        }))}
        table={{
          head: [t('chart.when'), ...lines.map(({ name }) => name)],
          rows: thinned(places, 16).map(({ at, moment }) => [
            when(new Date(moment).toISOString(), 'moment'),
            ...reading(at),
          ]),
        }}
      >
        <ValueAxis
          scale={up}
          values={up.ticks(3)}
          left={LEFT}
          right={right}
          write={(value, hasUnit) => (hasUnit ? mg(value) : number(value, 0))}
        />
        {ticks(first, last, right - LEFT).map((at) => (
          <text key={at} x={x(at)} y={HEIGHT - 6} textAnchor="middle">
            {when(at, 'short')}
          </text>
        ))}
        <clipPath id={clip}>
          <rect x={LEFT} y={0} width={Math.max(0, right - LEFT)} height={HEIGHT} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          {lines.map((line) => (
            <path key={line.name} d={band(line, moments, x, y)} fill={line.colour} opacity={0.2} />
          ))}
          {lines.map((line) => (
            <g key={line.name} fill="none" stroke={line.colour} strokeWidth={2.4} strokeLinejoin="round">
              <path d={stroke(line, moments, x, y, (at) => at <= now + NEAR)} />
              <path d={stroke(line, moments, x, y, (at) => at >= now - NEAR)} strokeDasharray="5 5" />
            </g>
          ))}
        </g>
        {marks
          .filter((at) => at > first && at <= last)
          .map((at) => (
            <path key={at} d={`M${x(at)} ${HEIGHT - FOOT} v-7`} stroke="var(--ink)" strokeWidth={1.6} />
          ))}
        <path d={`M${x(now)} ${TOP - 4} V${HEIGHT - FOOT}`} stroke="var(--ink)" strokeWidth={1.2} />
        <text x={x(now) + 4} y={TOP + 2} fill="var(--ink)">
          {t('chart.now')}
        </text>
        {lines.map((line, i) => (
          <g key={line.name} transform={`translate(${String(right + 8)} ${String(ends[i] ?? 0)})`}>
            <rect y={-5} width={9} height={10} fill={line.colour} />
            <text x={14} dominantBaseline="central" fill="var(--ink)">
              {line.name}
            </text>
          </g>
        ))}
      </Chart>
    </div>
  );
}

/**
 * Salt on its way into the food stands far above all that follows: the first hours may leave the picture at its top.
 */
const SETTLING = 6 * 3_600_000;

function highestOf(line: Line, moments: number[]): number {
  const from = Math.min((moments[0] ?? 0) + SETTLING, moments.at(-1) ?? 0);
  return Math.max(...line.values.map((value, i) => ((moments[i] ?? 0) >= from ? (value?.high ?? 0) : 0)));
}

type Scale = (value: number) => number;

/** Pieces of a line without gaps: each a list of places. */
function runs(line: Line, moments: number[], isShown: (at: number) => boolean): number[][] {
  const all: number[][] = [[]];
  line.values.forEach((value, i) => {
    if (value !== null && isShown(moments[i] ?? 0)) {
      all.at(-1)?.push(i);
    } else if (all.at(-1)?.length !== 0) {
      all.push([]);
    }
  });
  return all.filter((run) => run.length > 1);
}

function stroke(line: Line, moments: number[], x: Scale, y: Scale, isShown: (at: number) => boolean): string {
  return runs(line, moments, isShown)
    .map((run) =>
      run.map((i, n) => `${n === 0 ? 'M' : 'L'}${x(moments[i] ?? 0)} ${y(line.values[i]?.typical ?? 0)}`).join(' '),
    )
    .join(' ');
}

function band(line: Line, moments: number[], x: Scale, y: Scale): string {
  return runs(line, moments, () => true)
    .map((run) => {
      const there = run.map((i) => `${x(moments[i] ?? 0)} ${y(line.values[i]?.high ?? 0)}`);
      const back = run.toReversed().map((i) => `${x(moments[i] ?? 0)} ${y(line.values[i]?.low ?? 0)}`);
      return `M${[...there, ...back].join(' L')} Z`;
    })
    .join(' ');
}

/** Midnights with words at least 60 px apart. */
function ticks(first: number, last: number, width: number): number[] {
  const days = Math.max(1, (last - first) / DAY);
  const every = Math.max(1, Math.ceil(days / Math.max(1, Math.floor(width / 64))));
  const all: number[] = [];
  for (let day = dayAfter(dayThere(first), 1); momentThere(day) <= last; day = dayAfter(day, every)) {
    all.push(momentThere(day));
  }
  return all;
}

/** Heights moved so that none is nearer to the next than a distance. */
function apart(heights: number[], distance: number): number[] {
  const order = heights.map((_, i) => i).sort((a, b) => (heights[a] ?? 0) - (heights[b] ?? 0));
  const moved = [...heights];
  order.forEach((at, n) => {
    const above = order[n - 1];
    if (above !== undefined) {
      moved[at] = Math.max(moved[at] ?? 0, (moved[above] ?? 0) + distance);
    }
  });
  return moved;
}

function describe(line: Line, moments: number[], now: number): string {
  const at = (place: number) => mg(Math.round(line.values[place]?.typical ?? 0));
  const here = moments.findLastIndex((moment) => moment <= now);
  return t('chart.sodium_line', {
    name: line.name,
    start: at(0),
    now: at(here),
    end: at(moments.length - 1),
    day: when(moments.at(-1), 'short'),
  });
}
