import { readerLocale } from '../messages/catalogue';

/** The mark that this locale writes between thousands, and the one before decimals. */
function marksOf(locale: string): { group: string; decimal: string } {
  const parts = new Intl.NumberFormat(locale, { useGrouping: 'always' as unknown as boolean }).formatToParts(12345.6);
  const of = (type: string) => parts.find((part) => part.type === type)?.value ?? '';

  return { group: of('group'), decimal: of('decimal') };
}

export const decimalMark = (locale = readerLocale()): string => marksOf(locale).decimal;

const FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
};

/**
 * A number as a cook types it: decimals after a comma or a point, thousands apart, "1 1/2" and "½"; null for anything
 * else.
 *
 * One mark with three digits behind it stands for thousands only where the reader's own locale writes them so: "1,250"
 * is 1250 in English and 1.25 in German.
 */
export function readNumber(typed: string, locale = readerLocale()): number | null {
  const text = typed
    .trim()
    .replace(/−/g, '-')
    .replace(/(\d?)([½⅓⅔¼¾⅛])/g, (_, whole: string, sign: string) => `${whole} ${FRACTIONS[sign] ?? ''}`)
    .trim();
  const fraction = /^(-?)(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (fraction) {
    const [, minus, whole = '0', top = '0', bottom = '0'] = fraction;
    const value = Number(whole) + Number(top) / Number(bottom);

    return Number.isFinite(value) ? (minus === '-' ? -value : value) : null;
  }
  const plain = withPoint(text.replace(/(\d)[\s'’\u00a0\u202f](?=\d{3}(?!\d))/g, '$1'), marksOf(locale).group);

  return /^-?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
}

/** The same with a point before its decimals and nothing between its thousands. */
function withPoint(text: string, group: string): string {
  const marks = text.match(/[.,]/g) ?? [];
  const last = marks.at(-1);
  const isOneKind = new Set(marks).size === 1;
  if (last === undefined) {
    return text;
  }
  const areThousands = /^-?[1-9]\d{0,2}([.,]\d{3})+$/.test(text);
  if (isOneKind && areThousands && (marks.length > 1 || last === group)) {
    return text.replace(/[.,]/g, '');
  }
  if (isOneKind) {
    return marks.length === 1 ? text.replace(last, '.') : text;
  }
  const other = last === '.' ? ',' : '.';
  const at = text.lastIndexOf(last);

  return new RegExp(`^-?[1-9]\\d{0,2}(\\${other}\\d{3})+$`).test(text.slice(0, at))
    ? `${text.slice(0, at).replaceAll(other, '')}.${text.slice(at + 1)}`
    : text;
}
