import { chosenLanguage, readerLocale } from '../../messages/catalogue';
import { say, t } from '../../messages/words';
import { Input } from 'antd';
import { Choice } from '../../app/Choice';
import type { Kitchen } from '../../api/client';
import { Kept } from '../../api/change';
import { complain } from '../../app/complain';
import { useEdits } from '../../api/edits';
import { useChangeHousehold } from '../../api/kitchen';
import { Field } from '../../app/Field';
import { UnitsFields } from '../../app/UnitsFields';
import { Deed } from '../../app/Deed';
import { Calendar } from './Calendar';
import { ForksAndSpoons } from './ForksAndSpoons';
import { KitchenFile } from './KitchenFile';

const days = [
  t('weekday.monday'),
  t('weekday.tuesday'),
  t('weekday.wednesday'),
  t('weekday.thursday'),
  t('weekday.friday'),
  t('weekday.saturday'),
  t('weekday.sunday'),
];
const zones = Intl.supportedValuesOf('timeZone');

/** "British English", in the reader's language. */
const languageName = (locale: string): string =>
  new Intl.DisplayNames(readerLocale(), { type: 'language' }).of(locale) ?? locale;

/** How the kitchen measures and counts its days. */
export function House({ kitchen }: { kitchen: Kitchen }) {
  const now = {
    name: kitchen.name,
    timeZone: kitchen.timeZone,
    language: kitchen.language,
    spoonSystem: kitchen.spoonSystem,
    usesInches: kitchen.usesInches,
    usesFahrenheit: kitchen.usesFahrenheit,
    measureBy: kitchen.measureBy,
    weekStart: kitchen.weekStart,
    quietFrom: kitchen.quietFrom,
    quietTo: kitchen.quietTo,
    aim: kitchen.aim,
  };
  const { fields, change, body, saved, onError } = useEdits('house', { version: kitchen.version, fields: now }, now);
  const save = useChangeHousehold();

  return (
    <form
      className="house"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(body(), {
          onSuccess: (after) => saved(after.version),
          onError: (refusal) => {
            onError(refusal);
            if (refusal instanceof Kept) {
              complain(refusal);
            }
          },
        });
      }}
    >
      <div className="fields">
        <Field label={t('house.name')} name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <Field label={t('house.time_zone')} name="timeZone" refusal={save.error}>
          <Choice
            showSearch
            value={fields.timeZone}
            onChange={(timeZone: string) => change({ timeZone })}
            options={[...new Set([fields.timeZone, 'UTC', ...zones])].map((value) => ({
              value,
              label: value,
            }))}
          />
        </Field>
        <Field label={t('house.week_start')} name="weekStart" refusal={save.error}>
          <Choice
            value={fields.weekStart}
            onChange={(weekStart: number) => change({ weekStart })}
            options={days.map((label, i) => ({ value: i + 1, label }))}
          />
        </Field>
        <UnitsFields units={fields} change={change} refusal={save.error} />
        <Field label={t('house.quiet_from')} name="quietFrom" refusal={save.error}>
          <Input type="time" value={fields.quietFrom} onChange={(event) => change({ quietFrom: event.target.value })} />
        </Field>
        <Field label={t('house.quiet_until')} name="quietTo" refusal={save.error}>
          <Input type="time" value={fields.quietTo} onChange={(event) => change({ quietTo: event.target.value })} />
        </Field>
        <Field label={t('house.language')} name="language" refusal={save.error} wide>
          <Choice
            showSearch={{ optionFilterProp: 'label' }}
            value={fields.language}
            onChange={(language: string) => change({ language })}
            options={[...new Set([fields.language, chosenLanguage(), ...kitchen.languages])].map((value) => ({
              value,
              label: languageName(value),
            }))}
          />
        </Field>
        <Field label={t('house.aim')} name="aim" refusal={save.error} wide>
          <Choice
            value={fields.aim}
            onChange={(aim) => change({ aim })}
            options={kitchen.aims.map((aim) => ({ value: aim.id, label: say(aim.label) }))}
          />
        </Field>
      </div>
      <p className="soft">{t('house.quiet_about')}</p>
      <div className="drawer-part">
        <Deed type="primary" htmlType="submit" loading={save.isPending}>
          {t('action.save')}
        </Deed>
        {save.isSuccess && <span className="soft">{t('house.saved')}</span>}
      </div>
      <ForksAndSpoons kitchen={kitchen} />
      <Calendar />
      <KitchenFile />
    </form>
  );
}
