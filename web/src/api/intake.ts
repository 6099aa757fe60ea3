import { keys } from './keys';
import { t } from '../messages/words';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import {
  answered,
  api,
  type IntakePreview,
  type OtherFood,
  type OtherFoodFields,
  type Refusal,
  type ServeFields,
  type Serving,
  type DishFields,
  type ServingStyle,
} from './client';
import { grams, mg } from '../app/numbers';
import { defineChange, keyed } from './change';

/** Whose days, which, and what stands beside them. */
export interface IntakeAsked {
  personId: string;
  days?: number;
  beside?: string;
}

export const useIntake = (asked: IntakeAsked | null) =>
  useQuery({
    queryKey: keys.intake(asked),
    enabled: asked !== null,
    queryFn: ({ signal }) => answered(api.GET('/intake', { params: { query: asked ?? { personId: '' } }, signal })),
    placeholderData: keepPreviousData,
  });

/** What was written down lately besides the jars: what someone has most often first, and what they had the day before. */
export const useKnownFoods = (personId: string, date: string) =>
  useQuery({
    queryKey: keys.otherFoods({ personId, date }),
    queryFn: () => answered(api.GET('/other-foods', { params: { query: { personId, date } } })),
  });

type Eaten = Omit<OtherFoodFields, 'requestKey'>;

/** Writes down what is not from a jar, or puts right what was written down as such. */
export const useWriteOtherFood = defineChange(
  'write other food',
  'intake',
  (instead: string | null) => (body: Eaten, requestKey) =>
    instead === null
      ? answered(api.POST('/other-foods', { body: { ...body, requestKey } }))
      : answered(
          api.PUT('/other-foods/{otherFood}', {
            params: { path: { otherFood: instead } },
            body: { ...body, requestKey },
          }),
        ),
  {
    subject: ({ personId, eatenOn }) => `${personId} ${eatenOn ?? ''}`,
    says: (food: OtherFood) => `${food.name}, ${mg(Math.round(food.sodiumMg))},`,
    instead: (food, body, requestKey) =>
      answered(
        api.PUT('/other-foods/{otherFood}', {
          params: { path: { otherFood: food.id } },
          body: { ...body, requestKey },
        }),
      ),
  },
);

/** What someone had on another day, once more. */
export const useRepeatOtherFoods = defineChange(
  'repeat other food',
  'intake',
  () => (body: { personId: string; eatenOn: string; from: string }, requestKey) =>
    answered(api.POST('/other-foods/again', { body: { ...body, requestKey } })),
  { subject: ({ personId, eatenOn, from }) => `${personId} ${eatenOn} ${from}` },
);

export const useUndoOtherFood = defineChange(
  'undo other food',
  'intake',
  () => (otherFood: string, key) =>
    answered(api.DELETE('/other-foods/{otherFood}', { params: { path: { otherFood }, ...keyed(key) } })),
  { subject: (otherFood) => otherFood },
);

/** Puts a serving right that was written down wrongly. */
export const useChangeServing = defineChange(
  'change a serving',
  'ledger',
  (serving: string) => (body: Omit<ServeFields, 'requestKey'>, requestKey) =>
    answered(api.PUT('/servings/{serving}', { params: { path: { serving } }, body: { ...body, requestKey } })),
);

/** Several at once or a dish in shares; or a dish put right, by any share of it. */
export const useServeDish = defineChange(
  'serve together',
  'ledger',
  (instead: string | null) => (body: Omit<DishFields, 'requestKey'>, requestKey) =>
    instead === null
      ? answered(api.POST('/dishes', { body: { ...body, requestKey } }))
      : answered(
          api.PUT('/servings/{serving}/dish', {
            params: { path: { serving: instead } },
            body: { ...body, requestKey },
          }),
        ),
  {
    says: ({ servings }: { servings: Serving[] }) =>
      servings
        .map((one) => t('written.serving', { grams: grams(one.grams), jar: one.batchName, person: one.personName }))
        .join(', '),
  },
);

/** Portions of a jar that would hold another amount of sodium by what was written of it since. */
export const useOutdatedPortions = (batch: string) =>
  useQuery({
    queryKey: keys.portions(batch),
    queryFn: () => answered(api.GET('/batches/{batch}/portions', { params: { path: { batch } } })),
    retry: false,
  });

/** Brings them up to date. */
export const useUpdatePortions = defineChange(
  'update portions',
  'ledger',
  (batch: string) => (_: undefined, key) =>
    answered(api.POST('/batches/{batch}/portions/update', { params: { path: { batch }, ...keyed(key) } })),
);

/** They say again what was booked before. */
export const useUndoPortionUpdate = defineChange(
  'undo an update of portions',
  'ledger',
  (batch: string) => (_: undefined, key) =>
    answered(api.DELETE('/batches/{batch}/portions/update', { params: { path: { batch }, ...keyed(key) } })),
);

export const usePreviewIntake = () =>
  useMutation<IntakePreview, Refusal, string>({
    mutationFn: (text) => answered(api.POST('/intake/preview', { body: { text } })),
  });

export const useImportIntake = defineChange(
  'import intake',
  'ledger',
  () => (text: string, requestKey) => answered(api.POST('/intake/import', { body: { text, requestKey } })),
  { waits: 'never' },
);

/** What would make someone's serving from a jar hold less sodium. */
export const useSavings = (
  batch: string,
  personId: string,
  way: ServingStyle,
  phase?: Serving['phase'],
  grams?: number,
) =>
  useQuery({
    queryKey: keys.servingSavings(batch, personId, way, phase, grams),
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
    queryKey: keys.formulaSavings(formula, milligrams),
    queryFn: ({ signal }) =>
      answered(
        api.GET('/formulas/{formula}/savings', {
          params: { path: { formula }, query: { mg: milligrams } },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
  });
