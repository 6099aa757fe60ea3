import { App, Button, Input } from 'antd';
import dayjs from 'dayjs';
import { useCalendarLink, useMakeCalendarLink, useRevokeCalendarLink } from '../../api/tending';

/** The chores in the household's own calendars: under a secret address, or as a file. */
export function Calendar() {
  const { message } = App.useApp();
  const link = useCalendarLink();
  const make = useMakeCalendarLink();
  const revoke = useRevokeCalendarLink();
  const failed = (refusal: { message: string }) => void message.error(refusal.message);
  if (!link.data) {
    return null;
  }
  const address = link.data.path === null ? null : `${location.origin}${link.data.path}`;

  return (
    <section aria-label="Chores in your calendar">
      <h3 className="drawer-part">Chores in your calendar</h3>
      {address === null ? (
        <p className="soft">
          A secret address that calendars can follow. Whoever knows it sees the names of your jars and what
          they want; it can be revoked at any time.
        </p>
      ) : (
        <>
          <Input
            readOnly
            aria-label="Secret address"
            value={address}
            onFocus={(event) => event.target.select()}
          />
          <p className="soft">
            Made on {dayjs(link.data.madeOn).format('D MMM YYYY')}. Whoever knows it sees the names of your
            jars and what they want.
          </p>
        </>
      )}
      <div className="words">
        {address !== null && (
          <Button
            onClick={() =>
              void navigator.clipboard.writeText(address).then(
                () => message.success('Copied.'),
                () => message.info('Select the address and copy it.'),
              )
            }
          >
            Copy it
          </Button>
        )}
        <Button loading={make.isPending} onClick={() => make.mutate(undefined, { onError: failed })}>
          {address === null ? 'Make an address' : 'Make a new one'}
        </Button>
        {address !== null && (
          <Button
            type="text"
            danger
            loading={revoke.isPending}
            onClick={() => revoke.mutate(undefined, { onError: failed })}
          >
            Revoke it
          </Button>
        )}
        <a className="as-button" href="/api/calendar/file" download="jars.ics">
          Take it as a file
        </a>
      </div>
    </section>
  );
}
