import type { PlannedServing, Week, WeekServing } from '../../api/client';

/** What can be done with a week from its cells. */
export interface WeekActions {
  week: Week;
  /** Takes a jar in hand, by its id, or puts it back. */
  hold: (jar: string | null) => void;
  put: (jar: string, personId: string, date: string) => void;
  change: (serving: WeekServing, instead: PlannedServing | null) => void;
  add: (serving: PlannedServing) => void;
}

/** The same beside the jar that is in the cook's hand, by its id. */
export interface InHand {
  hands: WeekActions;
  held: string | null;
}

/** Someone's day. */
export interface Place {
  person: string;
  date: string;
}

/** What is dragged: a jar of the shelf, or a serving of the week. */
export const dragId = (kind: 'jar' | 'serving', id: string): string => `${kind} ${id}`;

export function dragIdOf(dragged: string): { kind: string; id: string } {
  const [kind = '', id = ''] = dragged.split(' ');
  return { kind, id };
}

/** A place is named by who eats there and the day. */
export const placeId = (place: Place): string => `${place.person} ${place.date}`;

export function placeOf(id: string): Place {
  const [person = '', date = ''] = id.split(' ');
  return { person, date };
}
