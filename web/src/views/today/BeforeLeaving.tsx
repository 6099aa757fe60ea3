import { Link } from 'react-router';
import type { Chores } from '../../api/client';
import { when } from '../../messages/dates';
import { say, t } from '../../messages/words';

/** Days on which nobody eats here are near: what the jars ask for until their end. */
export function BeforeLeaving({ away }: { away: NonNullable<Chores['away']> }) {
  const title = t('chores.away', { from: when(away.from, 'short'), to: when(away.to, 'short') });

  return (
    <section className="before-leaving" aria-label={title}>
      <h3>{title}</h3>
      {away.chores.length === 0 ? (
        <p>{t('chores.away_none')}</p>
      ) : (
        <>
          <ul className="quiet-list">
            {away.chores.map((chore) => (
              <li key={chore.id}>
                <Link to={`/shelf/${chore.batchId}`}>{chore.batchName}</Link>: {say(chore.text)}{' '}
                <span className="soft">{t('chores.away_on', { day: when(chore.dueOn, 'weekdayDate') })}</span>
              </li>
            ))}
          </ul>
          <p className="soft">{t('chores.away_about')}</p>
        </>
      )}
    </section>
  );
}
