import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import {
  answered,
  api,
  type IntakeRead,
  type LabelSodium,
  type Refusal,
  type Serving,
  type Way,
} from './client';
import { useChange } from './queries';

/** Whose days, which, and what stands beside them. */
export interface IntakeAsked {
  personId: string;
  days?: number;
  beside?: string;
}

export const useIntake = (asked: IntakeAsked | null) =>
  useQuery({
    queryKey: ['intake', asked],
    enabled: asked !== null,
    queryFn: ({ signal }) =>
      answered(api.GET('/intake', { params: { query: asked ?? { personId: '' } }, signal })),
    placeholderData: keepPreviousData,
  });

/** What was written down lately besides the jars. */
export const useKnownFoods = () =>
  useQuery({
    queryKey: ['other-foods'],
    queryFn: async () => (await answered(api.GET('/other-foods'))).foods,
  });

export const useWriteOtherFood = () =>
  useChange(
    (body: {
      personId: string;
      name: string;
      eatenOn: string;
      how: LabelSodium;
      insteadShare: number;
      requestKey: string;
    }) => answered(api.POST('/other-foods', { body })),
  );

export const useTakeOtherFoodBack = () =>
  useChange((otherFood: string) =>
    answered(api.DELETE('/other-foods/{otherFood}', { params: { path: { otherFood } } })),
  );

export const useServeTogether = () =>
  useChange(
    (body: {
      batchId: string;
      portions: { personId: string; amount?: string; share?: number }[];
      dishAmount: string | null;
      phase: Serving['phase'] | null;
      way: Way | null;
      eatenOn: string;
      requestKey: string;
    }) => answered(api.POST('/servings/together', { body })),
  );

export const usePreviewIntake = () =>
  useMutation<IntakeRead, Refusal, string>({
    mutationFn: (text) => answered(api.POST('/intake/preview', { body: { text } })),
  });

export const useBringIntake = () =>
  useChange((body: { text: string; requestKey: string }) => answered(api.POST('/intake/import', { body })));

/** What would make someone's serving from a jar hold less sodium. */
export const useSavings = (
  batch: string,
  personId: string,
  way: Way,
  phase?: Serving['phase'],
  grams?: number,
) =>
  useQuery({
    queryKey: ['batches', batch, 'savings', personId, way, phase, grams],
    queryFn: ({ signal }) =>
      answered(
        api.GET('/batches/{batch}/savings', {
          params: {
            path: { batch },
            query: { personId, way, ...(phase ? { phase } : {}), ...(grams ? { grams } : {}) },
          },
          signal,
        }),
      ),
    retry: false,
  });

/** The same for a formula's serving, that is to hold at most so much. */
export const useFormulaSavings = (formula: string, milligrams: number) =>
  useQuery({
    queryKey: ['formulas', formula, 'savings', milligrams],
    queryFn: ({ signal }) =>
      answered(
        api.GET('/formulas/{formula}/savings', {
          params: { path: { formula }, query: { mg: milligrams } },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
  });
