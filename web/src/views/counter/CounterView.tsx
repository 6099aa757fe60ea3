import { useCallback, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Step, Steps } from '../../api/client';
import { useSteps } from '../../api/counter';
import { PageState } from '../../app/PageState';
import { WaitingWrites } from '../../app/WaitingWrites';
import { say, t } from '../../messages/words';
import { PortionsOffer } from '../batch/PortionsOffer';
import { can, useStayAwake } from './device';
import { Finished } from './Finished';
import { OneStep } from './OneStep';
import { OtherClocks } from './OtherClocks';
import { StepNote } from './StepNote';
import { usePress } from './usePress';
import { useTitle } from '../../app/title';
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
  // The step of which a note is taken, while the work may go on.
  const [notes, setNotes] = useState<string | null>(null);
  const isAwake = useStayAwake();
  useTitle(making.batchName);

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
        <WaitingWrites />
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
          takeNote={() => setNotes(say(step.label))}
        />
      ) : (
        <Finished batchId={making.batchId} name={making.batchName} last={steps[steps.length - 1] ?? null} />
      )}
      {notes !== null && <StepNote batchId={making.batchId} step={notes} close={() => setNotes(null)} />}
      <PortionsOffer batchId={making.batchId} />
      {!can.isSecure && <p className="soft counter-small">{t('counter.needs_https')}</p>}
      {isAwake && <p className="soft counter-small">{t('counter.stays_on')}</p>}
    </div>
  );
}

const intoView = (button: HTMLButtonElement | null): void =>
  button?.scrollIntoView({ block: 'nearest', inline: 'center' });

const stateOf = (step: Step, isCurrent: boolean): string =>
  step.doneAt ? 'is-done' : step.skippedAt ? 'is-skipped' : isCurrent ? 'is-current' : 'is-open';
