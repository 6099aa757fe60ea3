import { keys } from './keys';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answered, api, type PlannedServing, type Rotation, type Shopping, type Week } from './client';
import { defineChange, keyed } from './change';
import { newId } from './intentions';
import { told } from './told';

/** A week by any of its days, or "today". */
export const useWeek = (date: string) =>
  useQuery({
    queryKey: keys.week(date),
    queryFn: () => answered(api.GET('/weeks/{date}', { params: { path: { date } } })),
    placeholderData: keepPreviousData,
  });

/** A step in a week's plan. */
export type WeekStep =
  | { step: 'change'; put: PlannedServing[]; remove: string[] }
  | { step: 'fill'; rest: boolean; weeks: number; planning: string | null }
  | { step: 'clear' | 'copy' | 'undo' | 'redo' };

const planningNow = told<string | null>(null);

/** The planning that goes on, by its id; null while nothing is planned. */
export const usePlanning = planningNow.use;

/** How far a planning has come, asked for again and again. */
export const usePlanningTold = (id: string | null) =>
  useQuery({
    queryKey: keys.planning(id ?? ''),
    queryFn: () => answered(api.GET('/plans/{planning}', { params: { path: { planning: id ?? '' } } })),
    enabled: id !== null,
    refetchInterval: 400,
    gcTime: 0,
  });

/** What was found by now is the plan. */
export const stopPlanning = (id: string): Promise<unknown> =>
  answered(api.POST('/plans/{planning}/stop', { params: { path: { planning: id } } }));

/**
 * Plans a week, or some in a row, beside everything else; filling it puts in place what was found.
 *
 * @returns the planning's id; null where it came to nothing: filling then plans by itself, and says what is wrong
 */
export async function planAhead(date: string, rest: boolean, weeks: number): Promise<string | null> {
  const id = newId();
  planningNow.set(id);
  try {
    await answered(
      api.POST('/weeks/{date}/plans/{planning}', { params: { path: { date, planning: id } }, body: { rest, weeks } }),
    );
    return id;
  } catch {
    return null;
  } finally {
    planningNow.set(null);
  }
}

/** Sends a step under its key; the answer is the week as it then is. */
function sendStep(date: string, made: WeekStep, requestKey: string): Promise<Week> {
  const params = { path: { date } };
  switch (made.step) {
    case 'change':
      return answered(
        api.POST('/weeks/{date}/changes', {
          params,
          body: { put: made.put, remove: made.remove, requestKey },
        }),
      );
    case 'fill':
      return answered(
        api.POST('/weeks/{date}/fill', {
          params,
          body: { rest: made.rest, weeks: made.weeks, planning: made.planning, requestKey },
        }),
      );
    case 'clear':
      return answered(api.POST('/weeks/{date}/clear', { params, body: { requestKey } }));
    case 'copy':
      return answered(api.POST('/weeks/{date}/copy', { params, body: { requestKey } }));
    case 'undo':
      return answered(api.POST('/weeks/{date}/undo', { params: { ...params, ...keyed(requestKey) } }));
    case 'redo':
      return answered(api.POST('/weeks/{date}/redo', { params: { ...params, ...keyed(requestKey) } }));
  }
}

/** Makes a step in a week's plan; the week stands on the screen at once. */
export const useWeekStep = defineChange(
  'plan a week',
  'plan',
  (date: string) => (made: WeekStep, key) => sendStep(date, made, key),
  {
    // By what it was planned does not matter to what is meant.
    subject: (made) => JSON.stringify({ ...made, planning: undefined }),
    refetches: false,
    settles: (queries, week: Week, date) => {
      queries.setQueryData(keys.week(date), week);
      void queries.invalidateQueries({
        queryKey: keys.weeks(),
        predicate: (query) => query.queryHash !== JSON.stringify(keys.week(date)),
      });
      void queries.invalidateQueries({ queryKey: keys.days() });
      void queries.invalidateQueries({ queryKey: keys.timeline() });
    },
  },
);

/** What comes round in this kitchen. */
export const useRotation = () => useQuery({ queryKey: keys.rotation(), queryFn: () => answered(api.GET('/rotation')) });

export type RotationFields = Pick<Rotation, 'lines' | 'perDay' | 'hasNew' | 'weights'>;

export const useSaveRotation = defineChange(
  'keep the rotation',
  'plan',
  () => (body: RotationFields, key) => answered(api.PUT('/rotation', { params: keyed(key), body })),
);

/** A way into the first weeks of a kitchen. */
export const useFirstWeek = () =>
  useQuery({ queryKey: keys.firstWeek(), queryFn: () => answered(api.GET('/first-week')) });

export const useBeginFirstWeek = defineChange(
  'begin the first week',
  'plan',
  () => (_: undefined, requestKey) => answered(api.POST('/first-week', { body: { requestKey } })),
);

/** How the weeks ahead would be with one more jar, or in a warmer kitchen. */
export interface WhatIf {
  jarId?: string;
  warmer?: number;
}

export const useTimeline = (whatIf: WhatIf) =>
  useQuery({
    queryKey: keys.timeline(whatIf),
    queryFn: ({ signal }) => answered(api.GET('/timeline', { params: { query: whatIf }, signal })),
    placeholderData: keepPreviousData,
  });

/** What must be bought for what is to be started within a week. */
export const useShopping = () =>
  useQuery({
    queryKey: keys.shopping(),
    queryFn: async () => (await answered(api.GET('/timeline/shopping'))) as Shopping,
  });

interface BatchPlan {
  formulaId: string;
  lineId: string | null;
  jarId: string;
  startOn: string;
  share: number;
}

export const usePlanBatch = defineChange(
  'plan a batch',
  'plan',
  () => (body: BatchPlan, requestKey) => answered(api.POST('/timeline/batches', { body: { ...body, requestKey } })),
  { subject: ({ formulaId, jarId, startOn }) => `${formulaId} ${jarId} ${startOn}` },
);

export const useCancelPlannedBatch = defineChange(
  'drop a planned batch',
  'plan',
  () => (plannedBatch: string, key) =>
    answered(api.DELETE('/timeline/batches/{plannedBatch}', { params: { path: { plannedBatch }, ...keyed(key) } })),
  { subject: (plannedBatch) => plannedBatch },
);
