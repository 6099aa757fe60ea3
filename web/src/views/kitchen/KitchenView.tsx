import { useState } from 'react';
import type { Kitchen } from '../../api/client';
import { useKitchen } from '../../api/queries';
import { PageState } from '../../app/PageState';
import { Foods } from './Foods';
import { House } from './House';
import { Jars } from './Jars';
import { People } from './People';
import { Rooms } from './Rooms';
import { Salts } from './Salts';
import './KitchenView.css';

const cupboards = [
  { id: 'people', name: 'People', Inside: People },
  { id: 'salts', name: 'Salts', Inside: Salts },
  { id: 'jars', name: 'Jars and weights', Inside: Jars },
  { id: 'foods', name: 'Foods', Inside: Foods },
  { id: 'rooms', name: 'Rooms', Inside: Rooms },
  { id: 'house', name: 'House', Inside: House },
] as const;

/** What the cook owns and who eats here: one cupboard open at a time. */
export function KitchenView() {
  const kitchen = useKitchen();
  const [open, setOpen] = useState<string>(() => location.hash.slice(1) || 'people');
  if (!kitchen.data) {
    return <PageState query={kitchen} />;
  }
  const cupboard = cupboards.find((one) => one.id === open) ?? cupboards[0];

  return (
    <div className="kitchen">
      <div className="cupboards" role="tablist" aria-label="Cupboards">
        {cupboards.map((one) => (
          <button
            key={one.id}
            type="button"
            role="tab"
            id={`door-${one.id}`}
            aria-selected={one.id === cupboard.id}
            aria-controls="cupboard"
            className="cupboard-door"
            onClick={() => {
              setOpen(one.id);
              history.replaceState(null, '', `#${one.id}`);
            }}
          >
            {one.name}
            <span className="soft">{inside(one.id, kitchen.data)}</span>
          </button>
        ))}
      </div>
      <div id="cupboard" role="tabpanel" aria-labelledby={`door-${cupboard.id}`} className="cupboard">
        <cupboard.Inside kitchen={kitchen.data} />
      </div>
    </div>
  );
}

/** What stands behind a door, in a word or two. */
function inside(id: (typeof cupboards)[number]['id'], kitchen: Kitchen): string {
  switch (id) {
    case 'people':
      return `${kitchen.people.length} eat here`;
    case 'salts': {
      const weighed = kitchen.salts.filter((salt) => salt.isCalibrated).length;
      return weighed === 0
        ? `${kitchen.salts.length}, none weighed`
        : `${kitchen.salts.length}, ${weighed} weighed`;
    }
    case 'jars':
      return `${kitchen.jars.reduce((sum, jar) => sum + jar.howMany, 0)} jars`;
    case 'foods':
      return `${kitchen.ingredients.length} known`;
    case 'rooms':
      return 'how warm it is';
    case 'house':
      return kitchen.name;
  }
}
