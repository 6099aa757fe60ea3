import { complain } from '../../app/complain';
import type { Refusal, Week } from '../../api/client';
import { say, t, T } from '../../messages/words';
import { when } from '../../messages/dates';
import { useOpened } from '../../app/addressState';
import { ActionMenu } from '../../app/ActionMenu';
import { notices } from '../../app/notices';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { planAhead, usePlanning, useWeek, useWeekStep, type WeekStep } from '../../api/planning';
import { useKey } from '../../app/keys';
import { PageState } from '../../app/PageState';
import { useMay } from '../../api/account';
import { Deed } from '../../app/Deed';
import { Conflicts } from './Conflicts';
import { JarPalette } from './JarPalette';
import { FirstWeek } from './FirstWeek';
import { WeekDrag } from './WeekDrag';
import { WeekGrid } from './WeekGrid';
import { PlanningOn } from './PlanningOn';
import { RotationDrawer } from './RotationDrawer';
import type { WeekActions } from './weekActions';
import './WeekView.css';

/** Weeks that are planned together at most. */
const IN_A_ROW = 4;

/** Seven days by people: jars go onto the planks, and each salt line answers. */
export function WeekView() {
  const { date = 'today' } = useParams();
  const query = useWeek(date);
  const step = useWeekStep(date);
  const [held, setHeld] = useState<string | null>(null);
  const rotation = useOpened('rotation');
  const navigate = useNavigate();
  const { mutateAsync, isPending } = step;
  const isPlanning = usePlanning() !== null;

  const make = useCallback(
    (made: WeekStep, says?: (week: Week) => string) => {
      mutateAsync(made).then(
        (week) => says && notices.note(says(week)),
        (refusal: Refusal) => complain(refusal),
      );
    },
    [mutateAsync],
  );
  const fill = useCallback(
    (rest: boolean, weeks = 1) =>
      !isPending &&
      !isPlanning &&
      void planAhead(date, rest, weeks).then((planning) =>
        make({ step: 'fill', rest, weeks, planning }, (week) =>
          weeks > 1
            ? t('week.filled_weeks', { weeks })
            : week.servings.length === 0
              ? t('week.filled_none')
              : rest
                ? t('week.filled_rest')
                : t('week.filled'),
        ),
      ),
    [make, isPending, isPlanning, date],
  );
  const keeps = useMay('keep');
  useKey(
    'p',
    useCallback(() => keeps && fill(false), [keeps, fill]),
  );
  useKey(
    'r',
    useCallback(() => keeps && fill(true), [keeps, fill]),
  );
  useKey(
    'u',
    useCallback(() => keeps && make({ step: 'undo' }), [keeps, make]),
  );
  useKey(
    'y',
    useCallback(() => keeps && make({ step: 'redo' }), [keeps, make]),
  );

  if (!query.data) {
    return <PageState query={query} />;
  }
  const week = query.data;
  const isOver = (week.dates.at(-1) ?? '') < week.today;

  return (
    <div className="week-room">
      <div className="week-head">
        <div className="week-which">
          <Link className="as-button" to={`/week/${week.before}`} aria-label={t('week.previous')}>
            ←
          </Link>
          <h1>{t('week.span', { from: when(week.from, 'short'), to: when(week.dates.at(-1), 'short') })}</h1>
          <Link className="as-button" to={`/week/${week.after}`} aria-label={t('week.next')}>
            →
          </Link>
          {!week.dates.includes(week.today) && (
            <Link className="as-button" to="/week">
              {t('week.this')}
            </Link>
          )}
        </div>
        <div className="week-does">
          <Deed
            type="primary"
            title={t('week.plan_hint')}
            loading={isPlanning || (isPending && step.variables.step === 'fill')}
            disabled={isOver}
            onClick={() => fill(false)}
          >
            {t('week.plan')}
          </Deed>
          <Deed title={t('week.plan_rest_hint')} disabled={isOver} onClick={() => fill(true)}>
            {t('week.plan_rest')}
          </Deed>
          <Deed
            type="text"
            disabled={week.undo === null}
            title={week.undo === null ? t('week.undo_none') : t('week.undo', { what: say(week.undo) })}
            onClick={() => make({ step: 'undo' })}
          >
            {t('action.undo')}
          </Deed>
          {week.redo !== null && (
            <Deed type="text" title={t('week.redo', { what: say(week.redo) })} onClick={() => make({ step: 'redo' })}>
              {t('action.redo')}
            </Deed>
          )}
          <Deed type="text" title={t('week.rotation_hint')} onClick={() => rotation.open()}>
            {t('ahead.rotation')}
          </Deed>
          <ActionMenu
            type="text"
            items={[
              {
                key: 'weeks',
                label: t('week.plan_weeks', { weeks: IN_A_ROW }),
                disabled: isOver,
                do: () => fill(false, IN_A_ROW),
              },
              { key: 'copy', label: t('week.copy'), disabled: isOver, do: () => make({ step: 'copy' }) },
              {
                key: 'clear',
                label: t('week.clear'),
                disabled: isOver || week.servings.length === 0,
                do: () => make({ step: 'clear' }),
              },
              { key: 'print', label: t('action.print'), do: () => void navigate(`/week/${week.from}/sheet`) },
            ]}
          >
            {t('week.more')}
          </ActionMenu>
        </div>
      </div>
      <PlanningOn />
      {week.isBare && <FirstWeek title={t('way_in.title')} />}
      {week.jars.length === 0 ? (
        <p>
          <T m="week.no_jars" v={{ a0: (c) => <Link to="/bench">{c}</Link> }} />
        </p>
      ) : (
        <Room week={week} held={held} hold={setHeld} make={make} />
      )}
      {rotation.isOpen && <RotationDrawer close={rotation.close} />}
    </div>
  );
}

interface RoomProps {
  week: Week;
  held: string | null;
  hold: (jar: string | null) => void;
  make: (made: WeekStep) => void;
}

/** The jars, the planks they go onto, and what does not go together. */
function Room({ week, held, hold, make }: RoomProps) {
  const hands = useMemo<WeekActions>(
    () => ({
      week,
      hold,
      put: (jar, personId, day) => make({ step: 'change', put: [{ personId, batchId: jar, date: day }], remove: [] }),
      add: (serving) => make({ step: 'change', put: [serving], remove: [] }),
      change: (serving, instead) => make({ step: 'change', put: instead ? [instead] : [], remove: [serving.id] }),
    }),
    [week, hold, make],
  );

  return (
    <>
      <WeekDrag hands={hands}>
        <JarPalette hands={hands} held={held} />
        <WeekGrid hands={hands} held={held} />
      </WeekDrag>
      <Conflicts hands={hands} />
    </>
  );
}
