import { say, t } from '../../messages/words';
import { dayThere } from '../../messages/zone';
import { Button, Checkbox, Input, Segmented } from 'antd';
import { ask, notices } from '../../app/notices';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Begin, BenchAnswer } from '../../api/client';
import { usePlaces, useStartBatch } from '../../api/queries';
import { Kept } from '../../api/change';
import { complain } from '../../app/complain';
import { NumberBox } from '../../app/NumberBox';
import { QuantityBox } from '../../app/QuantityBox';
import { fieldsOf, forgetDraft, type Change, type Draft } from './draft';
import { number } from '../../app/numbers';
import { scaleOf } from '../../app/units';
import { useOnceRead } from '../../app/unread';

interface Props {
  draft: Draft;
  change: Change;
  /** What it is called when the cook gives it no name. */
  name: string;
  answer: BenchAnswer | null;
  isReady: boolean;
}

/** The last line of the bench: name, place, day, and off it goes. */
export function StartBatch({ draft, change, name, answer, isReady }: Props) {
  const places = usePlaces();
  const there = places.find(({ id }) => id === draft.place);
  const start = useStartBatch();
  // A draft that was refused is not sent again until it was changed.
  const [refused, setRefused] = useState<Draft | null>(null);
  const [isHalved, setIsHalved] = useState(false);
  const [ph, setPh] = useState<number | null>(null);
  const navigate = useNavigate();
  const warmth = scaleOf('temperature');
  const called = draft.name.trim() || name;
  const isBlend = draft.method === 'transform';
  const jars = Math.max(1, answer?.jars.length ?? 1);
  const hours = (answer?.preparationSeconds ?? 0) / 3600;

  const begin = (how: Begin) =>
    start.mutate(
      {
        ...fieldsOf(draft),
        name: called,
        place: draft.place,
        startedOn: draft.startedOn || null,
        begin: how,
        isSaltedTwice: how === 'counter' && isHalved,
        ph: isBlend ? ph : null,
      },
      {
        onError: (refusal) => {
          if (refusal instanceof Kept) {
            forgetDraft();
            complain(refusal);
            void navigate('/shelf');
          } else {
            setRefused(draft);
          }
        },
        onSuccess: (batch) => {
          forgetDraft();
          notices.done(
            isBlend
              ? t('bench.blended_done', { name: batch.name })
              : jars > 1
                ? t('bench.started_many', { count: jars })
                : t('bench.started_one', { name: batch.name }),
          );
          void navigate(how === 'counter' ? `/counter/${batch.id}` : `/shelf/${batch.id}`);
        },
      },
    );

  const send = useOnceRead(() => {
    const go = () => begin(draft.isPacked || draft.startedOn ? 'packed' : 'now');
    if (!isBlend || ph !== null || draft.jarId === null) {
      go();
      return;
    }
    void ask({
      title: t('bench.ph_none_title'),
      content: t('bench.ph_none'),
      yes: t('bench.ph_bottle'),
      no: t('bench.ph_read'),
    }).then((isYes) => isYes && go());
  });
  const sendToCounter = useOnceRead(() => begin('counter'));

  return (
    <div>
      <div className="bench-start">
        <Input
          aria-label={t('bench.jar_name')}
          placeholder={name}
          value={draft.name}
          onChange={(event) => change({ name: event.target.value })}
        />
        <Choice
          aria-label={t('bench.place')}
          value={draft.place}
          onChange={(place) => change({ place, roomCelsius: null })}
          className="box-s"
          options={places.map(({ id, name }) => ({ value: id, label: say(name) }))}
        />
        <QuantityBox
          measures="temperature"
          aria-label={t('bench.temperature')}
          placeholder={there === undefined ? '' : number(warmth.shown(there.usualCelsius), warmth.decimals)}
          title={t('bench.temperature_hint')}
          data-takes="temperature"
          value={draft.roomCelsius}
          change={(roomCelsius) => change({ roomCelsius })}
          className="bench-degrees"
        />
        {isBlend && (
          <NumberBox
            aria-label={t('bench.ph')}
            placeholder={t('bench.ph_hint')}
            data-takes="ph"
            min={2}
            max={9}
            step={0.1}
            value={ph}
            onChange={setPh}
            className="bench-degrees"
          />
        )}
        {!isBlend && (
          <label className="bench-day">
            <span className="soft">{draft.startedOn === '' ? t('bench.today_or') : t('bench.on_day')}</span>
            <Input
              type="date"
              aria-label={t('bench.started_on')}
              value={draft.startedOn}
              max={dayThere()}
              onChange={(event) => change({ startedOn: event.target.value })}
            />
          </label>
        )}
        {hours > 0.01 && (
          <Segmented
            aria-label={t('bench.progress')}
            value={draft.isPacked ? 'packed' : 'begins'}
            onChange={(how) => change({ isPacked: how === 'packed' })}
            options={[
              { value: 'begins', label: t('bench.begins_now', { hours: hoursOf(hours) }) },
              { value: 'packed', label: t('bench.packed') },
            ]}
          />
        )}
        <Button
          type="primary"
          disabled={!isReady || refused === draft}
          loading={start.isPending}
          onClick={() => send()}
        >
          {isBlend ? t('bench.blend') : jars > 1 ? t('bench.start_many', { count: jars }) : t('bench.start')}
        </Button>
        {draft.startedOn === '' && DRY.includes(draft.method) && (
          <Checkbox checked={isHalved} onChange={(event) => setIsHalved(event.target.checked)}>
            {t('counter.salted_twice')}
          </Checkbox>
        )}
        {draft.startedOn === '' && (
          <Button disabled={!isReady || refused === draft} loading={start.isPending} onClick={() => sendToCounter()}>
            {t('counter.start')}
          </Button>
        )}
      </div>
      <Complaint>{start.error?.sentence}</Complaint>
    </div>
  );
}

/** Salt can go in in two halves where no brine is poured. */
const DRY: Draft['method'][] = ['dry_salting', 'kimchi_dry_salted', 'salt_and_drain'];

const hoursOf = (hours: number): string =>
  hours < 1
    ? t('duration.minutes_short', { minutes: String(Math.max(1, Math.round(hours * 60))) })
    : `${String(Math.round(hours * 10) / 10)} h`;
