import { Segmented } from 'antd';
import { Choice } from '../../app/Choice';
import type { Kitchen, WeighedMeasure } from '../../api/client';
import { useWeighMeasure } from '../../api/kitchen';
import { Field } from '../../app/Field';
import { QuantityBox } from '../../app/QuantityBox';
import { SaveDrawer } from '../../app/SaveDrawer';
import { grams } from '../../app/numbers';
import { t } from '../../messages/words';
import { Deed } from '../../app/Deed';
import { useOpened } from '../../app/addressState';
import { useTyped } from '../../app/typed';

const WHAT = ['forkful', 'spoonful'] as const;

const FAMILIES = ['shreds', 'leaves', 'pulp', 'other'] as const;

/** Forks and spoons as they were weighed, of the kitchen and of each eater. Unweighed ones are as such food usually is. */
export function ForksAndSpoons({ kitchen }: { kitchen: Kitchen }) {
  const weighing = useOpened('fork');
  const forget = useWeighMeasure();
  const whose = ({ personId }: WeighedMeasure) => kitchen.people.find(({ id }) => id === personId)?.name;

  return (
    <section className="drawer-part" aria-label={t('forks.title')}>
      <h3>{t('forks.title')}</h3>
      <p className="soft">{t('forks.about')}</p>
      <ul className="quiet-list hold-downs">
        {kitchen.weighedMeasures.map((one) => {
          const says = t('forks.line', {
            what: one.what,
            family: t(`forks.${one.family}`),
            grams: grams(one.grams ?? 0),
            person: whose(one) ?? 'none',
          });

          return (
            <li key={`${one.what} ${one.family} ${one.personId ?? ''}`}>
              <span>{says}</span>
              <Deed
                size="small"
                aria-label={t('forks.forget', { line: says })}
                onClick={() => forget.mutate({ ...one, grams: null })}
              >
                {t('action.remove')}
              </Deed>
            </li>
          );
        })}
      </ul>
      <Deed onClick={() => weighing.open()}>{t('forks.weigh')}</Deed>
      {weighing.isOpen && <Weigh kitchen={kitchen} close={weighing.close} />}
    </section>
  );
}

function Weigh({ kitchen, close }: { kitchen: Kitchen; close: () => void }) {
  const save = useWeighMeasure();
  const [one, setOne] = useTyped<WeighedMeasure>('fork', {
    what: 'forkful',
    family: 'shreds',
    personId: null,
    grams: null,
  });
  const change = (part: Partial<WeighedMeasure>) => setOne({ ...one, ...part });

  return (
    <SaveDrawer
      title={t('forks.weigh')}
      close={close}
      isKeeping={save.isPending}
      refusal={save.error}
      keep={() => void save.mutateAsync(one).then(close, () => undefined)}
    >
      <div className="fields">
        <Field label={t('forks.what')} name="what" refusal={save.error} wide>
          <Segmented
            aria-label={t('forks.what')}
            value={one.what}
            onChange={(what) => change({ what })}
            options={WHAT.map((value) => ({ value, label: t(`portion.${value}`) }))}
          />
        </Field>
        <Field label={t('forks.of')} name="family" refusal={save.error}>
          <Choice
            value={one.family}
            onChange={(family) => change({ family })}
            options={FAMILIES.map((value) => ({ value, label: t(`forks.${value}`) }))}
          />
        </Field>
        <Field label={t('forks.whose')} name="personId" refusal={save.error}>
          <Choice
            value={one.personId ?? ''}
            onChange={(id: string) => change({ personId: id === '' ? null : id })}
            options={[
              { value: '', label: t('forks.kitchen') },
              ...kitchen.people.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
        </Field>
        <Field label={t('forks.weighs')} name="grams" refusal={save.error}>
          <QuantityBox
            measures="grams"
            data-takes="weight"
            value={one.grams ?? null}
            change={(next) => change({ grams: next })}
          />
        </Field>
      </div>
      <p className="soft">{t('forks.how')}</p>
    </SaveDrawer>
  );
}
