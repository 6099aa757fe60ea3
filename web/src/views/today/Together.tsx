import { Checkbox, Input, InputNumber, Select } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import type { Day, Serving, Way } from '../../api/client';
import { useServeTogether } from '../../api/intake';
import { requestKey } from '../../api/queries';
import { Field } from '../../app/Field';
import { KeepDrawer } from '../../app/KeepDrawer';

const manners: { value: string; label: string; phase: Serving['phase'] | null; way: Way | null }[] = [
  { value: 'drained', label: 'as usual, drained', phase: null, way: 'drained' },
  { value: 'rinsed', label: 'rinsed half a minute', phase: null, way: 'rinsed' },
  { value: 'with_juice', label: 'with a spoon of juice', phase: null, way: 'with_juice' },
  { value: 'brine', label: 'the brine alone', phase: 'brine', way: null },
];

/** Several people at once, or a condiment inside a dish of which each eats a share. */
export function Together({ day, close }: { day: Day; close: () => void }) {
  const serve = useServeTogether();
  const [key] = useState(requestKey);
  const [batchId, setBatchId] = useState(day.jars[0]?.id ?? '');
  const [manner, setManner] = useState('drained');
  const [isDish, setIsDish] = useState(false);
  const [dishAmount, setDishAmount] = useState('30 g');
  const [left, setLeft] = useState<string[]>([]);
  const [amounts, setAmounts] = useState<Record<string, string>>({});
  const [shares, setShares] = useState<Record<string, number>>({});
  const jar = day.jars.find((one) => one.id === batchId);
  const usual = (personId: string) =>
    `${String(jar?.portions.find((one) => one.personId === personId)?.grams ?? 30)} g`;
  const eaters = day.people.filter((person) => !left.includes(person.id));
  const how = manners.find((one) => one.value === manner) ?? manners[0];
  const refusal = serve.error;

  return (
    <KeepDrawer
      title={`Eaten on ${dayjs(day.date).format('dddd, D MMMM')}`}
      close={close}
      keepAs="Eaten"
      isKeeping={serve.isPending}
      keep={() => {
        void serve
          .mutateAsync({
            batchId,
            portions: eaters.map((person) =>
              isDish
                ? { personId: person.id, share: (shares[person.id] ?? 100 / day.people.length) / 100 }
                : { personId: person.id, amount: amounts[person.id] ?? usual(person.id) },
            ),
            dishAmount: isDish ? dishAmount : null,
            phase: how?.phase ?? null,
            way: how?.way ?? null,
            eatenOn: day.date,
            requestKey: key,
          })
          .then(close, () => undefined);
      }}
    >
      <div className="fields">
        <Field label="From which jar" name="batchId" refusal={refusal} wide>
          <Select
            value={batchId}
            onChange={setBatchId}
            options={day.jars.map(({ id, name }) => ({ value: id, label: name }))}
          />
        </Field>
        <Field label="How" wide>
          <Select value={manner} onChange={setManner} options={manners} />
        </Field>
      </div>
      <Checkbox
        className="together-dish"
        checked={isDish}
        onChange={(event) => setIsDish(event.target.checked)}
      >
        It went into a dish, of which each ate a share
      </Checkbox>
      {isDish && (
        <Field label="Into the dish" name="dishAmount" refusal={refusal}>
          <Input
            data-takes="weight"
            value={dishAmount}
            onChange={(event) => setDishAmount(event.target.value)}
          />
        </Field>
      )}
      {day.people.map((person) => {
        const at = eaters.indexOf(person);
        return (
          <div key={person.id} className="together-row">
            <Checkbox
              checked={at >= 0}
              onChange={(event) =>
                setLeft(event.target.checked ? left.filter((id) => id !== person.id) : [...left, person.id])
              }
            >
              {person.name}
            </Checkbox>
            {at >= 0 && (
              <Field
                label={isDish ? 'Share' : 'How much'}
                name={`portions.${String(at)}.${isDish ? 'share' : 'amount'}`}
                refusal={refusal}
              >
                {isDish ? (
                  <InputNumber
                    aria-label={`Share of ${person.name}`}
                    value={shares[person.id] ?? Math.floor(100 / day.people.length)}
                    suffix="%"
                    onChange={(share) => setShares({ ...shares, [person.id]: share ?? 0 })}
                  />
                ) : (
                  <Input
                    aria-label={`Amount for ${person.name}`}
                    data-takes="weight"
                    value={amounts[person.id] ?? usual(person.id)}
                    onChange={(event) => setAmounts({ ...amounts, [person.id]: event.target.value })}
                  />
                )}
              </Field>
            )}
          </div>
        );
      })}
      {refusal && (
        <p className="complaint" role="alert">
          {refusal.of('portions') ?? refusal.message}
        </p>
      )}
    </KeepDrawer>
  );
}
