import { Button, Checkbox, Input, InputNumber, Segmented } from 'antd';
import { useState } from 'react';
import { answered, api, type Kitchen, type KitchenSalt } from '../../api/client';
import { useChangeKitchen } from '../../api/queries';
import { Field } from '../../app/Field';
import { KeepDrawer } from '../../app/KeepDrawer';
import { NumberField } from '../../app/NumberField';
import { grams } from '../../app/numbers';
import { SpoonDrawing } from '../../drawings/SpoonDrawing';

/** The salts, each as it lies in the spoon; weighing one spoon narrows every number made with it. */
export function Salts({ kitchen }: { kitchen: Kitchen }) {
  const [weighing, setWeighing] = useState<KitchenSalt | null>(null);
  const [own, setOwn] = useState<KitchenSalt | 'new' | null>(null);

  return (
    <>
      <p className="soft cupboard-note">
        A level tablespoon of one salt can weigh twice that of another. Weigh one levelled spoon of yours, and
        the band shrinks to the scale&apos;s.
      </p>
      <div className="salts">
        {kitchen.salts.map((salt) => {
          const { low, typical, high } = salt.gramsPerTablespoon;
          return (
            <article key={salt.id} className="salt">
              <SpoonDrawing low={low} typical={typical} high={high} name={salt.name} />
              <div>
                <h3>{salt.name}</h3>
                <p>
                  <b>{grams(typical)}</b> a level tbsp{' '}
                  <span className="soft">
                    {grams(low)} to {grams(high)}
                    {salt.isCalibrated && ', weighed by you'}
                  </span>
                </p>
                <p className="soft">{(salt.sodiumPer100g.typical / 1000).toFixed(1)} g sodium in 100 g</p>
                {salt.notes.map((note) => (
                  <p key={note} className={`salt-note${salt.potassium ? ' is-caution' : ''}`}>
                    {note}
                  </p>
                ))}
                <div className="words">
                  <Button
                    size="small"
                    onClick={() => setWeighing(salt)}
                    aria-label={`Weigh a spoon of ${salt.name}`}
                  >
                    Weigh a spoon
                  </Button>
                  {salt.isOwn && (
                    <Button size="small" type="text" onClick={() => setOwn(salt)}>
                      Change
                    </Button>
                  )}
                </div>
              </div>
            </article>
          );
        })}
      </div>
      <Button type="primary" onClick={() => setOwn('new')}>
        Another salt
      </Button>
      {weighing && <WeighDrawer salt={weighing} close={() => setWeighing(null)} />}
      {own !== null && <SaltDrawer salt={own === 'new' ? null : own} close={() => setOwn(null)} />}
    </>
  );
}

function WeighDrawer({ salt, close }: { salt: KitchenSalt; close: () => void }) {
  const [weight, setWeight] = useState<number | null>(null);
  const [spoon, setSpoon] = useState<'tsp' | 'tbsp'>('tbsp');
  const path = { params: { path: { salt: salt.id } } };
  const calibrate = useChangeKitchen((body: { grams: number; spoon: 'tsp' | 'tbsp' }) =>
    answered(api.PUT('/salts/{salt}/calibration', { ...path, body })),
  );
  const forget = useChangeKitchen(() => answered(api.DELETE('/salts/{salt}/calibration', path)));

  return (
    <KeepDrawer
      title={`Weigh a spoon of ${salt.name}`}
      close={close}
      keepAs="That is my spoon"
      keep={() => calibrate.mutate({ grams: weight ?? 0, spoon }, { onSuccess: close })}
      isKeeping={calibrate.isPending}
      others={
        salt.isCalibrated
          ? [{ says: 'Forget it', do: () => forget.mutate(undefined, { onSuccess: close }) }]
          : []
      }
    >
      <p>
        Set the scale to zero with the empty spoon on it. Fill the spoon, level it with a knife, weigh it.
      </p>
      <div className="fields">
        <Field label="Spoon" name="spoon" refusal={calibrate.error}>
          <Segmented value={spoon} onChange={setSpoon} options={['tsp', 'tbsp'] as const} />
        </Field>
        <Field label="Weight of the salt" name="grams" refusal={calibrate.error}>
          <InputNumber data-takes="weight" value={weight} onChange={setWeight} suffix="g" step={0.1} />
        </Field>
      </div>
    </KeepDrawer>
  );
}

function SaltDrawer({ salt, close }: { salt: KitchenSalt | null; close: () => void }) {
  const [fields, setFields] = useState({
    name: salt?.name ?? '',
    gramsPerTablespoon: salt?.gramsPerTablespoon.typical ?? 15,
    sodiumPer100g: salt?.sodiumPer100g.typical ?? 38_700,
    iodised: salt?.iodised ?? false,
    antiCaking: salt?.antiCaking ?? false,
    potassium: salt?.potassium ?? false,
  });
  const save = useChangeKitchen((body: typeof fields) =>
    answered(
      salt
        ? api.PUT('/salts/{salt}', { params: { path: { salt: salt.id } }, body })
        : api.POST('/salts', { body }),
    ),
  );
  const remove = useChangeKitchen((id: string) =>
    answered(api.DELETE('/salts/{salt}', { params: { path: { salt: id } } })),
  );
  const change = (part: Partial<typeof fields>) => setFields({ ...fields, ...part });

  return (
    <KeepDrawer
      title={salt ? salt.name : 'Another salt'}
      close={close}
      keep={() => save.mutate(fields, { onSuccess: close })}
      isKeeping={save.isPending}
      others={salt ? [{ says: 'Used up', do: () => remove.mutate(salt.id, { onSuccess: close }) }] : []}
    >
      <div className="fields">
        <Field label="Name" name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <NumberField
          label="A level tbsp weighs"
          name="gramsPerTablespoon"
          refusal={save.error}
          value={fields.gramsPerTablespoon}
          change={(value) => change({ gramsPerTablespoon: value })}
          unit="g"
        />
        <NumberField
          label="Sodium in 100 g"
          name="sodiumPer100g"
          refusal={save.error}
          value={fields.sodiumPer100g}
          change={(value) => change({ sodiumPer100g: value })}
          unit="mg"
        />
      </div>
      <div className="drawer-part">
        <Checkbox checked={fields.iodised} onChange={(event) => change({ iodised: event.target.checked })}>
          iodised
        </Checkbox>
        <Checkbox
          checked={fields.antiCaking}
          onChange={(event) => change({ antiCaking: event.target.checked })}
        >
          anti-caking agent
        </Checkbox>
        <Checkbox
          checked={fields.potassium}
          onChange={(event) => change({ potassium: event.target.checked })}
        >
          part potassium
        </Checkbox>
      </div>
    </KeepDrawer>
  );
}
