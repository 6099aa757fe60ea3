import { told } from './told';

/** Where the last answers are kept on the device. */
export const ANSWERS = 'tempesal.answers';

/** What a server says that cannot answer just now, or one that stands before it. */
export const AWAY = [502, 503, 504];

/** The header of an answer that is not from the network: when it was given. */
export const LAST_KNOWN = 'X-Last-Known';

const since = told<string | null>(null);

/** Takes notice of whether an answer is from the network. */
export const hearLastKnown = (response: Response): void => since.set(response.headers.get(LAST_KNOWN));

/** Since when there was no news; null while there is. */
export const useLastKnown = since.use;

/** Whoever leaves takes what was known along. */
export async function forgetAnswers(): Promise<void> {
  if ('caches' in window) {
    await caches.delete(ANSWERS);
  }
}
