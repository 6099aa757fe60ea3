import { App, Button, Modal } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import type { Batch } from '../../api/client';
import { useReversalPreview, useReverseEntry } from '../../api/queries';
import { EffectPreview } from './EffectPreview';

type Entry = Batch['entries'][number];

/** A jar's life on one line of time: what comes, today, and what was, newest first. */
export function BatchHistory({ batch }: { batch: Batch }) {
  const [mistake, setMistake] = useState<Entry | null>(null);
  const planned = batch.entries.filter((entry) => entry.isComing && !entry.isReversed);
  const past = batch.entries.filter((entry) => !entry.isComing || entry.isReversed);

  return (
    <section aria-label="Its life" className="life">
      <h2>Its life</h2>
      <ol className="quiet-list life-coming" aria-label="To come">
        {[...batch.coming].reverse().map((coming) => (
          <li key={coming.code} className={`is-${coming.code}`}>
            <span className="soft">{dayjs(coming.on).format('D MMM')}</span>
            <span>
              {coming.text}
              <span className="soft">{rhythm(coming)}</span>
            </span>
          </li>
        ))}
        {planned.toReversed().map((entry) => (
          <Line key={entry.id} entry={entry} takeBack={setMistake} />
        ))}
      </ol>
      <p className="life-now">
        <span>today</span> {batch.attention?.text ?? 'nothing to do'}
      </p>
      <ol className="quiet-list" aria-label="So far">
        {past.toReversed().map((entry) => (
          <Line key={entry.id} entry={entry} takeBack={setMistake} />
        ))}
      </ol>
      {mistake && <TakeBack batch={batch} entry={mistake} close={() => setMistake(null)} />}
    </section>
  );
}

/** How often, and until when. */
function rhythm({ every, until, on }: Batch['coming'][number]): string {
  if (every === null || until === on) {
    return '';
  }
  const often = every === 1 ? ', daily' : `, every ${String(every)} days`;
  return until === null ? often : `${often} until ${dayjs(until).format('D MMM')}`;
}

function Line({ entry, takeBack }: { entry: Entry; takeBack: (entry: Entry) => void }) {
  return (
    <li>
      <span className="soft">
        {dayjs(entry.happenedAt).format('D MMM')}
        <br />
        {dayjs(entry.happenedAt).format('HH:mm')}
      </span>
      <span className={entry.isReversed ? 'taken-back' : undefined}>
        {entry.text}
        {entry.running !== null && <span className="soft">, {entry.running}</span>}
      </span>
      {!entry.isReversed && entry.reversesId === null && (
        <Button
          type="text"
          size="small"
          aria-label={`Take back: ${entry.text}`}
          onClick={() => takeBack(entry)}
        >
          ×
        </Button>
      )}
    </li>
  );
}

/** A mistake: what taking it back does is seen before it is done. */
function TakeBack({ batch, entry, close }: { batch: Batch; entry: Entry; close: () => void }) {
  const { message } = App.useApp();
  const preview = useReversalPreview(batch.id, entry.id);
  const takeBack = useReverseEntry(batch.id);
  const refusal = preview.data?.refusal ?? null;

  return (
    <Modal
      open
      title={`Take back: ${entry.text}`}
      okText="Take it back"
      cancelText="Leave it"
      okButtonProps={{ disabled: refusal !== null || !preview.data, loading: takeBack.isPending }}
      onCancel={close}
      onOk={() =>
        takeBack.mutate(entry.id, {
          onSuccess: close,
          onError: (refused) => void message.error(refused.of('entry') ?? refused.message, 8),
        })
      }
    >
      <p className="soft">Was it a mistake? It stays in the jar’s life, struck out.</p>
      {refusal && (
        <p className="complaint" role="alert">
          {refusal.of('entry') ?? refusal.message}
        </p>
      )}
      {preview.data?.effect && <EffectPreview {...preview.data.effect} />}
    </Modal>
  );
}
