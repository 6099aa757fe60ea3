import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { notices } from './notices';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { answered, api } from '../api/client';
import { useSession } from '../api/queries';
import { clockAhead, queue } from '../api/queue';
import { sendWaiting } from '../api/send';
import { t } from '../messages/words';
import { later } from './later';

const WaitingList = later(() => import('./WaitingList'), 'WaitingList');

/** How often it is tried again while something waits, in ms. */
const EVERY = 8000;

/** What waits on this device, counted on the board; it goes out by itself as soon as it can. */
export function WaitingWrites() {
  const queries = useQueryClient();
  const [isOpen, setIsOpen] = useState(false);
  const waiting = useSyncExternalStore(queue.subscribe, queue.all);
  const { user, household } = useSession().data ?? {};
  useEffect(() => {
    if (user && household) {
      queue.belongsTo(`${user.id} ${household.id}`, household.id);
    }
  }, [user, household]);

  const send = useCallback(async () => {
    const once = async () => {
      queue.changed();
      // Any answer tells the server's clock, by which the moments of what waits are held against this device's.
      await answered(api.GET('/session'));
      queue.compare(clockAhead() ?? 0);
      const sent = await sendWaiting(queue, queries);
      if (sent > 0) {
        notices.done(t('queue.sent', { count: sent }));
      }
    };
    // Two tabs of one kitchen do not send the same at once.
    await ('locks' in navigator ? navigator.locks.request('tempesal.waiting', once) : once()).catch(() => undefined);
  }, [queries]);

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
      {isOpen && <WaitingList waiting={waiting} send={() => void send()} close={() => setIsOpen(false)} />}
    </>
  );
}
