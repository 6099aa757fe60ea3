import { Button } from 'antd';
import { Link } from 'react-router';
import { settled } from '../api/change';
import { clockAhead, queue, type Waiting } from '../api/queue';
import { when } from '../messages/dates';
import { t } from '../messages/words';
import { changeWords, pageOf } from './changeWords';
import { SideDrawer } from './Dialog';

interface Props {
  waiting: Waiting[];
  send: () => void;
  close: () => void;
}

/** What waits to be sent, each with what can be done about it. */
export function WaitingList({ waiting, send, close }: Props) {
  return (
    <SideDrawer title={t('queue.title')} onClose={close}>
      <p>{t('queue.about')}</p>
      <ul className="quiet-list">
        {waiting.map((one) => {
          const { key, intention, name, at, refused, rather } = one;
          return (
            <li key={key}>
              <b>{changeWords(name)}</b>{' '}
              <span className="soft">{t('queue.done_at', { time: when(at, 'moment') })}</span>
              {refused !== null && <p className="complaint">{t('queue.refused', { reason: refused })}</p>}
              {rather !== null && <WhenWasIt waiting={one} rather={rather} />}
              {refused !== null && pageOf(one) !== null && (
                <Link className="as-button" to={pageOf(one) ?? ''} onClick={close}>
                  {t('queue.open')}
                </Link>
              )}
              <Button
                onClick={() => {
                  queue.discard(key);
                  settled(intention);
                }}
              >
                {t('queue.discard')}
              </Button>
            </li>
          );
        })}
      </ul>
      <Button type="primary" onClick={send}>
        {t('queue.try')}
      </Button>
    </SideDrawer>
  );
}

/** A clock that was put right since cannot say when it was; the cook can. */
function WhenWasIt({ waiting, rather }: { waiting: Waiting; rather: string }) {
  return (
    <p className="complaint" role="alert">
      {t('queue.clock')}{' '}
      {[waiting.at, rather].map((at) => (
        <Button key={at} onClick={() => queue.wasAt(waiting.key, at, clockAhead() ?? 0)}>
          {t('queue.was_at', { time: when(at, 'moment') })}
        </Button>
      ))}
    </p>
  );
}
