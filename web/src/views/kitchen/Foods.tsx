import { named, say, t } from '../../messages/words';
import { Button, Checkbox, Input, Segmented, Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import type { Kitchen, KitchenFood } from '../../api/client';
import { useEdits } from '../../api/edits';
import { useRemoveFood, useRestoreFood, useSaveFood } from '../../api/kitchen';
import { useFoodSearch } from '../../api/queries';
import { AllergensField } from '../../app/AllergensField';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { LabelFields } from '../../app/LabelFields';
import { NumberField } from '../../app/NumberField';
import { mg } from '../../app/numbers';

const SHOWN = 30;
const uses = [
  { value: 'all', label: t('foods.use_all') },
  { value: 'vegetable', label: t('foods.use_vegetables') },
  { value: 'seasoning', label: t('foods.use_spices') },
  { value: 'pantry', label: t('foods.use_pantry') },
  { value: 'starter', label: t('foods.use_starters') },
  { value: 'own', label: t('foods.own') },
];

/** Every food with its water and sodium and where they were measured; search forgives spelling. */
export function Foods({ kitchen }: { kitchen: Kitchen }) {
  const [query, setQuery] = useState('');
  const [use, setUse] = useState('all');
  const [all, setAll] = useState(false);
  const [changing, setChanging] = useState<string | null>(null);
  const search = useFoodSearch(useDeferredValue(query));
  const isSearching = query.trim() !== '';

  const ofUse = kitchen.ingredients.filter(
    (food) => use === 'all' || (use === 'own' ? food.isOwn || food.isEdited : food.use === use),
  );
  const found = isSearching ? (search.data ?? []).flatMap((id) => ofUse.find((food) => food.id === id) ?? []) : ofUse;
  const shown = all ? found : found.slice(0, SHOWN);

  return (
    <>
      <div className="food-search">
        <Input
          aria-label={t('foods.search')}
          placeholder={t('foods.search_hint')}
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          allowClear
        />
        <Segmented value={use} onChange={setUse} options={uses} aria-label={t('foods.which')} />
      </div>
      {shown.length === 0 && <p className="soft">{t('foods.empty', { isSearching: isSearching })}</p>}
      <ul className="quiet-list foods" aria-label={t('foods.title')}>
        {shown.map((food) => (
          <li key={food.id}>
            <i className="food-dot" style={{ background: food.colour }} aria-hidden="true" />
            <span className="food-name">
              <b>{food.name}</b> <span className="soft">{food.also}</span>
            </span>
            <span className="food-sodium">
              {mg(food.sodiumPer100g)} <span className="soft">{t('foods.per_100')}</span>
            </span>
            <span className="soft food-water">{t('foods.water', { percent: food.waterPer100g.toFixed(1) })}</span>
            <span className="words">
              {food.allergens.map((allergen) => (
                <span key={allergen} className="word">
                  {allergen}
                </span>
              ))}
              {food.live && <span className="word is-live">{t('foods.live')}</span>}
              {food.isEdited && <span className="word">{t('foods.own_value')}</span>}
            </span>
            <span className="soft food-source">{say(food.source)}</span>
            <Button size="small" onClick={() => setChanging(food.id)} aria-label={t('foods.edit', { name: food.name })}>
              {t('action.edit')}
            </Button>
          </li>
        ))}
      </ul>
      <div className="words drawer-part">
        {found.length > shown.length && (
          <Button onClick={() => setAll(true)}>{t('foods.show_more', { count: found.length - shown.length })}</Button>
        )}
        <Button type="primary" onClick={() => setChanging('new')}>
          {t('foods.from_label')}
        </Button>
        <a className="as-button" href="/api/foods/csv" download>
          {t('foods.export')}
        </a>
      </div>
      {changing !== null && (
        <FoodDrawer
          kitchen={kitchen}
          food={kitchen.ingredients.find(({ id }) => id === changing) ?? null}
          close={() => setChanging(null)}
        />
      )}
    </>
  );
}

interface DrawerProps {
  kitchen: Kitchen;
  food: KitchenFood | null;
  close: () => void;
}

/** A food from its label, before anything is typed. */
const newFood = {
  name: '',
  use: 'pantry' as KitchenFood['use'],
  sodiumPer100g: null as number | null,
  labelSodiumMg: null as number | null,
  labelServingGrams: null as number | null,
  labelSaltPer100g: null as number | null,
  waterPer100g: 60,
  density: 1,
  shape: 'pulp' as KitchenFood['shape'],
  tissue: 'root',
  hollow: false,
  live: false,
  /** None yet: then its name and what it is for tell. */
  traits: [] as KitchenFood['traits'],
  allergens: [] as string[],
  notFor: [] as string[],
};

const fieldsOf = (food: KitchenFood): typeof newFood => ({
  ...newFood,
  name: food.name,
  use: food.use,
  sodiumPer100g: food.labelSodiumMg === null ? food.sodiumPer100g : null,
  labelSodiumMg: food.labelSodiumMg,
  labelServingGrams: food.labelServingGrams,
  waterPer100g: food.waterPer100g,
  density: food.density,
  shape: food.shape,
  tissue: food.tissue,
  hollow: food.hollow,
  live: food.live,
  traits: food.traits,
  allergens: food.allergens,
  notFor: food.notFor,
});

/** What of a food decides how much care it asks for. */
const traitWords: Record<KitchenFood['traits'][number], string> = {
  liquid: t('trait.liquid'),
  oil: t('trait.oil'),
  low_acid_plant: t('trait.low_acid_plant'),
  sweet: t('trait.sweet'),
};

function FoodDrawer({ kitchen, food, close }: DrawerProps) {
  const { fields, change, body, onError } = useEdits(
    food && { version: food.version, fields: fieldsOf(food) },
    newFood,
  );
  const save = useSaveFood(food?.id ?? null);
  const remove = useRemoveFood(food?.id ?? '');
  const restore = useRestoreFood(food?.id ?? '');

  return (
    <SaveDrawer
      title={food ? food.name : t('foods.new_title')}
      close={close}
      keep={() => save.mutate(body(), { onSuccess: close, onError })}
      isKeeping={save.isPending}
      refusal={save.error}
      others={[
        ...(food?.isOwn
          ? [{ says: t('action.delete'), do: () => remove.mutate(undefined, { onSuccess: close }) }]
          : []),
        ...(food?.isEdited
          ? [
              {
                says: t('foods.restore'),
                do: () => restore.mutate(undefined, { onSuccess: close }),
              },
            ]
          : []),
      ]}
    >
      <div className="fields">
        <Field label={t('field.name')} name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <Field label={t('foods.use')} name="use" refusal={save.error} wide>
          <Select value={fields.use} onChange={(use) => change({ use })} options={uses.slice(1, 5)} />
        </Field>
        <LabelFields label={fields} change={change} refusal={save.error} />
        <NumberField
          label={t('foods.water_100')}
          name="waterPer100g"
          refusal={save.error}
          value={fields.waterPer100g}
          change={(value) => change({ waterPer100g: value })}
          unit="g"
        />
        <NumberField
          label={t('foods.density')}
          name="density"
          refusal={save.error}
          value={fields.density}
          change={(value) => change({ density: value })}
          unit="g"
          step={0.05}
        />
        <Field label={t('foods.cut')} name="shape" refusal={save.error}>
          <Select
            value={fields.shape}
            onChange={(shape) => change({ shape })}
            options={kitchen.shapes.map((value) => ({ value, label: named('shape', value) }))}
          />
        </Field>
        <Field label={t('foods.tissue')} name="tissue" refusal={save.error}>
          <Select
            value={fields.tissue}
            onChange={(tissue: string) => change({ tissue })}
            options={kitchen.tissues.map(({ id, label }) => ({ value: id, label: say(label) }))}
          />
        </Field>
        <AllergensField
          label={t('foods.allergens')}
          kitchen={kitchen}
          allergens={fields.allergens}
          change={change}
          refusal={save.error}
        />
      </div>
      <div className="drawer-part">
        <Checkbox checked={fields.live} onChange={(event) => change({ live: event.target.checked })}>
          {t('foods.is_live')}
        </Checkbox>
        <Checkbox checked={fields.hollow} onChange={(event) => change({ hollow: event.target.checked })}>
          {t('foods.hollow')}
        </Checkbox>
        <Checkbox
          checked={fields.notFor.includes('vegan')}
          onChange={(event) => change({ notFor: event.target.checked ? ['vegan'] : [] })}
        >
          {t('foods.not_vegan')}
        </Checkbox>
      </div>
      <div className="drawer-part" role="group" aria-label={t('foods.traits')}>
        <Checkbox.Group
          value={fields.traits}
          onChange={(traits: KitchenFood['traits']) => change({ traits })}
          options={kitchen.traits.map((value) => ({ value, label: traitWords[value] }))}
        />
      </div>
    </SaveDrawer>
  );
}
