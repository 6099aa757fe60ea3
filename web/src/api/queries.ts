import { isLarge, sendInParts } from './largeFile';
import { keys } from './keys';
import { t } from '../messages/words';
import {
  keepPreviousData,
  queryOptions,
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { grams } from '../app/numbers';
import { defineChange, keyed } from './change';
import {
  answered,
  api,
  NO_ANSWER,
  Refusal,
  type Begin,
  type BenchAnswer,
  type BenchFields,
  type BoughtFields,
  type Effect,
  type Entry,
  type Formula,
  type FormulaDocument,
  type ComputedFormula,
  type ImportCandidate,
  type NewKitchen,
  type Place,
  type ServeFields,
  type Serving,
} from './client';
import { NEWS_EVERY_MS } from './news';
import { measureBy } from '../messages/readerUnits';
import { clockOf } from '../messages/zone';

export const useSession = () =>
  useQuery({
    queryKey: keys.session(),
    queryFn: async () => {
      const session = await answered(api.GET('/session'));
      if (session.household) {
        measureBy(session.household);
        clockOf(session.household.timeZone);
      }

      return session;
    },
    staleTime: Infinity,
  });

export const usePresets = () =>
  useQuery({ queryKey: keys.presets(), queryFn: () => answered(api.GET('/presets')), staleTime: Infinity });

/** What the household owns and who eats there; most screens need no more of the kitchen. */
export const useHouse = () =>
  useQuery({
    queryKey: keys.house(),
    queryFn: async () => {
      const house = await answered(api.GET('/kitchen'));
      measureBy(house);

      return house;
    },
  });

/** The kitchen with every food that it knows. */
export function useKitchen() {
  const house = useHouse();
  const pantry = useQuery({ queryKey: keys.pantry(), queryFn: () => answered(api.GET('/pantry')) });
  const data = useMemo(
    () => (house.data && pantry.data ? { ...house.data, ...pantry.data } : undefined),
    [house.data, pantry.data],
  );

  return {
    data,
    error: house.error ?? pantry.error,
    refetch: () => Promise.all([house.refetch(), pantry.refetch()]),
  };
}

/** The kitchen's places, as the server names them. */
export const usePlaces = () => useHouse().data?.places ?? [];

export const useShelf = () => useQuery({ queryKey: keys.shelf(), queryFn: () => answered(api.GET('/batches')) });

export const useBatch = (id: string) =>
  useQuery({
    queryKey: keys.batch(id),
    queryFn: () => answered(api.GET('/batches/{batch}', { params: { path: { batch: id } } })),
    retry: false,
  });

export const useDay = (date: string) =>
  useQuery({
    queryKey: keys.day(date),
    queryFn: () => answered(api.GET('/days/{date}', { params: { path: { date } } })),
    placeholderData: keepPreviousData,
    refetchInterval: NEWS_EVERY_MS,
  });

/** The bench's answer to what stands on it now. Where it is refused, the last good answer stands beside the reasons. */
export function useBench(fields: BenchFields) {
  return useQuery({
    ...benchAnswer(fields, useQueryClient()),
    placeholderData: keepPreviousData,
    // While nobody answers, it asks again by itself.
    refetchInterval: ({ state }) => (state.data?.refusal?.status === NO_ANSWER ? 2_000 : false),
  });
}

/** Asks ahead: the core is at work while the screen is still drawing what was typed. */
export function useAskBench(): (fields: BenchFields) => void {
  const queries = useQueryClient();
  return useCallback((fields) => void queries.prefetchQuery(benchAnswer(fields, queries)), [queries]);
}

function benchAnswer(fields: BenchFields, queries: QueryClient) {
  return queryOptions({
    queryKey: keys.bench(fields),
    queryFn: async ({ signal }): Promise<{ answer: BenchAnswer | null; refusal: Refusal | null }> => {
      try {
        const answer = await answered(api.POST('/bench', { body: fields, signal }));
        queries.setQueryData(keys.lastBench(), answer);
        return { answer, refusal: null };
      } catch (refusal) {
        if (refusal instanceof Refusal && refusal.status !== 401) {
          return { answer: queries.getQueryData<BenchAnswer>(keys.lastBench()) ?? null, refusal };
        }
        throw refusal;
      }
    },
    staleTime: 0,
    gcTime: 10_000,
  });
}

type NewJar = BenchFields & {
  name: string;
  place: Place;
  startedOn: string | null;
  begin: Begin;
  isSaltedTwice: boolean;
  ph: number | null;
};

export const useStartBatch = defineChange(
  'start a batch',
  'ledger',
  () => (body: NewJar, requestKey) => answered(api.POST('/batches', { body: { ...body, requestKey } })),
);

/** Puts a jar from a shop on the shelf. */
export const useAddBoughtJar = defineChange(
  'shelve a bought jar',
  'ledger',
  () => (body: Omit<BoughtFields, 'requestKey'>, requestKey) =>
    answered(api.POST('/batches/bought', { body: { ...body, requestKey } })),
);

/** What an entry would do to a batch; nothing is written. */
export const useEntryPreview = (batch: string, entry: Entry | null) =>
  useEffectOf(['batches', batch, 'preview', entry], entry !== null, (signal) =>
    api.POST('/batches/{batch}/preview', {
      params: { path: { batch } },
      body: { entry: entry as Entry },
      signal,
    }),
  );

/** What taking an entry back would do; nothing is written. */
export const useReversalPreview = (batch: string, entry: string | null) =>
  useEffectOf(['batches', batch, 'reversal', entry], entry !== null, (signal) =>
    api.POST('/batches/{batch}/entries/{entry}/reversal/preview', {
      params: { path: { batch, entry: entry ?? '' } },
      signal,
    }),
  );

/** A batch before and after a change, or the reasons against it. */
function useEffectOf(
  queryKey: unknown[],
  enabled: boolean,
  ask: (signal: AbortSignal) => Promise<{ data?: Effect; error?: unknown; response: Response }>,
) {
  return useQuery({
    queryKey,
    enabled,
    queryFn: async ({ signal }): Promise<{ effect: Effect | null; refusal: Refusal | null }> => {
      try {
        return { effect: await answered(ask(signal)), refusal: null };
      } catch (refusal) {
        if (refusal instanceof Refusal && refusal.status !== 401) {
          return { effect: null, refusal };
        }
        throw refusal;
      }
    },
    placeholderData: (last) => (enabled ? last : undefined),
    gcTime: 10_000,
  });
}

/** The sodium of pieces and brine over a batch's life. */
export const useSodiumCourse = (batch: string) =>
  useQuery({
    queryKey: keys.course(batch),
    queryFn: () => answered(api.GET('/batches/{batch}/course', { params: { path: { batch } } })),
  });

/** All that was done to a jar and eaten of it; its page begins with the last of it. */
export const useBatchHistory = (batch: string, isAsked: boolean) =>
  useQuery({
    queryKey: keys.history(batch),
    queryFn: () => answered(api.GET('/batches/{batch}/history', { params: { path: { batch } } })),
    enabled: isAsked,
  });

/** Which jar fed which. */
export const useLineage = () => useQuery({ queryKey: keys.lineage(), queryFn: () => answered(api.GET('/lineage')) });

/** What the labels say: of the batches asked for, or of all on the shelf. */
export const useLabels = (batches: string) =>
  useQuery({
    queryKey: keys.labels(batches),
    queryFn: async () =>
      (await answered(api.GET('/labels', { params: { query: batches === '' ? {} : { batches } } }))).labels,
  });

/** Takes a batch off the shelf, or puts it back. */
export const useEmptyJar = defineChange(
  'empty a jar',
  'ledger',
  () =>
    ({ batch, isEmptied }: { batch: string; isEmptied: boolean }, key) =>
      answered(
        api.PUT('/batches/{batch}/emptied', {
          params: { path: { batch }, ...keyed(key) },
          body: { isEmptied },
        }),
      ),
  { waits: 'tap', subject: ({ batch, isEmptied }) => `${batch} ${String(isEmptied)}` },
);

export const useRecordEntry = defineChange(
  'write an entry',
  'ledger',
  (batch: string) => (entry: Entry, requestKey) =>
    answered(api.POST('/batches/{batch}/entries', { params: { path: { batch } }, body: { entry, requestKey } })),
);

export const useReverseEntry = defineChange(
  'reverse an entry',
  'ledger',
  (batch: string) => (entry: string, key) =>
    answered(
      api.POST('/batches/{batch}/entries/{entry}/reversal', {
        params: { path: { batch, entry }, ...keyed(key) },
      }),
    ),
  { waits: 'tap', subject: (entry) => entry },
);

type Portion = Omit<ServeFields, 'requestKey'>;

/** A portion for somebody; where the same press was answered with another portion, that one is changed. */
export const useServe = defineChange(
  'serve',
  'ledger',
  () => (body: Portion, requestKey) => answered(api.POST('/servings', { body: { ...body, requestKey } })),
  {
    subject: ({ batchId, personId, plannedId }) => plannedId ?? `${batchId} ${personId}`,
    says: (serving: Serving) =>
      t('written.serving', {
        grams: grams(serving.grams),
        jar: serving.batchName,
        person: serving.personName,
      }),
    instead: (serving, body, requestKey) =>
      answered(
        api.PUT('/servings/{serving}', {
          params: { path: { serving: serving.id } },
          body: { ...body, requestKey },
        }),
      ),
    waits: 'tap',
  },
);

export const useUndoServing = defineChange(
  'undo a serving',
  'ledger',
  () => (serving: string, key) =>
    answered(api.DELETE('/servings/{serving}', { params: { path: { serving }, ...keyed(key) } })),
  { waits: 'tap', subject: (serving) => serving },
);

/** Takes over a whole kitchen from its file. */
export const useImportKitchen = defineChange(
  'import a kitchen',
  'everything',
  () => async (file: File, key) => {
    const form = new FormData();
    if (isLarge(file)) {
      const { upload, parts } = await sendInParts(file);
      form.append('upload', upload);
      form.append('parts', String(parts));
    } else {
      form.append('file', file);
    }
    return answered(api.POST('/kitchen/file', { params: keyed(key), body: { file: '' }, bodySerializer: () => form }));
  },
  { waits: 'never' },
);

/** Days, jars and formulas that may be meant. */
export const useSearch = (query: string) =>
  useQuery({
    queryKey: keys.find(query),
    enabled: query.trim() !== '',
    queryFn: async ({ signal }) => (await answered(api.GET('/find', { params: { query: { q: query } }, signal }))).hits,
    placeholderData: keepPreviousData,
  });

/** Ids of the foods that a search means, best first; null while nothing is asked. */
export const useFoodSearch = (query: string) =>
  useQuery({
    queryKey: keys.foods(query),
    enabled: query.trim() !== '',
    queryFn: async ({ signal }) => (await answered(api.GET('/foods', { params: { query: { q: query } }, signal }))).ids,
    placeholderData: keepPreviousData,
  });

export const useFormulas = () =>
  useQuery({
    queryKey: keys.formulas(),
    queryFn: async () => (await answered(api.GET('/formulas'))).formulas,
  });

/** How a formula is to be fitted to what the cook has. */
export interface FormulaScale {
  by: 'as_written' | 'jar' | 'vegetable' | 'servings' | 'sodium';
  jarId?: string;
  amount?: string;
  servings?: number;
  sodiumMg?: number;
  version?: number;
}

export const useFormula = (id: string, scale: FormulaScale) =>
  useQuery<Formula, Refusal>({
    queryKey: keys.formula(id, scale),
    queryFn: ({ signal }) =>
      answered(api.GET('/formulas/{formula}', { params: { path: { formula: id }, query: scale }, signal })),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** What the core makes of a formula that is being written. Where it is refused, the last good answer stays. */
export function useComputedFormula(document: FormulaDocument) {
  const queries = useQueryClient();
  return useQuery({
    queryKey: keys.draftFormula(document),
    queryFn: async ({ signal }): Promise<{ worked: ComputedFormula | null; refusal: Refusal | null }> => {
      try {
        const worked = await answered(api.POST('/formulas/compute', { body: { document }, signal }));
        queries.setQueryData(keys.lastDraftFormula(), worked);
        return { worked, refusal: null };
      } catch (refusal) {
        if (refusal instanceof Refusal && refusal.status !== 401) {
          return { worked: queries.getQueryData<ComputedFormula>(keys.lastDraftFormula()) ?? null, refusal };
        }
        throw refusal;
      }
    },
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  });
}

export const useCreateFormula = defineChange(
  'write a formula',
  'formulas',
  () => (document: FormulaDocument, requestKey) => answered(api.POST('/formulas', { body: { document, requestKey } })),
  { subject: (document) => nameOf(document) },
);

export const useChangeFormula = defineChange(
  'change a formula',
  'formulas',
  (formula: string) => (body: { document: FormulaDocument; basedOn: number }, requestKey) =>
    answered(api.PUT('/formulas/{formula}', { params: { path: { formula } }, body: { ...body, requestKey } })),
);

export const useArchiveFormula = defineChange(
  'archive a formula',
  'formulas',
  (formula: string) => (archived: boolean, key) =>
    answered(
      api.PUT('/formulas/{formula}/archive', {
        params: { path: { formula }, ...keyed(key) },
        body: { archived },
      }),
    ),
  { subject: String },
);

type JarFromFormula = FormulaScale & {
  intoJarId: string | null;
  name: string;
  place: Place;
  startedOn: string | null;
  plannedBatchId: string | null;
  hasOneMore: boolean;
  begin: Begin;
};

export const useStartFromFormula = defineChange(
  'start from a formula',
  'ledger',
  (formula: string) => (body: JarFromFormula, requestKey) =>
    answered(
      api.POST('/formulas/{formula}/batches', {
        params: { path: { formula } },
        body: { ...body, requestKey },
      }),
    ),
);

export const usePreviewImport = () =>
  useMutation<ImportCandidate[], Refusal, string>({
    mutationFn: async (text) => (await answered(api.POST('/formulas/preview', { body: { text } }))).candidates,
  });

export const useImportFormulas = defineChange(
  'import formulas',
  'formulas',
  () => (documents: FormulaDocument[], requestKey) =>
    answered(api.POST('/formulas/import', { body: { documents, requestKey } })),
  { waits: 'never' },
);

// Signing in and out and opening a kitchen are answered by who is signed in then: twice is once without a key.
export const useSignIn = defineChange(
  'sign in',
  'everything',
  () => (body: { email: string; password: string }) => answered(api.POST('/session', { body })),
  { waits: 'never' },
);

export const useEnterDemo = defineChange(
  'enter the demo',
  'everything',
  () => () => answered(api.POST('/session/demo')),
  { waits: 'never' },
);

export const useSignOut = defineChange('sign out', 'everything', () => () => answered(api.DELETE('/session')), {
  waits: 'never',
});

export const useCreateHousehold = defineChange(
  'open a kitchen',
  'everything',
  () => (body: NewKitchen) => answered(api.POST('/kitchens', { body })),
  { waits: 'never' },
);

const nameOf = (document: FormulaDocument): string => (typeof document.name === 'string' ? document.name : '');
