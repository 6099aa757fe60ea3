import dayjs from 'dayjs';
import { Link } from 'react-router';
import type { Batch } from '../../api/client';
import { useLineage } from '../../api/queries';
import { grams, mg } from '../../app/numbers';

/** Who fed this jar, and whom it fed. */
export function Lineage({ batch }: { batch: Batch }) {
  const { data } = useLineage();
  const links = data?.links.filter(({ from, to }) => from === batch.id || to === batch.id) ?? [];
  if (!data || links.length === 0) {
    return null;
  }
  const nameOf = (id: string) => data.batches.find((one) => one.id === id)?.name ?? 'a jar';

  return (
    <section aria-label="Lineage">
      <h2>Lineage</h2>
      <ul className="quiet-list lineage">
        {links.map((link) => {
          const isFed = link.to === batch.id;
          const other = isFed ? link.from : link.to;
          return (
            <li key={`${link.from} ${link.to} ${link.happenedAt}`}>
              <span className="soft">{isFed ? 'from' : 'to'}</span>
              <Link to={`/shelf/${other}`}>{nameOf(other)}</Link>
              <span className="soft">
                {grams(link.grams)}, {mg(Math.round(link.sodiumMg))} sodium
                {link.isLive ? ', live' : ', not live'}; {dayjs(link.happenedAt).format('D MMM')}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
