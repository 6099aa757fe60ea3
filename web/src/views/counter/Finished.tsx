import { Link } from 'react-router';
import type { Step } from '../../api/client';
import { useBatch } from '../../api/queries';
import { when } from '../../messages/dates';
import { say, t } from '../../messages/words';

interface Props {
  batchId: string;
  name: string;
  last: Step | null;
}

/** All steps are done: where the jar goes from here. */
export function Finished({ batchId, name, last }: Props) {
  const batch = useBatch(batchId);
  const ready = batch.data?.window?.readyOn;

  return (
    <main className="counter-step">
      <h1>{t('counter.made', { name })}</h1>
      {last?.doneAt && (
        <p className="counter-say">{t('counter.made_at', { time: when(last.doneAt, 'weekdayClock') })}</p>
      )}
      {batch.data && (
        <p className="counter-say">
          {ready ? t('counter.ready_on', { day: when(ready, 'weekdayDate') }) : say(batch.data.stageLabel)}
        </p>
      )}
      <div className="counter-hands">
        <Link className="as-button counter-back" to={`/labels?batches=${batchId}`}>
          {t('counter.label')}
        </Link>
        <Link className="as-button is-filled counter-done" to={`/shelf/${batchId}`}>
          {t('counter.to_jar')}
        </Link>
      </div>
    </main>
  );
}
