import { t } from '../../messages/words';
import type { BatchNumbers, Effect as BeforeAndAfter } from '../../api/client';
import { grams, sodium } from '../../app/numbers';
import { phaseWords } from './words';

const lineOf = (phase: BatchNumbers['phases'][number]): string =>
  t('batch.effect_line', { grams: grams(phase.grams), sodium: sodium(phase.per100g) });

/** Each part of the jar as it is and as it would be, and each eater's portion. */
export function EffectPreview({ before, after }: BeforeAndAfter) {
  return (
    <table className="effect" aria-label={t('batch.effect')}>
      <tbody>
        {after.phases.map((then) => {
          const now = before.phases.find(({ phase }) => phase === then.phase);
          return (
            <tr key={then.phase}>
              <th scope="row">{phaseWords[then.phase]}</th>
              <td className="soft">{now ? lineOf(now) : t('batch.effect_none')}</td>
              <td aria-hidden="true">→</td>
              <td data-testid={`${then.phase}-after`}>{lineOf(then)}</td>
            </tr>
          );
        })}
        {goneOf(before, after).map((phase) => (
          <tr key={phase}>
            <th scope="row">{phaseWords[phase]}</th>
            <td className="soft">{grams(before.phases.find((one) => one.phase === phase)?.grams ?? 0)}</td>
            <td aria-hidden="true">→</td>
            <td>{t('batch.effect_none')}</td>
          </tr>
        ))}
      </tbody>
      <caption>{t('batch.effect_about', { hasPieces: after.phases.length > 1 })}</caption>
    </table>
  );
}

/** Parts of the jar that would be there no longer. */
const goneOf = (before: BatchNumbers, after: BatchNumbers) =>
  before.phases.map(({ phase }) => phase).filter((phase) => after.phases.every((one) => one.phase !== phase));
