import { named, say, t } from '../../messages/words';
import { Button, Checkbox, Segmented } from 'antd';
import { Choice } from '../../app/Choice';
import { memo, useMemo } from 'react';
import type { AmountOf } from '../../api/amounts';
import type { BenchAnswer, Kitchen, Refusal } from '../../api/client';
import { useShelf } from '../../api/queries';
import { AmountInput } from '../../app/AmountInput';
import { FoodSelect } from '../../app/FoodSelect';
import { QuantityBox } from '../../app/QuantityBox';
import { grams, length, ml, percent } from '../../app/numbers';
import { forMethod, type Change, type Draft } from './draft';
import { optionsOf } from './options';
import { Cuts } from './Cuts';
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

/** An amount of a food of the pantry. */
const foodOf = (id: string | null): AmountOf => (id === null ? { kind: 'amount' } : { kind: 'amount', of: 'food', id });

/** The cover that comes with the jar, where the cook says no other. */
function coverOf(kitchen: Kitchen, draft: Draft): string {
  const jar = kitchen.jars.find((one) => one.id === draft.jarId);

  return jar ? named('cover', jar.cover.replace(' ', '_')) : t('bench.cover_usual');
}

/** What the cook has put on the bench, in the order in which it is done. */
export const BenchForm = memo(function Sheet(props: Props) {
  const { kitchen, draft, change, answer, refusal } = props;
  const method = kitchen.methods.find((one) => one.id === draft.method);

  return (
    <div>
      {draft.method === 'transform' ? <Blend {...props} /> : <Take {...props} />}
      <FormRow verb={t('bench.by')} refusal={refusal} fields={['method']} aside={say(method?.note) ?? undefined}>
        <Choice
          aria-label={t('bench.method')}
          value={draft.method}
          className="box-l"
          listHeight={500}
          onChange={(id) => change(forMethod(draft, kitchen, id))}
          options={optionsOf(kitchen).methods}
        />
      </FormRow>
      <Into {...props} />
      <SaltRow {...props} />
      {method?.hasPouredBrine && (
        <FormRow verb={t('bench.water')} refusal={refusal} fields={['waterAmount', 'waterAs', 'pouredAmount']}>
          <AmountInput
            asks={draft.waterAs === 'brine' ? { kind: 'amount' } : { kind: 'amount', of: 'water' }}
            name="waterAmount"
            aria-label={t('bench.water')}
            placeholder={
              answer && !draft.waterAmount
                ? draft.waterAs === 'brine'
                  ? t('bench.fills', { amount: ml(answer.brineMl) })
                  : t('bench.fills', { amount: grams(Math.round(answer.waterGrams)) })
                : t('bench.example_500_ml')
            }
            value={draft.waterAmount ?? ''}
            change={(waterAmount) => change({ waterAmount })}
            className="box-m"
          />
          <Segmented
            aria-label={t('bench.water_or_brine')}
            value={draft.waterAs ?? 'water'}
            onChange={(waterAs) => change({ waterAs: waterAs as Draft['waterAs'] })}
            options={[
              { value: 'water', label: t('bench.of_water') },
              { value: 'brine', label: t('bench.of_brine') },
            ]}
          />
          {(draft.waterAmount ?? '') !== '' && draft.jarId !== null && (
            <label className="bench-beside">
              <span className="soft">{t('bench.poured')}</span>
              <AmountInput
                asks={{ kind: 'amount', of: 'water' }}
                name="pouredAmount"
                aria-label={t('bench.poured')}
                placeholder={t('bench.poured_hint')}
                value={draft.pouredAmount ?? ''}
                change={(pouredAmount) => change({ pouredAmount })}
                className="bench-amount"
              />
            </label>
          )}
          {answer && answer.leftOverGrams >= 1 && ((draft.waterAmount ?? '') !== '' || draft.keepsLeftOver) && (
            <label className="bench-beside">
              <span className="soft">{t('bench.left_over', { grams: grams(Math.round(answer.leftOverGrams)) })}</span>
              <Segmented
                aria-label={t('bench.left_over_do')}
                value={draft.keepsLeftOver ? 'keep' : 'pour'}
                onChange={(what) => change({ keepsLeftOver: what === 'keep' })}
                options={[
                  { value: 'pour', label: t('bench.pour_away') },
                  { value: 'keep', label: t('bench.keep_brine') },
                ]}
              />
            </label>
          )}
        </FormRow>
      )}
      {method && method.saltingMinutes !== null && <Rest {...props} method={method} />}
      {method?.isDressed && (
        <FormRow verb={t('bench.dress')} refusal={refusal} fields={['paste']}>
          <IngredientRows
            more={t('bench.add_dressing')}
            called={t('bench.called_dressing')}
            kitchen={kitchen}
            path="paste"
            parts={draft.paste ?? []}
            change={(paste) => change({ paste })}
          />
        </FormRow>
      )}
      {method?.takesStarter && <Starter {...props} />}
      <FormRow verb={t('bench.serve')} refusal={refusal} fields={['servingAmount']}>
        <AmountInput
          asks={foodOf(draft.vegetableId)}
          name="servingAmount"
          aria-label={t('bench.serving')}
          value={draft.servingAmount ?? ''}
          change={(servingAmount) => change({ servingAmount })}
        />
        <span className="soft">{t('bench.at_a_time', { isDrained: method?.servedPhase === 'pieces' })}</span>
      </FormRow>
    </div>
  );
});

function Take({ kitchen, draft, change, answer, refusal }: Props) {
  const isPulp = kitchen.methods.find((one) => one.id === draft.method)?.servedPhase === 'sauce';
  const lists = optionsOf(kitchen);
  const shapeOf = (id: string) => kitchen.ingredients.find((one) => one.id === id)?.shape ?? null;

  return (
    <FormRow
      verb={t('bench.take')}
      refusal={refusal}
      fields={['vegetableId', 'vegetableAmount', 'shape', 'cuts', 'alongside']}
    >
      <AmountInput
        asks={foodOf(draft.vegetableId)}
        name="vegetableAmount"
        aria-label={t('bench.vegetable_weight')}
        placeholder={
          answer && !draft.vegetableAmount
            ? t('bench.grams_fill', { grams: Math.round(answer.vegetableGrams) })
            : '900 g'
        }
        value={draft.vegetableAmount ?? ''}
        change={(vegetableAmount) => change({ vegetableAmount })}
        className="bench-amount"
      />
      <FoodSelect
        kitchen={kitchen}
        label={t('bench.vegetable')}
        value={draft.vegetableId}
        className="box-grow"
        change={(vegetableId) => change({ vegetableId, shape: shapeOf(vegetableId), cuts: null })}
        foods={kitchen.methods.find((one) => one.id === draft.method)?.isMixed ? lists.bases : lists.vegetables}
      />
      <Choice
        aria-label={t('bench.cut')}
        value={isPulp ? 'pulp' : draft.shape}
        disabled={isPulp}
        className="box-s"
        onChange={(shape) => change({ shape, cuts: null })}
        options={lists.cuts}
      />
      {!isPulp && (
        <Cuts
          shape={draft.shape}
          isRibbed={kitchen.ingredients.find(({ id }) => id === draft.vegetableId)?.tissue === 'ribbed_leaf'}
          cuts={draft.cuts ?? []}
          change={(cuts) => change({ cuts })}
        />
      )}
      <IngredientRows
        more={t('bench.add_food')}
        called={t('bench.called_with')}
        kitchen={kitchen}
        path="alongside"
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
    <FormRow verb={t('bench.take')} refusal={refusal} fields={['sourceBatchId', 'keptBrine', 'isHeated', 'alongside']}>
      <Choice
        aria-label={t('bench.batch')}
        placeholder={t('bench.choose_source')}
        value={draft.sourceBatchId}
        className="box-grow"
        onChange={(sourceBatchId) => change({ sourceBatchId })}
        options={(shelf.data?.batches ?? []).map((one) => ({ value: one.id, label: one.name }))}
      />
      <label className="bench-beside">
        <span className="soft">{t('bench.with')}</span>
        <AmountInput
          asks={{ kind: 'amount', of: 'water' }}
          name="keptBrine"
          aria-label={t('bench.blended_brine')}
          placeholder={t('bench.all_brine')}
          value={draft.keptBrine ?? ''}
          change={(keptBrine) => change({ keptBrine })}
          className="bench-cover"
        />
      </label>
      <Checkbox checked={draft.isHeated ?? false} onChange={(event) => change({ isHeated: event.target.checked })}>
        {t('bench.heated')}
      </Checkbox>
      <IngredientRows
        more={t('bench.add_blended')}
        called={t('bench.called_blended')}
        kitchen={kitchen}
        path="alongside"
        parts={draft.alongside ?? []}
        change={(alongside) => change({ alongside })}
      />
    </FormRow>
  );
}

/** The smallest free jar that holds as much as one that is taken; failing that the largest. */
function freeInstead(kitchen: Kitchen, jarId: string | null | undefined): Kitchen['jars'][number] | undefined {
  const taken = kitchen.jars.find(({ id }) => id === jarId);
  const free = kitchen.jars
    .filter(({ id, howMany, inUse }) => id !== jarId && howMany > inUse)
    .toSorted((one, other) => one.nominalMl - other.nominalMl);

  return free.find(({ nominalMl }) => nominalMl >= (taken?.nominalMl ?? 0)) ?? free.at(-1);
}

function Into(props: Props) {
  const { kitchen, draft, change, answer, refusal } = props;
  const { jars, jarsOrNone } = optionsOf(kitchen);
  const more = draft.moreJarIds ?? [];
  const free = freeInstead(kitchen, draft.jarId);
  const isOverfull =
    (draft.leftOutAmount ?? '') !== '' ||
    (answer?.advice.some(({ code }) => code === 'too_full' || code === 'no_room') ?? false);

  return (
    <FormRow
      verb={t('bench.into')}
      term="headspace"
      refusal={refusal}
      fields={['jarId', 'moreJarIds', 'leftOutAmount', 'headspaceMm', 'weightMl', 'holdDownId', 'cover']}
    >
      <Choice
        aria-label={t('bench.jar')}
        showSearch={{ optionFilterProp: 'label' }}
        value={draft.jarId ?? ''}
        className="box-grow"
        onChange={(id) =>
          change({ jarId: id === '' ? null : id, hasOneMore: false, ...(id === '' ? { moreJarIds: [] } : {}) })
        }
        options={jarsOrNone}
      />
      {isOverfull && (
        <label className="bench-beside">
          <span className="soft">{t('bench.left_out')}</span>
          <AmountInput
            asks={foodOf(draft.vegetableId)}
            name="leftOutAmount"
            aria-label={t('bench.left_out')}
            value={draft.leftOutAmount ?? ''}
            change={(leftOutAmount) => change({ leftOutAmount })}
            className="bench-amount"
          />
        </label>
      )}
      {answer && answer.packsAsBefore !== null && (
        <p className="soft bench-bag">{t('bench.packs', { percent: percent(answer.packsAsBefore * 100, 0) })}</p>
      )}
      <Closed {...props} />
      {more.map((id, place) => (
        <div className="bench-part" key={place}>
          <span className="soft">{t('bench.and')}</span>
          <Choice
            aria-label={t('bench.jar_number', { number: String(place + 2) })}
            value={id}
            onChange={(next: string) => change({ moreJarIds: more.with(place, next) })}
            options={jars}
          />
          <Button
            type="text"
            aria-label={t('bench.remove_jar', { number: String(place + 2) })}
            onClick={() => change({ moreJarIds: more.filter((_, other) => other !== place) })}
          >
            ×
          </Button>
        </div>
      ))}
      {draft.jarId !== null && draft.method !== 'transform' && (
        <Button type="dashed" onClick={() => change({ moreJarIds: [...more, more.at(-1) ?? draft.jarId ?? ''] })}>
          {t('bench.split')}
        </Button>
      )}
      {(answer?.taken ?? []).map((one) => (
        <p key={one.jarId} className="aside bench-taken">
          {say(one.message)}{' '}
          <Button size="small" onClick={() => change({ hasOneMore: true })}>
            {t('bench.one_more')}
          </Button>{' '}
          {draft.jarId === one.jarId && more.length === 0 && free && (
            <Button size="small" onClick={() => change({ jarId: free.id })}>
              {t('bench.take_instead', { jar: free.name })}
            </Button>
          )}
        </p>
      ))}
      {(answer?.fitting ?? []).map((jar) => (
        <Button key={jar.jarId} type="dashed" onClick={() => change({ jarId: jar.jarId })}>
          {t('bench.percent_full', { jar: jar.name, percent: Math.round(jar.percentFull) })}
        </Button>
      ))}
    </FormRow>
  );
}

/** How the jar is closed: headspace, cover, what holds the food down. As it usually is until somebody says otherwise. */
function Closed({ kitchen, draft, change, answer }: Props) {
  const { covers, holdDowns } = optionsOf(kitchen);
  const holdDown = kitchen.holdDowns.find((one) => one.id === draft.holdDownId);

  return (
    <details className="bench-closed">
      <summary>
        {t('bench.closed', {
          headspace: length(draft.headspaceMm ?? 0),
          cover: draft.cover ? named('cover', draft.cover.replace(' ', '_')) : coverOf(kitchen, draft),
          holdDown: holdDown?.name ?? 'none',
        })}
      </summary>
      <div className="bench-fields">
        <label className="bench-beside">
          <QuantityBox
            name="headspaceMm"
            aria-label={t('bench.headspace')}
            measures="length"
            value={draft.headspaceMm}
            change={(headspaceMm) => change({ headspaceMm })}
            className="bench-measure"
          />
          <span className="soft">{t('bench.free')}</span>
        </label>
        <Choice
          aria-label={t('bench.cover')}
          value={draft.cover ?? ''}
          onChange={(cover: Draft['cover'] | '') => change({ cover: cover === '' ? null : cover })}
          options={[{ value: '' as const, label: coverOf(kitchen, draft) }, ...covers]}
          className="bench-cover"
        />
        <Choice
          aria-label={t('bench.hold_down')}
          value={draft.holdDownId ?? ''}
          onChange={(id) => change({ holdDownId: id === '' ? null : id, weightMl: null })}
          options={[{ value: '', label: t('bench.no_hold_down') }, ...holdDowns]}
          className="bench-hold-down"
        />
        <Checkbox checked={draft.hasSaucer ?? false} onChange={(event) => change({ hasSaucer: event.target.checked })}>
          {t('bench.saucer')}
        </Checkbox>
        {answer?.bag && (
          <p className="soft bench-bag">
            {t('bench.bag', { salt: grams(answer.bag.saltGrams), water: grams(Math.round(answer.bag.waterGrams)) })}
          </p>
        )}
      </div>
    </details>
  );
}

function Rest({ draft, change, refusal, method }: Props & { method: Kitchen['methods'][number] }) {
  const isSoaked = method.id === 'kimchi_soaked' || method.id === 'quick_salt_pickle';

  return (
    <FormRow
      verb={isSoaked ? t('bench.soak') : t('bench.rest')}
      refusal={refusal}
      fields={['saltingMinutes', 'rinseSeconds', 'isSqueezed']}
    >
      <QuantityBox
        measures="hours"
        name="saltingMinutes"
        aria-label={isSoaked ? t('bench.soak_hours') : t('bench.rest_hours')}
        placeholder={String((method.saltingMinutes ?? 0) / 60)}
        value={draft.saltingMinutes === null ? null : draft.saltingMinutes / 60}
        change={(hours) => change({ saltingMinutes: hours === null ? null : hours * 60 })}
        className="bench-measure"
      />
      {method.rinseSeconds !== null && (
        <label className="bench-beside">
          <span className="soft">{t('bench.then_rinse')}</span>
          <QuantityBox
            measures="seconds"
            name="rinseSeconds"
            aria-label={t('bench.rinse_seconds')}
            placeholder={String(method.rinseSeconds)}
            value={draft.rinseSeconds}
            change={(rinseSeconds) => change({ rinseSeconds })}
            className="box-s"
          />
        </label>
      )}
      {method.isDressed && (
        <Checkbox
          checked={draft.isSqueezed ?? method.rinseSeconds !== null}
          onChange={(event) => change({ isSqueezed: event.target.checked })}
        >
          {t('bench.squeezed')}
        </Checkbox>
      )}
    </FormRow>
  );
}

function Starter({ kitchen, draft, change, answer, refusal }: Props) {
  const shelf = useShelf();
  const starters = useMemo(
    () => [
      { value: '', label: t('bench.no_starter') },
      {
        label: t('bench.shelf_brine'),
        options: (shelf.data?.batches ?? [])
          .filter((one) => one.liquidGrams >= 1 && one.liquidPercent !== null)
          .map((one) => ({
            value: `batch:${one.id}`,
            label: t('bench.brine_of', {
              name: one.name,
              percent: percent(one.liquidPercent ?? 0),
              grams: grams(Math.round(one.liquidGrams)),
            }),
          })),
      },
      { label: t('bench.pantry'), options: optionsOf(kitchen).starters },
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
      verb={t('bench.starter')}
      term="starter"
      refusal={refusal}
      fields={['starterId', 'starterBatchId', 'starterAmount']}
      aside={
        starter !== '' && stated
          ? t('bench.starter_brings', {
              grams: grams(stated.grams),
              percent: percent(stated.strengthPercent),
              mg: String(Math.round(stated.sodiumMg)),
            })
          : undefined
      }
    >
      <Choice
        aria-label={t('bench.starter')}
        value={starter}
        className="box-grow"
        popupMatchSelectWidth={false}
        listHeight={420}
        onChange={(chosen: string) => {
          const [from, id] = chosen.split(':');
          change({
            starterId: from === 'pantry' ? (id ?? null) : null,
            starterBatchId: from === 'batch' ? (id ?? null) : null,
            starterAmount:
              chosen === ''
                ? ''
                : draft.starterAmount || (draft.method === 'reused_brine' ? '' : t('bench.example_2_tbsp')),
          });
        }}
        options={starters}
      />
      {starter !== '' && (
        <AmountInput
          asks={draft.starterId ? foodOf(draft.starterId) : { kind: 'amount', of: 'water' }}
          name="starterAmount"
          aria-label={t('bench.starter_amount')}
          placeholder={draft.method === 'reused_brine' ? t('bench.to_cover') : t('bench.example_2_tbsp')}
          value={draft.starterAmount ?? ''}
          change={(starterAmount) => change({ starterAmount })}
        />
      )}
    </FormRow>
  );
}
