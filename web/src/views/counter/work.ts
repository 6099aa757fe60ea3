import { useState } from 'react';
import { Kept } from '../../api/change';
import type { Refusal, Step } from '../../api/client';
import { useDoStep, useSkipStep, useUndoStep } from '../../api/counter';
import { serverNow } from '../../api/queue';
import { useRecordNote } from '../../api/tending';
import { complain } from '../../app/complain';
import { noteOf } from './note';
import type { Weighed } from './Weights';

/** How a step was done otherwise than planned. */
export interface Told {
  weighed: Weighed;
  rinseSeconds: number | null;
  keepGrams: number | null;
  ph: number | null;
}

const asPlanned: Told = { weighed: {}, rinseSeconds: null, keepGrams: null, ph: null };

/** What the hands do with a step: it is done, left out, or opened again; then the work is followed. */
export function useWork(batchId: string, step: Step, isCurrent: boolean, follow: () => void) {
  const done = useDoStep(batchId);
  const skip = useSkipStep(batchId);
  const undo = useUndoStep(batchId);
  const record = useRecordNote(batchId);
  const [told, setTold] = useState(asPlanned);
  const settles = {
    onSuccess: follow,
    onError: (refusal: Refusal) => {
      if (refusal instanceof Kept) {
        follow();
      }
      complain(refusal, 6);
    },
  };
  const moment = () => new Date(serverNow()).toISOString();

  return {
    told,
    tell: (part: Partial<Told>) => setTold((before) => ({ ...before, ...part })),
    isBusy: done.isPending || skip.isPending || undo.isPending,
    finish: () => {
      if (!isCurrent || done.isPending) {
        return;
      }
      const { weighed, rinseSeconds, keepGrams, ph } = told;
      if (ph !== null) {
        record.mutate(noteOf({ ph }), { onError: (refusal) => complain(refusal, 6) });
      }
      const weights = Object.entries(weighed).flatMap(([line, grams]) =>
        grams === null ? [] : [{ line: Number(line), grams }],
      );
      done.mutate(
        {
          step: step.id,
          at: moment(),
          ...(weights.length > 0 ? { weighed: weights } : {}),
          ...(rinseSeconds === null ? {} : { rinseSeconds }),
          ...(keepGrams === null ? {} : { keepGrams }),
        },
        settles,
      );
    },
    leaveOut: () => skip.mutate({ step: step.id, at: moment() }, settles),
    undo: (which: Step) => undo.mutate(which.id, settles),
  };
}

export type Work = ReturnType<typeof useWork>;
