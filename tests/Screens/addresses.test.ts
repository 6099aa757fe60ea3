import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { comingParts, comingShape } from '../../web/src/app/comingShape';
import { views, viewsOfOne } from '../Browser/addresses';

test('the browser tests visit every route', () => {
  const inside = readFileSync('web/src/app/pages.tsx', 'utf8').matchAll(/^ {4}'(\/[^']+)':/gm);
  const routes = [...[...inside].map(([, path]) => path), '/counter/:batchId'];
  expect(routes.length).toBeGreaterThan(20);
  expect(routes.filter((path) => ![...views, ...viewsOfOne].includes(path ?? ''))).toEqual([]);
});

test('every route has the shape of what comes, with rules of its own where it is no plain text', () => {
  const styles = readFileSync('web/src/app/base.css', 'utf8');
  const shapes = new Set([...views, ...viewsOfOne].map((path) => comingShape(path)));
  // A jar is not the shelf, a report not the chart.
  expect(comingShape('/shelf')).not.toBe(comingShape('/shelf/01abc'));
  expect(comingShape('/shelf/ahead')).not.toBe(comingShape('/shelf/01abc'));
  expect(comingShape('/today/intake')).not.toBe(comingShape('/today/2026-03-02'));
  expect([...shapes].sort()).toEqual(Object.keys(comingParts).sort());
  for (const shape of shapes) {
    expect(shape === 'people' || styles.includes(`.page-coming.is-${shape}`), shape).toBe(true);
  }
});
