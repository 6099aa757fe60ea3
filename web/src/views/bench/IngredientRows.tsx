import { t } from '../../messages/words';
import { Button, Input, Select } from 'antd';
import type { BenchPart, Kitchen } from '../../api/client';
import { optionsOf } from './options';

interface Props {
  /** What the button that adds one says. */
  more: string;
  /** How a screen reader calls one of them. */
  called: string;
  kitchen: Kitchen;
  parts: BenchPart[];
  change: (parts: BenchPart[]) => void;
}

/** Foods with their amounts, as many as it takes. */
export function IngredientRows({ more, called, kitchen, parts, change }: Props) {
  const { foods } = optionsOf(kitchen);
  // Something must stand there first; garlic goes into most jars.
  const garlic = kitchen.ingredients.find((one) => one.key === 'garlic');
  const put = (place: number, part: BenchPart) => change(parts.with(place, part));

  return (
    <>
      {parts.map((part, place) => (
        <div className="bench-part" key={place}>
          <Input
            aria-label={t('bench.amount_of', { what: called, number: String(place + 1) })}
            placeholder={t('bench.example_2_tbsp')}
            data-takes="weight"
            value={part.amount ?? ''}
            onChange={(event) => put(place, { ...part, amount: event.target.value })}
          />
          <Select
            aria-label={t('bench.part', { what: called, number: place + 1 })}
            showSearch={{ optionFilterProp: 'label' }}
            value={part.foodId}
            onChange={(foodId: string) => put(place, { ...part, foodId })}
            options={foods}
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
