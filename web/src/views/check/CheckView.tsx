import { say, t, T } from '../../messages/words';
import { Complaint } from '../../app/Complaint';
import { Link, useNavigate, useParams } from 'react-router';
import type { Batch, Inspection, Question } from '../../api/client';
import { useBatch, useEmptyJar } from '../../api/queries';
import { useInspection, useQuestions, useRecordCheck } from '../../api/tending';
import { stored, usePersistentState } from '../../app/persistentState';
import { Term } from '../../app/Term';
import { PageState } from '../../app/PageState';
import { Deed } from '../../app/Deed';
import { JarDrawing } from '../../drawings/JarDrawing';
import { FindingDrawing } from '../../drawings/FindingDrawing';
import { days } from '../shelf/days';
import './CheckView.css';

const senses = { eye: t('check.look'), nose: t('check.smell'), touch: t('check.touch') } as const;

/** Looking into a jar: by eye, nose and fork, to what follows from it. */
export function CheckView() {
  const { batchId = '' } = useParams();
  const batch = useBatch(batchId);
  const questions = useQuestions(batchId);
  if (!batch.data) {
    return <PageState query={batch} />;
  }
  if (!questions.data) {
    return <PageState query={questions} />;
  }
  return <Look key={batchId} batch={batch.data} questions={questions.data} />;
}

function Look({ batch, questions }: { batch: Batch; questions: Question[] }) {
  const name = `tempesal.check.${batch.id}`;
  const [{ found }, change, forget] = usePersistentState<{ found: string[] }>(name, () => ({
    found: stored<{ found: string[] }>(name).found ?? [],
  }));
  const inspection = useInspection(batch.id, found);
  const end = inspection.data?.verdict === 'do_not_eat';
  const asks = inspection.data?.asks ?? [];

  const toggle = (question: Question, sign: string) => {
    const isThere = found.includes(sign);
    const others = found.filter(
      (one) =>
        one !== sign &&
        (question.isMany
          ? // What is well does not stand beside what is not.
            !(isWell(question, sign) || isWell(question, one)) || !belongs(question, one)
          : !belongs(question, one)),
    );
    change({ found: isThere ? found.filter((one) => one !== sign) : [...others, sign] });
  };

  return (
    <div className="check">
      <div className="check-asks">
        <h1>{t('check.title', { name: batch.name })}</h1>
        <p className="soft">
          <T
            m="check.about"
            v={{
              days: days(batch.dayCount),
              isNew: batch.dayCount === 0,
              kahm: <Term name="kahm" />,
              a0: (c) => <Link to="/practice">{c}</Link>,
            }}
          />
        </p>
        {questions.map((question) => (
          <Ask key={question.code} batch={batch} question={question} found={found} toggle={toggle} />
        ))}
      </div>
      <aside className="check-verdict" aria-live="polite">
        <div className="check-jar">
          <JarDrawing jar={batch.jar} scale={0.72} label="" seed={batch.id} />
        </div>
        {asks.map((question) => (
          <Ask key={question.code} batch={batch} question={question} found={found} toggle={toggle} />
        ))}
        {inspection.data ? (
          <Said
            batch={batch}
            found={found}
            inspection={inspection.data}
            left={end ? [] : [...questions, ...asks].filter(({ code }) => inspection.data.open.includes(code))}
            forget={forget}
          />
        ) : (
          <p className="soft">{t('check.pending')}</p>
        )}
      </aside>
    </div>
  );
}

interface AskProps {
  batch: Batch;
  question: Question;
  found: string[];
  toggle: (question: Question, sign: string) => void;
}

/** One thing to look at, smell or feel, and what may be found, drawn. */
function Ask({ batch, question, found, toggle }: AskProps) {
  return (
    <fieldset id={`ask-${question.code}`} className="check-question" aria-describedby={`how-${question.code}`}>
      <legend>
        <span className={`sense is-${question.sense}`}>{senses[question.sense]}</span> {say(question.text)}
      </legend>
      <p id={`how-${question.code}`} className="soft">
        {say(question.how)} {question.isMany && t('check.many')}
      </p>
      <div className="signs">
        {question.signs.map((sign) => (
          <label key={sign.id} className="sign">
            <input
              type={question.isMany ? 'checkbox' : 'radio'}
              name={question.code}
              checked={found.includes(sign.id)}
              onChange={() => toggle(question, sign.id)}
            />
            <FindingDrawing sign={sign.id} colour={batch.colour} shape={batch.jar.shape} />
            <span>{say(sign.label)}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

interface SaidProps {
  batch: Batch;
  found: string[];
  inspection: Inspection;
  /** Questions that are still open. */
  left: Question[];
  forget: () => void;
}

function Said({ batch, found, inspection, left, forget }: SaidProps) {
  const navigate = useNavigate();
  const write = useRecordCheck(batch.id);
  const empty = useEmptyJar();
  const isOut = inspection.verdict === 'do_not_eat';
  const keep = (then: () => void) =>
    write.mutate(found, {
      onSuccess: () => {
        forget();
        then();
      },
    });

  return (
    <>
      <p className={`verdict is-${left.length > 0 ? 'open' : inspection.verdict}`} data-testid="verdict">
        {left.length > 0 ? t('check.left', { count: left.length }) : say(inspection.label)}
      </p>
      {left.length > 0 && (
        <ul className="quiet-list still-open">
          {left.map(({ code, text }) => (
            <li key={code}>
              <a href={`#ask-${code}`}>{say(text)}</a>
            </li>
          ))}
        </ul>
      )}
      {(left.length === 0 || inspection.rules.length > 0) && <p>{say(inspection.because)}</p>}
      {inspection.toDo.length > 0 && (
        <ul className="to-do">
          {inspection.toDo.map((one) => (
            <li key={one.code}>{say(one)}</li>
          ))}
        </ul>
      )}
      {inspection.cautions.map((one) => (
        <p key={one.code} className="caution">
          {say(one)}
        </p>
      ))}
      <Complaint>{write.error?.message}</Complaint>
      <div className="words">
        <Deed
          needs="log"
          type="primary"
          loading={write.isPending}
          disabled={left.length > 0}
          onClick={() => keep(() => void navigate(`/shelf/${batch.id}/log`))}
        >
          {t('action.save')}
        </Deed>
        {isOut && (
          <Deed
            danger
            loading={empty.isPending}
            onClick={() =>
              keep(() =>
                empty.mutate({ batch: batch.id, isEmptied: true }, { onSuccess: () => void navigate('/shelf') }),
              )
            }
          >
            {t('check.save_empty')}
          </Deed>
        )}
      </div>
    </>
  );
}

const belongs = (question: Question, sign: string): boolean => question.signs.some(({ id }) => id === sign);

/** The first sign of a question that can have several is the one of a jar in which nothing is the matter. */
const isWell = (question: Question, sign: string): boolean => question.signs[0]?.id === sign;
