import { t } from '../messages/words';
import { when } from '../messages/dates';
import { useMutation, useQueryClient, type QueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ask, notices } from '../app/notices';
import { NO_ANSWER, Refusal, type Written } from './client';
import { Intentions, numbered } from './intentions';
import { refetch, type About } from './keys';
import { packed } from './parcel';
import { clockAhead, momentIn, queue, serverNow } from './queue';

/** Sends a change under the key of the intention it belongs to. */
type Send<Input, Output> = (input: Input, key: string) => Promise<Output>;

/** What to do about something that was already saved with other values. */
export type Choice = 'leave' | 'change' | 'new';

type Decide = (written: Written, says: string | null, canChange: boolean) => Promise<Choice>;

interface Options<Params extends unknown[], Input, Output> {
  /** What the cook is doing with it, where one screen does it for several things; the same thing keeps its key. */
  subject?: (input: Input) => string;
  /** What was saved, in a few words. */
  says?: (answer: Output) => string;
  /** Makes of what was already saved what is typed now. */
  instead?: (answer: Output, input: Input, key: string) => Promise<Output>;
  /** Whether what it is about is asked for again after it. */
  refetches?: boolean;
  /**
   * How it waits on this device while the network is away. A form is put away, and filled in once more it is another change;
   * a tap stays the same one however often it is done; what has to be answered at once, and what only the server can
   * do, does not wait.
   */
  waits?: 'form' | 'tap' | 'never';
  /** What the screens can already show of it while it waits. */
  foresee?: (queries: QueryClient, input: Input, ...params: Params) => void;
  /** What else is done with the answer. */
  settles?: (queries: QueryClient, answer: Output, ...params: Params) => void;
}

/** A change of what the server holds, as it is sent. */
export interface Change<Params extends unknown[], Input, Output> extends Options<Params, Input, Output> {
  name: string;
  about: About;
  make: (...params: Params) => Send<Input, Output>;
}

/** It was not sent, but is kept on this device and will be. */
export class Kept extends Refusal {
  constructor() {
    super(NO_ANSWER, t('queue.kept'));
  }
}

/** The key as a header, for requests whose body has no place for it. */
export const keyed = (key: string) => ({ header: { 'Idempotency-Key': key } });

/** Refusals of something that the cook has just sent, until a field that they name has taken the focus. */
const unanswered = new WeakSet<Refusal>();

/** Whether a refusal is of something that was sent and still waits to be pointed at; asked once, it does not any more. */
export const pointsAtField = (refusal: Refusal): boolean => unanswered.delete(refusal);

/** Every change there is, by its name; a test walks them. */
export const changes = new Map<string, Change<never[], never, unknown>>();

const intentions = new Intentions(window.sessionStorage);

/** What waited was written, or is not to be. */
export const settled = (intention: string): void => intentions.answered(intention);

/**
 * Sends a change. The key stays until it is answered; without an answer the next try carries the same one. Where the
 * key has written something else already, the cook decides.
 */
export async function perform<Params extends unknown[], Input, Output>(
  change: Change<Params, Input, Output>,
  params: Params,
  input: Input,
  decide: Decide,
  keys = intentions,
): Promise<Output> {
  const intention = intentionOf(change, params, input);
  const key = keys.keyOf(intention);
  try {
    const output = await change.make(...params)(input, key);
    keys.answered(intention);
    return output;
  } catch (refusal) {
    if (!(refusal instanceof Refusal) || refusal.status === NO_ANSWER || refusal.status >= 500) {
      throw refusal;
    }
    const { written } = refusal;
    if (written === null) {
      keys.answered(intention);
      throw refusal;
    }
    const answer = written.answer as Output;
    const choice = written.isUndone
      ? 'new'
      : await decide(written, change.says?.(answer) ?? null, change.instead !== undefined);
    // The key stays until what was chosen is answered too.
    const output =
      choice === 'change' && change.instead ? await change.instead(answer, input, numbered(key, 1)) : answer;
    keys.answered(intention);
    return choice === 'new' ? perform(change, params, input, decide, keys) : output;
  }
}

const intentionOf = <Params extends unknown[], Input, Output>(
  change: Change<Params, Input, Output>,
  params: Params,
  input: Input,
): string => [change.name, ...params.map(String), change.subject?.(input) ?? ''].join(' ');

/**
 * A hook that makes a change; every change of the application is defined by this. What it is about is asked for again.
 */
export function defineChange<Input, Output, Params extends unknown[] = []>(
  name: string,
  about: About,
  make: (...params: Params) => Send<Input, Output>,
  options: Options<Params, Input, Output> = {},
): (...params: Params) => UseMutationResult<Output, Refusal, Input> {
  const change: Change<Params, Input, Output> = { name, about, make, ...options };
  changes.set(name, change as unknown as Change<never[], never, unknown>);

  return function useChange(...params: Params) {
    const queries = useQueryClient();
    const decide: Decide = (written, says, canChange) =>
      ask({
        title: t('written.title'),
        content: t('written.text', { what: says ?? t('written.it'), time: when(written.at, 'clock') }),
        yes: canChange ? t('written.change') : t('written.save_new'),
        no: t('action.cancel'),
      }).then((isYes) => (isYes ? (canChange ? 'change' : 'new') : 'leave'));

    return useMutation<Output, Refusal, Input>({
      // Whether there is a network is found out by asking: what cannot be sent is kept.
      networkMode: 'always',
      mutationFn: async (input) => {
        const intention = intentionOf(change, params, input);
        const key = intentions.keyOf(intention);
        try {
          const answer = await perform(change, params, input, decide);
          queue.discard(key);
          return answer;
        } catch (refusal) {
          const isAway = refusal instanceof Refusal && refusal.status === NO_ANSWER;
          if (!isAway || change.waits === 'never' || !queue.isOpen) {
            if (refusal instanceof Refusal) {
              unanswered.add(refusal);
              if (refusal.status === 403) {
                // Not every form has a place for what it may not do.
                notices.refused(refusal.message, 8);
              }
            }
            throw refusal;
          }
          const at = momentIn(input) ?? new Date(serverNow()).toISOString();
          try {
            queue.add({ key, intention, name, params, input: await packed(input), at, ahead: clockAhead() });
          } catch {
            // The device is full.
            throw refusal;
          }
          if (change.waits !== 'tap') {
            settled(intention);
          }
          options.foresee?.(queries, input, ...params);
          throw new Kept();
        }
      },
      onSuccess: (answer) => {
        options.settles?.(queries, answer, ...params);
        return options.refetches === false ? undefined : refetch(queries, about);
      },
    });
  };
}
