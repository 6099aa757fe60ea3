import { t } from '../messages/words';
import { when } from '../messages/dates';
import { useId } from 'react';
import { Link } from 'react-router';
import type { ScheduledBatch, Timeline } from '../api/client';
import { grams } from '../app/numbers';
import { BehindTable } from './BehindTable';
import { useWidth } from './useWidth';
import './TimelineLanes.css';

const LANE = 40;
const TOP = 24;
const NAMES = 150;

/**
 * Jars through the weeks, a lane for each: bubbles while it ferments, a full block while it waits, a wedge that runs
 * down while it is eaten, dashed what is only planned or suggested.
 */
export function TimelineLanes({ ahead }: { ahead: Timeline }) {
  const id = useId();
  const [box, room] = useWidth(1200);
  const width = Math.max(760, room);
  const per = (width - NAMES - 6) / ahead.days;
  const x = (at: number) => NAMES + Math.min(Math.max(at, 0), ahead.days) * per;
  const height = TOP + ahead.lanes.length * LANE + 4;
  const weeks = ahead.dates.map((date, i) => ({ date, i })).filter(({ i }) => i % 7 === 0);

  const table = {
    head: [
      t('chart.lane_what'),
      t('chart.lane_jar'),
      t('chart.lane_start'),
      t('chart.lane_ready'),
      t('chart.lane_empty'),
      t('chart.lane_grams'),
    ],
    rows: ahead.lanes.flatMap((lane) =>
      lane.lots.map((lot) => [
        lot.name,
        lane.jarName ?? '',
        when(lot.startOn, 'short'),
        when(lot.readyOn, 'short'),
        lot.emptyOn === null ? t('chart.lane_lasts') : when(lot.emptyOn, 'short'),
        grams(Math.round(lot.grams)),
      ]),
    ),
  };

  return (
    <>
      <div ref={box} className="lanes" tabIndex={0} role="region" aria-label={t('chart.lanes')}>
        <svg width={width} height={height} viewBox={`0 0 ${String(width)} ${String(height)}`}>
          <defs>
            <pattern id={`${id}bubbles`} width="11" height="11" patternUnits="userSpaceOnUse">
              <circle cx="3" cy="3" r="1.8" fill="var(--panel)" opacity="0.8" />
              <circle cx="8.4" cy="8" r="1.1" fill="var(--panel)" opacity="0.8" />
            </pattern>
          </defs>
          {weeks.map(({ date, i }) => (
            <g key={date}>
              <path d={`M${String(x(i))} ${String(TOP - 4)} V${String(height)}`} stroke="var(--line)" />
              <text x={x(i) + 3} y={TOP - 9} fontSize={12.5} fill="var(--ink-soft)">
                {i === 0 ? t('day.today') : when(date, 'short')}
              </text>
            </g>
          ))}
          {ahead.lanes.map((lane, row) => {
            const floor = TOP + (row + 1) * LANE - 6;
            return (
              <g key={lane.id}>
                <path d={`M0 ${String(floor + 2)} H${String(width)}`} stroke="var(--wood)" strokeWidth={3} />
                <text x={0} y={floor - 17} fontSize={13} fill="var(--ink)">
                  {short(lane.lots[0]?.name ?? t('ahead.empty'))}
                </text>
                <text x={0} y={floor - 3} fontSize={11.5} fill="var(--ink-soft)">
                  {lane.jarName}
                </text>
                {lane.lots.map((lot) => (
                  <Stretch
                    key={lot.id}
                    lot={lot}
                    x={x}
                    floor={floor}
                    days={ahead.days}
                    bubbles={`url(#${id}bubbles)`}
                  />
                ))}
              </g>
            );
          })}
        </svg>
      </div>
      <BehindTable table={table} />
    </>
  );
}

/** As much of a name as there is room for beside its lane. */
const short = (name: string): string => (name.length > 23 ? `${name.slice(0, 22)}…` : name);

interface StretchProps {
  lot: ScheduledBatch;
  x: (day: number) => number;
  floor: number;
  days: number;
  bubbles: string;
}

function Stretch({ lot, x, floor, days, bubbles }: StretchProps) {
  const tall = LANE - 14;
  const roof = floor - tall;
  const end = lot.empty ?? days;
  const ready = Math.min(lot.ready, end);
  const first = Math.min(lot.first ?? ready, end);
  const isPlanned = lot.is !== 'standing';
  const says = t('chart.lane', {
    name: lot.name,
    is: lot.is,
    start: when(lot.startOn, 'short'),
    grams: grams(Math.round(lot.grams)),
    ready: when(lot.readyOn, 'short'),
    empty: lot.emptyOn === null ? 'none' : when(lot.emptyOn, 'short'),
  });
  // As it is planned, a step for each day on which something is taken; beyond the plan, evenly.
  const level = (left: number) => floor - tall * Math.min(1, left / Math.max(1, lot.grams));
  const steps = lot.levels
    .filter((one) => one.day < end)
    .map((one) => `H${String(x(one.day + 0.5))} V${String(level(one.grams))}`);
  const outline = [
    `M${String(x(lot.start))} ${String(floor)} V${String(roof)}`,
    ...(steps.length > 0 ? [...steps, `H${String(x((lot.levels.at(-1)?.day ?? 0) + 1))}`] : [`H${String(x(first))}`]),
    `L${String(x(end))} ${String(lot.empty === null ? level((lot.levels.at(-1)?.grams ?? lot.grams) * 0.67) : floor)}`,
    `V${String(floor)} Z`,
  ].join(' ');
  const label = x(end) - x(lot.start) > 66;
  const drawn = (
    <g role="img" aria-label={says}>
      <title>{says}</title>
      <path d={outline} fill={lot.colour} fillOpacity={isPlanned ? 0.4 : 0.85} />
      {ready > lot.start && (
        <rect x={x(lot.start)} y={roof} width={x(ready) - x(lot.start)} height={tall} fill={bubbles} />
      )}
      <path
        d={outline}
        fill="none"
        stroke={isPlanned ? 'var(--ink-soft)' : lot.colour}
        strokeWidth={1.3}
        strokeDasharray={isPlanned ? '4 3' : undefined}
      />
      {ready > lot.start && ready < days && (
        <path d={`M${String(x(ready))} ${String(roof - 3)} V${String(floor)}`} stroke="var(--ink)" strokeWidth={1.6} />
      )}
      {label && (
        <text x={x(lot.start) + 4} y={roof - 3} fontSize={11.5} fill="var(--ink)">
          {lot.name.length * 6 > x(end) - x(lot.start)
            ? `${lot.name.slice(0, Math.floor((x(end) - x(lot.start)) / 6.4))}…`
            : lot.name}
        </text>
      )}
    </g>
  );

  return lot.batchId === null ? drawn : <Link to={`/shelf/${lot.batchId}`}>{drawn}</Link>;
}
