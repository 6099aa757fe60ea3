import type { ScaleLinear } from 'd3-scale';
import { useState, type PointerEvent, type ReactNode } from 'react';
import { t } from '../messages/words';
import { BehindTable, type ChartTable } from './BehindTable';
import './Chart.css';

/** A place of a chart that can be read, in px from its left edge, with what is to be read there. */
export interface Stop {
  x: number;
  says: string;
}

interface Props {
  /** What the picture shows, in a sentence. */
  label: string;
  width: number;
  height: number;
  /** From left to right. */
  stops: Stop[];
  table: ChartTable;
  children: ReactNode;
}

/**
 * A chart that is read with a pointer, a finger or the arrow keys: a line goes along with it, and what is there stands
 * below. All of it is there as a table too.
 */
export function Chart({ label, width, height, stops, table, children }: Props) {
  const [place, setPlace] = useState<number | null>(null);
  const stop = place === null ? undefined : stops[place];
  const look = ({ clientX, currentTarget }: PointerEvent) =>
    setPlace(nearest(stops, clientX - currentTarget.getBoundingClientRect().left));

  return (
    <figure className="chart">
      <div
        className="chart-picture"
        onPointerMove={look}
        onPointerDown={look}
        onPointerLeave={({ pointerType }) => {
          // Where a finger was is read after it has gone.
          if (pointerType === 'mouse') {
            setPlace(null);
          }
        }}
      >
        <svg
          role="img"
          aria-label={label}
          width={width}
          height={height}
          viewBox={`0 0 ${String(width)} ${String(height)}`}
          fill="var(--ink-soft)"
        >
          {children}
          {stop && <path className="chart-line" d={`M${String(stop.x)} 0 V${String(height)}`} />}
        </svg>
        {stops.length > 1 && (
          <input
            type="range"
            className="chart-along"
            aria-label={t('chart.along')}
            aria-valuetext={(stop ?? stops.at(-1))?.says}
            min={0}
            max={stops.length - 1}
            value={place ?? stops.length - 1}
            onChange={({ target }) => setPlace(Number(target.value))}
            onFocus={() => setPlace(place ?? stops.length - 1)}
            onBlur={() => setPlace(null)}
          />
        )}
      </div>
      <p className="chart-reading" aria-hidden="true">
        {stop?.says}
      </p>
      <BehindTable table={table} />
    </figure>
  );
}

/** The place of the stop nearest to a point. */
export function nearest(stops: Stop[], x: number): number | null {
  return stops.reduce<number | null>(
    (best, stop, at) => (best === null || Math.abs(stop.x - x) < Math.abs((stops[best]?.x ?? 0) - x) ? at : best),
    null,
  );
}

interface AxisProps {
  scale: ScaleLinear<number, number>;
  values: number[];
  left: number;
  right: number;
  /** How a value is written; with its unit, which stands at the highest one. */
  write: (value: number, hasUnit: boolean) => string;
}

/** Values up the left side, a thin line across at each; the unit is at the highest. */
export function ValueAxis({ scale, values, left, right, write }: AxisProps) {
  return values.map((value) => (
    <g key={value}>
      <line x1={left} x2={right} y1={scale(value)} y2={scale(value)} stroke="var(--line)" />
      <text x={left - 7} y={scale(value)} textAnchor="end" dominantBaseline="central" className="chart-words">
        {write(value, value === values.at(-1))}
      </text>
    </g>
  ));
}

/** Every how manieth of the rows of a table, so that it stays readable; the last is always among them. */
export const thinned = <Row,>(rows: Row[], most: number): Row[] => {
  const every = Math.max(1, Math.ceil(rows.length / most));

  return rows.filter((_, at) => (rows.length - 1 - at) % every === 0);
};
