import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { views, viewsOfOne } from '../Browser/addresses';

test('the browser tests visit every route', () => {
  const routes = [...readFileSync('web/src/app/App.tsx', 'utf8').matchAll(/<Route path="(\/[^"]*)"/g)].map(
    ([, path]) => path,
  );
  expect(routes.length).toBeGreaterThan(20);
  expect(routes.filter((path) => ![...views, ...viewsOfOne].includes(path ?? ''))).toEqual([]);
});
