import { t } from '../../messages/words';
import { Button, Input } from 'antd';
import { useState, type FormEvent } from 'react';
import { useCloseAccount, useDeleteKitchen, type Account } from '../../api/account';
import type { Refusal, Session } from '../../api/client';
import { forgetAnswers } from '../../api/lastKnown';
import { queue } from '../../api/queue';
import { Complaint } from '../../app/Complaint';
import { Dialog } from '../../app/Dialog';
import { Field } from '../../app/Field';
import { PasswordField } from '../../app/PasswordField';
import { forgetDrafts } from '../../app/persistentState';

interface Props {
  kitchens: Account['kitchens'];
  household: NonNullable<Session['household']>;
}

/** What is on this device goes with it. */
const forget = () => {
  queue.clear();
  forgetDrafts();
  void forgetAnswers();
};

/** The ways out for good. Each offers first to take along what there is. */
export function Leaving({ kitchens, household }: Props) {
  const [asks, setAsks] = useState<'account' | 'kitchen' | null>(null);
  const close = useCloseAccount();
  const remove = useDeleteKitchen();
  const [password, setPassword] = useState('');
  const [name, setName] = useState('');
  const cancel = () => {
    setAsks(null);
    setPassword('');
    setName('');
    close.reset();
    remove.reset();
  };
  const isOnlyMine = kitchens.some(({ id, isLastKeeper }) => id === household.id && isLastKeeper);
  const refusal: Refusal | null = asks === 'account' ? close.error : remove.error;
  const go = (event: FormEvent) => {
    event.preventDefault();
    const settle = { onSuccess: forget };
    if (asks === 'account') {
      close.mutate({ password }, settle);
    } else {
      remove.mutate({ password, name }, settle);
    }
  };

  return (
    <section className="account-part">
      <h2>{t('account.leaving')}</h2>
      <p className="soft">{t('account.leaving_about')}</p>
      <div className="words">
        <a className="as-button" href="/api/kitchen/file?as=zip" download>
          {t('account.export_first')}
        </a>
        {household.access === 'keep' && (
          <Button danger onClick={() => setAsks('kitchen')}>
            {t('account.delete_kitchen')}
          </Button>
        )}
        <Button danger onClick={() => setAsks('account')}>
          {t('account.delete_account')}
        </Button>
      </div>
      {asks && (
        <Dialog
          title={t(asks === 'account' ? 'account.delete_account' : 'account.delete_kitchen')}
          onCancel={cancel}
          footer={null}
        >
          <form className="account-question" onSubmit={go}>
            <p>
              {asks === 'account'
                ? t('account.delete_account_about', { isOnlyMine })
                : t('account.delete_kitchen_about', { name: household.name })}
            </p>
            {asks === 'kitchen' && (
              <Field label={t('account.kitchen_name', { name: household.name })} name="name" refusal={refusal}>
                <Input value={name} autoComplete="off" onChange={(event) => setName(event.target.value)} />
              </Field>
            )}
            <PasswordField is="current" refusal={refusal} value={password} onChange={setPassword} />
            <Complaint>{refusal?.ofNoField}</Complaint>
            <div className="words">
              <Button danger type="primary" htmlType="submit" loading={close.isPending || remove.isPending}>
                {t('account.delete_for_good')}
              </Button>
              <Button onClick={cancel}>{t('action.cancel')}</Button>
            </div>
          </form>
        </Dialog>
      )}
    </section>
  );
}
