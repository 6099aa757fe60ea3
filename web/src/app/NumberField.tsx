import type { Refusal } from '../api/client';
import { Field } from './Field';
import { NumberBox } from './NumberBox';

interface Props {
  label: string;
  name: string;
  unit?: string;
  step?: number;
  value: number | null;
  change: (value: number) => void;
  refusal: Refusal | null;
}

/** A number with its unit; what is emptied counts as nothing and is then refused where that cannot be. */
export function NumberField({ label, name, unit = '', step = 1, value, change, refusal }: Props) {
  return (
    <Field label={label} name={name} refusal={refusal}>
      <NumberBox value={value} step={step} onChange={(next) => change(next ?? 0)} suffix={unit} />
    </Field>
  );
}
