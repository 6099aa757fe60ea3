import { useSyncExternalStore } from 'react';

/** Where the last answers are kept on the device. */
export const ANSWERS = 'tempesal.answers';

/** The header of an answer that is not from the network: when it was given. */
export const LAST_KNOWN = 'X-Last-Known';

let since: string | null = null;

const listeners = new Set<() => void>();

/** Takes notice of whether an answer is from the network. */
export function hearLastKnown(response: Response): void {
  const heard = response.headers.get(LAST_KNOWN);
  if (heard !== since) {
    since = heard;
    listeners.forEach((tell) => tell());
  }
}

/** Since when there was no news; null while there is. */
export const useLastKnown = (): string | null =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => since,
  );

/** Whoever leaves takes what was known along. */
export async function forgetAnswers(): Promise<void> {
  if ('caches' in window) {
    await caches.delete(ANSWERS);
  }
}
