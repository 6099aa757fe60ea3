import type { Day, Serving } from '../../api/client';

/** The jars at hand, and the one that something came from even when it is empty by now. */
export function jarsToChoose(day: Day, from?: Serving): { value: string; label: string }[] {
  const jars = day.jars.map(({ id, name }) => ({ value: id, label: name }));
  return from === undefined || jars.some(({ value }) => value === from.batchId)
    ? jars
    : [...jars, { value: from.batchId, label: from.batchName }];
}
