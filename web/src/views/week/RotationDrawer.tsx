import { Button, Checkbox, Collapse, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import type { Rotation, RotationLine } from '../../api/client';
import { useKeepRotation, useRotation, type RotationFields } from '../../api/planning';
import { Field } from '../../app/Field';
import { SaveDrawer } from '../../app/SaveDrawer';

const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const weightNames: Record<string, string> = {
  short: 'a live serving that is missing',
  variety: 'a kind of ferment that someone meets',
  urgency: 'a jar that wants to be used up',
  over: 'a milligram past the target',
  sodium: 'a whole day’s target of sodium',
  repeat: 'the same on two days running',
  keep: 'leaving things as they were',
};

/** What comes round: which kinds, on which days or how often, in which order and season. */
export function RotationDrawer({ close }: { close: () => void }) {
  const rotation = useRotation();

  return rotation.data ? <Lines rotation={rotation.data} close={close} /> : null;
}

function Lines({ rotation, close }: { rotation: Rotation; close: () => void }) {
  const keep = useKeepRotation();
  const [fields, setFields] = useState<RotationFields>(() => ({
    lines: rotation.lines,
    perDay: rotation.perDay,
    hasNew: rotation.hasNew,
    weights: rotation.weights,
  }));
  const lines = fields.lines;
  const setLines = (next: RotationLine[]) => setFields({ ...fields, lines: next });
  const change = (at: number, part: Partial<RotationLine>) =>
    setLines(lines.map((line, i) => (i === at ? { ...line, ...part } : line)));
  const refusal = keep.error;

  return (
    <SaveDrawer
      title="What comes round"
      close={close}
      keep={() => {
        void keep.mutateAsync(fields).then(close, () => undefined);
      }}
      isKeeping={keep.isPending}
      refusal={refusal}
    >
      <p className="soft">
        The first in the list goes first. What has no days of its own is spread over the week. A plan puts
        them down where they fit.
      </p>
      {lines.map((line, at) => (
        <fieldset key={line.id ?? `new ${String(at)}`} className="round-line">
          <legend>
            <Input
              aria-label={`Name of line ${String(at + 1)}`}
              value={line.name}
              onChange={(event) => change(at, { name: event.target.value })}
            />
          </legend>
          {refusal?.of(`lines.${String(at)}.name`) && (
            <p className="complaint" role="alert">
              {refusal.of(`lines.${String(at)}.name`)}
            </p>
          )}
          <div className="fields">
            <Field label="Made by this formula" wide>
              <Select
                allowClear
                showSearch={{ optionFilterProp: 'label' }}
                value={line.formulaId ?? undefined}
                onChange={(formulaId?: string) => change(at, { formulaId: formulaId ?? null })}
                options={rotation.formulas.map(({ id, name }) => ({ value: id, label: name }))}
              />
            </Field>
            <Field label="Jars that count as it, too" wide>
              <Select
                mode="multiple"
                showSearch={{ optionFilterProp: 'label' }}
                value={line.likenesses}
                onChange={(likenesses: string[]) => change(at, { likenesses })}
                options={rotation.kinds.map(({ likeness, name }) => ({
                  value: likeness,
                  label: `like ${name}`,
                }))}
              />
            </Field>
            <Field label="On these days" wide>
              <Select
                mode="multiple"
                placeholder="any day"
                value={line.weekdays}
                onChange={(days: number[]) => change(at, { weekdays: days })}
                options={weekdays.map((name, i) => ({ value: i + 1, label: name }))}
              />
            </Field>
            {line.weekdays.length === 0 && (
              <Field label="Times a week, each" name={`lines.${String(at)}.timesAWeek`} refusal={refusal}>
                <InputNumber
                  min={0}
                  max={7}
                  value={line.timesAWeek}
                  onChange={(times) => change(at, { timesAWeek: times ?? 0 })}
                />
              </Field>
            )}
            <Field label="Made in these months" wide>
              <Select
                mode="multiple"
                placeholder="all year"
                value={line.months}
                onChange={(made: number[]) => change(at, { months: made })}
                options={months.map((name, i) => ({ value: i + 1, label: name }))}
              />
            </Field>
          </div>
          <div className="words">
            <Button
              disabled={at === 0}
              aria-label={`${line.name} earlier`}
              onClick={() => setLines(moved(lines, at, at - 1))}
            >
              ↑
            </Button>
            <Button
              disabled={at === lines.length - 1}
              aria-label={`${line.name} later`}
              onClick={() => setLines(moved(lines, at, at + 1))}
            >
              ↓
            </Button>
            <Button type="text" onClick={() => setLines(lines.filter((_, i) => i !== at))}>
              Take out
            </Button>
          </div>
        </fieldset>
      ))}
      <Button
        onClick={() =>
          setLines([
            ...lines,
            {
              id: null,
              name: 'Something else',
              formulaId: null,
              likenesses: [],
              weekdays: [],
              timesAWeek: 2,
              months: [],
            },
          ])
        }
      >
        One more kind
      </Button>
      <div className="fields drawer-part">
        <Checkbox
          checked={fields.hasNew}
          onChange={(event) => setFields({ ...fields, hasNew: event.target.checked })}
        >
          Something new for everyone each week
        </Checkbox>
        <Field label="Servings on a day at most, each" name="perDay" refusal={refusal}>
          <InputNumber
            min={1}
            max={6}
            value={fields.perDay}
            onChange={(perDay) => setFields({ ...fields, perDay: perDay ?? 1 })}
          />
        </Field>
      </div>
      <Collapse
        className="drawer-part"
        items={[
          {
            key: 'weights',
            label: 'What counts how much in a plan',
            children: (
              <div className="fields">
                {Object.entries(weightNames).map(([key, says]) => (
                  <Field key={key} label={says} name={`weights.${key}`} refusal={refusal}>
                    <InputNumber
                      value={fields.weights[key] ?? 0}
                      onChange={(value) =>
                        setFields({ ...fields, weights: { ...fields.weights, [key]: value ?? 0 } })
                      }
                    />
                  </Field>
                ))}
              </div>
            ),
          },
        ]}
      />
    </SaveDrawer>
  );
}

function moved<T>(list: T[], from: number, to: number): T[] {
  const next = list.filter((_, i) => i !== from);
  return [...next.slice(0, to), ...list.slice(from, from + 1), ...next.slice(to)];
}
