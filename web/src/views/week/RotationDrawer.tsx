import { t } from '../../messages/words';
import { Button, Checkbox, Collapse, Input } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import type { Rotation, RotationLine } from '../../api/client';
import { useSaveRotation, useRotation, type RotationFields } from '../../api/planning';
import { Field } from '../../app/Field';
import { NumberBox } from '../../app/NumberBox';
import { SaveDrawer } from '../../app/SaveDrawer';
import { useTyped } from '../../app/typed';

const weekdays = [
  t('weekday_short.monday'),
  t('weekday_short.tuesday'),
  t('weekday_short.wednesday'),
  t('weekday_short.thursday'),
  t('weekday_short.friday'),
  t('weekday_short.saturday'),
  t('weekday_short.sunday'),
];
const months = [
  t('month_short.january'),
  t('month_short.february'),
  t('month_short.march'),
  t('month_short.april'),
  t('month_short.may'),
  t('month_short.june'),
  t('month_short.july'),
  t('month_short.august'),
  t('month_short.september'),
  t('month_short.october'),
  t('month_short.november'),
  t('month_short.december'),
];
const weightNames: Record<string, string> = {
  short: t('rotation_weight.missing'),
  variety: t('rotation_weight.kind'),
  urgency: t('rotation_weight.urgency'),
  over: t('rotation_weight.over'),
  sodium: t('rotation_weight.day'),
  repeat: t('rotation_weight.repeat'),
  keep: t('rotation_weight.change'),
  small: t('rotation_weight.small'),
  fair: t('rotation_weight.fair'),
};

/** What comes round: which kinds, on which days or how often, in which order and season. */
export function RotationDrawer({ close }: { close: () => void }) {
  const rotation = useRotation();

  return rotation.data ? <Lines rotation={rotation.data} close={close} /> : null;
}

function Lines({ rotation, close }: { rotation: Rotation; close: () => void }) {
  const keep = useSaveRotation();
  const [fields, setFields] = useTyped<RotationFields>('rotation', () => ({
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
      title={t('rotation.title')}
      close={close}
      keep={() => {
        void keep.mutateAsync(fields).then(close, () => undefined);
      }}
      isKeeping={keep.isPending}
      refusal={refusal}
    >
      <p className="soft">{t('rotation.about')}</p>
      {lines.map((line, at) => (
        <fieldset key={line.id ?? `new ${String(at)}`} className="round-line">
          <legend>
            <Input
              aria-label={t('rotation.line_name', { number: String(at + 1) })}
              value={line.name}
              onChange={(event) => change(at, { name: event.target.value })}
            />
          </legend>
          <Complaint>{refusal?.of(`lines.${String(at)}.name`)}</Complaint>
          <div className="fields">
            <Field label={t('rotation.formula')} wide>
              <Choice
                allowClear
                showSearch={{ optionFilterProp: 'label' }}
                value={line.formulaId ?? undefined}
                onChange={(formulaId?: string) => change(at, { formulaId: formulaId ?? null })}
                options={rotation.formulas.map(({ id, name }) => ({ value: id, label: name }))}
              />
            </Field>
            <Field label={t('rotation.jars')} wide>
              <Choice
                mode="multiple"
                showSearch={{ optionFilterProp: 'label' }}
                value={line.likenesses}
                onChange={(likenesses: string[]) => change(at, { likenesses })}
                options={rotation.kinds.map(({ likeness, name }) => ({
                  value: likeness,
                  label: t('rotation.like', { name }),
                }))}
              />
            </Field>
            <Field label={t('rotation.days')} wide>
              <Choice
                mode="multiple"
                placeholder={t('rotation.any_day')}
                value={line.weekdays}
                onChange={(days: number[]) => change(at, { weekdays: days })}
                options={weekdays.map((name, i) => ({ value: i + 1, label: name }))}
              />
            </Field>
            {line.weekdays.length === 0 && (
              <Field label={t('rotation.times')} name={`lines.${String(at)}.timesAWeek`} refusal={refusal}>
                <NumberBox
                  min={0}
                  max={7}
                  value={line.timesAWeek}
                  onChange={(times) => change(at, { timesAWeek: times ?? 0 })}
                />
              </Field>
            )}
            <Field label={t('rotation.months')} wide>
              <Choice
                mode="multiple"
                placeholder={t('rotation.all_year')}
                value={line.months}
                onChange={(made: number[]) => change(at, { months: made })}
                options={months.map((name, i) => ({ value: i + 1, label: name }))}
              />
            </Field>
          </div>
          <div className="words">
            <Button
              disabled={at === 0}
              aria-label={t('rotation.earlier', { name: line.name })}
              onClick={() => setLines(moved(lines, at, at - 1))}
            >
              ↑
            </Button>
            <Button
              disabled={at === lines.length - 1}
              aria-label={t('rotation.later', { name: line.name })}
              onClick={() => setLines(moved(lines, at, at + 1))}
            >
              ↓
            </Button>
            <Button type="text" onClick={() => setLines(lines.filter((_, i) => i !== at))}>
              {t('action.remove')}
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
              name: t('rotation.other'),
              formulaId: null,
              likenesses: [],
              weekdays: [],
              timesAWeek: 2,
              months: [],
            },
          ])
        }
      >
        {t('rotation.add')}
      </Button>
      <div className="fields drawer-part">
        <Checkbox checked={fields.hasNew} onChange={(event) => setFields({ ...fields, hasNew: event.target.checked })}>
          {t('rotation.new_each_week')}
        </Checkbox>
        <Field label={t('rotation.per_day')} name="perDay" refusal={refusal}>
          <NumberBox
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
            label: t('rotation.weights'),
            children: (
              <div className="fields">
                {Object.entries(weightNames).map(([key, says]) => (
                  <Field key={key} label={says} name={`weights.${key}`} refusal={refusal}>
                    <NumberBox
                      value={fields.weights[key] ?? 0}
                      onChange={(value) => setFields({ ...fields, weights: { ...fields.weights, [key]: value ?? 0 } })}
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
