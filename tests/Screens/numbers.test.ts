import { describe, expect, test } from 'vitest';
import { readNumber } from '../../web/src/app/readNumber';
import { localeFor } from '../../web/src/messages/catalogue';

describe('a number as a cook types it', () => {
  test.each([
    ['1.5', 1.5],
    ['1,5', 1.5],
    ['0,75', 0.75],
    ['.75', 0.75],
    [',5', 0.5],
    ['-2,25', -2.25],
    ['−3', -3],
    ['12', 12],
    [' 20 ', 20],
    ['1,', 1],
    ['1 1/2', 1.5],
    ['3/4', 0.75],
    ['½', 0.5],
    ['2½', 2.5],
    ['1 ⅔', 1 + 2 / 3],
    ['0,125', 0.125],
    ['0.125', 0.125],
    ['12,3456', 12.3456],
  ])('%s is %d everywhere', (typed, value) => {
    for (const locale of ['en-GB', 'de-DE', 'fr-FR', 'de-CH']) {
      expect(readNumber(typed, locale), locale).toBeCloseTo(value, 12);
    }
  });

  test.each([
    ['1,250', 'en-US', 1250],
    ['1,250', 'de-DE', 1.25],
    ['1.250', 'en-US', 1.25],
    ['1.250', 'de-DE', 1250],
    ['1 250', 'fr-FR', 1250],
    ['1 250,5', 'fr-FR', 1250.5],
    ["12'500", 'de-CH', 12500],
    ['1,250.5', 'en-US', 1250.5],
    ['1,250.5', 'de-DE', 1250.5],
    ['1.250,5', 'en-US', 1250.5],
    ['1.234.567', 'en-US', 1234567],
    ['1,234,567', 'de-DE', 1234567],
  ])('%s in %s is %d', (typed, locale, value) => {
    expect(readNumber(typed, locale)).toBeCloseTo(value, 9);
  });

  test.each([
    '',
    '-',
    'abc',
    '1 1',
    '1.2.3',
    '1,2,3',
    '1/0',
    '10 d',
    '90 min',
    '38 F',
    '1-2',
    '1e3',
    '1,25.5',
    '.',
    '1..2',
  ])('"%s" is none', (typed) => {
    expect(readNumber(typed, 'en-GB')).toBeNull();
    expect(readNumber(typed, 'de-DE')).toBeNull();
  });

  test('what a locale writes is read back', () => {
    let seed = 20261127;
    const chance = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    for (let i = 0; i < 400; i++) {
      const value = Math.round((chance() - 0.3) * 10 ** (1 + Math.floor(chance() * 7)) * 100) / 100;
      for (const locale of ['en-US', 'en-IN', 'de-DE', 'fr-FR', 'de-CH', 'sv-SE', 'pt-BR']) {
        const written = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 }).format(value);
        // 1,23,456 of India's thousands is more than a box of this kitchen takes.
        if (locale !== 'en-IN' || Math.abs(value) < 100_000) {
          expect(readNumber(written, locale), `${written} in ${locale}`).toBeCloseTo(value, 9);
        }
      }
    }
  });
});

test.each([
  ['en-GB', ['en'], 'en-GB'],
  ['de-DE', ['en'], 'en-DE'],
  ['de', ['en'], 'en-DE'],
  ['de-AT', ['en', 'de'], 'de-AT'],
  ['nl', ['en'], 'en-NL'],
  ['en-XA', ['en', 'en-XA'], 'en-XA'],
])('a reader of %s with %j sees numbers as in %s', (wanted, folders, locale) => {
  expect(localeFor(wanted, folders)).toBe(locale);
});
