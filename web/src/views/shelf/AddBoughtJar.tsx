import { Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { BoughtFields, Kitchen } from '../../api/client';
import { usePlaces, useAddBoughtJar } from '../../api/queries';
import { AllergensField } from '../../app/AllergensField';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { LabelFields, noLabel } from '../../app/LabelFields';

type NewBought = Omit<BoughtFields, 'requestKey'>;

/** A jar from a shop: what its label says is what its ledger begins with. */
export function AddBoughtJar({ kitchen, close }: { kitchen: Kitchen; close: () => void }) {
  const shelve = useAddBoughtJar();
  const navigate = useNavigate();
  const places = usePlaces().toReversed();
  const [fields, setFields] = useState<NewBought>(() => ({
    name: '',
    foodId: kitchen.ingredients.find((food) => food.key === 'green-cabbage')?.id ?? '',
    amount: '',
    servingAmount: '30 g',
    phase: 'pieces',
    isLive: false,
    allergens: [],
    useBy: null,
    place: 'fridge',
  }));
  const [label, setLabel] = useState(noLabel);
  const change = (part: Partial<NewBought>) => setFields({ ...fields, ...part });
  const refusal = shelve.error;

  return (
    <SaveDrawer
      title="A bought jar"
      close={close}
      keepAs="Onto the shelf"
      isKeeping={shelve.isPending}
      refusal={refusal}
      keep={() => {
        void shelve.mutateAsync({ ...fields, ...label }).then(
          (batch) => void navigate(`/shelf/${batch.id}`),
          () => undefined,
        );
      }}
    >
      <div className="fields">
        <Field label="Name" name="name" refusal={refusal} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <Field label="What is in it, for the most part" name="foodId" refusal={refusal} wide>
          <Select
            showSearch={{ optionFilterProp: 'label' }}
            value={fields.foodId}
            onChange={(foodId) => change({ foodId })}
            options={kitchen.ingredients.map((food) => ({ value: food.id, label: food.name }))}
          />
        </Field>
        <Field label="It is" name="phase" refusal={refusal}>
          <Select
            value={fields.phase}
            onChange={(phase) => change({ phase })}
            options={[
              { value: 'pieces' as const, label: 'pieces, drained' },
              { value: 'sauce' as const, label: 'a sauce or paste' },
            ]}
          />
        </Field>
        <Field label="How much" name="amount" refusal={refusal}>
          <Input
            data-takes="weight"
            placeholder="340 g"
            value={fields.amount}
            onChange={(event) => change({ amount: event.target.value })}
          />
        </Field>
        <LabelFields label={label} change={setLabel} refusal={refusal} />
        <Field label="Eaten at a time" name="servingAmount" refusal={refusal}>
          <Input
            data-takes="weight"
            value={fields.servingAmount}
            onChange={(event) => change({ servingAmount: event.target.value })}
          />
        </Field>
        <Field label="Printed on it: use by" name="useBy" refusal={refusal}>
          <Input
            type="date"
            value={fields.useBy ?? ''}
            onChange={(event) => change({ useBy: event.target.value || null })}
          />
        </Field>
        <Field label="Where it stands" name="place" refusal={refusal} wide>
          <Select
            value={fields.place}
            onChange={(place) => change({ place })}
            options={places.map(({ id, label: says }) => ({ value: id, label: says }))}
          />
        </Field>
        <AllergensField
          label="Allergens on the label"
          kitchen={kitchen}
          allergens={fields.allergens}
          change={change}
          refusal={refusal}
        />
      </div>
      <div className="drawer-part">
        <Checkbox checked={fields.isLive} onChange={(event) => change({ isLive: event.target.checked })}>
          live: not heated, and from the cold shelf
        </Checkbox>
        <p className="soft">
          Canned, heated or shelf-stable jars bring sodium and no live culture. Keep to the date and the
          storage that are printed on it.
        </p>
      </div>
    </SaveDrawer>
  );
}
