import { t } from '../messages/words';
import { NumberBox } from '../app/NumberBox';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import type { Instrument, Reading } from './Instrument';
import type { Simulated } from './simulated';

const onIt = {
  weight: t('instrument.on_pan'),
  temperature: t('instrument.probe'),
  strength: t('instrument.sample_salt'),
  ph: t('instrument.sample_ph'),
} as const;

interface DeviceProps {
  instrument: Simulated & Instrument;
  isBusy: boolean;
  read: () => void;
  /** What else it can do. */
  children?: React.ReactNode;
}

/** An instrument with its display, and what a simulated one is given to measure. */
export function Device({ instrument, isBusy, read, children }: DeviceProps) {
  const reading = useDisplay(instrument);
  const [load, setLoad] = useState(instrument.true);

  return (
    <div className="device" role="group" aria-label={instrument.name}>
      <output className={`display${reading.isSettled ? '' : ' is-moving'}`} data-testid={`${instrument.name} display`}>
        {Number.isNaN(reading.value) ? '– – –' : reading.value.toFixed(instrument.digits)}{' '}
        <small>{instrument.unit}</small>
      </output>
      <label>
        <span className="soft">
          {instrument.name}, {onIt[instrument.measure]}
        </span>
        <NumberBox
          aria-label={`${instrument.name}: ${onIt[instrument.measure]}`}
          value={load}
          step={instrument.digits === 0 ? 10 : 0.5}
          onChange={(next) => {
            setLoad(next ?? 0);
            instrument.put(next ?? 0);
          }}
        />
      </label>
      {children}
      <span className="device-does">
        {instrument.tare && (
          <Button title={t('instrument.zero_hint')} onClick={() => instrument.tare?.()}>
            {t('instrument.zero')}
          </Button>
        )}
        <Button
          type="primary"
          loading={isBusy}
          // The field keeps the cursor.
          onMouseDown={(event) => event.preventDefault()}
          onClick={read}
        >
          {t('instrument.read', { instrument: instrument.name })}
        </Button>
      </span>
    </div>
  );
}

/** What the display shows, looked at as often as a device would refresh it. */
function useDisplay(instrument: Simulated): Reading {
  const [reading, setReading] = useState(() => instrument.read());
  useEffect(() => {
    const timer = setInterval(() => setReading(instrument.read()), 120);
    return () => {
      clearInterval(timer);
    };
  }, [instrument]);
  return reading;
}
