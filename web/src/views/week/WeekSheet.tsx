import { Button } from 'antd';
import dayjs from 'dayjs';
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
        <h1>
          {dayjs(week.from).format('D MMMM')} to {dayjs(week.dates.at(-1)).format('D MMMM')}
        </h1>
        <span className="week-sheet-does">
          <Button type="primary" onClick={() => window.print()}>
            Print
          </Button>
          <Link className="as-button" to={`/week/${week.from}`}>
            Back to the week
          </Link>
        </span>
      </div>
      <table>
        <thead>
          <tr>
            <th scope="col">Day</th>
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
              <th scope="row">{dayjs(day).format('ddd D')}</th>
              {week.people.map((person) => {
                const one = person.days[at];
                const meant = week.servings.filter(
                  (serving) => serving.personId === person.id && serving.date === day,
                );
                return (
                  <td key={person.id}>
                    {one?.eaten.map((had) => (
                      <p key={had.id} className="is-eaten">
                        {had.name}, {grams(had.grams)}, eaten
                      </p>
                    ))}
                    {meant.map((serving) => (
                      <p key={serving.id}>
                        <span className="tick-box" /> {serving.name}, {grams(serving.grams)}
                        {serving.way === 'drained' ? '' : `, ${serving.wayLabel}`}
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
              {jar.jar && <JarDrawing jar={jar.jar} scale={0.26} label="" seed={jar.id} />}
              <figcaption>
                {jar.name}: {grams(Math.round(jar.grams))},{' '}
                {grams(Math.max(0, Math.round(jar.left.at(-1) ?? 0)))} left at the end
              </figcaption>
            </figure>
          ))}
        </div>
      )}
      <p className="soft">
        Milligrams of sodium in each serving, as on a label. Targets belong to the eater and their clinician.
      </p>
    </article>
  );
}
