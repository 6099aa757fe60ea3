import { App, Button } from 'antd';
import dayjs from 'dayjs';
import { Link, useNavigate, useParams } from 'react-router';
import type { Batch } from '../../api/client';
import { useBatch, useSodiumCourse, useEmptyJar } from '../../api/queries';
import { grams, percent, sodium, sodiumBand } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { Advice } from '../../app/Advice';
import { SodiumChart } from '../../drawings/SodiumChart';
import { JarDrawing } from '../../drawings/JarDrawing';
import { SaltFlow } from '../../drawings/SaltFlow';
import { days } from '../shelf/days';
import { BatchHistory } from './BatchHistory';
import { Lineage } from './Lineage';
import { ServePanel } from './ServePanel';
import { JarSettings } from './JarSettings';
import { phaseWords, streamColour, streamWords } from './words';
import { RecordEvent } from './RecordEvent';
import './BatchView.css';

/** One jar: what is in it, where its salt is and was, and who eats from it. */
export function BatchView() {
  const { batchId = '' } = useParams();
  const batch = useBatch(batchId);
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
          {batch.jar && (
            <JarDrawing
              jar={batch.jar}
              scale={1.55}
              label={`${batch.name}, drawn`}
              seed={batch.id}
              showsLevels
            />
          )}
        </div>
        <Tag batch={batch} />
      </div>
      <div>
        <h1>{batch.name}</h1>
        <p className="soft">
          {batch.methodLabel}
          {batch.strengthPercent !== null &&
            `, ${percent(batch.strengthPercent)} ${batch.strengthBasis}`};{' '}
          {batch.jarName ?? (batch.method === 'bought' ? 'in its own jar' : 'no jar')}, {batch.placeLabel},{' '}
          {days(batch.dayCount)}
        </p>
        <section aria-label="Sodium in 100 g">
          <div className="phases">
            {batch.phases.map((phase) => (
              <div
                key={phase.phase}
                className="phase"
                style={{ borderColor: streamColour(batch, phase.phase) }}
              >
                {phaseWords[phase.phase]}, {grams(phase.grams)}
                <span className="figure" data-testid={`${phase.phase}-per-100g`}>
                  {sodium(phase.per100g)}
                </span>
                <span className="soft">
                  sodium in 100 g{sodiumBand(phase.per100g) && `; ${sodiumBand(phase.per100g)}`}
                </span>
              </div>
            ))}
          </div>
          <Advice advice={batch.advice} />
          {batch.phases.length === 0 && <p className="soft">Nothing is left in it.</p>}
          <OverTime batch={batch} />
          {widest && widest.sharePercent > 30 && (
            <p className="soft">
              The band comes mostly ({Math.round(widest.sharePercent)} %) from {widest.label}.
              {widest.remedy && ` To narrow it: ${widest.remedy}.`}
            </p>
          )}
        </section>
        <ServePanel batch={batch} />
        <Flow batch={batch} />
        <Lineage batch={batch} />
      </div>
      <aside>
        <RecordEvent batch={batch} />
        <BatchHistory batch={batch} />
      </aside>
    </div>
  );
}

/** What hangs on the jar: its days, and what one does with the jar as a whole. */
function Tag({ batch }: { batch: Batch }) {
  const { message } = App.useApp();
  const empty = useEmptyJar();
  const navigate = useNavigate();
  const on = (date: string | null | undefined) => (date ? dayjs(date).format('D MMM') : null);
  const put = (isEmptied: boolean) =>
    empty.mutate(
      { batch: batch.id, isEmptied },
      {
        onSuccess: () => {
          void message.success(
            isEmptied ? 'The jar is empty and free again.' : 'Back on the shelf, with what was in it.',
          );
          void navigate(isEmptied ? '/shelf' : `/shelf/${batch.id}`);
        },
        onError: (refusal) => void message.error(refusal.of('isEmptied') ?? refusal.message, 8),
      },
    );

  return (
    <div className="batch-tag">
      <dl>
        <dt>{batch.method === 'bought' ? 'opened' : 'started'}</dt>
        <dd>{on(batch.startedOn)}</dd>
        {on(batch.window?.youngOn) && (
          <>
            <dt>look on</dt>
            <dd>{on(batch.window?.youngOn)}</dd>
          </>
        )}
        {on(batch.window?.readyOn) && (
          <>
            <dt>ready</dt>
            <dd>
              {on(batch.window?.readyOn)}
              {on(batch.window?.longOn) && ` – ${on(batch.window?.longOn) ?? ''}`}
            </dd>
          </>
        )}
        <dt>stands</dt>
        <dd>{batch.placeLabel}</dd>
        <dt>cultures</dt>
        <dd>{batch.isLive ? 'live' : 'not live'}</dd>
        {batch.allergens.length > 0 && (
          <>
            <dt>contains</dt>
            <dd>{batch.allergens.join(', ')}</dd>
          </>
        )}
        {batch.emptiedOn !== null && (
          <>
            <dt>emptied</dt>
            <dd>{on(batch.emptiedOn)}</dd>
          </>
        )}
      </dl>
      <div className="words">
        <Link className="as-button" to={`/shelf/${batch.id}/check`}>
          Check it
        </Link>
        <Link className="as-button" to={`/shelf/${batch.id}/log`}>
          Log
        </Link>
        {batch.emptiedOn === null && <JarSettings batch={batch} />}
        <Link className="as-button" to={`/labels?batches=${batch.id}`}>
          Label
        </Link>
        <Button type="text" loading={empty.isPending} onClick={() => put(batch.emptiedOn === null)}>
          {batch.emptiedOn === null ? 'Empty the jar' : 'Put it back'}
        </Button>
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
    <section aria-label="Where the salt went">
      <h2>Where the salt went</h2>
      <SaltFlow from={streams(batch.flow.from)} to={streams(batch.flow.to)} jar={batch.name} />
    </section>
  );
}
