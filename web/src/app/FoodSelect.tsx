import { Button } from 'antd';
import { Choice } from './Choice';
import { useDeferredValue, useState } from 'react';
import type { Kitchen } from '../api/client';
import { useFoodSearch } from '../api/queries';
import { t } from '../messages/words';
import { FoodDrawer } from './FoodDrawer';

interface Props {
  kitchen: Kitchen;
  /** Which of them can be chosen here. */
  foods: { value: string; label: string }[];
  value: string | null;
  change: (id: string) => void;
  label: string;
  id?: string;
  className?: string;
  style?: React.CSSProperties;
}

/** A food, found by whatever people call it; one that is not there can be added on the spot. */
export function FoodSelect({ kitchen, foods, value, change, label, ...box }: Props) {
  const [query, setQuery] = useState('');
  const [adding, setAdding] = useState<string | null>(null);
  const search = useFoodSearch(useDeferredValue(query));
  const isSearching = query.trim() !== '';
  const found = (search.data ?? []).flatMap((id) => foods.find((food) => food.value === id) ?? []);
  // Water and salts are no foods of the pantry; they are found by their names.
  const others = foods.filter(
    ({ value: one, label: name }) =>
      kitchen.ingredients.every(({ id }) => id !== one) && name.toLowerCase().includes(query.trim().toLowerCase()),
  );
  const shown = isSearching ? [...others, ...found] : foods;

  return (
    <>
      <Choice
        {...box}
        aria-label={label}
        showSearch={{ filterOption: false, onSearch: setQuery }}
        value={value}
        onChange={(id: string) => {
          setQuery('');
          change(id);
        }}
        options={shown}
        notFoundContent={
          isSearching && !search.isFetching ? (
            <Button
              type="dashed"
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => setAdding(query.trim())}
            >
              {t('foods.add_named', { name: query.trim() })}
            </Button>
          ) : null
        }
      />
      {adding !== null && (
        <FoodDrawer
          kitchen={kitchen}
          food={null}
          name={adding}
          added={(id) => {
            setQuery('');
            change(id);
          }}
          close={() => setAdding(null)}
        />
      )}
    </>
  );
}
