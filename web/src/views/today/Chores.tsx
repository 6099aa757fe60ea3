import { App, Button, Dropdown } from 'antd';
import dayjs from 'dayjs';
import { useCallback } from 'react';
import { Link } from 'react-router';
import type { Chore, Refusal } from '../../api/client';
import { useEmptyJar } from '../../api/queries';
import { useChores, useMarkChores, useMoveJar, useUnmarkChores } from '../../api/tending';
import { useKey } from '../../app/keys';
import { JarDrawing } from '../../drawings/JarDrawing';
import './Chores.css';

/** What the jars ask for today: done in a tap, several at once, or put off. */
export function Chores() {
  const chores = useChores();
  const { message } = App.useApp();
  const mark = useMarkChores();
  const unmark = useUnmarkChores();
  const now = chores.data?.now ?? [];
  const tapped = now.filter((chore) => chore.doneBy === 'tap');

  const say = useCallback(
    (words: string, marks: string[]) =>
      void message.open({
        type: 'success',
        duration: 8,
        content: (
          <span>
            {words}{' '}
            <Button
              type="link"
              onClick={() => {
                unmark.mutate(marks);
                message.destroy();
              }}
            >
              Undo
            </Button>
          </span>
        ),
      }),
    [message, unmark],
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
                ? `Done: ${some[0]?.batchName ?? ''}.`
                : `Done: ${String(some.length)} chores.`,
              marks,
            ),
          onError: (refusal) => void message.error(refusal.message),
        },
      ),
    [mark, say, message],
  );
  const putOff = (chore: Chore, until: dayjs.Dayjs) =>
    mark.mutate(
      {
        chores: [{ batchId: chore.batchId, task: chore.task, dueOn: chore.dueOn }],
        until: until.toISOString(),
      },
      {
        onSuccess: ({ marks }) => say(`Put off until ${until.format('ddd HH:mm')}.`, marks),
        onError: (refusal) => void message.error(refusal.of('until') ?? refusal.message),
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
    <section className="chores" aria-label="At the jars">
      <div className="chores-head">
        <h2>At the jars</h2>
        <span className="soft">
          {now.length === 0 ? 'nothing to do now' : `${String(now.length)} to do`}
          {next && `; next, ${dayjs(next.dueOn).format('dddd')}: ${next.batchName}`}
        </span>
        {tapped.length > 1 && (
          <Button title="All done (d)" loading={mark.isPending} onClick={() => done(tapped)}>
            All {tapped.length} done
          </Button>
        )}
      </div>
      {chores.data.toStart
        .filter((one) => one.lateDays >= 0)
        .map((one) => (
          <p key={one.id} className="to-start">
            <span>
              <b>Start: {one.name}</b>, {one.jarName}
              {one.lateDays > 0 && (
                <span className="chore-late">
                  It was to be started on {dayjs(one.startOn).format('dddd, D MMM')}: each day later is a day
                  without in the end.
                </span>
              )}
            </span>
            <Link
              className="as-button is-filled"
              to={`/formulas/${one.formulaId}?jarId=${one.jarId}&planned=${one.id}`}
            >
              To its formula
            </Link>
          </p>
        ))}
      {now.length > 0 && (
        <ul className="quiet-list hanging">
          {byJar(now).map((some) => (
            <JarTag key={some[0].batchId} chores={some} done={(chore) => done([chore])} putOff={putOff} />
          ))}
        </ul>
      )}
    </section>
  );
}

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

interface TagProps {
  chores: Some;
  done: (chore: Chore) => void;
  putOff: (chore: Chore, until: dayjs.Dayjs) => void;
}

/** A jar and all that it asks for. */
function JarTag({ chores, done, putOff }: TagProps) {
  const [{ jar, batchId, batchName }] = chores;
  return (
    <li className="hook">
      <div className="jar-tag">
        {jar && <JarDrawing jar={jar} scale={0.36} label="" seed={batchId} />}
        <div>
          <Link to={`/shelf/${batchId}`}>{batchName}</Link>
          {chores.map((chore) => (
            <div key={chore.id} className={`chore${chore.task === 'discard' ? ' is-out' : ''}`}>
              <p>
                {chore.text}
                {chore.whenLate !== null && <span className="chore-late">{chore.whenLate}</span>}
              </p>
              <span className="chore-does">
                <Later chore={chore} putOff={putOff} />
                <Do chore={chore} done={() => done(chore)} />
              </span>
            </div>
          ))}
        </div>
      </div>
    </li>
  );
}

/** Puts a chore off for a while. */
function Later({ chore, putOff }: { chore: Chore; putOff: TagProps['putOff'] }) {
  const hour = (at: number, days: number) => dayjs().add(days, 'day').hour(at).minute(0).second(0);
  const times: [string, dayjs.Dayjs][] = [
    ['In an hour', dayjs().add(1, 'hour')],
    ['This evening', hour(19, 0)],
    ['Tomorrow morning', hour(8, 1)],
    ['In three days', hour(8, 3)],
  ];
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items: times
          .filter(([, until]) => until.isAfter(dayjs()))
          .map(([label, until]) => ({ key: label, label, onClick: () => putOff(chore, until) })),
      }}
    >
      <Button type="text" aria-label={`Later: ${chore.text} (${chore.batchName})`}>
        Later
      </Button>
    </Dropdown>
  );
}

/** The one tap by which a chore is done. */
function Do({ chore, done }: { chore: Chore; done: () => void }) {
  const { message } = App.useApp();
  const move = useMoveJar();
  const empty = useEmptyJar();
  const label = (word: string) => `${word}: ${chore.text} (${chore.batchName})`;
  const failed = (refusal: Refusal) => message.error(refusal.message, 8);

  switch (chore.doneBy) {
    case 'log':
      return (
        <Link
          className="as-button is-filled"
          to={`/shelf/${chore.batchId}/log`}
          aria-label={label('Write down')}
        >
          Write it down
        </Link>
      );
    case 'move':
      return (
        <Button
          type="primary"
          loading={move.isPending}
          aria-label={label('Into the fridge')}
          onClick={() =>
            // The tag goes when the jar has moved; what is said of it stays.
            void move
              .mutateAsync({ batch: chore.batchId, place: 'fridge' })
              .then((moved) => message.success(`${moved.name} stands ${moved.placeLabel}.`), failed)
          }
        >
          Into the fridge
        </Button>
      );
    case 'empty':
      return (
        <Button
          type={chore.task === 'discard' ? 'primary' : 'default'}
          danger={chore.task === 'discard'}
          loading={empty.isPending}
          aria-label={label('Empty the jar')}
          onClick={() =>
            void empty
              .mutateAsync({ batch: chore.batchId, isEmptied: true })
              .then(() => message.success(`${chore.batchName} is out; its jar is free.`), failed)
          }
        >
          Empty the jar
        </Button>
      );
    default:
      return (
        <Button type="primary" aria-label={label('Done')} onClick={done}>
          Done
        </Button>
      );
  }
}
