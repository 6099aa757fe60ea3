import { t } from '../../messages/words';
import { Button, Input } from 'antd';
import { Complaint } from '../../app/Complaint';
import { Field } from '../../app/Field';
import { PasswordField } from '../../app/PasswordField';
import { useState, type FormEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useForgetPassword } from '../../api/account';
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
  isGuessed: false,
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
  const [isForgotten, setIsForgotten] = useState(false);
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
        {isNew ? <NewKitchenForm /> : isForgotten ? <ForgottenForm /> : <SignInForm />}
        {!isNew && (
          <div>
            <Button type="link" className="door-link" onClick={() => setIsForgotten(!isForgotten)}>
              {isForgotten ? t('new_password.to_sign_in') : t('sign_in.forgotten')}
            </Button>
          </div>
        )}
        <Button type="link" className="door-link" onClick={() => setIsNew(!isNew)}>
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
  const navigate = useNavigate();
  const then = useInvitationToAccept();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate({ email, password }, { onSuccess: () => then !== null && void navigate(then, { replace: true }) });
  };
  const refusal = signIn.error;

  return (
    <form onSubmit={submit}>
      <Field label={t('sign_in.email')} name="email" refusal={refusal}>
        <Input value={email} autoComplete="username" onChange={(event) => setEmail(event.target.value)} />
      </Field>
      <PasswordField
        is="current"
        label={t('sign_in.password')}
        refusal={refusal}
        value={password}
        onChange={setPassword}
      />
      <Complaint>{refusal?.ofNoField}</Complaint>
      <Button htmlType="submit" loading={signIn.isPending}>
        {t('sign_in.sign_in')}
      </Button>
    </form>
  );
}

/** The address of the invitation that somebody opened before they signed in; no other address is gone to. */
function useInvitationToAccept(): string | null {
  const then = useSearchParams()[0].get('then');

  return then !== null && /^\/join\/[A-Za-z0-9]+$/.test(then) ? then : null;
}

function ForgottenForm() {
  const [email, setEmail] = useState('');
  const forget = useForgetPassword();
  if (forget.isSuccess) {
    return (
      <p className="door-say" role="status">
        {t('sign_in.link_sent')}
      </p>
    );
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        forget.mutate({ email });
      }}
    >
      <p>{t('sign_in.forgotten_about')}</p>
      <Field label={t('sign_in.email')} name="email" refusal={forget.error}>
        <Input value={email} autoComplete="username" onChange={(event) => setEmail(event.target.value)} />
      </Field>
      <Complaint>{forget.error?.ofNoField}</Complaint>
      <Button htmlType="submit" loading={forget.isPending}>
        {t('sign_in.send_link')}
      </Button>
    </form>
  );
}
