import { Button, Checkbox, Input, InputNumber, Segmented, Select } from 'antd';
import { memo, useMemo } from 'react';
import type { BenchAnswer, Kitchen, Refusal } from '../../api/client';
import { useShelf } from '../../api/queries';
import { grams, ml, percent } from '../../app/numbers';
import { forMethod, type Change, type Draft } from './draft';
import { optionsOf } from './options';
import { IngredientRows } from './IngredientRows';
import { FormRow } from './FormRow';
import { SaltRow } from './SaltRow';

interface Props {
  kitchen: Kitchen;
  draft: Draft;
  change: Change;
  answer: BenchAnswer | null;
  refusal: Refusal | null;
}

/** What the cook has put on the bench, in the order in which it is done. */
export const BenchForm = memo(function Sheet(props: Props) {
  const { kitchen, draft, change, answer, refusal } = props;
  const method = kitchen.methods.find((one) => one.id === draft.method);

  return (
    <div>
      {draft.method === 'transform' ? <Blend {...props} /> : <Take {...props} />}
      <FormRow verb="By" refusal={refusal} fields={['method']} aside={method?.note}>
        <Select
          aria-label="Method"
          value={draft.method}
          style={{ width: 216 }}
          listHeight={500}
          onChange={(id) => change(forMethod(draft, kitchen, id))}
          options={optionsOf(kitchen).methods}
        />
      </FormRow>
      <Into {...props} />
      <SaltRow {...props} />
      {method?.hasPouredBrine && (
        <FormRow verb="Water" refusal={refusal} fields={['waterAmount', 'waterAs']}>
          <Input
            aria-label="Water"
            placeholder={
              answer && !draft.waterAmount
                ? draft.waterAs === 'brine'
                  ? `${ml(answer.brineMl)} fill it`
                  : `${grams(Math.round(answer.waterGrams))} fill it`
                : '500 ml'
            }
            data-takes="weight"
            value={draft.waterAmount ?? ''}
            onChange={(event) => change({ waterAmount: event.target.value })}
            style={{ width: 150 }}
          />
          <Segmented
            aria-label="Water or brine"
            value={draft.waterAs ?? 'water'}
            onChange={(waterAs) => change({ waterAs: waterAs as Draft['waterAs'] })}
            options={[
              { value: 'water', label: 'of water' },
              { value: 'brine', label: 'of mixed brine' },
            ]}
          />
        </FormRow>
      )}
      {method && method.saltingMinutes !== null && <Rest {...props} method={method} />}
      {method?.isDressed && (
        <FormRow verb="Dress" refusal={refusal} fields={['paste']}>
          <IngredientRows
            more="Add to the dressing"
            called="dressing"
            kitchen={kitchen}
            parts={draft.paste ?? []}
            change={(paste) => change({ paste })}
          />
        </FormRow>
      )}
      {method?.takesStarter && <Starter {...props} />}
      <FormRow verb="Serve" refusal={refusal} fields={['servingAmount']}>
        <Input
          aria-label="Serving"
          value={draft.servingAmount ?? ''}
          onChange={(event) => change({ servingAmount: event.target.value })}
        />
        <span className="soft">at a time{method?.servedPhase === 'pieces' && ', drained'}</span>
      </FormRow>
    </div>
  );
});

function Take({ kitchen, draft, change, answer, refusal }: Props) {
  const isPulp = kitchen.methods.find((one) => one.id === draft.method)?.servedPhase === 'sauce';
  const lists = optionsOf(kitchen);
  const shapeOf = (id: string) => kitchen.ingredients.find((one) => one.id === id)?.shape ?? null;

  return (
    <FormRow verb="Take" refusal={refusal} fields={['vegetableId', 'vegetableAmount', 'shape', 'alongside']}>
      <Input
        aria-label="Weight of the vegetable"
        placeholder={
          answer && !draft.vegetableAmount ? `${Math.round(answer.vegetableGrams)} g fill it` : '900 g'
        }
        data-takes="weight"
        value={draft.vegetableAmount ?? ''}
        onChange={(event) => change({ vegetableAmount: event.target.value })}
        style={{ width: 120 }}
      />
      <Select
        aria-label="Vegetable"
        showSearch={{ optionFilterProp: 'label' }}
        value={draft.vegetableId}
        style={{ minWidth: 150, flex: 1 }}
        onChange={(vegetableId) => change({ vegetableId, shape: shapeOf(vegetableId) })}
        options={draft.method === 'cultured_condiment' ? lists.bases : lists.vegetables}
      />
      <Select
        aria-label="Cut"
        value={isPulp ? 'pulp' : draft.shape}
        disabled={isPulp}
        style={{ width: 104 }}
        onChange={(shape) => change({ shape })}
        options={lists.cuts}
      />
      <IngredientRows
        more="Something with it"
        called="with it"
        kitchen={kitchen}
        parts={draft.alongside ?? []}
        change={(alongside) => change({ alongside })}
      />
    </FormRow>
  );
}

/** A sauce is made of a batch that is there. */
function Blend({ kitchen, draft, change, refusal }: Props) {
  const shelf = useShelf();

  return (
    <FormRow verb="Take" refusal={refusal} fields={['sourceBatchId', 'keptBrine', 'isHeated', 'alongside']}>
      <Select
        aria-label="Batch"
        placeholder="which jar becomes a sauce"
        value={draft.sourceBatchId}
        style={{ minWidth: 216, flex: 1 }}
        onChange={(sourceBatchId) => change({ sourceBatchId })}
        options={(shelf.data?.batches ?? []).map((one) => ({ value: one.id, label: one.name }))}
      />
      <label className="bench-beside">
        <span className="soft">with</span>
        <Input
          aria-label="Brine that is blended in"
          placeholder="all of its brine"
          data-takes="weight"
          value={draft.keptBrine ?? ''}
          onChange={(event) => change({ keptBrine: event.target.value })}
          style={{ width: 140 }}
        />
      </label>
      <Checkbox
        checked={draft.isHeated ?? false}
        onChange={(event) => change({ isHeated: event.target.checked })}
      >
        heated
      </Checkbox>
      <IngredientRows
        more="Something blended in"
        called="blended in"
        kitchen={kitchen}
        parts={draft.alongside ?? []}
        change={(alongside) => change({ alongside })}
      />
    </FormRow>
  );
}

function Into({ kitchen, draft, change, answer, refusal }: Props) {
  const { jars, jarsOrNone } = optionsOf(kitchen);
  const more = draft.moreJarIds ?? [];

  return (
    <FormRow verb="Into" refusal={refusal} fields={['jarId', 'moreJarIds', 'headspaceMm', 'weightMl']}>
      <Select
        aria-label="Jar"
        showSearch={{ optionFilterProp: 'label' }}
        value={draft.jarId ?? ''}
        style={{ minWidth: 170, flex: 1 }}
        onChange={(id) => change({ jarId: id === '' ? null : id, ...(id === '' ? { moreJarIds: [] } : {}) })}
        options={jarsOrNone}
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
      {more.map((id, place) => (
        <div className="bench-part" key={place}>
          <span className="soft">and</span>
          <Select
            aria-label={`Jar ${String(place + 2)}`}
            value={id}
            onChange={(next: string) => change({ moreJarIds: more.with(place, next) })}
            options={jars}
          />
          <Button
            type="text"
            aria-label={`Leave out jar ${String(place + 2)}`}
            onClick={() => change({ moreJarIds: more.filter((_, other) => other !== place) })}
          >
            ×
          </Button>
        </div>
      ))}
      {draft.jarId !== null && draft.method !== 'transform' && (
        <Button
          type="dashed"
          onClick={() => change({ moreJarIds: [...more, more.at(-1) ?? draft.jarId ?? ''] })}
        >
          Split over one more jar
        </Button>
      )}
      {(answer?.fitting ?? []).map((jar) => (
        <Button key={jar.jarId} type="dashed" onClick={() => change({ jarId: jar.jarId })}>
          {jar.name}, {Math.round(jar.percentFull)} % full
        </Button>
      ))}
    </FormRow>
  );
}

function Rest({ draft, change, refusal, method }: Props & { method: Kitchen['methods'][number] }) {
  const isSoaked = method.id === 'kimchi_soaked' || method.id === 'quick_salt_pickle';

  return (
    <FormRow
      verb={isSoaked ? 'Soak' : 'Rest'}
      refusal={refusal}
      fields={['saltingMinutes', 'rinseSeconds', 'isSqueezed']}
    >
      <InputNumber
        aria-label={isSoaked ? 'Soak, hours' : 'Rest, hours'}
        placeholder={String((method.saltingMinutes ?? 0) / 60)}
        value={draft.saltingMinutes === null ? null : draft.saltingMinutes / 60}
        min={0}
        step={0.5}
        onChange={(hours) => change({ saltingMinutes: hours === null ? null : hours * 60 })}
        suffix="hours"
        style={{ width: 112 }}
      />
      {method.rinseSeconds !== null && (
        <label className="bench-beside">
          <span className="soft">then rinse</span>
          <InputNumber
            aria-label="Rinse, seconds"
            placeholder={String(method.rinseSeconds)}
            value={draft.rinseSeconds}
            min={0}
            step={30}
            onChange={(rinseSeconds) => change({ rinseSeconds })}
            suffix="s"
            style={{ width: 92 }}
          />
        </label>
      )}
      {method.isDressed && (
        <Checkbox
          checked={draft.isSqueezed ?? method.rinseSeconds !== null}
          onChange={(event) => change({ isSqueezed: event.target.checked })}
        >
          squeezed
        </Checkbox>
      )}
    </FormRow>
  );
}

function Starter({ kitchen, draft, change, answer, refusal }: Props) {
  const shelf = useShelf();
  const starters = useMemo(
    () => [
      { value: '', label: 'none, it starts by itself' },
      {
        label: 'brine from the shelf, as strong as it is now',
        options: (shelf.data?.batches ?? [])
          .filter((one) => one.liquidGrams >= 1 && one.liquidPercent !== null)
          .map((one) => ({
            value: `batch:${one.id}`,
            label: `brine of ${one.name}, ${percent(one.liquidPercent ?? 0)}, ${grams(Math.round(one.liquidGrams))}`,
          })),
      },
      { label: 'from the pantry', options: optionsOf(kitchen).starters },
    ],
    [shelf.data, kitchen],
  );
  const starter = draft.starterBatchId
    ? `batch:${draft.starterBatchId}`
    : draft.starterId
      ? `pantry:${draft.starterId}`
      : '';
  const stated = answer?.starter;

  return (
    <FormRow
      verb="Starter"
      refusal={refusal}
      fields={['starterId', 'starterBatchId', 'starterAmount']}
      aside={
        starter !== '' && stated
          ? `${grams(stated.grams)} at ${percent(stated.strengthPercent)} salt bring ${String(Math.round(stated.sodiumMg))} mg of sodium.`
          : undefined
      }
    >
      <Select
        aria-label="Starter"
        value={starter}
        style={{ minWidth: 216, flex: 1 }}
        popupMatchSelectWidth={false}
        listHeight={420}
        onChange={(chosen: string) => {
          const [from, id] = chosen.split(':');
          change({
            starterId: from === 'pantry' ? (id ?? null) : null,
            starterBatchId: from === 'batch' ? (id ?? null) : null,
            starterAmount:
              chosen === '' ? '' : draft.starterAmount || (draft.method === 'reused_brine' ? '' : '2 tbsp'),
          });
        }}
        options={starters}
      />
      {starter !== '' && (
        <Input
          aria-label="Amount of starter"
          placeholder={draft.method === 'reused_brine' ? 'to cover' : '2 tbsp'}
          data-takes="weight"
          value={draft.starterAmount ?? ''}
          onChange={(event) => change({ starterAmount: event.target.value })}
        />
      )}
    </FormRow>
  );
}
