import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type HoldDown, type Kitchen, type KitchenJar } from '../../api/client';
import { useChangeKitchen } from '../../api/queries';
import { Field } from '../../app/Field';
import { KeepDrawer } from '../../app/KeepDrawer';
import { NumberField } from '../../app/NumberField';
import { ml } from '../../app/numbers';
import { JarDrawing } from '../../drawings/JarDrawing';

const SCALE = 0.62;

/** The jars on their board, all in one proportion, with who holds which; and what keeps food under. */
export function Jars({ kitchen }: { kitchen: Kitchen }) {
  const [jar, setJar] = useState<KitchenJar | 'new' | null>(null);
  const [weight, setWeight] = useState<HoldDown | 'new' | null>(null);

  return (
    <>
      <div className="own-jars">
        {kitchen.jars.map((one) => (
          <div key={one.id} className="own-jar">
            <button
              type="button"
              className="bare"
              onClick={() => setJar(one)}
              aria-label={`Change ${one.name}`}
            >
              <JarDrawing jar={one.picture} scale={SCALE} label={`${one.name}, ${one.cover}`} seed={one.id} />
            </button>
          </div>
        ))}
      </div>
      <div className="own-jars-words">
        {kitchen.jars.map((one) => (
          <div key={one.id} className="own-jar">
            <b>{one.name}</b>
            <span className="soft">
              {ml(one.nominalMl)}, {one.cover}
            </span>
            <span>
              {Math.max(0, one.howMany - one.inUse)} of {one.howMany} free
            </span>
            <Button size="small" onClick={() => setJar(one)} aria-label={`Change the ${one.name}`}>
              Change
            </Button>
            {one.heldBy.map((batch) => (
              <Link key={batch.id} to={`/shelf/${batch.id}`}>
                {batch.name}
              </Link>
            ))}
          </div>
        ))}
      </div>
      <div className="words">
        <Button type="primary" onClick={() => setJar('new')}>
          Another jar
        </Button>
      </div>
      <h2 className="drawer-part">What holds food under</h2>
      <ul className="quiet-list hold-downs">
        {kitchen.holdDowns.map((one) => (
          <li key={one.id}>
            <span>
              {one.name}{' '}
              <span className="soft">
                takes {ml(one.volumeMl)} of room; {one.howMany} there
              </span>
            </span>
            <Button size="small" onClick={() => setWeight(one)} aria-label={`Change ${one.name}`}>
              Change
            </Button>
          </li>
        ))}
      </ul>
      <Button onClick={() => setWeight('new')}>Another weight</Button>
      {jar !== null && (
        <JarDrawer kitchen={kitchen} jar={jar === 'new' ? null : jar} close={() => setJar(null)} />
      )}
      {weight !== null && (
        <WeightDrawer weight={weight === 'new' ? null : weight} close={() => setWeight(null)} />
      )}
    </>
  );
}

function JarDrawer({ kitchen, jar, close }: { kitchen: Kitchen; jar: KitchenJar | null; close: () => void }) {
  const [fields, setFields] = useState({
    name: jar?.name ?? '',
    nominalMl: jar?.nominalMl ?? 1000,
    mouthMm: jar?.mouthMm ?? 80,
    bodyMm: jar?.bodyMm ?? 100,
    cover: jar?.cover ?? ('screw lid' as KitchenJar['cover']),
    howMany: jar?.howMany ?? 1,
  });
  const save = useChangeKitchen((body: typeof fields) =>
    answered(
      jar ? api.PUT('/jars/{jar}', { params: { path: { jar: jar.id } }, body }) : api.POST('/jars', { body }),
    ),
  );
  const remove = useChangeKitchen((id: string) =>
    answered(api.DELETE('/jars/{jar}', { params: { path: { jar: id } } })),
  );
  const change = (part: Partial<typeof fields>) => setFields({ ...fields, ...part });
  const number = (key: 'nominalMl' | 'mouthMm' | 'bodyMm' | 'howMany', label: string, unit: string) => (
    <Field label={label} name={key} refusal={save.error}>
      <InputNumber value={fields[key]} onChange={(value) => change({ [key]: value ?? 0 })} suffix={unit} />
    </Field>
  );

  return (
    <KeepDrawer
      title={jar ? jar.name : 'Another jar'}
      close={close}
      keep={() => save.mutate(fields, { onSuccess: close })}
      isKeeping={save.isPending}
      others={jar ? [{ says: 'No longer here', do: () => remove.mutate(jar.id, { onSuccess: close }) }] : []}
    >
      <div className="fields">
        <Field label="Name" name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        {number('nominalMl', 'Holds to the rim', 'ml')}
        {number('howMany', 'How many', '')}
        {number('mouthMm', 'Mouth, across', 'mm')}
        {number('bodyMm', 'Body, across', 'mm')}
        <Field label="Cover" name="cover" refusal={save.error} wide>
          <Select
            value={fields.cover}
            onChange={(cover) => change({ cover })}
            options={kitchen.covers.map((value) => ({ value, label: value }))}
          />
        </Field>
      </div>
    </KeepDrawer>
  );
}

function WeightDrawer({ weight, close }: { weight: HoldDown | null; close: () => void }) {
  const [fields, setFields] = useState({
    name: weight?.name ?? '',
    volumeMl: weight?.volumeMl ?? 50,
    howMany: weight?.howMany ?? 1,
  });
  const save = useChangeKitchen((body: typeof fields) =>
    answered(
      weight
        ? api.PUT('/hold-downs/{holdDown}', { params: { path: { holdDown: weight.id } }, body })
        : api.POST('/hold-downs', { body }),
    ),
  );
  const remove = useChangeKitchen((id: string) =>
    answered(api.DELETE('/hold-downs/{holdDown}', { params: { path: { holdDown: id } } })),
  );

  return (
    <KeepDrawer
      title={weight ? weight.name : 'Another weight'}
      close={close}
      keep={() => save.mutate(fields, { onSuccess: close })}
      isKeeping={save.isPending}
      others={
        weight ? [{ says: 'No longer here', do: () => remove.mutate(weight.id, { onSuccess: close }) }] : []
      }
    >
      <div className="fields">
        <Field label="Name" name="name" refusal={save.error} wide>
          <Input
            value={fields.name}
            onChange={(event) => setFields({ ...fields, name: event.target.value })}
          />
        </Field>
        <NumberField
          label="Takes room"
          name="volumeMl"
          refusal={save.error}
          value={fields.volumeMl}
          change={(value) => setFields({ ...fields, volumeMl: value })}
          unit="ml"
        />
        <NumberField
          label="How many"
          name="howMany"
          refusal={save.error}
          value={fields.howMany}
          change={(value) => setFields({ ...fields, howMany: value })}
        />
      </div>
    </KeepDrawer>
  );
}
