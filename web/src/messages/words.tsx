import { IntlMessageFormat } from 'intl-messageformat';
import { Children, type ReactNode } from 'react';
import type { components } from '../api/contract.gen';
import { libraryName, patternOf, readerLocale } from './catalogue';
import { inReaderUnits } from './readerUnits';

export type Message = components['schemas']['Message'];
type MessageValue = components['schemas']['MessageValue'];

/** What a sentence is filled with; a boolean is "yes" or "no" in its choices. */
type Value = string | number | boolean | Date | null | undefined;
type Tag = (chunk: ReactNode) => ReactNode;

/** Codes of names of the library, as LibraryName in the core makes them. */
const LIBRARY = /^(food|salt_product)\.|^formula_[a-z0-9_]+\.name$/;

const formatters = new Map<string, IntlMessageFormat>();

/** What fills a sentence; one that is as it is needs nothing. */
function formatter(code: string): IntlMessageFormat | string | null {
  const known = formatters.get(code);
  if (known !== undefined) {
    return known;
  }
  const pattern = patternOf(code);
  if (pattern === undefined || typeof pattern === 'string') {
    return pattern ?? null;
  }
  // Days are days of the calendar, wherever the reader is.
  const made = new IntlMessageFormat(pattern, readerLocale(), {
    date: {},
    time: {},
  });
  formatters.set(code, made);

  return made;
}

const plain = (values: Record<string, Value>): Record<string, string | number | Date> =>
  Object.fromEntries(
    Object.entries(inReaderUnits(values)).map(([name, value]) => [
      name,
      typeof value === 'boolean' ? (value ? 'yes' : 'no') : (value ?? ''),
    ]),
  );

/** A sentence of the catalogue, filled. A code that is not in it is shown as it is. */
export function t(code: string, values: Record<string, Value> = {}): string {
  const found = formatter(code);

  return found === null ? code : typeof found === 'string' ? found : String(found.format(plain(values)));
}

/** A word of the application's own, such as "pieces", in the reader's language; what is no such word stays as it is. */
export function named(subject: string, word: string): string {
  const code = `${subject}.${word.replace(/ /g, '_')}`;

  return patternOf(code) === undefined ? word : t(code);
}

/** A message of the API in words. */
export function say(message: Message): string;
export function say(message: Message | null | undefined): string | null;
export function say(message: Message | null | undefined): string | null {
  if (message === null || message === undefined) {
    return null;
  }
  const { name } = message.values;
  if (typeof name === 'string' && LIBRARY.test(message.code)) {
    return libraryName(message.code, name);
  }

  return t(
    message.code,
    Object.fromEntries(Object.entries(message.values).map(([name, value]) => [name, valueOf(value)])),
  );
}

function valueOf(value: MessageValue): Value {
  if (typeof value !== 'object') {
    return value;
  }
  if ('day' in value) {
    return noon(value.day);
  }

  return 'items' in value ? joined(value.items.map(wordOf), value.join) : say(value);
}

const wordOf = (value: MessageValue): string => {
  const read = valueOf(value);

  return read instanceof Date ? read.toISOString().slice(0, 10) : String(read ?? '');
};

/** A day of the calendar as a moment of the reader's own clock. */
export const noon = (date: string): Date => new Date(`${date.slice(0, 10)}T12:00`);

/** "a, b and c", "a, b or c", or one sentence after another. */
export function joined(items: string[], join: 'and' | 'or' | 'sentences' = 'and'): string {
  const last = items.at(-1) ?? '';
  if (items.length < 2) {
    return last;
  }
  const head = items.slice(0, -1).reduce((first, second) => t(`list.${join}_middle`, { first, second }));

  return t(`list.${join}_last`, { first: head, second: last });
}

interface Props {
  m: string;
  v: Record<string, Value | ReactNode | Tag>;
}

/** A sentence with elements in it: as values, or as tags around some of its words. */
export function T({ m, v }: Props) {
  const values = Object.fromEntries(
    Object.entries(v).map(([name, value]) => [
      name,
      typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : typeof value === 'function'
          ? (chunks: ReactNode[]) => value(<>{Children.toArray(chunks)}</>)
          : (value ?? ''),
    ]),
  );
  const found = formatter(m) ?? m;
  const said = typeof found === 'string' ? found : found.format<ReactNode>(values as Record<string, ReactNode>);

  return <>{Array.isArray(said) ? Children.toArray(said) : said}</>;
}
