import { say, t } from '../../messages/words';
import { NumberBox } from '../../app/NumberBox';
import { mg } from '../../app/numbers';
import { usualUnits } from '../../app/units';
import { UnitsFields } from '../../app/UnitsFields';
import { Button, Input, Select } from 'antd';
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
            <label>
              {t('field.name')}
              <Input value={person.name} onChange={(event) => change(i, { name: event.target.value })} />
            </label>
            <label>
              {t('people.limit')}
              <Select
                aria-label={t('people.limit')}
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
            </label>
            {person.preset === null && (
              <label>
                {t('other_food.by_mg')}
                <NumberBox value={person.targetMg} onChange={(targetMg) => change(i, { targetMg })} />
              </label>
            )}
            <label>
              {t('sign_in.other_food')}
              <NumberBox value={person.restOfDietMg} onChange={(rest) => change(i, { restOfDietMg: rest ?? 0 })} />
            </label>
            {people.length > 1 && (
              <Button type="text" onClick={() => setPeople(people.filter((_, at) => at !== i))}>
                {t('action.remove')}
              </Button>
            )}
          </div>
          {['name', 'targetMg', 'restOfDietMg'].map((field) =>
            refusal?.of(`people.${i}.${field}`) ? (
              <p key={field} className="complaint" role="alert">
                {refusal.of(`people.${i}.${field}`)}
              </p>
            ) : null,
          )}
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
          ['email', 'E-mail', email, setEmail, 'text', 'username'],
          ['password', t('sign_in.new_password'), password, setPassword, 'password', 'new-password'],
        ] as const
      ).map(([field, label, value, set, type, autoComplete]) => (
        <label key={field}>
          {label}
          <Input type={type} value={value} autoComplete={autoComplete} onChange={(event) => set(event.target.value)} />
          {refusal?.of(field) && (
            <span className="complaint" role="alert">
              {refusal.of(field)}
            </span>
          )}
        </label>
      ))}
      {refusal && Object.keys(refusal.fields).length === 0 && <p className="complaint">{refusal.message}</p>}
      <Button type="primary" htmlType="submit" loading={open.isPending}>
        {t('sign_in.create')}
      </Button>
    </form>
  );
}
