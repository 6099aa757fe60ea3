import { joined, named, say, T, t } from '../../messages/words';
import { Segmented } from 'antd';
import { notices } from '../../app/notices';
import { Complaint } from '../../app/Complaint';
import { useState } from 'react';
import { useSavings } from '../../api/intake';
import { AmountInput, portionPhrases } from '../../app/AmountInput';
import { Savings } from '../../app/Savings';
import type { Batch, Serving, ServingStyle } from '../../api/client';
import { useServe, useUndoServing } from '../../api/queries';
import { grams, percent, sodium, sodiumBand } from '../../app/numbers';
import { Deed } from '../../app/Deed';

/** How something can come to the table: pieces in several ways, brine or sauce as it is. */
interface Manner {
  phase: Serving['phase'];
  way: ServingStyle;
}

/** Serving from the jar: each eater, each way, and what it brings. */
export function ServePanel({ batch }: { batch: Batch }) {
  const serve = useServe();
  const undo = useUndoServing();
  const [amounts, setAmounts] = useState<Record<string, string>>({});
  const [manner, setManner] = useState<Manner>({ phase: batch.servedPhase, way: 'drained' });
  const [complaint, setComplaint] = useState<{ personId: string; text: string } | null>(null);
  const [lessFor, setLessFor] = useState<string | null>(null);
  const manners = mannersOf(batch);

  const give = (personId: string, amount: string) => {
    setComplaint(null);
    serve.mutate(
      { batchId: batch.id, personId, amount, ...manner },
      {
        onSuccess: (serving) =>
          notices.say({
            seconds: 8,
            content: (
              <span>
                {serving.personName}: {grams(serving.grams)}, {sodium(serving.sodium)}.{' '}
                <Deed
                  needs="log"
                  type="link"
                  onClick={() => {
                    undo.mutate(serving.id);
                    notices.clear();
                  }}
                >
                  {t('action.undo')}
                </Deed>
              </span>
            ),
          }),
        onError: (refusal) => setComplaint({ personId, text: refusal.of('amount') ?? refusal.message }),
      },
    );
  };

  return (
    <section aria-label={t('serve.title')}>
      <div className="section-head">
        <h2>{t('serve.title')}</h2>
        <span className="soft">
          {batch.servingsLeft === 0
            ? t('serve.grams_left', { grams: grams(batch.gramsLeft) })
            : t('serve.servings_left', { servings: batch.servingsLeft, grams: grams(batch.servingGrams) })}
        </span>
      </div>
      {manners.length > 1 && (
        <Segmented
          aria-label={t('serve.what')}
          className="manners"
          value={keyOf(manner)}
          onChange={(key) => setManner(manners.find((one) => keyOf(one) === key) ?? manner)}
          options={manners.map((one) => ({ value: keyOf(one), label: one.label }))}
        />
      )}
      {batch.potassium && <p className="soft">{say(batch.potassium)}</p>}
      {batch.portions.map((portion) => {
        const amount = amounts[portion.personId] ?? `${String(portion.grams)} g`;
        const way = portion.ways.find((one) => one.way === manner.way);
        const isUsual = amount === `${String(portion.grams)} g` && manner.phase === batch.servedPhase;
        return (
          <div key={portion.personId}>
            <div className="serve-row">
              <span>
                {portion.name}
                {portion.clashes.length > 0 && (
                  <span className="complaint serve-clash">
                    {t('serve.not_for', {
                      name: portion.name,
                      clashes: joined(portion.clashes.map((one) => named('allergen', one))),
                    })}
                  </span>
                )}
              </span>
              <AmountInput
                asks={{ kind: 'amount', of: 'portion', id: batch.id, personId: portion.personId }}
                offers={portionPhrases()}
                aria-label={t('serve.amount_for', { name: portion.name })}
                value={amount}
                change={(next) => setAmounts({ ...amounts, [portion.personId]: next })}
              />
              <span className="soft">
                {isUsual &&
                  (way?.sodium ? (
                    <T
                      m="serve.sodium"
                      v={{
                        sodium: sodium(way.sodium),
                        band: sodiumBand(way.sodium) || 'none',
                        percent: percent((way.sodium.typical / portion.targetMg) * 100),
                        b0: (c) => <b data-testid={`sodium-${portion.name}`}>{c}</b>,
                      }}
                    />
                  ) : (
                    t('serve.less_left')
                  ))}
              </span>
              <Deed
                needs="log"
                aria-label={t('serve.for', { name: portion.name })}
                loading={serve.isPending && serve.variables.personId === portion.personId}
                onClick={() => give(portion.personId, amount)}
              >
                {t('serve.title')}
              </Deed>
            </div>
            {portion.sodium && (
              <Deed
                needs="log"
                type="text"
                className="serve-less"
                aria-expanded={lessFor === portion.personId}
                aria-label={t('serve.less_sodium_for', { name: portion.name })}
                onClick={() => setLessFor(lessFor === portion.personId ? null : portion.personId)}
              >
                {t('serve.less_sodium')}
              </Deed>
            )}
            {lessFor === portion.personId && <Less batch={batch.id} personId={portion.personId} manner={manner} />}
            {complaint?.personId === portion.personId && <Complaint>{complaint.text}</Complaint>}
          </div>
        );
      })}
    </section>
  );
}

function Less({ batch, personId, manner }: { batch: string; personId: string; manner: Manner }) {
  const savings = useSavings(batch, personId, manner.way, manner.phase);
  return savings.data ? <Savings found={savings.data} /> : null;
}

const keyOf = ({ phase, way }: Manner): string => `${phase} ${way}`;

/** The ways that this jar knows, the usual one first. */
function mannersOf(batch: Batch): (Manner & { label: string })[] {
  const ways = batch.portions[0]?.ways ?? [];
  const served = ways.map(({ way, label }) => ({
    phase: batch.servedPhase,
    way,
    label: ways.length === 1 ? t('serve.as_is') : say(label),
  }));
  const others = batch.phases.filter(({ phase }) => phase !== batch.servedPhase);
  return [
    ...served,
    ...others.map(({ phase }) => ({
      phase,
      way: 'drained' as const,
      label: t('serve.alone', { phase: named('phase', phase) }),
    })),
  ];
}
