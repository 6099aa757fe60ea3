import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import type { Step, Steps } from '../../api/client';
import { NumberBox } from '../../app/NumberBox';
import { when } from '../../messages/dates';
import { say, t } from '../../messages/words';
import { BrineToKeep } from './BrineToKeep';
import { clockOf, useNow } from './clock';
import { armAlarm, can, read, ringAlarm } from './device';
import { Taste } from './Taste';
import { usePress } from './usePress';
import { Weights } from './Weights';
import { WhatIf } from './WhatIf';
import { useWork, type Work } from './work';

interface Props {
  making: Steps;
  step: Step;
  before: Step | null;
  isCurrent: boolean;
  follow: () => void;
  takeNote: () => void;
}

/** One step as it fills the screen: its clock or its number, what it needs, and the hands at its foot. */
export function OneStep({ making, step, before, isCurrent, follow, takeNote }: Props) {
  const work = useWork(making.batchId, step, isCurrent, follow);
  const now = useNow();
  const left = (Date.parse(step.dueAt) - now) / 1000;
  const waits = isCurrent && step.afterSeconds > 0;
  const isWaiting = waits && left > 0;
  const runsOut = waits && left <= 0;
  const rang = useRef(!waits || left <= 0);
  useEffect(() => {
    if (runsOut && !rang.current) {
      rang.current = true;
      ringAlarm(say(step.label), making.batchName);
    }
  }, [runsOut, step.label, making.batchName]);
  const finish = () => {
    armAlarm();
    work.finish();
  };
  usePress(' ', finish);

  return (
    <main className="counter-step">
      {isWaiting ? (
        <Waiting step={step} before={before} left={left} />
      ) : (
        <Asked making={making} step={step} isCurrent={isCurrent} work={work} />
      )}
      {runsOut && <p className="counter-due">{t('counter.due_since', { time: when(step.dueAt, 'weekdayClock') })}</p>}
      <Tasted making={making} step={step} before={before} isCurrent={isCurrent} />
      <Hands step={step} before={before} isCurrent={isCurrent} isWaiting={isWaiting} work={work} finish={finish} />
      <div className="counter-beside">
        {isCurrent && (
          <Button type="text" disabled={work.isBusy} onClick={work.leaveOut}>
            {t('counter.skip')}
          </Button>
        )}
        <Button type="text" onClick={takeNote}>
          {t('counter.note')}
        </Button>
        {can.read && (
          <Button
            type="text"
            onClick={() => read(`${say(step.label)}. ${step.number ? say(step.number.text) : ''}. ${say(step.say)}`)}
          >
            {t('counter.read')}
          </Button>
        )}
      </div>
    </main>
  );
}

/** A clock runs until the step can be done. */
function Waiting({ step, before, left }: { step: Step; before: Step | null; left: number }) {
  return (
    <>
      <h1>{before ? t('counter.stage', { stage: say(before.stageLabel) }) : say(step.label)}</h1>
      <p className="counter-number" role="timer" data-testid="clock">
        {clockOf(left)}
        <span className="counter-of">
          {t('counter.then', { step: say(step.label), time: when(step.dueAt, 'weekdayClock') })}
        </span>
      </p>
    </>
  );
}

/** What is to be done, and what can be said of how it was done. */
function Asked({
  making,
  step,
  isCurrent,
  work: { told, tell },
}: Omit<Props, 'before' | 'follow' | 'takeNote'> & { work: Work }) {
  return (
    <>
      <h1>{say(step.label)}</h1>
      {step.number && (
        <p className="counter-number">
          {told.rinseSeconds === null
            ? say(step.number.text)
            : t('duration.minutes', { minutes: Math.round(told.rinseSeconds / 6) / 10 })}
          <span className="counter-of">{say(step.number.of)}</span>
        </p>
      )}
      <p className="counter-say">{say(step.say)}</p>
      {step.needs.length > 0 && (
        <Weights
          step={step}
          weighed={told.weighed}
          weigh={(weighed) => tell({ weighed })}
          isOpen={isCurrent && step.isWeighed}
        />
      )}
      {step.rinseSeconds !== null && isCurrent && (
        <WhatIf
          batchId={making.batchId}
          step={step}
          seconds={told.rinseSeconds ?? step.rinseSeconds}
          change={(rinseSeconds) => tell({ rinseSeconds })}
        />
      )}
      {step.kind === 'measure_ph' && isCurrent && (
        <label className="counter-keep">
          {t('counter.ph')}
          <NumberBox
            aria-label={t('counter.ph')}
            data-takes="ph"
            min={0}
            max={14}
            step={0.1}
            value={told.ph}
            onChange={(ph) => tell({ ph })}
          />
        </label>
      )}
      {step.keepsGrams !== null && step.kind === 'strain' && isCurrent && (
        <BrineToKeep grams={told.keepGrams ?? step.keepsGrams} change={(keepGrams) => tell({ keepGrams })} />
      )}
    </>
  );
}

/** Salt is tasted once it is in, and a pinch added; a sauce is thinned until it pours. */
function Tasted({ making, step, before, isCurrent }: Omit<Props, 'follow' | 'takeNote'>) {
  const isSalted = ({ kind }: Step): boolean => ['salt', 'salt_again', 'mix'].includes(kind);
  const isClosed = step.doneAt !== null || step.skippedAt !== null;

  return (
    <>
      {step.kind === 'season' && !isClosed && <Taste batchId={making.batchId} kind="thin" />}
      {((isSalted(step) && isClosed) || (isCurrent && before !== null && isSalted(before))) && (
        <Taste batchId={making.batchId} kind="salt" />
      )}
    </>
  );
}

interface HandsProps extends Omit<Props, 'making' | 'follow' | 'takeNote'> {
  isWaiting: boolean;
  work: Work;
  finish: () => void;
}

/** Large enough for an elbow: done, back, and undo for what was done. */
function Hands({ step, before, isCurrent, isWaiting, work, finish }: HandsProps) {
  if (step.doneAt !== null || step.skippedAt !== null) {
    return (
      <footer className="counter-hands">
        <p className="counter-closed">
          {step.doneAt
            ? t('counter.done_at', { time: when(step.doneAt, 'weekdayClock') })
            : t('counter.skipped_at', { time: when(step.skippedAt, 'weekdayClock') })}
        </p>
        <Button className="counter-back" loading={work.isBusy} onClick={() => work.undo(step)}>
          {t('action.undo')}
        </Button>
      </footer>
    );
  }
  return (
    <footer className="counter-hands">
      {before && (
        <Button className="counter-back" disabled={!isCurrent || work.isBusy} onClick={() => work.undo(before)}>
          {t('counter.back')}
        </Button>
      )}
      <Button
        type="primary"
        className="counter-done"
        loading={work.isBusy}
        disabled={!isCurrent}
        title={t('counter.done_hint')}
        onClick={finish}
      >
        {isWaiting ? t('counter.now', { step: say(step.label) }) : t('counter.done')}
      </Button>
    </footer>
  );
}
