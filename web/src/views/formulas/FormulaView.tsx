import { App, Button, Input, InputNumber, Segmented, Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Formula, Place } from '../../api/client';
import {
  usePlaces,
  useArchiveFormula,
  useFormula,
  useKitchen,
  useStartFromFormula,
  useCreateFormula,
  type FormulaScale,
} from '../../api/queries';
import { useFormulaSavings } from '../../api/intake';
import { grams, mg } from '../../app/numbers';
import { Savings } from '../../app/Savings';
import { PageState } from '../../app/PageState';
import { FormulaResult } from './FormulaResult';
import { time } from './time';
import './FormulaView.css';

/** A formula: what goes in at the wanted scale, how it is made, and what a portion means for each member. */
export function FormulaView() {
  const { formulaId = '' } = useParams();
  const [search] = useSearchParams();
  const [scale, setScale] = useState<FormulaScale>(() => {
    const jarId = search.get('jarId');
    return jarId === null ? { by: 'as_written' } : { by: 'jar', jarId };
  });
  const asked = useDeferredValue(scale);
  const formula = useFormula(formulaId, ready(asked) ? asked : { by: 'as_written' });
  const [last, setLast] = useState<Formula | null>(null);
  if (formula.data && formula.data !== last) {
    setLast(formula.data);
  }
  const shown = formula.data ?? last;
  if (!shown) {
    return <PageState query={formula} />;
  }

  return (
    <article className="formula">
      <header className="formula-head">
        <div>
          <h1>{shown.name}</h1>
          <p className="soft">{shown.summary}</p>
          <Provenance formula={shown} />
        </div>
        <Doings formula={shown} />
      </header>
      <div className="formula-body">
        <section aria-label="What goes in">
          <ScaleBar scale={scale} change={setScale} refusal={formula.error} />
          <Amounts formula={shown} />
          <Lighter formula={shown} />
          <StartBar formula={shown} scale={ready(scale) ? scale : { by: 'as_written' }} />
        </section>
        <section aria-label="How it is made" className="formula-work">
          <h2>{shown.methodLabel}</h2>
          <ol>
            {shown.work.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ol>
          <Texts title="Done when" texts={shown.signs} />
          <dl className="formula-facts">
            <dt>Ready</dt>
            <dd>
              after {time(shown.window.readyDays)} at {shown.window.celsius} °C; young after{' '}
              {time(shown.window.youngDays)}, long after {time(shown.window.longDays)}
            </dd>
            <dt>Vessel</dt>
            <dd>
              {Math.round(shown.vessel.nominalMl)} ml, {shown.vessel.cover}, {shown.vessel.headspaceMm} mm
              free
              {shown.vessel.holdDown && `; ${shown.vessel.holdDown.toLowerCase()}`}
            </dd>
            {shown.keeping && (
              <>
                <dt>Keeps</dt>
                <dd>{shown.keeping.text || time(shown.keeping.days)}</dd>
              </>
            )}
          </dl>
          <Texts title="Why" texts={shown.why} />
          <Texts title="Where cooks differ" texts={shown.schools} />
          <Texts title="Notes" texts={shown.notes} />
        </section>
        <FormulaResult worked={shown} />
      </div>
    </article>
  );
}

/** Whether a scale says everything it needs. */
function ready(scale: FormulaScale): boolean {
  return {
    as_written: true,
    jar: scale.jarId !== undefined,
    vegetable: (scale.amount ?? '') !== '',
    servings: scale.servings !== undefined,
    sodium: scale.sodiumMg !== undefined,
  }[scale.by];
}

function Texts({ title, texts }: { title: string; texts: string[] }) {
  return texts.length === 0 ? null : (
    <>
      <h3>{title}</h3>
      <ul>
        {texts.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </>
  );
}

interface ScaleProps {
  scale: FormulaScale;
  change: (scale: FormulaScale) => void;
  refusal: { of: (field: string) => string | undefined } | null;
}

function ScaleBar({ scale, change, refusal }: ScaleProps) {
  const kitchen = useKitchen();
  const complaint = ['by', 'jarId', 'amount', 'servings', 'sodiumMg']
    .map((field) => refusal?.of(field))
    .find(Boolean);

  return (
    <div className="scale-bar">
      <Segmented
        aria-label="Scale by"
        value={scale.by}
        onChange={(by) => change({ ...scale, by })}
        options={[
          { value: 'as_written' as const, label: 'as written' },
          { value: 'jar' as const, label: 'a jar' },
          { value: 'vegetable' as const, label: 'weight' },
          { value: 'servings' as const, label: 'servings' },
          { value: 'sodium' as const, label: 'sodium' },
        ]}
      />
      {scale.by === 'jar' && (
        <Select
          aria-label="Jar to fill"
          placeholder="which jar"
          value={scale.jarId}
          onChange={(jarId) => change({ ...scale, jarId })}
          options={(kitchen.data?.jars ?? []).map((jar) => ({ value: jar.id, label: jar.name }))}
        />
      )}
      {scale.by === 'vegetable' && (
        <Input
          aria-label="Weight of the vegetable"
          placeholder="900 g, or 2 lb"
          value={scale.amount ?? ''}
          onChange={(event) => change({ ...scale, amount: event.target.value })}
        />
      )}
      {scale.by === 'servings' && (
        <InputNumber
          aria-label="Servings"
          value={scale.servings ?? null}
          onChange={(servings) => change(servings === null ? { by: 'servings' } : { ...scale, servings })}
          suffix="servings"
        />
      )}
      {scale.by === 'sodium' && (
        <InputNumber
          aria-label="Sodium in a serving"
          value={scale.sodiumMg ?? null}
          onChange={(sodiumMg) => change(sodiumMg === null ? { by: 'sodium' } : { ...scale, sodiumMg })}
          suffix="mg in a serving"
        />
      )}
      {scale.by === 'sodium' && (
        <p className="soft scale-say">
          The portion changes, never the salt in the jar: salt is part of the safety.
        </p>
      )}
      {complaint && (
        <p className="complaint" role="alert">
          {complaint}
        </p>
      )}
    </div>
  );
}

const parts: Record<string, string> = {
  vegetables: 'vegetable',
  base: 'base',
  add: 'base',
  water: 'water',
  'fresh water': 'to freshen',
  salt: 'salt',
  starter: 'starter',
  brine: 'brine',
  alongside: 'salted along',
  paste: 'paste',
  additions: 'at the end',
};

function Amounts({ formula }: { formula: Formula }) {
  const kitchen = useKitchen();
  const [shows, setShows] = useState<'grams' | 'spoons' | null>(null);
  const unit = shows ?? kitchen.data?.measureBy ?? 'grams';

  return (
    <>
      <table className="amounts">
        <caption>
          <Segmented
            aria-label="Units"
            value={unit}
            onChange={setShows}
            options={[
              { value: 'grams' as const, label: 'grams' },
              { value: 'spoons' as const, label: 'cups and spoons' },
            ]}
          />
          {formula.factor !== 1 && (
            <span className="soft">{Math.round(formula.factor * 100) / 100} times</span>
          )}
        </caption>
        <tbody>
          {formula.lines.map((line, i) => {
            const part = parts[line.part] ?? line.part;
            const above = formula.lines[i - 1]?.part;
            const isNew = above === undefined || (parts[above] ?? above) !== part;
            return (
              <tr key={`${line.name}-${i}`} className={isNew ? 'is-part' : ''}>
                <td className="soft">{isNew ? part : ''}</td>
                <td>
                  <b>{unit === 'grams' ? grams(line.grams) : line.measure}</b>
                </td>
                <td>
                  {line.name}
                  {line.cut && `, ${line.cut}`}{' '}
                  <span className="soft">{unit === 'grams' ? line.measure : grams(line.grams)}</span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="soft">
        makes {grams(formula.makesGrams)}, {formula.servings} servings of {grams(formula.serving.grams)}
      </p>
    </>
  );
}

/** What would bring a serving under a wanted sodium. */
function Lighter({ formula }: { formula: Formula }) {
  const [milligrams, setMilligrams] = useState(140);
  const savings = useFormulaSavings(formula.id, milligrams);

  return (
    <section aria-label="Less sodium" className="lighter">
      <label>
        A serving of at most{' '}
        <InputNumber
          aria-label="Milligrams wanted"
          min={10}
          max={2000}
          value={milligrams}
          suffix="mg"
          onChange={(value) => setMilligrams(value ?? 140)}
        />
      </label>
      <div className="words">
        {formula.members.map((member) => (
          <Button
            key={member.personId}
            onClick={() => setMilligrams(Math.round(member.targetMg / 10))}
          >{`a tenth of ${member.name}’s ${mg(member.targetMg)}`}</Button>
        ))}
      </div>
      {savings.data && <Savings found={savings.data} />}
      <p className="soft">
        140 mg in a serving is “low sodium” on labels. Its salt stays at what is safe for it: with less,
        spoilage bacteria can win.
      </p>
    </section>
  );
}

function StartBar({ formula, scale }: { formula: Formula; scale: FormulaScale }) {
  const kitchen = useKitchen();
  const start = useStartFromFormula(formula.id);
  const navigate = useNavigate();
  const planned = useSearchParams()[0].get('planned');
  const places = usePlaces();
  const [place, setPlace] = useState<Place>('counter');
  const [jar, setJar] = useState<string | null>(null);
  const large = (kitchen.data?.jars ?? [])
    .filter((one) => one.nominalMl >= formula.vessel.nominalMl * 0.95)
    .toSorted((a, b) => a.nominalMl - b.nominalMl);
  const fits = large.find((one) => one.howMany > one.inUse) ?? large[0];
  const into = scale.by === 'jar' ? scale.jarId : (jar ?? fits?.id);

  return (
    <div className="start-bar">
      <Select
        aria-label="Into"
        value={into ?? ''}
        disabled={scale.by === 'jar'}
        onChange={setJar}
        options={[
          ...(kitchen.data?.jars ?? []).map((one) => ({
            value: one.id,
            label: `${one.name}, ${Math.max(0, one.howMany - one.inUse)} free`,
          })),
          { value: '', label: 'no jar' },
        ]}
      />
      <Select
        aria-label="Place"
        value={place}
        onChange={setPlace}
        options={places.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <Button
        type="primary"
        loading={start.isPending}
        onClick={() =>
          start.mutate(
            {
              ...scale,
              intoJarId: into || null,
              name: formula.name,
              place,
              startedOn: null,
              plannedBatchId: planned,
            },
            {
              onSuccess: (batch) => {
                void navigate(`/shelf/${batch.id}`);
              },
            },
          )
        }
      >
        Start the jar
      </Button>
      {start.error && (
        <p className="complaint" role="alert">
          {Object.values(start.error.fields)[0]?.[0] ?? start.error.message}
        </p>
      )}
    </div>
  );
}

/** Where it comes from, and the jars that were made from it with the version they keep. */
function Provenance({ formula }: { formula: Formula }) {
  const note = formula.versions.find(({ number }) => number === formula.version)?.note;

  return (
    <p className="soft formula-from">
      {formula.isLibrary ? 'From the library, version' : 'Version'} {formula.version}
      {note && `: ${note}`}
      {formula.isCorrected && '; the library has corrected its own since'}
      {formula.batches.length > 0 && '; made as '}
      {formula.batches.map((batch, i) => (
        <span key={batch.id}>
          {i > 0 && ', '}
          <Link to={`/shelf/${batch.id}`}>
            {batch.name}
            {batch.version !== formula.newest && ` (version ${batch.version})`}
          </Link>
        </span>
      ))}
    </p>
  );
}

function Doings({ formula }: { formula: Formula }) {
  const archive = useArchiveFormula(formula.id);
  const copy = useCreateFormula();
  const navigate = useNavigate();
  const { message } = App.useApp();

  return (
    <div className="formula-do">
      <Button onClick={() => void navigate(`/formulas/${formula.id}/change`)}>Change</Button>
      <Button
        loading={copy.isPending}
        onClick={() =>
          copy.mutate(
            { ...formula.document, name: `${formula.name}, a copy` },
            { onSuccess: (made) => void navigate(`/formulas/${made.id}/change`) },
          )
        }
      >
        Copy
      </Button>
      <Button
        onClick={() =>
          archive.mutate(!formula.isArchived, {
            onSuccess: (one) =>
              void message.info(one.isArchived ? 'In the archive.' : 'Back from the archive.'),
          })
        }
      >
        {formula.isArchived ? 'Out of the archive' : 'Archive'}
      </Button>
      <Button onClick={() => window.print()}>Print</Button>
      <a className="as-button" href={`/api/formulas/export?as=jsonld&ids[]=${formula.id}`} download>
        as recipe
      </a>
    </div>
  );
}
