import { App, Button, InputNumber, Select } from 'antd';
import dayjs from 'dayjs';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import type { KindAhead, Suggestion, Timeline } from '../../api/client';
import { useLetBatchBe, usePlanBatch, useShopping, useTimeline, type WhatIf } from '../../api/planning';
import { grams } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { TimelineLanes } from '../../drawings/TimelineLanes';
import { RotationDrawer } from '../week/RotationDrawer';
import './TimelineView.css';

const day = (date: string): string => dayjs(date).format('ddd, D MMM');

/** Keeping the shelf full: jars as lanes through the weeks, what runs out, and what to start by when. */
export function TimelineView() {
  const [whatIf, setWhatIf] = useState<WhatIf>({});
  const query = useTimeline(useDeferredValue(whatIf));
  const [showsRotation, setShowsRotation] = useState(false);
  if (!query.data) {
    return <PageState query={query} />;
  }
  const ahead = query.data;
  const isTried = whatIf.jarId !== undefined || (whatIf.warmer ?? 0) !== 0;

  return (
    <div className="ahead">
      <div className="ahead-head">
        <h1>The weeks ahead</h1>
        <span className={ahead.gapDays > 0 ? 'ahead-gaps is-open' : 'ahead-gaps'} data-testid="gap-days">
          {ahead.kinds.length === 0 ? '' : daysWithout(ahead.gapDays)}
        </span>
        <span className="ahead-does">
          <Link className="as-button" to="/shelf">
            The shelf now
          </Link>
          <Button onClick={() => setShowsRotation(true)}>Rotation</Button>
        </span>
      </div>
      <div className="what-if">
        <label>
          One more
          <Select
            allowClear
            aria-label="One more jar"
            placeholder="jar"
            value={whatIf.jarId}
            onChange={(jarId?: string) => setWhatIf({ ...whatIf, jarId })}
            options={ahead.jars.map((jar) => ({ value: jar.id, label: jar.name }))}
          />
        </label>
        <label>
          A room warmer by
          <InputNumber
            aria-label="Degrees warmer"
            value={whatIf.warmer ?? 0}
            min={-15}
            max={15}
            suffix="°C"
            onChange={(warmer) => setWhatIf({ ...whatIf, warmer: warmer ?? 0 })}
          />
        </label>
        {isTried && (
          <span role="status">
            {ahead.gapDays === ahead.gapDaysAsItIs
              ? `That changes nothing: ${daysWithout(ahead.gapDays)}.`
              : `${daysWithout(ahead.gapDays)} instead of ${String(ahead.gapDaysAsItIs)}.`}{' '}
            <Button type="text" onClick={() => setWhatIf({})}>
              Back to how it is
            </Button>
          </span>
        )}
      </div>
      {ahead.kinds.length === 0 && (
        <p>
          Nothing comes round yet.{' '}
          <Button onClick={() => setShowsRotation(true)}>Say what should never run out</Button> and Tempesal
          says what to start when.
        </p>
      )}
      <TimelineLanes ahead={ahead} />
      <div className="ahead-parts">
        <section aria-label="What to start">
          <h2>What to start</h2>
          <ToStart ahead={ahead} isTried={isTried} />
        </section>
        <section aria-label="What comes round">
          <h2>How long it lasts</h2>
          <ul className="quiet-list lasts">
            {ahead.kinds.map((kind) => (
              <Lasts key={kind.id} kind={kind} />
            ))}
          </ul>
        </section>
        <ShoppingList />
      </div>
      {showsRotation && <RotationDrawer close={() => setShowsRotation(false)} />}
    </div>
  );
}

const daysWithout = (days: number): string =>
  days === 0 ? 'no day without' : `${String(days)} ${days === 1 ? 'day' : 'days'} without something`;

function ToStart({ ahead, isTried }: { ahead: Timeline; isTried: boolean }) {
  const { message } = App.useApp();
  const plan = usePlanBatch();
  const letBe = useLetBatchBe();
  const accept = (one: Suggestion) => {
    if (one.formulaId !== null) {
      plan
        .mutateAsync({
          formulaId: one.formulaId,
          lineId: one.lineId,
          jarId: one.jarId,
          startOn: one.startOn,
          share: one.share,
        })
        .then(
          () => void message.success(`Planned: ${one.name}. It is called for on ${day(one.startOn)}.`),
          (refusal: { message: string }) => void message.error(refusal.message),
        );
    }
  };

  return (
    <ul className="quiet-list to-start-list">
      {ahead.planned.map((one) => (
        <li key={one.id} className="is-planned">
          <span>
            <b>{day(one.startOn)}</b> {one.name}, {one.jarName}, planned
          </span>
          <Link className="as-button" to={`/formulas/${one.formulaId}?jarId=${one.jarId}&planned=${one.id}`}>
            Start it
          </Link>
          <Button
            type="text"
            aria-label={`Let ${one.name} be`}
            onClick={() => {
              letBe
                .mutateAsync(one.id)
                .catch((refusal: { message: string }) => void message.error(refusal.message));
            }}
          >
            Let it be
          </Button>
        </li>
      ))}
      {ahead.suggestions.map((one) => (
        <li key={one.lotId} style={{ borderColor: one.colour }}>
          <span>
            by <b>{day(one.startOn)}</b>: {one.name}, {one.jarName}
            {one.share < 0.995 && `, ${String(Math.round(one.share * 100))} % full`};{' '}
            {grams(Math.round(one.grams))}, ready {day(one.readyOn)}
          </span>
          {!isTried && (
            <Button
              aria-label={`Plan ${one.name} for ${day(one.startOn)}`}
              loading={plan.isPending}
              onClick={() => accept(one)}
            >
              Plan it
            </Button>
          )}
        </li>
      ))}
      {ahead.planned.length + ahead.suggestions.length === 0 && <li>Nothing has to be started.</li>}
    </ul>
  );
}

function Lasts({ kind }: { kind: KindAhead }) {
  return (
    <li style={{ borderColor: kind.colour }}>
      <p>
        <b>{kind.name}</b>, {grams(Math.round(kind.gramsAWeek))} a week
        {kind.leadDays !== null && `, ${String(kind.leadDays)} days to make`}
        {!kind.isInSeason && ', not in season now'}
      </p>
      <p className="soft">
        {kind.runsOutOn === null
          ? 'As things stand it lasts for all of these weeks.'
          : `As things stand it runs out on ${day(kind.runsOutOn)}${kind.startBy === null ? '' : `; start the next by ${day(kind.startBy)}`}.`}
      </p>
      {kind.gaps.map((gap) => (
        <p key={gap.from} className="complaint">
          {gap.days === 1 ? `None on ${day(gap.from)}` : `None from ${day(gap.from)} to ${day(gap.to)}`}.{' '}
          {gap.reason}
        </p>
      ))}
    </li>
  );
}

function ShoppingList() {
  const shopping = useShopping();
  if (!shopping.data || shopping.data.batches.length === 0) {
    return null;
  }

  return (
    <section aria-label="To buy">
      <div className="section-head">
        <h2>To buy this week</h2>
        <span>
          <a className="as-button" href="/api/timeline/shopping?as=text" download>
            As text
          </a>
          <a className="as-button" href="/api/timeline/shopping?as=csv" download>
            As CSV
          </a>
        </span>
      </div>
      <ul className="quiet-list buying">
        {shopping.data.lines.map((line) => (
          <li key={line.name}>
            <span>{line.name}</span> <b>{grams(line.grams)}</b>
          </li>
        ))}
      </ul>
      <p className="soft">
        For{' '}
        {shopping.data.batches.map((batch) => `${batch.name} in a ${batch.jarName.toLowerCase()}`).join(', ')}
        .
      </p>
    </section>
  );
}
