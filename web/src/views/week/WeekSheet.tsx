import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button } from 'antd';
import { Link, useParams } from 'react-router';
import { useWeek } from '../../api/planning';
import { grams, mg } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { JarDrawing } from '../../drawings/JarDrawing';
import './WeekView.css';

/** The week on paper, for the fridge door. */
export function WeekSheet() {
  const { date = 'today' } = useParams();
  const query = useWeek(date);
  if (!query.data) {
    return <PageState query={query} />;
  }
  const week = query.data;
  const used = week.jars.filter((jar) => week.servings.some((one) => one.batchId === jar.id));

  return (
    <article className="week-sheet">
      <div className="week-sheet-head">
        <h1>{t('week.span_long', { from: when(week.from, 'month'), to: when(week.dates.at(-1), 'month') })}</h1>
        <span className="week-sheet-does">
          <Button type="primary" onClick={() => window.print()}>
            {t('action.print')}
          </Button>
          <Link className="as-button" to={`/week/${week.from}`}>
            {t('week.back')}
          </Link>
        </span>
      </div>
      <table>
        <thead>
          <tr>
            <th scope="col">{t('week.day')}</th>
            {week.people.map((person) => (
              <th key={person.id} scope="col">
                {person.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {week.dates.map((day, at) => (
            <tr key={day}>
              <th scope="row">{when(day, 'weekdayDay')}</th>
              {week.people.map((person) => {
                const one = person.days[at];
                const planned = week.servings.filter(
                  (serving) => serving.personId === person.id && serving.date === day,
                );
                return (
                  <td key={person.id}>
                    {one?.eaten.map((had) => (
                      <p key={had.id} className="is-eaten">
                        {t('week.eaten', { jar: had.name, grams: grams(had.grams) })}
                      </p>
                    ))}
                    {planned.map((serving) => (
                      <p key={serving.id}>
                        <span className="tick-box" /> {serving.name}, {grams(serving.grams)}
                        {serving.way === 'drained' ? '' : `, ${say(serving.wayLabel)}`}
                        <span className="soft"> {mg(serving.sodium.shown)}</span>
                      </p>
                    ))}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {used.length > 0 && (
        <div className="week-sheet-jars">
          {used.map((jar) => (
            <figure key={jar.id}>
              <JarDrawing jar={jar.jar} scale={0.26} label="" seed={jar.id} />
              <figcaption>
                {t('week.jar_left', {
                  jar: jar.name,
                  grams: grams(Math.round(jar.grams)),
                  left: grams(Math.max(0, Math.round(jar.left.at(-1) ?? 0))),
                })}
              </figcaption>
            </figure>
          ))}
        </div>
      )}
      <p className="soft">{t('week.sheet_about')}</p>
    </article>
  );
}
