import type { QueryClient } from '@tanstack/react-query';
import { NO_ANSWER, Refusal, sayDoneAt } from './client';
import { changes, settled, type Change } from './change';
import { numbered } from './intentions';
import { unpacked } from './parcel';
import { refetch } from './keys';
import { KEPT_DAYS, serverNow, type Waiting, type WriteQueue } from './queue';
import { t } from '../messages/words';

const DAY = 86_400_000;

/**
 * Sends what waits, once each and in order. Stops where there is no answer; what is refused stays with its reason, and
 * holds back only what is about the same things.
 *
 * @returns how many were written
 */
export async function sendWaiting(queue: WriteQueue, queries: QueryClient): Promise<number> {
  let sent = 0;
  for (let waiting = queue.next(); waiting !== null; waiting = queue.next()) {
    const change = changes.get(waiting.name) as unknown as Change<unknown[], unknown, unknown> | undefined;
    if (change === undefined || serverNow() - Date.parse(waiting.at) > KEPT_DAYS * DAY) {
      queue.refuse(waiting.key, t('queue.too_old', { days: KEPT_DAYS }));
      continue;
    }
    try {
      await asDoneAt(waiting, async () => change.make(...waiting.params)(await unpacked(waiting.input), waiting.key));
    } catch (refusal) {
      if (!(refusal instanceof Refusal) || refusal.status === NO_ANSWER || refusal.status >= 500) {
        return sent;
      }
      if (refusal.status === 401) {
        return sent;
      }
      const { written } = refusal;
      if (written === null || written.isUndone) {
        queue.refuse(waiting.key, refusal.sentence);
        continue;
      }
      // It was written with other values before: what was done last counts.
      await asDoneAt(waiting, async () =>
        change.instead?.(written.answer, await unpacked(waiting.input), numbered(waiting.key, 1)),
      );
    }
    queue.discard(waiting.key);
    settled(waiting.intention);
    sent++;
    await refetch(queries, change.about);
  }
  return sent;
}

/** What is sent meanwhile under its key, or under one that is numbered from it, says when it was done. */
async function asDoneAt({ key, at }: Waiting, send: () => Promise<unknown>): Promise<void> {
  const silent = sayDoneAt(key, at);
  try {
    await send();
  } finally {
    silent();
  }
}
