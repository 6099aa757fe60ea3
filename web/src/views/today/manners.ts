import type { Serving, Way } from '../../api/client';

/** The ways in which a portion comes to the plate. */
export const manners: { value: string; label: string; phase: Serving['phase'] | null; way: Way | null }[] = [
  { value: 'drained', label: 'as usual, drained', phase: null, way: 'drained' },
  { value: 'rinsed', label: 'rinsed half a minute', phase: null, way: 'rinsed' },
  { value: 'with_juice', label: 'with a spoon of juice', phase: null, way: 'with_juice' },
  { value: 'brine', label: 'the brine alone', phase: 'brine', way: null },
];

/** What a manner asks for. */
export function asked(manner: string): { phase: Serving['phase'] | null; way: Way | null } {
  const { phase, way } = manners.find((one) => one.value === manner) ?? { phase: null, way: null };
  return { phase, way };
}

/** In which of them something was served. */
export const mannerOf = (serving: Pick<Serving, 'phase' | 'way'>): string =>
  serving.phase === 'brine' ? 'brine' : serving.way;
