import { complain } from '../../app/complain';
import { joined, named, say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button } from 'antd';
import { notices } from '../../app/notices';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Batch } from '../../api/client';
import { useBatch, useSodiumCourse, useEmptyJar } from '../../api/queries';
import { grams, sodium, sodiumBand } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { Advice } from '../../app/Advice';
import { SodiumChart } from '../../drawings/SodiumChart';
import { JarDrawing } from '../../drawings/JarDrawing';
import { PieceKinds } from '../../drawings/PieceKinds';
import { SaltFlow } from '../../drawings/SaltFlow';
import { useOpened } from '../../app/addressState';
import { days } from '../shelf/days';
import { BatchHistory } from './BatchHistory';
import { EmptyDrawer } from './EmptyDrawer';
import { Lineage } from './Lineage';
import { ServePanel } from './ServePanel';
import { JarSettings } from './JarSettings';
import { phaseWords, streamColour, streamWords } from './words';
import { PortionsOffer } from './PortionsOffer';
import { RecordEvent } from './RecordEvent';
import { useTitle } from '../../app/title';
import { Deed, May } from '../../app/Deed';
import './BatchView.css';

/** One jar: what is in it, where its salt is and was, and who eats from it. */
export function BatchView() {
  const { batchId = '' } = useParams();
  const batch = useBatch(batchId);
  useTitle(batch.data?.name);
  if (!batch.data) {
    return <PageState query={batch} />;
  }
  return <Whole key={batchId} batch={batch.data} />;
}

function Whole({ batch }: { batch: Batch }) {
  const widest = batch.contributions[0];

  return (
    <div className="batch">
      <div>
        <div className="batch-jar">
          <JarDrawing
            jar={batch.jar}
            scale={1.55}
            label={t('batch.drawing', { name: batch.name })}
            seed={batch.id}
            showsLevels={!batch.jar.isGuessed}
          />
        </div>
        <Tag batch={batch} />
      </div>
      <div>
        <h1>{batch.name}</h1>
        <p className="soft">
          {say(batch.methodLabel)}
          {batch.strength && `, ${say(batch.strength)}`};{' '}
          {batch.jarName ?? (batch.method === 'bought' || !batch.isFood ? t('batch.own_jar') : t('batch.no_jar'))},{' '}
          {say(batch.placeLabel)}, {days(batch.dayCount)}
        </p>
        <section aria-label={t('batch.sodium_per_100')}>
          <div className="phases">
            {batch.phases.map((phase) => (
              <div key={phase.phase} className="phase" style={{ borderColor: streamColour(batch, phase.phase) }}>
                {phaseWords[phase.phase]}, {grams(phase.grams)}
                <span className="figure" data-testid={`${phase.phase}-per-100g`}>
                  {sodium(phase.per100g)}
                </span>
                <span className="soft">{t('batch.phase_per_100', { band: sodiumBand(phase.per100g) || 'none' })}</span>
              </div>
            ))}
          </div>
          <PieceKinds kinds={batch.kinds} colour={batch.colour} />
          <Advice advice={batch.advice} />
          {batch.phases.length === 0 && <p className="soft">{t('batch.empty')}</p>}
        </section>
        <Making batch={batch} />
        <PortionsOffer batchId={batch.id} />
        <Eating batch={batch} />
        <section aria-label={t('batch.over_time')}>
          <OverTime batch={batch} />
          {widest && widest.sharePercent > 30 && (
            <p className="soft">
              {t('batch.band', {
                percent: Math.round(widest.sharePercent),
                what: say(widest.label),
                how: say(widest.remedy) ?? 'none',
              })}
            </p>
          )}
        </section>
        <Flow batch={batch} />
        <Lineage batch={batch} />
      </div>
      <aside>
        <May>
          <RecordEvent batch={batch} />
        </May>
        <BatchHistory batch={batch} />
      </aside>
    </div>
  );
}

/** What is still to be done in making it. */
function Making({ batch }: { batch: Batch }) {
  const next = batch.nextStep;
  if (next === null) {
    return null;
  }
  return (
    <section className="making" aria-label={say(batch.stageLabel)}>
      <p>
        <b>{t('counter.next', { step: say(next.label), time: when(next.dueAt, 'weekdayClock') })}</b>
      </p>
      <May needs="log">
        <Link className="as-button is-filled" to={`/counter/${batch.id}`}>
          {t('counter.go_on')}
        </Link>
      </May>
    </section>
  );
}

/** Serving from it; what is no food yet can be written down all the same. */
function Eating({ batch }: { batch: Batch }) {
  const [isWritten, setIsWritten] = useState(false);
  if (!batch.isFood) {
    return <p>{t('method_note.spare_brine')}</p>;
  }
  return (
    <>
      {batch.meant && (
        <p className="meant" data-testid="meant">
          {t('serve.meant', {
            grams: grams(batch.meant.grams),
            day: when(batch.meant.on, 'weekdayDate'),
            sodium: sodium(batch.meant.sodium),
          })}{' '}
          <span className="soft">{t('serve.meant_why', { why: say(batch.meant.why) })}</span>
        </p>
      )}
      {!batch.isFoodNow && (
        <p>
          {t('serve.not_yet', { stage: say(batch.stageLabel) })}{' '}
          {batch.phases.length > 0 && !isWritten && (
            <Button onClick={() => setIsWritten(true)}>{t('serve.ate_some')}</Button>
          )}
        </p>
      )}
      {batch.isFoodNow && batch.servingsLeft === 0 && batch.emptiedOn === null && batch.phases.length > 0 && (
        <section className="making" aria-label={t('ending.last')}>
          <p>
            <b>{t('ending.last')}</b>
          </p>
          <Ending batch={batch} />
        </section>
      )}
      {(batch.isFoodNow || isWritten) && <ServePanel batch={batch} />}
    </>
  );
}

/** Opens what is asked at the end of a jar. */
function Ending({ batch, isText = false }: { batch: Batch; isText?: boolean }) {
  const { isOpen, open, close } = useOpened(isText ? 'ending' : 'last');
  return (
    <>
      <Deed type={isText ? 'text' : 'primary'} onClick={() => open()}>
        {t('ending.open')}
      </Deed>
      <EmptyDrawer batch={batch} isOpen={isOpen} close={close} />
    </>
  );
}

/** What hangs on the jar: its days, and what one does with the jar as a whole. */
function Tag({ batch }: { batch: Batch }) {
  const empty = useEmptyJar();
  const on = (date: string | null | undefined) => (date ? when(date, 'short') : null);
  const restore = () =>
    empty.mutate(
      { batch: batch.id, isEmptied: false },
      {
        onSuccess: () => notices.done(t('batch.restored_done')),
        onError: (refusal) => complain(refusal, 8),
      },
    );

  return (
    <div className="batch-tag">
      <dl>
        <dt>{batch.method === 'bought' ? t('batch.opened') : t('batch.started')}</dt>
        <dd>{on(batch.startedOn)}</dd>
        {on(batch.window?.youngOn) && (
          <>
            <dt>{t('batch.taste_from')}</dt>
            <dd>{on(batch.window?.youngOn)}</dd>
          </>
        )}
        {on(batch.window?.readyOn) && (
          <>
            <dt>{t('batch.ready')}</dt>
            <dd>
              {on(batch.window?.readyOn)}
              {on(batch.window?.longOn) && ` – ${on(batch.window?.longOn) ?? ''}`}
            </dd>
          </>
        )}
        <dt>{t('batch.stands')}</dt>
        <dd>{say(batch.placeLabel)}</dd>
        <dt>{t('batch.cultures')}</dt>
        <dd>{t('batch.cultures_are', { isLive: batch.isLive })}</dd>
        {batch.allergens.length > 0 && (
          <>
            <dt>{t('batch.contains')}</dt>
            <dd>{joined(batch.allergens.map((one) => named('allergen', one)))}</dd>
          </>
        )}
        {batch.emptiedOn !== null && (
          <>
            <dt>{t('batch.emptied')}</dt>
            <dd>{on(batch.emptiedOn)}</dd>
          </>
        )}
      </dl>
      <div className="words">
        <Link className="as-button" to={`/shelf/${batch.id}/check`}>
          {t('batch.check')}
        </Link>
        <Link className="as-button" to={`/shelf/${batch.id}/log`}>
          {t('batch.log')}
        </Link>
        {batch.emptiedOn === null && <JarSettings batch={batch} />}
        <Link className="as-button" to={`/labels?batches=${batch.id}`}>
          {t('batch.label')}
        </Link>
        {batch.emptiedOn === null ? (
          <Ending batch={batch} isText />
        ) : (
          <Deed type="text" loading={empty.isPending} onClick={restore}>
            {t('batch.restore')}
          </Deed>
        )}
      </div>
    </div>
  );
}

/** The sodium of its parts from the first day to some days ahead. */
function OverTime({ batch }: { batch: Batch }) {
  const course = useSodiumCourse(batch.id);
  if (!course.data || course.data.moments.length < 2) {
    return null;
  }
  const { moments, now } = course.data;
  const lines = (['pieces', 'brine', 'sauce'] as const)
    .map((phase) => ({
      name: phaseWords[phase],
      colour: streamColour(batch, phase),
      values: moments.map((moment) => moment[`${phase}Per100g`]),
    }))
    .filter((line) => line.values.some((value) => value !== null));

  return (
    <SodiumChart
      moments={moments.map(({ at }) => Date.parse(at))}
      now={Date.parse(now)}
      lines={lines}
      marks={marksOf(batch)}
    />
  );
}

/** Moments at which something was done to it, each once. */
const marksOf = (batch: Batch): number[] => [
  ...new Set(
    batch.entries
      .filter((entry) => !entry.isReversed && entry.reversesId === null)
      .map((entry) => Date.parse(entry.happenedAt)),
  ),
];

function Flow({ batch }: { batch: Batch }) {
  const streams = (side: Batch['flow']['from']) =>
    side.map(({ name, sodiumMg }) => ({
      name: streamWords[name] ?? name,
      sodiumMg,
      colour: streamColour(batch, name),
    }));

  return (
    <section aria-label={t('batch.salt_flow')}>
      <h2>{t('batch.salt_flow')}</h2>
      <SaltFlow from={streams(batch.flow.from)} to={streams(batch.flow.to)} jar={batch.name} />
    </section>
  );
}
