import { when } from '../../messages/dates';
import { joined, say, t, T } from '../../messages/words';
import { memo, useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import type { Day, DayJar, DayPerson, OtherFood, PlannedToday, Serving } from '../../api/client';
import { ColouredItem } from '../../app/ColouredItem';
import { later } from '../../app/later';
import { grams, mg, sodium } from '../../app/numbers';
import { Deed } from '../../app/Deed';
import { SaltLine } from '../../drawings/SaltLine';

/** What can be done for someone. */
export type EaterActions = {
  /** Shows what there is to eat, or puts it away. */
  toggle: (person: DayPerson) => void;
  eat: (person: DayPerson, jar: DayJar, grams: number) => void;
  eatPlanned: (person: DayPerson, planned: PlannedToday) => void;
  takeBack: (serving: Serving) => void;
  change: (serving: Serving) => void;
  /** Something that is not from a jar, new or to be put right. */
  write: (person: DayPerson, food?: OtherFood) => void;
  takeFoodBack: (person: DayPerson, food: OtherFood) => void;
  /** What was planned and not eaten: today, or not at all. */
  moveMissed: (person: DayPerson, missed: DayPerson['missed'][number], goesOn: boolean) => void;
};

const EatPanel = later(() => import('./EatPanel'), 'EatPanel');

interface Props {
  person: DayPerson;
  day: Day;
  isEating: boolean;
  hands: EaterActions;
}

/** Someone's salt line, what they ate and mean to eat, and what fits beside it. */
export const Eater = memo(function Eater({ person, day, isEating, hands }: Props) {
  const [isUnfolded, setIsUnfolded] = useState(false);
  // The button answers at once; what there is to eat is drawn behind it.
  const isOpen = useDeferredValue(isEating);

  return (
    <section className={isUnfolded ? 'eater is-unfolded' : 'eater'} aria-label={person.name}>
      <div className="eater-head">
        <h2>{person.name}</h2>
        {person.isAway && <span className="word">{t('eater.away')}</span>}
        <span className="soft source">
          {t('eater.target', { target: mg(person.targetMg), source: say(person.targetSource) })}
        </span>
        <Deed
          needs="log"
          className="serve"
          aria-label={t('eater.other_food_for', { name: person.name })}
          onClick={() => hands.write(person)}
        >
          {t('eater.other_food')}
        </Deed>
        <Deed
          needs="log"
          className="serve"
          type={isEating ? 'default' : 'primary'}
          aria-expanded={isEating}
          onClick={() => hands.toggle(person)}
        >
          {isEating ? t('action.close') : t('eater.eats', { name: person.name })}
        </Deed>
      </div>
      {isOpen && (
        <EatPanel
          person={person}
          day={day}
          eat={(jar, portion) => hands.eat(person, jar, portion)}
          close={() => hands.toggle(person)}
        />
      )}
      <EaterDay person={person} day={day} hands={hands} isUnfolded={isUnfolded} unfold={setIsUnfolded} />
    </section>
  );
});

interface DayProps extends Omit<Props, 'isEating'> {
  isUnfolded: boolean;
  unfold: (isUnfolded: boolean) => void;
}

/** What someone's day comes to, and what it is made of. */
const EaterDay = memo(function EaterDay({ person, day, hands, isUnfolded, unfold }: DayProps) {
  return (
    <>
      <SaltLine
        name={person.name}
        targetMg={person.targetMg}
        restMg={person.restMg}
        ferments={person.ferments}
        marginMg={person.marginMg}
        writtenMg={person.writtenMg}
        parts={[
          ...person.otherFoods.map((food) => ({
            id: food.id,
            name: food.name,
            colour: 'var(--written)',
            milligrams: food.sodiumMg,
          })),
          ...person.servings.map((serving) => ({
            id: serving.id,
            name: serving.batchName,
            colour: serving.colour,
            milligrams: serving.sodium.typical,
          })),
          ...person.planned.map((planned) => ({
            id: planned.id,
            name: planned.batchName,
            colour: planned.colour,
            milligrams: planned.sodium?.typical ?? 0,
            isPlanned: true,
          })),
        ]}
      />
      {/* On a phone everyone's line comes first, and the rest unfolds. */}
      <Deed
        needs="log"
        type="text"
        className="eater-unfold"
        aria-expanded={isUnfolded}
        aria-label={t('eater.more_of', { name: person.name, what: isUnfolded ? t('eater.less') : unfolds(person) })}
        onClick={() => unfold(!isUnfolded)}
      >
        {isUnfolded ? t('eater.less') : unfolds(person)}
      </Deed>
      <div className="eater-more">
        {person.restMg + person.writtenMg > 0 && (
          <p className={person.isWarned ? 'fits is-warned' : 'fits'}>
            {t('eater.total', {
              total: mg(person.total.shown),
              low: mg(person.total.shownLow),
              high: mg(person.total.shownHigh),
              knowledge: say(person.dietKnowledge),
              chance: say(person.chance) ?? 'none',
            })}
            {person.toCome.servings > 0 &&
              ` ${t('eater.to_come', { servings: person.toCome.servings, kinds: person.toCome.kinds })}`}
          </p>
        )}
        {day.date === day.today && <Fits person={person} jars={day.jars} />}
        {person.otherFoods.length > 0 && (
          <ul className="quiet-list eaten" aria-label={t('eater.other_of', { name: person.name })}>
            {person.otherFoods.map((food) => (
              <ColouredItem key={food.id} colour="var(--written)">
                {t('eater.instead', {
                  food: food.name,
                  mg: mg(Math.round(food.sodiumMg)),
                  meals: food.insteadOf.length > 0 ? joined(food.insteadOf.map((meal) => t(`meal.${meal}`))) : 'none',
                })}
                <span className="eaten-does">
                  <Deed
                    needs="log"
                    type="text"
                    aria-label={t('eater.edit_of', { food: food.name, name: person.name })}
                    onClick={() => hands.write(person, food)}
                  >
                    {t('action.edit')}
                  </Deed>
                  <Deed
                    needs="log"
                    type="text"
                    aria-label={t('eater.undo_of', { food: food.name, name: person.name })}
                    onClick={() => hands.takeFoodBack(person, food)}
                  >
                    {t('action.undo')}
                  </Deed>
                </span>
              </ColouredItem>
            ))}
          </ul>
        )}
        {person.planned.length > 0 && (
          <ul className="quiet-list eaten" aria-label={t('eater.planned_for', { name: person.name })}>
            {person.planned.map((planned) => (
              <ColouredItem key={planned.id} className="is-planned" colour={planned.colour}>
                <span>
                  <T
                    m="eater.planned"
                    v={{
                      jar: planned.batchName,
                      grams: grams(planned.grams),
                      style: planned.way === 'drained' ? 'none' : say(planned.wayLabel),
                      sodium: planned.sodium
                        ? sodium(planned.sodium)
                        : planned.isToStart
                          ? t('eater.to_start')
                          : t('serve.less_left'),
                      a0: (c) => <Link to={planned.isToStart ? '/shelf/ahead' : `/shelf/${planned.batchId}`}>{c}</Link>,
                    }}
                  />
                </span>
                <Deed
                  needs="log"
                  disabled={planned.sodium === null}
                  aria-label={t('eater.eaten_of', { name: person.name, food: planned.batchName })}
                  onClick={() => hands.eatPlanned(person, planned)}
                >
                  {t('eater.eaten')}
                </Deed>
              </ColouredItem>
            ))}
          </ul>
        )}
        {person.servings.length > 0 && (
          <ul className="quiet-list eaten">
            {person.servings.map((serving) => (
              <ColouredItem key={serving.id} colour={serving.colour}>
                <span>
                  <Link to={`/shelf/${serving.batchId}`}>{serving.batchName}</Link> {grams(serving.grams)}
                  {serving.way === 'drained' ? '' : `, ${say(serving.wayLabel)}`}
                  {serving.dish ? t('eater.of_dish', { grams: grams(serving.dish.grams) }) : ''},{' '}
                  {sodium(serving.sodium)}
                </span>
                <span className="eaten-does">
                  <Deed
                    needs="log"
                    type="text"
                    aria-label={t('eater.edit_of', { food: serving.batchName, name: person.name })}
                    onClick={() => hands.change(serving)}
                  >
                    {t('action.edit')}
                  </Deed>
                  <Deed
                    needs="log"
                    type="text"
                    aria-label={t('eater.undo_of', { food: serving.batchName, name: person.name })}
                    onClick={() => hands.takeBack(serving)}
                  >
                    {t('action.undo')}
                  </Deed>
                </span>
              </ColouredItem>
            ))}
          </ul>
        )}
        {person.missed.length > 0 && (
          <ul className="quiet-list eaten" aria-label={t('eater.missed_of', { name: person.name })}>
            {person.missed.map((missed) => (
              <ColouredItem key={missed.id} className="is-planned" colour={missed.colour}>
                <span>
                  {t('eater.missed', {
                    jar: missed.batchName,
                    grams: grams(missed.grams),
                    day: when(missed.date, 'weekday'),
                  })}
                </span>
                <span className="eaten-does">
                  <Deed
                    type="text"
                    disabled={person.planned.some((one) => one.batchId === missed.batchId)}
                    aria-label={t('eater.missed_today_of', { jar: missed.batchName, name: person.name })}
                    onClick={() => hands.moveMissed(person, missed, true)}
                  >
                    {t('eater.missed_today')}
                  </Deed>
                  <Deed
                    type="text"
                    aria-label={t('eater.missed_drop_of', { jar: missed.batchName, name: person.name })}
                    onClick={() => hands.moveMissed(person, missed, false)}
                  >
                    {t('eater.missed_drop')}
                  </Deed>
                </span>
              </ColouredItem>
            ))}
          </ul>
        )}
      </div>
    </>
  );
});

/** What unfolding brings: what is planned and was eaten, or just more. */
function unfolds(person: DayPerson): string {
  const [planned, eaten] = [person.planned.length + person.missed.length, person.servings.length];

  return planned + eaten === 0 ? t('eater.more') : t('eater.more_with', { planned, eaten });
}

/** How many usual portions are as many as anyone would eat. */
const MANY = 3;

/** What is on the shelf and fits under what is left beside the plan, how much of it, and what does not. */
function Fits({ person, jars }: { person: DayPerson; jars: DayJar[] }) {
  const open = jars.flatMap((jar) => {
    const portion = jar.portions.find((one) => one.personId === person.id);
    return jar.isReady && portion?.sodium && portion.clashes.length === 0
      ? [{ name: jar.name, usual: portion.grams, fits: portion.fitsGrams }]
      : [];
  });
  const said = open.flatMap(({ name, usual, fits }) =>
    fits === 0
      ? []
      : fits < usual
        ? [t('eater.grams_of', { grams: grams(fits), jar: name })]
        : [fits < MANY * usual ? t('eater.up_to', { jar: name, grams: grams(fits) }) : name],
  );
  const not = open.filter(({ fits }) => fits === 0).map(({ name }) => name);
  if (open.length === 0) {
    return null;
  }

  return (
    <p className="fits">
      {said.length > 0 && <>{t('eater.fits', { jars: joined(said), isPlanned: person.planned.length > 0 })}</>}{' '}
      {not.length > 0 && <>{t('eater.does_not_fit', { jars: joined(not) })}</>}
    </p>
  );
}
