import { t } from '../../messages/words';
import { when } from '../../messages/dates';
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
  const nameOf = (id: string) => data.batches.find((one) => one.id === id)?.name ?? t('batch.a_jar');

  return (
    <section aria-label={t('batch.lineage')}>
      <h2>{t('batch.lineage')}</h2>
      <ul className="quiet-list lineage">
        {links.map((link) => {
          const isFed = link.to === batch.id;
          const other = isFed ? link.from : link.to;
          return (
            <li key={`${link.from} ${link.to} ${link.happenedAt}`}>
              <span className="soft">{t(isFed ? 'batch.lineage_from' : 'batch.lineage_to')}</span>
              <Link to={`/shelf/${other}`}>{nameOf(other)}</Link>
              <span className="soft">
                {t('batch.lineage_line', {
                  grams: grams(link.grams),
                  sodium: mg(Math.round(link.sodiumMg)),
                  isLive: link.isLive,
                  day: when(link.happenedAt, 'short'),
                })}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
