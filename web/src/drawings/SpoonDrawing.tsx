import { t } from '../messages/words';
interface Props {
  /** Grams of a level tablespoon. */
  low: number;
  typical: number;
  high: number;
  name: string;
}

const DEEP = 30;
const WIDE = 62;
const HEAVIEST = 20;

/** A tablespoon of a salt: how full of mass it is, and between which weights it may lie. */
export function SpoonDrawing({ low, typical, high, name }: Props) {
  const level = (grams: number) => DEEP * (1 - Math.min(1, grams / HEAVIEST));
  const y = 12;

  return (
    <svg
      role="img"
      aria-label={t('chart.spoon', {
        salt: name,
        typical: typical.toFixed(1),
        low: low.toFixed(1),
        high: high.toFixed(1),
      })}
      width={112}
      height={62}
      viewBox="0 0 112 62"
      style={{ flex: 'none' }}
    >
      <defs>
        <clipPath id={`spoon-${name.replaceAll(/\W/g, '')}`}>
          <path d={`M4 ${y} H${4 + WIDE} A${WIDE / 2} ${DEEP} 0 0 1 4 ${y} Z`} />
        </clipPath>
      </defs>
      <path
        d={`M4 ${y} H${4 + WIDE} A${WIDE / 2} ${DEEP} 0 0 1 4 ${y} Z`}
        fill="var(--glass)"
        stroke="var(--glass-line)"
        strokeWidth={1.6}
      />
      <g clipPath={`url(#spoon-${name.replaceAll(/\W/g, '')})`}>
        <rect x={0} width={WIDE + 8} y={y + level(high)} height={DEEP} fill="var(--wood)" opacity={0.3} />
        <rect x={0} width={WIDE + 8} y={y + level(typical)} height={DEEP} fill="var(--wood)" opacity={0.55} />
        <rect x={0} width={WIDE + 8} y={y + level(low)} height={DEEP} fill="var(--wood-dark)" opacity={0.55} />
      </g>
      <path
        d={`M${4 + WIDE} ${y + 1} q 14 2 40 -7`}
        fill="none"
        stroke="var(--glass-line)"
        strokeWidth={4}
        strokeLinecap="round"
      />
    </svg>
  );
}
