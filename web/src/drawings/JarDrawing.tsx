import { t } from '../messages/words';
import { memo, useId, useMemo } from 'react';
import type { JarPicture } from '../api/client';
import { Cover } from './Cover';
import { outline, top } from './jarShape';
import { Pieces } from './Pieces';
import { length } from '../app/numbers';

interface Props {
  jar: JarPicture;
  /** Screen pixels for a millimetre, so that jars on one board stand in true proportion. */
  scale: number;
  /** How the jar is called by a screen reader. */
  label: string;
  /** Anything that stays the same for the same batch: the pieces lie the same way each time. */
  seed: string;
  showsLevels?: boolean;
}

const LID_ROOM = 34;
const SIDE_ROOM = 6;

/** A jar in its real proportions: pieces and brine at their levels, headspace, weight, cover. */
export const JarDrawing = memo(function JarDrawing({ jar, scale, label, seed, showsLevels = false }: Props) {
  const clip = useId();
  const height = top(jar);
  const levelRoom = showsLevels ? 62 : 0;
  const width = jar.bodyMm + SIDE_ROOM * 2 + levelRoom;
  const boxHeight = height + LID_ROOM + 3;
  const middle = SIDE_ROOM + jar.bodyMm / 2;
  const floor = LID_ROOM + height;
  const path = useMemo(() => outline(jar, middle, floor), [jar, middle, floor]);
  const food = Math.min(jar.foodMm, height);
  const liquid = Math.min(jar.liquidMm, height);
  const isPulp = jar.shape === 'pulp';

  return (
    <svg
      role={label === '' ? 'presentation' : 'img'}
      aria-label={label || undefined}
      width={width * scale}
      height={boxHeight * scale}
      viewBox={`0 0 ${width} ${boxHeight}`}
      style={{ display: 'block', overflow: 'visible' }}
    >
      <defs>
        <clipPath id={clip}>
          <path d={path} />
        </clipPath>
      </defs>
      <path d={path} fill="var(--glass)" />
      <g clipPath={`url(#${clip})`}>
        {!isPulp && liquid > 0 && (
          <>
            <rect x={0} y={floor - liquid} width={width} height={liquid} fill="#efe9c4" />
            <rect x={0} y={floor - liquid} width={width} height={liquid} fill={jar.colour} opacity={0.3} />
          </>
        )}
        <Pieces jar={jar} middle={middle} floor={floor} food={food} seed={seed} />
        {!isPulp && liquid > 0 && (
          <>
            <rect x={0} y={floor - liquid} width={width} height={liquid} fill={jar.colour} opacity={0.1} />
            <line
              x1={0}
              x2={width}
              y1={floor - liquid}
              y2={floor - liquid}
              stroke="#fffdf2"
              strokeWidth={1.4}
              opacity={0.85}
            />
          </>
        )}
        {jar.hasWeight && (
          <rect
            x={middle - jar.mouthMm * 0.42}
            y={floor - food - 13}
            width={jar.mouthMm * 0.84}
            height={12}
            rx={4}
            fill="#f6fbf7"
            opacity={0.72}
            stroke="#7f8c84"
            strokeWidth={0.8}
          />
        )}
        <path
          d={`M${middle - jar.bodyMm / 2 + 7} ${floor - 10} V${floor - jar.bodyHeightMm + 6}`}
          stroke="#fff"
          strokeWidth={3.4}
          strokeLinecap="round"
          opacity={0.4}
        />
      </g>
      <path d={path} fill="none" stroke="var(--glass-line)" strokeWidth={1.7} />
      <Cover kind={jar.cover} middle={middle} rim={LID_ROOM} mouth={jar.mouthMm} />
      {jar.overflowMl >= 1 && <Overflow jar={jar} middle={middle} rim={LID_ROOM} floor={floor} />}
      {showsLevels && <Levels jar={jar} x={middle + jar.bodyMm / 2 + 4} floor={floor} rim={LID_ROOM} />}
    </svg>
  );
});

function Overflow({ jar, middle, rim, floor }: { jar: JarPicture; middle: number; rim: number; floor: number }) {
  const right = middle + jar.bodyMm / 2;
  return (
    <g fill={jar.colour} opacity={0.75}>
      <path
        d={`M${middle + jar.mouthMm / 2} ${rim + 2} q5 6 ${right - middle - jar.mouthMm / 2 + 2} 22 v16 q-3 5 -5 0 v-14 z`}
      />
      <ellipse cx={right} cy={floor + 1} rx={15} ry={2.4} />
    </g>
  );
}

function Levels({ jar, x, floor, rim }: { jar: JarPicture; x: number; floor: number; rim: number }) {
  const food = floor - Math.min(jar.foodMm, top(jar));
  const liquid = floor - Math.min(jar.liquidMm, top(jar));
  const isPulp = jar.shape === 'pulp';
  const foodText = isPulp || Math.abs(food - liquid) >= 9 ? food : liquid + 10;
  return (
    <g fontFamily="var(--sans)" fontSize={7} fill="var(--ink-soft)" stroke="none">
      <path
        d={`M${x} ${rim} V${Math.min(food, liquid)}`}
        stroke="var(--ink-soft)"
        strokeWidth={0.7}
        strokeDasharray="2 2"
      />
      <text x={x + 4} y={rim + 8}>
        {t('jar_drawing.headspace', {
          length: length(Math.max(0, top(jar) - Math.max(jar.foodMm, isPulp ? 0 : jar.liquidMm))),
        })}
      </text>
      {!isPulp && (
        <>
          <path d={`M${x - 3} ${liquid} h6`} stroke="var(--ink-soft)" strokeWidth={0.9} />
          <text x={x + 5} y={liquid + 2.4}>
            {t('jar_drawing.brine')}
          </text>
        </>
      )}
      <path d={`M${x - 3} ${food} h6`} stroke="var(--ink-soft)" strokeWidth={0.9} />
      <text x={x + 5} y={foodText + 2.4}>
        {jar.foodMm > jar.liquidMm + 3 && !isPulp ? t('jar_drawing.food_above') : t('jar_drawing.food')}
      </text>
    </g>
  );
}
