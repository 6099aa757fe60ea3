import { joined, say, t } from '../../messages/words';
import { Button } from 'antd';
import { notices } from '../../app/notices';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import { Kept } from '../../api/change';
import { complain } from '../../app/complain';
import type { Batch, Refusal } from '../../api/client';
import { useEntryPreview, useHouse, useShelf, useRecordEntry } from '../../api/queries';
import { stored, usePersistentState } from '../../app/persistentState';
import type { Measure } from '../../instruments/Instrument';
import { EffectPreview } from './EffectPreview';
import { entryOf, eventForms, gramsOf, eventsOf, type EventName, type EventField, type EventInput } from './eventForms';
import { QuantityBox } from '../../app/QuantityBox';
import { useKeepBrine } from '../../api/tending';

/** What is being written down, and of what. */
type Draft = EventInput & { what: EventName | null };

const nothing: Draft = { what: null, grams: null, percent: null, saltId: null, jarId: null };

/** Something happened to a jar: what it does is seen before it is written. */
export function RecordEvent({ batch }: { batch: Batch }) {
  const kitchen = useHouse();
  const shelf = useShelf();
  const [told, change, forget] = usePersistentState<Draft>(keptAs(batch.id), () => draftOf(batch.id));
  const { what } = told;
  const entry = what === null ? null : entryOf(what, told);
  const preview = useEntryPreview(batch.id, entry);
  const write = useRecordEntry(batch.id);
  const keepBrine = useKeepBrine(batch.id);
  const refusal = write.error ?? keepBrine.error ?? preview.data?.refusal ?? null;

  const tell = (part: Partial<Draft>) => {
    change(part);
    write.reset();
    keepBrine.reset();
  };
  const begin = (next: EventName | null) => tell({ ...nothing, what: next });
  const putAway = (refusal: Refusal) => {
    if (refusal instanceof Kept) {
      forget();
      tell({});
      complain(refusal);
    }
  };
  const keep = () => {
    if (what === 'brineKept' && told.grams !== null) {
      keepBrine.mutate(told.grams, {
        onSuccess: (kept) => {
          forget();
          notices.done(t('batch.brine_kept', { name: kept.name }));
        },
        onError: putAway,
      });
    } else if (entry) {
      write.mutate(entry, {
        onSuccess: (after) => {
          forget();
          const others = writtenElsewhere(batch, after);
          notices.done(others === '' ? t('batch.saved') : t('batch.saved_others', { others }), others === '' ? 3 : 10);
        },
        onError: putAway,
      });
    }
  };

  const box = (field: 'grams' | 'percent', label: string, hint: string, takes: Measure) => (
    <QuantityBox
      key={field}
      measures={field}
      of={what === null || field === 'percent' ? {} : gramsOf(what, batch, told)}
      aria-label={label}
      placeholder={hint}
      value={told[field]}
      change={(next) => tell({ [field]: next })}
      data-takes={takes}
    />
  );
  const fields: Record<EventField, React.ReactElement> = {
    grams: box('grams', t('batch.amount'), t('batch.how_much'), 'weight'),
    percent: box('percent', t('batch.strength'), t('batch.strength_hint'), 'strength'),
    saltId: (
      <Choice
        key="saltId"
        aria-label={t('batch.which_salt')}
        placeholder={t('batch.which_salt_hint')}
        value={told.saltId}
        onChange={(saltId) => tell({ saltId })}
        options={(kitchen.data?.salts ?? []).map((salt) => ({ value: salt.id, label: salt.name }))}
      />
    ),
    jarId: (
      <Choice
        key="jarId"
        aria-label={t('batch.which_jar')}
        placeholder={t('batch.which_jar_hint')}
        value={told.jarId}
        onChange={(jarId) => tell({ jarId })}
        options={(shelf.data?.batches ?? [])
          .filter(({ id }) => id !== batch.id)
          .map((other) => ({ value: other.id, label: other.name }))}
      />
    ),
  };

  return (
    <section aria-label={t('batch.add_event')} className="write-down">
      <h2>{t('batch.add_event')}</h2>
      <div className="told">
        <Choice
          aria-label={t('batch.what_happened')}
          placeholder={t('batch.what_hint')}
          value={what}
          allowClear
          virtual={false}
          listHeight={460}
          onChange={(next) => begin(next ?? null)}
          options={eventsOf(batch)}
        />
        {what !== null && eventForms[what].asks.map((question) => fields[question])}
      </div>
      <Complaint>{refusal?.sentence}</Complaint>
      {entry && preview.data?.effect && !refusal && (
        <EffectPreview before={preview.data.effect.before} after={preview.data.effect.after} />
      )}
      {what !== null && (
        <Button
          type="primary"
          onClick={keep}
          loading={write.isPending || keepBrine.isPending}
          disabled={entry === null || (preview.data?.refusal ?? null) !== null}
        >
          {t('action.save')}
        </Button>
      )}
    </section>
  );
}

const keptAs = (batch: string): string => `tempesal.told.${batch}`;

/** What was being written down when the page was left; a happening that is known no longer is forgotten. */
function draftOf(batch: string): Draft {
  const draft = { ...nothing, ...stored<Draft>(keptAs(batch)) };
  return draft.what !== null && draft.what in eventForms ? draft : nothing;
}

/** What came into the jar's life beside the one entry that was just written, in words. */
function writtenElsewhere(before: Batch, after: Batch): string {
  return joined(
    after.entries
      .filter(({ id }) => before.entries.every((entry) => entry.id !== id))
      .toSorted((a, b) => a.position - b.position)
      .slice(0, -1)
      .map(({ text }) => say(text)),
  );
}
