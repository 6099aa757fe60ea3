import { Button } from 'antd';
import { Link } from 'react-router';
import type { Day, DayJar, DayPerson, OtherFood, PlannedToday, Serving } from '../../api/client';
import { grams, mg, sodium } from '../../app/numbers';
import { JarDrawing } from '../../drawings/JarDrawing';
import { SaltLine } from '../../drawings/SaltLine';

/** What can be done for someone. */
export interface EaterActions {
  toggle: () => void;
  eat: (person: DayPerson, jar: DayJar, grams: number) => void;
  eatPlanned: (person: DayPerson, planned: PlannedToday) => void;
  takeBack: (serving: Serving) => void;
  change: (serving: Serving) => void;
  /** Something that is not from a jar, new or to be put right. */
  write: (person: DayPerson, food?: OtherFood) => void;
  takeFoodBack: (person: DayPerson, food: OtherFood) => void;
}

interface Props {
  person: DayPerson;
  day: Day;
  isEating: boolean;
  hands: EaterActions;
}

/** Someone's salt line, what they ate and mean to eat, and what fits beside it. */
export function Eater({ person, day, isEating, hands }: Props) {
  return (
    <section className="eater" aria-label={person.name}>
      <div className="eater-head">
        <h2>{person.name}</h2>
        <span className="soft source">
          {mg(person.targetMg)} a day, {person.targetSource}
        </span>
        <Button
          className="serve"
          aria-label={`${person.name} ate something else`}
          onClick={() => hands.write(person)}
        >
          Something else…
        </Button>
        <Button
          className="serve"
          type={isEating ? 'default' : 'primary'}
          aria-expanded={isEating}
          disabled={day.jars.length === 0}
          onClick={hands.toggle}
        >
          {isEating ? 'Close' : `${person.name} eats…`}
        </Button>
      </div>
      {isEating && (
        <div className="at-hand" role="group" aria-label={`Jars at hand for ${person.name}`}>
          {day.jars.map((jar) => (
            <JarAtHand
              key={jar.id}
              jar={jar}
              person={person}
              eat={(grams) => hands.eat(person, jar, grams)}
            />
          ))}
        </div>
      )}
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
      {day.date === day.today && <Fits person={person} jars={day.jars} />}
      {person.otherFoods.length > 0 && (
        <ul className="quiet-list eaten" aria-label={`Besides the jars, ${person.name}`}>
          {person.otherFoods.map((food) => (
            <li key={food.id} style={{ borderColor: 'var(--written)' }}>
              {food.name}, {mg(Math.round(food.sodiumMg))}
              {food.insteadOf.length > 0 && `, instead of the estimate for ${food.insteadOf.join(' and ')}`}
              <span className="eaten-does">
                <Button
                  type="text"
                  aria-label={`Change ${food.name} of ${person.name}`}
                  onClick={() => hands.write(person, food)}
                >
                  Change
                </Button>
                <Button
                  type="text"
                  aria-label={`Undo ${food.name} for ${person.name}`}
                  onClick={() => hands.takeFoodBack(person, food)}
                >
                  Undo
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {person.planned.length > 0 && (
        <ul className="quiet-list eaten" aria-label={`Planned for ${person.name}`}>
          {person.planned.map((planned) => (
            <li key={planned.id} className="is-planned" style={{ borderColor: planned.colour }}>
              <span>
                planned: <Link to={`/shelf/${planned.batchId}`}>{planned.batchName}</Link>{' '}
                {grams(planned.grams)}
                {planned.way === 'drained' ? '' : `, ${planned.wayLabel}`}
                {planned.sodium ? `, ${sodium(planned.sodium)}` : ', less than that is left'}
              </span>
              <Button
                disabled={planned.sodium === null}
                aria-label={`${person.name} ate ${planned.batchName}`}
                onClick={() => hands.eatPlanned(person, planned)}
              >
                Eaten
              </Button>
            </li>
          ))}
        </ul>
      )}
      {person.servings.length > 0 && (
        <ul className="quiet-list eaten">
          {person.servings.map((serving) => (
            <li key={serving.id} style={{ borderColor: serving.colour }}>
              <span>
                <Link to={`/shelf/${serving.batchId}`}>{serving.batchName}</Link> {grams(serving.grams)}
                {serving.way === 'drained' ? '' : `, ${serving.wayLabel}`}
                {serving.dish ? `, of ${grams(serving.dish.grams)} in a dish` : ''}, {sodium(serving.sodium)}
              </span>
              <span className="eaten-does">
                <Button
                  type="text"
                  aria-label={`Change ${serving.batchName} of ${person.name}`}
                  onClick={() => hands.change(serving)}
                >
                  Change
                </Button>
                <Button
                  type="text"
                  aria-label={`Undo ${serving.batchName} for ${person.name}`}
                  onClick={() => hands.takeBack(serving)}
                >
                  Undo
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
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
        ? [`${grams(fits)} of ${name}`]
        : [fits < MANY * usual ? `${name} up to ${grams(fits)}` : name],
  );
  const not = open.filter(({ fits }) => fits === 0).map(({ name }) => name);
  if (open.length === 0) {
    return null;
  }

  return (
    <p className="fits">
      {said.length > 0 && (
        <>
          Fits {person.planned.length === 0 ? 'now' : 'beside what is planned'}: {said.join(', ')}.{' '}
        </>
      )}
      {not.length > 0 && <>Does not fit: {not.join(', ')}.</>}
    </p>
  );
}

interface AtHandProps {
  jar: DayJar;
  person: DayPerson;
  eat: (grams: number) => void;
}

/** A jar to eat from: the usual portion in a tap, or as much as fits. */
function JarAtHand({ jar, person, eat }: AtHandProps) {
  const portion = jar.portions.find((one) => one.personId === person.id);
  const cost = portion?.sodium ?? null;
  const usual = portion?.grams ?? jar.servingGrams;
  const most = portion?.fitsGrams ?? 0;
  const isPast = cost !== null && cost.typical > person.marginMg;

  return (
    <div className="at-hand-jar">
      <button type="button" disabled={cost === null} onClick={() => eat(usual)}>
        {jar.jar && <JarDrawing jar={jar.jar} scale={0.3} label="" seed={jar.id} />}
        <span>{jar.name}</span>
        {cost ? (
          <span>
            {grams(usual)}, <b>{sodium(cost)}</b>
            {isPast && <span className="does-not-fit"> past the target</span>}
          </span>
        ) : (
          <span>less than a portion left</span>
        )}
        {portion !== undefined && portion.clashes.length > 0 && (
          <span className="does-not-fit">
            not for {person.name}: {portion.clashes.join(', ')}
          </span>
        )}
      </button>
      {most > 0 && most < usual && (
        <Button onClick={() => eat(most)} aria-label={`${grams(most)} of ${jar.name}`}>
          {grams(most)} fit
        </Button>
      )}
    </div>
  );
}
