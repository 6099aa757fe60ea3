import type { MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import first from 'virtual:sentences/first';
import others from 'virtual:sentences/languages';

/** A sentence as it is, or what it is made of where something is filled in. */
export type Sentence = string | MessageFormatElement[];

const FALLBACK = 'en';

/** English as far as it is here: what Today says at first, everything later. */
let inEnglish = first;
/** The reader's own language, where there is a catalogue in it. */
let own: Record<string, Sentence> = {};
let hasEverything = false;
let coming: Promise<void> | null = null;
let locale = localeFor(navigator.language, [FALLBACK]);

/** The one of the folders that has the language of a locale. */
function languageOf(wanted: string, folders: string[]): string | undefined {
  return [wanted, wanted.split('-')[0]].find((one) => folders.includes(one ?? ''));
}

/**
 * By which days, numbers and lists are written: the reader's own locale, or that of an English reader in their country
 * where there is no catalogue in their language, so that 1.460 mg and 1,460 mg are never mistaken for each other.
 */
export function localeFor(wanted: string, folders: string[]): string {
  if (languageOf(wanted, folders) !== undefined) {
    return wanted;
  }
  const { region } = new Intl.Locale(wanted).maximize();

  return region === undefined ? FALLBACK : `${FALLBACK}-${region}`;
}

/** How long it waits until it asks again for what could not be fetched. */
const PATIENCE_MS = 2_000;

async function fetchRest(): Promise<void> {
  while (!hasEverything) {
    try {
      const { default: rest } = await import('virtual:sentences/rest');
      inEnglish = { ...inEnglish, ...rest };
      hasEverything = true;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, PATIENCE_MS));
    }
  }
}

/** Fetches the sentences that are not there yet, as soon as it can; what is loaded after it may say anything. */
export const everySentence = (): Promise<void> => (coming ??= fetchRest());

/**
 * Loads a language, and what it lacks in English. To be called once, before anything is shown.
 *
 * @param wanted as BCP 47 has it: a folder of messages/ of that name, or of its language alone
 */
export async function loadLanguage(wanted: string): Promise<void> {
  const folders = Object.keys(others);
  locale = localeFor(wanted, [FALLBACK, ...folders]);
  const language = languageOf(wanted, folders);
  const load = language === undefined ? undefined : others[language];
  if (load !== undefined) {
    const [{ default: loaded }] = await Promise.all([load(), everySentence()]);
    own = loaded;
  }
}

/** The language that was chosen on this device, or the browser's. */
export const chosenLanguage = (): string => localStorage.getItem('tempesal.language') ?? navigator.language;

/** What the library calls something; what is not called as in the English catalogue keeps its name. */
export const libraryName = (code: string, kept: string): string =>
  inEnglish[code] === kept && typeof own[code] === 'string' ? own[code] : kept;

/**
 * The sentence of a code, if there is one. While a page is drawn it may not be here yet: the page then waits for it, as
 * for a part of its own that is fetched.
 */
export function patternOf(code: string): Sentence | undefined {
  const pattern = own[code] ?? inEnglish[code];
  if (pattern === undefined && !hasEverything) {
    // React draws again what throws a promise, once it is kept.
    throw everySentence();
  }

  return pattern;
}

/** How numbers, days and lists are written. */
export const readerLocale = (): string => locale;
