import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Drawer } from 'antd';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { settled } from '../api/change';
import { queue } from '../api/queue';
import { sendWaiting } from '../api/send';
import { when } from '../messages/dates';
import { t } from '../messages/words';
import { changeWords } from './changeWords';

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
      const sent = await sendWaiting(queue, queries);
      if (sent > 0) {
        void message.success(t('queue.sent', { count: sent }));
      }
    };
    // Two tabs of one kitchen do not send the same at once.
    await ('locks' in navigator ? navigator.locks.request('tempesal.waiting', once) : once());
  }, [queries, message]);

  const count = waiting.filter(({ refused }) => refused === null).length;
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
      <Drawer title={t('queue.title')} open={isOpen} onClose={() => setIsOpen(false)}>
        <p>{t('queue.about')}</p>
        <ul className="quiet-list">
          {waiting.map(({ key, intention, name, at, refused }) => (
            <li key={key}>
              <b>{changeWords(name)}</b>{' '}
              <span className="soft">{t('queue.done_at', { time: when(at, 'moment') })}</span>
              {refused !== null && <p className="complaint">{t('queue.refused', { reason: refused })}</p>}
              <Button
                onClick={() => {
                  queue.discard(key);
                  settled(intention);
                }}
              >
                {t('queue.discard')}
              </Button>
            </li>
          ))}
        </ul>
        <Button type="primary" onClick={() => void send()}>
          {t('queue.try')}
        </Button>
      </Drawer>
    </>
  );
}
