import { App, Button } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { complain } from '../../app/complain';
import { Kept } from '../../api/change';
import type { Refusal, Step, Steps } from '../../api/client';
import { useDoStep, useSkipStep, useSteps, useUndoStep } from '../../api/counter';
import { useSession } from '../../api/queries';
import { serverNow } from '../../api/queue';
import { useRecordNote } from '../../api/tending';
import { NumberBox } from '../../app/NumberBox';
import { PageState } from '../../app/PageState';
import { WaitingWrites } from '../../app/WaitingWrites';
import { when } from '../../messages/dates';
import { say, t } from '../../messages/words';
import { clockOf, useNow } from './clock';
import { can, read, useAlarm, useStayAwake } from './device';
import { noteOf } from './note';
import { OtherClocks } from './OtherClocks';
import { Finished } from './Finished';
import { PortionsOffer } from '../batch/PortionsOffer';
import { BrineToKeep } from './BrineToKeep';
import { StepNote } from './StepNote';
import { Taste } from './Taste';
import { WhatIf } from './WhatIf';
import { Weights, type Weighed } from './Weights';
import './CounterView.css';

/** Making a jar, one step at a time, for wet hands and a look from across the kitchen. */
export function CounterView() {
  const { batchId = '' } = useParams();
  const steps = useSteps(batchId);
  if (!steps.data) {
    return <PageState query={steps} />;
  }
  return <Counter key={batchId} making={steps.data} />;
}

function Counter({ making }: { making: Steps }) {
  const { steps, currentId } = making;
  const at = steps.findIndex(({ id }) => id === currentId);
  // The step one looks at; null follows the work.
  const [looksAt, setLooksAt] = useState<number | null>(null);
  const shown = looksAt ?? (at === -1 ? steps.length : at);
  const step = steps[shown];
  const isAwake = useStayAwake();
  const session = useSession();

  const look = useCallback(
    (by: number) => {
      const next = Math.min(steps.length, Math.max(0, shown + by));
      setLooksAt(next === (at === -1 ? steps.length : at) ? null : next);
    },
    [shown, steps.length, at],
  );
  usePress('ArrowLeft', () => look(-1));
  usePress('ArrowRight', () => look(1));

  return (
    <div className="counter">
      <header className="counter-head">
        <span className="counter-jar" style={{ borderColor: making.colour }}>
          <b>{making.batchName}</b>
          <span className="soft">{say(making.stageLabel)}</span>
        </span>
        <OtherClocks batchId={making.batchId} />
        {session.data?.household && <WaitingWrites owner={session.data.household.id} />}
        <Link to={`/shelf/${making.batchId}`} className="as-button">
          {t('counter.leave')}
        </Link>
      </header>
      <ol className="counter-path" aria-label={t('counter.steps')}>
        {steps.map((one, place) => (
          <li key={one.id}>
            <button
              type="button"
              className={stateOf(one, place === at)}
              ref={place === shown ? intoView : undefined}
              aria-current={place === shown ? 'step' : undefined}
              onClick={() => setLooksAt(place === at ? null : place)}
            >
              {say(one.label)}
            </button>
          </li>
        ))}
      </ol>
      {step ? (
        <OneStep
          key={step.id}
          making={making}
          step={step}
          before={steps[shown - 1] ?? null}
          isCurrent={shown === at}
          follow={() => setLooksAt(null)}
        />
      ) : (
        <Finished batchId={making.batchId} name={making.batchName} last={steps[steps.length - 1] ?? null} />
      )}
      <PortionsOffer batchId={making.batchId} />
      {!can.isSecure && <p className="soft counter-small">{t('counter.needs_https')}</p>}
      {isAwake && <p className="soft counter-small">{t('counter.stays_on')}</p>}
    </div>
  );
}

/** Salt can be tasted, and a pinch added. */
const isTasted = ({ kind }: Step): boolean => ['salt', 'salt_again', 'mix'].includes(kind);

const intoView = (button: HTMLButtonElement | null): void =>
  button?.scrollIntoView({ block: 'nearest', inline: 'center' });

const stateOf = (step: Step, isCurrent: boolean): string =>
  step.doneAt ? 'is-done' : step.skippedAt ? 'is-skipped' : isCurrent ? 'is-current' : 'is-open';

interface Props {
  making: Steps;
  step: Step;
  before: Step | null;
  isCurrent: boolean;
  follow: () => void;
}

function OneStep({ making, step, before, isCurrent, follow }: Props) {
  const { message } = App.useApp();
  const done = useDoStep(making.batchId);
  const skip = useSkipStep(making.batchId);
  const undo = useUndoStep(making.batchId);
  const now = useNow();
  const alarm = useAlarm();
  const [weighed, setWeighed] = useState<Weighed>({});
  const [rinseSeconds, setRinseSeconds] = useState<number | null>(null);
  const [keepGrams, setKeepGrams] = useState<number | null>(null);
  const [ph, setPh] = useState<number | null>(null);
  const record = useRecordNote(making.batchId);
  const closed = step.doneAt ?? step.skippedAt;
  const left = (Date.parse(step.dueAt) - now) / 1000;
  const waits = isCurrent && step.afterSeconds > 0;
  const isWaiting = waits && left > 0;

  const runsOut = waits && left <= 0;
  const rang = useRef(!waits || left <= 0);
  useEffect(() => {
    if (runsOut && !rang.current) {
      rang.current = true;
      alarm.ring(say(step.label), making.batchName);
    }
  }, [runsOut, alarm, step.label, making.batchName]);

  const fails = (refusal: Refusal) => {
    if (refusal instanceof Kept) {
      follow();
    }
    complain(message, refusal, 6);
  };
  const finish = () => {
    if (!isCurrent || done.isPending) {
      return;
    }
    alarm.arm();
    if (ph !== null) {
      record.mutate(noteOf({ ph }), { onError: (refusal) => complain(message, refusal, 6) });
    }
    const weights = Object.entries(weighed).flatMap(([line, grams]) =>
      grams === null ? [] : [{ line: Number(line), grams }],
    );
    done.mutate(
      {
        step: step.id,
        at: new Date(serverNow()).toISOString(),
        ...(weights.length > 0 ? { weighed: weights } : {}),
        ...(rinseSeconds === null ? {} : { rinseSeconds }),
        ...(keepGrams === null ? {} : { keepGrams }),
      },
      { onSuccess: follow, onError: fails },
    );
  };
  usePress(' ', finish);

  return (
    <main className="counter-step">
      <h1>{isWaiting && before ? t('counter.stage', { stage: say(before.stageLabel) }) : say(step.label)}</h1>
      {isWaiting ? (
        <p className="counter-number" role="timer" data-testid="clock">
          {clockOf(left)}
          <span className="counter-of">
            {t('counter.then', { step: say(step.label), time: when(step.dueAt, 'weekdayClock') })}
          </span>
        </p>
      ) : (
        step.number && (
          <p className="counter-number">
            {rinseSeconds === null
              ? say(step.number.text)
              : t('duration.minutes', { minutes: Math.round(rinseSeconds / 6) / 10 })}
            <span className="counter-of">{say(step.number.of)}</span>
          </p>
        )
      )}
      {runsOut && <p className="counter-due">{t('counter.due_since', { time: when(step.dueAt, 'weekdayClock') })}</p>}
      {!isWaiting && <p className="counter-say">{say(step.say)}</p>}
      {step.needs.length > 0 && !isWaiting && (
        <Weights step={step} weighed={weighed} weigh={setWeighed} isOpen={isCurrent && step.isWeighed} />
      )}
      {step.rinseSeconds !== null && isCurrent && !isWaiting && (
        <WhatIf
          batchId={making.batchId}
          step={step}
          seconds={rinseSeconds ?? step.rinseSeconds}
          change={setRinseSeconds}
        />
      )}
      {step.kind === 'season' && !closed && <Taste batchId={making.batchId} kind="thin" />}
      {step.kind === 'measure_ph' && isCurrent && (
        <label className="counter-keep">
          {t('counter.ph')}
          <NumberBox
            aria-label={t('counter.ph')}
            data-takes="ph"
            min={0}
            max={14}
            step={0.1}
            value={ph}
            onChange={setPh}
          />
        </label>
      )}
      {((isTasted(step) && closed !== null) || (isCurrent && before !== null && isTasted(before))) && (
        <Taste batchId={making.batchId} kind="salt" />
      )}
      {step.keepsGrams !== null && step.kind === 'strain' && isCurrent && !isWaiting && (
        <BrineToKeep grams={keepGrams ?? step.keepsGrams} change={setKeepGrams} />
      )}
      <footer className="counter-hands">
        {closed ? (
          <>
            <p className="counter-closed">
              {step.doneAt
                ? t('counter.done_at', { time: when(step.doneAt, 'weekdayClock') })
                : t('counter.skipped_at', { time: when(step.skippedAt, 'weekdayClock') })}
            </p>
            <Button
              className="counter-back"
              loading={undo.isPending}
              onClick={() => undo.mutate(step.id, { onSuccess: follow, onError: fails })}
            >
              {t('action.undo')}
            </Button>
          </>
        ) : (
          <>
            {before && (
              <Button
                className="counter-back"
                loading={undo.isPending}
                disabled={!isCurrent}
                onClick={() => undo.mutate(before.id, { onSuccess: follow, onError: fails })}
              >
                {t('counter.back')}
              </Button>
            )}
            <Button
              type="primary"
              className="counter-done"
              loading={done.isPending}
              disabled={!isCurrent}
              title={t('counter.done_hint')}
              onClick={finish}
            >
              {isWaiting ? t('counter.now', { step: say(step.label) }) : t('counter.done')}
            </Button>
          </>
        )}
      </footer>
      <div className="counter-beside">
        {isCurrent && (
          <Button
            type="text"
            loading={skip.isPending}
            onClick={() =>
              skip.mutate(
                { step: step.id, at: new Date(serverNow()).toISOString() },
                { onSuccess: follow, onError: fails },
              )
            }
          >
            {t('counter.skip')}
          </Button>
        )}
        <StepNote batchId={making.batchId} step={say(step.label)} />
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

/** Runs something on a key, but never while the cook types or has a button in hand. */
function usePress(key: string, run: () => void): void {
  const latest = useRef(run);
  useEffect(() => {
    latest.current = run;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const on = event.target;
      const isTaken =
        on instanceof HTMLElement &&
        (/^(INPUT|TEXTAREA|SELECT)$/.test(on.tagName) || on.closest('.ant-modal') !== null);
      const isButton = key === ' ' && on instanceof HTMLElement && on.closest('button, a') !== null;
      if (event.key === key && !isTaken && !isButton && !event.ctrlKey && !event.metaKey && !event.altKey) {
        event.preventDefault();
        latest.current();
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [key]);
}
