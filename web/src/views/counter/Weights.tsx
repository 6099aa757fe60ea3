import { Button } from 'antd';
import { useState } from 'react';
import type { Step } from '../../api/client';
import { NumberBox } from '../../app/NumberBox';
import { weigh as readScale } from '../../instruments/Instruments';
import { grams } from '../../app/numbers';
import { say, t } from '../../messages/words';

/** What the scale said, by the line of the step. */
export type Weighed = Record<number, number | null>;

interface Props {
  step: Step;
  weighed: Weighed;
  weigh: (weighed: Weighed) => void;
  isOpen: boolean;
}

/** What goes in: grams, the cook's own measures, and what the scale says of it. */
export function Weights({ step, weighed, weigh, isOpen }: Props) {
  const [fault, setFault] = useState<string | null>(null);
  const take = async (line: number) => {
    const reading = await readScale();
    setFault(reading.fault);
    if (reading.fault === null && reading.value > 0) {
      weigh({ ...weighed, [line]: reading.value });
    }
  };

  return (
    <ul className="counter-needs">
      {step.needs.map((need) => (
        <li key={need.line}>
          <span className="counter-need">{say(need.name)}</span>
          <b>{grams(need.grams)}</b>
          <span className="soft">{say(need.measure)}</span>
          {isOpen && (
            <span className="counter-weighed">
              <NumberBox
                aria-label={t('counter.weighed', { what: say(need.name) })}
                placeholder={t('counter.weighed_short')}
                data-takes="weight"
                min={0}
                value={weighed[need.line] ?? null}
                onChange={(value) => weigh({ ...weighed, [need.line]: value })}
                suffix="g"
              />
              <Button aria-label={t('counter.scale_of', { what: say(need.name) })} onClick={() => void take(need.line)}>
                {t('counter.scale')}
              </Button>
            </span>
          )}
        </li>
      ))}
      {fault !== null && (
        <li className="complaint" role="alert">
          {fault}
        </li>
      )}
    </ul>
  );
}
