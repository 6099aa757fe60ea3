import { t } from '../messages/words';
import { mg } from '../app/numbers';
import { BehindTable } from './BehindTable';
import { useWidth } from './useWidth';

export interface Stream {
  name: string;
  sodiumMg: number;
  colour: string;
}

interface Props {
  from: Stream[];
  to: Stream[];
  /** How the jar in the middle is called. */
  jar: string;
}

const HEIGHT = 150;
const LINE = 19;
const GAP = 5;
const LEFT = 132;
const RIGHT = 168;

/** Where the sodium came from, through the jar, to where it is or went: widths are milligrams. */
export function SaltFlow({ from, to, jar }: Props) {
  const [frame, width] = useWidth(560);
  const whole = Math.max(1, sum(from), sum(to));
  const height = Math.max(HEIGHT, LINE * Math.max(from.length, to.length) + 20);
  const left = place(from, whole, height);
  const right = place(to, whole, height);
  const [start, end] = [LEFT, width - RIGHT];
  const middle = (start + end) / 2;

  return (
    <div ref={frame}>
      <svg
        role="img"
        aria-label={t('chart.salt_flow', { jar, from: list(from), to: list(to) })}
        width={width}
        height={height}
        viewBox={`0 0 ${String(width)} ${String(height)}`}
        style={{ display: 'block' }}
      >
        {left.map(({ stream, top, tall, through }) => (
          <path key={stream.name} d={ribbon(start, top, middle - 7, through, tall)} fill={stream.colour} opacity={0.62}>
            <title>{`${stream.name} ${mg(stream.sodiumMg)}`}</title>
          </path>
        ))}
        {right.map(({ stream, top, tall, through }) => (
          <path key={stream.name} d={ribbon(middle + 7, through, end, top, tall)} fill={stream.colour} opacity={0.62}>
            <title>{`${stream.name} ${mg(stream.sodiumMg)}`}</title>
          </path>
        ))}
        <rect
          x={middle - 7}
          y={(height - bodyOf(height)) / 2}
          width={14}
          height={bodyOf(height)}
          rx={3}
          fill="var(--ink-soft)"
        />
        {left.map(({ stream, top, tall, label }) => (
          <g key={stream.name}>
            <rect x={start - 5} y={top} width={5} height={Math.max(1.5, tall)} fill={stream.colour} />
            <Label x={start - 10} y={label} anchor="end" stream={stream} />
          </g>
        ))}
        {right.map(({ stream, top, tall, label }) => (
          <g key={stream.name}>
            <rect x={end} y={top} width={5} height={Math.max(1.5, tall)} fill={stream.colour} />
            <Label x={end + 10} y={label} anchor="start" stream={stream} />
          </g>
        ))}
      </svg>
      <BehindTable
        table={{
          head: [t('chart.flow_what'), t('chart.flow_sodium')],
          rows: [
            ...from.map(({ name, sodiumMg }) => [t('chart.flow_in', { name }), mg(sodiumMg)]),
            ...to.map(({ name, sodiumMg }) => [t('chart.flow_now', { name }), mg(sodiumMg)]),
          ],
        }}
      />
    </div>
  );
}

function Label({ x, y, anchor, stream }: { x: number; y: number; anchor: 'start' | 'end'; stream: Stream }) {
  return (
    <text x={x} y={y} textAnchor={anchor} dominantBaseline="central" fontSize={13} fill="var(--ink-soft)">
      {stream.name}{' '}
      <tspan fontWeight={600} fill="var(--ink)">
        {mg(stream.sodiumMg)}
      </tspan>
    </text>
  );
}

/** The height of the jar in the middle, through which all of it goes. */
const bodyOf = (height: number): number => height * 0.62;

const sum = (streams: Stream[]): number => streams.reduce((all, one) => all + one.sodiumMg, 0);

const list = (streams: Stream[]): string => streams.map((one) => `${one.name} ${mg(one.sodiumMg)}`).join(', ');

interface Placed {
  stream: Stream;
  /** Where it begins or ends at its own side. */
  top: number;
  /** How thick it is. */
  tall: number;
  /** Where it meets the jar. */
  through: number;
  /** Where its words stand. */
  label: number;
}

/** Streams above one another, with gaps at their side and none at the jar; words never on top of each other. */
function place(streams: Stream[], whole: number, height: number): Placed[] {
  const body = bodyOf(height);
  const scale = body / whole;
  const free = height - body;
  const gap = Math.min(Math.max(GAP, free / (streams.length + 1)), LINE);
  let top = (height - (sum(streams) * scale + gap * (streams.length - 1))) / 2;
  let through = free / 2;
  let lastLabel = -LINE / 2;
  const placed = streams.map((stream) => {
    const tall = stream.sodiumMg * scale;
    const label = Math.max(lastLabel + LINE, top + tall / 2);
    const one = { stream, top, tall, through, label };
    top += tall + gap;
    through += tall;
    lastLabel = label;
    return one;
  });
  const over = Math.max(0, lastLabel + LINE / 2 - height);
  return placed.map((one, i) => ({ ...one, label: Math.max(LINE * (i + 0.5), one.label - over) }));
}

/** A band from one side to the other. */
function ribbon(x1: number, y1: number, x2: number, y2: number, tall: number): string {
  const bend = (x1 + x2) / 2;
  const thick = Math.max(1.2, tall);
  return [
    `M${x1} ${y1}`,
    `C${bend} ${y1} ${bend} ${y2} ${x2} ${y2}`,
    `V${y2 + thick}`,
    `C${bend} ${y2 + thick} ${bend} ${y1 + thick} ${x1} ${y1 + thick}`,
    'Z',
  ].join(' ');
}
