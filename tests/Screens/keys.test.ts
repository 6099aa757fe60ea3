import { QueryClient } from '@tanstack/react-query';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { keys, refetch, type About } from '../../web/src/api/keys';

const asked = [
  keys.session(),
  keys.presets(),
  keys.house(),
  keys.pantry(),
  keys.foods('carrot'),
  keys.shelf(),
  keys.batch('a'),
  keys.course('a'),
  keys.chores(),
  keys.day('2026-11-27'),
  keys.week('2026-11-23'),
  keys.timeline(),
  keys.shopping(),
  keys.intake({ weeks: 4 }),
  keys.bench({ method: 'dry_salting' }),
  keys.formulas(),
  keys.practice(),
  keys.calendar(),
];

/** The questions that are old after a change. */
async function old(about: About): Promise<string[]> {
  const queries = new QueryClient();
  for (const key of asked) {
    queries.setQueryData(key, 'an answer');
  }
  await refetch(queries, about);

  return asked.filter((key) => queries.getQueryState(key)?.isInvalidated).map((key) => key.join(' '));
}

test('a change asks again for what is computed from it, and for nothing else', async () => {
  const ledger = await old('ledger');
  expect(ledger).toEqual(
    expect.arrayContaining([
      'batches',
      'batches a',
      'batches a course',
      'chores',
      'days 2026-11-27',
      'kitchen',
      'timeline',
    ]),
  );
  expect(ledger.filter((key) => /session|presets|foods|practice|calendar/.test(key))).toEqual([]);

  const other = await old('intake');
  expect(other).toEqual(expect.arrayContaining(['days 2026-11-27', 'weeks 2026-11-23', 'timeline shopping']));
  expect(other.filter((key) => /batches|kitchen|bench|formulas/.test(key))).toEqual([]);

  expect(await old('calendar')).toEqual(['calendar']);
  expect(await old('practice')).toEqual(['practice']);
  expect(await old('everything')).toHaveLength(asked.length);
  expect(await old('kitchen')).toEqual(expect.arrayContaining(['bench [object Object]', 'foods carrot', 'session']));
});

test('every question is kept under a key of the factory', () => {
  const sources = readdirSync('web/src', { recursive: true, encoding: 'utf8' }).filter(
    (file) => /\.tsx?$/.test(file) && !file.endsWith('api/keys.ts'),
  );
  const literal = sources.filter((file) =>
    /queryKey: \[|setQueryData\(\[|getQueryData(<[^>]*>)?\(\[/.test(readFileSync(join('web/src', file), 'utf8')),
  );
  expect(sources.length).toBeGreaterThan(80);
  expect(literal).toEqual([]);
});
