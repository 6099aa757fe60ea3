import { Button, Checkbox, Input, InputNumber, Select, Upload } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { ImportCandidate, Kitchen } from '../../api/client';
import { useImportFormulas, useKitchen, usePreviewImport } from '../../api/queries';
import { grams } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import type { Amount, Document, Step } from './document';
import './ImportView.css';

const MOST_BYTES = 4_000_000;

/** Formulas from elsewhere: pasted text, recipes, Tempesal's own files. Nothing is written before the cook has seen it. */
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
      <section aria-label="From elsewhere">
        <h1>Bring in a formula</h1>
        <p className="soft">
          Paste a recipe line by line, or a file: schema.org recipes (JSON-LD), or formulas that Tempesal
          handed out.
        </p>
        <Input.TextArea
          aria-label="Recipe"
          rows={14}
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder={'Garlic carrots:\n2 lb carrots\n1 quart water\n2 tbsp pickling salt\n4 cloves garlic'}
        />
        <div className="words drawer-part">
          <Button type="primary" loading={preview.isPending} onClick={() => read(text)}>
            Look at it
          </Button>
          <Upload
            accept=".json,.jsonld,.txt"
            showUploadList={false}
            beforeUpload={(file) => {
              setTooLarge(file.size > MOST_BYTES);
              if (file.size <= MOST_BYTES) {
                void file.text().then(read);
              }
              return false;
            }}
          >
            <Button>From a file</Button>
          </Upload>
          <Link to="/formulas" className="as-button">
            Back
          </Link>
        </div>
        {tooLarge && (
          <p className="complaint" role="alert">
            More than 4 MB is too much to read.
          </p>
        )}
        {preview.error && (
          <p className="complaint" role="alert">
            {preview.error.of('text') ?? preview.error.message}
          </p>
        )}
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
    <section aria-label="What was found">
      <h2>
        {candidates.length === 1 ? 'One formula' : `${candidates.length} formulas`} found, nothing written yet
      </h2>
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
              <span className="soft">as it was handed out</span>
            )}
          </header>
          {one.candidate.lines.length === 0 &&
            one.candidate.problems.map((problem) => (
              <p key={problem.path + problem.text} className="complaint">
                {problem.path && <b>{problem.path}: </b>}
                {problem.text}
              </p>
            ))}
          {one.candidate.lines.length > 0 && (
            <Lines kitchen={kitchen} one={one} change={(part) => change(i, part)} />
          )}
        </article>
      ))}
      {bring.error && (
        <p className="complaint" role="alert">
          {Object.values(bring.error.fields)[0]?.[0] ?? bring.error.message}
        </p>
      )}
      <Button
        type="primary"
        disabled={wanted.length === 0}
        loading={bring.isPending}
        onClick={() =>
          bring.mutate(
            wanted.map((one) => one.document as Document),
            {
              onSuccess: ({ ids }) => {
                void navigate(ids.length === 1 ? `/formulas/${ids[0]}/change` : '/formulas');
              },
            },
          )
        }
      >
        {wanted.length === 1 ? 'Bring it in' : `Bring in ${wanted.length}`}
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
              <Settle
                kitchen={kitchen}
                line={line}
                settle={(settled) => change(placed(one, line, settled))}
              />
            ) : (
              <span className="soft">
                {line.kind === 'work' || line.kind === 'heading'
                  ? { work: 'a step', heading: 'a heading' }[line.kind]
                  : line.grams !== null
                    ? `${grams(line.grams)} ${name(line) ?? ''}`
                    : 'kept as a note'}
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
  const [id, setId] = useState<string | null>(
    line.id && `${line.kind === 'salt' ? 'salt' : 'food'}:${line.id}`,
  );
  const [weight, setWeight] = useState<number | null>(line.grams);

  return (
    <span className="settle">
      <span className="complaint">{line.problem}</span>
      <Select
        aria-label={`What line ${line.number} is`}
        showSearch={{ optionFilterProp: 'label' }}
        placeholder="what it is"
        value={id}
        onChange={setId}
        options={[
          {
            label: 'foods',
            options: kitchen.ingredients.map((food) => ({ value: `food:${food.key}`, label: food.name })),
          },
          {
            label: 'salts',
            options: kitchen.salts.map((salt) => ({ value: `salt:${salt.key}`, label: salt.name })),
          },
        ]}
      />
      <InputNumber
        aria-label={`Grams of line ${line.number}`}
        value={weight}
        onChange={setWeight}
        suffix="g"
      />
      <Button
        disabled={id === null || weight === null || weight <= 0}
        onClick={() => {
          const [kind, key] = (id ?? '').split(':');
          settle({ id: key ?? '', isSalt: kind === 'salt', grams: weight ?? 0 });
        }}
      >
        That is it
      </Button>
      <Button type="text" onClick={() => settle('note')}>
        Keep as a note
      </Button>
    </span>
  );
}

/** The formula with a line in its place; a note stays a note. */
function placed(
  one: Settled,
  line: ImportCandidate['lines'][number],
  settled: SettledLine,
): Partial<Settled> {
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
      notes: (document.notes ?? []).filter((note) => note !== `Not settled: ${line.text}`),
    },
  };
}
