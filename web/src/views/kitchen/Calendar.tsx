import { complain } from '../../app/complain';
import type { Refusal } from '../../api/client';
import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button, Input } from 'antd';
import { copyText } from '../../app/copyText';
import { useCalendarLink, useMakeCalendarLink, useRevokeCalendarLink } from '../../api/tending';
import { Deed } from '../../app/Deed';

/** The chores in the household's own calendars: under a secret address, or as a file. */
export function Calendar() {
  const link = useCalendarLink();
  const make = useMakeCalendarLink();
  const revoke = useRevokeCalendarLink();
  const failed = (refusal: Refusal) => complain(refusal);
  if (!link.data) {
    return null;
  }
  const address = link.data.path === null ? null : `${location.origin}${link.data.path}`;

  return (
    <section aria-label={t('calendar_page.title')}>
      <h3 className="drawer-part">{t('calendar_page.title')}</h3>
      {address === null ? (
        <p className="soft">{t('calendar_page.about')}</p>
      ) : (
        <>
          <Input
            readOnly
            aria-label={t('calendar_page.address')}
            value={address}
            onFocus={(event) => event.target.select()}
          />
          <p className="soft">{t('calendar_page.made', { day: when(link.data.madeOn, 'year') })}</p>
        </>
      )}
      <div className="words">
        {address !== null && <Button onClick={() => void copyText(address)}>{t('action.copy')}</Button>}
        <Deed loading={make.isPending} onClick={() => make.mutate(undefined, { onError: failed })}>
          {address === null ? t('calendar_page.create') : t('calendar_page.create_new')}
        </Deed>
        {address !== null && (
          <Deed
            type="text"
            danger
            loading={revoke.isPending}
            onClick={() => revoke.mutate(undefined, { onError: failed })}
          >
            {t('calendar_page.revoke')}
          </Deed>
        )}
        <a className="as-button" href="/api/calendar/file" download="jars.ics">
          {t('calendar_page.download')}
        </a>
      </div>
    </section>
  );
}
