import { named, t } from '../../messages/words';
import { Checkbox, Input } from 'antd';
import { useOpened } from '../../app/addressState';
import { Choice } from '../../app/Choice';
import { Link } from 'react-router';
import type { HoldDown, Kitchen, KitchenJar } from '../../api/client';
import { useEdits } from '../../api/edits';
import { useRemoveHoldDown, useRemoveJar, useSaveHoldDown, useSaveJar } from '../../api/kitchen';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { NumberField } from '../../app/NumberField';
import { ml } from '../../app/numbers';
import { JarDrawing } from '../../drawings/JarDrawing';
import { QuantityBox } from '../../app/QuantityBox';
import { type Measure } from '../../app/units';
import { Deed } from '../../app/Deed';

const SCALE = 0.62;

/** The jars on their board, all in one proportion, with who holds which; and what keeps food under. */
export function Jars({ kitchen }: { kitchen: Kitchen }) {
  const jar = useOpened('jar', kitchen.jars);
  const weight = useOpened('weight', kitchen.holdDowns);

  return (
    <>
      <div className="own-jars">
        {kitchen.jars.map((one) => (
          <div key={one.id} className="own-jar">
            <button
              type="button"
              className="bare"
              onClick={() => jar.open(one)}
              aria-label={t('jars.edit', { name: one.name })}
            >
              <JarDrawing
                jar={one.picture}
                scale={SCALE}
                label={`${one.name}, ${named('cover', one.cover)}`}
                seed={one.id}
              />
            </button>
          </div>
        ))}
      </div>
      <div className="own-jars-words">
        {kitchen.jars.map((one) => (
          <div key={one.id} className="own-jar">
            <b>{one.name}</b>
            <span className="soft">
              {ml(one.nominalMl)}, {named('cover', one.cover)}
            </span>
            <span>{t('jars.free', { free: Math.max(0, one.howMany - one.inUse), count: one.howMany })}</span>
            <Deed size="small" onClick={() => jar.open(one)} aria-label={t('jars.edit', { name: one.name })}>
              {t('action.edit')}
            </Deed>
            {one.heldBy.map((batch) => (
              <Link key={batch.id} to={`/shelf/${batch.id}`}>
                {batch.name}
              </Link>
            ))}
          </div>
        ))}
      </div>
      <div className="words">
        <Deed type="primary" onClick={() => jar.open()}>
          {t('jars.add')}
        </Deed>
      </div>
      <h2 className="drawer-part">{t('jars.weights')}</h2>
      <ul className="quiet-list hold-downs">
        {kitchen.holdDowns.map((one) => (
          <li key={one.id}>
            <span>
              {one.name}{' '}
              <span className="soft">{t('jars.weight_line', { ml: ml(one.volumeMl), count: one.howMany })}</span>
            </span>
            <Deed size="small" onClick={() => weight.open(one)} aria-label={t('jars.edit', { name: one.name })}>
              {t('action.edit')}
            </Deed>
          </li>
        ))}
      </ul>
      <Deed onClick={() => weight.open()}>{t('jars.add_weight')}</Deed>
      {jar.isOpen && <JarDrawer kitchen={kitchen} jar={jar.thing} close={jar.close} />}
      {weight.isOpen && <WeightDrawer weight={weight.thing} close={weight.close} />}
    </>
  );
}

const newJar = {
  name: '',
  nominalMl: 1000,
  mouthMm: 80,
  bodyMm: 100,
  cover: 'screw lid' as KitchenJar['cover'],
  howMany: 1,
};

const jarFields = ({ name, nominalMl, mouthMm, bodyMm, cover, howMany }: KitchenJar): typeof newJar => ({
  name,
  nominalMl,
  mouthMm,
  bodyMm,
  cover,
  howMany,
});

function JarDrawer({ kitchen, jar, close }: { kitchen: Kitchen; jar: KitchenJar | null; close: () => void }) {
  const { fields, change, body, onError } = useEdits(
    `jar ${jar?.id ?? ''}`,
    jar && { version: jar.version, fields: jarFields(jar) },
    newJar,
  );
  const save = useSaveJar(jar?.id ?? null);
  const remove = useRemoveJar();
  const quantity = (key: 'nominalMl' | 'mouthMm' | 'bodyMm', label: string, measures: Measure) => (
    <Field label={label} name={key} refusal={save.error}>
      <QuantityBox measures={measures} value={fields[key]} change={(value) => change({ [key]: value ?? 0 })} />
    </Field>
  );

  return (
    <SaveDrawer
      title={jar ? jar.name : t('jars.add')}
      close={close}
      keep={() => save.mutate(body(), { onSuccess: close, onError })}
      isKeeping={save.isPending}
      refusal={save.error}
      others={jar ? [{ says: t('action.delete'), do: () => remove.mutate(jar.id, { onSuccess: close }) }] : []}
    >
      <div className="fields">
        <Field label={t('field.name')} name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        {quantity('nominalMl', t('jars.volume'), 'millilitres')}
        <NumberField
          label={t('jars.count')}
          name="howMany"
          value={fields.howMany}
          change={(howMany) => change({ howMany })}
          refusal={save.error}
        />
        {quantity('mouthMm', t('jars.mouth'), 'length')}
        {quantity('bodyMm', t('jars.body'), 'length')}
        <Field label={t('jars.cover')} name="cover" refusal={save.error} wide>
          <Choice
            value={fields.cover}
            onChange={(cover) => change({ cover })}
            options={kitchen.covers.map((value) => ({ value, label: named('cover', value) }))}
          />
        </Field>
      </div>
    </SaveDrawer>
  );
}

const newWeight = { name: '', volumeMl: 50, howMany: 1, isBag: false };

const weightFields = ({ name, volumeMl, howMany, isBag }: HoldDown): typeof newWeight => ({
  isBag,
  name,
  volumeMl,
  howMany,
});

function WeightDrawer({ weight, close }: { weight: HoldDown | null; close: () => void }) {
  const { fields, change, body, onError } = useEdits(
    `weight ${weight?.id ?? ''}`,
    weight && { version: weight.version, fields: weightFields(weight) },
    newWeight,
  );
  const save = useSaveHoldDown(weight?.id ?? null);
  const remove = useRemoveHoldDown();

  return (
    <SaveDrawer
      title={weight ? weight.name : t('jars.add_weight')}
      close={close}
      keep={() => save.mutate(body(), { onSuccess: close, onError })}
      isKeeping={save.isPending}
      refusal={save.error}
      others={weight ? [{ says: t('action.delete'), do: () => remove.mutate(weight.id, { onSuccess: close }) }] : []}
    >
      <div className="fields">
        <Field label={t('field.name')} name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <NumberField
          label={t('jars.weight_volume')}
          name="volumeMl"
          refusal={save.error}
          value={fields.volumeMl}
          change={(value) => change({ volumeMl: value })}
          measures="millilitres"
        />
        <NumberField
          label={t('jars.count')}
          name="howMany"
          refusal={save.error}
          value={fields.howMany}
          change={(value) => change({ howMany: value })}
        />
        <Checkbox checked={fields.isBag} onChange={(event) => change({ isBag: event.target.checked })}>
          {t('jars.is_bag')}
        </Checkbox>
      </div>
    </SaveDrawer>
  );
}
