import type { PlannedServing, Week, WeekServing } from '../../api/client';

/** What a drag carries. */
export const JAR = 'application/x-tempesal-jar';

/** What can be done with a week from its cells. */
export interface WeekActions {
  week: Week;
  /** The jar that is in the cook's hand, by its id. */
  held: string | null;
  hold: (jar: string | null) => void;
  put: (jar: string, personId: string, date: string) => void;
  change: (serving: WeekServing, instead: PlannedServing | null) => void;
}
