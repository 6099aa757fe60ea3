import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect, test } from 'vitest';

const files = readdirSync('web/src', { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.tsx?$/.test(file) && !file.endsWith('.d.ts'))
  .map((file) => join('web/src', file));

/** The files of the screens that one imports, types included. */
function importsOf(file: string): string[] {
  return [...readFileSync(file, 'utf8').matchAll(/from '(\.[^']*)'/g)].flatMap(([, path]) => {
    const there = join(dirname(file), path ?? '');

    return [`${there}.ts`, `${there}.tsx`].filter((one) => existsSync(one));
  });
}

/** A way that leads from a file back to itself, or nothing. */
function circle(file: string, way: string[], done: Set<string>): string[] | null {
  if (way.includes(file)) {
    return [...way.slice(way.indexOf(file)), file];
  }
  if (done.has(file)) {
    return null;
  }
  for (const next of importsOf(file)) {
    const found = circle(next, [...way, file], done);
    if (found) {
      return found;
    }
  }
  done.add(file);

  return null;
}

test('no file of the screens needs itself', () => {
  expect(files.length).toBeGreaterThan(80);
  expect(files.flatMap(importsOf).length).toBeGreaterThan(200);
  const done = new Set<string>();
  expect(files.flatMap((file) => circle(file, [], done) ?? [])).toEqual([]);
});
