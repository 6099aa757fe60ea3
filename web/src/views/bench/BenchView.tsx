import { say, t, T } from '../../messages/words';
import { Complaint } from '../../app/Complaint';
import { useDeferredValue, useMemo } from 'react';
import type { BenchAnswer, Kitchen, Refusal } from '../../api/client';
import { useBench, useKitchen, useShelf } from '../../api/queries';
import { grams, sodium } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { BenchResult } from './BenchResult';
import { fieldsOf, useDraft, type Draft } from './draft';
import { JarsOnBench } from './JarsOnBench';
import { BenchForm } from './BenchForm';
import { StartBatch } from './StartBatch';
import './BenchView.css';

/** Making a jar: one screen that computes while the cook types. */
export function BenchView() {
  const kitchen = useKitchen();
  return kitchen.data ? <Bench kitchen={kitchen.data} /> : <PageState query={kitchen} />;
}

function Bench({ kitchen }: { kitchen: Kitchen }) {
  const [draft, change] = useDraft(kitchen);
  const bench = useBench(fieldsOf(draft));
  const answer = bench.data?.answer ?? null;
  const refusal = bench.data?.refusal ?? null;
  // The numbers come first; what the fields say of them follows in a moment.
  const hints = useDeferredValue(answer);
  const complaints = useDeferredValue(useMemo(() => typedWrong(refusal, draft), [refusal, draft]));
  const missing = refusal === null || complaints !== null ? null : Object.values(refusal.fields)[0]?.[0];
  const food = useFood(kitchen, draft);
  const method = kitchen.methods.find((one) => one.id === draft.method);

  return (
    <div className="bench">
      <h1 className="only-heard">{t('nav.bench')}</h1>
      <BenchForm kitchen={kitchen} draft={draft} change={change} answer={hints} refusal={complaints} />
      <div className="bench-jar">
        {answer && answer.jars.length > 0 ? (
          <JarsOnBench jars={answer.jars} food={food} isDressed={method?.isDressed ?? false} />
        ) : (
          <p className="soft">{t('bench.no_jar_drawn')}</p>
        )}
      </div>
      <div className="answer">
        {answer ? (
          <BenchResult
            answer={answer}
            isStale={refusal !== null}
            isQuick={draft.method === 'quick_salt_pickle'}
            colour={kitchen.ingredients.find(({ id }) => id === draft.vegetableId)?.colour ?? '#b9ab99'}
          />
        ) : (
          <p className="soft">{missing ?? refusal?.message}</p>
        )}
        {answer && <Complaint>{refusal?.ofNoField}</Complaint>}
        {answer && missing && <p className="soft">{missing}</p>}
        {answer && <Brief answer={answer} />}
        <StartBatch
          draft={draft}
          change={change}
          name={food}
          answer={answer}
          isReady={
            bench.data?.refusal === null && !bench.isPlaceholderData && answer !== null && answer.taken.length === 0
          }
        />
      </div>
    </div>
  );
}

/** What is wrong with what was typed. A field that is empty is not wrong yet: what it still needs is said softly. */
function typedWrong(refusal: Refusal | null, draft: Draft): Refusal | null {
  const isBlank = (path: string): boolean => {
    const value: unknown = path
      .split('.')
      .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], draft);

    return value === '' || value === null || value === undefined || (Array.isArray(value) && value.join('') === '');
  };

  return refusal !== null && Object.keys(refusal.fields).length > 0 && Object.keys(refusal.fields).every(isBlank)
    ? null
    : refusal;
}

/** What it is made of, in a word: its name when the cook gives it none. */
function useFood(kitchen: Kitchen, draft: Draft): string {
  const shelf = useShelf();
  if (draft.method === 'transform') {
    const source = shelf.data?.batches.find((one) => one.id === draft.sourceBatchId);
    return source ? t('bench.blended_name', { name: source.name }) : '';
  }
  return kitchen.ingredients.find((one) => one.id === draft.vegetableId)?.name ?? '';
}

/** The main numbers at the bottom of a phone. */
function Brief({ answer }: { answer: BenchAnswer }) {
  return (
    <p className="bench-brief" aria-hidden="true">
      <T
        m={answer.waterGrams > 0 ? 'bench.brief_water' : 'bench.brief'}
        v={{
          salt: answer.saltIsSpooned ? say(answer.saltSpoons) : grams(answer.saltGrams),
          water: grams(answer.waterGrams),
          sodium: sodium(answer.serving.sodium),
          grams: grams(answer.serving.grams),
          b: (c) => <b>{c}</b>,
        }}
      />
    </p>
  );
}
