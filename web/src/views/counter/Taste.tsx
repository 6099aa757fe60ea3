import { Button } from 'antd';
import { complain } from '../../app/complain';
import type { Entry } from '../../api/client';
import { useBatch, useKitchen, useRecordEntry } from '../../api/queries';
import { percent, sodium } from '../../app/numbers';
import { t } from '../../messages/words';

/** A spoon of what thins a sauce, in grams: a tablespoon of water. */
const SPOON_G = 15;

/** A pinch, a sixteenth of a US teaspoon; what it weighs follows from the salt. */
const PINCH_ML = 4.92892159375 / 16;

interface Props {
  batchId: string;
  kind: 'salt' | 'thin';
}

/** By taste: a pinch more, a spoon more, with the strength and the sodium following. */
export function Taste({ batchId, kind }: Props) {
  const batch = useBatch(batchId);
  const kitchen = useKitchen();
  const write = useRecordEntry(batchId);
  const foods = kitchen.data?.ingredients ?? [];
  const vinegar = foods.find(({ key }) => key === 'cider-vinegar' || key === 'vinegar');
  const salt = kitchen.data?.salts[0];
  const add = (entry: Entry) =>
    write.mutate(entry, {
      onError: (refusal) => complain(refusal),
    });
  const water = { kind: 'add', ingredient: 'water', grams: SPOON_G } as Entry;

  return (
    <section className="counter-taste" aria-label={t(kind === 'salt' ? 'counter.taste_salt' : 'counter.taste_thin')}>
      {kind === 'salt' && salt && (
        <Button
          loading={write.isPending}
          onClick={() => add({ kind: 'salt', product: salt.id, spooned: { millilitres: PINCH_ML } } as Entry)}
        >
          {t('counter.pinch', { salt: salt.name })}
        </Button>
      )}
      {kind === 'thin' && (
        <>
          <Button loading={write.isPending} onClick={() => add(water)}>
            {t('counter.spoon_water')}
          </Button>
          {vinegar && (
            <Button
              loading={write.isPending}
              onClick={() => add({ kind: 'add', ingredient: vinegar.id, grams: SPOON_G } as Entry)}
            >
              {t('counter.spoon_of', { food: vinegar.name })}
            </Button>
          )}
        </>
      )}
      {batch.data && (
        <p>
          {batch.data.phases.map((phase) => (
            <span key={phase.phase} data-testid={`taste-${phase.phase}`}>
              {t('counter.so_far', { sodium: sodium(phase.per100g) })}{' '}
            </span>
          ))}
          {batch.data.strengthNowPercent !== null && (
            <b>{t('counter.strength', { percent: percent(batch.data.strengthNowPercent) })}</b>
          )}
        </p>
      )}
    </section>
  );
}
