import { Segmented } from 'antd';
import type { Step } from '../../api/client';
import { useStepPreview } from '../../api/counter';
import { sodium } from '../../app/numbers';
import { t } from '../../messages/words';

interface Props {
  batchId: string;
  step: Step;
  seconds: number;
  change: (seconds: number) => void;
}

const TIMES = [30, 60, 120, 180, 300, 600];

/** What rinsing for so long would leave, before it is done. */
export function WhatIf({ batchId, step, seconds, change }: Props) {
  const preview = useStepPreview(batchId, step.id, { rinseSeconds: seconds }, true);
  const of = (when: 'before' | 'after') =>
    preview.data?.[when].phases.find(({ phase }) => phase === 'pieces')?.per100g ?? null;
  const [before, after] = [of('before'), of('after')];
  const times = TIMES.includes(seconds) ? TIMES : [...TIMES, seconds].sort((one, other) => one - other);

  return (
    <section className="counter-what-if" aria-label={t('counter.what_if')}>
      <Segmented
        value={seconds}
        onChange={change}
        options={times.map((one) => ({ value: one, label: t('counter.rinse_for', { minutes: one / 60 }) }))}
      />
      {before && after && (
        <p data-testid="what-if">{t('counter.per_100', { before: sodium(before), after: sodium(after) })}</p>
      )}
    </section>
  );
}
