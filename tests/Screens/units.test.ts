import { afterEach, expect, test } from 'vitest';
import { scaleOf, usualUnits } from '../../web/src/app/units';
import { inReaderUnits, measureBy } from '../../web/src/messages/readerUnits';
import { t } from '../../web/src/messages/words';

afterEach(() => measureBy({ usesInches: false, usesFahrenheit: false }));

test('what is kept is shown in the kitchen’s own unit, and comes back to the last digit', () => {
  measureBy({ usesInches: true, usesFahrenheit: true });
  for (const measure of ['length', 'temperature', 'warmth', 'days', 'hours', 'minutes', 'seconds'] as const) {
    const scale = scaleOf(measure);
    for (const kept of [-7.5, 0, 1, 22.5, 300]) {
      expect(scale.stored(scale.shown(kept))).toBeCloseTo(kept, 9);
    }
  }
  // Exact by definition: an inch is 25.4 mm, 0 and 100 °C are 32 and 212 °F.
  expect(scaleOf('length').shown(25.4)).toBeCloseTo(1, 12);
  expect(scaleOf('temperature').shown(100)).toBeCloseTo(212, 12);
  expect(scaleOf('warmth').shown(5)).toBeCloseTo(9, 12);
});

test('durations are read in hours and kept in the unit of the box', () => {
  expect(scaleOf('days').fromReading(336)).toBe(14);
  expect(scaleOf('minutes').fromReading(1.5)).toBe(90);
  expect(scaleOf('seconds').fromReading(0.025)).toBe(90);
});

test('sentences follow the kitchen', () => {
  expect(t('unit.temperature', { celsius: 21 })).toBe('21 °C');
  expect(t('unit.length', { millimetres: 20 })).toBe('20 mm');
  measureBy({ usesInches: true, usesFahrenheit: true });
  expect(t('unit.temperature', { celsius: 21 })).toBe('70 °F');
  expect(t('unit.length', { millimetres: 20 })).toBe('0.8 in');
  expect(t('unit.warmth', { celsius: 2 })).toBe('3.6 °F');
  expect(inReaderUnits({ celsius: 'mild' })).not.toHaveProperty('fahrenheit');
});

test.each([
  ['en-US', 'America/Chicago', 'us', true],
  ['en-GB', 'Europe/London', 'imperial', false],
  ['en-AU', 'Australia/Perth', 'australian', false],
  ['en', 'Australia/Sydney', 'australian', false],
  ['en', 'Europe/London', 'imperial', false],
  ['de-DE', 'Europe/Berlin', 'metric', false],
  ['en-CA', 'America/Toronto', 'metric', false],
])('%s in %s measures as people do there', (locale, zone, spoons, isUs) => {
  expect(usualUnits(locale, zone)).toMatchObject({
    spoonSystem: spoons,
    usesInches: isUs,
    usesFahrenheit: isUs,
  });
});
