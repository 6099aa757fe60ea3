import type { Batch } from '../../api/client';

/** What a happening may need to be told. */
export interface EventInput {
  grams: number | null;
  percent: number | null;
  saltId: string | null;
  jarId: string | null;
}

export type EventField = keyof EventInput;

interface Happening {
  words: string;
  asks: readonly EventField[];
  /** For jars with pieces lying in brine alone. */
  needsBrine?: boolean;
  entry: (told: EventInput) => Record<string, unknown>;
}

const share = (percent: number | null) => (percent ?? 0) / 100;

/** What can happen to a jar on the shelf, and the entry that says so. */
export const eventForms = {
  water: {
    words: 'topped up with water',
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'top_up', grams }),
  },
  ownBrine: {
    words: 'topped up, as strong as it is',
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'top_up', grams, strength: 'own' }),
  },
  brine: {
    words: 'topped up with a brine',
    asks: ['grams', 'percent'],
    entry: ({ grams, percent }) => ({ kind: 'top_up', grams, strength: share(percent) }),
  },
  borrowed: {
    words: 'given brine from a jar',
    asks: ['jarId', 'grams'],
    entry: ({ jarId, grams }) => ({ kind: 'starter', fromBatch: jarId, grams }),
  },
  salt: {
    words: 'salt added',
    asks: ['grams', 'saltId'],
    entry: ({ grams, saltId }) => ({ kind: 'salt', product: saltId, grams }),
  },
  saltedUp: {
    words: 'salted up to a strength',
    asks: ['percent', 'saltId'],
    entry: ({ percent, saltId }) => ({ kind: 're_salt', share: share(percent), product: saltId }),
  },
  freshened: {
    words: 'brine changed for water',
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'freshen', water: grams }),
  },
  brineTaken: {
    words: 'brine taken out',
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'discard', phase: 'brine', grams }),
  },
  drained: {
    words: 'all of its brine poured off',
    asks: [],
    needsBrine: true,
    entry: () => ({ kind: 'drain' }),
  },
  blended: {
    words: 'blended into one',
    asks: [],
    needsBrine: true,
    entry: () => ({ kind: 'blend' }),
  },
  heated: { words: 'heated', asks: [], entry: () => ({ kind: 'heat' }) },
  ranOver: {
    words: 'brine ran over',
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'overflow', grams }),
  },
  driedAway: {
    words: 'water dried away',
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'evaporate', grams }),
  },
  leaked: {
    words: 'water leaked in from the weight',
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'leak', grams }),
  },
  brineRead: {
    words: 'brine measured',
    asks: ['percent'],
    needsBrine: true,
    entry: ({ percent }) => ({ kind: 'measured', what: 'brine_strength', value: share(percent) }),
  },
  weighed: {
    words: 'drained pieces weighed',
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'measured', what: 'drained_weight', value: grams }),
  },
} as const satisfies Record<string, Happening>;

export type EventName = keyof typeof eventForms;

export function eventsOf(batch: Batch): { value: EventName; label: string }[] {
  const hasBrine = batch.phases.length > 1;
  return (Object.entries(eventForms) as [EventName, Happening][])
    .filter(([, happening]) => hasBrine || !happening.needsBrine)
    .map(([value, { words }]) => ({ value, label: words }));
}

/** The entry to be written, or null while something is still to be told. */
export function entryOf(
  name: EventName,
  told: EventInput,
): ({ kind: string } & Record<string, unknown>) | null {
  const { asks, entry }: Happening = eventForms[name];
  return asks.some((question) => told[question] === null)
    ? null
    : (entry(told) as { kind: string } & Record<string, unknown>);
}
