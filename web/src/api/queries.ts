import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ulid } from 'ulid';
import {
  answered,
  api,
  Refusal,
  type BenchAnswer,
  type BenchFields,
  type NewKitchen,
  type Serving,
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
export function useBench(fields: BenchFields | null) {
  const queries = useQueryClient();
  return useQuery({
    queryKey: ['bench', fields],
    enabled: fields !== null,
    queryFn: async ({ signal }) => {
      try {
        const answer = await answered(api.POST('/bench', { body: fields as BenchFields, signal }));
        queries.setQueryData(lastGoodAnswer, answer);
        return { answer, refusal: null };
      } catch (refusal) {
        if (refusal instanceof Refusal && refusal.status !== 401) {
          return { answer: queries.getQueryData<BenchAnswer>(lastGoodAnswer) ?? null, refusal };
        }
        throw refusal;
      }
    },
    placeholderData: keepPreviousData,
    staleTime: 0,
    gcTime: 10_000,
  });
}

const lastGoodAnswer = ['bench', 'last good answer'];

function useChange<Input, Output>(change: (input: Input) => Promise<Output>) {
  const queries = useQueryClient();
  return useMutation<Output, Refusal, Input>({
    mutationFn: change,
    onSuccess: () => queries.invalidateQueries(),
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
        requestKey: string;
      },
    ) => answered(api.POST('/batches', { body })),
  );

export const useServe = () =>
  useChange(
    (body: {
      batchId: string;
      personId: string;
      amount: string;
      phase?: Serving['phase'] | null;
      eatenOn?: string | null;
      requestKey: string;
    }) => answered(api.POST('/servings', { body })),
  );

export const useUndoServing = () =>
  useChange((serving: string) =>
    answered(api.DELETE('/servings/{serving}', { params: { path: { serving } } })),
  );

export const useSignIn = () =>
  useChange((body: { email: string; password: string }) => answered(api.POST('/session', { body })));

export const useEnterDemo = () => useChange<undefined, unknown>(() => answered(api.POST('/session/demo')));

export const useSignOut = () => useChange<undefined, unknown>(() => answered(api.DELETE('/session')));

export const useOpenKitchen = () =>
  useChange((body: NewKitchen) => answered(api.POST('/kitchens', { body })));
