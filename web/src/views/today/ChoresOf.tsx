import { Link } from 'react-router';
import { useChores } from '../../api/tending';
import { JarDrawing } from '../../drawings/JarDrawing';
import { when } from '../../messages/dates';
import { say, t } from '../../messages/words';

/** What the jars will ask for on a day to come. */
export function ChoresOf({ date }: { date: string }) {
  const chores = useChores();
  const due = [...(chores.data?.now ?? []), ...(chores.data?.soon ?? [])].filter(({ dueOn }) => dueOn === date);
  if (due.length === 0) {
    return null;
  }
  return (
    <section className="chores" aria-label={t('chores.title')}>
      <div className="chores-head">
        <h2>{t('chores.title')}</h2>
        <span className="soft">{t('chores.count', { count: due.length, day: 'none', jar: '' })}</span>
      </div>
      <ul className="quiet-list chores-of">
        {due.map((chore) => (
          <li key={chore.id}>
            <JarDrawing jar={chore.jar} scale={0.24} label="" seed={chore.batchId} />
            <span>
              <Link to={`/shelf/${chore.batchId}`}>{chore.batchName}</Link>
              <br />
              {say(chore.text)}
              {chore.at !== null && <span className="soft"> {when(chore.at, 'clock')}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
