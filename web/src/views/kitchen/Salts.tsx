import { say, t, T } from '../../messages/words';
import { Checkbox, Input, Segmented } from 'antd';
import { useOpened } from '../../app/addressState';
import type { Kitchen, KitchenSalt } from '../../api/client';
import { useEdits } from '../../api/edits';
import { useCalibrateSalt, useRemoveCalibration, useRemoveSalt, useSaveSalt } from '../../api/kitchen';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { NumberField } from '../../app/NumberField';
import { grams } from '../../app/numbers';
import { SpoonDrawing } from '../../drawings/SpoonDrawing';
import { QuantityBox } from '../../app/QuantityBox';
import { Deed } from '../../app/Deed';
import { useTyped } from '../../app/typed';

/** The salts, each as it lies in the spoon; weighing one spoon narrows every number made with it. */
export function Salts({ kitchen }: { kitchen: Kitchen }) {
  const spoon = useOpened('spoon', kitchen.salts);
  const own = useOpened('salt', kitchen.salts);

  return (
    <>
      <p className="soft cupboard-note">{t('salts.about')}</p>
      <div className="salts">
        {kitchen.salts.map((salt) => {
          const { low, typical, high } = salt.gramsPerTablespoon;
          return (
            <article key={salt.id} className="salt">
              <SpoonDrawing low={low} typical={typical} high={high} name={salt.name} />
              <div>
                <h3>{salt.name}</h3>
                <p>
                  <T
                    m="salts.tablespoon"
                    v={{
                      grams: grams(typical),
                      low: grams(low),
                      high: grams(high),
                      isWeighed: salt.isCalibrated,
                      b0: (c) => <b>{c}</b>,
                      s1: (c) => <span className="soft">{c}</span>,
                    }}
                  />
                </p>
                <p className="soft">{t('salts.sodium', { grams: (salt.sodiumPer100g.typical / 1000).toFixed(1) })}</p>
                {salt.notes.map((note) => (
                  <p key={note.code} className={`salt-note${salt.potassium ? ' is-caution' : ''}`}>
                    {say(note)}
                  </p>
                ))}
                <div className="words">
                  <Deed
                    size="small"
                    onClick={() => spoon.open(salt)}
                    aria-label={t('salts.weigh_of', { name: salt.name })}
                  >
                    {t('salts.weigh')}
                  </Deed>
                  {salt.isOwn && (
                    <Deed size="small" type="text" onClick={() => own.open(salt)}>
                      {t('action.edit')}
                    </Deed>
                  )}
                </div>
              </div>
            </article>
          );
        })}
      </div>
      <Deed type="primary" onClick={() => own.open()}>
        {t('salts.add')}
      </Deed>
      {spoon.thing && <WeighDrawer salt={spoon.thing} close={spoon.close} />}
      {own.isOpen && <SaltDrawer salt={own.thing} close={own.close} />}
    </>
  );
}

function WeighDrawer({ salt, close }: { salt: KitchenSalt; close: () => void }) {
  const [weight, setWeight] = useTyped<number | null>(`weighed ${salt.id}`, null);
  const [spoon, setSpoon] = useTyped<'tsp' | 'tbsp'>(`spoon ${salt.id}`, 'tbsp');
  const calibrate = useCalibrateSalt(salt.id);
  const forget = useRemoveCalibration(salt.id);

  return (
    <SaveDrawer
      title={t('salts.weigh_of', { name: salt.name })}
      close={close}
      keepAs={t('action.save')}
      keep={() => calibrate.mutate({ grams: weight ?? 0, spoon }, { onSuccess: close })}
      isKeeping={calibrate.isPending}
      refusal={calibrate.error}
      others={
        salt.isCalibrated ? [{ says: t('salts.forget'), do: () => forget.mutate(undefined, { onSuccess: close }) }] : []
      }
    >
      <p>{t('salts.how')}</p>
      <div className="fields">
        <Field label={t('salts.spoon')} name="spoon" refusal={calibrate.error}>
          <Segmented
            aria-label={t('salts.spoon')}
            value={spoon}
            onChange={setSpoon}
            options={[
              { value: 'tsp' as const, label: t('salts.tsp') },
              { value: 'tbsp' as const, label: t('salts.tbsp') },
            ]}
          />
        </Field>
        <Field label={t('salts.spoon_weight')} name="grams" refusal={calibrate.error}>
          <QuantityBox measures="grams" data-takes="weight" value={weight} change={setWeight} />
        </Field>
      </div>
    </SaveDrawer>
  );
}

const newSalt = {
  name: '',
  gramsPerTablespoon: 15,
  sodiumPer100g: 38_700,
  iodised: false,
  antiCaking: false,
  potassium: false,
};

const fieldsOf = (salt: KitchenSalt): typeof newSalt => ({
  name: salt.name,
  gramsPerTablespoon: salt.gramsPerTablespoon.typical,
  sodiumPer100g: salt.sodiumPer100g.typical,
  iodised: salt.iodised,
  antiCaking: salt.antiCaking,
  potassium: salt.potassium,
});

function SaltDrawer({ salt, close }: { salt: KitchenSalt | null; close: () => void }) {
  const { fields, change, body, onError } = useEdits(
    `salt ${salt?.id ?? ''}`,
    salt && { version: salt.version, fields: fieldsOf(salt) },
    newSalt,
  );
  const save = useSaveSalt(salt?.id ?? null);
  const remove = useRemoveSalt();

  return (
    <SaveDrawer
      title={salt ? salt.name : t('salts.add')}
      close={close}
      keep={() => save.mutate(body(), { onSuccess: close, onError })}
      isKeeping={save.isPending}
      refusal={save.error}
      others={salt ? [{ says: t('action.delete'), do: () => remove.mutate(salt.id, { onSuccess: close }) }] : []}
    >
      <div className="fields">
        <Field label={t('field.name')} name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <NumberField
          label={t('salts.tablespoon_weight')}
          name="gramsPerTablespoon"
          refusal={save.error}
          value={fields.gramsPerTablespoon}
          change={(value) => change({ gramsPerTablespoon: value })}
          measures="grams"
        />
        <NumberField
          label={t('salts.sodium_per_100')}
          name="sodiumPer100g"
          refusal={save.error}
          value={fields.sodiumPer100g}
          change={(value) => change({ sodiumPer100g: value })}
          unit={t('unit.mg')}
        />
      </div>
      <div className="drawer-part">
        <Checkbox checked={fields.iodised} onChange={(event) => change({ iodised: event.target.checked })}>
          {t('salts.iodised')}
        </Checkbox>
        <Checkbox checked={fields.antiCaking} onChange={(event) => change({ antiCaking: event.target.checked })}>
          {t('salts.anti_caking')}
        </Checkbox>
        <Checkbox checked={fields.potassium} onChange={(event) => change({ potassium: event.target.checked })}>
          {t('salts.potassium')}
        </Checkbox>
      </div>
    </SaveDrawer>
  );
}
