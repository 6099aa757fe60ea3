import { t } from '../../messages/words';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useResetPassword } from '../../api/account';
import { Complaint } from '../../app/Complaint';
import { PasswordField } from '../../app/PasswordField';
import './SignInView.css';

/** Where the link in the mail leads to. */
export function NewPasswordView() {
  const { token = '' } = useParams();
  const [asked] = useSearchParams();
  const email = asked.get('email') ?? '';
  const [password, setPassword] = useState('');
  const reset = useResetPassword();
  const navigate = useNavigate();

  return (
    <main className="door">
      <div>
        <h1>{t('new_password.title')}</h1>
        <p className="door-say">{t('new_password.about', { email })}</p>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            reset.mutate({ email, token, password }, { onSuccess: () => void navigate('/today', { replace: true }) });
          }}
        >
          <PasswordField is="new" refusal={reset.error} value={password} onChange={setPassword} />
          <Complaint>{reset.error?.of('token') ?? reset.error?.of('email') ?? reset.error?.ofNoField}</Complaint>
          <Button type="primary" htmlType="submit" loading={reset.isPending}>
            {t('new_password.save')}
          </Button>
          <Link to="/today">{t('new_password.to_sign_in')}</Link>
        </form>
      </div>
    </main>
  );
}
