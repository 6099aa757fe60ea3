import { t } from '../messages/words';
import { when } from '../messages/dates';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import type { Intake, IntakeDay } from '../api/client';
import { mg, number } from '../app/numbers';
import { Chart, ValueAxis } from './Chart';
import { overLimitFill, OverLimitHatch } from './OverLimitHatch';
import { useWidth } from './useWidth';

/** A day, or the mean of some. */
type Post = Pick<
  IntakeDay,
  | 'date'
  | 'targetMg'
  | 'estimateMg'
  | 'writtenMg'
  | 'fermentsMg'
  | 'condimentsMg'
  | 'byJarMg'
  | 'ferments'
  | 'totalMg'
  | 'live'
>;

/** What posts are made of, from the ground up. */
export interface Layer {
  key: string;
  says: string;
  colour: string;
  of: (day: Post) => number;
  /** In all the days. */
  all: (intake: Intake) => number;
}

const rest: Layer[] = [
  {
    key: 'estimate',
    says: t('chart.other_estimated'),
    colour: 'var(--rest)',
    of: (day) => day.estimateMg,
    all: (intake) => intake.shares.estimate,
  },
  {
    key: 'written',
    says: t('chart.other_entered'),
    colour: 'var(--written)',
    of: (day) => day.writtenMg,
    all: (intake) => intake.shares.written,
  },
];

export const byKind: Layer[] = [
  ...rest,
  {
    key: 'ferments',
    says: t('chart.ferments'),
    colour: 'var(--leaf)',
    of: (day) => day.fermentsMg,
    all: (intake) => intake.shares.ferments,
  },
  {
    key: 'condiments',
    says: t('chart.condiments'),
    colour: 'var(--turmeric)',
    of: (day) => day.condimentsMg,
    all: (intake) => intake.shares.condiments,
  },
];

/** Each jar in its own colour. */
export const byJar = (jars: Intake['sources']): Layer[] => [
  ...rest,
  ...jars.map(({ batchId, name, colour, milligrams }) => ({
    key: batchId,
    says: name,
    colour,
    of: (day: Post) => day.byJarMg[batchId] ?? 0,
    all: () => milligrams,
  })),
];

interface Props {
  days: Post[];
  beside?: Post[] | undefined;
  layers?: Layer[];
  height?: number;
}

const LEFT = 68;
const FLOOR = 40;
const WIDEST = 90;

/**
 * Days as posts of salt: what they are made of, the target as a line, the end soft as far as it is uncertain, what lies
 * past the target hatched; a ring below a day on which nothing live was eaten. Other days beside them are a dotted
 * line.
 */
export function IntakeChart({ days, beside, layers = byKind, height = 270 }: Props) {
  const id = useId();
  const [box, width] = useWidth(1200);
  const most =
    Math.max(
      ...days.map((day) => Math.max(day.targetMg * 1.08, day.totalMg)),
      ...(beside ?? []).map((day) => day.totalMg),
    ) * 1.04;
  const per = (width - LEFT - 4) / days.length;
  const y = scaleLinear([0, most], [height - FLOOR, 8]);
  const x = (at: number) => LEFT + at * per;
  const said = (day: Post) =>
    layers.filter((layer) => layer.of(day) > 0).map((layer) => `${layer.says} ${mg(Math.round(layer.of(day)))}`);

  return (
    <div ref={box}>
      <Chart
        label={t('chart.sodium_by_day', {
          days: days.map((day) => `${when(day.date, 'short')} ${mg(Math.round(day.totalMg))}`).join(', '),
        })}
        width={width}
        height={height}
        stops={days.map((day, at) => ({
          x: x(at) + per / 2,
          says: t('chart.day', {
            day: when(day.date, 'long'),
            total: mg(Math.round(day.totalMg)),
            target: mg(Math.round(day.targetMg)),
            parts: said(day).join(', '),
          }),
        }))}
        table={{
          head: [t('chart.when'), ...layers.map(({ says }) => says), t('chart.in_all'), t('chart.target')],
          rows: days.map((day) => [
            when(day.date, 'long'),
            ...[...layers.map((layer) => layer.of(day)), day.totalMg, day.targetMg].map((value) =>
              mg(Math.round(value)),
            ),
          ]),
        }}
      >
        <defs>
          <OverLimitHatch id={id} />
        </defs>
        <ValueAxis
          scale={y}
          values={y.ticks(5)}
          left={LEFT}
          right={width}
          write={(value, hasUnit) => (hasUnit ? mg(value) : number(value, 0))}
        />
        {days.map((day, at) => {
          const wide = Math.min(WIDEST, Math.max(2, per * 0.68));
          const left = x(at) + (per - wide) / 2;
          const spread = day.ferments;
          return (
            <g key={day.date}>
              {layers.map((layer, i) => {
                const below = layers.slice(0, i).reduce((sum, one) => sum + one.of(day), 0);
                const top = y(below + layer.of(day));
                return (
                  layer.of(day) > 0 && (
                    <rect
                      key={layer.key}
                      x={left}
                      width={wide}
                      y={top}
                      height={Math.max(0, y(below) - top)}
                      fill={layer.colour}
                      stroke="var(--paper)"
                      strokeWidth={per > 16 ? 0.75 : 0}
                    />
                  )
                );
              })}
              {day.totalMg > day.targetMg && (
                <rect
                  x={left}
                  width={wide}
                  y={y(day.totalMg)}
                  height={y(day.targetMg) - y(day.totalMg)}
                  fill={overLimitFill(id)}
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
                  {when(day.date, days.length <= 14 ? 'weekdayDay' : 'short')}
                </text>
              )}
            </g>
          );
        })}
        {beside && beside.length > 0 && (
          <path
            d={beside
              .slice(-days.length)
              .map((day, at, shown) => {
                // Both end with their last day.
                const place = at + days.length - shown.length;
                return `${at === 0 ? 'M' : 'L'}${String(x(place) + per / 2)} ${String(y(day.totalMg))}`;
              })
              .join(' ')}
            fill="none"
            stroke="var(--beet)"
            strokeWidth={2}
            strokeDasharray="3 4"
          />
        )}
      </Chart>
    </div>
  );
}
