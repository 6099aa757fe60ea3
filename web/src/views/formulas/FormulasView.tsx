import { named, t, T } from '../../messages/words';
import { Button, Checkbox, Input } from 'antd';
import { Link } from 'react-router';
import type { FormulaInList } from '../../api/client';
import { useFormulas, useHouse } from '../../api/queries';
import { useAddressFlag, useAddressState } from '../../app/addressState';
import { grams, mg } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { May } from '../../app/Deed';
import { time } from './time';
import './FormulasView.css';

/** Families in the order in which cooks come to them. */
const families = [
  'kraut',
  'roots',
  'florets',
  'onions',
  'beans',
  'cucumbers',
  'chillies',
  'kimchi',
  'quick pickles',
  'hot sauces',
  'condiments',
  'relishes',
  'drinks',
  'milk cultures',
  'starters',
];

const railOf = (group: string): string => `rail-${group.replaceAll(' ', '-')}`;

/** The formulas as tags on their rails, a rail for each family. */
export function FormulasView() {
  const formulas = useFormulas();
  const kitchen = useHouse();
  const [query, setQuery] = useAddressState('find', '');
  const [forAll, setForAll] = useAddressFlag('for-all');
  const [archived, setArchived] = useAddressFlag('archive');
  if (!formulas.data || !kitchen.data) {
    return <PageState query={formulas.error ? formulas : kitchen} />;
  }
  const avoided = new Set(kitchen.data.people.flatMap((person) => person.allergens));
  const asked = query.trim().toLowerCase();
  const shown = formulas.data.filter(
    (one) =>
      one.isArchived === archived &&
      (asked === '' || `${one.name} ${one.summary} ${one.group}`.toLowerCase().includes(asked)) &&
      (!forAll || !one.allergens.some((allergen) => avoided.has(allergen))),
  );
  const groups = [...new Set([...families, ...shown.map((one) => one.group)])]
    .map((group) => ({ group, here: shown.filter((one) => one.group === group) }))
    .filter(({ here }) => here.length > 0);

  return (
    <>
      {shown.length > 0 && <h1 className="only-heard">{t('nav.formulas')}</h1>}
      <div className="formulas-head">
        <Input
          aria-label={t('formulas.search')}
          placeholder={t('formulas.search')}
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          allowClear
        />
        <Checkbox checked={forAll} onChange={(event) => setForAll(event.target.checked)}>
          {t('formulas.for_all')}
        </Checkbox>
        <Checkbox checked={archived} onChange={(event) => setArchived(event.target.checked)}>
          {t('formulas.archive')}
        </Checkbox>
        <span className="formulas-do">
          <May>
            <Link to="/formulas/new" className="as-button">
              {t('formulas.new')}
            </Link>
            <Link to="/formulas/import" className="as-button">
              {t('action.import')}
            </Link>
          </May>
          <a href="/api/formulas/export?as=json" download className="as-button">
            {t('formulas.export_json')}
          </a>
          <a href="/api/formulas/export?as=jsonld" download className="as-button">
            {t('formulas.export_recipes')}
          </a>
        </span>
      </div>
      {shown.length === 0 && (
        <div className="page-state">
          <h1>{archived ? t('formulas.archive_empty') : t('formulas.none')}</h1>
          <p>
            <Button onClick={() => setQuery('')}>{t('formulas.show_all')}</Button>
          </p>
        </div>
      )}
      {groups.length > 2 && (
        <nav className="rail-jump" aria-label={t('formulas.jump')}>
          {groups.map(({ group, here }) => (
            <a key={group} href={`#${railOf(group)}`}>
              {t('formulas.jump_to', { family: named('formula_group', group), count: here.length })}
            </a>
          ))}
        </nav>
      )}
      <div className="rails">
        {groups.map(({ group, here }) => (
          <section
            key={group}
            id={railOf(group)}
            tabIndex={-1}
            aria-label={named('formula_group', group)}
            className="rail"
            style={{ flexGrow: here.length }}
          >
            <h2>{named('formula_group', group)}</h2>
            <div className="rail-tags">
              {here.map((one) => (
                <Tag key={one.id} formula={one} avoided={avoided} />
              ))}
            </div>
          </section>
        ))}
      </div>
    </>
  );
}

function Tag({ formula, avoided }: { formula: FormulaInList; avoided: Set<string> }) {
  return (
    <Link
      to={`/formulas/${formula.id}`}
      className="formula-tag"
      style={{ '--of': formula.colour } as React.CSSProperties}
    >
      <b>{formula.name}</b>
      <span className="formula-tag-say">{formula.summary}</span>
      <span className="formula-tag-foot">
        <span>
          <T
            m="formulas.serving"
            v={{ mg: mg(formula.servingMg), grams: grams(formula.servingGrams), b0: (c) => <b>{c}</b> }}
          />
        </span>
        <span className="soft">{time(formula.readyDays)}</span>
      </span>
      <span className="words">
        {formula.isLive && <span className="word is-live">{t('formulas.live')}</span>}
        {formula.allergens.map((allergen) => (
          <span key={allergen} className={`word${avoided.has(allergen) ? ' is-clash' : ''}`}>
            {named('allergen', allergen)}
          </span>
        ))}
        {!formula.isLibrary && <span className="word">{t('formulas.own')}</span>}
      </span>
    </Link>
  );
}
