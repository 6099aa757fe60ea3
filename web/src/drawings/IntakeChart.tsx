import { t } from '../messages/words';
import { when } from '../messages/dates';
import { useId } from 'react';
import type { Intake, IntakeDay } from '../api/client';
import { mg, number } from '../app/numbers';
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

const LEFT = 46;
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
        aria-label={t('chart.sodium_by_day', {
          days: days.map((day) => `${when(day.date, 'short')} ${mg(Math.round(day.totalMg))}`).join(', '),
        })}
      >
        <defs>
          <OverLimitHatch id={id} />
        </defs>
        {ticks.map((tick) => (
          <g key={tick}>
            <path d={`M${String(LEFT)} ${String(y(tick))} H${String(width)}`} stroke="var(--line)" />
            <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" fontSize={12} fill="var(--ink-soft)">
              {number(tick, 0)}
            </text>
          </g>
        ))}
        {days.map((day, at) => {
          const wide = Math.min(WIDEST, Math.max(2, per * 0.68));
          const left = x(at) + (per - wide) / 2;
          const spread = day.ferments;
          return (
            <g key={day.date}>
              <title>{`${when(day.date, 'long')}: ${layers
                .filter((layer) => layer.of(day) > 0)
                .map((layer) => `${layer.says} ${mg(Math.round(layer.of(day)))}`)
                .join(', ')}`}</title>
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
      </svg>
    </div>
  );
}
