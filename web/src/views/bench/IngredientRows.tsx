import { t } from '../../messages/words';
import { Button } from 'antd';
import type { BenchPart, Kitchen } from '../../api/client';
import { AmountInput } from '../../app/AmountInput';
import { FoodSelect } from '../../app/FoodSelect';
import { optionsOf } from './options';

interface Props {
  /** What the button that adds one says. */
  more: string;
  /** How a screen reader calls one of them. */
  called: string;
  kitchen: Kitchen;
  /** Where they are in the request. */
  path: string;
  parts: BenchPart[];
  change: (parts: BenchPart[]) => void;
}

/** Foods with their amounts, as many as it takes. */
export function IngredientRows({ more, called, kitchen, path, parts, change }: Props) {
  const { foods } = optionsOf(kitchen);
  // Something must stand there first; garlic goes into most jars.
  const garlic = kitchen.ingredients.find((one) => one.key === 'garlic');
  const put = (place: number, part: BenchPart) => change(parts.with(place, part));

  return (
    <>
      {parts.map((part, place) => (
        <div className="bench-part" key={place}>
          <AmountInput
            asks={{ kind: 'amount', of: 'food', id: part.foodId }}
            name={`${path}.${String(place)}.amount`}
            aria-label={t('bench.amount_of', { what: called, number: String(place + 1) })}
            placeholder={t('bench.example_2_tbsp')}
            value={part.amount ?? ''}
            change={(amount) => put(place, { ...part, amount })}
          />
          <FoodSelect
            kitchen={kitchen}
            label={t('bench.part', { what: called, number: place + 1 })}
            value={part.foodId}
            change={(foodId) => put(place, { ...part, foodId })}
            foods={foods}
          />
          <Button
            type="text"
            aria-label={t('bench.remove', { what: called, number: String(place + 1) })}
            onClick={() => change(parts.filter((_, other) => other !== place))}
          >
            ×
          </Button>
        </div>
      ))}
      <Button
        type="dashed"
        onClick={() => change([...parts, { foodId: (garlic ?? kitchen.ingredients[0])?.id ?? '', amount: '' }])}
      >
        {more}
      </Button>
    </>
  );
}
