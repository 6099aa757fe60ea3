import { joined, named, t } from '../../messages/words';
import { AutoComplete, Checkbox, Segmented } from 'antd';
import { notices } from '../../app/notices';
import { Complaint } from '../../app/Complaint';
import dayjs from 'dayjs';
import type { DayPerson, LabelSodium, Meal, OtherFood, Refusal } from '../../api/client';
import { useRepeatOtherFoods, useWriteOtherFood } from '../../api/intake';
import { useKitchen } from '../../api/queries';
import { complain } from '../../app/complain';
import { Field } from '../../app/Field';
import { NumberBox } from '../../app/NumberBox';
import { SaveDrawer } from '../../app/SaveDrawer';
import { mg } from '../../app/numbers';
import { QuantityBox } from '../../app/QuantityBox';
import { QuickFoods } from './QuickFoods';
import { useTyped } from '../../app/typed';

const ways: { value: LabelSodium['by']; label: string }[] = [
  { value: 'mg', label: t('other_food.by_mg') },
  { value: 'salt', label: t('other_food.by_salt') },
  { value: 'per_100g', label: t('other_food.by_100') },
  { value: 'per_portion', label: t('other_food.by_portion') },
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
  const again = useRepeatOtherFoods();
  const kitchen = useKitchen();
  const typed = wrong?.id ?? person.id;
  const [name, setName] = useTyped(`name ${typed}`, wrong?.name ?? '');
  const [how, setHow] = useTyped<LabelSodium>(`how ${typed}`, wrong?.how ?? { by: 'mg' });
  const [printed, setPrinted] = useTyped<'sodium' | 'salt'>(
    `printed ${typed}`,
    wrong && wrong.how.by !== 'salt' && wrong.how.saltG !== undefined ? 'salt' : 'sodium',
  );
  const [insteadOf, setInsteadOf] = useTyped<Meal[]>(`insteadOf ${typed}`, wrong?.insteadOf ?? []);
  const entered = (foods: OtherFood[]) => {
    notices.done(
      t('other_food.entered', {
        foods: joined(foods.map((food) => food.name)),
        mg: mg(Math.round(foods.reduce((sum, food) => sum + food.sodiumMg, 0))),
      }),
    );
    close();
  };
  const number = (label: string, field: keyof Omit<LabelSodium, 'by'>, unit: string) => (
    <Field label={label} name={`how.${field}`} refusal={write.error}>
      <NumberBox
        value={how[field] ?? null}
        suffix={unit}
        onChange={(value) => setHow({ ...how, [field]: value ?? undefined })}
      />
    </Field>
  );
  const each =
    printed === 'salt' ? number(t('other_food.salt'), 'saltG', 'g') : number(t('other_food.sodium'), 'sodiumMg', 'mg');

  return (
    <SaveDrawer
      title={
        wrong ? t('eater.ate', { name: person.name, food: wrong.name }) : t('other_food.title', { name: person.name })
      }
      close={close}
      keep={() => {
        void write
          .mutateAsync({ personId: person.id, name, eatenOn: date, how, insteadOf })
          .then(close, () => undefined);
      }}
      isKeeping={write.isPending}
      refusal={write.error}
    >
      {!wrong && (
        <QuickFoods
          person={person}
          date={date}
          isWriting={write.isPending || again.isPending}
          write={(eaten) => {
            void write.mutateAsync({ personId: person.id, eatenOn: date, ...eaten }).then(
              (food) => entered([food]),
              () => undefined,
            );
          }}
          repeat={() => {
            again
              .mutateAsync({
                personId: person.id,
                eatenOn: date,
                from: dayjs(date).subtract(1, 'day').format('YYYY-MM-DD'),
              })
              .then(
                ({ foods }) => entered(foods),
                (refusal: Refusal) => complain(refusal),
              );
          }}
        />
      )}
      <div className="fields">
        <Field label={t('other_food.what')} name="name" refusal={write.error} wide>
          <AutoComplete
            value={name}
            options={(kitchen.data?.ingredients ?? [])
              .filter((food) => name.length > 1 && food.name.includes(name.toLowerCase()))
              .slice(0, 8)
              .map((food) => ({
                value: food.name,
                label: t('other_food.per_100', { food: food.name, mg: mg(Math.round(food.sodiumPer100g)) }),
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
        aria-label={t('other_food.how')}
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
          aria-label={t('other_food.which')}
          className="besides-ways"
          value={printed}
          onChange={(next: 'sodium' | 'salt') => {
            setPrinted(next);
            setHow({ ...how, saltG: undefined, sodiumMg: undefined });
          }}
          options={[
            { value: 'sodium', label: t('other_food.as_sodium') },
            { value: 'salt', label: t('other_food.as_salt') },
          ]}
        />
      )}
      <div className="fields">
        {how.by === 'mg' && number(t('other_food.sodium'), 'milligrams', 'mg')}
        {how.by === 'salt' && number(t('other_food.salt'), 'saltG', 'g')}
        {how.by === 'per_100g' && (
          <>
            {each}
            <Field label={t('other_food.eaten')} name="how.grams" refusal={write.error}>
              <QuantityBox
                measures="grams"
                value={how.grams ?? null}
                change={(grams) => setHow({ ...how, grams: grams ?? undefined })}
              />
            </Field>
          </>
        )}
        {how.by === 'per_portion' && (
          <>
            {each}
            {number(t('other_food.portions'), 'portions', '')}
          </>
        )}
      </div>
      <div role="group" aria-label={t('other_food.instead_label')} className="instead-of">
        <span>{t('other_food.instead')}</span>
        <Checkbox.Group<Meal>
          value={insteadOf}
          onChange={setInsteadOf}
          options={person.meals.map(({ meal, milligrams }) => ({
            value: meal,
            label: t('other_food.of_meal', { meal: named('meal', meal), mg: mg(milligrams) }),
          }))}
        />
        <span className="soft">{t('other_food.on_top')}</span>
      </div>
      <Complaint>{write.error?.of('how.by')}</Complaint>
      <p className="soft">{t('other_food.caution')}</p>
    </SaveDrawer>
  );
}
