import { named, say, t } from '../../messages/words';
import { Button, Segmented } from 'antd';
import { notices } from '../../app/notices';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Begin, Formula, Place } from '../../api/client';
import {
  usePlaces,
  useArchiveFormula,
  useFormula,
  useHouse,
  useKitchen,
  useStartFromFormula,
  useCreateFormula,
  type FormulaScale,
} from '../../api/queries';
import { useFormulaSavings } from '../../api/intake';
import { Kept } from '../../api/change';
import { complain } from '../../app/complain';
import { NumberBox } from '../../app/NumberBox';
import { degrees, grams, length, mg, ml } from '../../app/numbers';
import { Savings } from '../../app/Savings';
import { PageState } from '../../app/PageState';
import { FormulaResult } from './FormulaResult';
import { time } from './time';
import { useTitle } from '../../app/title';
import './FormulaView.css';
import { AmountInput } from '../../app/AmountInput';
import { Deed } from '../../app/Deed';

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
  useTitle(shown?.name);
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
        <section aria-label={t('formula.ingredients')}>
          <ScaleBar mainFood={shown.mainFood} scale={scale} change={setScale} refusal={formula.error} />
          <Amounts formula={shown} />
          <Lighter formula={shown} />
          <StartBar formula={shown} scale={ready(scale) ? scale : { by: 'as_written' }} />
        </section>
        <section aria-label={t('formula.steps')} className="formula-work">
          <h2>{say(shown.methodLabel)}</h2>
          <ol>
            {shown.work.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ol>
          <Texts title={t('formula.done_when')} texts={shown.signs} />
          <dl className="formula-facts">
            <dt>{t('formula.ready')}</dt>
            <dd>
              {t('formula.window', {
                ready: time(shown.window.readyDays),
                temperature: degrees(shown.window.celsius),
                young: time(shown.window.youngDays),
                long: time(shown.window.longDays),
              })}
            </dd>
            <dt>{t('formula.vessel')}</dt>
            <dd>
              {t('formula.vessel_line', {
                ml: ml(shown.vessel.nominalMl),
                cover: named('cover', shown.vessel.cover),
                headspace: length(shown.vessel.headspaceMm),
                weight: shown.vessel.holdDown ?? 'none',
              })}
            </dd>
            {shown.keeping && (
              <>
                <dt>{t('formula.keeps')}</dt>
                <dd>{say(shown.keeping.text) || time(shown.keeping.days)}</dd>
              </>
            )}
          </dl>
          <Texts title={t('formula.why')} texts={shown.why} />
          <Texts title={t('formula.differ')} texts={shown.schools} />
          <Texts title={t('formula.notes')} texts={shown.notes} />
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
  /** The key of what is weighed. */
  mainFood: string | null;
  scale: FormulaScale;
  change: (scale: FormulaScale) => void;
  refusal: { of: (field: string) => string | undefined } | null;
}

function ScaleBar({ mainFood, scale, change, refusal }: ScaleProps) {
  const kitchen = useKitchen();
  const food = kitchen.data?.ingredients.find((one) => one.key === mainFood);
  const complaint = ['by', 'jarId', 'amount', 'servings', 'sodiumMg'].map((field) => refusal?.of(field)).find(Boolean);

  return (
    <div className="scale-bar">
      <Segmented
        aria-label={t('formula.scale_by')}
        value={scale.by}
        onChange={(by) => change({ ...scale, by })}
        options={[
          { value: 'as_written' as const, label: t('formula.as_written') },
          { value: 'jar' as const, label: t('formula.by_jar') },
          { value: 'vegetable' as const, label: t('formula.by_weight') },
          { value: 'servings' as const, label: t('formula.by_servings') },
          { value: 'sodium' as const, label: t('formula.by_sodium') },
        ]}
      />
      {scale.by === 'jar' && (
        <Choice
          aria-label={t('formula.jar_to_fill')}
          placeholder={t('formula.which_jar')}
          value={scale.jarId}
          onChange={(jarId) => change({ ...scale, jarId })}
          options={(kitchen.data?.jars ?? []).map((jar) => ({ value: jar.id, label: jar.name }))}
        />
      )}
      {scale.by === 'vegetable' && (
        <AmountInput
          asks={{ kind: 'amount', ...(food && { of: 'food', id: food.id }) }}
          aria-label={t('formula.vegetable_weight')}
          placeholder={t('formula.weight_example')}
          value={scale.amount ?? ''}
          change={(amount) => change({ ...scale, amount })}
        />
      )}
      {scale.by === 'servings' && (
        <NumberBox
          aria-label={t('formula.servings')}
          value={scale.servings ?? null}
          onChange={(servings) => change(servings === null ? { by: 'servings' } : { ...scale, servings })}
          suffix={t('unit.servings')}
        />
      )}
      {scale.by === 'sodium' && (
        <NumberBox
          aria-label={t('formula.serving_sodium')}
          value={scale.sodiumMg ?? null}
          onChange={(sodiumMg) => change(sodiumMg === null ? { by: 'sodium' } : { ...scale, sodiumMg })}
          suffix={t('formula.mg_serving')}
        />
      )}
      {scale.by === 'sodium' && <p className="soft scale-say">{t('formula.portion_note')}</p>}
      <Complaint>{complaint}</Complaint>
    </div>
  );
}

const parts: Record<string, string> = {
  vegetables: t('formula.part_vegetable'),
  base: t('formula.part_base'),
  add: t('formula.part_base'),
  water: t('formula.part_water'),
  'fresh water': t('formula.part_freshen'),
  salt: t('formula.part_salt'),
  starter: t('formula.part_starter'),
  brine: t('formula.part_brine'),
  alongside: t('formula.part_alongside'),
  paste: t('formula.part_paste'),
  additions: t('formula.part_end'),
};

function Amounts({ formula }: { formula: Formula }) {
  const kitchen = useHouse();
  const [shows, setShows] = useState<'grams' | 'spoons' | null>(null);
  const unit = shows ?? kitchen.data?.measureBy ?? 'grams';

  return (
    <>
      <table className="amounts">
        <caption>
          <Segmented
            aria-label={t('formula.units')}
            value={unit}
            onChange={setShows}
            options={[
              { value: 'grams' as const, label: t('formula.grams') },
              { value: 'spoons' as const, label: t('formula.cups') },
            ]}
          />
          {formula.factor !== 1 && (
            <span className="soft">{t('formula.times', { factor: Math.round(formula.factor * 100) / 100 })}</span>
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
                  <b>{unit === 'grams' ? grams(line.grams) : say(line.measure)}</b>
                </td>
                <td>
                  {line.name}
                  {line.cut && `, ${named('shape', line.cut)}`}{' '}
                  <span className="soft">{unit === 'grams' ? say(line.measure) : grams(line.grams)}</span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="soft">
        {t('formula.makes', {
          grams: grams(formula.makesGrams),
          count: formula.servings,
          serving: grams(formula.serving.grams),
        })}
      </p>
    </>
  );
}

/** What would bring a serving under a wanted sodium. */
function Lighter({ formula }: { formula: Formula }) {
  const [milligrams, setMilligrams] = useState(140);
  const savings = useFormulaSavings(formula.id, milligrams);

  return (
    <section aria-label={t('formula.less_sodium')} className="lighter">
      <label>
        {t('formula.at_most')}{' '}
        <NumberBox
          aria-label={t('formula.mg_wanted')}
          min={10}
          max={2000}
          value={milligrams}
          suffix={t('unit.mg')}
          onChange={(value) => setMilligrams(value ?? 140)}
        />
      </label>
      <div className="words">
        {formula.members.map((member) => (
          <Button key={member.personId} onClick={() => setMilligrams(Math.round(member.targetMg / 10))}>
            {t('formula.tenth', { name: member.name, target: mg(member.targetMg) })}
          </Button>
        ))}
      </div>
      {savings.data && <Savings found={savings.data} />}
      <p className="soft">{t('formula.low_sodium', { hasFloor: formula.strength.floorPercent > 0 })}</p>
    </section>
  );
}

function StartBar({ formula, scale }: { formula: Formula; scale: FormulaScale }) {
  const kitchen = useHouse();
  const start = useStartFromFormula(formula.id);
  const navigate = useNavigate();
  const planned = useSearchParams()[0].get('planned');
  const places = usePlaces();
  const [place, setPlace] = useState<Place>(formula.place);
  const [jar, setJar] = useState<string | null>(null);
  const large = (kitchen.data?.jars ?? [])
    .filter((one) => one.nominalMl >= formula.vessel.nominalMl * 0.95)
    .toSorted((a, b) => a.nominalMl - b.nominalMl);
  const fits = large.find((one) => one.howMany > one.inUse) ?? large[0];
  const into = scale.by === 'jar' ? scale.jarId : (jar ?? fits?.id);
  const begin = (hasOneMore: boolean, how: Begin = 'now') =>
    start.mutate(
      {
        ...scale,
        intoJarId: into || null,
        hasOneMore,
        name: formula.name,
        place,
        startedOn: null,
        plannedBatchId: planned,
        begin: how,
      },
      {
        onSuccess: (batch) => void navigate(how === 'counter' ? `/counter/${batch.id}` : `/shelf/${batch.id}`),
        onError: (refusal) => {
          if (refusal instanceof Kept) {
            complain(refusal);
            void navigate('/shelf');
          }
        },
      },
    );

  return (
    <div className="start-bar">
      <Choice
        aria-label={t('formula.into')}
        value={into ?? ''}
        disabled={scale.by === 'jar'}
        onChange={setJar}
        options={[
          ...(kitchen.data?.jars ?? []).map((one) => ({
            value: one.id,
            label: t('bench.jar_free', { jar: one.name, free: Math.max(0, one.howMany - one.inUse) }),
          })),
          { value: '', label: t('formula.no_jar') },
        ]}
      />
      <Choice
        aria-label={t('formula.place')}
        value={place}
        onChange={setPlace}
        options={places.map(({ id, name }) => ({ value: id, label: say(name) }))}
      />
      <Deed type="primary" loading={start.isPending} onClick={() => begin(false)}>
        {t('formula.start')}
      </Deed>
      <Deed loading={start.isPending} onClick={() => begin(false, 'counter')}>
        {t('counter.start')}
      </Deed>
      {start.error && (
        <p className="complaint" role="alert">
          {start.error.sentence}{' '}
          {start.error.of('intoJarId') && into && (
            <Deed size="small" onClick={() => begin(true)}>
              {t('bench.one_more')}
            </Deed>
          )}
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
      {t('formula.version', {
        isLibrary: formula.isLibrary,
        version: formula.version,
        note: say(note) ?? 'none',
        isCorrected: formula.isCorrected,
      })}
      {formula.batches.length > 0 && <> · {t('formula.made_as')} </>}
      {formula.batches.map((batch, i) => (
        <span key={batch.id}>
          {i > 0 && ', '}
          <Link to={`/shelf/${batch.id}`}>
            {batch.version === formula.newest
              ? batch.name
              : t('formula.of_version', { name: batch.name, version: batch.version })}
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

  return (
    <div className="formula-do">
      <Deed onClick={() => void navigate(`/formulas/${formula.id}/edit`)}>{t('action.edit')}</Deed>
      <Deed
        loading={copy.isPending}
        onClick={() =>
          copy.mutate(
            { ...formula.document, name: t('formula.copy_name', { name: formula.name }) },
            { onSuccess: (made) => void navigate(`/formulas/${made.id}/edit`) },
          )
        }
      >
        {t('action.copy')}
      </Deed>
      <Deed
        onClick={() =>
          archive.mutate(!formula.isArchived, {
            onSuccess: (one) => notices.note(one.isArchived ? t('formula.archived') : t('formula.unarchived')),
          })
        }
      >
        {formula.isArchived ? t('formula.unarchive') : t('formula.archive')}
      </Deed>
      <Button onClick={() => window.print()}>{t('action.print')}</Button>
      <a className="as-button" href={`/api/formulas/export?as=jsonld&ids[]=${formula.id}`} download>
        {t('formula.as_recipe')}
      </a>
    </div>
  );
}
