import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import type { JarPicture } from '../../web/src/api/client';
import { outline, randomFrom, shade, top, widthAt } from '../../web/src/drawings/jarShape';
import { SaltBar } from '../../web/src/drawings/SaltLine';

/** Anew each time; what failed is made again with its seed. */
const seed = process.env.SEED ?? String(Date.now());
console.log(`Drawings of seed ${seed}`);
const random = randomFrom(seed);
const between = (low: number, high: number) => low + random() * (high - low);

afterEach(cleanup);

const jar = (): JarPicture =>
  ({
    mouthMm: between(20, 110),
    bodyMm: between(60, 240),
    bodyHeightMm: between(40, 300),
    shoulderMm: between(0, 60),
    neckMm: between(0, 50),
  }) as JarPicture;

test('a jar is drawn within its height and its width, whatever its shape', () => {
  for (let made = 0; made < 200; made += 1) {
    const one = jar();
    const path = outline(one, 0, 0);
    expect(path).not.toMatch(/NaN|undefined/);
    const widest = Math.max(one.bodyMm, one.mouthMm) / 2;
    // Every end of a line but those of the floor's round corners.
    for (const [, x, y] of path.matchAll(/[ML](-?[\d.e-]+) (-?[\d.e-]+)/g)) {
      expect(Math.abs(Number(x))).toBeLessThanOrEqual(widest + 1e-9);
      expect(Number(y)).toBeLessThanOrEqual(1e-9);
      expect(Number(y)).toBeGreaterThanOrEqual(-top(one) - 1e-9);
    }
    expect(widthAt(one, 0)).toBe(one.bodyMm);
    expect(widthAt(one, top(one) + 1)).toBeCloseTo(one.mouthMm, 6);
    for (let height = 0; height < top(one); height += 7) {
      expect(widthAt(one, height)).toBeGreaterThanOrEqual(Math.min(one.bodyMm, one.mouthMm) - 1e-9);
      expect(widthAt(one, height)).toBeLessThanOrEqual(Math.max(one.bodyMm, one.mouthMm) + 1e-9);
    }
  }
});

test('a jar looks the same each time it is drawn', () => {
  const [one, again, other] = ['kraut', 'kraut', 'kimchi'].map((name) => {
    const next = randomFrom(name);
    return Array.from({ length: 50 }, next);
  });
  expect(one).toEqual(again);
  expect(one).not.toEqual(other);
  expect(one?.every((value) => value >= 0 && value < 1)).toBe(true);
  expect(shade('#000000', 1)).toBe('rgb(255 255 255)');
  expect(shade('#804020', 0)).toBe('rgb(128 64 32)');
  expect(shade('#804020', -1)).toBe('rgb(0 0 0)');
});

test('the parts of a salt line stand end to end, in proportion to their sodium', () => {
  for (let made = 0; made < 40; made += 1) {
    const restMg = between(0, 2500);
    const targetMg = between(500, 2500);
    const parts = Array.from({ length: Math.floor(between(0, 6)) }, (_, at) => ({
      id: String(at),
      name: `jar ${String(at)}`,
      colour: '#804020',
      milligrams: between(1, 700),
    }));
    const typical = parts.reduce((sum, part) => sum + part.milligrams, 0);
    render(
      <SaltBar
        name="Ada"
        targetMg={targetMg}
        restMg={restMg}
        parts={parts}
        ferments={{
          low: typical * 0.9,
          typical,
          high: typical * 1.2,
          shown: Math.round(typical),
          shownLow: Math.round(typical * 0.9),
          shownHigh: Math.round(typical * 1.2),
        }}
      />,
    );
    const bar = screen.getByRole('img', { name: /^Ada: / });
    const [goal, rest, ...drawn] = [...bar.querySelectorAll(':scope > rect')].map((rect) => ({
      x: Number(rect.getAttribute('x')),
      width: Number(rect.getAttribute('width')),
    }));
    const scale = (goal?.width ?? 0) / targetMg;
    expect(rest?.width).toBeCloseTo(restMg * scale, 6);
    let end = rest?.width ?? 0;
    parts.forEach((part, at) => {
      expect(drawn[at]?.x).toBeCloseTo(end, 6);
      expect(drawn[at]?.width).toBeCloseTo(part.milligrams * scale, 6);
      end += drawn[at]?.width ?? 0;
    });
    // All of it, the uncertain end too, is within the drawing.
    expect((restMg + typical * 1.2) * scale).toBeLessThanOrEqual(1000 + 1e-6);
    cleanup();
  }
});
