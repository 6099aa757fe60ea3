import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { views, viewsOfOne } from '../Browser/addresses';

test('the browser tests visit every route', () => {
  const inside = readFileSync('web/src/app/pages.tsx', 'utf8').matchAll(/^ {4}'(\/[^']+)':/gm);
  const routes = [...[...inside].map(([, path]) => path), '/counter/:batchId'];
  expect(routes.length).toBeGreaterThan(20);
  expect(routes.filter((path) => ![...views, ...viewsOfOne].includes(path ?? ''))).toEqual([]);
});
