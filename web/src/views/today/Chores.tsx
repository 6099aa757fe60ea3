import { complain } from '../../app/complain';
import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { dayAfter, dayThere, momentThere } from '../../messages/zone';
import { Button } from 'antd';
import { ActionMenu } from '../../app/ActionMenu';
import { notices } from '../../app/notices';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { Chore, Refusal } from '../../api/client';
import { useEmptyJar } from '../../api/queries';
import { NEWS_EVERY_MS } from '../../api/news';
import { useChores, useMarkChores, useMoveJar, useUnmarkChores } from '../../api/tending';
import { useKey } from '../../app/keys';
import { Deed } from '../../app/Deed';
import { JarDrawing } from '../../drawings/JarDrawing';
import { BeforeLeaving } from './BeforeLeaving';
import './Chores.css';

/** What the jars ask for today: done in a tap, several at once, or put off. */
export const Chores = memo(function Chores() {
  const chores = useChores(NEWS_EVERY_MS);
  const here = useRef<HTMLElement>(null);
  const { hash, key } = useLocation();
  const isThere = chores.data !== undefined;
  // They stand below the people; whoever asks for them is brought there.
  useEffect(() => {
    if (isThere && hash === '#chores') {
      here.current?.scrollIntoView({ block: 'start' });
    }
  }, [isThere, hash, key]);
  const mark = useMarkChores();
  const unmark = useUnmarkChores();
  const now = chores.data?.now ?? [];
  const tapped = now.filter((chore) => chore.doneBy === 'tap');

  const say = useCallback(
    (words: string, marks: string[]) =>
      notices.say({
        seconds: 8,
        content: (
          <span>
            {words}{' '}
            <Button
              type="link"
              onClick={() => {
                unmark.mutate(marks);
                notices.clear();
              }}
            >
              {t('action.undo')}
            </Button>
          </span>
        ),
      }),
    [unmark],
  );
  const done = useCallback(
    (some: Chore[]) =>
      some.length > 0 &&
      mark.mutate(
        {
          chores: some.map(({ batchId, task, dueOn }) => ({ batchId, task, dueOn })),
        },
        {
          onSuccess: ({ marks }) =>
            say(
              some.length === 1
                ? t('chores.done_one', { jar: some[0]?.batchName ?? '' })
                : t('chores.done_many', { count: some.length }),
              marks,
            ),
          onError: (refusal) => complain(refusal),
        },
      ),
    [mark, say],
  );
  const putOff = (chore: Chore, until: number) =>
    mark.mutate(
      {
        chores: [{ batchId: chore.batchId, task: chore.task, dueOn: chore.dueOn }],
        until: new Date(until).toISOString(),
      },
      {
        onSuccess: ({ marks }) => say(t('chores.later', { time: when(until, 'weekdayClock') }), marks),
        onError: (refusal) => complain(refusal),
      },
    );
  useKey(
    'd',
    useCallback(() => void done(tapped), [done, tapped]),
  );

  if (!chores.data) {
    return null;
  }
  const next = chores.data.soon.filter((chore) => chore.snoozedUntil === null)[0];

  return (
    <section ref={here} id="chores" className="chores" aria-label={t('chores.title')}>
      <div className="chores-head">
        <h2>{t('chores.title')}</h2>
        <span className="soft">
          {t('chores.count', {
            count: now.length,
            day: next ? (next.at ? when(next.at, 'weekdayClock') : when(next.dueOn, 'weekday')) : 'none',
            jar: next?.batchName ?? '',
          })}
        </span>
        {groupsOf(tapped).map((some) => (
          <Deed
            needs="log"
            key={some[0].task}
            title={t('chores.all_of_hint', { count: some.length })}
            loading={mark.isPending}
            onClick={() => done(some)}
          >
            {t('chores.all_of', { verb: verbOf(some[0]), count: some.length })}
          </Deed>
        ))}
        {tapped.length > 1 && (
          <Deed needs="log" title={t('chores.all_done_hint')} loading={mark.isPending} onClick={() => done(tapped)}>
            {t('chores.all_done', { count: tapped.length })}
          </Deed>
        )}
      </div>
      {chores.data.toStart
        .filter((one) => one.lateDays >= 0)
        .map((one) => (
          <p key={one.id} className="to-start">
            <span>
              <b>{t('chores.start', { name: one.name })}</b>, {one.jarName}
              {one.lateDays > 0 && (
                <span className="chore-late">{t('chores.start_late', { day: when(one.startOn, 'weekdayDate') })}</span>
              )}
            </span>
            <Link
              className="as-button is-filled"
              to={`/formulas/${one.formulaId}?jarId=${one.jarId}&planned=${one.id}`}
            >
              {t('chores.to_formula')}
            </Link>
          </p>
        ))}
      {now.length > 0 && (
        <ul className="quiet-list strip">
          {byJar(now).map((some) => (
            <JarTag key={some[0].batchId} chores={some} done={(chore) => done([chore])} putOff={putOff} />
          ))}
        </ul>
      )}
      {chores.data.away && <BeforeLeaving away={chores.data.away} />}
    </section>
  );
});

type Some = [Chore, ...Chore[]];

/** Chores of each jar together, the jars in the order of their first chore. */
function byJar(chores: Chore[]): Some[] {
  const jars = new Map<string, Some>();
  for (const chore of chores) {
    const there = jars.get(chore.batchId);
    if (there) {
      there.push(chore);
    } else {
      jars.set(chore.batchId, [chore]);
    }
  }
  return [...jars.values()];
}

/** Chores of a kind that can be done together. */
function groupsOf(chores: Chore[]): Some[] {
  const kinds = new Map<string, Some>();
  for (const chore of chores) {
    const there = kinds.get(chore.task);
    if (there) {
      there.push(chore);
    } else {
      kinds.set(chore.task, [chore]);
    }
  }
  return [...kinds.values()].filter((some) => some.length > 1 && some.length < chores.length);
}

interface TagProps {
  chores: Some;
  done: (chore: Chore) => void;
  /** @param until a moment, ms */
  putOff: (chore: Chore, until: number) => void;
}

/** A jar and what it asks for: a verb each, done by tapping it; the rest unfolds. */
function JarTag({ chores, done, putOff }: TagProps) {
  const [{ jar, batchId, batchName }] = chores;
  const [isOpen, setIsOpen] = useState(false);
  const late = Math.max(...chores.map(({ lateDays }) => lateDays));
  return (
    <li className={`strip-jar${chores.some(({ task }) => task === 'discard') ? ' is-out' : ''}`}>
      {jar && <JarDrawing jar={jar} scale={0.26} label="" seed={batchId} />}
      <div>
        <Link to={`/shelf/${batchId}`}>{batchName}</Link>
        {late > 0 && <span className="chore-late">{t('chores.late', { days: late })}</span>}
        <div className="strip-verbs">
          {chores.map((chore) => (
            <Do key={chore.id} chore={chore} done={() => done(chore)} />
          ))}
          <Deed
            needs="log"
            type="text"
            aria-expanded={isOpen}
            aria-label={t('chores.more', { jar: batchName })}
            onClick={() => setIsOpen(!isOpen)}
          >
            …
          </Deed>
        </div>
      </div>
      {isOpen && (
        <ul className="quiet-list strip-more">
          {chores.map((chore) => (
            <li key={chore.id} className="chore">
              <p>
                {say(chore.text)}
                {chore.whenLate !== null && <span className="chore-late">{say(chore.whenLate)}</span>}
              </p>
              <Later chore={chore} putOff={putOff} />
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

/** What is done, in a word. */
const verbOf = (chore: Chore): string => (chore.task === 'step' ? say(chore.text) : t(`verb.${chore.task}`));

/** When something that is put off comes back: moments in ms, each with its words. */
function laterTimes(): [string, number][] {
  const now = Date.now();
  const hour = (at: number, days: number) => momentThere(dayAfter(dayThere(now), days), at);
  const times: [string, number][] = [
    [t('chores.in_hour'), now + 3_600_000],
    [t('chores.this_evening'), hour(19, 0)],
    [t('chores.tomorrow'), hour(8, 1)],
    [t('chores.three_days'), hour(8, 3)],
  ];

  return times.filter(([, until]) => until > now);
}

/** Puts a chore off for a while. */
function Later({ chore, putOff }: { chore: Chore; putOff: TagProps['putOff'] }) {
  return (
    <ActionMenu
      type="text"
      aria-label={t('chores.later_for', { chore: say(chore.text), jar: chore.batchName })}
      items={laterTimes().map(([label, until]) => ({ key: label, label, do: () => putOff(chore, until) }))}
    >
      {t('action.later')}
    </ActionMenu>
  );
}

/** The one tap by which a chore is done. */
function Do({ chore, done }: { chore: Chore; done: () => void }) {
  const move = useMoveJar();
  const empty = useEmptyJar();
  const verb = verbOf(chore);
  const label = `${verb}: ${say(chore.text)} (${chore.batchName})`;
  const failed = (refusal: Refusal) => complain(refusal, 8);

  switch (chore.doneBy) {
    case 'counter':
      return (
        <Link className="as-button" to={`/counter/${chore.batchId}`} aria-label={label}>
          {verb}
        </Link>
      );
    case 'log':
      return (
        <Link className="as-button" to={`/shelf/${chore.batchId}/log`} aria-label={label}>
          {verb}
        </Link>
      );
    case 'move':
      return (
        <Deed
          needs="log"
          loading={move.isPending}
          aria-label={label}
          onClick={() =>
            // The tag goes when the jar has moved; what is said of it stays.
            void move
              .mutateAsync({ batch: chore.batchId, place: 'fridge' })
              .then(
                (moved) => notices.done(t('chores.moved', { name: moved.name, place: say(moved.placeLabel) })),
                failed,
              )
          }
        >
          {verb}
        </Deed>
      );
    case 'empty':
      return (
        <Deed
          needs="log"
          type={chore.task === 'discard' ? 'primary' : 'default'}
          danger={chore.task === 'discard'}
          loading={empty.isPending}
          aria-label={label}
          onClick={() =>
            void empty
              .mutateAsync({ batch: chore.batchId, isEmptied: true })
              .then(() => notices.done(t('chores.emptied', { name: chore.batchName })), failed)
          }
        >
          {verb}
        </Deed>
      );
    default:
      return (
        <Deed needs="log" aria-label={label} onClick={done}>
          {verb}
        </Deed>
      );
  }
}
