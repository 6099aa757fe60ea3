import { Button, InputNumber, Popover, Segmented } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import type { MeantServing, WeekJar, WeekServing } from '../../api/client';
import { useSavings } from '../../api/intake';
import { grams, sodium, sodiumBand } from '../../app/numbers';
import { Savings } from '../../app/Savings';
import type { WeekActions } from './WeekView';

interface Props {
  serving: WeekServing;
  hands: WeekActions;
  colour: string;
}

/** A serving on its day: a tag in the colour of its jar, and behind it what can be done with it. */
export function ServingCard({ serving, hands, colour }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  const { week, change } = hands;
  const jar = week.jars.find((one) => one.id === serving.batchId);
  const who = week.people.find((one) => one.id === serving.personId)?.name ?? '';
  const as = (part: Partial<MeantServing>): MeantServing => ({
    personId: serving.personId,
    batchId: serving.batchId,
    date: serving.date,
    grams: serving.grams,
    way: serving.way,
    isLocked: serving.isLocked,
    ...part,
  });
  const does = (part: Partial<MeantServing> | null, what: string) => {
    setIsOpen(false);
    change(serving, part && as(part), `${serving.name} for ${who}: ${what}`);
  };
  const how = serving.way === 'drained' ? '' : `, ${serving.wayLabel}`;
  const says = `${serving.name} for ${who} on ${dayjs(serving.date).format('dddd')}: ${grams(serving.grams)}${how}, ${sodium(serving.sodium)}${serving.isLocked ? ', locked' : ''}${serving.isOver ? ', not eaten' : ''}`;

  return (
    <Popover
      trigger="click"
      open={isOpen}
      onOpenChange={setIsOpen}
      title={serving.name}
      content={
        <MeantCard
          serving={serving}
          dates={week.dates.filter((date) => date >= week.today)}
          ways={jar?.ways ?? []}
          does={does}
        />
      }
    >
      <button
        type="button"
        className={`meant${serving.isLocked ? ' is-locked' : ''}${serving.isOver ? ' is-missed' : ''}`}
        style={{ borderColor: colour }}
        aria-label={says}
        title={says}
        draggable={false}
        onClick={(event) => event.stopPropagation()}
        onKeyDown={(event) => {
          if (event.key === 'Delete' || event.key === 'Backspace') {
            does(null, 'left out');
          } else if (event.key === 'l') {
            does({ isLocked: !serving.isLocked }, serving.isLocked ? 'unlocked' : 'locked');
          }
        }}
      >
        <span className="meant-name">{serving.name}</span>
        <span>
          {grams(serving.grams)}
          {how && <i>{serving.way === 'rinsed' ? ' rinsed' : ' + juice'}</i>} <b>{sodium(serving.sodium)}</b>
        </span>
      </button>
    </Popover>
  );
}

interface CardProps {
  serving: WeekServing;
  dates: string[];
  ways: WeekJar['ways'];
  does: (part: Partial<MeantServing> | null, what: string) => void;
}

function MeantCard({ serving, dates, ways, does }: CardProps) {
  const [amount, setAmount] = useState<number | null>(serving.grams);
  const [showsLess, setShowsLess] = useState(false);

  return (
    <div className="meant-card" onClick={(event) => event.stopPropagation()}>
      <p>
        <b>{sodium(serving.sodium)}</b> {sodiumBand(serving.sodium) && `(${sodiumBand(serving.sodium)})`}
      </p>
      {ways.length > 1 && (
        <Segmented
          aria-label="How it is served"
          value={serving.way}
          onChange={(way) => does({ way }, ways.find((one) => one.way === way)?.label ?? way)}
          options={ways.map((one) => ({ value: one.way, label: one.label }))}
        />
      )}
      <div className="meant-row">
        <InputNumber
          aria-label="Grams"
          value={amount}
          min={1}
          max={2000}
          suffix="g"
          onChange={setAmount}
          onPressEnter={() => amount && does({ grams: amount }, grams(amount))}
        />
        <Button
          disabled={amount === null || amount === serving.grams}
          onClick={() => amount && does({ grams: amount }, grams(amount))}
        >
          Set
        </Button>
      </div>
      {dates.length > 1 && (
        <div className="meant-days" role="group" aria-label="On which day">
          {dates.map((date) => (
            <button
              key={date}
              type="button"
              aria-pressed={date === serving.date}
              disabled={date === serving.date}
              onClick={() => does({ date }, `to ${dayjs(date).format('dddd')}`)}
            >
              {dayjs(date).format('dd')}
            </button>
          ))}
        </div>
      )}
      {showsLess ? (
        <Less serving={serving} />
      ) : (
        <Button type="text" onClick={() => setShowsLess(true)}>
          Less sodium…
        </Button>
      )}
      <div className="meant-row">
        <Button
          onClick={() => does({ isLocked: !serving.isLocked }, serving.isLocked ? 'unlocked' : 'locked')}
        >
          {serving.isLocked ? 'Unlock' : 'Lock'}
        </Button>
        <Button onClick={() => does(null, 'left out')}>Leave out</Button>
        <Link className="as-button" to={`/shelf/${serving.batchId}`}>
          The jar
        </Link>
      </div>
    </div>
  );
}

/** What would save sodium in a serving that is planned. */
function Less({ serving }: { serving: WeekServing }) {
  const savings = useSavings(serving.batchId, serving.personId, serving.way, undefined, serving.grams);
  return savings.data ? <Savings found={savings.data} /> : null;
}
