import { notices } from '../../app/notices';
import { Link, useNavigate } from 'react-router';
import { useBeginFirstWeek, useFirstWeek } from '../../api/planning';
import type { Refusal } from '../../api/client';
import { complain } from '../../app/complain';
import { ColouredItem } from '../../app/ColouredItem';
import { grams, mg } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { when } from '../../messages/dates';
import { say, t } from '../../messages/words';
import { Deed } from '../../app/Deed';
import './FirstWeek.css';

/** Hours up to which a start is told in hours rather than by its day. */
const HOURS = 48;

/** Where nothing is ready yet: what to buy for the first days, what to start, and one tap that makes it so. */
export function FirstWeek({ title }: { title: string }) {
  const query = useFirstWeek();
  const begin = useBeginFirstWeek();
  const navigate = useNavigate();
  if (!query.data) {
    return <PageState query={query} />;
  }
  const { choices, timesAWeek } = query.data;
  const beginAll = () =>
    // What is planned may take this part off the page before the answer is read.
    void begin.mutateAsync(undefined).then(
      () => {
        notices.done(t('way_in.done'));
        void navigate('/shelf/ahead');
      },
      (refusal: Refusal) => complain(refusal),
    );

  return (
    <section className="way-in" aria-label={title}>
      <h2>{title}</h2>
      <h3>{t('way_in.today')}</h3>
      <p>
        {t('way_in.buy')}{' '}
        <Link className="as-button" to="/shelf?bought=new">
          {t('way_in.add_bought')}
        </Link>
      </p>
      <h3>{t('way_in.start')}</h3>
      {choices.length === 0 ? (
        <p>{t('way_in.none')}</p>
      ) : (
        <>
          <ol className="quiet-list">
            {choices.map((one) => (
              <ColouredItem key={one.formulaId} colour={one.colour}>
                <p>
                  <Link to={`/formulas/${one.formulaId}`}>{one.name}</Link>{' '}
                  <span className="soft">
                    {one.readyHours <= HOURS
                      ? t('way_in.choice', {
                          jar: one.jarName,
                          grams: grams(Math.round(one.grams)),
                          hours: Math.round(one.readyHours),
                          day: when(one.readyOn, 'weekday'),
                        })
                      : t('way_in.choice_days', {
                          jar: one.jarName,
                          grams: grams(Math.round(one.grams)),
                          day: when(one.readyOn, 'weekdayDate'),
                        })}
                  </span>
                </p>
                <p>
                  {say(one.why)} {t('way_in.serving', { grams: grams(one.servingGrams), sodium: mg(one.servingMg) })}
                </p>
              </ColouredItem>
            ))}
          </ol>
          <Deed type="primary" loading={begin.isPending} onClick={beginAll}>
            {t('way_in.begin')}
          </Deed>
          <p className="soft">{t('way_in.about', { times: timesAWeek })}</p>
        </>
      )}
    </section>
  );
}
