import { App, Button, Input, InputNumber, Segmented, Select } from 'antd';
import dayjs from 'dayjs';
import { useNavigate } from 'react-router';
import type { BenchAnswer } from '../../api/client';
import { usePlaces, useStartBatch } from '../../api/queries';
import { fieldsOf, forgetDraft, type Change, type Draft } from './draft';

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
  const navigate = useNavigate();
  const { message } = App.useApp();
  const called = draft.name.trim() || name;
  const isBlend = draft.method === 'transform';
  const jars = Math.max(1, answer?.jars.length ?? 1);
  const hours = (answer?.preparationSeconds ?? 0) / 3600;

  const begin = () =>
    start.mutate(
      {
        ...fieldsOf(draft),
        name: called,
        place: draft.place,
        startedOn: draft.startedOn || null,
        isPacked: draft.isPacked,
      },
      {
        onSuccess: (batch) => {
          forgetDraft();
          void message.success(
            isBlend
              ? `${batch.name} is blended.`
              : jars > 1
                ? `${String(jars)} jars are started.`
                : `${batch.name} is started.`,
          );
          void navigate(`/shelf/${batch.id}`);
        },
      },
    );

  return (
    <div>
      <div className="bench-start">
        <Input
          aria-label="Name of the jar"
          placeholder={name}
          value={draft.name}
          onChange={(event) => change({ name: event.target.value })}
        />
        <Select
          aria-label="Place"
          value={draft.place}
          onChange={(place) => change({ place, roomCelsius: null })}
          style={{ width: 124 }}
          options={places.map(({ id, name }) => ({ value: id, label: name }))}
        />
        <InputNumber
          aria-label="Temperature there"
          placeholder={there === undefined ? '' : String(there.usualCelsius)}
          title="Left open, the jar goes by what is known of the place; a number stays with the jar"
          data-takes="temperature"
          value={draft.roomCelsius}
          min={-2}
          max={45}
          onChange={(roomCelsius) => change({ roomCelsius })}
          suffix="°C"
          style={{ width: 90 }}
        />
        {!isBlend && (
          <label className="bench-day">
            <span className="soft">{draft.startedOn === '' ? 'today, or on' : 'on'}</span>
            <Input
              type="date"
              aria-label="Started on"
              value={draft.startedOn}
              max={dayjs().format('YYYY-MM-DD')}
              onChange={(event) => change({ startedOn: event.target.value })}
            />
          </label>
        )}
        {hours > 0.01 && (
          <Segmented
            aria-label="How far it is"
            value={draft.isPacked ? 'packed' : 'begins'}
            onChange={(how) => change({ isPacked: how === 'packed' })}
            options={[
              { value: 'begins', label: `begins now, ${hoursOf(hours)} to the jar` },
              { value: 'packed', label: 'packed already' },
            ]}
          />
        )}
        <Button type="primary" disabled={!isReady} loading={start.isPending} onClick={begin}>
          {isBlend ? 'Blend it' : jars > 1 ? `Start the ${String(jars)} jars` : 'Start the jar'}
        </Button>
      </div>
      {start.error && (
        <p className="complaint" role="alert">
          {Object.values(start.error.fields)[0]?.[0] ?? start.error.message}
        </p>
      )}
    </div>
  );
}

const hoursOf = (hours: number): string =>
  hours < 1
    ? `${String(Math.max(1, Math.round(hours * 60)))} min`
    : `${String(Math.round(hours * 10) / 10)} h`;
