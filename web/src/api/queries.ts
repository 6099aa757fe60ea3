import {
  keepPreviousData,
  queryOptions,
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import { useCallback } from 'react';
import { ulid } from 'ulid';
import {
  answered,
  api,
  NO_ANSWER,
  Refusal,
  type BenchAnswer,
  type BenchFields,
  type BoughtFields,
  type Effect,
  type Entry,
  type Formula,
  type FormulaDocument,
  type FormulaWorked,
  type ImportCandidate,
  type Kitchen,
  type NewKitchen,
  type ServeFields,
} from './client';

export const useSession = () =>
  useQuery({ queryKey: ['session'], queryFn: () => answered(api.GET('/session')), staleTime: Infinity });

export const usePresets = () =>
  useQuery({ queryKey: ['presets'], queryFn: () => answered(api.GET('/presets')), staleTime: Infinity });

export const useKitchen = () =>
  useQuery({ queryKey: ['kitchen'], queryFn: () => answered(api.GET('/kitchen')) });

export const useShelf = () =>
  useQuery({ queryKey: ['batches'], queryFn: () => answered(api.GET('/batches')) });

export const useBatch = (id: string) =>
  useQuery({
    queryKey: ['batches', id],
    queryFn: () => answered(api.GET('/batches/{batch}', { params: { path: { batch: id } } })),
    retry: false,
  });

export const useDay = (date: string) =>
  useQuery({
    queryKey: ['days', date],
    queryFn: () => answered(api.GET('/days/{date}', { params: { path: { date } } })),
    placeholderData: keepPreviousData,
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
    queryKey: ['bench', fields],
    queryFn: async ({ signal }): Promise<{ answer: BenchAnswer | null; refusal: Refusal | null }> => {
      try {
        const answer = await answered(api.POST('/bench', { body: fields, signal }));
        queries.setQueryData(lastGoodAnswer, answer);
        return { answer, refusal: null };
      } catch (refusal) {
        if (refusal instanceof Refusal && refusal.status !== 401) {
          return { answer: queries.getQueryData<BenchAnswer>(lastGoodAnswer) ?? null, refusal };
        }
        throw refusal;
      }
    },
    staleTime: 0,
    gcTime: 10_000,
  });
}

const lastGoodAnswer = ['bench', 'last good answer'];

/** A change of what the server holds; everything on the screen is asked for anew after it. */
export function useChange<Input, Output>(change: (input: Input) => Promise<Output>, asksAnew = true) {
  const queries = useQueryClient();
  return useMutation<Output, Refusal, Input>({
    mutationFn: change,
    onSuccess: () => (asksAnew ? queries.invalidateQueries() : undefined),
  });
}

/** A key that makes a second press of the same button do nothing. */
export const requestKey = ulid;

export const useStartBatch = () =>
  useChange(
    (
      body: BenchFields & {
        name: string;
        place: 'counter' | 'cool' | 'fridge';
        startedOn: string | null;
        isPacked: boolean;
        requestKey: string;
      },
    ) => answered(api.POST('/batches', { body })),
  );

/** Puts a jar from a shop on the shelf. */
export const useShelveBought = () =>
  useChange((body: BoughtFields) => answered(api.POST('/batches/bought', { body })));

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
export const useCourse = (batch: string) =>
  useQuery({
    queryKey: ['batches', batch, 'course'],
    queryFn: () => answered(api.GET('/batches/{batch}/course', { params: { path: { batch } } })),
  });

/** Which jar fed which. */
export const useLineage = () =>
  useQuery({ queryKey: ['lineage'], queryFn: () => answered(api.GET('/lineage')) });

/** What the labels say: of the batches asked for, or of all on the shelf. */
export const useLabels = (batches: string) =>
  useQuery({
    queryKey: ['labels', batches],
    queryFn: async () =>
      (await answered(api.GET('/labels', { params: { query: batches === '' ? {} : { batches } } }))).labels,
  });

/** Takes a batch off the shelf, or puts it back. */
export const useEmptyJar = () =>
  useChange(({ batch, isEmptied }: { batch: string; isEmptied: boolean }) =>
    answered(api.PUT('/batches/{batch}/emptied', { params: { path: { batch } }, body: { isEmptied } })),
  );

export const useWriteEntry = (batch: string) =>
  useChange((body: { entry: Entry; requestKey: string }) =>
    answered(api.POST('/batches/{batch}/entries', { params: { path: { batch } }, body })),
  );

export const useTakeBack = (batch: string) =>
  useChange((entry: string) =>
    answered(api.POST('/batches/{batch}/entries/{entry}/reversal', { params: { path: { batch, entry } } })),
  );

export const useServe = () => useChange((body: ServeFields) => answered(api.POST('/servings', { body })));

export const useUndoServing = () =>
  useChange((serving: string) =>
    answered(api.DELETE('/servings/{serving}', { params: { path: { serving } } })),
  );

/** Takes over a whole kitchen from its file. */
export const useBringKitchen = () =>
  useChange((file: File) => {
    const form = new FormData();
    form.append('file', file);
    return answered(api.POST('/kitchen/file', { body: { file: '' }, bodySerializer: () => form }));
  });

/** Anything that changes the kitchen; the answer is the kitchen as it then is. */
export function useChangeKitchen<Input>(change: (input: Input) => Promise<Kitchen>) {
  return useChange(change);
}

/** Days, jars and formulas that may be meant. */
export const useFind = (query: string) =>
  useQuery({
    queryKey: ['find', query],
    enabled: query.trim() !== '',
    queryFn: async ({ signal }) =>
      (await answered(api.GET('/find', { params: { query: { q: query } }, signal }))).hits,
    placeholderData: keepPreviousData,
  });

/** Ids of the foods that a search means, best first; null while nothing is asked. */
export const useFoodSearch = (query: string) =>
  useQuery({
    queryKey: ['foods', query],
    enabled: query.trim() !== '',
    queryFn: async ({ signal }) =>
      (await answered(api.GET('/foods', { params: { query: { q: query } }, signal }))).ids,
    placeholderData: keepPreviousData,
  });

export const useFormulas = () =>
  useQuery({
    queryKey: ['formulas'],
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
    queryKey: ['formulas', id, scale],
    queryFn: ({ signal }) =>
      answered(api.GET('/formulas/{formula}', { params: { path: { formula: id }, query: scale }, signal })),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** What the core makes of a formula that is being written. Where it is refused, the last good answer stays. */
export function useComputedFormula(document: FormulaDocument) {
  const queries = useQueryClient();
  const lastGood = ['formula', 'last good'];
  return useQuery({
    queryKey: ['formula', 'computed', document],
    queryFn: async ({ signal }): Promise<{ worked: FormulaWorked | null; refusal: Refusal | null }> => {
      try {
        const worked = await answered(api.POST('/formulas/compute', { body: { document }, signal }));
        queries.setQueryData(lastGood, worked);
        return { worked, refusal: null };
      } catch (refusal) {
        if (refusal instanceof Refusal && refusal.status !== 401) {
          return { worked: queries.getQueryData<FormulaWorked>(lastGood) ?? null, refusal };
        }
        throw refusal;
      }
    },
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  });
}

export const useWriteFormula = () =>
  useChange((body: { document: FormulaDocument; requestKey: string }) =>
    answered(api.POST('/formulas', { body })),
  );

export const useChangeFormula = (id: string) =>
  useChange((body: { document: FormulaDocument; basedOn: number; requestKey: string }) =>
    answered(api.PUT('/formulas/{formula}', { params: { path: { formula: id } }, body })),
  );

export const useArchiveFormula = (id: string) =>
  useChange((archived: boolean) =>
    answered(
      api.PUT('/formulas/{formula}/archive', { params: { path: { formula: id } }, body: { archived } }),
    ),
  );

export const useStartFromFormula = (id: string) =>
  useChange(
    (
      body: FormulaScale & {
        intoJarId: string | null;
        name: string;
        place: 'counter' | 'cool' | 'fridge';
        startedOn: string | null;
        plannedBatchId: string | null;
        requestKey: string;
      },
    ) => answered(api.POST('/formulas/{formula}/batches', { params: { path: { formula: id } }, body })),
  );

export const usePreviewImport = () =>
  useMutation<ImportCandidate[], Refusal, string>({
    mutationFn: async (text) =>
      (await answered(api.POST('/formulas/preview', { body: { text } }))).candidates,
  });

export const useImportFormulas = () =>
  useChange((body: { documents: FormulaDocument[]; requestKey: string }) =>
    answered(api.POST('/formulas/import', { body })),
  );

export const useSignIn = () =>
  useChange((body: { email: string; password: string }) => answered(api.POST('/session', { body })));

export const useEnterDemo = () => useChange<undefined, unknown>(() => answered(api.POST('/session/demo')));

export const useSignOut = () => useChange<undefined, unknown>(() => answered(api.DELETE('/session')));

export const useOpenKitchen = () =>
  useChange((body: NewKitchen) => answered(api.POST('/kitchens', { body })));
