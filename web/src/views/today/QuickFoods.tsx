import { Button, Segmented } from 'antd';
import { useState } from 'react';
import type { DayPerson, KnownFood, LabelSodium, Meal } from '../../api/client';
import { useKnownFoods } from '../../api/intake';
import { scaled } from '../../app/labelSodium';
import { mg } from '../../app/numbers';
import { named, t } from '../../messages/words';

/** How many of the foods that someone has often are shown. */
const OFTEN = 8;

const shares = [
  { value: 0, label: t('other_food.share_none') },
  { value: 0.25, label: '¼' },
  { value: 0.5, label: '½' },
  { value: 0.75, label: '¾' },
  { value: 1, label: '1' },
  { value: 1.5, label: '1½' },
  { value: 2, label: '2' },
];

/** What was eaten, as it is written down. */
export interface Eaten {
  name: string;
  how: LabelSodium;
  insteadOf: Meal[];
}

interface Props {
  person: DayPerson;
  date: string;
  isWriting: boolean;
  write: (eaten: Eaten) => void;
  /** Writes down what was eaten the day before once more. */
  repeat: () => void;
}

/** What goes in with one tap: the day before once more, something eaten often, or a meal larger or smaller than usual. */
export function QuickFoods({ person, date, isWriting, write, repeat }: Props) {
  const known = useKnownFoods(person.id, date);
  const [share, setShare] = useState(1);
  const dayBefore = known.data?.dayBefore ?? [];
  const often = known.data?.foods.slice(0, OFTEN) ?? [];
  const sum = (foods: KnownFood[]) => mg(Math.round(foods.reduce((all, food) => all + food.sodiumMg, 0)));
  const label = shares.find(({ value }) => value === share)?.label ?? '';

  return (
    <section className="quick-foods" aria-label={t('other_food.quick')}>
      {dayBefore.length > 0 && (
        <Button loading={isWriting} onClick={repeat}>
          {t('other_food.day_before', { count: dayBefore.length, mg: sum(dayBefore) })}
        </Button>
      )}
      <div>
        <span>{t('other_food.share')}</span>
        <Segmented aria-label={t('other_food.share')} value={share} onChange={setShare} options={shares} />
      </div>
      <div className="words" role="group" aria-label={t('other_food.known')}>
        {often.map((food) => (
          <Button
            key={food.name}
            disabled={share === 0 || isWriting}
            onClick={() => write({ name: food.name, how: scaled(food.how, share), insteadOf: food.insteadOf })}
          >
            {t('other_food.quick_food', {
              food: food.name,
              mg: mg(Math.round(food.sodiumMg * share)),
              meals: food.insteadOf.length === 0 ? 'none' : food.insteadOf.map((one) => named('meal', one)).join(', '),
            })}
          </Button>
        ))}
      </div>
      <div className="words" role="group" aria-labelledby="quick-meals">
        <span id="quick-meals">{t('other_food.meals')}</span>
        {person.meals.map(({ meal, milligrams, isInstead }) => (
          <Button
            key={meal}
            disabled={share === 1 || isInstead || isWriting}
            onClick={() =>
              write({
                name: t('other_food.meal_name', {
                  meal: named('meal', meal),
                  share: share === 0 ? 'none' : label,
                }),
                how: { by: 'mg', milligrams: Math.round(milligrams * share) },
                insteadOf: [meal],
              })
            }
          >
            {t('other_food.usual_meal', { meal: named('meal', meal), mg: mg(Math.round(milligrams * share)) })}
          </Button>
        ))}
      </div>
      <h3>{t('other_food.by_hand')}</h3>
    </section>
  );
}
