import type { BenchAnswer } from '../api/client';
import { grams, length, mg } from '../app/numbers';
import { say, t } from '../messages/words';
import { shade } from './jarShape';
import './PieceKinds.css';

interface Props {
  kinds: BenchAnswer['kinds'];
  colour: string;
}

/** Pixels to a millimetre, and the most that a piece takes. */
const SCALE = 5;
const MOST = 64;

/** How many kinds are drawn, the heaviest first. */
const SHOWN = 4;

/** Each kind of pieces as thick as it is, and how much salt is in it: the fuller, the saltier. */
export function PieceKinds({ kinds, colour }: Props) {
  const saltiest = Math.max(1, ...kinds.map(({ sodiumPer100g }) => sodiumPer100g));
  if (kinds.length < 2) {
    return null;
  }
  return (
    <ul className="piece-kinds" aria-label={t('cuts.title')}>
      {kinds.slice(0, SHOWN).map((kind) => {
        const thick = length(2 * kind.reachMm);
        const size = Math.min(MOST, Math.max(4, 2 * kind.reachMm * SCALE));
        return (
          <li key={`${say(kind.label)} ${String(kind.reachMm)}`}>
            <svg width={MOST} height={MOST} role="img" aria-label={t('cuts.drawing', { part: say(kind.label), thick })}>
              <Slice form={kind.form} size={size} colour={colour} fill={kind.sodiumPer100g / saltiest} />
            </svg>
            <span>
              <b>{say(kind.label)}</b>
              <br />
              {t('cuts.sodium', { sodium: mg(kind.sodiumPer100g) })}
              <br />
              <span className="soft">{t('cuts.of_kind', { grams: grams(kind.grams), thick })}</span>
            </span>
          </li>
        );
      })}
    </ul>
  );
}

interface SliceProps {
  form: Props['kinds'][number]['form'];
  size: number;
  colour: string;
  fill: number;
}

/** A cut through a piece: a sheet lies flat, sticks and cloves are round. */
function Slice({ form, size, colour, fill }: SliceProps) {
  const middle = MOST / 2;
  const line = shade(colour, -0.4);
  if (form === 'sheet') {
    return (
      <>
        <rect
          x={2}
          y={middle - size / 2}
          width={MOST - 4}
          height={size}
          rx={2}
          fill={shade(colour, 0.55)}
          stroke={line}
        />
        <rect x={2} y={middle - size / 2} width={(MOST - 4) * fill} height={size} rx={2} fill={colour} stroke={line} />
      </>
    );
  }
  return (
    <>
      <circle cx={middle} cy={middle} r={size / 2 - 1} fill={shade(colour, 0.55)} stroke={line} />
      <circle cx={middle} cy={middle} r={(size / 2 - 1) * Math.sqrt(fill)} fill={colour} stroke={line} />
    </>
  );
}
