import { t } from '../messages/words';
import { Button } from 'antd';
import { notices } from '../app/notices';
import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { nameOf, takenBy, textFor, type } from './field';
import { later } from '../app/later';
import { settled, type Measure, type Reading } from './Instrument';
import {
  SimulatedPhMeter,
  SimulatedSalinityMeter,
  SimulatedScale,
  SimulatedThermometer,
  type Simulated,
} from './simulated';
import './Instruments.css';

const Device = later(() => import('./Device'), 'Device');
const PhBuffers = later(() => import('./PhBuffers'), 'PhBuffers');
const RoomLogger = later(() => import('./RoomLogger'), 'RoomLogger');

/** The kitchen's instruments, one of each, for as long as the application is open. */
const phMeter = new SimulatedPhMeter();
const instruments = [new SimulatedScale(), new SimulatedThermometer(), new SimulatedSalinityMeter(), phMeter] as const;

/** What lies on the kitchen's scale, once its display has come to rest. */
export const weigh = (): Promise<Reading> => settled(instruments[0]);

/** The one that is not read into a field. */
const LOGGER = t('instrument.logger');

/** The key that reads the instrument which fits the field one is in. */
export const READ_KEY = 'F2';

/** Reads instruments into fields from anywhere, and a panel to play the simulated ones. */
export function Instruments() {
  const [isOpen, setIsOpen] = useState(false);
  const [inHand, setInHand] = useState<string>(instruments[0].name);
  const field = useLastField((measure) => {
    const fitting = instruments.find((one) => one.measure === measure);
    if (fitting) {
      setInHand(fitting.name);
    }
  });
  const [busy, setBusy] = useState<Simulated | null>(null);

  const read = useCallback(async (instrument: Simulated, into: HTMLInputElement | null) => {
    if (into === null || takenBy(into) !== instrument.measure) {
      notices.note(t('instrument.choose_field_for', { instrument: instrument.name }));
      return;
    }
    setBusy(instrument);
    const reading = await settled(instrument);
    setBusy(null);
    if (reading.fault !== null) {
      notices.refused(reading.fault, 6);
      return;
    }
    if (reading.value < 0 && instrument.measure === 'weight') {
      notices.refused(t('instrument.below_zero'), 6);
      return;
    }
    into.focus();
    type(into, textFor(into, reading.value, instrument.digits, instrument.unit));
    notices.done(
      t('instrument.taken', {
        field: nameOf(into),
        value: reading.value.toFixed(instrument.digits),
        unit: instrument.unit,
        instrument: instrument.name,
      }),
    );
  }, []);

  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key !== READ_KEY) {
        return;
      }
      event.preventDefault();
      const into = document.activeElement;
      const fitting = instruments.find((one) => one.measure === takenBy(into));
      if (fitting) {
        void read(fitting, into as HTMLInputElement);
      } else {
        notices.note(t('instrument.choose_field'));
      }
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, [read]);

  return (
    <>
      <Button
        type="text"
        title={t('instrument.title_key', { key: READ_KEY })}
        aria-label={t('instrument.title')}
        aria-expanded={isOpen}
        onClick={() => setIsOpen(!isOpen)}
      >
        <svg className="scale-sign" viewBox="0 0 24 20" width={24} height={20} aria-hidden="true">
          <path d="M2 3 h20 M5 3 q7 6 14 0 M12 6 v2" />
          <rect x={4} y={8} width={16} height={10} rx={2} />
          <path d="M12 15 l3 -4" />
        </svg>
        <span className="instruments-word">{t('instrument.title')}</span>
      </Button>
      {isOpen && (
        <section className="instruments" aria-label={t('instrument.title')}>
          <p className="soft">{t('instrument.about', { key: READ_KEY })}</p>
          <div className="instrument-names" role="tablist" aria-label={t('instrument.which')}>
            {[...instruments.map(({ name }) => name), LOGGER].map((name) => (
              <button
                key={name}
                type="button"
                role="tab"
                aria-selected={name === inHand}
                // The field keeps the cursor.
                onMouseDown={(event) => event.preventDefault()}
                onClick={() => setInHand(name)}
              >
                {name}
              </button>
            ))}
          </div>
          {instruments
            .filter(({ name }) => name === inHand)
            .map((instrument) => (
              <Device
                key={instrument.name}
                instrument={instrument}
                isBusy={busy === instrument}
                read={() => void read(instrument, field.current)}
              >
                {instrument === phMeter && <PhBuffers meter={phMeter} />}
              </Device>
            ))}
          {inHand === LOGGER && <RoomLogger />}
        </section>
      )}
    </>
  );
}

/** The field that had the cursor last, of those that take something from an instrument. */
function useLastField(onTaking: (measure: Measure) => void): React.RefObject<HTMLInputElement | null> {
  const field = useRef<HTMLInputElement | null>(null);
  const tell = useEffectEvent(onTaking);
  useEffect(() => {
    const listen = ({ target }: FocusEvent) => {
      const takes = target instanceof HTMLInputElement ? takenBy(target) : null;
      if (target instanceof HTMLInputElement && takes !== null) {
        field.current = target;
        tell(takes);
      }
    };
    window.addEventListener('focusin', listen);
    return () => {
      window.removeEventListener('focusin', listen);
    };
  }, []);
  return field;
}
