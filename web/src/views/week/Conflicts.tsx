import { say, t } from '../../messages/words';
import { memo } from 'react';
import { Link } from 'react-router';
import { mg } from '../../app/numbers';
import { Deed } from '../../app/Deed';
import type { WeekActions } from './weekActions';

/** What does not go together, in words, and what would help. */
export const Conflicts = memo(function Conflicts({ hands }: { hands: WeekActions }) {
  const { week, change, add } = hands;

  return (
    <section aria-label={t('week.conflicts')} className="conflicts" id="conflicts">
      <h2>{t('week.conflict_count', { count: week.conflicts.length })}</h2>
      <ul className="quiet-list">
        {week.conflicts.map((conflict) => (
          <li
            key={`${conflict.code} ${conflict.personId ?? ''} ${conflict.date ?? ''} ${conflict.batchId ?? ''}`}
            className={conflict.code}
          >
            <p>{say(conflict.text)}</p>
            <div className="words">
              {conflict.levers.map((lever) => (
                <Deed
                  key={`${lever.servingId} ${say(lever.text)}`}
                  title={say(lever.cost) ?? undefined}
                  onClick={() => {
                    const serving = week.servings.find((one) => one.id === lever.servingId);
                    if (serving) {
                      change(serving, lever.instead);
                    } else if (lever.instead) {
                      add(lever.instead);
                    }
                  }}
                >
                  {say(lever.text)}
                  <span className="lever-saves">
                    {Math.abs(lever.savesMg) >= 1 &&
                      (lever.savesMg > 0 ? `−${mg(Math.round(lever.savesMg))}` : `+${mg(Math.round(-lever.savesMg))}`)}
                    {!lever.isEnough && <span> · {t('saving.not_enough')}</span>}
                  </span>
                </Deed>
              ))}
              {conflict.code === 'nothing_live' && (
                <>
                  <Link className="as-button" to="/shelf/ahead">
                    {t('week.start_low')}
                  </Link>
                  <Link className="as-button" to="/shelf?bought=new">
                    {t('way_in.add_bought')}
                  </Link>
                </>
              )}
            </div>
          </li>
        ))}
      </ul>
      {week.unmet.length > 0 && (
        <>
          <h2>{t('week.unmet')}</h2>
          <ul className="quiet-list">
            {week.unmet.map((one) => (
              <li key={say(one)} className="unmet">
                <p>{say(one)}</p>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="soft">{t('week.about')}</p>
    </section>
  );
});
