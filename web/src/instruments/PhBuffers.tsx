import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import type { SimulatedPhMeter } from './simulated';

const wanting = {
  both: 'Not calibrated: into both buffers first',
  acid: 'The acid buffer is still wanted',
  neutral: 'The neutral buffer is still wanted',
  again: 'Calibrated more than a day ago: again, please',
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
      <InputNumber
        aria-label="Temperature of the sample"
        value={meter.temperature}
        suffix="°C"
        min={0}
        max={60}
        onChange={(celsius) => {
          meter.warm(celsius ?? 20);
          look((n) => n + 1);
        }}
      />
      <Button onClick={() => calibrate('neutral')}>Buffer 6.86</Button>
      <Button onClick={() => calibrate('acid')}>Buffer 4.01</Button>
      <span className="soft" data-testid="pH calibration">
        {wants === null ? `Calibrated, slope ${((slope ?? 0) * 100).toFixed(0)} %` : wanting[wants]}
      </span>
    </div>
  );
}
