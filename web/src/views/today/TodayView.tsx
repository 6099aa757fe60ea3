import { App, Button } from 'antd';
import dayjs from 'dayjs';
import { useCallback, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Day, DayJar, DayPerson, OtherFood, PlannedToday, Serving } from '../../api/client';
import { requestKey, useDay, useServe, useUndoServing } from '../../api/queries';
import { useKey } from '../../app/keys';
import { grams, mg, sodium } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { JarDrawing } from '../../drawings/JarDrawing';
import { SaltLine } from '../../drawings/SaltLine';
import { useTakeOtherFoodBack } from '../../api/intake';
import { Besides } from './Besides';
import { Chores } from './Chores';
import { Together } from './Together';
import './TodayView.css';

/** Everyone's salt line today; a serving is two taps away. */
export function TodayView() {
  const { date = 'today' } = useParams();
  const day = useDay(date);
  const [eating, setEating] = useState<string | null>(null);
  const [besides, setBesides] = useState<DayPerson | null>(null);
  const [together, setTogether] = useState(false);
  const takeFoodBack = useTakeOtherFoodBack();
  const { message } = App.useApp();
  const serve = useServe();
  const undo = useUndoServing();

  const takeBack = useCallback(
    (serving: Serving) => {
      undo.mutate(serving.id, {
        onSuccess: () => void message.success(`Taken back: ${serving.batchName} for ${serving.personName}.`),
        onError: (refusal) => void message.error(refusal.message),
      });
    },
    [undo, message],
  );
  const last = day.data?.people
    .flatMap((person) => person.servings)
    .sort((a, b) => b.id.localeCompare(a.id))[0];
  useKey(
    'u',
    useCallback(() => last && takeBack(last), [last, takeBack]),
  );

  if (!day.data) {
    return <PageState query={day} />;
  }
  const { people, jars } = day.data;
  const isToday = day.data.date === day.data.today;

  const eat = (person: DayPerson, jar: DayJar) => {
    const portion = jar.portions.find((one) => one.personId === person.id);
    setEating(null);
    give({
      batchId: jar.id,
      personId: person.id,
      amount: `${String(portion?.grams ?? jar.servingGrams)} g`,
    });
  };
  const eatPlanned = (person: DayPerson, planned: PlannedToday) =>
    give({
      batchId: planned.batchId,
      personId: person.id,
      amount: `${String(planned.grams)} g`,
      way: planned.way,
      plannedId: planned.id,
    });
  const give = (
    portion: { batchId: string; personId: string; amount: string } & Partial<
      Pick<Parameters<typeof serve.mutate>[0], 'way' | 'plannedId'>
    >,
  ) => {
    serve.mutate(
      { ...portion, eatenOn: day.data.date, requestKey: requestKey() },
      {
        onSuccess: (serving) =>
          void message.open({
            type: 'success',
            duration: 8,
            content: (
              <span>
                {serving.personName}: {grams(serving.grams)} of {serving.batchName}, {sodium(serving.sodium)}.{' '}
                <Button
                  type="link"
                  onClick={() => {
                    takeBack(serving);
                    message.destroy();
                  }}
                >
                  Undo
                </Button>
              </span>
            ),
          }),
        onError: (refusal) => void message.error(refusal.of('amount') ?? refusal.message),
      },
    );
  };

  return (
    <>
      <div className="today-head">
        <h1>{dayjs(day.data.date).format('dddd, D MMMM')}</h1>
        <span className="today-days">
          <Link className="as-button" to={dayPath(day.data, -1)} aria-label="The day before">
            ←
          </Link>
          <Link className="as-button" to={dayPath(day.data, 1)} aria-label="The day after">
            →
          </Link>
          <Button disabled={jars.length === 0} onClick={() => setTogether(true)}>
            Together, or in a dish
          </Button>
          <Link className="as-button" to="/today/intake" title="Days and weeks (i)">
            Intake
          </Link>
        </span>
      </div>
      {isToday && <Chores />}
      {people.map((person) => (
        <Eater
          key={person.id}
          person={person}
          day={day.data}
          isEating={eating === person.id}
          onToggle={() => setEating(eating === person.id ? null : person.id)}
          onEat={(jar) => eat(person, jar)}
          onEatPlanned={(planned) => eatPlanned(person, planned)}
          onUndo={takeBack}
          onBesides={() => setBesides(person)}
          onUndoFood={(food) => {
            takeFoodBack.mutateAsync(food.id).then(
              () => void message.success(`Taken back: ${food.name} for ${person.name}.`),
              (refusal: { message: string }) => void message.error(refusal.message),
            );
          }}
        />
      ))}
      {besides && <Besides person={besides} date={day.data.date} close={() => setBesides(null)} />}
      {together && <Together day={day.data} close={() => setTogether(false)} />}
      {jars.length === 0 && (
        <p>
          No jar is on the shelf yet. <Link to="/bench">Make the first one at the bench.</Link>
        </p>
      )}
      <p className="soft">
        Targets belong to the eater and their clinician; the presets are public guideline figures. The soft
        end of a line is what spoons and draining leave uncertain.
      </p>
    </>
  );
}

interface EaterProps {
  person: DayPerson;
  day: Day;
  isEating: boolean;
  onToggle: () => void;
  onEat: (jar: DayJar) => void;
  onEatPlanned: (planned: PlannedToday) => void;
  onUndo: (serving: Serving) => void;
  onBesides: () => void;
  onUndoFood: (food: OtherFood) => void;
}

function Eater({
  person,
  day,
  isEating,
  onToggle,
  onEat,
  onEatPlanned,
  onUndo,
  onBesides,
  onUndoFood,
}: EaterProps) {
  return (
    <section className="eater" aria-label={person.name}>
      <div className="eater-head">
        <h2>{person.name}</h2>
        <span className="soft source">
          {mg(person.targetMg)} a day, {person.targetSource}
        </span>
        <Button className="serve" aria-label={`${person.name} ate something else`} onClick={onBesides}>
          Something else…
        </Button>
        <Button
          className="serve"
          type={isEating ? 'default' : 'primary'}
          aria-expanded={isEating}
          disabled={day.jars.length === 0}
          onClick={onToggle}
        >
          {isEating ? 'Close' : `${person.name} eats…`}
        </Button>
      </div>
      {isEating && (
        <div className="at-hand" role="group" aria-label={`Jars at hand for ${person.name}`}>
          {day.jars.map((jar) => (
            <JarAtHand key={jar.id} jar={jar} person={person} onEat={() => onEat(jar)} />
          ))}
        </div>
      )}
      <SaltLine
        name={person.name}
        targetMg={person.targetMg}
        restMg={person.restMg}
        ferments={person.ferments}
        marginMg={person.marginMg}
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
      <Fits person={person} jars={day.jars} />
      {person.otherFoods.length > 0 && (
        <ul className="quiet-list eaten" aria-label={`Besides the jars, ${person.name}`}>
          {person.otherFoods.map((food) => (
            <li key={food.id} style={{ borderColor: 'var(--written)' }}>
              {food.name}, {mg(Math.round(food.sodiumMg))}
              {food.insteadMg > 0 && `, instead of ${mg(Math.round(food.insteadMg))} of the estimate`}
              <Button
                type="text"
                aria-label={`Undo ${food.name} for ${person.name}`}
                onClick={() => onUndoFood(food)}
              >
                Undo
              </Button>
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
                onClick={() => onEatPlanned(planned)}
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
              <Link to={`/shelf/${serving.batchId}`}>{serving.batchName}</Link> {grams(serving.grams)},{' '}
              {sodium(serving.sodium)}
              <Button
                type="text"
                aria-label={`Undo ${serving.batchName} for ${person.name}`}
                onClick={() => onUndo(serving)}
              >
                Undo
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What is on the shelf and fits under what is left, and what does not. */
function Fits({ person, jars }: { person: DayPerson; jars: DayJar[] }) {
  const open = jars.flatMap((jar) => {
    const portion = jar.portions.find((one) => one.personId === person.id);
    return jar.isReady && portion?.sodium && portion.clashes.length === 0
      ? [{ name: jar.name, sodium: portion.sodium }]
      : [];
  });
  const fits = open.filter((one) => one.sodium.typical <= person.marginMg);
  const not = open.filter((one) => one.sodium.typical > person.marginMg);
  if (open.length === 0) {
    return null;
  }

  return (
    <p className="fits">
      {fits.length > 0 && (
        <>Fits now: {fits.map((one) => `${one.name} ${sodium(one.sodium)}`).join(', ')}. </>
      )}
      {not.length > 0 && (
        <>Does not fit: {not.map((one) => `${one.name} ${sodium(one.sodium)}`).join(', ')}.</>
      )}
    </p>
  );
}

/** The address of a day before or after, today without a date. */
function dayPath(day: Day, step: number): string {
  const date = dayjs(day.date).add(step, 'day').format('YYYY-MM-DD');
  return date === day.today ? '/today' : `/today/${date}`;
}

function JarAtHand({ jar, person, onEat }: { jar: DayJar; person: DayPerson; onEat: () => void }) {
  const portion = jar.portions.find((one) => one.personId === person.id);
  const cost = portion?.sodium ?? null;
  const fits = cost === null || cost.typical <= person.marginMg;

  return (
    <button type="button" disabled={cost === null} onClick={onEat}>
      {jar.jar && <JarDrawing jar={jar.jar} scale={0.3} label="" seed={jar.id} />}
      <span>{jar.name}</span>
      {cost ? (
        <span>
          {grams(portion?.grams ?? 0)}, <b>{sodium(cost)}</b>
          {!fits && <span className="does-not-fit"> past the target</span>}
        </span>
      ) : (
        <span>less than a portion left</span>
      )}
    </button>
  );
}
