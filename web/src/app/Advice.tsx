import { say, t } from '../messages/words';
import type { BenchAnswer } from '../api/client';

const weightWords = {
  note: t('advice_weight.note'),
  careful: t('advice_weight.careful'),
  stop: t('advice_weight.stop'),
} as const;

/** What the core has to say, heaviest first; nothing when it has nothing. */
export function Advice({ advice }: { advice: BenchAnswer['advice'] }) {
  return advice.length === 0 ? null : (
    <ul className="quiet-list advice" aria-label={t('app.advice')}>
      {advice.map((one) => (
        <li key={one.code} className={one.weight}>
          <b>{weightWords[one.weight]}</b>
          {say(one.text)}
        </li>
      ))}
    </ul>
  );
}
