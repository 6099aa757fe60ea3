import { Link } from 'react-router';
import { useChores } from '../../api/tending';
import { say, t } from '../../messages/words';
import { clockOf, useNow } from './clock';

/** The clocks of other jars, which run on. */
export function OtherClocks({ batchId }: { batchId: string }) {
  const chores = useChores();
  const now = useNow();
  const others = [...(chores.data?.now ?? []), ...(chores.data?.soon ?? [])].filter(
    (chore) => chore.task === 'step' && chore.batchId !== batchId && chore.dueAt !== null,
  );

  return (
    <ul className="counter-clocks" aria-label={t('counter.other_clocks')}>
      {others.map((chore) => {
        const left = (Date.parse(chore.dueAt ?? '') - now) / 1000;
        return (
          <li key={chore.id}>
            <Link to={`/counter/${chore.batchId}`} className={left <= 0 ? 'is-due' : undefined}>
              {chore.batchName}: {say(chore.text)} {left > 0 ? clockOf(left) : t('counter.now_due')}
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
