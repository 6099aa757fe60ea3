import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  answered,
  api,
  type MeantServing,
  type Refusal,
  type Rotation,
  type Shopping,
  type Week,
} from './client';
import { requestKey, useChange } from './queries';

/** A week by any of its days, or "today". */
export const useWeek = (date: string) =>
  useQuery({
    queryKey: ['weeks', date],
    queryFn: () => answered(api.GET('/weeks/{date}', { params: { path: { date } } })),
    placeholderData: keepPreviousData,
  });

/** A step in a week's plan. */
export type WeekStep =
  | { step: 'change'; put: MeantServing[]; remove: string[]; what: string }
  | { step: 'fill'; rest: boolean }
  | { step: 'clear' | 'copy' | 'undo' | 'redo' };

/** Makes a step; the answer is the week as it then is, and stands on the screen at once. */
export function useWeekStep(date: string) {
  const queries = useQueryClient();
  return useMutation<Week, Refusal, WeekStep>({
    mutationFn: (made) => {
      const params = { path: { date } };
      const key = { requestKey: requestKey() };
      switch (made.step) {
        case 'change':
          return answered(
            api.POST('/weeks/{date}/changes', {
              params,
              body: { put: made.put, remove: made.remove, what: made.what, ...key },
            }),
          );
        case 'fill':
          return answered(api.POST('/weeks/{date}/fill', { params, body: { rest: made.rest, ...key } }));
        case 'clear':
          return answered(api.POST('/weeks/{date}/clear', { params, body: key }));
        case 'copy':
          return answered(api.POST('/weeks/{date}/copy', { params, body: key }));
        case 'undo':
          return answered(api.POST('/weeks/{date}/undo', { params }));
        case 'redo':
          return answered(api.POST('/weeks/{date}/redo', { params }));
      }
    },
    onSuccess: (week) => {
      queries.setQueryData(['weeks', date], week);
      void queries.invalidateQueries({ queryKey: ['days'] });
      void queries.invalidateQueries({ queryKey: ['timeline'] });
    },
  });
}

/** What comes round in this kitchen. */
export const useRotation = () =>
  useQuery({ queryKey: ['rotation'], queryFn: () => answered(api.GET('/rotation')) });

export type RotationFields = Pick<Rotation, 'lines' | 'perDay' | 'hasNew' | 'weights'>;

export const useKeepRotation = () =>
  useChange((body: RotationFields) => answered(api.PUT('/rotation', { body })));

/** How the weeks ahead would be with one more jar, or in a warmer kitchen. */
export interface WhatIf {
  jarId?: string;
  warmer?: number;
}

export const useTimeline = (whatIf: WhatIf) =>
  useQuery({
    queryKey: ['timeline', whatIf],
    queryFn: ({ signal }) => answered(api.GET('/timeline', { params: { query: whatIf }, signal })),
    placeholderData: keepPreviousData,
  });

/** What must be bought for what is to be started within a week. */
export const useShopping = () =>
  useQuery({
    queryKey: ['timeline', 'shopping'],
    queryFn: async () => (await answered(api.GET('/timeline/shopping'))) as Shopping,
  });

export const usePlanBatch = () =>
  useChange(
    (body: {
      formulaId: string;
      lineId: string | null;
      jarId: string;
      startOn: string;
      share: number;
      requestKey: string;
    }) => answered(api.POST('/timeline/batches', { body })),
  );

export const useLetBatchBe = () =>
  useChange((plannedBatch: string) =>
    answered(api.DELETE('/timeline/batches/{plannedBatch}', { params: { path: { plannedBatch } } })),
  );
