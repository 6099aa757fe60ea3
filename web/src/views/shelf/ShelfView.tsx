import { say, t, T } from '../../messages/words';
import { Input, Segmented } from 'antd';
import { Link } from 'react-router';
import type { EmptyJar, ShelfBatch } from '../../api/client';
import { usePlaces, useShelf } from '../../api/queries';
import { useAddressState, useOpened } from '../../app/addressState';
import { capitalised } from '../../app/sentence';
import { grams, mg, percent } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { Deed } from '../../app/Deed';
import { JarDrawing } from '../../drawings/JarDrawing';
import { putOnBench } from '../bench/draft';
import { AddBoughtJar } from './AddBoughtJar';
import { days } from './days';
import { moveAlong } from './moveAlong';
import './ShelfView.css';

const filters = {
  all: { says: t('shelf.all'), keeps: () => true },
  wanting: { says: t('shelf.needs_attention'), keeps: (batch: ShelfBatch) => batch.attention !== null },
  ready: { says: t('shelf.ready'), keeps: (batch: ShelfBatch) => batch.isReady },
} as const;

type Filter = keyof typeof filters;

const SCALE = 1.06;

/** A name that is longer than so many pixels takes two lines. */
const LONG_NAME = 224;

/** Up to this rank it is more than a day's chore. */
const PRESSING = 20;

/** Every jar where it stands, all in one proportion, those that ask for something first; then those that are free. */
export function ShelfView() {
  const shelf = useShelf();
  const [which, setFilter] = useAddressState('show', 'all');
  const filter = which in filters ? (which as Filter) : 'all';
  const [sought, setSought] = useAddressState('find', '');
  const bought = useOpened('bought');
  const places = usePlaces();
  if (!shelf.data) {
    return <PageState query={shelf} />;
  }
  const { batches, emptyJars } = shelf.data;
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = batches
    .filter(filters[filter].keeps)
    .filter((batch) =>
      words.every((word) =>
        `${batch.name} ${say(batch.methodLabel)} ${batch.jarName ?? ''}`.toLowerCase().includes(word),
      ),
    );

  return (
    <div>
      {batches.length > 0 && <h1 className="only-heard">{t('nav.shelf')}</h1>}
      {batches.length === 0 ? (
        <div className="page-state">
          <h1>{t('shelf.empty_title')}</h1>
          <p>
            <T m="shelf.empty_about" v={{ a0: (c) => <Link to="/bench">{c}</Link> }} />
          </p>
          <Deed onClick={() => bought.open()}>{t('shelf.add_bought')}</Deed>
        </div>
      ) : (
        <div className="shelf-head">
          <Input
            aria-label={t('shelf.search')}
            placeholder={t('shelf.search_hint')}
            allowClear
            value={sought}
            onChange={(event) => setSought(event.target.value)}
          />
          <Segmented
            aria-label={t('shelf.which')}
            value={filter}
            onChange={setFilter}
            options={(Object.keys(filters) as Filter[]).map((one) => ({
              value: one,
              label: t('shelf.filter', {
                name: filters[one].says,
                count: batches.filter(filters[one].keeps).length,
              }),
            }))}
          />
          <Link className="as-button" to="/shelf/ahead" title={t('shelf.ahead_hint')}>
            {t('nav.weeks_ahead')}
          </Link>
          <Link className="as-button" to="/labels">
            {t('labels.title')}
          </Link>
          <Deed type="text" onClick={() => bought.open()}>
            {t('shelf.add_bought')}
          </Deed>
        </div>
      )}
      {bought.isOpen && <AddBoughtJar close={bought.close} />}
      {batches.length > 0 && shown.length === 0 && <p className="soft">{t('shelf.no_match')}</p>}
      <div className="boards" onKeyDown={moveAlong}>
        {places.map((place) => {
          const here = shown.filter((batch) => batch.place === place.id);
          return here.length === 0 ? null : (
            <section key={place.id} className="board" aria-label={capitalised(say(place.label))}>
              <h2>{capitalised(say(place.label))}</h2>
              <div className="board-jars">
                {here.map((batch) => (
                  <JarOnBoard key={batch.id} batch={batch} />
                ))}
              </div>
            </section>
          );
        })}
        {filter === 'all' && words.length === 0 && emptyJars.length > 0 && (
          <section className="board is-empty" aria-label={t('shelf.empty_jars')}>
            <h2>{t('shelf.empty')}</h2>
            <div className="board-jars">
              {emptyJars.map((jar) => (
                <FreeJar key={jar.jarId} jar={jar} />
              ))}
            </div>
          </section>
        )}
      </div>
    </div>
  );
}

function JarOnBoard({ batch }: { batch: ShelfBatch }) {
  const strength = batch.strength ? `, ${say(batch.strength)}` : '';
  const width = Math.max(158, Math.min(LONG_NAME, batch.name.length * 7.4 + 16), batch.jar.bodyMm * SCALE + 40);

  return (
    <Link to={`/shelf/${batch.id}`} className="board-jar" style={{ width }}>
      <span style={{ position: 'relative' }}>
        <JarDrawing
          jar={batch.jar}
          scale={SCALE}
          label={`${batch.jarName ?? t('shelf.jar')}${strength}`}
          seed={batch.id}
        />
        <span className={`tag${batch.attention ? ' is-asking' : ''}`} style={{ left: '50%', top: '46%' }}>
          {days(batch.dayCount)}
        </span>
      </span>
      <span className="board-name">
        <b>{batch.name}</b>
        <span className="soft">
          {batch.isFood
            ? t('shelf.left', {
                servings: batch.servingsLeft,
                grams: grams(batch.gramsLeft),
                sodium: mg(Math.round(batch.sodiumPer100g / 10) * 10),
              })
            : t('shelf.brine', { grams: grams(batch.gramsLeft), percent: percent(batch.liquidPercent ?? 0) })}
        </span>
        {batch.attention && (
          <span className={`board-asks${batch.attention.rank <= PRESSING ? ' is-pressing' : ''}`}>
            {say(batch.attention.text)}
          </span>
        )}
      </span>
    </Link>
  );
}

function FreeJar({ jar }: { jar: EmptyJar }) {
  return (
    <Link
      to="/bench"
      className="board-jar"
      style={{ width: Math.max(128, jar.picture.bodyMm * SCALE + 26) }}
      onClick={() => putOnBench(jar.jarId)}
    >
      <JarDrawing jar={jar.picture} scale={SCALE} label={t('shelf.empty_jar', { name: jar.name })} seed={jar.jarId} />
      <span className="board-name">
        <b>{jar.name}</b>
        <span className="soft">{t('shelf.free', { count: jar.free })}</span>
      </span>
    </Link>
  );
}
