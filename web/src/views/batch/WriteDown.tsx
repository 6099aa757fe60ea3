import { App, Button, InputNumber, Select } from 'antd';
import { useState } from 'react';
import type { Batch, BatchNumbers, Refusal } from '../../api/client';
import { requestKey, useEntryPreview, useKitchen, useShelf, useWriteEntry } from '../../api/queries';
import { grams, sodium } from '../../app/numbers';
import {
  entryOf,
  happenings,
  happeningsOf,
  type HappeningName,
  type Question,
  type Told,
} from './happenings';

const phaseWords = { pieces: 'pieces', brine: 'brine', sauce: 'mash' } as const;
const nothingTold: Told = { grams: null, percent: null, saltId: null, jarId: null };

/** Something happened to a jar: what it does is seen before it is written. */
export function WriteDown({ batch }: { batch: Batch }) {
  const { message } = App.useApp();
  const kitchen = useKitchen();
  const shelf = useShelf();
  const [what, setWhat] = useState<HappeningName | null>(null);
  const [told, setTold] = useState(nothingTold);
  const [key, setKey] = useState(requestKey);
  const entry = what === null ? null : entryOf(what, told);
  const preview = useEntryPreview(batch.id, entry);
  const write = useWriteEntry(batch.id);
  const refusal = write.error ?? preview.data?.refusal ?? null;

  const begin = (next: HappeningName | null) => {
    setWhat(next);
    setTold(nothingTold);
    setKey(requestKey());
    write.reset();
  };
  const tell = (change: Partial<Told>) => {
    setTold({ ...told, ...change });
    setKey(requestKey());
    write.reset();
  };
  const keep = () =>
    entry &&
    write.mutate(
      { entry, requestKey: key },
      {
        onSuccess: () => {
          begin(null);
          void message.success('Written down.');
        },
      },
    );

  const fields: Record<Question, React.ReactElement> = {
    grams: (
      <InputNumber
        key="grams"
        aria-label="How much"
        placeholder="how much"
        min={0}
        value={told.grams}
        onChange={(next) => tell({ grams: next })}
        suffix="g"
      />
    ),
    percent: (
      <InputNumber
        key="percent"
        aria-label="Strength"
        placeholder="strength"
        min={0}
        step={0.1}
        value={told.percent}
        onChange={(next) => tell({ percent: next })}
        suffix="%"
      />
    ),
    saltId: (
      <Select
        key="saltId"
        aria-label="Which salt"
        placeholder="which salt"
        value={told.saltId}
        onChange={(saltId) => tell({ saltId })}
        options={(kitchen.data?.salts ?? []).map((salt) => ({ value: salt.id, label: salt.name }))}
      />
    ),
    jarId: (
      <Select
        key="jarId"
        aria-label="Which jar"
        placeholder="which jar"
        value={told.jarId}
        onChange={(jarId) => tell({ jarId })}
        options={(shelf.data?.batches ?? [])
          .filter(({ id }) => id !== batch.id)
          .map((other) => ({ value: other.id, label: other.name }))}
      />
    ),
  };

  return (
    <section aria-label="Write down" className="write-down">
      <h2>Something happened</h2>
      <div className="told">
        <Select
          aria-label="What happened"
          placeholder="what?"
          value={what}
          allowClear
          listHeight={460}
          onChange={(next) => begin(next ?? null)}
          options={happeningsOf(batch)}
        />
        {what !== null && happenings[what].asks.map((question) => fields[question])}
      </div>
      {refusal && (
        <p className="complaint" role="alert">
          {firstSentence(refusal)}
        </p>
      )}
      {entry && preview.data?.effect && !refusal && (
        <Effect before={preview.data.effect.before} after={preview.data.effect.after} />
      )}
      {what !== null && (
        <Button
          type="primary"
          onClick={keep}
          loading={write.isPending}
          disabled={entry === null || (preview.data?.refusal ?? null) !== null}
        >
          Write it down
        </Button>
      )}
    </section>
  );
}

/** Each part of the jar as it is and as it would be. */
function Effect({ before, after }: { before: BatchNumbers; after: BatchNumbers }) {
  return (
    <table className="effect" aria-label="What it does">
      <tbody>
        {after.phases.map((then) => {
          const now = before.phases.find(({ phase }) => phase === then.phase);
          return (
            <tr key={then.phase}>
              <th scope="row">{phaseWords[then.phase]}</th>
              <td className="soft">{now ? `${grams(now.grams)}, ${sodium(now.per100g)}` : 'none'}</td>
              <td aria-hidden="true">→</td>
              <td data-testid={`${then.phase}-after`}>
                {grams(then.grams)}, {sodium(then.per100g)}
              </td>
            </tr>
          );
        })}
      </tbody>
      <caption>
        weight, and sodium in 100 g, at once
        {after.phases.length > 1 && '; the pieces follow the brine over hours'}
      </caption>
    </table>
  );
}

function firstSentence(refusal: Refusal): string {
  return Object.values(refusal.fields)[0]?.[0] ?? refusal.message;
}
