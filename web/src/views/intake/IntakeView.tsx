import { joined, say, t, T } from '../../messages/words';
import { when } from '../../messages/dates';
import { Segmented } from 'antd';
import { Choice } from '../../app/Choice';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Intake, IntakeAverage } from '../../api/client';
import { useIntake } from '../../api/intake';
import { useSavePerson } from '../../api/kitchen';
import { useHouse } from '../../api/queries';
import { complain } from '../../app/complain';
import { mg, percent, sodium, sodiumBand, sodiumWithBand } from '../../app/numbers';
import { useAddressFlag, useAddressState, useOpened } from '../../app/addressState';
import { PageState } from '../../app/PageState';
import { Deed } from '../../app/Deed';
import { CultureThreads, type Tolerance } from '../../drawings/CultureThreads';
import { byJar, byKind, IntakeChart, type Layer } from '../../drawings/IntakeChart';
import { ImportIntake } from './ImportIntake';
import { targetsBefore } from './targets';
import './IntakeView.css';

const spans = [
  { value: 7, label: t('intake.days_7') },
  { value: 28, label: t('intake.days_28') },
  { value: 84, label: t('intake.weeks_12') },
];

/** Days and weeks of someone against their target: what it came from, and where something live was missing. */
export function IntakeView() {
  const kitchen = useHouse();
  const [personId, setPersonId] = useAddressState('of', '');
  const [span, setSpan] = useAddressState('days', '28');
  const days = spans.some(({ value }) => String(value) === span) ? Number(span) : 28;
  const [beside, setBeside] = useState<string | null>(null);
  const [by, setBy] = useAddressState('by', 'day');
  const [isByJar, setByJar] = useAddressFlag('jars');
  const bring = useOpened('import');
  const people = kitchen.data?.people ?? [];
  const who = people.find(({ id }) => id === personId)?.id ?? people[0]?.id ?? null;
  const query = useIntake(who === null ? null : { personId: who, days, ...(beside === null ? {} : { beside }) });
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
        <h1>{t('intake.title')}</h1>
        <Segmented
          aria-label={t('intake.whose')}
          value={who ?? ''}
          onChange={setPersonId}
          options={people.map(({ id, name }) => ({ value: id, label: name }))}
        />
        <Segmented
          aria-label={t('intake.by')}
          value={by}
          onChange={setBy}
          options={[
            { value: 'day', label: t('intake.by_day') },
            { value: 'week', label: t('intake.by_week') },
          ]}
        />
        <Segmented
          aria-label={t('intake.apart')}
          value={isByJar}
          onChange={setByJar}
          options={[
            { value: false, label: t('intake.by_kind') },
            { value: true, label: t('intake.by_jar') },
          ]}
        />
        <Segmented
          aria-label={t('intake.span')}
          value={days}
          onChange={(next: number) => setSpan(String(next))}
          options={spans}
        />
        <Choice
          allowClear
          aria-label={t('intake.compare')}
          placeholder={t('intake.compare_hint')}
          value={beside ?? undefined}
          onChange={(next?: string) => setBeside(next ?? null)}
          options={[
            { value: 'before', label: t('intake.days_before') },
            ...people.filter(({ id }) => id !== who).map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        <span className="intake-does">
          <Link className="as-button" to={`/today/intake/report/${intake.person.id}?days=${String(days)}`}>
            {t('intake.report')}
          </Link>
          <a className="as-button" href={file('csv')} download>
            {t('intake.csv')}
          </a>
          <a className="as-button" href={file('json')} download>
            {t('intake.json')}
          </a>
          <Deed type="text" onClick={() => bring.open()}>
            {t('action.import')}
          </Deed>
        </span>
      </div>
      <IntakeChart
        days={by === 'day' ? intake.days : intake.weeks}
        beside={by === 'day' ? intake.beside?.days : undefined}
        layers={layers}
      />
      <Legend intake={intake} layers={layers} />
      <div className="intake-parts">
        <section aria-label={t('intake.average')}>
          <h2>{t('intake.average')}</h2>
          <Mean says={lastDays(intake.mean7.days)} mean={intake.mean7} />
          {intake.mean28.days > intake.mean7.days && <Mean says={lastDays(intake.mean28.days)} mean={intake.mean28} />}
          {intake.mean.days > intake.mean28.days && (
            <Mean says={t('intake.all_days', { count: intake.mean.days })} mean={intake.mean} />
          )}
          {intake.beside && <Mean says={say(intake.beside.name)} mean={intake.beside.mean} />}
          {beside !== null && intake.beside === null && <p className="soft">{t('intake.compare_none')}</p>}
          <p>
            {intake.daysPast === 0
              ? t('intake.never_over')
              : t('intake.over', {
                  over: intake.daysPast,
                  days: intake.days.length,
                  target: mg(intake.person.targetMg),
                  before: targetsBefore(intake) || 'none',
                })}
          </p>
        </section>
        <section aria-label={t('intake.sources')}>
          <h2>{t('intake.sources')}</h2>
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
                  {t('intake.times', { count: source.servings })}, <b>{mg(Math.round(source.milligrams))}</b>
                </span>
              </li>
            ))}
            {intake.sources.length === 0 && <li>{t('intake.no_jars')}</li>}
          </ul>
        </section>
        <section aria-label={t('intake.live')}>
          <h2>{t('intake.live')}</h2>
          <ul className="quiet-list intake-weeks">
            {intake.weeks.map((week) => (
              <li key={week.date}>
                <span>{t('intake.span_days', { from: when(week.date, 'short'), to: when(week.to, 'short') })}</span>
                <span>{t('intake.week_live', { live: week.live, kinds: week.kinds, mean: sodium(week.mean) })}</span>
              </li>
            ))}
          </ul>
          <p>
            {intake.without.length === 0
              ? t('intake.always_live')
              : t('intake.without', {
                  days: intake.without.length,
                  which:
                    intake.without.length <= 10 ? joined(intake.without.map((date) => when(date, 'short'))) : 'none',
                })}
          </p>
        </section>
      </div>
      <section aria-label={t('threads.title')} className="intake-threads">
        <h2>{t('threads.title')}</h2>
        {intake.cultures.kinds.length === 0 ? <p>{t('threads.none')}</p> : <Threads intake={intake} />}
        <p className="soft">{t('threads.caution')}</p>
      </section>
      <p className="soft">
        {t('intake.caution', { name: intake.person.name, source: say(intake.person.targetSource) })}
      </p>
      {bring.isOpen && <ImportIntake close={bring.close} />}
    </div>
  );
}

/** The threads of someone, each of which they can mark. */
function Threads({ intake }: { intake: Intake }) {
  const kitchen = useHouse();
  const save = useSavePerson(intake.person.id);
  const person = kitchen.data?.people.find(({ id }) => id === intake.person.id);
  const mark = (group: string, tolerance: Tolerance | null) => {
    if (person === undefined) {
      return;
    }
    const others = Object.fromEntries(Object.entries(person.tolerances).filter(([one]) => one !== group));
    save.mutate(
      {
        version: person.version,
        tolerances: tolerance === null ? others : { ...others, [group]: tolerance },
      },
      { onError: (refusal) => complain(refusal) },
    );
  };

  return <CultureThreads cultures={intake.cultures} name={intake.person.name} mark={mark} />;
}

const lastDays = (days: number): string => (days === 1 ? t('intake.one_day') : t('intake.last_days', { days: days }));

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
          <i style={{ background: layer.colour }} /> {layer.says} <b>{percent(((shares[i] ?? 0) / all) * 100)}</b>
        </li>
      ))}
      <li>
        <T m="intake.legend_target" v={{ x0: <i className="is-line" /> }} />
      </li>
      <li>
        <T m="intake.legend_no_live" v={{ x0: <i className="is-ring" /> }} />
      </li>
      {intake.beside && (
        <li>
          <i className="is-beside" /> {say(intake.beside.name)}
        </li>
      )}
    </ul>
  );
}

function Mean({ says, mean }: { says: string; mean: IntakeAverage }) {
  const band = sodiumBand(mean.sodium);
  return (
    <p className="intake-mean">
      <span className="soft">{says}</span>
      <b className={mean.percent > 100 ? 'figure over' : 'figure'}>{sodium(mean.sodium)}</b>
      <span className="soft">{t('intake.mean', { percent: percent(mean.percent), band: band || 'none' })}</span>
      <span className="soft">
        {t('intake.mean_parts', {
          jars: sodiumWithBand(mean.jars),
          rest: sodiumWithBand(mean.rest),
        })}
      </span>
    </p>
  );
}
