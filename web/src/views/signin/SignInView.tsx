import { t } from '../../messages/words';
import { Button, Input } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Field } from '../../app/Field';
import { useState, type FormEvent } from 'react';
import type { JarPicture } from '../../api/client';
import { useEnterDemo, useSignIn } from '../../api/queries';
import { JarDrawing } from '../../drawings/JarDrawing';
import { NewKitchenForm } from './NewKitchenForm';
import './SignInView.css';

const quart: JarPicture = {
  nominalMl: 946,
  mouthMm: 76,
  bodyMm: 90,
  bodyHeightMm: 127,
  shoulderMm: 7,
  neckMm: 22,
  foodMm: 126,
  liquidMm: 136,
  headspaceMm: 20,
  overflowMl: 0,
  isTooFull: false,
  hasWeight: false,
  shape: 'sticks',
  colour: '#dd8436',
  cover: 'screw lid',
};

const shown: JarPicture[] = [
  {
    ...quart,
    shape: 'shreds',
    colour: '#8e3a63',
    cover: 'airlock',
    bodyMm: 112,
    bodyHeightMm: 158,
    foodMm: 120,
    liquidMm: 138,
    hasWeight: true,
  },
  quart,
  {
    ...quart,
    shape: 'florets',
    colour: '#e8dfbf',
    cover: 'clamp',
    bodyMm: 92,
    bodyHeightMm: 66,
    foodMm: 70,
    liquidMm: 78,
  },
];

/** The door: sign in, look around the demo kitchen, or open a kitchen of one's own. */
export function SignInView({ demoIsOpen, isFirst }: { demoIsOpen: boolean; isFirst: boolean }) {
  const [isNew, setIsNew] = useState(isFirst);
  const enterDemo = useEnterDemo();

  return (
    <main className="door">
      <div>
        <h1>Tempesal</h1>
        <p className="door-say">{t('sign_in.about')}</p>
        {demoIsOpen && (!isNew || isFirst) && (
          <Button
            type={isFirst ? 'default' : 'primary'}
            size="large"
            block
            loading={enterDemo.isPending}
            onClick={() => enterDemo.mutate(undefined)}
          >
            {t('sign_in.demo')}
          </Button>
        )}
        {isNew ? <NewKitchenForm /> : <SignInForm />}
        <Button type="link" style={{ padding: 0, marginTop: 8 }} onClick={() => setIsNew(!isNew)}>
          {isNew ? t('sign_in.have_kitchen') : t('sign_in.new_kitchen')}
        </Button>
      </div>
      <div className="door-jars" aria-hidden="true">
        {shown.map((jar, i) => (
          <JarDrawing key={i} jar={jar} scale={1.35} label="" seed={`door${i}`} />
        ))}
      </div>
    </main>
  );
}

function SignInForm() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useSignIn();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate({ email, password });
  };
  const refusal = signIn.error;

  return (
    <form onSubmit={submit}>
      <Field label={t('sign_in.email')} name="email" refusal={refusal}>
        <Input value={email} autoComplete="username" onChange={(event) => setEmail(event.target.value)} />
      </Field>
      <Field label={t('sign_in.password')} name="password" refusal={refusal}>
        <Input.Password
          value={password}
          autoComplete="current-password"
          onChange={(event) => setPassword(event.target.value)}
        />
      </Field>
      <Complaint>{refusal?.ofNoField}</Complaint>
      <Button htmlType="submit" loading={signIn.isPending}>
        {t('sign_in.sign_in')}
      </Button>
    </form>
  );
}
