import { useId, useMemo } from 'react';
import { randomFrom, shade } from './jarShape';

/** What may lie on top of an opened jar. */
export type OnTop =
  | 'top_clean'
  | 'bubbles'
  | 'film_flat'
  | 'fuzz_white'
  | 'fuzz_coloured'
  | 'spots_pink'
  | 'spots_black'
  | 'insects'
  | 'top_unsure';

interface Props {
  onTop: OnTop;
  /** Of the food. */
  colour: string;
  shape: string;
  /** How much of it there is, from 1, a trace, to 3, all over. */
  amount?: number;
  seed: string;
  size: number;
  label: string;
  isCloudy?: boolean;
}

const MIDDLE = 60;
const MOUTH = 47;

type Chance = () => number;

/** A place inside the mouth, as likely near its rim as in its middle. */
function spot(next: Chance, within: number): [number, number] {
  const turn = next() * Math.PI * 2;
  const out = Math.sqrt(next()) * within;
  return [MIDDLE + Math.cos(turn) * out, MIDDLE + Math.sin(turn) * out];
}

/** A round outline that is not quite round. */
function blot(next: Chance, x: number, y: number, radius: number, rough: number): string {
  const points = Array.from({ length: 12 }, (_, i): [number, number] => {
    const turn = (i / 12) * Math.PI * 2;
    const out = radius * (1 - rough / 2 + next() * rough);
    return [x + Math.cos(turn) * out, y + Math.sin(turn) * out];
  });
  // Through the middle of each side, bent at each corner.
  const sides = points.map(([px, py], i) => {
    const [qx, qy] = points[(i + 1) % points.length] ?? [px, py];
    return `Q${px.toFixed(1)} ${py.toFixed(1)} ${((px + qx) / 2).toFixed(1)} ${((py + qy) / 2).toFixed(1)}`;
  });
  const [lx, ly] = points.at(-1) ?? [x, y];
  const [fx, fy] = points[0] ?? [x, y];
  return `M${((lx + fx) / 2).toFixed(1)} ${((ly + fy) / 2).toFixed(1)} ${sides.join(' ')} Z`;
}

/** A jar seen from above, its lid off. */
export function JarTopView({ onTop, colour, shape, amount = 2, seed, size, label, isCloudy = false }: Props) {
  const clip = useId();
  const inside = useMemo(() => {
    const next = randomFrom(seed);
    return (
      <>
        <Food next={next} colour={colour} shape={shape} />
        <circle
          cx={MIDDLE}
          cy={MIDDLE}
          r={MOUTH}
          fill={isCloudy ? '#efe9d2' : '#dfe0b4'}
          opacity={isCloudy ? 0.62 : 0.26}
        />
        <Growth next={next} onTop={onTop} amount={amount} />
      </>
    );
  }, [onTop, colour, shape, amount, seed, isCloudy]);

  return (
    <svg
      role={label === '' ? 'presentation' : 'img'}
      aria-label={label || undefined}
      viewBox="0 0 120 120"
      width={size}
      height={size}
    >
      <clipPath id={clip}>
        <circle cx={MIDDLE} cy={MIDDLE} r={MOUTH} />
      </clipPath>
      <circle cx={MIDDLE} cy={MIDDLE} r={MOUTH + 8} fill="var(--glass)" stroke="var(--glass-line)" strokeWidth={1.4} />
      <g clipPath={`url(#${clip})`}>{inside}</g>
      <circle cx={MIDDLE} cy={MIDDLE} r={MOUTH} fill="none" stroke="var(--glass-line)" strokeWidth={1.6} />
      <path
        d="M22 42 A44 44 0 0 1 46 20"
        fill="none"
        stroke="#fff"
        strokeWidth={3}
        opacity={0.55}
        strokeLinecap="round"
      />
    </svg>
  );
}

function Food({ next, colour, shape }: { next: Chance; colour: string; shape: string }) {
  const tone = () => shade(colour, (next() - 0.4) * 0.4);
  const many = shape === 'shreds' || shape === 'leaves' ? 74 : shape === 'pulp' ? 120 : 30;

  return (
    <>
      <circle cx={MIDDLE} cy={MIDDLE} r={MOUTH} fill={shade(colour, -0.22)} />
      {Array.from({ length: many }, (_, i) => {
        const [x, y] = spot(next, MOUTH + 2);
        const turn = next() * 360;
        switch (shape) {
          case 'shreds':
          case 'leaves':
            return (
              <path
                key={i}
                d={`M${x - 9} ${y} q9 ${(next() - 0.5) * 9} 18 0`}
                transform={`rotate(${turn} ${x} ${y})`}
                stroke={tone()}
                strokeWidth={1.5 + next() * 1.6}
                fill="none"
                strokeLinecap="round"
              />
            );
          case 'sticks':
            return (
              <rect
                key={i}
                x={x - 6}
                y={y - 6}
                width={11}
                height={11}
                rx={1.6}
                fill={tone()}
                stroke={shade(colour, -0.4)}
                strokeWidth={0.7}
                transform={`rotate(${turn / 6} ${x} ${y})`}
              />
            );
          case 'pulp':
            return <circle key={i} cx={x} cy={y} r={0.7 + next() * 1.7} fill={tone()} />;
          default:
            return (
              <path
                key={i}
                d={blot(next, x, y, 7 + next() * 4, 0.35)}
                fill={tone()}
                stroke={shade(colour, -0.38)}
                strokeWidth={0.6}
              />
            );
        }
      })}
    </>
  );
}

function Growth({ next, onTop, amount }: { next: Chance; onTop: OnTop; amount: number }) {
  switch (onTop) {
    case 'film_flat':
      return <Film next={next} amount={amount} />;
    case 'fuzz_white':
      return <Fuzz next={next} amount={amount} tones={['#f7f4ea', '#e4e0d4']} />;
    case 'fuzz_coloured':
      return <Fuzz next={next} amount={amount} tones={['#5f8a6a', '#39506b', '#3c3d3c']} />;
    case 'spots_pink':
      return <Stains next={next} amount={amount} tones={['#ef8f8f', '#f0a04b']} size={9} />;
    case 'spots_black':
      return <Stains next={next} amount={amount} tones={['#241d18', '#3a2a1c']} size={3.4} />;
    case 'bubbles':
      return (
        <>
          {Array.from({ length: 14 + amount * 9 }, (_, i) => {
            const [x, y] = spot(next, MOUTH - 3);
            return (
              <circle
                key={i}
                cx={x}
                cy={y}
                r={1.4 + next() * 3.6}
                fill="#fff"
                fillOpacity={0.28}
                stroke="#fdfbf2"
                strokeWidth={0.9}
              />
            );
          })}
        </>
      );
    case 'insects':
      return (
        <>
          {Array.from({ length: 3 }, (_, i) => {
            const [x, y] = spot(next, MOUTH - 12);
            return (
              <g key={i} transform={`translate(${x} ${y}) rotate(${next() * 360})`}>
                <ellipse cx={-3} cy={-4} rx={5} ry={2.4} fill="#e8edf0" opacity={0.85} />
                <ellipse cx={-3} cy={4} rx={5} ry={2.4} fill="#e8edf0" opacity={0.85} />
                <ellipse rx={5} ry={2.6} fill="#2a2420" />
                <circle cx={5} r={2.1} fill="#6b2a20" />
              </g>
            );
          })}
        </>
      );
    case 'top_unsure':
      return (
        <>
          <path d={blot(next, MIDDLE, MIDDLE + 3, 25, 0.4)} fill="#efece0" opacity={0.75} />
          <text x={MIDDLE} y={MIDDLE + 15} textAnchor="middle" fontSize={32} fill="#3b2a17" fontFamily="var(--serif)">
            ?
          </text>
        </>
      );
    default:
      return null;
  }
}

/** Flat on the brine, matt, drawn together in wrinkles, with open water between. */
function Film({ next, amount }: { next: Chance; amount: number }) {
  const sheets = amount === 3 ? 1 : amount === 2 ? 3 : 4;
  return (
    <>
      {Array.from({ length: sheets }, (_, i) => {
        const radius = amount === 3 ? 45 : amount === 2 ? 21 : 10;
        const [x, y] = amount === 3 ? [MIDDLE, MIDDLE] : spot(next, MOUTH - radius * 0.8);
        return (
          <g key={i}>
            <path d={blot(next, x, y, radius, 0.22)} fill="#fbf8ee" opacity={0.86} />
            {Array.from({ length: 3 + amount * 2 }, (_, n) => {
              const across = y - radius * 0.7 + ((n + 0.5) / (3 + amount * 2)) * radius * 1.4;
              const half = Math.sqrt(Math.max(1, radius ** 2 - (across - y) ** 2)) * 0.82;
              return (
                <path
                  key={n}
                  d={`M${x - half} ${across} q${half / 2} ${(next() - 0.5) * 8} ${half} ${(next() - 0.5) * 5} t${half} ${(next() - 0.5) * 6}`}
                  fill="none"
                  stroke="#cfc6ac"
                  strokeWidth={1}
                />
              );
            })}
          </g>
        );
      })}
    </>
  );
}

/** Islands that stand up from the food, with hairs and a shadow under them. */
function Fuzz({ next, amount, tones }: { next: Chance; amount: number; tones: string[] }) {
  return (
    <>
      {Array.from({ length: 1 + amount * 2 }, (_, i) => {
        const radius = 5 + next() * (3 + amount * 1.6);
        const [x, y] = spot(next, MOUTH - radius - 4);
        const tone = tones[i % tones.length] ?? '#f7f4ea';
        return (
          <g key={i}>
            <path d={blot(next, x + 2, y + 3, radius + 2, 0.3)} fill="#1d1610" opacity={0.34} />
            {Array.from({ length: 46 }, (_, n) => {
              const turn = (n / 46) * Math.PI * 2 + next() * 0.2;
              const out = radius * (1.05 + next() * 0.5);
              return (
                <path
                  key={n}
                  d={`M${x + Math.cos(turn) * radius * 0.5} ${y + Math.sin(turn) * radius * 0.5} L${x + Math.cos(turn) * out} ${y + Math.sin(turn) * out}`}
                  stroke="#fbf9f2"
                  strokeWidth={0.8}
                />
              );
            })}
            <path d={blot(next, x, y, radius, 0.35)} fill="#f8f5ec" />
            <path d={blot(next, x, y, radius * 0.66, 0.45)} fill={tone} opacity={0.92} />
            {Array.from({ length: 9 }, (_, n) => (
              <circle
                key={n}
                cx={x + (next() - 0.5) * radius}
                cy={y + (next() - 0.5) * radius}
                r={0.7}
                fill={shade(tone, -0.3)}
                opacity={0.7}
              />
            ))}
          </g>
        );
      })}
    </>
  );
}

function Stains({ next, amount, tones, size }: { next: Chance; amount: number; tones: string[]; size: number }) {
  return (
    <>
      {Array.from({ length: 2 + amount * 3 }, (_, i) => {
        const [x, y] = spot(next, MOUTH - 8);
        const radius = size * (0.6 + next() * 0.9);
        const tone = tones[i % tones.length] ?? '#000';
        return (
          <g key={i} fill={tone}>
            <path d={blot(next, x, y, radius * 1.35, 0.4)} opacity={0.4} />
            <path d={blot(next, x, y, radius, 0.5)} opacity={0.92} />
          </g>
        );
      })}
    </>
  );
}
