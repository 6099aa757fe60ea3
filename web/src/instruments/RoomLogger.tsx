import { complain } from '../app/complain';
import { say, t } from '../messages/words';
import { Button } from 'antd';
import { notices } from '../app/notices';
import { Choice } from '../app/Choice';
import { useState } from 'react';
import type { Place } from '../api/client';
import { useHouse } from '../api/queries';
import { useSaveReadings } from '../api/tending';
import type { Logger } from './Instrument';
import { SimulatedLogger } from './simulated';
import { QuantityBox } from '../app/QuantityBox';

const simulated = new SimulatedLogger();
const logger: Logger = simulated;

/** A room logger that stands in one of the kitchen's places, and is emptied into what is known of it. */
export function RoomLogger() {
  const kitchen = useHouse();
  const [place, setPlace] = useState<Place>('counter');
  const [mean, setMean] = useState(simulated.mean);
  const keep = useSaveReadings(place);
  const fetch = () => {
    const readings = logger.fetch();
    keep.mutate(
      { readings, source: 'logger' },
      {
        onSuccess: () => notices.done(t('instrument.logger_read', { count: readings.length })),
        onError: (refusal) => complain(refusal),
      },
    );
  };

  return (
    <div className="device" role="group" aria-label={logger.name}>
      <label>
        <span className="soft">{t('instrument.logger_at')}</span>
        <Choice
          aria-label={t('instrument.logger_place')}
          value={place}
          onChange={setPlace}
          options={(kitchen.data?.places ?? []).map(({ id, label }) => ({ value: id, label: say(label) }))}
        />
      </label>
      <label>
        <span className="soft">{t('instrument.logger_days')}</span>
        <QuantityBox
          measures="temperature"
          aria-label={t('instrument.logger_mean')}
          value={mean}
          change={(next) => {
            simulated.mean = next ?? 20;
            setMean(simulated.mean);
          }}
        />
      </label>
      <span className="device-does">
        <Button type="primary" loading={keep.isPending} onClick={fetch}>
          {t('instrument.logger_fetch')}
        </Button>
      </span>
    </div>
  );
}
