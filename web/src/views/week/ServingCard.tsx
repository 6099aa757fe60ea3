import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Segmented } from 'antd';
import { Dialog } from '../../app/Dialog';
import dayjs from 'dayjs';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import type { PlannedServing, WeekJar, WeekServing } from '../../api/client';
import { useSavings } from '../../api/intake';
import { grams, sodium, sodiumBand } from '../../app/numbers';
import { Savings } from '../../app/Savings';
import { useMovable, type Movable } from './useMovable';
import type { WeekActions } from './weekActions';
import { QuantityBox } from '../../app/QuantityBox';
import { Deed } from '../../app/Deed';

interface Props {
  serving: WeekServing;
  hands: WeekActions;
  colour: string;
}

/** A serving on its day: a tag in the colour of its jar, and behind it what can be done with it. */
export const ServingCard = memo(function ServingCard(props: Props) {
  // While something is dragged all that moves is asked anew; what it looks like stays.
  const movable = useMovable('serving', props.serving.id, props.serving.isOver);

  return <Card {...props} movable={movable} />;
});

const Card = memo(function Card({ serving, hands, colour, movable }: Props & { movable: Movable }) {
  const [isOpen, setIsOpen] = useState(false);
  const [wasOpen, setWasOpen] = useState(false);
  const { week, change } = hands;
  const jar = week.jars.find((one) => one.id === serving.batchId);
  const who = week.people.find((one) => one.id === serving.personId)?.name ?? '';
  const as = (part: Partial<PlannedServing>): PlannedServing => ({
    personId: serving.personId,
    batchId: serving.batchId,
    date: serving.date,
    grams: serving.grams,
    way: serving.way,
    isLocked: serving.isLocked,
    ...part,
  });
  const does = (part: Partial<PlannedServing> | null) => {
    setIsOpen(false);
    change(serving, part && as(part));
  };
  const says = t('serving_card.says', {
    jar: serving.name,
    name: who,
    day: when(serving.date, 'weekday'),
    grams: grams(serving.grams),
    style: serving.way === 'drained' ? 'none' : t(`serving_style_short.${serving.way}`),
    sodium: sodium(serving.sodium),
    isLocked: serving.isLocked,
    isOver: serving.isOver,
  });

  return (
    <>
      <button
        {...movable}
        type="button"
        className={`serving-card${serving.isLocked ? ' is-locked' : ''}${serving.isOver ? ' is-missed' : ''}`}
        style={{ borderColor: colour }}
        aria-label={says}
        title={says}
        onClick={(event) => {
          event.stopPropagation();
          setWasOpen(true);
          setIsOpen(true);
        }}
        onKeyDown={(event) => {
          movable.onKeyDown?.(event);
          if (event.key === 'Delete' || event.key === 'Backspace') {
            does(null);
          } else if (event.key === 'l') {
            does({ isLocked: !serving.isLocked });
          }
        }}
      >
        <span className="serving-card-name">{serving.name}</span>{' '}
        <span>
          {grams(serving.grams)}
          {serving.way !== 'drained' && <i> {t(`serving_style_short.${serving.way}`)}</i>}{' '}
          <b>{sodium(serving.sodium)}</b>
        </span>
      </button>
      {wasOpen && (
        <Dialog
          open={isOpen}
          onCancel={() => setIsOpen(false)}
          title={t('serving_card.title', { jar: serving.name, name: who, day: when(serving.date, 'weekday') })}
          footer={null}
          width={400}
          destroyOnHidden
        >
          <MeantCard
            serving={serving}
            dates={week.dates.filter((date) => date >= week.today)}
            ways={jar?.ways ?? []}
            does={does}
          />
        </Dialog>
      )}
    </>
  );
});

interface CardProps {
  serving: WeekServing;
  dates: string[];
  ways: WeekJar['ways'];
  does: (part: Partial<PlannedServing> | null) => void;
}

function MeantCard({ serving, dates, ways, does }: CardProps) {
  const [amount, setAmount] = useState<number | null>(serving.grams);
  const [showsLess, setShowsLess] = useState(false);

  return (
    <div className="serving-card-open" onClick={(event) => event.stopPropagation()}>
      <p>
        <b>{sodium(serving.sodium)}</b> {sodiumBand(serving.sodium) && `(${sodiumBand(serving.sodium)})`}
      </p>
      {ways.length > 1 && (
        <Segmented
          aria-label={t('serving_card.style')}
          value={serving.way}
          onChange={(way) => does({ way })}
          options={ways.map((one) => ({ value: one.way, label: say(one.label) }))}
        />
      )}
      <div className="serving-card-row">
        <QuantityBox
          measures="grams"
          of={{ of: 'portion', id: serving.batchId, personId: serving.personId }}
          aria-label={t('serving_card.grams')}
          value={amount}
          change={setAmount}
          onPressEnter={() => amount && does({ grams: amount })}
        />
        <Deed disabled={amount === null || amount === serving.grams} onClick={() => amount && does({ grams: amount })}>
          {t('action.set')}
        </Deed>
      </div>
      {dates.length > 1 && (
        <div className="serving-card-days" role="group" aria-label={t('portion.day')}>
          {dates.map((date) => (
            <button
              key={date}
              type="button"
              aria-pressed={date === serving.date}
              disabled={date === serving.date}
              onClick={() => does({ date })}
            >
              {dayjs(date).format('dd')}
            </button>
          ))}
        </div>
      )}
      {showsLess ? (
        <Less serving={serving} />
      ) : (
        <Deed type="text" onClick={() => setShowsLess(true)}>
          {t('serve.less_sodium')}
        </Deed>
      )}
      <div className="serving-card-row">
        <Deed onClick={() => does({ isLocked: !serving.isLocked })}>
          {serving.isLocked ? t('serving_card.unlock') : t('serving_card.lock')}
        </Deed>
        <Deed onClick={() => does(null)}>{t('action.remove')}</Deed>
        <Link className="as-button" to={`/shelf/${serving.batchId}`}>
          {t('serving_card.jar')}
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
