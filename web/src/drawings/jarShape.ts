import type { JarPicture } from '../api/client';

/** The height of the rim above the floor, mm. */
export const top = (jar: JarPicture): number => jar.bodyHeightMm + jar.shoulderMm + jar.neckMm;

/** The inner width at a height, mm. */
export function widthAt(jar: JarPicture, height: number): number {
  if (height <= jar.bodyHeightMm) {
    return jar.bodyMm;
  }
  const up = Math.min(1, (height - jar.bodyHeightMm) / Math.max(1, jar.shoulderMm));
  return jar.bodyMm + (jar.mouthMm - jar.bodyMm) * up;
}

/** The outline of the glass as an SVG path. */
export function outline(jar: JarPicture, middle: number, floor: number): string {
  const body = jar.bodyMm / 2;
  const mouth = jar.mouthMm / 2;
  const rim = floor - top(jar);
  const shoulder = floor - jar.bodyHeightMm;
  const neck = shoulder - jar.shoulderMm;
  const foot = 7;
  return [
    `M${middle - mouth} ${rim}`,
    `V${neck}`,
    `C${middle - mouth} ${neck + jar.shoulderMm * 0.6} ${middle - body} ${neck + jar.shoulderMm * 0.5} ${middle - body} ${shoulder + 4}`,
    `V${floor - foot}`,
    `Q${middle - body} ${floor} ${middle - body + foot} ${floor}`,
    `H${middle + body - foot}`,
    `Q${middle + body} ${floor} ${middle + body} ${floor - foot}`,
    `V${shoulder + 4}`,
    `C${middle + body} ${neck + jar.shoulderMm * 0.5} ${middle + mouth} ${neck + jar.shoulderMm * 0.6} ${middle + mouth} ${neck}`,
    `V${rim}`,
    'Z',
  ].join(' ');
}

/** Numbers from 0 to 1 that are always the same for the same seed. */
export function randomFrom(seed: string): () => number {
  let state = 2166136261;
  for (const letter of seed) {
    state = Math.imul(state ^ letter.charCodeAt(0), 16777619);
  }
  return () => {
    state = Math.imul(state ^ (state >>> 15), 2246822519);
    state = Math.imul(state ^ (state >>> 13), 3266489917);
    state ^= state >>> 16;
    return (state >>> 0) / 4294967296;
  };
}

/** A colour moved towards black (negative) or white (positive), by a share. */
export function shade(colour: string, by: number): string {
  const to = by < 0 ? 0 : 255;
  const parts = [1, 3, 5].map((at) => {
    const value = parseInt(colour.slice(at, at + 2), 16);
    return Math.round(value + (to - value) * Math.abs(by));
  });
  return `rgb(${parts.join(' ')})`;
}
