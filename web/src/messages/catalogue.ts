/** Sentences of one subject by their names. */
type Subject = Record<string, string>;

const english = import.meta.glob<Subject>('../../../messages/en/*.json', { eager: true, import: 'default' });
const others = import.meta.glob<Subject>(['../../../messages/*/*.json', '!../../../messages/en/*.json'], {
  import: 'default',
});

const FALLBACK = 'en';

let patterns = byCode(Object.entries(english));
let locale = navigator.language.startsWith(FALLBACK) ? navigator.language : FALLBACK;

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
  const language = [wanted, wanted.split('-')[0]].find((one) => folders.includes(one ?? ''));
  if (language === undefined) {
    return;
  }
  const files = Object.entries(others).filter(([path]) => path.includes(`/messages/${language}/`));
  const loaded = await Promise.all(files.map(async ([path, load]): Promise<[string, Subject]> => [path, await load()]));
  patterns = { ...patterns, ...byCode(loaded) };
  locale = wanted;
}

export const patternOf = (code: string): string | undefined => patterns[code];

/** How numbers, days and lists are written. */
export const readerLocale = (): string => locale;
