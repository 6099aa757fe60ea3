import { App, Button, Checkbox, Drawer, Segmented } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { complain } from '../../app/complain';
import type { Batch, Refusal } from '../../api/client';
import { useEmptyJar } from '../../api/queries';
import { useKeepBrine } from '../../api/tending';
import { grams } from '../../app/numbers';
import { when } from '../../messages/dates';
import { t } from '../../messages/words';
import { keepDraft } from '../bench/draft';

/** Brine that is worth a jar of its own, in grams. */
const WORTH_KEEPING = 5;

interface Props {
  batch: Batch;
  isOpen: boolean;
  close: () => void;
}

/** The end of a jar: its brine, its washing up, who ate of it, and the next one. */
export function EmptyDrawer({ batch, isOpen, close }: Props) {
  const { message } = App.useApp();
  const empty = useEmptyJar();
  const keep = useKeepBrine(batch.id);
  const navigate = useNavigate();
  const [brine, setBrine] = useState<'pour' | 'keep'>('pour');
  const [again, setAgain] = useState(false);
  const liquid = batch.phases.find(({ phase }) => phase === 'brine')?.grams ?? 0;
  const hasBrine = batch.isFood && batch.isFoodNow && liquid >= WORTH_KEEPING;
  const fails = (refusal: Refusal) => complain(message, refusal, 8);

  const next = () => {
    close();
    void message.success(t('batch.emptied_done'));
    if (!again) {
      void navigate('/shelf');
    } else if (batch.again.formulaId !== null) {
      void navigate(`/formulas/${batch.again.formulaId}`);
    } else {
      keepDraft(batch.again.bench ?? {});
      void navigate('/bench');
    }
  };
  // The drawer goes when the jar is empty; what comes next does not.
  const clear = async () => {
    try {
      if (hasBrine && brine === 'keep') {
        await keep.mutateAsync(liquid);
      }
      await empty.mutateAsync({ batch: batch.id, isEmptied: true });
      next();
    } catch (refusal) {
      fails(refusal as Refusal);
    }
  };

  return (
    <Drawer title={t('ending.title', { name: batch.name })} open={isOpen} onClose={close}>
      {batch.phases.length > 0 && (
        <p>{t('ending.left', { grams: grams(batch.phases.reduce((sum, phase) => sum + phase.grams, 0)) })}</p>
      )}
      {hasBrine && (
        <div className="ending-row">
          <span>{t('ending.brine', { grams: grams(liquid) })}</span>
          <Segmented
            aria-label={t('ending.brine_what')}
            value={brine}
            onChange={setBrine}
            options={[
              { value: 'pour', label: t('ending.pour') },
              { value: 'keep', label: t('ending.keep') },
            ]}
          />
        </div>
      )}
      <Eaters batch={batch} />
      {(batch.again.formulaId !== null || batch.again.bench !== null) && (
        <div className="ending-row">
          <Checkbox checked={again} onChange={(event) => setAgain(event.target.checked)}>
            {t('ending.again')}
          </Checkbox>
          {again && batch.again.notes.length > 0 && (
            <ul className="soft">
              {batch.again.notes.map((note) => (
                <li key={note}>{note}</li>
              ))}
            </ul>
          )}
        </div>
      )}
      <p className="soft">{t('ending.wash')}</p>
      <Button type="primary" loading={empty.isPending || keep.isPending} onClick={() => void clear()}>
        {t('batch.empty_jar')}
      </Button>
    </Drawer>
  );
}

/** Who ate of it, and when: what one wants to know of a jar that turned out bad. */
function Eaters({ batch }: { batch: Batch }) {
  const eaten = batch.servings.filter(({ isUndone }) => !isUndone);
  if (eaten.length === 0) {
    return <p className="soft">{t('ending.nobody')}</p>;
  }
  return (
    <details className="ending-row" open={batch.attention?.code === 'discard'}>
      <summary>{t('ending.eaten', { count: eaten.length })}</summary>
      <ul className="quiet-list">
        {eaten.map((serving) => (
          <li key={serving.id}>
            {serving.personName}, {when(serving.eatenOn, 'weekdayDate')}, {grams(serving.grams)}
          </li>
        ))}
      </ul>
    </details>
  );
}
