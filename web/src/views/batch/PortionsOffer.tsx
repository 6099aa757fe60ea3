import { notices } from '../../app/notices';
import { useOutdatedPortions, useUndoPortionUpdate, useUpdatePortions } from '../../api/intake';
import { complain } from '../../app/complain';
import { grams, mg } from '../../app/numbers';
import { when } from '../../messages/dates';
import { t } from '../../messages/words';
import { Deed } from '../../app/Deed';

/** Portions that would hold another amount today are brought up to date, where the cook says so. */
export function PortionsOffer({ batchId }: { batchId: string }) {
  const outdated = useOutdatedPortions(batchId).data?.outdated ?? [];
  const update = useUpdatePortions(batchId);
  const undo = useUndoPortionUpdate(batchId);
  if (outdated.length === 0) {
    return null;
  }
  const count = outdated.length;
  const inAll = (of: 'booked' | 'now') => mg(Math.round(outdated.reduce((sum, one) => sum + one[of].typical, 0)));
  const go = () =>
    update.mutateAsync(undefined).then(({ changed }) => {
      const key = `portions ${batchId}`;
      notices.say({
        id: key,
        seconds: 12,
        content: (
          <span>
            {t('portions.updated', { count: changed })}{' '}
            <Deed
              size="small"
              onClick={() => {
                notices.clear(key);
                undo.mutateAsync(undefined).then(() => notices.done(t('portions.put_back')), complain);
              }}
            >
              {t('action.undo')}
            </Deed>
          </span>
        ),
      });
    }, complain);

  return (
    <section className="making" aria-label={t('portions.title')}>
      <p>
        <b>{t('portions.differ', { count, booked: inAll('booked'), now: inAll('now') })}</b>
      </p>
      <ul className="quiet-list">
        {outdated.map((one) => (
          <li key={one.servingId}>
            {t('portions.one', {
              name: one.personName,
              day: when(one.eatenOn, 'weekdayDate'),
              grams: grams(one.grams),
              booked: mg(Math.round(one.booked.typical)),
              now: mg(Math.round(one.now.typical)),
            })}
          </li>
        ))}
      </ul>
      <Deed loading={update.isPending} onClick={() => void go()}>
        {t('portions.update', { count })}
      </Deed>
    </section>
  );
}
