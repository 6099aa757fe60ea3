import type { Refusal } from '../api/client';
import { Field } from './Field';
import { NumberBox } from './NumberBox';
import { QuantityBox } from './QuantityBox';
import type { Measure } from './units';

interface Props {
  label: string;
  name: string;
  /** What is measured, in the kitchen's own unit; or a unit of its own for a plain number. */
  measures?: Measure;
  unit?: string;
  step?: number;
  value: number | null;
  change: (value: number) => void;
  refusal: Refusal | null;
}

/** A number with its unit; what is emptied counts as nothing and is then refused where that cannot be. */
export function NumberField({ label, name, measures, unit = '', step = 1, value, change, refusal }: Props) {
  return (
    <Field label={label} name={name} refusal={refusal}>
      {measures === undefined ? (
        <NumberBox value={value} step={step} onChange={(next) => change(next ?? 0)} suffix={unit} />
      ) : (
        <QuantityBox measures={measures} value={value} change={(next) => change(next ?? 0)} />
      )}
    </Field>
  );
}
