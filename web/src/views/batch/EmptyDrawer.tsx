import { Button, Checkbox, Segmented } from 'antd';
import { notices } from '../../app/notices';
import { Choice } from '../../app/Choice';
import { SideDrawer } from '../../app/Dialog';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Kept } from '../../api/change';
import type { Batch, Entry, Refusal } from '../../api/client';
import { useBatchHistory, useEmptyJar, useHouse, useRecordEntry, useShelf } from '../../api/queries';
import { useKeepBrine, useLog } from '../../api/tending';
import { complain } from '../../app/complain';
import { NumberBox } from '../../app/NumberBox';
import { useTyped } from '../../app/typed';
import { grams, number } from '../../app/numbers';
import { when } from '../../messages/dates';
import { say, t } from '../../messages/words';
import { addToBench, keepDraft } from '../bench/draft';

/** Brine that is worth a jar of its own, in grams. */
const WORTH_KEEPING = 5;

interface Props {
  batch: Batch;
  isOpen: boolean;
  close: () => void;
}

/** What becomes of the brine; "next": the starter of what is made at the bench. */
type Brine = { is: 'poured' | 'kept' } | { is: 'starter'; of: string; grams: number | null };

const AT_BENCH = 'next';

const POURED: Brine = { is: 'poured' };

/** The end of a jar: its brine, its washing up, who ate of it, and the next one. */
export function EmptyDrawer({ batch, isOpen, close }: Props) {
  const empty = useEmptyJar();
  const keep = useKeepBrine(batch.id);
  const navigate = useNavigate();
  const [brine, setBrine] = useTyped<Brine>(`brine ${batch.id}`, POURED);
  const [again, setAgain] = useTyped(`again ${batch.id}`, false);
  const [strength, setStrength] = useTyped<number | null>(`strength ${batch.id}`, null);
  const feed = useRecordEntry(brine.is === 'starter' ? brine.of : '');
  const basis = useHouse().data?.methods.find(({ id }) => id === batch.method)?.basis;
  const liquid = batch.phases.find(({ phase }) => phase === 'brine')?.grams ?? 0;
  const hasBrine = batch.isFood && batch.isFoodNow && liquid >= WORTH_KEEPING;

  // Who looks again begins anew.
  const leave = () => {
    setBrine(POURED);
    setAgain(false);
    setStrength(null);
    close();
  };
  // In the browser's history the page that follows stands in the drawer's place.
  const goTo = (page: string) => void navigate(page, { replace: true });
  const next = (spare: string | null, isDone: boolean) => {
    if (isDone) {
      notices.done(t('batch.emptied_done'));
    }
    const isAtBench = spare !== null && brine.is === 'starter' && brine.of === AT_BENCH;
    const starter = isAtBench
      ? {
          starterBatchId: spare,
          starterId: null,
          starterAmount: brine.grams === null ? '' : `${String(brine.grams)} g`,
        }
      : {};
    if (again && batch.again.bench !== null) {
      const salt =
        strength === null
          ? {}
          : { fixed: 'strength', strengthBasis: basis, strengthPercent: String(Number(strength.toFixed(2))) };
      keepDraft({ ...batch.again.bench, ...salt, ...starter });
      goTo('/bench');
    } else if (again && batch.again.formulaId !== null && !isAtBench) {
      goTo(`/formulas/${batch.again.formulaId}`);
    } else if (isAtBench) {
      addToBench(starter);
      goTo('/bench');
    } else {
      goTo('/shelf');
    }
  };
  // What this device keeps goes on as if it were done; only the brine cannot be used before it is there.
  const orKept = <Answer,>(change: Promise<Answer>): Promise<Answer | null> =>
    change.catch((refusal: unknown) => {
      if (refusal instanceof Kept) {
        complain(refusal);
        return null;
      }
      throw refusal;
    });
  // The drawer goes when the jar is empty; what comes next does not.
  const clear = async () => {
    try {
      const spare = hasBrine && brine.is !== 'poured' ? await orKept(keep.mutateAsync(liquid)) : null;
      if (spare !== null && brine.is === 'starter' && brine.of !== AT_BENCH) {
        await orKept(feed.mutateAsync({ kind: 'starter', fromBatch: spare.id, grams: brine.grams ?? liquid } as Entry));
      }
      const emptied = await orKept(empty.mutateAsync({ batch: batch.id, isEmptied: true }));
      next(spare?.id ?? null, emptied !== null);
    } catch (refusal) {
      complain(refusal as Refusal, 8);
    }
  };

  return (
    <SideDrawer title={t('ending.title', { name: batch.name })} open={isOpen} onClose={leave}>
      {batch.phases.length > 0 && (
        <p>{t('ending.left', { grams: grams(batch.phases.reduce((sum, phase) => sum + phase.grams, 0)) })}</p>
      )}
      {hasBrine && <BrineLeft batch={batch} liquid={liquid} brine={brine} change={setBrine} />}
      <Eaters batch={batch} />
      {(batch.again.formulaId !== null || batch.again.bench !== null) && (
        <div className="ending-row">
          <Checkbox checked={again} onChange={(event) => setAgain(event.target.checked)}>
            {t('ending.again')}
          </Checkbox>
          {again && <LastTime batch={batch} strength={strength} change={setStrength} />}
        </div>
      )}
      <p className="soft">{t('ending.wash')}</p>
      <Button type="primary" loading={empty.isPending || keep.isPending || feed.isPending} onClick={() => void clear()}>
        {t('batch.empty_jar')}
      </Button>
    </SideDrawer>
  );
}

interface BrineProps {
  batch: Batch;
  /** Grams of it. */
  liquid: number;
  brine: Brine;
  change: (brine: Brine) => void;
}

/** Poured away, kept as it is, or put into another jar that is being made. */
function BrineLeft({ batch, liquid, brine, change }: BrineProps) {
  const shelf = useShelf();
  const jars = (shelf.data?.batches ?? []).filter(({ id, isFood }) => id !== batch.id && isFood);

  return (
    <div className="ending-row">
      <p>{t('ending.brine', { grams: grams(liquid) })}</p>
      <Segmented
        aria-label={t('ending.brine_what')}
        value={brine.is}
        onChange={(is) => change(is === 'starter' ? { is, of: AT_BENCH, grams: null } : { is })}
        options={[
          { value: 'poured' as const, label: t('ending.pour') },
          { value: 'kept' as const, label: t('ending.keep') },
          { value: 'starter' as const, label: t('ending.starter') },
        ]}
      />
      {brine.is === 'starter' && (
        <div className="ending-starter">
          <Choice
            aria-label={t('ending.starter_for')}
            value={brine.of}
            onChange={(of) => change({ ...brine, of })}
            options={[
              { value: AT_BENCH, label: t('ending.starter_next') },
              ...jars.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
          <NumberBox
            aria-label={t('ending.starter_grams')}
            data-takes="weight"
            min={0}
            max={liquid}
            placeholder={number(liquid, 0)}
            value={brine.grams}
            onChange={(weight) => change({ ...brine, grams: weight })}
            suffix="g"
          />
          <span className="soft">{t('ending.starter_rest')}</span>
        </div>
      )}
    </div>
  );
}

interface LastTimeProps {
  batch: Batch;
  strength: number | null;
  change: (strength: number | null) => void;
}

/** What was noted of it, and the salt that was liked best in jars of its kind. */
function LastTime({ batch, strength, change }: LastTimeProps) {
  const log = useLog(batch.id);
  const best = (log.data?.alike ?? [])
    .filter((one) => one.strengthPercent !== null && (one.marks.liked ?? null) !== null)
    .toSorted((one, other) => (other.marks.liked ?? 0) - (one.marks.liked ?? 0))[0];
  const percent = best?.strengthPercent ?? null;

  return (
    <>
      {best && (
        <p>
          {t('ending.liked', { strength: say(best.strength), name: best.name, liked: best.marks.liked ?? 0 })}{' '}
          {batch.again.bench !== null && (
            <Checkbox checked={strength !== null} onChange={({ target }) => change(target.checked ? percent : null)}>
              {t('ending.with_liked')}
            </Checkbox>
          )}
        </p>
      )}
      <ul className="soft">
        {batch.again.notes.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
    </>
  );
}

/** Who ate of it, and when: what one wants to know of a jar that turned out bad. */
function Eaters({ batch }: { batch: Batch }) {
  const [showsAll, setShowsAll] = useState(false);
  const whole = useBatchHistory(batch.id, showsAll);
  const servings = whole.data?.servings ?? batch.servings;
  const eaten = servings.filter(({ isUndone }) => !isUndone);
  const earlier = batch.servingCount - servings.length;
  if (eaten.length === 0) {
    return <p className="soft">{t('ending.nobody')}</p>;
  }
  return (
    <details className="ending-row" open={batch.attention?.code === 'discard'}>
      <summary>{t('ending.eaten', { count: eaten.length + earlier })}</summary>
      <ul className="quiet-list">
        {eaten.map((serving) => (
          <li key={serving.id}>
            {serving.personName}, {when(serving.eatenOn, 'weekdayDate')}, {grams(serving.grams)}
          </li>
        ))}
      </ul>
      {earlier > 0 && (
        <Button loading={whole.isFetching} onClick={() => setShowsAll(true)}>
          {t('ending.show_earlier', { count: earlier })}
        </Button>
      )}
    </details>
  );
}
