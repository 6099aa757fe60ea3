import { useCallback } from 'react';
import type { BenchFields, BenchPart, Kitchen, KitchenMethod, ShelfBatch } from '../../api/client';
import { useAskBench } from '../../api/queries';
import { forget, keep, stored, usePersistentState } from '../../app/persistentState';

/** What the jar is called and where it goes, beside what is in it. */
interface Tag {
  name: string;
  place: ShelfBatch['place'];
  startedOn: string;
  isPacked: boolean;
}

export type Draft = Required<BenchFields> & Tag;

export type Change = (part: Partial<Draft>) => void;

const KEPT_AS = 'tempesal.bench';

/** What stands on the bench, and how it is changed; the core hears of a change before the screen draws it. */
export function useDraft(kitchen: Kitchen): [Draft, Change] {
  const [draft, put] = usePersistentState<Draft>(KEPT_AS, () =>
    fitted({ ...fresh(kitchen), ...stored<Draft>(KEPT_AS) }, kitchen),
  );
  const ask = useAskBench();
  const change = useCallback<Change>(
    (part) => {
      ask(fieldsOf({ ...draft, ...part }));
      put(part);
    },
    [draft, ask, put],
  );

  return [draft, change];
}

/** Takes a free jar to the bench, beside what stands there already. */
export function putOnBench(jarId: string): void {
  addToBench({ jarId, moreJarIds: [] });
}

/** Puts something beside what stands on the bench. */
export function addToBench(fields: Partial<Draft>): void {
  localStorage.setItem(KEPT_AS, JSON.stringify({ ...stored<Draft>(KEPT_AS), ...fields }));
}

/** Puts something on the bench for the next time it is opened. */
export const keepDraft = (fields: object): void => keep(KEPT_AS, fields);

/** Clears the bench for the next jar. */
export const forgetDraft = (): void => forget(KEPT_AS);

/** What the core is asked about: everything but the name on the tag. */
export function fieldsOf(draft: Draft): BenchFields {
  const fields: Partial<Draft> = { ...draft };
  delete fields.name;
  delete fields.isPacked;
  return fields as BenchFields;
}

/** The bench for another method: what is particular to a method is as it usually is there. */
export function forMethod(draft: Draft, kitchen: Kitchen, id: Draft['method']): Partial<Draft> {
  const method = kitchen.methods.find((one) => one.id === id);
  const isMadeOfAnything = method?.lists[0] === 'base';
  const food = kitchen.ingredients.find((one) => one.id === draft.vegetableId);
  const vegetable = food?.use === 'vegetable' || isMadeOfAnything ? food : usualVegetable(kitchen);

  return {
    method: id,
    vegetableId: vegetable?.id ?? draft.vegetableId,
    fixed: id === 'transform' ? 'salt' : 'strength',
    strengthBasis: method?.basis ?? draft.strengthBasis,
    strengthPercent: String(method?.percent ?? ''),
    headspaceMm: method?.headspaceMm ?? null,
    saltAmount: id === 'transform' ? '' : draft.saltAmount,
    saltingMinutes: null,
    rinseSeconds: null,
    isSqueezed: null,
    isPacked: false,
    waterAs: 'water',
    servingAmount: usualServing(method),
  };
}

const usualServing = (method: KitchenMethod | undefined): string => `${String(method?.portionGrams ?? 0)} g`;

/** A fresh bench: carrots in the smallest free jar, at the method's usual strength. */
function fresh(kitchen: Kitchen): Draft {
  const method = kitchen.methods.find((one) => one.id === 'poured_brine') ?? kitchen.methods[0];
  const vegetable = usualVegetable(kitchen);
  const jar = kitchen.jars.find((one) => one.howMany > one.inUse && one.nominalMl > 600) ?? kitchen.jars[0];
  const salt = kitchen.salts.find((one) => one.key === 'fine-sea') ?? kitchen.salts[0];

  return {
    method: method?.id ?? 'poured_brine',
    vegetableId: vegetable?.id ?? null,
    vegetableAmount: '',
    shape: vegetable?.shape ?? null,
    alongside: [],
    paste: [],
    sourceBatchId: null,
    keptBrine: '',
    isHeated: false,
    jarId: jar?.id ?? null,
    moreJarIds: [],
    headspaceMm: method?.headspaceMm ?? null,
    weightMl: null,
    holdDownId: null,
    cover: null,
    hasSaucer: false,
    hasOneMore: false,
    keepsLeftOver: false,
    leftOutAmount: '',
    saltId: salt?.id ?? '',
    saltUnit: kitchen.measureBy === 'spoons' ? 'spoons' : 'grams',
    fixed: 'strength',
    strengthPercent: String(method?.percent ?? ''),
    strengthBasis: method?.basis ?? 'of_water',
    saltAmount: '',
    tastings: [''],
    sodiumWanted: '',
    waterAmount: '',
    waterAs: 'water',
    pouredAmount: '',
    starterId: null,
    starterBatchId: null,
    starterAmount: '',
    cuts: null,
    saltingMinutes: null,
    rinseSeconds: null,
    isSqueezed: null,
    roomCelsius: null,
    servingAmount: usualServing(method),
    name: '',
    place: 'counter',
    startedOn: '',
    isPacked: false,
  };
}

function usualVegetable(kitchen: Kitchen): Kitchen['ingredients'][number] | undefined {
  return kitchen.ingredients.find((one) => one.key === 'carrot') ?? kitchen.ingredients[0];
}

/** A draft from another day or kitchen may name things that are not here. */
function fitted(draft: Draft, kitchen: Kitchen): Draft {
  const base = fresh(kitchen);
  const has = (rows: { id: string }[], id: string | null) => rows.some((row) => row.id === id);
  const parts = (list: BenchPart[] | null) => (list ?? []).filter((part) => has(kitchen.ingredients, part.foodId));

  return {
    ...draft,
    vegetableId: has(kitchen.ingredients, draft.vegetableId) ? draft.vegetableId : base.vegetableId,
    alongside: parts(draft.alongside),
    paste: parts(draft.paste),
    saltId: has(kitchen.salts, draft.saltId) ? draft.saltId : base.saltId,
    holdDownId: has(kitchen.holdDowns, draft.holdDownId) ? draft.holdDownId : null,
    jarId: draft.jarId === null || has(kitchen.jars, draft.jarId) ? draft.jarId : base.jarId,
    moreJarIds: (draft.moreJarIds ?? []).filter((id) => has(kitchen.jars, id)),
    starterId: has(kitchen.ingredients, draft.starterId) ? draft.starterId : null,
  };
}
