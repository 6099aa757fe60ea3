import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { useDroppable } from '@dnd-kit/core';
import dayjs from 'dayjs';
import { memo, useState, type KeyboardEvent } from 'react';
import type { WeekDay, WeekJar, WeekPerson } from '../../api/client';
import { mg, sodium } from '../../app/numbers';
import { SaltBar } from '../../drawings/SaltLine';
import { ServingCard } from './ServingCard';
import { placeId, type InHand, type WeekActions } from './weekActions';

/** A plank for everyone who eats, with a place for each day. On a phone one day at a time. */
export const WeekGrid = memo(function WeekGrid({ hands, held }: InHand) {
  const { week } = hands;
  const [shown, setShown] = useState(week.dates.includes(week.today) ? week.today : (week.dates[0] ?? ''));
  const day = week.dates.includes(shown) ? shown : (week.dates[0] ?? '');

  return (
    <>
      <div className="week-days-phone" role="group" aria-label={t('week.which_day')}>
        {week.dates.map((date, i) => {
          const past = week.people.filter((person) => (person.days[i]?.marginMg ?? 0) < -0.5);
          return (
            <button key={date} type="button" aria-pressed={date === day} onClick={() => setShown(date)}>
              {dayjs(date).format('dd')}
              <b>{dayjs(date).format('D')}</b>
              <span className="week-day-past">
                {past.map((person) => (
                  <abbr
                    key={person.id}
                    title={t('week.past', { name: person.name })}
                    aria-label={t('week.past', { name: person.name })}
                  >
                    {person.name.slice(0, 1)}
                  </abbr>
                ))}
              </span>
            </button>
          );
        })}
      </div>
      <div
        className="planks"
        role="grid"
        aria-label={t('week.title')}
        onKeyDown={(event) => moveAbout(event, hands, held)}
      >
        <div role="row" className="plank-days">
          <span role="columnheader" aria-label={t('week.who')} />
          {week.dates.map((date) => (
            <span
              key={date}
              role="columnheader"
              className={`${date === week.today ? 'is-today' : ''}${date === day ? ' is-shown' : ''}`}
            >
              {when(date, 'weekdayShort')} <b>{dayjs(date).format('D')}</b>
              {date === week.today && ` ${t('day.today')}`}
            </span>
          ))}
        </div>
        {week.people.map((person) => (
          <div key={person.id} role="row" className="plank">
            <span role="rowheader" className="plank-who">
              <b title={person.name}>{person.name}</b>
              <span>{t('week.target', { target: mg(person.targetMg), isHard: person.isHard })}</span>
              <span>{t('week.kinds', { kinds: person.kinds })}</span>
            </span>
            {person.days.map((one) => (
              <Place key={one.date} hands={hands} held={held} person={person} day={one} isShown={one.date === day} />
            ))}
          </div>
        ))}
      </div>
    </>
  );
});

interface PlaceProps extends InHand {
  person: WeekPerson;
  day: WeekDay;
  isShown: boolean;
}

/** What someone eats on a day. */
const servingsOn = ({ week }: WeekActions, person: WeekPerson, day: WeekDay) =>
  week.servings.filter((one) => one.personId === person.id && one.date === day.date);

function Place({ hands, held, person, day, isShown }: PlaceProps) {
  const { week, hold, put } = hands;
  const [isNear, setIsNear] = useState(false);
  const jar = week.jars.find((one) => one.id === held);
  const isPast = day.date < week.today;
  const isTaken = servingsOn(hands, person, day).some((one) => !one.isOver && one.batchId === held);
  const isOpen = held !== null && !isPast && !isTaken;
  const { setNodeRef, isOver: isDraggedOver } = useDroppable({
    id: placeId({ person: person.id, date: day.date }),
    disabled: isPast,
  });
  const isOver = isNear || isDraggedOver;
  const drop = (id: string) => {
    setIsNear(false);
    hold(null);
    if (!isPast) {
      put(id, person.id, day.date);
    }
  };

  return (
    <div
      ref={setNodeRef}
      role="gridcell"
      tabIndex={0}
      data-day={day.date}
      data-person={person.id}
      className={[
        'place',
        isShown && 'is-shown',
        day.date === week.today && 'is-today',
        isOpen && 'is-open',
        isOver && isOpen && 'is-over',
      ]
        .filter(Boolean)
        .join(' ')}
      onMouseEnter={() => setIsNear(true)}
      onMouseLeave={() => setIsNear(false)}
      onFocus={() => setIsNear(true)}
      onBlur={() => setIsNear(false)}
      onClick={() => isOpen && drop(held)}
    >
      <PlaceToSee hands={hands} person={person} day={day} tried={isOpen && isOver ? jar : undefined} />
    </div>
  );
}

interface SeenProps {
  hands: WeekActions;
  person: WeekPerson;
  day: WeekDay;
  /** The jar that is held over it. */
  tried: WeekJar | undefined;
}

/** What stands in a place: what was eaten and is meant to be, what is held over it, and what all of it comes to. */
const PlaceToSee = memo(function PlaceToSee({ hands, person, day, tried: jar }: SeenProps) {
  const { week } = hands;
  const servings = servingsOn(hands, person, day);
  const coming = servings.filter((one) => !one.isOver);
  const colourOf = (batch: string) => week.jars.find((one) => one.id === batch)?.colour ?? 'var(--line-strong)';
  const tried = jar?.portions.find((one) => one.personId === person.id)?.days[week.dates.indexOf(day.date)];
  const ghost = tried?.milligrams ?? 0;
  const margin = day.marginMg - ghost;

  return (
    <>
      <span className="only-heard">{t('week.cell', { name: person.name, day: when(day.date, 'weekday') })}</span>
      <div className="place-jars">
        {day.eaten.map((one) => (
          <span key={one.id} className="had" style={{ borderColor: one.colour }}>
            <b>{one.name}</b> <span>{mg(Math.round(one.milligrams))}</span>
          </span>
        ))}
        {servings.map((serving) => (
          <ServingCard key={serving.id} serving={serving} hands={hands} colour={colourOf(serving.batchId)} />
        ))}
        {ghost > 0 && jar && (
          <span className="had is-ghost" style={{ borderColor: jar.colour }}>
            <b>{jar.name}</b> <span>{mg(Math.round(ghost))}</span>
            {tried?.objection && <em>{say(tried.objection)}</em>}
          </span>
        )}
      </div>
      <SaltBar
        name={person.name}
        height={22}
        targetMg={day.targetMg}
        restMg={day.restMg}
        ferments={
          ghost > 0
            ? {
                ...day.ferments,
                typical: day.ferments.typical + ghost,
                low: day.ferments.low + ghost,
                high: day.ferments.high + ghost,
              }
            : day.ferments
        }
        parts={[
          ...day.eaten.map((one) => ({ ...one, milligrams: one.milligrams })),
          ...coming.map((one) => ({
            id: one.id,
            name: one.name,
            colour: colourOf(one.batchId),
            milligrams: one.sodium.typical,
            isPlanned: true,
          })),
          ...(ghost > 0 && jar
            ? [{ id: 'ghost', name: jar.name, colour: jar.colour, milligrams: ghost, isPlanned: true }]
            : []),
        ]}
      />
      <div className="place-says">
        <span
          className={margin < -0.5 ? 'over' : day.warning === null ? undefined : 'is-likely'}
          title={t('week.total', {
            total: mg(day.total.shown),
            low: mg(day.total.shownLow),
            high: mg(day.total.shownHigh),
            jars: sodium(day.ferments),
            warning: say(day.warning) ?? 'none',
          })}
        >
          {t('week.margin', { isOver: margin < -0.5 ? 'yes' : 'no', mg: mg(Math.round(Math.abs(margin))) })}
        </span>
        <Live count={day.live} goal={person.liveGoal} isPast={day.date < week.today} />
      </div>
    </>
  );
});

/** Living servings, and those that are wanted, as little bubbles. */
function Live({ count, goal, isPast }: { count: number; goal: number; isPast: boolean }) {
  const says = t('week.live_of', { count: count, goal: String(goal) });
  return (
    <span
      className={count < goal && !isPast ? 'live-marks is-short' : 'live-marks'}
      title={says}
      role="img"
      aria-label={says}
    >
      {Array.from({ length: Math.max(count, goal) }, (_, i) => (
        <i key={i} className={i < count ? 'is-there' : undefined} />
      ))}
    </span>
  );
}

/** Arrows go from place to place, Enter puts down what is in hand, Escape puts it back. */
function moveAbout(event: KeyboardEvent<HTMLElement>, hands: WeekActions, held: string | null): void {
  const { week, hold } = hands;
  if (event.key === 'Escape') {
    hold(null);
    return;
  }
  const place = event.target as HTMLElement;
  const { day, person } = place.dataset;
  if (place.getAttribute('role') !== 'gridcell' || day === undefined || person === undefined) {
    return;
  }
  if ((event.key === 'Enter' || event.key === ' ') && held !== null) {
    event.preventDefault();
    hands.put(held, person, day);
    return;
  }
  const row = week.people.findIndex((one) => one.id === person);
  const column = week.dates.indexOf(day);
  const to = {
    ArrowRight: [row, column + 1],
    ArrowLeft: [row, column - 1],
    ArrowDown: [row + 1, column],
    ArrowUp: [row - 1, column],
  }[event.key];
  const next =
    to &&
    event.currentTarget.querySelector<HTMLElement>(
      `[data-person="${week.people[to[0] ?? -1]?.id ?? ''}"][data-day="${week.dates[to[1] ?? -1] ?? ''}"]`,
    );
  if (next) {
    event.preventDefault();
    next.focus();
  }
}
