import { Checkbox, Input } from 'antd';
import { Choice } from './Choice';
import type { Kitchen, KitchenFood } from '../api/client';
import { useEdits } from '../api/edits';
import { useRemoveFood, useRestoreFood, useSaveFood } from '../api/kitchen';
import { named, say, t } from '../messages/words';
import { AllergensField } from './AllergensField';
import { Field } from './Field';
import { LabelFields } from './LabelFields';
import { NumberField } from './NumberField';
import { SaveDrawer } from './SaveDrawer';

const uses = [
  { value: 'vegetable' as const, label: t('foods.use_vegetables') },
  { value: 'seasoning' as const, label: t('foods.use_spices') },
  { value: 'pantry' as const, label: t('foods.use_pantry') },
  { value: 'starter' as const, label: t('foods.use_starters') },
];

interface DrawerProps {
  kitchen: Kitchen;
  food: KitchenFood | null;
  close: () => void;
  /** What a new one is called, where it was looked for and not found. */
  name?: string;
  /** Hears of a new food by its id. */
  added?: (id: string) => void;
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
  potassiumPer100g: null as number | null,
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
  potassiumPer100g: food.potassiumPer100g,
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
  dissolves: t('trait.dissolves'),
  sweet: t('trait.sweet'),
};

/** A food with all that is known of it; a new one from its label, by its figures, or like one that is there. */
export function FoodDrawer({ kitchen, food, close, name = '', added }: DrawerProps) {
  const { fields, change, body, onError } = useEdits(
    `food ${food?.id ?? ''}`,
    food && { version: food.version, fields: fieldsOf(food) },
    {
      ...newFood,
      name,
    },
  );
  const save = useSaveFood(food?.id ?? null);
  const remove = useRemoveFood(food?.id ?? '');
  const restore = useRestoreFood(food?.id ?? '');

  return (
    <SaveDrawer
      title={food ? food.name : t('foods.new_title')}
      close={close}
      keep={() =>
        save.mutate(body(), {
          onSuccess: (after) => {
            const made = after.ingredients.find((one) => one.isOwn && one.name === fields.name.trim());
            if (food === null && made !== undefined) {
              added?.(made.id);
            }
            close();
          },
          onError,
        })
      }
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
          <Choice value={fields.use} onChange={(use) => change({ use })} options={uses} />
        </Field>
        {food === null && (
          <Field label={t('foods.like')} wide>
            <Choice
              showSearch={{ optionFilterProp: 'label' }}
              placeholder={t('foods.like_hint')}
              onChange={(id: string) => {
                const like = kitchen.ingredients.find((one) => one.id === id);
                if (like !== undefined) {
                  change({ ...fieldsOf(like), name: fields.name, labelSodiumMg: null, labelServingGrams: null });
                }
              }}
              options={kitchen.ingredients.map((one) => ({ value: one.id, label: one.name }))}
            />
          </Field>
        )}
        {food?.inTable && (
          <p className="soft">
            {t('foods.in_table', { sodium: food.inTable.sodiumMg, water: food.inTable.waterGrams })}
          </p>
        )}
        <LabelFields label={fields} change={change} refusal={save.error} />
        <NumberField
          label={t('foods.water_100')}
          name="waterPer100g"
          refusal={save.error}
          value={fields.waterPer100g}
          change={(value) => change({ waterPer100g: value })}
          measures="grams"
        />
        <NumberField
          label={t('foods.potassium_100')}
          name="potassiumPer100g"
          refusal={save.error}
          value={fields.potassiumPer100g}
          change={(value) => change({ potassiumPer100g: value })}
        />
        <NumberField
          label={t('foods.density')}
          name="density"
          refusal={save.error}
          value={fields.density}
          change={(value) => change({ density: value })}
          measures="grams"
          step={0.05}
        />
        <Field label={t('foods.cut')} name="shape" refusal={save.error}>
          <Choice
            value={fields.shape}
            onChange={(shape) => change({ shape })}
            options={kitchen.shapes.map((value) => ({ value, label: named('shape', value) }))}
          />
        </Field>
        <Field label={t('foods.tissue')} name="tissue" refusal={save.error}>
          <Choice
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
