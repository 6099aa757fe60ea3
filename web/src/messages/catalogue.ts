/** Sentences of one subject by their names. */
type Subject = Record<string, string>;

const english = import.meta.glob<Subject>('../../../messages/en/*.json', { eager: true, import: 'default' });
const others = import.meta.glob<Subject>(['../../../messages/*/*.json', '!../../../messages/en/*.json'], {
  import: 'default',
});

const FALLBACK = 'en';

const inEnglish = byCode(Object.entries(english));
let patterns = inEnglish;
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

function byCode(files: [string, Subject][]): Record<string, string> {
  return Object.fromEntries(
    files.flatMap(([path, subject]) => {
      const name = /([^/]+)\.json$/.exec(path)?.[1] ?? '';

      return Object.entries(subject).map(([key, pattern]) => [`${name}.${key}`, pattern]);
    }),
  );
}

/**
 * Loads a language, and what it lacks in English. To be called once, before anything is shown.
 *
 * @param wanted as BCP 47 has it: a folder of messages/ of that name, or of its language alone
 */
export async function loadLanguage(wanted: string): Promise<void> {
  const folders = Object.keys(others).map((path) => /messages\/([^/]+)\//.exec(path)?.[1] ?? '');
  locale = localeFor(wanted, [FALLBACK, ...folders]);
  const language = languageOf(wanted, folders);
  if (language === undefined) {
    return;
  }
  const files = Object.entries(others).filter(([path]) => path.includes(`/messages/${language}/`));
  const loaded = await Promise.all(files.map(async ([path, load]): Promise<[string, Subject]> => [path, await load()]));
  patterns = { ...patterns, ...byCode(loaded) };
}

/** The language that was chosen on this device, or the browser's. */
export const chosenLanguage = (): string => localStorage.getItem('tempesal.language') ?? navigator.language;

/** What the library calls something; what is not called as in the English catalogue keeps its name. */
export const libraryName = (code: string, kept: string): string =>
  inEnglish[code] === kept ? (patterns[code] ?? kept) : kept;

export const patternOf = (code: string): string | undefined => patterns[code];

/** How numbers, days and lists are written. */
export const readerLocale = (): string => locale;
