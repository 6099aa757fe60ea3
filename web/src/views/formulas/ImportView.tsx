import { say, t } from '../../messages/words';
import { Button, Checkbox, Input } from 'antd';
import { ChooseFile } from '../../app/ChooseFile';
import { Complaint } from '../../app/Complaint';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { ImportCandidate, Kitchen } from '../../api/client';
import { useImportFormulas, useKitchen, usePreviewImport } from '../../api/queries';
import { grams } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import type { Amount, Document, Step } from './document';
import './ImportView.css';
import { QuantityBox } from '../../app/QuantityBox';
import { FoodSelect } from '../../app/FoodSelect';

const MOST_BYTES = 4_000_000;

/**
 * Formulas from elsewhere: pasted text, recipes, Tempesal's own files. Nothing is written before the cook has seen it.
 */
export function ImportView() {
  const kitchen = useKitchen();
  const preview = usePreviewImport();
  const [text, setText] = useState('');
  const [tooLarge, setTooLarge] = useState(false);
  if (!kitchen.data) {
    return <PageState query={kitchen} />;
  }
  const read = (next: string) => {
    setText(next);
    preview.mutate(next);
  };

  return (
    <div className="bring">
      <section aria-label={t('import.from_elsewhere')}>
        <h1>{t('import.title')}</h1>
        <p className="soft">{t('import.about')}</p>
        <Input.TextArea
          aria-label={t('import.recipe')}
          rows={14}
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder={'Garlic carrots:\n2 lb carrots\n1 quart water\n2 tbsp pickling salt\n4 cloves garlic'}
        />
        <div className="words drawer-part">
          <Button type="primary" loading={preview.isPending} onClick={() => read(text)}>
            {t('import.preview')}
          </Button>
          <ChooseFile
            says={t('import.from_file')}
            accept=".json,.jsonld,.txt"
            choose={(file) => {
              setTooLarge(file.size > MOST_BYTES);
              if (file.size <= MOST_BYTES) {
                void file.text().then(read);
              }
            }}
          />
          <Link to="/formulas" className="as-button">
            {t('action.back')}
          </Link>
        </div>
        {tooLarge && <Complaint>{t('errors.text_4_mb')}</Complaint>}
        <Complaint>{preview.error?.sentence}</Complaint>
      </section>
      {preview.data && <Candidates key={text.length} kitchen={kitchen.data} candidates={preview.data} />}
    </div>
  );
}

interface Settled {
  candidate: ImportCandidate;
  document: Document | null;
  open: ImportCandidate['lines'];
  isWanted: boolean;
}

function Candidates({ kitchen, candidates }: { kitchen: Kitchen; candidates: ImportCandidate[] }) {
  const bring = useImportFormulas();
  const navigate = useNavigate();
  const [all, setAll] = useState<Settled[]>(() =>
    candidates.map((candidate) => ({
      candidate,
      document: candidate.document as Document | null,
      open: candidate.lines.filter((line) => line.problem !== null),
      isWanted: candidate.document !== null,
    })),
  );
  const change = (at: number, part: Partial<Settled>) =>
    setAll(all.map((one, i) => (i === at ? { ...one, ...part } : one)));
  const wanted = all.filter((one) => one.isWanted && one.document !== null);

  return (
    <section aria-label={t('import.found_title')}>
      <h2>{t('import.found', { count: candidates.length })}</h2>
      {all.map((one, i) => (
        <article key={i} className="candidate">
          <header>
            <Checkbox
              checked={one.isWanted}
              disabled={one.document === null}
              onChange={(event) => change(i, { isWanted: event.target.checked })}
            >
              <b>{one.candidate.name}</b>
            </Checkbox>
            {one.candidate.lines.length === 0 && one.candidate.problems.length === 0 && (
              <span className="soft">{t('import.unchanged')}</span>
            )}
          </header>
          {one.candidate.lines.length === 0 &&
            one.candidate.problems.map((problem) => (
              <p key={problem.path + problem.text} className="complaint">
                {problem.path && <b>{problem.path}: </b>}
                {say(problem.text)}
              </p>
            ))}
          {one.candidate.lines.length > 0 && <Lines kitchen={kitchen} one={one} change={(part) => change(i, part)} />}
        </article>
      ))}
      <Complaint>{bring.error?.sentence}</Complaint>
      <Button
        type="primary"
        disabled={wanted.length === 0}
        loading={bring.isPending}
        onClick={() =>
          bring.mutate(
            wanted.map((one) => one.document as Document),
            {
              onSuccess: ({ ids }) => {
                void navigate(ids.length === 1 ? `/formulas/${ids[0]}/edit` : '/formulas');
              },
            },
          )
        }
      >
        {wanted.length === 1 ? t('action.import') : t('import.import_count', { count: wanted.length })}
      </Button>
    </section>
  );
}

interface LinesProps {
  kitchen: Kitchen;
  one: Settled;
  change: (part: Partial<Settled>) => void;
}

function Lines({ kitchen, one, change }: LinesProps) {
  const name = (line: ImportCandidate['lines'][number]) =>
    line.kind === 'salt'
      ? kitchen.salts.find((salt) => salt.key === line.id)?.name
      : line.kind === 'water'
        ? 'water'
        : kitchen.ingredients.find((food) => food.key === line.id)?.name;

  return (
    <ul className="quiet-list candidate-lines">
      {one.candidate.lines.map((line) => {
        const isOpen = one.open.includes(line);
        return (
          <li key={line.number} className={isOpen ? 'is-open' : ''}>
            <span className="soft">{line.number}</span>
            <span>{line.text}</span>
            {isOpen ? (
              <Settle kitchen={kitchen} line={line} settle={(settled) => change(placed(one, line, settled))} />
            ) : (
              <span className="soft">
                {line.kind === 'work' || line.kind === 'heading'
                  ? { work: t('import.step'), heading: t('import.heading') }[line.kind]
                  : line.grams !== null
                    ? `${grams(line.grams)} ${name(line) ?? ''}`
                    : t('import.as_note')}
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

type SettledLine = { id: string; isSalt: boolean; grams: number } | 'note';

interface SettleProps {
  kitchen: Kitchen;
  line: ImportCandidate['lines'][number];
  settle: (settled: SettledLine) => void;
}

/** A line that was not understood: the cook says what it is, or keeps it as a note. */
function Settle({ kitchen, line, settle }: SettleProps) {
  const rows = line.kind === 'salt' ? kitchen.salts : kitchen.ingredients;
  const [id, setId] = useState<string | null>(rows.find(({ key }) => key === line.id)?.id ?? null);
  const [weight, setWeight] = useState<number | null>(line.grams);

  const salt = kitchen.salts.find((one) => one.id === id);
  const picked = salt ?? kitchen.ingredients.find((one) => one.id === id);

  return (
    <span className="settle">
      <span className="complaint">{say(line.problem)}</span>
      <FoodSelect
        label={t('import.line_kind', { number: line.number })}
        kitchen={kitchen}
        foods={[...kitchen.ingredients, ...kitchen.salts].map((one) => ({ value: one.id, label: one.name }))}
        value={id}
        change={setId}
      />
      <QuantityBox
        measures="grams"
        of={picked === undefined ? {} : { of: salt ? 'salt' : 'food', id: picked.id }}
        aria-label={t('import.line_grams', { number: line.number })}
        value={weight}
        change={setWeight}
      />
      <Button
        disabled={picked === undefined || weight === null || weight <= 0}
        onClick={() => settle({ id: picked?.key ?? '', isSalt: salt !== undefined, grams: weight ?? 0 })}
      >
        {t('import.accept')}
      </Button>
      <Button type="text" onClick={() => settle('note')}>
        {t('import.keep_note')}
      </Button>
    </span>
  );
}

/** The formula with a line in its place; a note stays a note. */
function placed(one: Settled, line: ImportCandidate['lines'][number], settled: SettledLine): Partial<Settled> {
  const open = one.open.filter((other) => other !== line);
  const { document } = one;
  if (settled === 'note' || document === null) {
    return { open };
  }
  const [step, ...more] = document.steps as [Step, ...Step[]];
  const list = step.base === undefined ? 'vegetables' : 'base';
  const next: Step = settled.isSalt
    ? { ...step, salt: { product: settled.id, grams: (step.salt?.grams ?? 0) + settled.grams } }
    : {
        ...step,
        [list]: [...((step[list] ?? []) as Amount[]), { ingredient: settled.id, grams: settled.grams }],
      };

  return {
    open,
    document: {
      ...document,
      steps: [next, ...more],
      notes: (document.notes ?? []).filter((note) => note !== t('import.note', { line: line.text })),
    },
  };
}
