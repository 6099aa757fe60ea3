import { named, say, t, T } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button, DatePicker, Input } from 'antd';
import { useOpened } from '../../app/addressState';
import { Complaint } from '../../app/Complaint';
import { Choice } from '../../app/Choice';
import { Fragment } from 'react';
import type { Kitchen, KitchenPerson, Refusal } from '../../api/client';
import { useEdits } from '../../api/edits';
import { useRemovePerson, useSavePerson } from '../../api/kitchen';
import { usePresets } from '../../api/queries';
import { AllergensField } from '../../app/AllergensField';
import { Field } from '../../app/Field';
import { NumberBox } from '../../app/NumberBox';
import { SaveDrawer } from '../../app/SaveDrawer';
import { NumberField } from '../../app/NumberField';
import { meals } from '../../app/meals';
import { grams, mg } from '../../app/numbers';
import { Deed } from '../../app/Deed';

const weekdays = [
  t('weekday_short.monday'),
  t('weekday_short.tuesday'),
  t('weekday_short.wednesday'),
  t('weekday_short.thursday'),
  t('weekday_short.friday'),
  t('weekday_short.saturday'),
  t('weekday_short.sunday'),
];
const OWN = 'own';

/** Who eats, up to which limit, and how much of it the rest of the diet takes. */
export function People({ kitchen }: { kitchen: Kitchen }) {
  const { isOpen, thing, open, close } = useOpened('person', kitchen.people);

  return (
    <>
      <p className="soft cupboard-note">{t('people.caution')}</p>
      <div className="people">
        {kitchen.people.map((person) => (
          <article key={person.id} className="person">
            <header>
              <h2>{person.name}</h2>
              <Deed onClick={() => open(person)} aria-label={t('people.edit', { name: person.name })}>
                {t('action.edit')}
              </Deed>
            </header>
            <p>
              <T
                m="people.target"
                v={{
                  target: mg(person.targetMg),
                  source: say(person.targetSource),
                  b0: (c) => <b>{c}</b>,
                  s1: (c) => <span className="soft">{c}</span>,
                }}
              />
              {person.before[0] && (
                <span className="soft">
                  {' · '}
                  {t('people.target_before', {
                    day: when(person.before[0].until, 'year'),
                    target: mg(person.before[0].targetMg),
                  })}
                </span>
              )}
            </p>
            <WeekOfRest person={person} />
            <p className="soft">
              {t('people.usual', {
                portion: grams(person.usualServingGrams),
                condiment: grams(person.usualCondimentGrams),
                goal: person.liveGoal,
              })}
            </p>
            <div className="words">
              {person.allergens.map((allergen) => (
                <span key={allergen} className="word is-clash">
                  {t('people.no_allergen', { allergen: named('allergen', allergen) })}
                </span>
              ))}
              {person.dislikes.map((key) => (
                <span key={key} className="word">
                  {t('people.dislikes', {
                    food: kitchen.ingredients.find((food) => food.key === key)?.name ?? key,
                  })}
                </span>
              ))}
            </div>
          </article>
        ))}
      </div>
      <Deed type="primary" onClick={() => open()}>
        {t('people.add')}
      </Deed>
      {isOpen && <PersonDrawer kitchen={kitchen} person={thing} close={close} />}
    </>
  );
}

type RestOfDay = KitchenPerson['restOfDiet'][string];

const noRest: RestOfDay = { morning: 0, noon: 0, evening: 0 };

const sumOf = (day: RestOfDay = noRest): number => day.morning + day.noon + day.evening;

/** The rest of the diet on each weekday, standing in the room that the target leaves. */
function WeekOfRest({ person }: { person: KitchenPerson }) {
  const rest = weekdays.map((_, i) => sumOf(person.restOfDiet[String(i + 1)]));
  const most = Math.max(person.targetMg, ...rest);
  const height = 64;

  return (
    <svg
      role="img"
      aria-label={t('people.background', {
        days: weekdays.map((day, i) => `${day} ${mg(rest[i] ?? 0)}`).join(', '),
        target: mg(person.targetMg),
      })}
      viewBox={`0 0 224 ${height + 18}`}
      className="week-of-rest"
    >
      {rest.map((_, i) => (
        <g key={weekdays[i]} transform={`translate(${i * 32} 0)`}>
          <rect
            x={4}
            width={22}
            y={height * (1 - person.targetMg / most)}
            height={height * (person.targetMg / most)}
            fill="none"
            stroke="var(--line-strong)"
          />
          {meals.map((meal, at) => {
            const below = meals
              .slice(0, at)
              .reduce((sum, one) => sum + (person.restOfDiet[String(i + 1)]?.[one] ?? 0), 0);
            const sodium = person.restOfDiet[String(i + 1)]?.[meal] ?? 0;
            return (
              <rect
                key={meal}
                x={4}
                width={22}
                y={height * (1 - (below + sodium) / most)}
                height={height * (sodium / most)}
                fill="var(--rest)"
                stroke="var(--panel)"
                strokeWidth={0.75}
              />
            );
          })}
          <text x={15} y={height + 14} textAnchor="middle" fontSize={11} fill="var(--ink-soft)">
            {weekdays[i]}
          </text>
        </g>
      ))}
    </svg>
  );
}

interface DrawerProps {
  kitchen: Kitchen;
  person: KitchenPerson | null;
  close: () => void;
}

/** Someone new, before anything is typed. */
const newPerson = {
  name: '',
  preset: 'who_adult' as string | null,
  targetMg: null as number | null,
  targetSource: null as string | null,
  usualServingGrams: 40,
  usualCondimentGrams: 10,
  liveGoal: 1,
  limitIsHard: false,
  isCareful: false,
  dietKnowledge: 'rough' as KitchenPerson['dietKnowledge'],
  restOfDiet: Object.fromEntries(
    weekdays.map((_, i) => [String(i + 1), { morning: 320, noon: 460, evening: 520 }]),
  ) as KitchenPerson['restOfDiet'],
  holds: 'from_today' as 'from_today' | 'always',
  allergens: [] as string[],
  dislikes: [] as string[],
  away: [] as string[],
  stays: [] as string[],
};

const fieldsOf = (person: KitchenPerson): typeof newPerson => ({
  name: person.name,
  preset: null,
  targetMg: person.targetMg,
  targetSource: say(person.targetSource),
  usualServingGrams: person.usualServingGrams,
  usualCondimentGrams: person.usualCondimentGrams,
  liveGoal: person.liveGoal,
  limitIsHard: person.limitIsHard,
  isCareful: person.isCareful,
  dietKnowledge: person.dietKnowledge,
  restOfDiet: person.restOfDiet,
  holds: 'from_today',
  allergens: person.allergens,
  dislikes: person.dislikes,
  away: person.away,
  stays: person.stays,
});

function PersonDrawer({ kitchen, person, close }: DrawerProps) {
  const presets = usePresets();
  const { fields, change, body, onError } = useEdits(
    `person ${person?.id ?? ''}`,
    person && { version: person.version, fields: fieldsOf(person) },
    newPerson,
  );
  const save = useSavePerson(person?.id ?? null);
  const leave = useRemovePerson();
  const isNew =
    fields.preset !== null ||
    fields.targetMg !== person?.targetMg ||
    JSON.stringify(fields.restOfDiet) !== JSON.stringify(person.restOfDiet);

  return (
    <SaveDrawer
      title={person ? person.name : t('people.add')}
      close={close}
      keep={() => save.mutate(body(), { onSuccess: close, onError })}
      isKeeping={save.isPending}
      refusal={save.error}
      others={
        person && kitchen.people.length > 1
          ? [{ says: t('action.delete'), do: () => leave.mutate(person.id, { onSuccess: close }) }]
          : []
      }
    >
      <div className="fields">
        <Field label={t('field.name')} name="name" refusal={save.error} wide>
          <Input value={fields.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <Field label={t('people.limit')} name="preset" refusal={save.error} wide>
          <Choice
            showSearch={{ optionFilterProp: 'label' }}
            value={fields.preset ?? OWN}
            onChange={(preset) =>
              change(preset === OWN ? { preset: null, targetMg: fields.targetMg ?? 1500 } : { preset })
            }
            options={[
              ...(presets.data?.targets ?? []).map((target) => ({
                value: target.id,
                label: `${mg(target.milligrams)}, ${say(target.label)}. ${say(target.source)}`,
              })),
              { value: OWN, label: t('people.own_number') },
            ]}
          />
        </Field>
        <p className="soft" style={{ gridColumn: '1 / -1', margin: 0 }}>
          {t('people.under_one')}
        </p>
        {fields.preset === null && (
          <>
            <Field label={t('people.mg')} name="targetMg" refusal={save.error}>
              <NumberBox value={fields.targetMg} onChange={(targetMg) => change({ targetMg })} suffix={t('unit.mg')} />
            </Field>
            <Field label={t('people.source')} name="targetSource" refusal={save.error}>
              <Input
                value={fields.targetSource ?? ''}
                onChange={(event) => change({ targetSource: event.target.value })}
              />
            </Field>
          </>
        )}
        <NumberField
          label={t('people.portion')}
          name="usualServingGrams"
          refusal={save.error}
          value={fields.usualServingGrams}
          change={(value) => change({ usualServingGrams: value })}
          measures="grams"
        />
        <NumberField
          label={t('people.condiment')}
          name="usualCondimentGrams"
          refusal={save.error}
          value={fields.usualCondimentGrams}
          change={(value) => change({ usualCondimentGrams: value })}
          measures="grams"
        />
        <NumberField
          label={t('people.live_goal')}
          name="liveGoal"
          refusal={save.error}
          value={fields.liveGoal}
          change={(value) => change({ liveGoal: value })}
        />
        <Field label={t('people.planning')} name="limitIsHard" refusal={save.error}>
          <Choice
            value={fields.limitIsHard}
            onChange={(limitIsHard) => change({ limitIsHard })}
            options={[
              { value: false, label: t('people.limit_soft') },
              { value: true, label: t('people.limit_hard') },
            ]}
          />
        </Field>
        <Field label={t('people.careful')} name="isCareful" refusal={save.error}>
          <Choice
            value={fields.isCareful}
            onChange={(isCareful) => change({ isCareful })}
            options={[
              { value: false, label: t('people.careful_no') },
              { value: true, label: t('people.careful_yes') },
            ]}
          />
        </Field>
      </div>
      <Spans
        label={t('people.away')}
        name="away"
        spans={fields.away}
        change={(away) => change({ away })}
        refusal={save.error}
      />
      <Spans
        label={t('people.stays')}
        name="stays"
        spans={fields.stays}
        change={(stays) => change({ stays })}
        refusal={save.error}
      />
      <h3 className="drawer-part">{t('people.background_title')}</h3>
      <Field label={t('people.knowledge')} name="dietKnowledge" refusal={save.error}>
        <Choice
          value={fields.dietKnowledge}
          onChange={(dietKnowledge) => change({ dietKnowledge })}
          options={(['rough', 'typical', 'weighed'] as const).map((value) => ({
            value,
            label: t(`diet_knowledge.${value}`),
          }))}
        />
      </Field>
      <RestOfDiet
        rest={fields.restOfDiet}
        change={(restOfDiet) => change({ restOfDiet })}
        complaint={weekdays
          .flatMap((_, i) => ['', '.morning', '.noon', '.evening'].map((meal) => `restOfDiet.${i + 1}${meal}`))
          .map((path) => save.error?.of(path))
          .find((text) => text !== undefined)}
      />
      {person && isNew && (
        <div className="fields drawer-part">
          <Field label={t('people.holds')} name="holds" refusal={save.error} wide>
            <Choice
              value={fields.holds}
              onChange={(holds) => change({ holds })}
              options={[
                { value: 'from_today', label: t('people.from_today') },
                { value: 'always', label: t('people.always') },
              ]}
            />
          </Field>
        </div>
      )}
      <div className="fields drawer-part">
        <AllergensField
          label={t('people.allergies')}
          kitchen={kitchen}
          allergens={fields.allergens}
          change={change}
          refusal={save.error}
        />
        <Field label={t('people.does_not_like')} name="dislikes" refusal={save.error} wide>
          <Choice
            mode="multiple"
            showSearch={{ optionFilterProp: 'label' }}
            value={fields.dislikes}
            onChange={(dislikes: string[]) => change({ dislikes })}
            options={kitchen.ingredients.map((food) => ({ value: food.key, label: food.name }))}
          />
        </Field>
      </div>
    </SaveDrawer>
  );
}

interface RestProps {
  rest: KitchenPerson['restOfDiet'];
  change: (rest: KitchenPerson['restOfDiet']) => void;
  complaint: string | undefined;
}

/** What each meal of each weekday brings, with the sum of the day below. */
function RestOfDiet({ rest, change, complaint }: RestProps) {
  const of = (day: number): RestOfDay => rest[String(day)] ?? noRest;

  return (
    <>
      <div className="rest-meals">
        <span />
        {weekdays.map((day) => (
          <b key={day}>{day}</b>
        ))}
        {meals.map((meal) => (
          <Fragment key={meal}>
            <span>{meal}</span>
            {weekdays.map((day, i) => (
              <NumberBox
                key={day}
                aria-label={`${day}, ${meal}`}
                controls={false}
                value={of(i + 1)[meal]}
                onChange={(value) => change({ ...rest, [String(i + 1)]: { ...of(i + 1), [meal]: value ?? 0 } })}
              />
            ))}
          </Fragment>
        ))}
        <span>{t('people.day')}</span>
        {weekdays.map((day, i) => (
          <output key={day}>{sumOf(of(i + 1))}</output>
        ))}
      </div>
      <Complaint>{complaint}</Complaint>
      <Button
        type="text"
        onClick={() => change(Object.fromEntries(weekdays.map((_, i) => [String(i + 1), { ...of(1) }])))}
      >
        {t('people.copy_monday')}
      </Button>
    </>
  );
}

interface SpansProps {
  label: string;
  name: string;
  /** First and last days, with a slash between. */
  spans: string[];
  change: (spans: string[]) => void;
  refusal: Refusal | null;
}

/** Spans of days: when someone does not eat here, or when a guest does. */
function Spans({ label, name, spans, change, refusal }: SpansProps) {
  return (
    <div className="drawer-part">
      <Field label={label} name={name} refusal={refusal} wide>
        <DatePicker.RangePicker
          value={null}
          onChange={(range) => {
            if (range?.[0] && range[1]) {
              const span = `${range[0].format('YYYY-MM-DD')}/${range[1].format('YYYY-MM-DD')}`;
              change(spans.includes(span) ? spans : [...spans, span].toSorted());
            }
          }}
        />
      </Field>
      <div className="words">
        {spans.map((span) => {
          const says = t('people.span', {
            from: when(span.slice(0, 10), 'short'),
            to: when(span.slice(-10), 'short'),
          });
          return (
            <Button
              key={span}
              aria-label={t('people.span_remove', { span: says })}
              onClick={() => change(spans.filter((one) => one !== span))}
            >
              {says} ×
            </Button>
          );
        })}
      </div>
    </div>
  );
}
