import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Plugin } from 'vite';

const folder = fileURLToPath(new URL('../messages', import.meta.url));

const ID = 'virtual:sentences/';

/** What Today says before anything is touched; the other subjects are fetched with the first page that needs them. */
const FIRST = new Set(
  [
    'action amount app chance chart chores component diet_knowledge duration due eater food instrument intake key list meal',
    'nav page_title place salt_line say search serving_style step_say target_preset_source task text today verb',
  ].flatMap((names) => names.split(' ')),
);

const languages = (): string[] =>
  readdirSync(folder, { withFileTypes: true })
    .filter((one) => one.isDirectory() && one.name !== 'en')
    .map(({ name }) => name);

/** A sentence as it is, or what it is made of where something is filled in: nothing is left to be read in the browser. */
function sentence(pattern: string): string | MessageFormatElement[] {
  const parts = parse(pattern, { captureLocation: false, shouldParseSkeletons: true });
  const [only] = parts;

  return only === undefined ? '' : parts.length === 1 && only.type === TYPE.literal ? only.value : parts;
}

/** The sentences of a language by their codes, of the subjects that are wanted. */
function sentences(language: string, isWanted: (subject: string) => boolean): Record<string, unknown> {
  const files = readdirSync(join(folder, language)).filter((file) => file.endsWith('.json'));

  return Object.fromEntries(
    files.flatMap((file) => {
      const subject = basename(file, '.json');
      const said = JSON.parse(readFileSync(join(folder, language, file), 'utf8')) as Record<string, string>;

      return isWanted(subject)
        ? Object.entries(said).map(([key, pattern]) => [`${subject}.${key}`, sentence(pattern)])
        : [];
    }),
  );
}

function moduleOf(name: string): string {
  switch (name) {
    case 'first':
      return `export default ${JSON.stringify(sentences('en', (subject) => FIRST.has(subject)))}`;
    case 'rest':
      return `export default ${JSON.stringify(sentences('en', (subject) => !FIRST.has(subject)))}`;
    case 'languages':
      return `export default {${languages()
        .map((language) => `${JSON.stringify(language)}: () => import('${ID}${language}')`)
        .join(',')}}`;
    default:
      return `export default ${JSON.stringify(sentences(name, () => true))}`;
  }
}

/**
 * The catalogue as modules: what the first page says, the rest of English, and each other language in one piece, so that
 * nothing is sent that is not read.
 */
export function catalogueModules(): Plugin {
  return {
    name: 'catalogue-modules',
    resolveId: (id) => (id.startsWith(ID) ? `\0${id}` : null),
    load: (id) => (id.startsWith(`\0${ID}`) ? moduleOf(id.slice(ID.length + 1)) : null),
  };
}
