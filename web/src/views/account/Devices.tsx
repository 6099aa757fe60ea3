import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button } from 'antd';
import { useSignOutDevice, type Account } from '../../api/account';
import { complain } from '../../app/complain';
import { ask, notices } from '../../app/notices';

/** Where the cook is signed in: the tablet at the counter, the phone, the laptop. */
export function Devices({ devices }: { devices: Account['devices'] }) {
  const signOut = useSignOutDevice();
  const everywhere = async () => {
    const isMeant = await ask({
      title: t('account.everywhere_question'),
      content: t('account.everywhere_about'),
      yes: t('account.everywhere'),
      no: t('action.cancel'),
    });
    if (isMeant) {
      signOut.mutate(null, {
        onSuccess: () => notices.done(t('account.everywhere_done')),
        onError: (why) => complain(why),
      });
    }
  };

  return (
    <section className="account-part">
      <h2>{t('account.devices')}</h2>
      <ul className="account-lines">
        {devices.map((device) => (
          <li key={device.id}>
            <span>
              {t('account.device', { browser: device.browser, system: device.system })}
              <span className="soft">
                {device.isThis
                  ? t('account.this_device')
                  : t('account.last_seen', { at: when(device.lastSeenAt, 'moment') })}
              </span>
            </span>
            {!device.isThis && (
              <Button
                loading={signOut.isPending && signOut.variables === device.id}
                onClick={() => signOut.mutate(device.id, { onError: (why) => complain(why) })}
              >
                {t('account.sign_out_device')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Button onClick={() => void everywhere()}>{t('account.everywhere')}</Button>
      <p className="soft">{t('account.everywhere_about')}</p>
    </section>
  );
}
