import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { stopPlanning, usePlanning, usePlanningTold } from '../../api/planning';
import { t } from '../../messages/words';

/** Before that it is not worth a word. */
const PATIENCE_MS = 900;

/** A planning that takes long: how far it has come, and a way to take what there is. */
export function PlanningOn() {
  const id = usePlanning();
  return id === null ? null : <Told key={id} id={id} />;
}

function Told({ id }: { id: string }) {
  const told = usePlanningTold(id);
  const [isLong, setIsLong] = useState(false);
  const [isStopped, setIsStopped] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsLong(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, []);
  if (!isLong) {
    return null;
  }
  const now = told.data?.told ?? null;

  return (
    <p className="planning-on" role="status">
      {now === null ? t('week.planning') : t('week.planning_off', { servings: now.servings })}{' '}
      <Button
        disabled={isStopped || now === null}
        onClick={() => {
          setIsStopped(true);
          void stopPlanning(id);
        }}
      >
        {t('week.planning_stop')}
      </Button>
    </p>
  );
}
