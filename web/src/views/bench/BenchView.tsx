import { App, Button, Input, InputNumber, Segmented, Select } from 'antd';
import dayjs from 'dayjs';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { BenchAnswer, Kitchen, Refusal } from '../../api/client';
import { requestKey, useBench, useKitchen, useShelf, useStartBatch } from '../../api/queries';
import { grams, sodium } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { JarDrawing } from '../../drawings/JarDrawing';
import { top } from '../../drawings/jarShape';
import { Answer } from './Answer';
import { forgetDraft, useDraft, type Draft } from './draft';
import './BenchView.css';

/** Making a jar: one screen that computes while the cook types. */
export function BenchView() {
  const kitchen = useKitchen();
  return kitchen.data ? <Bench kitchen={kitchen.data} /> : <PageState query={kitchen} />;
}

function Bench({ kitchen }: { kitchen: Kitchen }) {
  const [draft, change] = useDraft(kitchen);
  const bench = useBench(draft);
  const answer = bench.data?.answer ?? null;
  const refusal = bench.data?.refusal ?? null;
  const vegetable = kitchen.ingredients.find((one) => one.id === draft.vegetableId);

  return (
    <div className="bench">
      <Sheet kitchen={kitchen} draft={draft} change={change} answer={answer} refusal={refusal} />
      <div className="bench-jar">
        {answer?.jar ? (
          <JarDrawing
            jar={answer.jar}
            scale={Math.min(470 / top(answer.jar), 300 / (answer.jar.bodyMm + 74))}
            label={`The jar as it would stand, ${vegetable?.name ?? ''}`}
            seed="bench"
            showsLevels
          />
        ) : (
          <p className="soft">Pick a jar to see it filled.</p>
        )}
      </div>
      <div className="answer">
        {answer ? (
          <Answer answer={answer} isStale={refusal !== null} />
        ) : (
          <p className="soft">{refusal?.message}</p>
        )}
        {refusal && Object.keys(refusal.fields).length === 0 && (
          <p className="complaint" role="alert">
            {refusal.message}
          </p>
        )}
        {answer && (
          <p className="bench-brief" aria-hidden="true">
            <b>{answer.saltIsSpooned ? answer.saltSpoons : grams(answer.saltGrams)}</b> salt
            {answer.waterGrams > 0 && (
              <>
                , <b>{grams(answer.waterGrams)}</b> water
              </>
            )}
            ; <b>{sodium(answer.serving.sodium)}</b> in {grams(answer.serving.grams)}
          </p>
        )}
        <Start draft={draft} name={vegetable?.name ?? ''} isReady={refusal === null && answer !== null} />
      </div>
    </div>
  );
}

interface SheetProps {
  kitchen: Kitchen;
  draft: Draft;
  change: (part: Partial<Draft>) => void;
  answer: BenchAnswer | null;
  refusal: Refusal | null;
}

function Sheet({ kitchen, draft, change, answer, refusal }: SheetProps) {
  const shelf = useShelf();
  const method = kitchen.methods.find((one) => one.id === draft.method);
  const starters = [
    {
      label: 'from the pantry',
      options: kitchen.ingredients
        .filter((one) => one.use === 'starter')
        .map((one) => ({ value: `pantry:${one.id}`, label: one.name })),
    },
    {
      label: 'brine from the shelf',
      options: (shelf.data?.batches ?? [])
        .filter((one) => one.servedPhase === 'pieces')
        .map((one) => ({ value: `batch:${one.id}`, label: `brine of ${one.name}` })),
    },
  ];
  const starter = draft.starterBatchId
    ? `batch:${draft.starterBatchId}`
    : draft.starterId
      ? `pantry:${draft.starterId}`
      : '';

  return (
    <div>
      <Row verb="Take" refusal={refusal} fields={['vegetableId', 'vegetableAmount', 'shape']}>
        <Input
          aria-label="Weight of the vegetable"
          placeholder={
            answer && !draft.vegetableAmount ? `${Math.round(answer.vegetableGrams)} g fill it` : '900 g'
          }
          value={draft.vegetableAmount ?? ''}
          onChange={(event) => change({ vegetableAmount: event.target.value })}
          style={{ width: 120 }}
        />
        <Select
          aria-label="Vegetable"
          showSearch={{ optionFilterProp: 'label' }}
          value={draft.vegetableId}
          style={{ minWidth: 150, flex: 1 }}
          onChange={(vegetableId: string) =>
            change({
              vegetableId,
              shape: kitchen.ingredients.find((one) => one.id === vegetableId)?.shape ?? null,
            })
          }
          options={kitchen.ingredients
            .filter((one) => one.use === 'vegetable')
            .map((one) => ({ value: one.id, label: one.name }))}
        />
        <Select
          aria-label="Cut"
          value={draft.method === 'mash' ? 'pulp' : draft.shape}
          disabled={draft.method === 'mash'}
          style={{ width: 104 }}
          onChange={(shape) => change({ shape })}
          options={kitchen.shapes.map((shape) => ({ value: shape, label: shape }))}
        />
      </Row>
      <Row verb="By" refusal={refusal} fields={['method']} aside={method?.note}>
        <Select
          aria-label="Method"
          value={draft.method}
          style={{ width: 216 }}
          onChange={(id) => {
            const next = kitchen.methods.find((one) => one.id === id);
            change({
              method: id,
              fixed: 'strength',
              strengthBasis: next?.basis ?? draft.strengthBasis,
              strengthPercent: String(next?.percent ?? ''),
              headspaceMm: next?.headspaceMm ?? null,
            });
          }}
          options={kitchen.methods.map((one) => ({ value: one.id, label: one.label }))}
        />
      </Row>
      <Row verb="Into" refusal={refusal} fields={['jarId', 'headspaceMm', 'weightMl']}>
        <Select
          aria-label="Jar"
          showSearch={{ optionFilterProp: 'label' }}
          value={draft.jarId ?? ''}
          style={{ minWidth: 170, flex: 1 }}
          onChange={(id) => change({ jarId: id === '' ? null : id })}
          options={[
            ...kitchen.jars.map((jar) => ({
              value: jar.id,
              label: `${jar.name}${jar.howMany - jar.inUse > 0 ? `, ${jar.howMany - jar.inUse} free` : ', none free'}`,
            })),
            { value: '', label: 'no jar yet' },
          ]}
        />
        <InputNumber
          aria-label="Headspace in mm"
          value={draft.headspaceMm}
          onChange={(headspaceMm) => change({ headspaceMm })}
          suffix="mm free"
          style={{ width: 112 }}
        />
        <InputNumber
          aria-label="Room the weight takes, ml"
          value={draft.weightMl}
          onChange={(weightMl) => change({ weightMl })}
          suffix="ml weight"
          style={{ width: 124 }}
        />
      </Row>
      <Row
        verb="Salt"
        refusal={refusal}
        fields={['saltId', 'saltUnit', 'fixed', 'strengthPercent', 'strengthBasis', 'saltAmount']}
      >
        <Select
          aria-label="Salt"
          showSearch={{ optionFilterProp: 'label' }}
          value={draft.saltId}
          style={{ minWidth: 186, flex: 1 }}
          onChange={(saltId) => change({ saltId })}
          options={kitchen.salts.map((salt) => ({ value: salt.id, label: salt.name }))}
        />
        <Segmented
          aria-label="Unit for salt"
          value={draft.saltUnit}
          onChange={(saltUnit: Draft['saltUnit']) => change({ saltUnit })}
          options={[
            { value: 'grams', label: 'weighed' },
            { value: 'spoons', label: 'spooned' },
          ]}
        />
        <Segmented
          aria-label="What is fixed"
          value={draft.fixed}
          onChange={(fixed: Draft['fixed']) => change({ fixed })}
          options={[
            { value: 'strength', label: 'strength' },
            { value: 'salt', label: 'amount' },
          ]}
        />
        {draft.fixed === 'strength' ? (
          <>
            <Input
              aria-label="Strength in percent"
              value={draft.strengthPercent ?? ''}
              onChange={(event) => change({ strengthPercent: event.target.value })}
              suffix="%"
              style={{ width: 78 }}
            />
            <Select
              aria-label="Percent of what"
              value={draft.strengthBasis}
              style={{ width: 148 }}
              onChange={(strengthBasis) => change({ strengthBasis })}
              options={kitchen.bases.map((basis) => ({ value: basis.id, label: basis.label }))}
            />
          </>
        ) : (
          <Input
            aria-label="Amount of salt"
            placeholder={draft.saltUnit === 'grams' ? '18 g' : '1 1/2 tbsp'}
            value={draft.saltAmount ?? ''}
            onChange={(event) => change({ saltAmount: event.target.value })}
            style={{ width: 160 }}
          />
        )}
      </Row>
      {method?.hasPouredBrine && (
        <Row verb="Water" refusal={refusal} fields={['waterAmount']}>
          <Input
            aria-label="Water"
            placeholder={
              answer && !draft.waterAmount ? `${Math.round(answer.waterGrams)} g fill it` : '500 ml'
            }
            value={draft.waterAmount ?? ''}
            onChange={(event) => change({ waterAmount: event.target.value })}
            style={{ width: 150 }}
          />
          <span className="soft">left open, as much as the jar takes</span>
        </Row>
      )}
      <Row verb="Starter" refusal={refusal} fields={['starterId', 'starterBatchId', 'starterAmount']}>
        <Select
          aria-label="Starter"
          value={starter}
          style={{ minWidth: 216, flex: 1 }}
          onChange={(chosen: string) => {
            const [from, id] = chosen.split(':');
            change({
              starterId: from === 'pantry' ? (id ?? null) : null,
              starterBatchId: from === 'batch' ? (id ?? null) : null,
              starterAmount: chosen === '' ? '' : draft.starterAmount || '2 tbsp',
            });
          }}
          options={[{ value: '', label: 'none, it starts by itself' }, ...starters]}
        />
        {starter !== '' && (
          <Input
            aria-label="Amount of starter"
            value={draft.starterAmount ?? ''}
            onChange={(event) => change({ starterAmount: event.target.value })}
          />
        )}
      </Row>
      <Row verb="Serve" refusal={refusal} fields={['servingAmount']}>
        <Input
          aria-label="Serving"
          value={draft.servingAmount ?? ''}
          onChange={(event) => change({ servingAmount: event.target.value })}
        />
        <span className="soft">at a time, drained</span>
      </Row>
    </div>
  );
}

interface RowProps {
  verb: string;
  fields: (keyof Draft)[];
  refusal: Refusal | null;
  aside?: string | undefined;
  children: ReactNode;
}

function Row({ verb, fields, refusal, aside, children }: RowProps) {
  return (
    <section className="bench-row" aria-label={verb}>
      <h3>{verb}</h3>
      <div className="bench-fields">{children}</div>
      {aside && <p className="aside">{aside}</p>}
      {fields.map((field) => {
        const complaint = refusal?.of(field);
        return complaint ? (
          <p key={field} className="complaint" role="alert">
            {complaint}
          </p>
        ) : null;
      })}
    </section>
  );
}

function Start({ draft, name, isReady }: { draft: Draft; name: string; isReady: boolean }) {
  const [typedName, setTypedName] = useState('');
  const [place, setPlace] = useState<'counter' | 'cool' | 'fridge'>('counter');
  const [startedOn, setStartedOn] = useState('');
  const [key, setKey] = useState(requestKey);
  const start = useStartBatch();
  const navigate = useNavigate();
  const { message } = App.useApp();
  const called = typedName.trim() || name;

  return (
    <div>
      <div className="bench-start">
        <Input
          aria-label="Name of the jar"
          placeholder={name}
          value={typedName}
          onChange={(event) => setTypedName(event.target.value)}
        />
        <Select
          aria-label="Place"
          value={place}
          onChange={setPlace}
          style={{ width: 130 }}
          options={[
            { value: 'counter', label: 'counter' },
            { value: 'cool', label: 'cool place' },
            { value: 'fridge', label: 'fridge' },
          ]}
        />
        <label className="bench-day">
          <span className="soft">{startedOn === '' ? 'today, or on' : 'on'}</span>
          <Input
            type="date"
            aria-label="Started on"
            value={startedOn}
            max={dayjs().format('YYYY-MM-DD')}
            onChange={(event) => setStartedOn(event.target.value)}
          />
        </label>
        <Button
          type="primary"
          disabled={!isReady}
          loading={start.isPending}
          onClick={() =>
            start.mutate(
              { ...draft, name: called, place, startedOn: startedOn || null, requestKey: key },
              {
                onSuccess: (batch) => {
                  forgetDraft();
                  setKey(requestKey());
                  void message.success(`${batch.name} is started.`);
                  void navigate(`/shelf/${batch.id}`);
                },
              },
            )
          }
        >
          Start the jar
        </Button>
      </div>
      {start.error && (
        <p className="complaint" role="alert">
          {Object.values(start.error.fields)[0]?.[0] ?? start.error.message}
        </p>
      )}
    </div>
  );
}
