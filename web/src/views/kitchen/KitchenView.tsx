import { t } from '../../messages/words';
import { useLocation, useNavigate } from 'react-router';
import type { Kitchen } from '../../api/client';
import { useKitchen } from '../../api/queries';
import { PageState } from '../../app/PageState';
import { Foods } from './Foods';
import { House } from './House';
import { Jars } from './Jars';
import { People } from './People';
import { Rooms } from './Rooms';
import { Salts } from './Salts';
import { Sharing } from './Sharing';
import './KitchenView.css';

const cupboards = [
  { id: 'people', name: t('kitchen.people'), Inside: People },
  { id: 'salts', name: t('kitchen.salts'), Inside: Salts },
  { id: 'jars', name: t('kitchen.jars'), Inside: Jars },
  { id: 'foods', name: t('kitchen.foods'), Inside: Foods },
  { id: 'rooms', name: t('kitchen.rooms'), Inside: Rooms },
  { id: 'house', name: t('kitchen.house'), Inside: House },
  { id: 'sharing', name: t('kitchen.sharing'), Inside: Sharing },
] as const;

/** What the cook owns and who eats here: one cupboard open at a time. */
export function KitchenView() {
  const kitchen = useKitchen();
  const { hash } = useLocation();
  const navigate = useNavigate();
  const open = hash.slice(1) || 'people';
  const setOpen = (id: string) => void navigate(`#${id}`, { replace: true });
  const { data } = kitchen;
  if (!data) {
    return <PageState query={kitchen} />;
  }
  const cupboard = cupboards.find((one) => one.id === open) ?? cupboards[0];

  return (
    <div className="kitchen">
      <h1 className="only-heard">{t('nav.kitchen')}</h1>
      <div
        className="cupboards"
        role="tablist"
        aria-label={t('kitchen.sections')}
        onKeyDown={(event) => {
          const at = cupboards.findIndex(({ id }) => `door-${id}` === (event.target as Element).id);
          const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: cupboards.length - 1 }[event.key];
          const next = to === undefined ? undefined : cupboards[(to + cupboards.length) % cupboards.length];
          if (next) {
            event.preventDefault();
            setOpen(next.id);
            document.getElementById(`door-${next.id}`)?.focus();
          }
        }}
      >
        {cupboards.map((one) => (
          <button
            key={one.id}
            type="button"
            role="tab"
            id={`door-${one.id}`}
            aria-selected={one.id === cupboard.id}
            tabIndex={one.id === cupboard.id ? 0 : -1}
            aria-controls="cupboard"
            className="cupboard-door"
            onClick={() => setOpen(one.id)}
          >
            {one.name}
            <span className="soft">{inside(one.id, data)}</span>
          </button>
        ))}
      </div>
      <div id="cupboard" role="tabpanel" aria-labelledby={`door-${cupboard.id}`} className="cupboard">
        <cupboard.Inside kitchen={data} />
      </div>
    </div>
  );
}

/** What stands behind a door, in a word or two. */
function inside(id: (typeof cupboards)[number]['id'], kitchen: Kitchen): string {
  switch (id) {
    case 'people':
      return t('kitchen.people_count', { count: kitchen.people.length });
    case 'salts': {
      const weighed = kitchen.salts.filter((salt) => salt.isCalibrated).length;
      return weighed === 0
        ? t('kitchen.salts_none', { count: kitchen.salts.length })
        : t('kitchen.salts_weighed', { count: kitchen.salts.length, weighed });
    }
    case 'jars':
      return t('kitchen.jars_count', { count: kitchen.jars.reduce((sum, jar) => sum + jar.howMany, 0) });
    case 'foods':
      return t('kitchen.foods_count', { count: kitchen.ingredients.length });
    case 'rooms':
      return t('kitchen.rooms_about');
    case 'house':
      return kitchen.name;
    case 'sharing':
      return t('kitchen.sharing_about');
  }
}
