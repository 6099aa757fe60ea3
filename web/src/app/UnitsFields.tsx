import { Segmented } from 'antd';
import { Choice } from './Choice';
import type { Kitchen, Refusal } from '../api/client';
import { t } from '../messages/words';
import { Field } from './Field';

type Units = Pick<Kitchen, 'spoonSystem' | 'usesInches' | 'usesFahrenheit' | 'measureBy'>;

interface Props {
  units: Units;
  change: (units: Partial<Units>) => void;
  refusal: Refusal | null;
}

/** The units of habit: grams or spoons, whose spoons, inches, degrees. */
export function UnitsFields({ units, change, refusal }: Props) {
  return (
    <>
      <Field label={t('house.measure')} name="measureBy" refusal={refusal}>
        <Segmented
          aria-label={t('house.measure')}
          value={units.measureBy}
          onChange={(measureBy) => change({ measureBy })}
          options={[
            { value: 'grams' as const, label: t('house.grams') },
            { value: 'spoons' as const, label: t('house.spoon') },
          ]}
        />
      </Field>
      <Field label={t('house.spoons')} name="spoonSystem" refusal={refusal}>
        <Choice
          value={units.spoonSystem}
          onChange={(spoonSystem) => change({ spoonSystem })}
          options={[
            { value: 'us' as const, label: t('house.spoons_us') },
            { value: 'metric' as const, label: t('house.spoons_metric') },
            { value: 'imperial' as const, label: t('house.spoons_uk') },
            { value: 'australian' as const, label: t('house.spoons_au') },
          ]}
        />
      </Field>
      <Field label={t('house.lengths')} name="usesInches" refusal={refusal}>
        <Segmented
          aria-label={t('house.lengths')}
          value={units.usesInches}
          onChange={(usesInches) => change({ usesInches })}
          options={[
            { value: false, label: t('house.millimetres') },
            { value: true, label: t('house.inches') },
          ]}
        />
      </Field>
      <Field label={t('house.degrees')} name="usesFahrenheit" refusal={refusal}>
        <Segmented
          aria-label={t('house.degrees')}
          value={units.usesFahrenheit}
          onChange={(usesFahrenheit) => change({ usesFahrenheit })}
          options={[
            { value: false, label: '°C' },
            { value: true, label: '°F' },
          ]}
        />
      </Field>
    </>
  );
}
