import type { FormulaDocument, KitchenJar } from '../../api/client';

/** The parts of a documented step that the editor shows; everything else in it is kept as it is. */
export interface Amount {
  ingredient: string;
  grams: number | { low: number; typical: number; high: number };
}

export interface Salt {
  product: string;
  grams?: number;
  share?: number;
  basis?: string;
  [other: string]: unknown;
}

export interface Step {
  kind: string;
  method?: string;
  salt?: Salt;
  water?: number;
  starter?: { liquid?: string; grams: number };
  [other: string]: unknown;
}

export interface Document extends FormulaDocument {
  name: string;
  summary?: string;
  method: string;
  group?: string;
  isLive?: boolean;
  steps: Step[];
  serving: { phase: string; grams: number };
  vessel: { nominalMl: number; headspaceMm: number; cover?: KitchenJar['cover']; holdDown?: string };
  window: { youngDays: number; readyDays: number; longDays: number; celsius: number };
  keeping?: { days: number; where?: string; text?: string };
  work?: string[];
  signs?: string[];
  why?: string[];
  schools?: string[];
  cautions?: string[];
  notes?: string[];
}

/** In which lists a method has its foods. */
export const lists: Record<string, string[]> = {
  dry_salting: ['vegetables'],
  poured_brine: ['vegetables'],
  equilibrium_brine: ['vegetables'],
  mash: ['vegetables'],
  kimchi_dry_salted: ['vegetables', 'paste'],
  kimchi_soaked: ['vegetables', 'paste'],
  salt_and_drain: ['vegetables', 'alongside', 'paste'],
  quick_salt_pickle: ['vegetables'],
  cultured_condiment: ['base'],
  reused_brine: ['vegetables'],
  transform: ['additions'],
};

export const methods: { value: string; label: string }[] = [
  { value: 'dry_salting', label: 'Dry salting' },
  { value: 'poured_brine', label: 'Poured brine' },
  { value: 'equilibrium_brine', label: 'Equilibrium brine' },
  { value: 'mash', label: 'Mash' },
  { value: 'kimchi_dry_salted', label: 'Kimchi style, salted dry' },
  { value: 'kimchi_soaked', label: 'Kimchi style, soaked' },
  { value: 'salt_and_drain', label: 'Salt and drain' },
  { value: 'quick_salt_pickle', label: 'Quick salt pickle' },
  { value: 'cultured_condiment', label: 'Cultured condiment' },
];

const isSauce = (method: string): boolean => method === 'mash' || method === 'cultured_condiment';

/** The same foods by another method: what the new one needs is added, what it cannot use is left out. */
export function byMethod(document: Document, method: string): Document {
  const old = document.steps[0];
  const foods = (old?.vegetables ?? old?.base ?? []) as Amount[];
  const first = (lists[method] ?? ['vegetables'])[0] ?? 'vegetables';
  const basis: Record<string, string> = {
    poured_brine: 'of_water',
    kimchi_soaked: 'of_water',
    quick_salt_pickle: 'of_water',
  };
  const share: Record<string, number> = {
    dry_salting: 0.0225,
    equilibrium_brine: 0.025,
    kimchi_soaked: 0.065,
    quick_salt_pickle: 0.18,
    cultured_condiment: 0.012,
  };
  const needsWater = ['poured_brine', 'equilibrium_brine', 'kimchi_soaked', 'quick_salt_pickle'].includes(
    method,
  );
  const everything = ['equilibrium_brine', 'cultured_condiment'].includes(method);
  const step: Step = {
    kind: 'process',
    method,
    [first]: foods,
    ...(needsWater ? { water: old?.water ?? 500 } : {}),
    salt: {
      product: old?.salt?.product ?? 'fine-sea',
      share: share[method] ?? 0.03,
      basis: basis[method] ?? (everything ? 'of_everything' : 'of_vegetable'),
    },
    ...(old?.paste && lists[method]?.includes('paste') ? { paste: old.paste } : {}),
    ...(method === 'quick_salt_pickle' ? { soak: { hours: 4, celsius: 20 } } : {}),
    ...(old?.starter &&
    ['dry_salting', 'poured_brine', 'equilibrium_brine', 'mash', 'cultured_condiment'].includes(method)
      ? { starter: old.starter }
      : {}),
  };

  return {
    ...document,
    method,
    isLive: method !== 'quick_salt_pickle',
    steps: [step, ...document.steps.slice(1)],
    serving: { phase: isSauce(method) ? 'sauce' : 'pieces', grams: isSauce(method) ? 15 : 40 },
  };
}

/** A formula to begin with. */
export const blank: Document = {
  tempesal: 'formula',
  version: 1,
  name: 'A new formula',
  summary: '',
  method: 'poured_brine',
  group: 'roots',
  isLive: true,
  steps: [
    {
      kind: 'process',
      method: 'poured_brine',
      vegetables: [{ ingredient: 'carrot', grams: 480 }],
      water: 360,
      salt: { product: 'fine-sea', share: 0.03, basis: 'of_water' },
    },
  ],
  serving: { phase: 'pieces', grams: 40 },
  vessel: { nominalMl: 946, headspaceMm: 20, cover: 'slit lid' },
  window: { youngDays: 5, readyDays: 10, longDays: 21, celsius: 20 },
  work: [],
  signs: [],
  why: [],
  schools: [],
  cautions: [],
  notes: [],
};

/** What is sent: empty texts left out, so that nothing is refused for being unwritten. */
export function tidy(document: Document): FormulaDocument {
  const { summary, ...rest } = document;
  const lines = Object.fromEntries(
    (['work', 'signs', 'why', 'schools', 'cautions', 'notes'] as const).map((key) => [
      key,
      (document[key] ?? []).map((text) => text.trim()).filter((text) => text !== ''),
    ]),
  );
  return { ...rest, ...(summary?.trim() ? { summary } : {}), ...lines };
}
