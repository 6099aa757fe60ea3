import { useQuery, type QueryClient } from '@tanstack/react-query';
import { answered, api, type Steps, type StepAsDone } from './client';
import { defineChange, keyed } from './change';
import { keys } from './keys';
import { NEWS_EVERY_MS } from './news';

/** The steps of a making, looked at again by themselves: another device may have done one. */
export const useSteps = (batch: string) =>
  useQuery({
    queryKey: keys.steps(batch),
    queryFn: () => answered(api.GET('/batches/{batch}/steps', { params: { path: { batch } } })),
    refetchInterval: NEWS_EVERY_MS,
    retry: false,
  });

interface StepDone extends StepAsDone {
  step: string;
  /** When it was done. */
  at: string;
}

/** The steps as they will be once a change has been sent. */
function foresee(queries: QueryClient, batch: string, step: string, closed: Partial<Steps['steps'][number]>): void {
  queries.setQueryData<Steps>(keys.steps(batch), (known) => {
    if (known === undefined) {
      return known;
    }
    const steps = known.steps.map((one) => (one.id === step ? { ...one, ...closed } : one));
    const then = closed.doneAt ?? closed.skippedAt;
    const place = steps.findIndex(({ id }) => id === step);
    const next = steps[place + 1];
    if (then && next) {
      steps[place + 1] = {
        ...next,
        dueAt: new Date(Date.parse(then) + next.afterSeconds * 1000).toISOString(),
      };
    }
    return { ...known, steps, currentId: steps.find((one) => !one.doneAt && !one.skippedAt)?.id ?? null };
  });
}

export const useDoStep = defineChange(
  'do a step',
  'ledger',
  (batch: string) =>
    ({ step, ...body }: StepDone, requestKey) =>
      answered(
        api.POST('/batches/{batch}/steps/{step}/done', {
          params: { path: { batch, step } },
          body: { ...body, requestKey },
        }),
      ),
  {
    subject: ({ step }) => step,
    foresee: (queries, { step, at }, batch) => foresee(queries, batch, step, { doneAt: at }),
    settles: (queries, answer, batch) => queries.setQueryData(keys.steps(batch), answer),
    waits: 'tap',
  },
);

export const useSkipStep = defineChange(
  'skip a step',
  'ledger',
  (batch: string) =>
    ({ step, at }: { step: string; at: string }, requestKey) =>
      answered(
        api.POST('/batches/{batch}/steps/{step}/skipped', {
          params: { path: { batch, step } },
          body: { at, requestKey },
        }),
      ),
  {
    subject: ({ step }) => step,
    foresee: (queries, { step, at }, batch) => foresee(queries, batch, step, { skippedAt: at }),
    settles: (queries, answer, batch) => queries.setQueryData(keys.steps(batch), answer),
    waits: 'tap',
  },
);

/** It was not done after all. */
export const useUndoStep = defineChange(
  'undo a step',
  'ledger',
  (batch: string) => (step: string, key) =>
    answered(api.DELETE('/batches/{batch}/steps/{step}/done', { params: { path: { batch, step }, ...keyed(key) } })),
  {
    subject: (step) => step,
    foresee: (queries, step, batch) => foresee(queries, batch, step, { doneAt: null, skippedAt: null }),
    settles: (queries, answer, batch) => queries.setQueryData(keys.steps(batch), answer),
    waits: 'tap',
  },
);

/** What a step would do, done so; nothing is written. */
export const useStepPreview = (batch: string, step: string, how: StepAsDone, enabled: boolean) =>
  useQuery({
    queryKey: keys.stepPreview(batch, step, how),
    enabled,
    queryFn: ({ signal }) =>
      answered(
        api.POST('/batches/{batch}/steps/{step}/preview', { params: { path: { batch, step } }, body: how, signal }),
      ),
    placeholderData: (last) => last,
    retry: false,
    gcTime: 10_000,
  });
