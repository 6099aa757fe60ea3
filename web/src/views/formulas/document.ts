import { t } from '../../messages/words';
import type { FormulaDocument, KitchenFood, KitchenJar, KitchenMethod } from '../../api/client';

/** The parts of a documented step that the editor shows; everything else in it is kept as it is. */
export interface Amount {
  ingredient: string;
  grams: number | { low: number; typical: number; high: number };
  /** Where parts of it are cut otherwise; their shares add up to 1. */
  cuts?: { shape: KitchenFood['shape']; share: number; reachMm?: number | null }[];
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

/** The salt of a step, as it usually is by a method. */
export const usualSalt = (method: KitchenMethod): Omit<Salt, 'product'> => ({
  share: Math.round(method.percent * 100) / 10_000,
  basis: method.basis,
});

/** The same foods by another method: what the new one needs is added, what it cannot use is left out. */
export function byMethod(document: Document, method: KitchenMethod): Document {
  const old = document.steps[0];
  const foods = old?.vegetables ?? old?.base ?? [];
  const [main = 'vegetables', ...others] = method.lists;
  const step: Step = {
    kind: 'process',
    method: method.id,
    [main]: foods,
    ...(method.hasPouredBrine ? { water: old?.water ?? 500 } : {}),
    salt: { product: old?.salt?.product ?? 'fine-sea', ...usualSalt(method) },
    ...(others.includes('paste') && old?.paste ? { paste: old.paste } : {}),
    ...(method.takesStarter && old?.starter ? { starter: old.starter } : {}),
  };

  return { ...document, method: method.id, steps: [step, ...document.steps.slice(1)], ...method.begins };
}

/** A formula to begin with. */
export function begun(method: KitchenMethod): Document {
  const blank: Document = {
    tempesal: 'formula',
    version: 1,
    name: t('formula_edit.new_name'),
    summary: '',
    method: method.id,
    group: 'roots',
    isLive: true,
    steps: [{ kind: 'process', water: 360, vegetables: [{ ingredient: 'carrot', grams: 480 }] }],
    serving: { phase: 'pieces', grams: 0 },
    vessel: { nominalMl: 0, headspaceMm: 0 },
    window: { youngDays: 0, readyDays: 0, longDays: 0, celsius: 0 },
    work: [],
    signs: [],
    why: [],
    schools: [],
    cautions: [],
    notes: [],
  };
  return byMethod(blank, method);
}

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
