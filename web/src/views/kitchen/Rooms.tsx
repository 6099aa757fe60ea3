import { complain } from '../../app/complain';
import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { dayAfter, dayThere } from '../../messages/zone';
import { Button, DatePicker, Input } from 'antd';
import { notices } from '../../app/notices';
import { ChooseFile } from '../../app/ChooseFile';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ReadingsImport, Room, Rooms as RoomsRead } from '../../api/client';
import { useEdits } from '../../api/edits';
import {
  useImportLog,
  useSaveRoom,
  useAddWarmSpell,
  useRemoveWarmSpell,
  useSaveReadings,
  useRooms,
} from '../../api/tending';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';
import { NumberField } from '../../app/NumberField';
import { degrees } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { TemperatureChart } from '../../drawings/TemperatureChart';
import './Rooms.css';
import { QuantityBox } from '../../app/QuantityBox';
import { useOnceRead } from '../../app/unread';
import { Deed, May } from '../../app/Deed';
import { useOpened } from '../../app/addressState';
import { useTyped } from '../../app/typed';

/** A place as the beginning of a sentence. */
const the = (room: Room): string => t(`place_title.${room.place}`);

/** How warm it is where the jars stand; their days follow. */
export function Rooms() {
  const rooms = useRooms();
  if (!rooms.data) {
    return <PageState query={rooms} />;
  }

  const { firm } = rooms.data;

  return (
    <>
      <p className="cupboard-note soft">{t('rooms.about', { from: degrees(firm.from), to: degrees(firm.to) })}</p>
      {rooms.data.rooms.map((room) => (
        <Place key={room.place} room={room} firm={firm} />
      ))}
    </>
  );
}

function Place({ room, firm }: { room: Room; firm: RoomsRead['firm'] }) {
  const usual = useOpened(`usual-${room.place}`);
  const spell = useOpened(`spell-${room.place}`);
  const log = useOpened(`log-${room.place}`);

  return (
    <section className="room" aria-label={the(room)}>
      <div className="room-head">
        <h2>{the(room)}</h2>
        <span>
          <b>{degrees(room.nowCelsius)}</b>{' '}
          <span className="soft">
            {t('rooms.now', {
              usual: degrees(room.usualCelsius),
              swing: room.swingCelsius > 0 ? t('unit.warmth', { celsius: room.swingCelsius }) : 'none',
              hour: `${String(room.warmestHour)}:00`,
              readings: room.readingsInAll,
            })}
          </span>
        </span>
      </div>
      <TemperatureChart
        course={room.course.map(({ at, celsius }) => ({ at: Date.parse(at), celsius }))}
        readings={room.readings.map(({ at, celsius }) => ({ at: Date.parse(at), celsius }))}
        now={Date.parse(room.now)}
        firm={firm}
        label={t('rooms.chart', { place: the(room), temperature: degrees(room.nowCelsius) })}
      />
      <div className="room-foot">
        <div className="words">
          <May needs="log">
            <ReadNow room={room} />
          </May>
          <Deed onClick={() => spell.open()}>{t('rooms.expect')}</Deed>
          <Deed needs="log" onClick={() => log.open()}>
            {t('rooms.import')}
          </Deed>
          <Deed type="text" onClick={() => usual.open()}>
            {t('rooms.usual')}
          </Deed>
        </div>
        <Spells room={room} />
        {room.jars.length > 0 && (
          <ul className="quiet-list room-jars" aria-label={t('rooms.jars', { place: the(room) })}>
            {room.jars.map((jar) => (
              <li key={jar.id} style={{ borderColor: jar.colour }}>
                <Link to={`/shelf/${jar.id}`}>{jar.name}</Link>{' '}
                <span className="soft">
                  {jar.readyOn === null
                    ? t('rooms.not_ripening')
                    : t(jar.readyOn < dayThere() ? 'rooms.ready_since' : 'rooms.ready', {
                        day: when(jar.readyOn, 'short'),
                      })}
                </span>
              </li>
            ))}
          </ul>
        )}
      </div>
      {usual.isOpen && <Usual room={room} close={usual.close} />}
      {spell.isOpen && <Expect room={room} close={spell.close} />}
      {log.isOpen && <Bring room={room} close={log.close} />}
    </section>
  );
}

/** One reading, as it is now. */
function ReadNow({ room }: { room: Room }) {
  const [celsius, setCelsius] = useState<number | null>(null);
  const keep = useSaveReadings(room.place);

  const send = useOnceRead(() => {
    if (celsius !== null) {
      keep.mutate(
        { readings: [{ at: new Date().toISOString(), celsius }], source: 'typed' },
        {
          onSuccess: () => setCelsius(null),
          onError: (refusal) => complain(refusal),
        },
      );
    }
  });

  return (
    <form
      className="read-now"
      onSubmit={(event) => {
        event.preventDefault();
        send(event.target);
      }}
    >
      <QuantityBox
        measures="temperature"
        aria-label={t('rooms.read_in', { place: the(room) })}
        placeholder={t('rooms.read_now')}
        value={celsius}
        data-takes="temperature"
        change={setCelsius}
      />
      <Button type="primary" htmlType="submit" loading={keep.isPending}>
        {t('action.save')}
      </Button>
    </form>
  );
}

function Spells({ room }: { room: Room }) {
  const forget = useRemoveWarmSpell(room.place);

  return room.spells.map((spell) => (
    <p key={spell.id} className="spell">
      {t('rooms.spell', {
        from: when(spell.fromOn, 'short'),
        to: when(spell.toOn, 'short'),
        temperature: degrees(spell.celsius),
      })}
      <Deed
        type="text"
        aria-label={t('rooms.spell_delete', {
          temperature: degrees(spell.celsius),
          day: when(spell.fromOn, 'short'),
        })}
        onClick={() => forget.mutate(spell.id, { onError: (refusal) => complain(refusal) })}
      >
        ×
      </Deed>
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
  const { fields, change, body, onError } = useEdits(
    `usual ${room.place}`,
    { version: room.version, fields: now },
    now,
  );
  const keep = useSaveRoom(room.place);

  return (
    <SaveDrawer
      title={t('rooms.usual_title', { place: the(room) })}
      close={close}
      isKeeping={keep.isPending}
      refusal={keep.error}
      keep={() => keep.mutate(body(), { onSuccess: close, onError })}
    >
      <div className="fields">
        <NumberField
          label={t('rooms.mean')}
          name="usualCelsius"
          measures="temperature"
          value={fields.usualCelsius}
          change={(usualCelsius) => change({ usualCelsius })}
          refusal={keep.error}
        />
        <NumberField
          label={t('rooms.swing')}
          name="swingCelsius"
          measures="warmth"
          value={fields.swingCelsius}
          change={(swingCelsius) => change({ swingCelsius })}
          refusal={keep.error}
        />
        <NumberField
          label={t('rooms.warmest')}
          name="warmestHour"
          unit={t('rooms.oclock')}
          value={fields.warmestHour}
          change={(warmestHour) => change({ warmestHour })}
          refusal={keep.error}
        />
      </div>
      <p className="soft">{t('rooms.swing_about')}</p>
    </SaveDrawer>
  );
}

function Expect({ room, close }: DrawerProps) {
  const [days, setDays] = useTyped(`days ${room.place}`, () => [dayThere(), dayAfter(dayThere(), 4)]);
  const [celsius, setCelsius] = useTyped(`warmth ${room.place}`, room.usualCelsius + 6);
  const keep = useAddWarmSpell(room.place);

  return (
    <SaveDrawer
      title={t('rooms.expect_title', { place: the(room) })}
      close={close}
      isKeeping={keep.isPending}
      refusal={keep.error}
      keep={() => keep.mutate({ fromOn: days[0] ?? '', toOn: days[1] ?? '', celsius }, { onSuccess: close })}
    >
      <div className="fields">
        <Field label={t('rooms.days')} name="toOn" refusal={keep.error} wide>
          <DatePicker.RangePicker
            allowClear={false}
            value={[dayjs(days[0]), dayjs(days[1])]}
            onChange={(range) => range?.[0] && range[1] && setDays(range.map((day) => day?.format('YYYY-MM-DD') ?? ''))}
          />
        </Field>
        <NumberField
          label={t('rooms.celsius')}
          name="celsius"
          measures="temperature"
          value={celsius}
          change={setCelsius}
          refusal={keep.error}
        />
      </div>
      <p className="soft">{t('rooms.expect_about')}</p>
    </SaveDrawer>
  );
}

function Bring({ room, close }: DrawerProps) {
  const [text, setText] = useTyped(`log ${room.place}`, '');
  const bring = useImportLog(room.place);
  const [look, setLook] = useState<ReadingsImport | null>(null);
  const change = (next: string) => {
    setText(next);
    setLook(null);
    bring.reset();
  };

  return (
    <SaveDrawer
      title={t('rooms.log_title', { place: the(room) })}
      close={close}
      keepAs={look === null ? t('import.preview') : t('rooms.save_readings', { count: look.readings })}
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
                notices.done(t('rooms.saved_readings', { count: read.readings }));
                close();
              }
            },
          },
        )
      }
    >
      <Field label={t('rooms.log_lines')} name="text" refusal={bring.error} wide>
        <Input.TextArea
          rows={9}
          value={text}
          placeholder={'time,celsius\n2026-11-24 08:00,19.5'}
          onChange={(event) => change(event.target.value)}
        />
      </Field>
      <p className="drawer-part">
        <ChooseFile
          says={t('import.from_file')}
          label={t('rooms.log_file')}
          accept=".csv,.txt,text/csv,text/plain"
          choose={(file) => void file.text().then(change)}
        />
      </p>
      {look && (
        <div data-testid="look">
          <p>
            {t('rooms.log_read', {
              count: look.readings,
              from: look.from === null ? 'none' : when(look.from, 'moment'),
              to: when(look.to, 'moment'),
              lowest: look.lowest === null ? 'none' : degrees(look.lowest),
              highest: degrees(look.highest ?? 0),
              future: look.inFuture,
            })}
          </p>
          {look.problemsInAll > 0 && <p className="complaint">{t('rooms.left_out', { count: look.problemsInAll })}</p>}
          <ul className="quiet-list">
            {look.problems.slice(0, 12).map((problem) => (
              <li key={problem.line} className="soft">
                {t('rooms.line', { line: problem.line, reason: say(problem.reason) })}
              </li>
            ))}
          </ul>
        </div>
      )}
    </SaveDrawer>
  );
}
