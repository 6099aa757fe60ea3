import { App, Button, Input, Popconfirm, Select } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Batch, Serving } from '../../api/client';
import { requestKey, useBatch, useServe, useTakeBack, useUndoServing } from '../../api/queries';
import { grams, mg, percent, sodium, sodiumBand } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { JarDrawing } from '../../drawings/JarDrawing';
import { shade } from '../../drawings/jarShape';
import { days } from '../shelf/days';
import { WriteDown } from './WriteDown';
import './BatchView.css';

const phaseNames = { pieces: 'Pieces', brine: 'Brine', sauce: 'Mash' } as const;
const placeNames = { counter: 'on the counter', cool: 'in the cool place', fridge: 'in the fridge' } as const;

/** One jar: what is in it, where its salt is, and who eats from it. */
export function BatchView() {
  const { batchId = '' } = useParams();
  const batch = useBatch(batchId);
  if (!batch.data) {
    return <PageState query={batch} />;
  }
  return <Whole batch={batch.data} />;
}

function Whole({ batch }: { batch: Batch }) {
  const widest = batch.contributions[0];

  return (
    <div className="batch">
      <div className="batch-jar">
        {batch.jar && (
          <JarDrawing
            jar={batch.jar}
            scale={1.75}
            label={`${batch.name}, drawn`}
            seed={batch.id}
            showsLevels
          />
        )}
      </div>
      <div>
        <h1>{batch.name}</h1>
        <p className="soft">
          {batch.methodLabel}
          {batch.strengthPercent !== null &&
            `, ${percent(batch.strengthPercent)} ${batch.strengthBasis}`}; {batch.jarName},{' '}
          {placeNames[batch.place]}, {days(batch.dayCount)}
        </p>
        <section aria-label="Sodium in 100 g">
          <div className="phases">
            {batch.phases.map((phase) => (
              <div
                key={phase.phase}
                className="phase"
                style={{ borderColor: phaseColour(batch, phase.phase) }}
              >
                {phaseNames[phase.phase]}, {grams(phase.grams)}
                <span className="figure" data-testid={`${phase.phase}-per-100g`}>
                  {sodium(phase.per100g)}
                </span>
                <span className="soft">sodium in 100 g; {sodiumBand(phase.per100g)}</span>
              </div>
            ))}
          </div>
          {widest && widest.sharePercent > 30 && (
            <p className="soft">
              The band comes mostly ({Math.round(widest.sharePercent)} %) from {widest.label}.
              {widest.remedy && ` To narrow it: ${widest.remedy}.`}
            </p>
          )}
        </section>
        <ServeFrom batch={batch} />
        <Whereabouts batch={batch} />
      </div>
      <aside>
        <WriteDown batch={batch} />
        <Life batch={batch} />
      </aside>
    </div>
  );
}

function phaseColour(batch: Batch, place: string): string {
  switch (place) {
    case 'pieces':
    case 'sauce':
      return batch.colour;
    case 'brine':
      return '#cbbf7c';
    case 'eaten':
      return shade(batch.colour, -0.45);
    case 'given_away':
      return '#6f8fa0';
    default:
      return '#a0978c';
  }
}

function ServeFrom({ batch }: { batch: Batch }) {
  const { message } = App.useApp();
  const serve = useServe();
  const undo = useUndoServing();
  const [amounts, setAmounts] = useState<Record<string, string>>({});
  const [phase, setPhase] = useState<Serving['phase']>(batch.servedPhase);
  const [complaint, setComplaint] = useState<{ personId: string; text: string } | null>(null);

  const give = (personId: string, amount: string) => {
    setComplaint(null);
    serve.mutate(
      { batchId: batch.id, personId, amount, phase, requestKey: requestKey() },
      {
        onSuccess: (serving) =>
          void message.open({
            type: 'success',
            duration: 8,
            content: (
              <span>
                {serving.personName}: {grams(serving.grams)}, {sodium(serving.sodium)}.{' '}
                <Button
                  type="link"
                  onClick={() => {
                    undo.mutate(serving.id);
                    message.destroy();
                  }}
                >
                  Undo
                </Button>
              </span>
            ),
          }),
        onError: (refusal) => setComplaint({ personId, text: refusal.of('amount') ?? refusal.message }),
      },
    );
  };

  return (
    <section aria-label="Serve">
      <div
        style={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', marginBottom: 8 }}
      >
        <h2>Serve</h2>
        {batch.phases.length > 1 && (
          <Select
            aria-label="What to serve"
            value={phase}
            onChange={setPhase}
            style={{ width: 170 }}
            options={batch.phases.map((one) => ({
              value: one.phase,
              label: one.phase === 'pieces' ? 'drained pieces' : `${one.phase} only`,
            }))}
          />
        )}
      </div>
      {batch.portions.map((portion) => {
        const amount = amounts[portion.personId] ?? `${portion.grams} g`;
        const isUsual = amount === `${portion.grams} g` && phase === batch.servedPhase;
        return (
          <div key={portion.personId}>
            <div className="serve-row">
              <span>{portion.name}</span>
              <Input
                aria-label={`Amount for ${portion.name}`}
                value={amount}
                onChange={(event) => setAmounts({ ...amounts, [portion.personId]: event.target.value })}
              />
              <span className="soft">
                {isUsual &&
                  (portion.sodium
                    ? `${sodium(portion.sodium)}, ${percent((portion.sodium.typical / portion.targetMg) * 100)} of target`
                    : 'less than that is left')}
              </span>
              <Button
                aria-label={`Serve ${portion.name}`}
                loading={serve.isPending && serve.variables.personId === portion.personId}
                onClick={() => give(portion.personId, amount)}
              >
                Serve
              </Button>
            </div>
            {complaint?.personId === portion.personId && (
              <p className="complaint" role="alert">
                {complaint.text}
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}

const placeWords: Record<string, string> = {
  pieces: 'in the pieces',
  brine: 'in the brine',
  sauce: 'in the mash',
  eaten: 'eaten',
  discarded: 'not used',
  given_away: 'given to other jars',
};

function Whereabouts({ batch }: { batch: Batch }) {
  const whole = batch.whereabouts.reduce((sum, part) => sum + part.sodiumMg, 0);
  return (
    <section aria-label="Where the salt went">
      <h2>Where the salt went</h2>
      <div className="where" aria-hidden="true">
        {batch.whereabouts.map((part) => (
          <span
            key={part.place}
            style={{ flex: part.sodiumMg / whole, background: phaseColour(batch, part.place) }}
          />
        ))}
      </div>
      <ul className="quiet-list where-list">
        {batch.whereabouts.map((part) => (
          <li key={part.place}>
            <i style={{ background: phaseColour(batch, part.place) }} />
            {placeWords[part.place]} {mg(part.sodiumMg)}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Life({ batch }: { batch: Batch }) {
  const { message } = App.useApp();
  const takeBack = useTakeBack(batch.id);
  const undo = (entry: string) =>
    takeBack.mutate(entry, {
      onError: (refusal) => void message.error(refusal.of('entry') ?? refusal.message, 8),
    });

  return (
    <section aria-label="Its life so far">
      <h2>Its life so far</h2>
      <ul className="quiet-list life">
        {batch.entries.toReversed().map((entry) => (
          <li key={entry.id}>
            <span className="soft">{dayjs(entry.happenedAt).format('D MMM')}</span>
            <span className={entry.isReversed ? 'taken-back' : undefined}>{entry.text}</span>
            {!entry.isReversed && entry.reversesId === null && (
              <Popconfirm
                title="Was this a mistake?"
                description="It stays in the jar's life, struck out."
                okText="Take it back"
                cancelText="No"
                onConfirm={() => undo(entry.id)}
              >
                <Button type="text" size="small" aria-label={`Take back: ${entry.text}`}>
                  ×
                </Button>
              </Popconfirm>
            )}
          </li>
        ))}
      </ul>
      <p>
        <Link to="/shelf">Back to the shelf</Link>
      </p>
    </section>
  );
}
