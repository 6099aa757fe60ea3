import { say, t, T } from '../../messages/words';
import { Button, Checkbox, Input } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Formula, Kitchen, KitchenMethod, Refusal } from '../../api/client';
import { useChangeFormula, useComputedFormula, useFormula, useKitchen, useCreateFormula } from '../../api/queries';
import { Kept } from '../../api/change';
import { complain } from '../../app/complain';
import { Field } from '../../app/Field';
import { NumberField } from '../../app/NumberField';
import { PageState } from '../../app/PageState';
import { begun, byMethod, tidy, type Document } from './document';
import { StepEditor } from './StepEditor';
import { FormulaResult } from './FormulaResult';
import './FormulaView.css';
import './FormulaEditorView.css';
import { QuantityBox } from '../../app/QuantityBox';
import { useOnceRead } from '../../app/unread';

const AS_WRITTEN = { by: 'as_written' } as const;

/** Writing a formula, or a new version of one; the numbers follow while the cook types. */
export function FormulaEditorView() {
  const { formulaId } = useParams();
  const kitchen = useKitchen();
  const formula = useFormula(formulaId ?? '', AS_WRITTEN);
  if (!kitchen.data || (formulaId !== undefined && !formula.data)) {
    return <PageState query={kitchen.error ? kitchen : formula} />;
  }

  return (
    <Editor
      key={formulaId ?? 'new'}
      kitchen={kitchen.data}
      formula={formulaId === undefined ? null : (formula.data ?? null)}
    />
  );
}

function Editor({ kitchen, formula }: { kitchen: Kitchen; formula: Formula | null }) {
  const [document, change, forget, wasKept] = useKeptDocument(kitchen, formula);
  const sent = useMemo(() => tidy(document), [document]);
  const computed = useComputedFormula(useDeferredValue(sent));
  const write = useCreateFormula();
  const rewrite = useChangeFormula(formula?.id ?? '');
  const navigate = useNavigate();
  const refusal = computed.data?.refusal ?? null;
  const failed = (formula ? rewrite : write).error;

  const save = () => {
    const onSuccess = (made: Formula) => {
      forget();
      void navigate(`/formulas/${made.id}`);
    };
    const onError = (refusal: Refusal) => {
      if (refusal instanceof Kept) {
        forget();
        complain(refusal);
        void navigate('/formulas');
      }
    };
    if (formula) {
      rewrite.mutate({ document: sent, basedOn: formula.newest }, { onSuccess, onError });
    } else {
      write.mutate(sent, { onSuccess, onError });
    }
  };
  const send = useOnceRead(save);

  return (
    <article className="formula">
      <header className="formula-head">
        <h1>{formula ? t('formula_edit.edit', { name: formula.name }) : t('formula_edit.new')}</h1>
        <div className="formula-do">
          {wasKept && (
            <span className="soft">
              <T
                m="formula_edit.restored"
                v={{
                  a0: (c) => (
                    <Button size="small" onClick={forget}>
                      {c}
                    </Button>
                  ),
                }}
              />
            </span>
          )}
          <Link to={formula ? `/formulas/${formula.id}` : '/formulas'}>{t('action.cancel')}</Link>
          <Button
            type="primary"
            disabled={refusal !== null}
            loading={write.isPending || rewrite.isPending}
            onClick={() => send()}
          >
            {formula ? t('formula_edit.save_version', { version: formula.newest + 1 }) : t('action.save')}
          </Button>
        </div>
      </header>
      <Complaint>{failed?.sentence}</Complaint>
      <div className="formula-body">
        <section aria-label={t('formula.ingredients')}>
          <Head document={document} change={change} refusal={refusal} kitchen={formula ? null : kitchen} />
          {document.steps.map((step, i) => (
            <StepEditor
              key={i}
              step={step}
              path={`document.steps[${i}]`}
              kitchen={kitchen}
              refusal={refusal}
              change={(next) => change({ steps: document.steps.map((one, at) => (at === i ? next : one)) })}
            />
          ))}
        </section>
        <section aria-label={t('formula_edit.texts')} className="editor-words">
          <Words document={document} change={change} refusal={refusal} />
        </section>
        <div>
          <Complaint>{refusal?.sentence}</Complaint>
          {computed.data?.worked && <FormulaResult worked={computed.data.worked} />}
        </div>
      </div>
    </article>
  );
}

interface PartProps {
  document: Document;
  change: (part: Partial<Document>) => void;
  refusal: Refusal | null;
}

function Head({ document, change, refusal, kitchen }: PartProps & { kitchen: Kitchen | null }) {
  const { serving, window: when } = document;
  const days = (key: 'youngDays' | 'readyDays' | 'longDays', label: string) => (
    <Field label={label} name={`document.window.${key}`} refusal={refusal}>
      <QuantityBox
        measures="days"
        value={when[key]}
        change={(value) => change({ window: { ...when, [key]: value ?? 0 } })}
      />
    </Field>
  );

  return (
    <div className="fields">
      <Field label={t('field.name')} name="document.name" refusal={refusal} wide>
        <Input value={document.name} onChange={(event) => change({ name: event.target.value })} />
      </Field>
      <Field label={t('formula_edit.summary')} name="document.summary" refusal={refusal} wide>
        <Input value={document.summary ?? ''} onChange={(event) => change({ summary: event.target.value })} />
      </Field>
      <Field label={t('formula_edit.group')} name="document.group" refusal={refusal}>
        <Input value={document.group ?? ''} onChange={(event) => change({ group: event.target.value })} />
      </Field>
      {kitchen && (
        <Field label={t('formula_edit.method')} name="document.method" refusal={refusal}>
          <Choice
            value={document.method}
            onChange={(_, chosen) => !Array.isArray(chosen) && chosen && change(byMethod(document, chosen.method))}
            options={kitchen.methods
              .filter((method) => method.begins !== null)
              .map((method) => ({ value: method.id as string, label: say(method.label), method }))}
          />
        </Field>
      )}
      <NumberField
        label={t('formula_edit.serving')}
        name="document.serving.grams"
        refusal={refusal}
        value={serving.grams}
        change={(value) => change({ serving: { ...serving, grams: value } })}
        measures="grams"
      />
      {days('youngDays', t('formula_edit.young'))}
      {days('readyDays', t('formula_edit.ready'))}
      {days('longDays', t('formula_edit.long'))}
      <NumberField
        label={t('formula_edit.at')}
        name="document.window.celsius"
        refusal={refusal}
        value={when.celsius}
        change={(value) => change({ window: { ...when, celsius: value } })}
        measures="temperature"
      />
      <Field label={t('formula_edit.live')} wide>
        <Checkbox checked={document.isLive ?? false} onChange={(event) => change({ isLive: event.target.checked })}>
          {t('formula_edit.live_about')}
        </Checkbox>
      </Field>
    </div>
  );
}

const texts = [
  { key: 'work', label: t('formula_edit.steps') },
  { key: 'signs', label: t('formula.done_when') },
  { key: 'why', label: t('formula.why') },
  { key: 'schools', label: t('formula.differ') },
  { key: 'cautions', label: t('formula.cautions') },
  { key: 'notes', label: t('formula.notes') },
] as const;

function Words({ document, change, refusal }: PartProps) {
  return (
    <>
      {texts.map(({ key, label }) => (
        <Field key={key} label={label} name={`document.${key}`} refusal={refusal}>
          <Input.TextArea
            autoSize={{ minRows: 2 }}
            value={(document[key] ?? []).join('\n')}
            onChange={(event) => change({ [key]: event.target.value.split('\n') })}
          />
        </Field>
      ))}
    </>
  );
}

/** The one by which most formulas of vegetables are written. */
const usualMethod = ({ methods }: Kitchen) =>
  methods.find(({ id }) => id === 'poured_brine') ?? (methods[0] as KitchenMethod);

/** The document on the desk, kept on this device with every key stroke so that a reload loses nothing. */
function useKeptDocument(
  kitchen: Kitchen,
  formula: Formula | null,
): [Document, (part: Partial<Document>) => void, () => void, boolean] {
  const keptAs = `tempesal.formula.${formula?.id ?? 'new'}.${formula?.newest ?? 0}`;
  const written = formula ? (formula.document as unknown as Document) : begun(usualMethod(kitchen));
  const [wasKept, setWasKept] = useState(() => localStorage.getItem(keptAs) !== null);
  const [document, setDocument] = useState<Document>(() => {
    try {
      const kept = localStorage.getItem(keptAs);
      return kept === null ? written : (JSON.parse(kept) as Document);
    } catch {
      return written;
    }
  });

  return [
    document,
    (part) => {
      const next = { ...document, ...part };
      localStorage.setItem(keptAs, JSON.stringify(next));
      setDocument(next);
    },
    () => {
      localStorage.removeItem(keptAs);
      setDocument(written);
      setWasKept(false);
    },
    wasKept,
  ];
}
