import { Kept } from '../../api/change';
import { complain } from '../../app/complain';
import { named, say, t, T } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button, Input, Segmented } from 'antd';
import { notices } from '../../app/notices';
import { ChooseFile } from '../../app/ChooseFile';
import { Complaint } from '../../app/Complaint';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Batch, Log, Note, Refusal } from '../../api/client';
import { useBatch } from '../../api/queries';
import { useLog, useRemoveNote, useRecordNote } from '../../api/tending';
import { NumberBox } from '../../app/NumberBox';
import { stored, usePersistentState } from '../../app/persistentState';
import { Field } from '../../app/Field';
import { degrees, number } from '../../app/numbers';
import { PageState } from '../../app/PageState';
import { JarDrawing } from '../../drawings/JarDrawing';
import { days } from '../shelf/days';
import { SimilarBatches } from './SimilarBatches';
import { markEnds, scoresOf, type Mark } from './tastingScores';
import './LogView.css';
import { QuantityBox } from '../../app/QuantityBox';
import { useOnceRead } from '../../app/unread';
import { Deed, May } from '../../app/Deed';

/** A jar's log: what was tasted, read and seen; and its like beside it. */
export function LogView() {
  const { batchId = '' } = useParams();
  const batch = useBatch(batchId);
  const log = useLog(batchId);
  if (!batch.data) {
    return <PageState query={batch} />;
  }
  if (!log.data) {
    return <PageState query={log} />;
  }
  const { data } = log;

  return (
    <div className="log">
      <header className="log-head">
        <JarDrawing jar={batch.data.jar} scale={0.42} label="" seed={batch.data.id} />
        <div>
          <h1>{batch.data.name}</h1>
          <p className="soft">
            {days(batch.data.dayCount)}. <Link to={`/shelf/${batchId}`}>{t('log.to_jar')}</Link>
            {' · '}
            <Link to={`/shelf/${batchId}/check`}>{t('batch.check')}</Link>
          </p>
        </div>
        <Acid batch={batch.data} log={data} />
      </header>
      <May needs="log">
        <Write key={batchId} batch={batch.data} log={data} />
      </May>
      <div>
        <section aria-label={t('log.so_far')}>
          <h2>{t('log.so_far')}</h2>
          {data.notes.length === 0 && <p className="soft">{t('log.empty')}</p>}
          <ol className="quiet-list notes">
            {data.notes.map((note) => (
              <Line key={note.id} note={note} />
            ))}
          </ol>
        </section>
        <SimilarBatches log={data} />
      </div>
    </div>
  );
}

/** What was read of its acid, and what is expected. */
function Acid({ batch, log }: { batch: Batch; log: Log }) {
  const { lastReading } = batch;
  return (
    <dl className="acid">
      <div>
        <dt>{t('log.ph_read')}</dt>
        <dd>
          <span className="figure">{lastReading === null ? '–' : lastReading.ph.toFixed(1)}</span>
          <span className="soft">
            {lastReading === null
              ? t('log.never')
              : lastReading.stands
                ? when(lastReading.on, 'short')
                : t('log.ph_before', { day: when(lastReading.on, 'short') })}
          </span>
        </dd>
      </div>
      {log.expectedPh !== null && (
        <div>
          <dt>{t('log.ph_expected')}</dt>
          <dd>
            <span className="figure is-guess">{log.expectedPh.toFixed(1)}</span>
            <span className="soft">{t('log.ph_guide')}</span>
          </dd>
        </div>
      )}
    </dl>
  );
}

interface Draft {
  marks: Partial<Record<Mark, number>>;
  smell: string | null;
  colour: string | null;
  bubbles: string | null;
  celsius: number | null;
  ph: number | null;
  phBy: 'meter' | 'strips' | null;
  phMargin: number | null;
  text: string;
}

const nothing: Draft = {
  marks: {},
  smell: null,
  colour: null,
  bubbles: null,
  celsius: null,
  ph: null,
  // What is believed less, until the cook says that it was a meter.
  phBy: 'strips',
  phMargin: 0.1,
  text: '',
};

function Write({ batch, log }: { batch: Batch; log: Log }) {
  const name = `tempesal.note.${batch.id}`;
  const [draft, change, forget] = usePersistentState<Draft>(name, () => ({
    ...nothing,
    ...stored<Draft>(name),
  }));
  const [photo, setPhoto] = useState<File | null>(null);
  const write = useRecordNote(batch.id);
  const tell = (part: Partial<Draft>) => {
    change(part);
    write.reset();
  };

  const send = useOnceRead(() =>
    write.mutate(
      { ...draft, photo },
      {
        onSuccess: () => {
          forget();
          setPhoto(null);
          notices.done(t('batch.saved'));
        },
        onError: (refusal) => {
          if (refusal instanceof Kept) {
            forget();
            setPhoto(null);
            write.reset();
            complain(refusal);
          }
        },
      },
    ),
  );

  return (
    <form
      className="note-form"
      aria-label={t('log.add')}
      onSubmit={(event) => {
        event.preventDefault();
        send(event.target);
      }}
    >
      <h2>{t('log.how')}</h2>
      <div className="fields">
        <Field label={t('log.ph')} name="ph" refusal={write.error}>
          <NumberBox
            value={draft.ph}
            step={0.1}
            min={0}
            max={14}
            data-takes="ph"
            placeholder={t('log.ph_hint')}
            onChange={(ph) => tell({ ph })}
          />
        </Field>
        {draft.ph !== null && (
          <>
            <Field label={t('log.ph_by')} name="phBy" refusal={write.error}>
              <Segmented
                value={draft.phBy ?? 'strips'}
                onChange={(phBy) => tell({ phBy })}
                options={[
                  { value: 'meter' as const, label: t('log.meter') },
                  { value: 'strips' as const, label: t('log.strips') },
                ]}
              />
            </Field>
            {draft.phBy === 'meter' && (
              <Field label={t('log.margin')} name="phMargin" refusal={write.error}>
                <NumberBox
                  value={draft.phMargin}
                  step={0.05}
                  min={0}
                  max={1}
                  onChange={(phMargin) => tell({ phMargin })}
                />
              </Field>
            )}
          </>
        )}
        <Field label={t('log.temperature')} name="celsius" refusal={write.error}>
          <QuantityBox
            measures="temperature"
            value={draft.celsius}
            data-takes="temperature"
            change={(celsius) => tell({ celsius })}
          />
        </Field>
      </div>
      <div className="marks">
        {log.marks.map((mark) => (
          <Steps
            key={mark}
            mark={mark}
            value={draft.marks[mark] ?? null}
            set={(value) => {
              const others = Object.fromEntries(Object.entries(draft.marks).filter(([one]) => one !== mark));
              tell({ marks: value === null ? others : { ...others, [mark]: value } });
            }}
          />
        ))}
      </div>
      {(['smell', 'colour', 'bubbles'] as const).map((what) => (
        <div key={what} className="said-of">
          <span className="soft">{t(`note.${what}`)}</span>
          <span className="picks" role="group" aria-label={t(`note.${what}`)}>
            {log.words[what].map((word) => (
              <button
                key={word}
                type="button"
                aria-pressed={draft[what] === word}
                onClick={() => tell({ [what]: draft[what] === word ? null : word })}
              >
                {named(`note_${what}`, word)}
              </button>
            ))}
          </span>
        </div>
      ))}
      <div className="fields">
        <Field label={t('log.text')} name="text" refusal={write.error} wide>
          <Input.TextArea
            rows={2}
            maxLength={2000}
            value={draft.text}
            onChange={(event) => tell({ text: event.target.value })}
          />
        </Field>
      </div>
      <Complaint>{elsewhere(write.error)}</Complaint>
      <div className="words">
        <Button type="primary" htmlType="submit" loading={write.isPending}>
          {t('action.save')}
        </Button>
        <ChooseFile
          says={photo?.name ?? t('log.add_photo')}
          label={t('log.photo')}
          accept="image/jpeg,image/png,image/webp"
          isPhoto
          choose={setPhoto}
        />
      </div>
    </form>
  );
}

/** What is wrong with a part that has no field of its own, or with all of it. */
function elsewhere(refusal: Refusal | null): string | undefined {
  const path = Object.keys(refusal?.fields ?? {}).find(
    (field) => !['ph', 'phBy', 'phMargin', 'celsius', 'text'].includes(field),
  );
  return path !== undefined ? refusal?.of(path) : refusal?.status === 422 ? undefined : refusal?.message;
}

/** A mark from 1 to 5, between what its ends mean; tapped again it is taken away. */
function Steps({ mark, value, set }: { mark: Mark; value: number | null; set: (value: number | null) => void }) {
  const [least, most] = markEnds[mark];
  return (
    <div className="steps" role="group" aria-label={named('mark', mark)}>
      <span className="steps-name">{named('mark', mark)}</span>
      <span className="soft steps-end">{least}</span>
      {[1, 2, 3, 4, 5].map((step) => (
        <button
          key={step}
          type="button"
          aria-pressed={value === step}
          aria-label={t('log.score', { what: named('mark', mark), score: String(step) })}
          className={value !== null && step <= value ? 'is-on' : undefined}
          onClick={() => set(value === step ? null : step)}
        >
          {step}
        </button>
      ))}
      <span className="soft steps-end">{most}</span>
    </div>
  );
}

function Line({ note }: { note: Note }) {
  const remove = useRemoveNote();
  const said = [
    ...scoresOf(note.marks).map(([mark, value]) => `${t(`mark.${mark}`)} ${String(value)}`),
    ...(note.smell ? [t('log.smells', { smell: named('note_smell', note.smell) })] : []),
    ...(note.colour ? [named('note_colour', note.colour)] : []),
    ...(note.bubbles ? [t('log.bubbles', { bubbles: note.bubbles })] : []),
    ...(note.ph === null ? [] : [t('log.ph_value', { ph: number(note.ph, 2) })]),
    ...(note.celsius === null ? [] : [degrees(note.celsius)]),
  ].join(', ');

  return (
    <li>
      <span className="soft">
        <T m="log.day" v={{ day: note.day, at: when(note.at, 'moment'), x0: <br /> }} />
      </span>
      <div>
        {note.verdict !== null && (
          <p>
            <span className={`word-verdict is-${note.verdict}`}>{say(note.verdictLabel)}</span> {say(note.because)}
          </p>
        )}
        {said !== '' && <p>{said}</p>}
        {note.text && <p>{say(note.text)}</p>}
        {note.photo !== null && (
          <a href={note.photo} target="_blank" rel="noreferrer">
            <img src={note.photo} alt={t('log.photo_alt', { day: String(note.day) })} loading="lazy" />
          </a>
        )}
      </div>
      <Deed
        type="text"
        aria-label={t('log.delete_note', { at: when(note.at, 'moment') })}
        loading={remove.isPending}
        onClick={() =>
          // The line goes; what is said of it stays.
          void remove.mutateAsync(note.id).then(
            () => notices.done(t('log.deleted')),
            (refusal: Refusal) => complain(refusal),
          )
        }
      >
        ×
      </Deed>
    </li>
  );
}
