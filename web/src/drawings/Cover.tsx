import type { JarPicture } from '../api/client';

interface Props {
  kind: JarPicture['cover'];
  middle: number;
  /** y of the rim, mm */
  rim: number;
  mouth: number;
}

/** What closes the jar. */
export function Cover({ kind, middle, rim, mouth }: Props) {
  const left = middle - mouth / 2;
  const glass = { fill: 'var(--glass)', stroke: 'var(--glass-line)', strokeWidth: 1.4 };

  switch (kind) {
    case 'clamp':
      return (
        <g>
          <path
            d={`M${left - 3} ${rim - 1} q0 -12 ${mouth / 2 + 3} -12 q${mouth / 2 + 3} 0 ${mouth / 2 + 3} 12 z`}
            {...glass}
          />
          <rect x={left - 3} y={rim - 1} width={mouth + 6} height={4} rx={2} fill="#c8673c" />
          <path
            d={`M${left + mouth + 3} ${rim - 4} q7 6 1 22 M${left - 3} ${rim - 4} q-6 5 -1 14`}
            fill="none"
            stroke="#8a8f8c"
            strokeWidth={1.7}
            strokeLinecap="round"
          />
        </g>
      );
    case 'airlock':
      return (
        <g>
          <rect
            x={left - 2}
            y={rim - 7}
            width={mouth + 4}
            height={13}
            rx={2.5}
            fill="#f7f4ec"
            stroke="var(--glass-line)"
            strokeWidth={1.2}
          />
          <path
            d={`M${middle} ${rim - 7} v-9 q0 -6 5 -6 t5 6 v4 q0 5 5 5 t5 -5 v-14`}
            fill="none"
            stroke="var(--glass-line)"
            strokeWidth={4.4}
          />
          <path
            d={`M${middle} ${rim - 7} v-9 q0 -6 5 -6 t5 6 v4 q0 5 5 5 t5 -5 v-14`}
            fill="none"
            stroke="var(--glass)"
            strokeWidth={2.4}
          />
          <path
            d={`M${middle + 10} ${rim - 14} v2 q0 5 5 5 t5 -5 v-2`}
            fill="none"
            stroke="#7fa3b5"
            strokeWidth={2.4}
          />
        </g>
      );
    case 'cloth':
      return (
        <g>
          <path
            d={`M${left - 5} ${rim - 4} q${mouth / 2 + 5} -8 ${mouth + 10} 0 l4 24 q-6 -5 -9 0 t-10 0 t-${mouth / 4} 1 t-${mouth / 4} 0 t-${mouth / 4} 0 t-${mouth / 5} -1 z`}
            fill="#efe6d3"
            stroke="#b8a888"
            strokeWidth={1.1}
          />
          <path
            d={`M${left - 4} ${rim + 7} q${mouth / 2 + 4} 4 ${mouth + 8} 0`}
            fill="none"
            stroke="#a65f3a"
            strokeWidth={2.2}
          />
        </g>
      );
    case 'slit lid':
      return (
        <g fill="#f2efe6" stroke="var(--glass-line)" strokeWidth={1.3}>
          <rect x={left - 2.5} y={rim - 4} width={mouth + 5} height={15} rx={3} />
          <path d={`M${middle - 9} ${rim - 4} q9 -14 18 0 z`} />
          <line x1={middle} x2={middle} y1={rim - 11} y2={rim - 6} />
        </g>
      );
    default:
      return (
        <g transform={kind === 'loose lid' ? `rotate(-3 ${middle} ${rim}) translate(0 -5)` : undefined}>
          <rect
            x={left - 2.5}
            y={rim - 5}
            width={mouth + 5}
            height={17}
            rx={2.5}
            fill="#c9a45e"
            stroke="#8d6d33"
            strokeWidth={1.1}
          />
          {Array.from({ length: Math.floor(mouth / 6) }, (_, i) => (
            <line
              key={i}
              x1={left + 3 + i * 6}
              x2={left + 3 + i * 6}
              y1={rim - 1}
              y2={rim + 9}
              stroke="#8d6d33"
              strokeWidth={0.7}
              opacity={0.6}
            />
          ))}
        </g>
      );
  }
}
