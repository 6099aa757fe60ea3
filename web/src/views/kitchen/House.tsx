import { Button, Input, Segmented, Select } from 'antd';
import type { Kitchen } from '../../api/client';
import { useEdits } from '../../api/edits';
import { useChangeHousehold } from '../../api/kitchen';
import { Field } from '../../app/Field';
import { Calendar } from './Calendar';
import { KitchenFile } from './KitchenFile';

const days = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const zones = Intl.supportedValuesOf('timeZone');

/** How the kitchen measures and counts its days. */
export function House({ kitchen }: { kitchen: Kitchen }) {
  const now = {
    name: kitchen.name,
    timeZone: kitchen.timeZone,
    spoonSystem: kitchen.spoonSystem,
    measureBy: kitchen.measureBy,
    weekStart: kitchen.weekStart,
    quietFrom: kitchen.quietFrom,
    quietTo: kitchen.quietTo,
    aim: kitchen.aim,
  };
  const { fields, change, body, saved, onError } = useEdits({ version: kitchen.version, fields: now }, now);
  const save = useChangeHousehold();

  return (
    <form
      className="house"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(body(), { onSuccess: (after) => saved(after.version), onError });
      }}
    >
      <div className="fields">
        <Field label="Name of the kitchen" name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <Field label="Its days are those of" name="timeZone" refusal={save.error}>
          <Select
            showSearch
            value={fields.timeZone}
            onChange={(timeZone: string) => change({ timeZone })}
            options={[...new Set([fields.timeZone, 'UTC', ...zones])].map((value) => ({
              value,
              label: value,
            }))}
          />
        </Field>
        <Field label="The week starts on" name="weekStart" refusal={save.error}>
          <Select
            value={fields.weekStart}
            onChange={(weekStart: number) => change({ weekStart })}
            options={days.map((label, i) => ({ value: i + 1, label }))}
          />
        </Field>
        <Field label="Measures by" name="measureBy" refusal={save.error}>
          <Segmented
            value={fields.measureBy}
            onChange={(measureBy) => change({ measureBy })}
            options={['grams', 'spoons'] as const}
          />
        </Field>
        <Field label="Its spoons are" name="spoonSystem" refusal={save.error}>
          <Select
            value={fields.spoonSystem}
            onChange={(spoonSystem) => change({ spoonSystem })}
            options={[
              { value: 'us' as const, label: 'US: tbsp 14.8 ml, cup 237 ml' },
              { value: 'metric' as const, label: 'metric: tbsp 15 ml, cup 250 ml' },
              { value: 'australian' as const, label: 'Australian: tbsp 20 ml, cup 250 ml' },
            ]}
          />
        </Field>
        <Field label="Quiet from" name="quietFrom" refusal={save.error}>
          <Input
            type="time"
            value={fields.quietFrom}
            onChange={(event) => change({ quietFrom: event.target.value })}
          />
        </Field>
        <Field label="Quiet until" name="quietTo" refusal={save.error}>
          <Input
            type="time"
            value={fields.quietTo}
            onChange={(event) => change({ quietTo: event.target.value })}
          />
        </Field>
        <Field label="Jars are ready when they are" name="aim" refusal={save.error} wide>
          <Select
            value={fields.aim}
            onChange={(aim) => change({ aim })}
            options={kitchen.aims.map((aim) => ({ value: aim.id, label: aim.label }))}
          />
        </Field>
      </div>
      <p className="soft">
        In quiet hours nothing calls; what falls due then is called for before they begin. The same hour twice
        means never quiet.
      </p>
      <div className="drawer-part">
        <Button type="primary" htmlType="submit" loading={save.isPending}>
          Keep
        </Button>
        {save.isSuccess && <span className="soft"> Kept.</span>}
      </div>
      <Calendar />
      <KitchenFile />
    </form>
  );
}
