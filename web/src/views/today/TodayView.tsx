import { complain } from '../../app/complain';
import type { Refusal } from '../../api/client';
import { t, T } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button, Segmented } from 'antd';
import { useOpened } from '../../app/addressState';
import { notices } from '../../app/notices';
import dayjs from 'dayjs';
import { useCallback, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Day, Meal, ServeFields, Serving } from '../../api/client';
import { useDay, useServe, useUndoServing } from '../../api/queries';
import { useKey } from '../../app/keys';
import { later } from '../../app/later';
import { meals } from '../../app/meals';
import { grams, sodium } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { useUndoOtherFood } from '../../api/intake';
import { useWeekStep } from '../../api/planning';
import { useSteady } from '../../app/steady';
import { Deed } from '../../app/Deed';
import { Chores } from './Chores';
import { ChoresOf } from './ChoresOf';
import { Eater, type EaterActions } from './Eater';
import './TodayView.css';

const OtherFoodDrawer = later(() => import('./OtherFoodDrawer'), 'OtherFoodDrawer');
const EditPortion = later(() => import('./EditPortion'), 'EditPortion');
const SharedDish = later(() => import('./SharedDish'), 'SharedDish');

/** Everyone's salt line today; a serving is two taps away. */
export function TodayView() {
  const { date = 'today' } = useParams();
  const day = useDay(date);

  return day.data ? <OneDay day={day.data} of={date} /> : <PageState query={day} />;
}

/** A day of everyone, as it was asked for: today has no date of its own. */
function OneDay({ day, of }: { day: Day; of: string }) {
  const { people, jars } = day;
  const [eating, setEating] = useState<string | null>(null);
  const servings = people.flatMap((person) => person.servings);
  const foodFor = useOpened('food-for', people);
  const food = useOpened(
    'food',
    people.flatMap((person) => person.otherFoods),
  );
  const foodOf = food.thing && people.find((person) => person.otherFoods.some(({ id }) => id === food.thing?.id));
  const portion = useOpened('portion', servings);
  const dish = useOpened('dish', servings);
  const [pastMeal, setPastMeal] = useState<Meal>('noon');
  const takeFoodBack = useUndoOtherFood();
  const serve = useServe();
  const undo = useUndoServing();
  const plan = useWeekStep(of);

  const takeBack = useCallback(
    (serving: Serving) => {
      undo.mutate(serving.id, {
        onSuccess: () =>
          notices.done(
            serving.dish
              ? t('today.undone_dish', { jar: serving.batchName })
              : t('today.undone', { food: serving.batchName, name: serving.personName }),
          ),
        onError: (refusal) => complain(refusal),
      });
    },
    [undo],
  );
  const last = servings.toSorted((a, b) => b.id.localeCompare(a.id))[0];
  useKey(
    'u',
    useCallback(() => last && takeBack(last), [last, takeBack]),
  );

  const isToday = day.date === day.today;
  // Today it is eaten now; on a day that is over, at a meal.
  const meal = day.date < day.today ? pastMeal : null;

  const release = (plannedId: string, jar: string) =>
    plan.mutateAsync({ step: 'change', put: [], remove: [plannedId] }).then(
      () => notices.done(t('today.released', { jar })),
      (refusal: Refusal) => complain(refusal),
    );

  const moveMissed: EaterActions['moveMissed'] = (person, missed, goesOn) =>
    plan.mutate(
      {
        step: 'change',
        put: goesOn
          ? [
              {
                personId: person.id,
                batchId: missed.batchId,
                date: day.today,
                grams: missed.grams,
                way: missed.way,
              },
            ]
          : [],
        remove: [missed.id],
      },
      { onError: (refusal) => complain(refusal) },
    );

  const give = (portion: Pick<ServeFields, 'batchId' | 'personId' | 'amount' | 'way' | 'plannedId'>) => {
    const meant = people.find(({ id }) => id === portion.personId)?.planned ?? [];
    // What was planned from that jar is what is eaten; what was planned from another may be meant to go.
    const plannedId = portion.plannedId ?? meant.find(({ batchId }) => batchId === portion.batchId)?.id ?? null;
    const other = plannedId === null ? meant[0] : undefined;
    serve.mutate(
      { ...portion, plannedId, eatenOn: day.date, meal },
      {
        onSuccess: (serving) =>
          notices.say({
            seconds: 8,
            content: (
              <span>
                <T
                  m="today.served"
                  v={{
                    name: serving.personName,
                    grams: grams(serving.grams),
                    jar: serving.batchName,
                    sodium: sodium(serving.sodium),
                    a0: (c) => (
                      <Button
                        type="link"
                        onClick={() => {
                          takeBack(serving);
                          notices.clear();
                        }}
                      >
                        {c}
                      </Button>
                    ),
                  }}
                />
                {other && (
                  <Button
                    type="link"
                    onClick={() => {
                      notices.clear();
                      void release(other.id, other.batchName);
                    }}
                  >
                    {t('today.instead_of', { jar: other.batchName })}
                  </Button>
                )}
              </span>
            ),
          }),
        onError: (refusal) => complain(refusal),
      },
    );
  };

  const shares = (serving: Serving) => servings.filter((one) => one.dish?.key === serving.dish?.key);
  const hands = useSteady<EaterActions>({
    toggle: (person) => setEating((before) => (before === person.id ? null : person.id)),
    moveMissed,
    eat: (person, jar, amount) => {
      setEating(null);
      give({ batchId: jar.id, personId: person.id, amount: `${String(amount)} g` });
    },
    eatPlanned: (person, planned) =>
      give({
        batchId: planned.batchId,
        personId: person.id,
        amount: `${String(planned.grams)} g`,
        way: planned.way,
        plannedId: planned.id,
      }),
    takeBack,
    change: (serving) => (serving.dish ? dish : portion).open(serving),
    write: (person, written) => (written ? food.open(written) : foodFor.open(person)),
    takeFoodBack: (person, food) => {
      takeFoodBack.mutateAsync(food.id).then(
        () => notices.done(t('today.undone', { food: food.name, name: person.name })),
        (refusal: Refusal) => complain(refusal),
      );
    },
  });

  return (
    <>
      <div className="today-head">
        <h1>{when(day.date, 'long')}</h1>
        <span className="today-days">
          <Link className="as-button" to={dayPath(day, -1)} aria-label={t('today.day_before')}>
            ←
          </Link>
          <Link className="as-button" to={dayPath(day, 1)} aria-label={t('today.day_after')}>
            →
          </Link>
          <Deed needs="log" disabled={jars.length === 0} onClick={() => dish.open()}>
            {t('today.together')}
          </Deed>
          <Link className="as-button" to="/today/intake" title={t('today.intake_hint')}>
            {t('intake.title')}
          </Link>
        </span>
      </div>
      {meal !== null && (
        <div className="today-past">
          <Segmented
            aria-label={t('portion.meal')}
            value={meal}
            onChange={setPastMeal}
            options={meals.map((one) => ({ value: one, label: one }))}
          />
          <span className="soft">{t('today.past')}</span>
        </div>
      )}
      {people.map((person) => (
        <Eater key={person.id} person={person} day={day} isEating={eating === person.id} hands={hands} />
      ))}
      {jars.length === 0 && (
        <p>
          <T m="today.no_jars" v={{ a0: (c) => <Link to="/bench">{c}</Link> }} />
        </p>
      )}
      {isToday ? <Chores /> : day.date > day.today && <ChoresOf date={day.date} />}
      {foodFor.thing && <OtherFoodDrawer person={foodFor.thing} date={day.date} close={foodFor.close} />}
      {food.thing && foodOf && <OtherFoodDrawer person={foodOf} date={day.date} food={food.thing} close={food.close} />}
      {portion.thing && <EditPortion serving={portion.thing} day={day} close={portion.close} />}
      {dish.isOpen && (
        <SharedDish day={day} meal={meal} shares={dish.thing ? shares(dish.thing) : undefined} close={dish.close} />
      )}
      <p className="soft">{t('today.about')}</p>
    </>
  );
}

/** The address of a day before or after, today without a date. */
function dayPath(day: Day, step: number): string {
  const date = dayjs(day.date).add(step, 'day').format('YYYY-MM-DD');
  return date === day.today ? '/today' : `/today/${date}`;
}
