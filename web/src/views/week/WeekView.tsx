import { App, Button } from 'antd';
import dayjs from 'dayjs';
import { useCallback, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { MeantServing, Week, WeekServing } from '../../api/client';
import { useWeek, useWeekStep, type WeekStep } from '../../api/planning';
import { useKey } from '../../app/keys';
import { PageState } from '../../app/PageState';
import { Conflicts } from './Conflicts';
import { JarPalette } from './JarPalette';
import { WeekGrid } from './WeekGrid';
import { RotationDrawer } from './RotationDrawer';
import './WeekView.css';

/** What can be done with a week from its cells. */
export interface WeekActions {
  week: Week;
  /** The jar that is in the cook's hand, by its id. */
  held: string | null;
  hold: (jar: string | null) => void;
  put: (jar: string, personId: string, date: string) => void;
  change: (serving: WeekServing, instead: MeantServing | null, what: string) => void;
}

/** Seven days by people: jars go onto the planks, and each salt line answers. */
export function WeekView() {
  const { date = 'today' } = useParams();
  const query = useWeek(date);
  const step = useWeekStep(date);
  const [held, setHeld] = useState<string | null>(null);
  const [showsRotation, setShowsRotation] = useState(false);
  const { message } = App.useApp();
  const { mutateAsync, isPending } = step;

  const make = useCallback(
    (made: WeekStep, says?: string) => {
      mutateAsync(made).then(
        () => says && void message.success(says),
        (refusal: { message: string }) => void message.error(refusal.message),
      );
    },
    [mutateAsync, message],
  );
  const fill = useCallback(
    (rest: boolean) =>
      !isPending && make({ step: 'fill', rest }, rest ? 'The rest is planned.' : 'The week is planned.'),
    [make, isPending],
  );
  useKey(
    'p',
    useCallback(() => fill(false), [fill]),
  );
  useKey(
    'r',
    useCallback(() => fill(true), [fill]),
  );
  useKey(
    'u',
    useCallback(() => make({ step: 'undo' }), [make]),
  );
  useKey(
    'y',
    useCallback(() => make({ step: 'redo' }), [make]),
  );

  if (!query.data) {
    return <PageState query={query} />;
  }
  const week = query.data;
  const nameOf = (id: string) => week.people.find((person) => person.id === id)?.name ?? '';
  const hands: WeekActions = {
    week,
    held,
    hold: setHeld,
    put: (jar, personId, day) =>
      make({
        step: 'change',
        put: [{ personId, batchId: jar, date: day }],
        remove: [],
        what: `${week.jars.find((one) => one.id === jar)?.name ?? 'a jar'} for ${nameOf(personId)} on ${dayjs(day).format('dddd')}`,
      }),
    change: (serving, instead, what) =>
      make({ step: 'change', put: instead ? [instead] : [], remove: [serving.id], what }),
  };
  const isOver = (week.dates.at(-1) ?? '') < week.today;

  return (
    <div className="week-room">
      <div className="week-head">
        <div className="week-which">
          <Link className="as-button" to={`/week/${week.before}`} aria-label="The week before">
            ←
          </Link>
          <h1>
            {dayjs(week.from).format('D MMM')} to {dayjs(week.dates.at(-1)).format('D MMM')}
          </h1>
          <Link className="as-button" to={`/week/${week.after}`} aria-label="The week after">
            →
          </Link>
          {!week.dates.includes(week.today) && (
            <Link className="as-button" to="/week">
              this week
            </Link>
          )}
        </div>
        <div className="week-does">
          <Button
            type="primary"
            title="Plan the whole week around what is locked (p)"
            loading={isPending && step.variables.step === 'fill'}
            disabled={isOver}
            onClick={() => fill(false)}
          >
            Plan the week
          </Button>
          <Button
            title="Plan around everything that is there (r)"
            disabled={isOver}
            onClick={() => fill(true)}
          >
            Plan the rest
          </Button>
          <Button disabled={isOver} onClick={() => make({ step: 'copy' })}>
            As last week
          </Button>
          <Button disabled={isOver || week.servings.length === 0} onClick={() => make({ step: 'clear' })}>
            Clear
          </Button>
          <Button
            type="text"
            disabled={week.undo === null}
            title={week.undo === null ? 'Nothing to undo (u)' : `Undo: ${week.undo} (u)`}
            onClick={() => make({ step: 'undo' })}
          >
            Undo
          </Button>
          <Button
            type="text"
            disabled={week.redo === null}
            title={week.redo === null ? 'Nothing to do again (y)' : `Again: ${week.redo} (y)`}
            onClick={() => make({ step: 'redo' })}
          >
            Redo
          </Button>
          <Button type="text" title="What comes round, and how often" onClick={() => setShowsRotation(true)}>
            Rotation
          </Button>
          <Link
            className="as-button"
            title="The week on paper, for the fridge door"
            to={`/week/${week.from}/sheet`}
          >
            Print
          </Link>
        </div>
      </div>
      {week.jars.length === 0 ? (
        <p>
          No jar is on the shelf yet. <Link to="/bench">Make the first one at the bench</Link>, and plan the
          week with it.
        </p>
      ) : (
        <>
          <JarPalette hands={hands} />
          <WeekGrid hands={hands} />
          <Conflicts hands={hands} />
        </>
      )}
      {showsRotation && <RotationDrawer close={() => setShowsRotation(false)} />}
    </div>
  );
}
