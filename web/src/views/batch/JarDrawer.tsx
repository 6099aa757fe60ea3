import { Checkbox } from 'antd';
import { Choice } from '../../app/Choice';
import type { Batch, JarClosing, KitchenJar } from '../../api/client';
import { useHouse } from '../../api/queries';
import { useCloseJar } from '../../api/tending';
import { Field } from '../../app/Field';
import { QuantityBox } from '../../app/QuantityBox';
import { SaveDrawer } from '../../app/SaveDrawer';
import { named, t } from '../../messages/words';
import { useTyped } from '../../app/typed';

/** What stands for "as it was": a hold-down that is not in the kitchen's list any more stays. */
const SAME = 'same';

/** The jar that a batch stands in, what lies on it and in it: as it is now. What the jars ask for follows it. */
export function JarDrawer({ batch, close }: { batch: Batch; close: () => void }) {
  const kitchen = useHouse().data;
  const save = useCloseJar(batch.id);
  const { vessel } = batch;
  const [changed, setChanged] = useTyped<JarClosing>('closing', {});
  const change = (part: JarClosing) => setChanged({ ...changed, ...part });
  const now = { ...vessel, ...changed };
  const jar = kitchen?.jars.find(({ id }) => id === now.jarId);
  const isTaken = save.error?.of('jarId') !== undefined;

  return (
    <SaveDrawer
      title={t('batch.vessel_title', { name: batch.name })}
      close={close}
      isKeeping={save.isPending}
      refusal={save.error}
      keep={() => void save.mutateAsync(changed).then(close, () => undefined)}
    >
      <div className="fields">
        <Field label={t('bench.jar')} name="jarId" refusal={save.error} wide>
          <Choice
            value={now.jarId ?? ''}
            onChange={(id) => change({ jarId: id === '' ? null : id, hasOneMore: false })}
            options={[
              ...(kitchen?.jars ?? []).map((one) => ({ value: one.id, label: one.name })),
              { value: '', label: t('bench.no_jar_yet') },
            ]}
          />
        </Field>
        {isTaken && (
          <Checkbox
            checked={changed.hasOneMore ?? false}
            onChange={(event) => change({ hasOneMore: event.target.checked })}
          >
            {t('bench.one_more')}
          </Checkbox>
        )}
        <Field label={t('bench.cover')} name="cover" refusal={save.error}>
          <Choice
            value={now.cover ?? ''}
            onChange={(cover: KitchenJar['cover'] | '') => change({ cover: cover === '' ? null : cover })}
            options={[
              { value: '' as const, label: jar ? named('cover', jar.cover) : t('bench.cover_usual') },
              ...(kitchen?.covers ?? []).map((cover) => ({ value: cover, label: named('cover', cover) })),
            ]}
          />
        </Field>
        <Field label={t('bench.headspace')} name="headspaceMm" refusal={save.error}>
          <QuantityBox
            measures="length"
            value={now.headspaceMm}
            change={(headspaceMm) => change({ headspaceMm: headspaceMm ?? 0 })}
          />
        </Field>
        <Field label={t('bench.hold_down')} name="holdDownId" refusal={save.error}>
          <Choice
            value={changed.holdDownId === undefined ? SAME : (changed.holdDownId ?? '')}
            onChange={(id: string) => change({ holdDownId: id === '' ? null : id })}
            options={[
              ...(changed.holdDownId === undefined
                ? [{ value: SAME, label: vessel.holdDown ?? t('bench.no_hold_down') }]
                : []),
              { value: '', label: t('bench.no_hold_down') },
              ...(kitchen?.holdDowns ?? []).map((one) => ({ value: one.id, label: one.name })),
            ]}
          />
        </Field>
        <Checkbox
          className="wide"
          checked={now.hasSaucer}
          onChange={(event) => change({ hasSaucer: event.target.checked })}
        >
          {t('bench.saucer')}
        </Checkbox>
      </div>
    </SaveDrawer>
  );
}
