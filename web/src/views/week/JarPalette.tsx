import { memo, useEffect, useRef, useState } from 'react';
import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import type { Week, WeekJar } from '../../api/client';
import { grams } from '../../app/numbers';
import { JarDrawing } from '../../drawings/JarDrawing';
import { useMovable, type Movable } from './useMovable';
import type { InHand, WeekActions } from './weekActions';

/** The jars of the shelf: taken in hand with a tap or a key, or dragged, and put onto a day. */
export const JarPalette = memo(function JarPalette({ hands, held }: InHand) {
  const { week } = hands;
  const inHand = week.jars.find((jar) => jar.id === held);
  const { strip, ends, turn } = useStrip();

  return (
    <section aria-label={t('week.jars')}>
      <div className="week-strip" data-more-before={ends.before} data-more-after={ends.after}>
        <div className="at-hand-week" ref={strip}>
          {week.jars.map((jar) => (
            <JarInPalette key={jar.id} jar={jar} hands={hands} isHeld={jar.id === held} />
          ))}
        </div>
        {ends.before && (
          <button
            type="button"
            className="week-strip-turn is-back"
            aria-label={t('week.strip_back')}
            onClick={() => turn(-1)}
          >
            ‹
          </button>
        )}
        {ends.after && (
          <button
            type="button"
            className="week-strip-turn is-next"
            aria-label={t('week.strip_next')}
            onClick={() => turn(1)}
          >
            ›
          </button>
        )}
      </div>
      <p className="week-hint">
        <span role="status">{inHand ? t('week.picked_up', { jar: inHand.name }) : t('week.how')}</span>
        <span>
          {(ends.before || ends.after) && t('week.jar_count', { count: week.jars.length })}{' '}
          {week.conflicts.length > 0 && (
            <a href="#conflicts">{t('week.conflict_count', { count: week.conflicts.length })}</a>
          )}
        </span>
      </p>
    </section>
  );
});

/** Whether a strip goes on beyond its ends, and a way to turn it. */
function useStrip() {
  const strip = useRef<HTMLDivElement>(null);
  const [ends, setEnds] = useState({ before: false, after: false });
  useEffect(() => {
    const element = strip.current;
    if (!element) {
      return;
    }
    const look = () =>
      setEnds({
        before: element.scrollLeft > 4,
        after: element.scrollLeft + element.clientWidth < element.scrollWidth - 4,
      });
    const watch = new ResizeObserver(look);
    watch.observe(element);
    element.addEventListener('scroll', look, { passive: true });
    look();
    return () => {
      watch.disconnect();
      element.removeEventListener('scroll', look);
    };
  }, []);
  const turn = (way: 1 | -1) => strip.current?.scrollBy({ left: way * strip.current.clientWidth * 0.8 });

  return { strip, ends, turn };
}

interface JarProps {
  jar: WeekJar;
  hands: WeekActions;
  isHeld: boolean;
}

function JarInPalette(props: JarProps) {
  const movable = useMovable('jar', props.jar.id, props.jar.closed !== null);

  return <JarToTake {...props} movable={movable} />;
}

const JarToTake = memo(function JarToTake({ jar, hands, isHeld, movable }: JarProps & { movable: Movable }) {
  const { week, hold } = hands;

  return (
    <button
      {...movable}
      type="button"
      aria-pressed={isHeld}
      disabled={jar.closed !== null}
      onClick={() => hold(isHeld ? null : jar.id)}
    >
      <JarDrawing jar={jar.jar} scale={0.2} label="" seed={jar.id} />
      <span className="at-hand-name">{jar.name}</span>
      <RunningDown jar={jar} dates={week.dates} />
      <span className="at-hand-says">{says(jar, week)}</span>
    </button>
  );
});

/** What is left in it at the end of each day, as steps. */
function RunningDown({ jar, dates }: { jar: WeekJar; dates: string[] }) {
  const most = Math.max(jar.grams, 1);
  const [step, height] = [12, 26];

  return (
    <svg
      className="running-down"
      role="img"
      aria-label={t('week.left_in', {
        jar: jar.name,
        days: jar.left
          .map((left, i) => `${when(dates[i], 'weekdayShort')} ${left < 0 ? t('week.not_enough') : grams(left)}`)
          .join(', '),
      })}
      width={step * 7}
      height={height}
      viewBox={`0 0 ${String(step * 7)} ${String(height)}`}
    >
      {jar.left.map((left, i) => {
        const tall = Math.max(0, left / most) * (height - 2);
        return left < -0.001 ? (
          <path
            key={dates[i]}
            d={`M${String(i * step + 1)} ${String(height - 10)} l${String(step - 3)} 9 m0 -9 l${String(3 - step)} 9`}
            stroke="var(--chilli)"
            strokeWidth={2}
          />
        ) : (
          <rect
            key={dates[i]}
            x={i * step}
            y={height - 1 - tall}
            width={step - 1}
            height={tall + 1}
            fill={jar.colour}
            stroke="var(--line-strong)"
            strokeWidth={0.5}
          />
        );
      })}
    </svg>
  );
}

function says(jar: WeekJar, { dates, today }: Week): string {
  const end = jar.left.at(-1) ?? 0;
  if (jar.closed !== null) {
    return say(jar.closed);
  }
  if (jar.shortOn !== null) {
    return t('week.runs_out', { day: when(jar.shortOn, 'weekday') });
  }
  if (jar.startOn !== null) {
    return t('week.to_start', {
      start: jar.startOn < today ? 'late' : when(jar.startOn, 'short'),
      ready: when(jar.readyOn, 'short'),
    });
  }
  return t('week.stock', {
    grams: grams(Math.round(jar.grams)),
    left: end < jar.grams - 0.5 ? grams(Math.round(end)) : 'none',
    ready:
      jar.readyOn === null || jar.readyOn <= (dates[0] ?? '')
        ? 'none'
        : when(jar.readyOn, jar.readyOn <= (dates.at(-1) ?? '') ? 'weekdayShort' : 'short'),
  });
}
