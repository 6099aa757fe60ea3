import type { QueryClient, QueryKey } from '@tanstack/react-query';

/**
 * What each question is kept under. The first word says what it is about; a change asks for all questions again that
 * are about something it touches.
 */
export const keys = {
  session: () => ['session'],
  account: () => ['account'],
  members: () => ['members'],
  invitation: (secret: string) => ['invitation', secret],
  sharedReport: (secret: string) => ['shared report', secret],
  presets: () => ['presets'],
  house: () => ['kitchen'],
  pantry: () => ['foods'],
  foods: (query: string) => ['foods', query],
  amount: (phrase: string, of: unknown) => ['amounts', phrase, of],
  rooms: () => ['rooms'],
  calendar: () => ['calendar'],

  shelf: () => ['batches'],
  batch: (id: string) => ['batches', id],
  history: (batch: string) => ['batches', batch, 'history'],
  course: (batch: string) => ['batches', batch, 'course'],
  stepPreview: (batch: string, step: string, how: unknown) => ['batches', batch, 'steps', step, how],
  steps: (batch: string) => ['batches', batch, 'steps'],
  log: (batch: string) => ['batches', batch, 'log'],
  questions: (batch: string) => ['batches', batch, 'questions'],
  inspection: (batch: string, found: unknown) => ['batches', batch, 'inspection', found],
  servingSavings: (batch: string, ...serving: unknown[]) => ['batches', batch, 'savings', ...serving],
  portions: (batch: string) => ['batches', batch, 'portions'],
  chores: () => ['chores'],
  lineage: () => ['lineage'],
  labels: (batches: string) => ['labels', batches],
  find: (query: string) => ['find', query],

  day: (date: string) => ['days', date],
  days: () => ['days'],
  intake: (asked: unknown) => ['intake', asked],
  otherFoods: (asked?: unknown) => (asked === undefined ? ['other-foods'] : ['other-foods', asked]),

  weeks: () => ['weeks'],
  week: (date: string) => ['weeks', date],
  rotation: () => ['rotation'],
  planning: (id: string) => ['planning', id],
  firstWeek: () => ['timeline', 'first week'],
  timeline: (whatIf?: unknown) => (whatIf === undefined ? ['timeline'] : ['timeline', whatIf]),
  shopping: () => ['timeline', 'shopping'],

  bench: (fields: unknown) => ['bench', fields],
  lastBench: () => ['bench', 'last'],
  formulas: () => ['formulas'],
  formula: (id: string, scale: unknown) => ['formulas', id, scale],
  formulaSavings: (formula: string, milligrams: unknown) => ['formulas', formula, 'savings', milligrams],
  draftFormula: (document: unknown) => ['draft-formula', document],
  lastDraftFormula: () => ['draft-formula', 'last'],
  practice: () => ['practice'],
};

type Root =
  | 'amounts'
  | 'bench'
  | 'draft-formula'
  | 'formulas'
  | 'kitchen'
  | 'foods'
  | 'rooms'
  | 'session'
  | 'account'
  | Shelf
  | Plate;
type Shelf = 'batches' | 'chores' | 'lineage' | 'labels' | 'find';
type Plate = 'days' | 'intake' | 'other-foods' | 'weeks' | 'rotation' | 'timeline';

const shelf: readonly Shelf[] = ['batches', 'chores', 'lineage', 'labels', 'find'];
const plate: readonly Plate[] = ['days', 'intake', 'other-foods', 'weeks', 'rotation', 'timeline'];

/** What a change can be about, with all that is computed from it. */
const touched = {
  /**
   * A jar and its life, with what was eaten of it. The kitchen knows which jars are free, the bench whose brine can be
   * used.
   */
  ledger: [...shelf, ...plate, 'kitchen', 'bench', 'formulas'],
  /** Other food, which is in no jar. */
  intake: plate,
  /** What is to be eaten or started. */
  plan: ['chores', 'find', ...plate],
  /** People, salts, foods, jars, rooms and the house: every number can follow. */
  kitchen: [
    ...shelf,
    ...plate,
    'session',
    'account',
    'kitchen',
    'foods',
    'amounts',
    'rooms',
    'bench',
    'formulas',
    'draft-formula',
  ],
  formulas: ['formulas', 'find', 'rotation', 'weeks', 'timeline'],
} satisfies Record<string, readonly Root[]>;

/** What a change is about: one of these; all there is; or one question alone. */
export type About = keyof typeof touched | 'everything' | 'session' | 'account' | 'members' | 'calendar' | 'practice';

/** Asks again for what a change has made old. */
export async function refetch(queries: QueryClient, about: About): Promise<unknown> {
  const roots: readonly string[] = about in touched ? touched[about as keyof typeof touched] : [about];
  const isOld = ({ queryKey }: { queryKey: QueryKey }) => about === 'everything' || roots.includes(rootOf(queryKey));
  // What is on its way for the first time may have been answered before the change; it would count as fresh.
  await queries.cancelQueries({ predicate: (query) => isOld(query) && query.state.data === undefined });

  return queries.invalidateQueries({ predicate: isOld });
}

const rootOf = (key: QueryKey): string => String(key[0]);
