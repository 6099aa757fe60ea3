import { AutoComplete, Button, Checkbox, InputNumber, Segmented } from 'antd';
import { useState } from 'react';
import type { DayPerson, LabelSodium, Meal, OtherFood } from '../../api/client';
import { useKnownFoods, useWriteOtherFood } from '../../api/intake';
import { useKitchen } from '../../api/queries';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { mg } from '../../app/numbers';

const ways: { value: LabelSodium['by']; label: string }[] = [
  { value: 'mg', label: 'mg sodium' },
  { value: 'salt', label: 'g salt' },
  { value: 'per_100g', label: 'by 100 g' },
  { value: 'per_portion', label: 'by portion' },
];

interface Props {
  person: DayPerson;
  date: string;
  /** What is to be put right; none: something new. */
  food?: OtherFood | undefined;
  close: () => void;
}

/** Something that is not from a jar: as its package or the menu says it, or once more what was written down before. */
export function OtherFoodDrawer({ person, date, food: wrong, close }: Props) {
  const write = useWriteOtherFood(wrong?.id ?? null);
  const known = useKnownFoods();
  const kitchen = useKitchen();
  const [name, setName] = useState(wrong?.name ?? '');
  const [how, setHow] = useState<LabelSodium>(wrong?.how ?? { by: 'mg' });
  const [printed, setPrinted] = useState<'sodium' | 'salt'>(
    wrong && wrong.how.by !== 'salt' && wrong.how.saltG !== undefined ? 'salt' : 'sodium',
  );
  const [insteadOf, setInsteadOf] = useState<Meal[]>(wrong?.insteadOf ?? []);
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
    <SaveDrawer
      title={wrong ? `${person.name} ate ${wrong.name}` : `${person.name} ate something else`}
      close={close}
      keepAs={wrong ? 'Put it right' : 'Write it down'}
      keep={() => {
        void write
          .mutateAsync({ personId: person.id, name, eatenOn: date, how, insteadOf })
          .then(close, () => undefined);
      }}
      isKeeping={write.isPending}
      refusal={write.error}
    >
      {!wrong && (known.data ?? []).length > 0 && (
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
      </div>
      <div role="group" aria-label="Instead of the estimate for" className="instead-of">
        <span>It stands instead of what is estimated for</span>
        <Checkbox.Group<Meal>
          value={insteadOf}
          onChange={setInsteadOf}
          options={person.meals.map(({ meal, milligrams }) => ({
            value: meal,
            label: `${meal}, ${mg(milligrams)}`,
          }))}
        />
        <span className="soft">None ticked: it comes on top.</span>
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
    </SaveDrawer>
  );
}
