import { Button, Segmented, Select } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Intake, IntakeMean } from '../../api/client';
import { useIntake } from '../../api/intake';
import { useKitchen } from '../../api/queries';
import { mg, percent, sodium, sodiumBand } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { byJar, byKind, IntakeChart, type Layer } from '../../drawings/IntakeChart';
import { ImportIntake } from './ImportIntake';
import { targetsBefore } from './targets';
import './IntakeView.css';

const spans = [
  { value: 7, label: '7 days' },
  { value: 28, label: '28 days' },
  { value: 84, label: '12 weeks' },
];

/** Days and weeks of someone against their target: what it came from, and where something live was missing. */
export function IntakeView() {
  const kitchen = useKitchen();
  const [personId, setPersonId] = useState<string | null>(null);
  const [days, setDays] = useState(28);
  const [beside, setBeside] = useState<string | null>(null);
  const [by, setBy] = useState('day');
  const [isByJar, setByJar] = useState(false);
  const [brings, setBrings] = useState(false);
  const people = kitchen.data?.people ?? [];
  const who = personId ?? people[0]?.id ?? null;
  const query = useIntake(
    who === null ? null : { personId: who, days, ...(beside === null ? {} : { beside }) },
  );
  if (!query.data) {
    return <PageState query={query} />;
  }
  const intake = query.data;
  const layers = isByJar ? byJar(intake.sources) : byKind;
  const file = (as: string) =>
    `/api/intake/export?${new URLSearchParams({ as, personId: intake.person.id, from: intake.from, to: intake.to }).toString()}`;

  return (
    <div className="intake">
      <div className="intake-head">
        <h1>Intake</h1>
        <Segmented
          aria-label="Whose"
          value={who ?? ''}
          onChange={setPersonId}
          options={people.map(({ id, name }) => ({ value: id, label: name }))}
        />
        <Segmented
          aria-label="By what"
          value={by}
          onChange={setBy}
          options={[
            { value: 'day', label: 'by day' },
            { value: 'week', label: 'by week' },
          ]}
        />
        <Segmented
          aria-label="Told apart"
          value={isByJar}
          onChange={setByJar}
          options={[
            { value: false, label: 'by kind' },
            { value: true, label: 'by jar' },
          ]}
        />
        <Segmented aria-label="How long" value={days} onChange={setDays} options={spans} />
        <Select
          allowClear
          aria-label="Beside"
          placeholder="beside it…"
          value={beside ?? undefined}
          onChange={(next?: string) => setBeside(next ?? null)}
          options={[
            { value: 'before', label: 'the days before' },
            ...people.filter(({ id }) => id !== who).map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        <span className="intake-does">
          <Link className="as-button" to={`/today/intake/report/${intake.person.id}?days=${String(days)}`}>
            Report
          </Link>
          <a className="as-button" href={file('csv')} download>
            CSV
          </a>
          <a className="as-button" href={file('json')} download>
            JSON
          </a>
          <Button type="text" onClick={() => setBrings(true)}>
            Bring in
          </Button>
        </span>
      </div>
      <IntakeChart
        days={by === 'day' ? intake.days : intake.weeks}
        beside={by === 'day' ? intake.beside?.days : undefined}
        layers={layers}
      />
      <Legend intake={intake} layers={layers} />
      <div className="intake-parts">
        <section aria-label="On average">
          <h2>On average</h2>
          <Mean says={lastDays(intake.mean7.days)} mean={intake.mean7} />
          {intake.mean28.days > intake.mean7.days && (
            <Mean says={lastDays(intake.mean28.days)} mean={intake.mean28} />
          )}
          {intake.mean.days > intake.mean28.days && (
            <Mean says={`all ${String(intake.mean.days)} days`} mean={intake.mean} />
          )}
          {intake.beside && <Mean says={intake.beside.name} mean={intake.beside.mean} />}
          {beside !== null && intake.beside === null && (
            <p className="soft">Nothing was kept of what you set beside it.</p>
          )}
          <p>
            {intake.daysPast === 0
              ? 'On no day past the target.'
              : `On ${String(intake.daysPast)} of ${String(intake.days.length)} days past the target of ${mg(intake.person.targetMg)}${targetsBefore(intake) && ` (${targetsBefore(intake)})`}.`}
          </p>
        </section>
        <section aria-label="Where it came from">
          <h2>Where it came from</h2>
          <ul className="quiet-list intake-sources">
            {intake.sources.map((source) => (
              <li key={source.batchId} style={{ borderColor: source.colour }}>
                <Link to={`/shelf/${source.batchId}`}>{source.name}</Link>
                <i
                  className="intake-source"
                  style={{
                    background: source.colour,
                    width: `${String((source.milligrams / Math.max(1, intake.sources[0]?.milligrams ?? 1)) * 100)}%`,
                  }}
                />
                <span>
                  {source.servings === 1 ? 'once' : `${String(source.servings)} times`},{' '}
                  <b>{mg(Math.round(source.milligrams))}</b>
                </span>
              </li>
            ))}
            {intake.sources.length === 0 && <li>Nothing from a jar in these days.</li>}
          </ul>
        </section>
        <section aria-label="Live">
          <h2>Live</h2>
          <ul className="quiet-list intake-weeks">
            {intake.weeks.map((week) => (
              <li key={week.date}>
                <span>
                  {dayjs(week.date).format('D MMM')} to {dayjs(week.to).format('D MMM')}
                </span>
                <span>
                  {week.live} live, {week.kinds} {week.kinds === 1 ? 'kind' : 'kinds'}; {sodium(week.mean)} a
                  day
                </span>
              </li>
            ))}
          </ul>
          <p>
            {intake.without.length === 0
              ? 'Something live on every day.'
              : `Nothing live on ${String(intake.without.length)} ${intake.without.length === 1 ? 'day' : 'days'}${intake.without.length <= 10 ? `: ${intake.without.map((date) => dayjs(date).format('D MMM')).join(', ')}` : ''}.`}
          </p>
        </section>
      </div>
      <p className="soft">
        A count, not advice: the target is {intake.person.name}’s and their clinician’s (
        {intake.person.targetSource}). Children’s figures go by age. Salt substitutes with potassium can harm
        people with kidney or heart trouble or certain medicines: ask first.
      </p>
      {brings && <ImportIntake close={() => setBrings(false)} />}
    </div>
  );
}

const lastDays = (days: number): string => (days === 1 ? 'one day' : `last ${String(days)} days`);

function Legend({ intake, layers }: { intake: Intake; layers: Layer[] }) {
  const shares = layers.map((layer) => layer.all(intake));
  const all = Math.max(
    1,
    shares.reduce((sum, one) => sum + one, 0),
  );

  return (
    <ul className="quiet-list intake-legend">
      {layers.map((layer, i) => (
        <li key={layer.key}>
          <i style={{ background: layer.colour }} /> {layer.says}{' '}
          <b>{percent(((shares[i] ?? 0) / all) * 100)}</b>
        </li>
      ))}
      <li>
        <i className="is-line" /> target
      </li>
      <li>
        <i className="is-ring" /> nothing live
      </li>
      {intake.beside && (
        <li>
          <i className="is-beside" /> {intake.beside.name}
        </li>
      )}
    </ul>
  );
}

function Mean({ says, mean }: { says: string; mean: IntakeMean }) {
  const band = sodiumBand(mean.sodium);
  return (
    <p className="intake-mean">
      <span className="soft">{says}</span>
      <b className={mean.percent > 100 ? 'figure over' : 'figure'}>{sodium(mean.sodium)}</b>
      <span className="soft">
        a day{band && `, ${band}`}, {percent(mean.percent)} of the target
      </span>
    </p>
  );
}
