import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import {
  answered,
  api,
  type IntakeRead,
  type OtherFood,
  type OtherFoodFields,
  type Refusal,
  type ServeFields,
  type Serving,
  type TogetherFields,
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

/** Writes down what is not from a jar, or puts right what was written down as such. */
export const useWriteOtherFood = (instead?: OtherFood) =>
  useChange((body: OtherFoodFields) =>
    answered(
      instead
        ? api.PUT('/other-foods/{otherFood}', { params: { path: { otherFood: instead.id } }, body })
        : api.POST('/other-foods', { body }),
    ),
  );

export const useTakeOtherFoodBack = () =>
  useChange((otherFood: string) =>
    answered(api.DELETE('/other-foods/{otherFood}', { params: { path: { otherFood } } })),
  );

/** Puts a serving right that was written down wrongly. */
export const useChangeServing = (serving: string) =>
  useChange((body: ServeFields) =>
    answered(api.PUT('/servings/{serving}', { params: { path: { serving } }, body })),
  );

/** Several at once or a dish in shares; or a dish put right, by any share of it. */
export const useServeTogether = (instead?: Serving) =>
  useChange((body: TogetherFields) =>
    answered(
      instead
        ? api.PUT('/servings/{serving}/dish', { params: { path: { serving: instead.id } }, body })
        : api.POST('/servings/together', { body }),
    ),
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
