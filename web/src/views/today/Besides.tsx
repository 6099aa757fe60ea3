import { AutoComplete, Button, InputNumber, Segmented, Select } from 'antd';
import { useState } from 'react';
import type { DayPerson, LabelSodium } from '../../api/client';
import { useKnownFoods, useWriteOtherFood } from '../../api/intake';
import { requestKey, useKitchen } from '../../api/queries';
import { Field } from '../../app/Field';
import { KeepDrawer } from '../../app/KeepDrawer';
import { mg } from '../../app/numbers';

const ways: { value: LabelSodium['by']; label: string }[] = [
  { value: 'mg', label: 'mg sodium' },
  { value: 'salt', label: 'g salt' },
  { value: 'per_100g', label: 'by 100 g' },
  { value: 'per_portion', label: 'by portion' },
];

/** Something that is not from a jar: as its package or the menu says it, or once more what was written down before. */
export function Besides({ person, date, close }: { person: DayPerson; date: string; close: () => void }) {
  const write = useWriteOtherFood();
  const known = useKnownFoods();
  const kitchen = useKitchen();
  const [key] = useState(requestKey);
  const [name, setName] = useState('');
  const [how, setHow] = useState<LabelSodium>({ by: 'mg' });
  const [printed, setPrinted] = useState<'sodium' | 'salt'>('sodium');
  const [insteadShare, setInsteadShare] = useState(0);
  const number = (label: string, field: keyof Omit<LabelSodium, 'by'>, unit: string) => (
    <Field label={label} name={`how.${field}`} refusal={write.error}>
      <InputNumber
        value={how[field] ?? null}
        suffix={unit}
        onChange={(value) => setHow({ ...how, [field]: value ?? undefined })}
      />
    </Field>
  );
  const each = printed === 'salt' ? number('Salt', 'saltG', 'g') : number('Sodium', 'sodiumMg', 'mg');

  return (
    <KeepDrawer
      title={`${person.name} ate something else`}
      close={close}
      keepAs="Write it down"
      keep={() => {
        void write
          .mutateAsync({ personId: person.id, name, eatenOn: date, how, insteadShare, requestKey: key })
          .then(close, () => undefined);
      }}
      isKeeping={write.isPending}
    >
      {(known.data ?? []).length > 0 && (
        <div className="words known-foods" role="group" aria-label="Written down before">
          {known.data?.slice(0, 8).map((food) => (
            <Button
              key={food.name}
              onClick={() => {
                setName(food.name);
                setHow(food.how);
                setPrinted(food.how.saltG === undefined ? 'sodium' : 'salt');
              }}
            >
              {food.name}, {mg(Math.round(food.sodiumMg))}
            </Button>
          ))}
        </div>
      )}
      <div className="fields">
        <Field label="What" name="name" refusal={write.error} wide>
          <AutoComplete
            value={name}
            options={(kitchen.data?.ingredients ?? [])
              .filter((food) => name.length > 1 && food.name.includes(name.toLowerCase()))
              .slice(0, 8)
              .map((food) => ({
                value: food.name,
                label: `${food.name}, ${mg(Math.round(food.sodiumPer100g))} in 100 g`,
              }))}
            onChange={(next: string) => setName(next)}
            onSelect={(next: string) => {
              const food = kitchen.data?.ingredients.find((one) => one.name === next);
              setPrinted('sodium');
              setHow({ by: 'per_100g', sodiumMg: food?.sodiumPer100g });
            }}
          />
        </Field>
      </div>
      <Segmented
        aria-label="How it is printed"
        className="besides-ways"
        value={how.by}
        onChange={(by: LabelSodium['by']) => {
          setHow({ by });
          setPrinted('sodium');
        }}
        options={ways}
      />
      {(how.by === 'per_100g' || how.by === 'per_portion') && (
        <Segmented
          aria-label="Sodium or salt"
          className="besides-ways"
          value={printed}
          onChange={(next: 'sodium' | 'salt') => {
            setPrinted(next);
            setHow({ ...how, saltG: undefined, sodiumMg: undefined });
          }}
          options={[
            { value: 'sodium', label: 'as sodium' },
            { value: 'salt', label: 'as salt' },
          ]}
        />
      )}
      <div className="fields">
        {how.by === 'mg' && number('Sodium', 'milligrams', 'mg')}
        {how.by === 'salt' && number('Salt', 'saltG', 'g')}
        {how.by === 'per_100g' && (
          <>
            {each}
            {number('Eaten of it', 'grams', 'g')}
          </>
        )}
        {how.by === 'per_portion' && (
          <>
            {each}
            {number('Portions', 'portions', '')}
          </>
        )}
        <Field label={`Instead of the estimate of ${mg(Math.round(person.restMg))}`} wide>
          <Select
            value={insteadShare}
            onChange={setInsteadShare}
            options={[
              { value: 0, label: 'no, it comes on top' },
              ...(['morning', 'noon', 'evening'] as const).map((meal) => ({
                value: person.mealShares[meal] / 100,
                label: `instead of the ${meal} meal, ${mg(Math.round((person.restMg * person.mealShares[meal]) / 100))}`,
              })),
              { value: 1, label: 'instead of all of it' },
            ]}
          />
        </Field>
      </div>
      {write.error?.of('how.by') && (
        <p className="complaint" role="alert">
          {write.error.of('how.by')}
        </p>
      )}
      <p className="soft">
        Salt on European labels is sodium times 2.5. Salt substitutes with potassium are not for everyone: ask
        a clinician first.
      </p>
    </KeepDrawer>
  );
}
