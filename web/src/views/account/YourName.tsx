import { t } from '../../messages/words';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { useChangeAccount, type Account } from '../../api/account';
import { Complaint } from '../../app/Complaint';
import { Field } from '../../app/Field';
import { PasswordField } from '../../app/PasswordField';
import { notices } from '../../app/notices';

/** What others call the cook, and by which address they sign in; another address needs the password. */
export function YourName({ account }: { account: Account }) {
  const [name, setName] = useState(account.name);
  const [email, setEmail] = useState(account.email);
  const [password, setPassword] = useState('');
  const save = useChangeAccount();
  const isOtherAddress = email.trim().toLowerCase() !== account.email;

  return (
    <section className="account-part">
      <h2>{t('account.you')}</h2>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate(
            { name, email, ...(isOtherAddress ? { password } : {}) },
            { onSuccess: () => notices.done(t('account.saved')) },
          );
        }}
      >
        <Field label={t('account.name')} name="name" refusal={save.error}>
          <Input value={name} autoComplete="name" onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label={t('sign_in.email')} name="email" refusal={save.error}>
          <Input value={email} autoComplete="email" onChange={(event) => setEmail(event.target.value)} />
        </Field>
        {isOtherAddress && <PasswordField is="current" refusal={save.error} value={password} onChange={setPassword} />}
        <Complaint>{save.error?.ofNoField}</Complaint>
        <Button htmlType="submit" loading={save.isPending}>
          {t('action.save')}
        </Button>
      </form>
    </section>
  );
}
