import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { daylight, evening, paletteSheet } from '../../web/src/app/palette';

const sheets = readdirSync('web/src', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.css'))
  .map((file) => ({ file, rules: readFileSync(join('web/src', file), 'utf8') }));

/** What a property is set to in all sheets, with where. */
const settings = (property: RegExp): string[] =>
  sheets.flatMap(({ file, rules }) => [...rules.matchAll(property)].map(([rule]) => `${file}: ${rule}`));

test('letters have the sizes that there are', () => {
  expect(settings(/(?<![\w-])font-size: [^;]+;/g).length).toBeGreaterThan(80);
  // Labels and sheets for print are measured in millimetres and points; the counter is read from across the room.
  expect(settings(/(?<![\w-])font-size: (?!var\(--text-|[\d.]+(mm|pt|em);|inherit|0;|clamp\(|max\()[^;]+;/g)).toEqual(
    [],
  );
});

test('the room between things is one of a few', () => {
  const room = settings(/(?<![\w-])((margin|padding)(-[a-z-]+)?|gap|row-gap|column-gap): [^;]+;/g);
  expect(room.length).toBeGreaterThan(200);
  expect(room.filter((rule) => !rule.includes('clamp(') && /(?<![\d.])(?!1px)[\d.]+px/.test(rule))).toEqual([]);
});

/** How much lighter one colour is than another, as WCAG 2.2 reckons it (relative luminance, 1.4.3). */
function contrast(one: string, other: string): number {
  const [light = 0, dark = 0] = [one, other]
    .map((colour) => {
      const [red = 0, green = 0, blue = 0] = [1, 3, 5]
        .map((at) => Number.parseInt(colour.slice(at, at + 2), 16) / 255)
        .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4));
      return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
    })
    .toSorted((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
}

test.each([
  ['daylight', daylight],
  ['evening', evening],
] as const)('what is written can be read: %s', (_, palette) => {
  // 21 between black and white, by definition.
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  for (const [ink, ground] of [
    ['ink', 'paper'],
    ['ink', 'panel'],
    ['inkSoft', 'paper'],
    ['inkSoft', 'panel'],
    ['inkSoft', 'raised'],
    ['beet', 'paper'],
    ['turmeric', 'paper'],
    ['chilli', 'paper'],
    ['leaf', 'paper'],
    ['inkOnBeet', 'beet'],
    ['inkOnWood', 'wood'],
    ['inkOnTag', 'tag'],
    ['inkOnTrack', 'track'],
    ['ink', 'chosen'],
  ] as const) {
    expect(contrast(palette[ink], palette[ground]), `${ink} on ${ground}`).toBeGreaterThanOrEqual(4.5);
  }
});

test('style sheets know every colour by its name', () => {
  for (const colour of ['--paper:#f3ede2', '--ink-soft:#65584f', '--glass-line:#a9b5ac', '--ink-on-wood:#fff6e8']) {
    expect(paletteSheet).toContain(colour);
  }
});
