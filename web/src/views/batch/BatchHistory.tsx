import { complain } from '../../app/complain';
import { say, t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Dialog } from '../../app/Dialog';
import { useState } from 'react';
import type { Batch } from '../../api/client';
import { useBatchHistory, useReversalPreview, useReverseEntry } from '../../api/queries';
import { Deed } from '../../app/Deed';
import { EffectPreview } from './EffectPreview';

type Entry = Batch['entries'][number];

/** A jar's life on one line of time: what comes, today, and what was, newest first. */
export function BatchHistory({ batch }: { batch: Batch }) {
  const [mistake, setMistake] = useState<Entry | null>(null);
  const [showsAll, setShowsAll] = useState(false);
  const whole = useBatchHistory(batch.id, showsAll);
  const entries = whole.data?.entries ?? batch.entries;
  const earlier = batch.entryCount - entries.length;
  const planned = entries.filter((entry) => entry.isComing && !entry.isReversed);
  const past = entries.filter((entry) => !entry.isComing || entry.isReversed);

  return (
    <section aria-label={t('batch.history')} className="life">
      <h2>{t('batch.history')}</h2>
      <ol className="quiet-list life-coming" aria-label={t('batch.upcoming')}>
        {[...batch.coming].reverse().map((coming) => (
          <li key={coming.code} className={`is-${coming.code}`}>
            <span className="soft">{when(coming.on, 'short')}</span>
            <span>
              {say(coming.text)} <span className="soft">{rhythm(coming)}</span>
            </span>
          </li>
        ))}
        {planned.toReversed().map((entry) => (
          <Line key={entry.id} entry={entry} takeBack={setMistake} />
        ))}
      </ol>
      <p className="life-now">
        <span>{t('day.today')}</span> {say(batch.attention?.text) ?? t('batch.no_chores')}
      </p>
      <ol className="quiet-list" aria-label={t('batch.so_far')}>
        {past.toReversed().map((entry) => (
          <Line key={entry.id} entry={entry} takeBack={setMistake} />
        ))}
      </ol>
      {earlier > 0 && (
        <Button loading={whole.isFetching} onClick={() => setShowsAll(true)}>
          {t('batch.show_earlier', { count: earlier })}
        </Button>
      )}
      {mistake && <TakeBack batch={batch} entry={mistake} close={() => setMistake(null)} />}
    </section>
  );
}

/** How often, and until when. */
function rhythm({ every, until, on }: Batch['coming'][number]): string {
  if (every === null || until === on) {
    return '';
  }
  return t('batch.every', { every, until: until === null ? 'none' : when(until, 'short') });
}

function Line({ entry, takeBack }: { entry: Entry; takeBack: (entry: Entry) => void }) {
  return (
    <li>
      <span className="soft">
        {when(entry.happenedAt, 'short')}
        <br />
        {when(entry.happenedAt, 'clock')}
      </span>
      <span className={entry.isReversed ? 'taken-back' : undefined}>
        {say(entry.text)}
        {entry.running !== null && <span className="soft">, {say(entry.running)}</span>}
      </span>
      {!entry.isReversed && entry.reversesId === null && (
        <Deed
          type="text"
          size="small"
          aria-label={t('batch.undo_entry', { entry: say(entry.text) })}
          onClick={() => takeBack(entry)}
        >
          ×
        </Deed>
      )}
    </li>
  );
}

/** A mistake: what taking it back does is seen before it is done. */
function TakeBack({ batch, entry, close }: { batch: Batch; entry: Entry; close: () => void }) {
  const preview = useReversalPreview(batch.id, entry.id);
  const takeBack = useReverseEntry(batch.id);
  const refusal = preview.data?.refusal ?? null;

  return (
    <Dialog
      open
      title={t('batch.undo_entry', { entry: say(entry.text) })}
      okText={t('action.undo')}
      cancelText={t('action.cancel')}
      okButtonProps={{ disabled: refusal !== null || !preview.data, loading: takeBack.isPending }}
      onCancel={close}
      onOk={() =>
        takeBack.mutate(entry.id, {
          onSuccess: close,
          onError: (refused) => complain(refused, 8),
        })
      }
    >
      <p className="soft">{t('batch.undo_about')}</p>
      {refusal && <Complaint>{refusal.of('entry') ?? refusal.message}</Complaint>}
      {preview.data?.effect && <EffectPreview {...preview.data.effect} />}
    </Dialog>
  );
}
