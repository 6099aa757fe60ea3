import { t } from '../messages/words';
import { Button } from 'antd';
import { useState } from 'react';
import type { SimulatedPhMeter } from './simulated';
import { QuantityBox } from '../app/QuantityBox';

const wanting = {
  both: t('instrument.ph_uncalibrated'),
  acid: t('instrument.ph_acid_missing'),
  neutral: t('instrument.ph_neutral_missing'),
  again: t('instrument.ph_old'),
} as const;

/** Two buffers to calibrate a pH meter with, at the temperature they have. */
export function PhBuffers({ meter }: { meter: SimulatedPhMeter }) {
  const [, look] = useState(0);
  const calibrate = (buffer: 'acid' | 'neutral') => {
    meter.calibrate(buffer);
    look((n) => n + 1);
  };
  const { wants, slope } = meter;

  return (
    <div className="ph-buffers">
      <QuantityBox
        measures="temperature"
        aria-label={t('instrument.sample_temperature')}
        value={meter.temperature}
        change={(celsius) => {
          meter.warm(celsius ?? 20);
          look((n) => n + 1);
        }}
      />
      <Button onClick={() => calibrate('neutral')}>{t('instrument.buffer_neutral')}</Button>
      <Button onClick={() => calibrate('acid')}>{t('instrument.buffer_acid')}</Button>
      <span className="soft" data-testid="pH calibration">
        {wants === null ? t('instrument.ph_calibrated', { percent: ((slope ?? 0) * 100).toFixed(0) }) : wanting[wants]}
      </span>
    </div>
  );
}
