import { told } from './told';

const KEPT = 'tempesal.answers';

/** Where the last answers are kept on the device. What was answered by another contract is none for these screens. */
export const ANSWERS = `${KEPT}.${String(import.meta.env.CONTRACT)}`;

/** What a server says that cannot answer just now, or one that stands before it. */
export const AWAY = [502, 503, 504];

/** The header of an answer that is not from the network: when it was given. */
export const LAST_KNOWN = 'X-Last-Known';

const since = told<string | null>(null);

/** Takes notice of whether an answer is from the network. */
export const hearLastKnown = (response: Response): void => since.set(response.headers.get(LAST_KNOWN));

/** Since when there was no news; null while there is. */
export const useLastKnown = since.use;

/** Whoever leaves takes what was known along; what only other versions of the screens can read goes by itself. */
export async function forgetAnswers(which: (name: string) => boolean = () => true): Promise<void> {
  if ('caches' in globalThis) {
    const kept = (await caches.keys()).filter((name) => name.startsWith(KEPT));
    await Promise.all(kept.filter(which).map((name) => caches.delete(name)));
  }
}
