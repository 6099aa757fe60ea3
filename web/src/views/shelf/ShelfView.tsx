import { Link } from 'react-router';
import type { ShelfBatch } from '../../api/client';
import { useShelf } from '../../api/queries';
import { grams, mg, percent } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { JarDrawing } from '../../drawings/JarDrawing';
import { days } from './days';
import './ShelfView.css';

const places = [
  { id: 'counter', name: 'On the counter' },
  { id: 'cool', name: 'In the cool place' },
  { id: 'fridge', name: 'In the fridge' },
] as const;

const SCALE = 1.06;

/** Every started jar where it stands, all in one proportion. */
export function ShelfView() {
  const shelf = useShelf();
  if (!shelf.data) {
    return <PageState query={shelf} />;
  }
  const { batches } = shelf.data;
  if (batches.length === 0) {
    return (
      <div className="page-state">
        <h1>An empty shelf</h1>
        <p>
          A head of cabbage, a jar and some salt are enough for the first one.{' '}
          <Link to="/bench">Go to the bench.</Link>
        </p>
      </div>
    );
  }

  return (
    <div className="boards">
      {places.map((place) => {
        const here = batches.filter((batch) => batch.place === place.id);
        return here.length === 0 ? null : <Board key={place.id} name={place.name} batches={here} />;
      })}
    </div>
  );
}

function Board({ name, batches }: { name: string; batches: ShelfBatch[] }) {
  return (
    <section className="board" aria-label={name}>
      <h2>{name}</h2>
      <div className="board-jars">
        {batches.map((batch) => (
          <JarOnBoard key={batch.id} batch={batch} />
        ))}
      </div>
    </section>
  );
}

function JarOnBoard({ batch }: { batch: ShelfBatch }) {
  const strength =
    batch.strengthPercent === null ? '' : `${percent(batch.strengthPercent)} ${batch.strengthBasis}`;
  const width = Math.max(150, batch.name.length * 7.4 + 16, (batch.jar?.bodyMm ?? 90) * SCALE + 40);

  return (
    <Link to={`/shelf/${batch.id}`} className="board-jar" style={{ width }}>
      {batch.jar && (
        <span style={{ position: 'relative' }}>
          <JarDrawing
            jar={batch.jar}
            scale={SCALE}
            label={`${batch.jarName ?? 'Jar'}, ${strength}`}
            seed={batch.id}
          />
          <span className="tag" style={{ left: '50%', top: '46%' }}>
            {days(batch.dayCount)}
          </span>
        </span>
      )}
      <span className="board-name">
        <b>{batch.name}</b>
        <span className="soft">
          {batch.servingsLeft === 0
            ? `${grams(batch.gramsLeft)} left`
            : `${batch.servingsLeft} servings left`}
          <br />
          {mg(Math.round(batch.sodiumPer100g / 10) * 10)} in 100 g
        </span>
      </span>
    </Link>
  );
}
