import { say, t } from '../../messages/words';
import { Button, Input, Segmented } from 'antd';
import { useOpened } from '../../app/addressState';
import { useDeferredValue, useState } from 'react';
import type { Kitchen } from '../../api/client';
import { useFoodSearch } from '../../api/queries';
import { FoodDrawer } from '../../app/FoodDrawer';
import { mg } from '../../app/numbers';
import { Deed } from '../../app/Deed';

const SHOWN = 30;
const uses = [
  { value: 'all', label: t('foods.use_all') },
  { value: 'vegetable', label: t('foods.use_vegetables') },
  { value: 'seasoning', label: t('foods.use_spices') },
  { value: 'pantry', label: t('foods.use_pantry') },
  { value: 'starter', label: t('foods.use_starters') },
  { value: 'own', label: t('foods.own') },
];

/** Every food with its water and sodium and where they were measured; search forgives spelling. */
export function Foods({ kitchen }: { kitchen: Kitchen }) {
  const [query, setQuery] = useState('');
  const [use, setUse] = useState('all');
  const [all, setAll] = useState(false);
  const { isOpen, thing, open, close } = useOpened('food', kitchen.ingredients);
  const search = useFoodSearch(useDeferredValue(query));
  const isSearching = query.trim() !== '';

  const ofUse = kitchen.ingredients.filter(
    (food) => use === 'all' || (use === 'own' ? food.isOwn || food.isEdited : food.use === use),
  );
  const found = isSearching ? (search.data ?? []).flatMap((id) => ofUse.find((food) => food.id === id) ?? []) : ofUse;
  const shown = all ? found : found.slice(0, SHOWN);

  return (
    <>
      <div className="food-search">
        <Input
          aria-label={t('foods.search')}
          placeholder={t('foods.search_hint')}
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          allowClear
        />
        <Segmented value={use} onChange={setUse} options={uses} aria-label={t('foods.which')} />
      </div>
      {shown.length === 0 && <p className="soft">{t('foods.empty', { isSearching: isSearching })}</p>}
      <ul className="quiet-list foods" aria-label={t('foods.title')}>
        {shown.map((food) => (
          <li key={food.id}>
            <i className="food-dot" style={{ background: food.colour }} aria-hidden="true" />
            <span className="food-name">
              <b>{food.name}</b> <span className="soft">{food.also}</span>
            </span>
            <span className="food-sodium">
              {mg(food.sodiumPer100g)} <span className="soft">{t('foods.per_100')}</span>
            </span>
            <span className="soft food-water">{t('foods.water', { percent: food.waterPer100g.toFixed(1) })}</span>
            <span className="words">
              {food.allergens.map((allergen) => (
                <span key={allergen} className="word">
                  {allergen}
                </span>
              ))}
              {food.live && <span className="word is-live">{t('foods.live')}</span>}
              {food.isEdited && <span className="word">{t('foods.own_value')}</span>}
            </span>
            <span className="soft food-source">{say(food.source)}</span>
            <Deed size="small" onClick={() => open(food)} aria-label={t('foods.edit', { name: food.name })}>
              {t('action.edit')}
            </Deed>
          </li>
        ))}
      </ul>
      <div className="words drawer-part">
        {found.length > shown.length && (
          <Button onClick={() => setAll(true)}>{t('foods.show_more', { count: found.length - shown.length })}</Button>
        )}
        <Deed type="primary" onClick={() => open()}>
          {t('foods.from_label')}
        </Deed>
        <a className="as-button" href="/api/foods/csv" download>
          {t('foods.export')}
        </a>
      </div>
      {isOpen && <FoodDrawer kitchen={kitchen} food={thing} close={close} />}
    </>
  );
}
