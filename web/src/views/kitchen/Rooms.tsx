import { App, Button, DatePicker, Input, InputNumber } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import type { LogRead, Room, Rooms as RoomsRead } from '../../api/client';
import { useEdits } from '../../api/edits';
import {
  useImportLog,
  useSaveRoom,
  useExpectSpell,
  useForgetSpell,
  useSaveReadings,
  useRooms,
} from '../../api/tending';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { NumberField } from '../../app/NumberField';
import { PageState } from '../../app/PageState';
import { TemperatureChart } from '../../drawings/TemperatureChart';
import './Rooms.css';

/** A place as the beginning of a sentence. */
const the = (room: Room): string => `The ${room.name}`;

/** How warm it is where the jars stand; their days follow. */
export function Rooms() {
  const rooms = useRooms();
  if (!rooms.data) {
    return <PageState query={rooms} />;
  }

  const { firm } = rooms.data;

  return (
    <>
      <p className="cupboard-note soft">
        Warm weeks halve the time a jar takes, cold ones double it. What was read counts first, then what you
        expect, then how the place usually is. The green band, {firm.from} to {firm.to} °C, is where a ferment
        starts well and stays firm.
      </p>
      {rooms.data.rooms.map((room) => (
        <Place key={room.place} room={room} firm={firm} />
      ))}
    </>
  );
}

type Open = 'usual' | 'spell' | 'log' | null;

function Place({ room, firm }: { room: Room; firm: RoomsRead['firm'] }) {
  const [open, setOpen] = useState<Open>(null);
  const close = () => setOpen(null);

  return (
    <section className="room" aria-label={the(room)}>
      <div className="room-head">
        <h2>{the(room)}</h2>
        <span>
          <b>{room.nowCelsius.toFixed(1)} °C</b>{' '}
          <span className="soft">
            now; usually {room.usualCelsius.toFixed(1)} °C
            {room.swingCelsius > 0 &&
              ` ± ${room.swingCelsius.toFixed(1)}, warmest at ${String(room.warmestHour)}:00`}
            {room.readingsInAll > 0 && `; ${room.readingsInAll.toLocaleString('en')} readings`}
          </span>
        </span>
      </div>
      <TemperatureChart
        course={room.course.map(({ at, celsius }) => ({ at: Date.parse(at), celsius }))}
        readings={room.readings.map(({ at, celsius }) => ({ at: Date.parse(at), celsius }))}
        now={Date.parse(room.now)}
        firm={firm}
        label={`${the(room)}: ${room.nowCelsius.toFixed(1)} °C now, two weeks back and ten days ahead`}
      />
      <div className="room-foot">
        <div className="words">
          <ReadNow room={room} />
          <Button onClick={() => setOpen('spell')}>Expect another temperature</Button>
          <Button onClick={() => setOpen('log')}>Bring in a log</Button>
          <Button type="text" onClick={() => setOpen('usual')}>
            As it usually is
          </Button>
        </div>
        <Spells room={room} />
        {room.jars.length > 0 && (
          <ul className="quiet-list room-jars" aria-label={`Jars there, ${the(room)}`}>
            {room.jars.map((jar) => (
              <li key={jar.id} style={{ borderColor: jar.colour }}>
                <Link to={`/shelf/${jar.id}`}>{jar.name}</Link>{' '}
                <span className="soft">
                  {jar.readyOn === null
                    ? 'does not ripen'
                    : `${jar.readyOn < dayjs().format('YYYY-MM-DD') ? 'ready since' : 'ready'} ${dayjs(jar.readyOn).format('D MMM')}`}
                </span>
              </li>
            ))}
          </ul>
        )}
      </div>
      {open === 'usual' && <Usual room={room} close={close} />}
      {open === 'spell' && <Expect room={room} close={close} />}
      {open === 'log' && <Bring room={room} close={close} />}
    </section>
  );
}

/** One reading, as it is now. */
function ReadNow({ room }: { room: Room }) {
  const { message } = App.useApp();
  const [celsius, setCelsius] = useState<number | null>(null);
  const keep = useSaveReadings(room.place);

  return (
    <form
      className="read-now"
      onSubmit={(event) => {
        event.preventDefault();
        if (celsius !== null) {
          keep.mutate(
            { readings: [{ at: new Date().toISOString(), celsius }], source: 'typed' },
            {
              onSuccess: () => setCelsius(null),
              onError: (refusal) => void message.error(refusal.of('readings.0.celsius') ?? refusal.message),
            },
          );
        }
      }}
    >
      <InputNumber
        aria-label={`Read in the ${room.name}`}
        placeholder="read now"
        value={celsius}
        step={0.5}
        suffix="°C"
        data-takes="temperature"
        onChange={setCelsius}
      />
      <Button type="primary" htmlType="submit" loading={keep.isPending}>
        Keep it
      </Button>
    </form>
  );
}

function Spells({ room }: { room: Room }) {
  const { message } = App.useApp();
  const forget = useForgetSpell(room.place);

  return room.spells.map((spell) => (
    <p key={spell.id} className="spell">
      {dayjs(spell.fromOn).format('D MMM')} to {dayjs(spell.toOn).format('D MMM')}: {spell.celsius} °C
      expected
      <Button
        type="text"
        aria-label={`Do not expect ${String(spell.celsius)} °C from ${dayjs(spell.fromOn).format('D MMM')}`}
        onClick={() => forget.mutate(spell.id, { onError: (refusal) => void message.error(refusal.message) })}
      >
        ×
      </Button>
    </p>
  ));
}

interface DrawerProps {
  room: Room;
  close: () => void;
}

function Usual({ room, close }: DrawerProps) {
  const now = {
    usualCelsius: room.usualCelsius,
    swingCelsius: room.swingCelsius,
    warmestHour: room.warmestHour,
  };
  const { fields, change, body, onError } = useEdits({ version: room.version, fields: now }, now);
  const keep = useSaveRoom(room.place);

  return (
    <SaveDrawer
      title={`${the(room)}, on an ordinary day`}
      close={close}
      isKeeping={keep.isPending}
      refusal={keep.error}
      keep={() => keep.mutate(body(), { onSuccess: close, onError })}
    >
      <div className="fields">
        <NumberField
          label="Its mean"
          name="usualCelsius"
          unit="°C"
          step={0.5}
          value={fields.usualCelsius}
          change={(usualCelsius) => change({ usualCelsius })}
          refusal={keep.error}
        />
        <NumberField
          label="Warmest above it by"
          name="swingCelsius"
          unit="°C"
          step={0.5}
          value={fields.swingCelsius}
          change={(swingCelsius) => change({ swingCelsius })}
          refusal={keep.error}
        />
        <NumberField
          label="Warmest at"
          name="warmestHour"
          unit="o’clock"
          value={fields.warmestHour}
          change={(warmestHour) => change({ warmestHour })}
          refusal={keep.error}
        />
      </div>
      <p className="soft">
        A day that swings ripens a little faster than its mean: the warm hours gain more than the cool ones
        lose.
      </p>
    </SaveDrawer>
  );
}

function Expect({ room, close }: DrawerProps) {
  const [days, setDays] = useState<[dayjs.Dayjs, dayjs.Dayjs]>([dayjs(), dayjs().add(4, 'day')]);
  const [celsius, setCelsius] = useState(room.usualCelsius + 6);
  const keep = useExpectSpell(room.place);

  return (
    <SaveDrawer
      title={`${the(room)}: another temperature for some days`}
      close={close}
      isKeeping={keep.isPending}
      refusal={keep.error}
      keep={() =>
        keep.mutate(
          { fromOn: days[0].format('YYYY-MM-DD'), toOn: days[1].format('YYYY-MM-DD'), celsius },
          { onSuccess: close },
        )
      }
    >
      <div className="fields">
        <Field label="From the first day to the last" name="toOn" refusal={keep.error} wide>
          <DatePicker.RangePicker
            allowClear={false}
            value={days}
            onChange={(range) => range?.[0] && range[1] && setDays([range[0], range[1]])}
          />
        </Field>
        <NumberField
          label="About"
          name="celsius"
          unit="°C"
          value={celsius}
          change={setCelsius}
          refusal={keep.error}
        />
      </div>
      <p className="soft">A warm spell, a holiday with the heating off. Readings of those days count more.</p>
    </SaveDrawer>
  );
}

function Bring({ room, close }: DrawerProps) {
  const { message } = App.useApp();
  const [text, setText] = useState('');
  const bring = useImportLog(room.place);
  const [look, setLook] = useState<LogRead | null>(null);
  const change = (next: string) => {
    setText(next);
    setLook(null);
    bring.reset();
  };

  return (
    <SaveDrawer
      title={`A log of the ${room.name}`}
      close={close}
      keepAs={look === null ? 'Look at it' : `Keep ${String(look.readings)} readings`}
      isKeeping={bring.isPending}
      refusal={bring.error}
      keep={() =>
        bring.mutate(
          { text, isPreview: look === null },
          {
            onSuccess: (read) => {
              if (look === null) {
                setLook(read);
              } else {
                void message.success(`${String(read.readings)} readings kept.`);
                close();
              }
            },
          },
        )
      }
    >
      <Field label="A line for each reading: moment, degrees" name="text" refusal={bring.error} wide>
        <Input.TextArea
          rows={9}
          value={text}
          placeholder={'time,celsius\n2026-11-24 08:00,19.5'}
          onChange={(event) => change(event.target.value)}
        />
      </Field>
      <p className="drawer-part">
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          aria-label="Log as a file"
          onChange={(event) => void event.target.files?.[0]?.text().then(change)}
        />
      </p>
      {look && (
        <div data-testid="look">
          <p>
            {look.readings} readings
            {look.from !== null &&
              ` from ${dayjs(look.from).format('D MMM HH:mm')} to ${dayjs(look.to).format('D MMM HH:mm')}`}
            {look.lowest !== null && `, ${look.lowest.toFixed(1)} to ${(look.highest ?? 0).toFixed(1)} °C`}
            {look.inFuture > 0 && `; ${String(look.inFuture)} lie ahead and are left out`}.
          </p>
          {look.problemsInAll > 0 && <p className="complaint">{look.problemsInAll} lines are left out:</p>}
          <ul className="quiet-list">
            {look.problems.slice(0, 12).map((problem) => (
              <li key={problem.line} className="soft">
                line {problem.line}: {problem.reason}
              </li>
            ))}
          </ul>
        </div>
      )}
    </SaveDrawer>
  );
}
