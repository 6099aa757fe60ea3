import { say, t } from '../../messages/words';
import { NumberBox } from '../../app/NumberBox';
import { mg } from '../../app/numbers';
import { usualUnits } from '../../app/units';
import { UnitsFields } from '../../app/UnitsFields';
import { Button, Input } from 'antd';
import { Choice } from '../../app/Choice';
import { Complaint } from '../../app/Complaint';
import { Field } from '../../app/Field';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { useCreateHousehold, usePresets } from '../../api/queries';

interface Eater {
  name: string;
  preset: string | null;
  targetMg: number | null;
  restOfDietMg: number;
}

const nobodyYet: Eater = { name: '', preset: 'who_adult', targetMg: null, restOfDietMg: 1400 };
const own = 'own';

const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** First use: who eats, which limit, what jars. */
export function NewKitchenForm() {
  const presets = usePresets();
  const open = useCreateHousehold();
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [people, setPeople] = useState<Eater[]>([nobodyYet]);
  const [jarCounts, setJarCounts] = useState<number[]>([2, 2, 0, 0, 0, 0, 0]);
  const [units, setUnits] = useState(() => usualUnits(navigator.language, timeZone));
  const navigate = useNavigate();
  const refusal = open.error;

  const submit = (event: FormEvent) => {
    event.preventDefault();
    // A new kitchen begins with the plan: it says what to buy and what to start.
    void navigate('/week', { replace: true });
    open.mutate({ name, email, password, timeZone, ...units, people, jarCounts });
  };
  const change = (at: number, change: Partial<Eater>) =>
    setPeople(people.map((person, i) => (i === at ? { ...person, ...change } : person)));

  return (
    <form onSubmit={submit}>
      <h2>{t('sign_in.who')}</h2>
      {people.map((person, i) => (
        <div key={i}>
          <div className="eater-row">
            <Field label={t('field.name')} name={`people.${i}.name`} refusal={refusal}>
              <Input value={person.name} onChange={(event) => change(i, { name: event.target.value })} />
            </Field>
            <Field label={t('people.limit')} name={`people.${i}.preset`} refusal={refusal}>
              <Choice
                value={person.preset ?? own}
                onChange={(preset) =>
                  change(i, preset === own ? { preset: null, targetMg: 1500 } : { preset, targetMg: null })
                }
                options={[
                  ...(presets.data?.targets ?? []).map((target) => ({
                    value: target.id,
                    label: `${mg(target.milligrams)}, ${say(target.label)}`,
                    title: say(target.source),
                  })),
                  { value: own, label: t('people.own_short') },
                ]}
              />
            </Field>
            {person.preset === null && (
              <Field label={t('other_food.by_mg')} name={`people.${i}.targetMg`} refusal={refusal}>
                <NumberBox value={person.targetMg} onChange={(targetMg) => change(i, { targetMg })} />
              </Field>
            )}
            <Field label={t('sign_in.other_food')} name={`people.${i}.restOfDietMg`} refusal={refusal}>
              <NumberBox value={person.restOfDietMg} onChange={(rest) => change(i, { restOfDietMg: rest ?? 0 })} />
            </Field>
            {people.length > 1 && (
              <Button type="text" onClick={() => setPeople(people.filter((_, at) => at !== i))}>
                {t('action.remove')}
              </Button>
            )}
          </div>
        </div>
      ))}
      <Button onClick={() => setPeople([...people, nobodyYet])}>{t('people.add')}</Button>
      <p className="soft">{t('sign_in.other_food_about')}</p>
      <p className="soft">{t('sign_in.caution')}</p>

      <h2>{t('sign_in.jars')}</h2>
      <div className="jar-counts">
        {(presets.data?.jars ?? []).map((jar, i) => (
          <label key={jar}>
            {jar}
            <NumberBox
              min={0}
              max={200}
              value={jarCounts[i] ?? 0}
              onChange={(count) => setJarCounts(jarCounts.map((old, at) => (at === i ? (count ?? 0) : old)))}
            />
          </label>
        ))}
      </div>

      <h2>{t('sign_in.units')}</h2>
      <div className="fields">
        <UnitsFields units={units} change={(part) => setUnits({ ...units, ...part })} refusal={refusal} />
      </div>

      <h2>{t('sign_in.account')}</h2>
      {(
        [
          ['name', t('house.name'), name, setName, 'text', 'off'],
          ['email', t('sign_in.email'), email, setEmail, 'text', 'username'],
          ['password', t('sign_in.new_password'), password, setPassword, 'password', 'new-password'],
        ] as const
      ).map(([field, label, value, set, type, autoComplete]) => (
        <Field key={field} label={label} name={field} refusal={refusal}>
          <Input type={type} value={value} autoComplete={autoComplete} onChange={(event) => set(event.target.value)} />
        </Field>
      ))}
      <Complaint>{refusal?.ofNoField}</Complaint>
      <Button type="primary" htmlType="submit" loading={open.isPending}>
        {t('sign_in.create')}
      </Button>
    </form>
  );
}
