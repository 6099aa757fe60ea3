import { say, t } from '../../messages/words';
import type { Serving, ServingStyle } from '../../api/client';
import { useHouse } from '../../api/queries';

/** The brine alone is no way of serving pieces: it is another part of the jar. */
const BRINE = 'brine';

/** The ways in which a portion comes to the plate, to choose from. */
export function useServingStyles(): { value: string; label: string }[] {
  const ways = useHouse().data?.waysToServe ?? [];
  return [
    ...ways.map(({ id, label }) => ({ value: id, label: say(label) })),
    { value: BRINE, label: t('serve.brine_alone') },
  ];
}

/** What a manner asks for. */
export const styleRequest = (manner: string): { phase: Serving['phase'] | null; way: ServingStyle | null } =>
  manner === BRINE ? { phase: 'brine', way: null } : { phase: null, way: manner as ServingStyle };

/** In which of them something was served. */
export const styleOf = (serving: Pick<Serving, 'phase' | 'way'>): string =>
  serving.phase === 'brine' ? BRINE : serving.way;

/** What a field shows of a manner: nothing before its name is known. */
export const shownStyle = (manner: string, styles: { value: string }[]): string | undefined =>
  styles.some(({ value }) => value === manner) ? manner : undefined;
