import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { SideDrawer } from './Dialog';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { settled } from '../api/change';
import { answered, api } from '../api/client';
import { clockAhead, queue, type Waiting } from '../api/queue';
import { sendWaiting } from '../api/send';
import { when } from '../messages/dates';
import { t } from '../messages/words';
import { changeWords, pageOf } from './changeWords';

/** How often it is tried again while something waits, in ms. */
const EVERY = 8000;

/** What waits on this device, counted on the board; it goes out by itself as soon as it can. */
export function WaitingWrites({ owner }: { owner: string }) {
  const queries = useQueryClient();
  const { message } = App.useApp();
  const [isOpen, setIsOpen] = useState(false);
  const waiting = useSyncExternalStore(queue.subscribe, queue.all);
  useEffect(() => queue.belongsTo(owner), [owner]);

  const send = useCallback(async () => {
    const once = async () => {
      queue.changed();
      // Any answer tells the server's clock, by which the moments of what waits are held against this device's.
      await answered(api.GET('/session'));
      queue.compare(clockAhead() ?? 0);
      const sent = await sendWaiting(queue, queries);
      if (sent > 0) {
        void message.success(t('queue.sent', { count: sent }));
      }
    };
    // Two tabs of one kitchen do not send the same at once.
    await ('locks' in navigator ? navigator.locks.request('tempesal.waiting', once) : once()).catch(() => undefined);
  }, [queries, message]);

  const count = waiting.filter(({ refused, rather }) => refused === null && rather === null).length;
  useEffect(() => {
    if (count === 0) {
      return;
    }
    const attempt = () => void send();
    attempt();
    const timer = window.setInterval(attempt, EVERY);
    window.addEventListener('online', attempt);
    window.addEventListener('focus', attempt);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', attempt);
      window.removeEventListener('focus', attempt);
    };
  }, [count, send]);

  if (waiting.length === 0) {
    return null;
  }
  return (
    <>
      <Button onClick={() => setIsOpen(true)}>{t('queue.waiting', { count: waiting.length })}</Button>
      <SideDrawer title={t('queue.title')} open={isOpen} onClose={() => setIsOpen(false)}>
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
                  <Link className="as-button" to={pageOf(one) ?? ''} onClick={() => setIsOpen(false)}>
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
        <Button type="primary" onClick={() => void send()}>
          {t('queue.try')}
        </Button>
      </SideDrawer>
    </>
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
