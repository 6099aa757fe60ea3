import { t } from '../../messages/words';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useAcceptInvitation, useInvitation } from '../../api/account';
import { Complaint } from '../../app/Complaint';
import { Field } from '../../app/Field';
import { PasswordField } from '../../app/PasswordField';
import { PageState } from '../../app/PageState';
import './SignInView.css';

/** The way in for somebody who was invited: with the account they have, or with a new one. */
export function JoinView() {
  const { secret = '' } = useParams();
  const invitation = useInvitation(secret);
  const accept = useAcceptInvitation(secret);
  const navigate = useNavigate();
  const [name, setName] = useState<string | null>(null);
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  if (!invitation.data) {
    return (
      <main className="door">
        <PageState query={invitation} />
      </main>
    );
  }
  const { kitchen, access, forWhom, signedInAs } = invitation.data;
  const go = (body: { name?: string; email?: string; password?: string }) =>
    accept.mutate(body, { onSuccess: () => void navigate('/today', { replace: true }) });

  return (
    <main className="door">
      <div>
        <h1>{t('join.title', { kitchen })}</h1>
        <p className="door-say">{t('join.about', { access })}</p>
        {signedInAs === null ? (
          <form
            onSubmit={(event) => {
              event.preventDefault();
              go({ name: name ?? forWhom, email, password });
            }}
          >
            <Field label={t('account.name')} name="name" refusal={accept.error}>
              <Input value={name ?? forWhom} autoComplete="name" onChange={(event) => setName(event.target.value)} />
            </Field>
            <Field label={t('sign_in.email')} name="email" refusal={accept.error}>
              <Input value={email} autoComplete="username" onChange={(event) => setEmail(event.target.value)} />
            </Field>
            <PasswordField is="new" refusal={accept.error} value={password} onChange={setPassword} />
            <Complaint>{accept.error?.ofNoField}</Complaint>
            <Button type="primary" htmlType="submit" loading={accept.isPending}>
              {t('join.create')}
            </Button>
            <Link to={`/today?then=${encodeURIComponent(`/join/${secret}`)}`}>{t('join.have_account')}</Link>
          </form>
        ) : (
          <>
            <Complaint>{accept.error?.message}</Complaint>
            <Button type="primary" size="large" loading={accept.isPending} onClick={() => go({})}>
              {t('join.as', { email: signedInAs })}
            </Button>
          </>
        )}
      </div>
    </main>
  );
}
