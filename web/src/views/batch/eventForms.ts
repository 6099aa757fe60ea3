import { t } from '../../messages/words';
import type { AmountOf } from '../../api/amounts';
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
  /** What its grams are of; without it they are liquid. */
  of?: 'salt' | 'portion';
  /** For jars with pieces lying in brine alone. */
  needsBrine?: boolean;
  entry: (told: EventInput) => Record<string, unknown>;
}

const share = (percent: number | null) => (percent ?? 0) / 100;

/** What can happen to a jar on the shelf, and the entry that says so. */
export const eventForms = {
  water: {
    words: t('event.top_up_water'),
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'top_up', grams }),
  },
  ownBrine: {
    words: t('event.top_up_own'),
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'top_up', grams, strength: 'own' }),
  },
  brine: {
    words: t('event.top_up_brine'),
    asks: ['grams', 'percent'],
    entry: ({ grams, percent }) => ({ kind: 'top_up', grams, strength: share(percent) }),
  },
  borrowed: {
    words: t('event.starter'),
    asks: ['jarId', 'grams'],
    entry: ({ jarId, grams }) => ({ kind: 'starter', fromBatch: jarId, grams }),
  },
  salt: {
    words: t('event.salt'),
    asks: ['grams', 'saltId'],
    of: 'salt',
    entry: ({ grams, saltId }) => ({ kind: 'salt', product: saltId, grams }),
  },
  saltedUp: {
    words: t('event.re_salt'),
    asks: ['percent', 'saltId'],
    entry: ({ percent, saltId }) => ({ kind: 're_salt', share: share(percent), product: saltId }),
  },
  freshened: {
    words: t('event.freshen'),
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'freshen', water: grams }),
  },
  brineTaken: {
    words: t('event.brine_out'),
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'discard', phase: 'brine', grams }),
  },
  brineKept: {
    words: t('event.brine_kept'),
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'discard', phase: 'brine', grams }),
  },
  drained: {
    words: t('event.drain'),
    asks: [],
    needsBrine: true,
    entry: () => ({ kind: 'drain' }),
  },
  blended: {
    words: t('event.blend'),
    asks: [],
    needsBrine: true,
    entry: () => ({ kind: 'blend' }),
  },
  heated: { words: 'heated', asks: [], entry: () => ({ kind: 'heat' }) },
  ranOver: {
    words: t('event.overflow'),
    asks: ['grams'],
    needsBrine: true,
    entry: ({ grams }) => ({ kind: 'overflow', grams }),
  },
  driedAway: {
    words: t('event.evaporate'),
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'evaporate', grams }),
  },
  leaked: {
    words: t('event.leak'),
    asks: ['grams'],
    entry: ({ grams }) => ({ kind: 'leak', grams }),
  },
  brineRead: {
    words: t('event.brine_measured'),
    asks: ['percent'],
    needsBrine: true,
    entry: ({ percent }) => ({ kind: 'measured', what: 'brine_strength', value: share(percent) }),
  },
  weighed: {
    words: t('event.pieces_weighed'),
    asks: ['grams'],
    of: 'portion',
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

/** Of what the grams of a happening are, for who reads them. */
export function gramsOf(name: EventName, batch: Batch, { saltId }: EventInput): Omit<AmountOf, 'kind'> {
  const { of }: Happening = eventForms[name];

  return of === 'salt'
    ? { of, ...(saltId && { id: saltId }) }
    : of === 'portion'
      ? { of, id: batch.id }
      : { of: 'water' };
}

/** The entry to be written, or null while something is still to be told. */
export function entryOf(name: EventName, told: EventInput): ({ kind: string } & Record<string, unknown>) | null {
  const { asks, entry }: Happening = eventForms[name];
  return asks.some((question) => told[question] === null)
    ? null
    : (entry(told) as { kind: string } & Record<string, unknown>);
}
