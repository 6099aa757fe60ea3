import { named } from '../messages/words';
import { Choice } from './Choice';
import type { Kitchen, Refusal } from '../api/client';
import { Field } from './Field';

interface Props {
  label: string;
  kitchen: Kitchen;
  allergens: string[];
  change: (part: { allergens: string[] }) => void;
  refusal: Refusal | null;
}

/** Those of the allergens that Tempesal keeps track of. */
export function AllergensField({ label, kitchen, allergens, change, refusal }: Props) {
  return (
    <Field label={label} name="allergens" refusal={refusal} wide>
      <Choice
        mode="multiple"
        value={allergens}
        onChange={(next: string[]) => change({ allergens: next })}
        options={kitchen.allergens.map((value) => ({ value, label: named('allergen', value) }))}
      />
    </Field>
  );
}
