import { useCallback, useState } from 'react';
import type { BenchFields, Kitchen } from '../../api/client';

export type Draft = Required<BenchFields>;

const KEPT_AS = 'tempesal.bench';

/** What stands on the bench, kept on this device with every key stroke so that a reload loses nothing. */
export function useDraft(kitchen: Kitchen): [Draft, (change: Partial<Draft>) => void] {
  const [draft, setDraft] = useState<Draft>(() => fitted({ ...fresh(kitchen), ...kept() }, kitchen));
  const change = useCallback(
    (part: Partial<Draft>) =>
      setDraft((old) => {
        const next = { ...old, ...part };
        localStorage.setItem(KEPT_AS, JSON.stringify(next));
        return next;
      }),
    [],
  );

  return [draft, change];
}

/** Clears the bench for the next jar. */
export const forgetDraft = (): void => localStorage.removeItem(KEPT_AS);

function kept(): Partial<Draft> {
  try {
    return JSON.parse(localStorage.getItem(KEPT_AS) ?? '{}') as Partial<Draft>;
  } catch {
    return {};
  }
}

/** A fresh bench: carrots in the smallest free jar, at the method's usual strength. */
function fresh(kitchen: Kitchen): Draft {
  const method = kitchen.methods.find((one) => one.id === 'poured_brine') ?? kitchen.methods[0];
  const vegetable = kitchen.ingredients.find((one) => one.key === 'carrot') ?? kitchen.ingredients[0];
  const jar = kitchen.jars.find((one) => one.howMany > one.inUse && one.nominalMl > 600) ?? kitchen.jars[0];
  const salt = kitchen.salts.find((one) => one.key === 'fine-sea') ?? kitchen.salts[0];

  return {
    method: method?.id ?? 'poured_brine',
    vegetableId: vegetable?.id ?? '',
    vegetableAmount: '',
    shape: vegetable?.shape ?? null,
    jarId: jar?.id ?? null,
    headspaceMm: method?.headspaceMm ?? null,
    weightMl: 0,
    saltId: salt?.id ?? '',
    saltUnit: 'grams',
    fixed: 'strength',
    strengthPercent: String(method?.percent ?? 3),
    strengthBasis: method?.basis ?? 'of_water',
    saltAmount: '',
    waterAmount: '',
    starterId: null,
    starterBatchId: null,
    starterAmount: '',
    servingAmount: '40 g',
  };
}

/** A draft from another day or kitchen may name things that are not here. */
function fitted(draft: Draft, kitchen: Kitchen): Draft {
  const base = fresh(kitchen);
  const has = (rows: { id: string }[], id: string | null) => rows.some((row) => row.id === id);

  return {
    ...draft,
    vegetableId: has(kitchen.ingredients, draft.vegetableId) ? draft.vegetableId : base.vegetableId,
    saltId: has(kitchen.salts, draft.saltId) ? draft.saltId : base.saltId,
    jarId: draft.jarId === null || has(kitchen.jars, draft.jarId) ? draft.jarId : base.jarId,
    starterId: has(kitchen.ingredients, draft.starterId) ? draft.starterId : null,
  };
}
