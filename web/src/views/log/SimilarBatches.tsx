import { named, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Link } from 'react-router';
import type { Alike as Batch, Log } from '../../api/client';
import { degrees, percent } from '../../app/numbers';
import { markEnds, type Mark } from './tastingScores';

/** How it was liked, then all else. */
const order: Mark[] = ['liked', ...(Object.keys(markEnds) as Mark[]).filter((mark) => mark !== 'liked')];

/** Batches of one kind, a lane for each: what was different about them, and how they were liked. */
export function SimilarBatches({ log }: { log: Log }) {
  const longest = Math.max(1, ...log.alike.map((one) => one.warmDays));
  const marks = order.filter((mark) => log.alike.some((one) => (one.marks[mark] ?? null) !== null));
  const warmest = Math.max(...log.alike.map((one) => one.meanCelsius ?? 0));

  return (
    <section className="alike" aria-label={t('similar.title')}>
      <h2>{t('similar.title')}</h2>
      <p className="soft">
        {log.ownDays !== null
          ? t('similar.own_days', { days: log.ownDays.toFixed(0) })
          : log.tastingsNeeded > 0
            ? t('similar.needed', { count: log.tastingsNeeded })
            : t('similar.none_liked')}
      </p>
      <div className="alike-scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{t('similar.batch')}</th>
              <th scope="col">{t('similar.salt')}</th>
              <th scope="col">{t('similar.days')}</th>
              <th scope="col">{t('similar.mean')}</th>
              <th scope="col">{t('similar.ph')}</th>
              {marks.map((mark) => (
                <th key={mark} scope="col">
                  {named('mark', mark)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {log.alike.map((one) => (
              <Lane key={one.id} one={one} longest={longest} warmest={warmest} marks={marks} />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

interface LaneProps {
  one: Batch;
  longest: number;
  warmest: number;
  marks: Mark[];
}

function Lane({ one, longest, warmest, marks }: LaneProps) {
  return (
    <tr className={one.isThis ? 'is-this' : undefined}>
      <th scope="row">
        {one.isThis ? t('similar.this_jar') : <Link to={`/shelf/${one.id}/log`}>{one.name}</Link>}
        <span className="soft"> {when(one.startedOn, 'year')}</span>
      </th>
      <td>{one.strengthPercent === null ? '–' : percent(one.strengthPercent, 2)}</td>
      <td>
        <span className="lane" title={t('similar.warm_days', { days: one.warmDays.toFixed(0) })}>
          <i style={{ width: `${String((one.warmDays / longest) * 100)}%`, background: one.colour }} />
        </span>
        {one.warmDays.toFixed(one.warmDays < 3 ? 1 : 0)}
      </td>
      <td className={one.meanCelsius !== null && one.meanCelsius === warmest ? 'is-most' : undefined}>
        {one.meanCelsius === null ? '–' : degrees(one.meanCelsius)}
      </td>
      <td>{one.ph === null ? '–' : one.ph.toFixed(1)}</td>
      {marks.map((mark) => (
        <td key={mark}>
          <Dots value={one.marks[mark] ?? null} />
        </td>
      ))}
    </tr>
  );
}

/** Five small circles, filled as far as the mean of the marks. */
function Dots({ value }: { value: number | null }) {
  if (value === null) {
    return <span className="soft">–</span>;
  }
  return (
    <svg
      role="img"
      aria-label={t('similar.score', { score: value.toFixed(1) })}
      width={54}
      height={12}
      viewBox="0 0 54 12"
    >
      {[0, 1, 2, 3, 4].map((i) => (
        <g key={i}>
          <circle cx={6 + i * 10.5} cy={6} r={4} fill="none" stroke="var(--line-strong)" />
          <circle cx={6 + i * 10.5} cy={6} r={4 * Math.sqrt(Math.max(0, Math.min(1, value - i)))} fill="var(--beet)" />
        </g>
      ))}
    </svg>
  );
}
