import { t } from '../messages/words';
import { Segmented } from 'antd';
import { Complaint } from './Complaint';
import { useState } from 'react';
import type { Refusal } from '../api/client';
import { Field } from './Field';
import { NumberBox } from './NumberBox';
import { QuantityBox } from './QuantityBox';

/** Sodium as a package says it; what is not said is null. */
export interface Label {
  sodiumPer100g: number | null;
  labelSodiumMg: number | null;
  labelServingGrams: number | null;
  labelSaltPer100g: number | null;
}

export const noLabel: Label = {
  sodiumPer100g: null,
  labelSodiumMg: null,
  labelServingGrams: null,
  labelSaltPer100g: null,
};

type ServingStyle = 'label' | 'salt' | 'sodium';

interface Props {
  label: Label;
  change: (label: Label) => void;
  refusal: Refusal | null;
}

/** How a package says its sodium, and what it says. */
export function LabelFields({ label, change, refusal }: Props) {
  const [way, setWay] = useState<ServingStyle>(
    label.labelSodiumMg === null && label.sodiumPer100g !== null ? 'sodium' : 'label',
  );
  const [typed, setTyped] = useState<Label>(() => ({
    sodiumPer100g: label.sodiumPer100g,
    labelSodiumMg: label.labelSodiumMg,
    labelServingGrams: label.labelServingGrams,
    labelSaltPer100g: label.labelSaltPer100g,
  }));
  /** Only what is said in this way counts; the rest stays typed. */
  const say = (part: Partial<Label>, as: ServingStyle = way) => {
    const next = { ...typed, ...part };
    setTyped(next);
    change({
      sodiumPer100g: as === 'sodium' ? next.sodiumPer100g : null,
      labelSodiumMg: as === 'label' ? next.labelSodiumMg : null,
      labelServingGrams: as === 'label' ? next.labelServingGrams : null,
      labelSaltPer100g: as === 'salt' ? next.labelSaltPer100g : null,
    });
  };

  const number = (name: string, key: keyof Label, unit: string) => (
    <Field label={name} name={key} refusal={refusal}>
      <NumberBox value={typed[key]} onChange={(value) => say({ [key]: value })} suffix={unit} />
    </Field>
  );

  return (
    <>
      <Field label={t('label_field.how')} wide>
        <Segmented
          aria-label={t('label_field.how')}
          value={way}
          onChange={(next: ServingStyle) => {
            setWay(next);
            say({}, next);
          }}
          options={[
            { value: 'label' as const, label: t('label_field.per_serving') },
            { value: 'salt' as const, label: t('label_field.salt_per_100') },
            { value: 'sodium' as const, label: t('label_field.sodium_per_100') },
          ]}
        />
      </Field>
      {way === 'label' && number(t('label_field.sodium_serving'), 'labelSodiumMg', 'mg')}
      {way === 'label' && (
        <Field label={t('label_field.serving')} name="labelServingGrams" refusal={refusal}>
          <QuantityBox
            measures="grams"
            value={typed.labelServingGrams}
            change={(labelServingGrams) => say({ labelServingGrams })}
          />
        </Field>
      )}
      {way === 'salt' && number(t('label_field.salt'), 'labelSaltPer100g', 'g')}
      {way === 'sodium' && number(t('label_field.sodium'), 'sodiumPer100g', 'mg')}
      {way !== 'sodium' && <Complaint>{refusal?.of('sodiumPer100g')}</Complaint>}
    </>
  );
}
