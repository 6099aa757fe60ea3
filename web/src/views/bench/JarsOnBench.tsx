import { t } from '../../messages/words';
import type { BenchAnswer } from '../../api/client';
import { grams, ml } from '../../app/numbers';
import { JarDrawing } from '../../drawings/JarDrawing';
import { top } from '../../drawings/jarShape';

const WIDTH = 290;
const HEIGHT = 440;
/** What stands beside a jar's glass: its levels in words. */
const BESIDE_MM = 74;

interface Props {
  jars: BenchAnswer['jars'];
  /** What is in them. */
  food: string;
  /** Whether it is salted first and dressed afterwards: what goes into a jar is then not what was weighed. */
  isDressed: boolean;
}

/** The jars as they would stand, all in one proportion. */
export function JarsOnBench({ jars, food, isDressed }: Props) {
  const isOne = jars.length === 1;
  const columns = isOne ? 1 : 2;
  const rows = Math.ceil(jars.length / columns);
  const widest = Math.max(...jars.map(({ picture }) => picture.bodyMm + (isOne ? BESIDE_MM : 14)));
  const tallest = Math.max(...jars.map(({ picture }) => top(picture) + 36));
  const scale = Math.min(HEIGHT / (tallest * rows), WIDTH / (widest * columns));

  return (
    <div
      className="bench-jars"
      style={{ gridTemplateColumns: `repeat(${String(Math.min(columns, jars.length))}, auto)` }}
    >
      {jars.map(({ picture, name, vegetableGrams, brineMl, foodGrams }, i) => (
        <figure key={i}>
          <div className="on-board">
            <JarDrawing
              jar={picture}
              scale={scale}
              label={t('bench.drawing', { food, number: i + 1, total: jars.length })}
              seed={`bench ${String(i)}`}
              showsLevels={isOne}
            />
          </div>
          <figcaption data-testid={`jar-${String(i + 1)}`}>
            <b>{name}</b>
            <span className="soft">
              {isDressed
                ? t('bench.dressed', { grams: grams(Math.round(foodGrams)) })
                : t('bench.holds', { grams: grams(vegetableGrams), ml: brineMl >= 1 ? ml(brineMl) : 'none' })}
            </span>
          </figcaption>
        </figure>
      ))}
    </div>
  );
}
