import { t } from '../../messages/words';
import { Button } from 'antd';
import { useState } from 'react';
import { useChangePassword } from '../../api/account';
import { Complaint } from '../../app/Complaint';
import { PasswordField } from '../../app/PasswordField';
import { notices } from '../../app/notices';

/** A new password; whoever is signed in elsewhere is signed out. */
export function Password() {
  const [password, setPassword] = useState('');
  const [newPassword, setNewPassword] = useState('');
  const save = useChangePassword();

  return (
    <section className="account-part">
      <h2>{t('sign_in.password')}</h2>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate(
            { password, newPassword },
            {
              onSuccess: () => {
                setPassword('');
                setNewPassword('');
                notices.done(t('account.password_changed'));
              },
            },
          );
        }}
      >
        <PasswordField is="current" refusal={save.error} value={password} onChange={setPassword} />
        <PasswordField
          is="new"
          label={t('account.password_new')}
          name="newPassword"
          refusal={save.error}
          value={newPassword}
          onChange={setNewPassword}
        />
        <Complaint>{save.error?.ofNoField}</Complaint>
        <Button htmlType="submit" loading={save.isPending}>
          {t('account.change_password')}
        </Button>
      </form>
    </section>
  );
}
