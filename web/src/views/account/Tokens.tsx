import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { useMakeToken, useWithdrawToken, type Access, type Account } from '../../api/account';
import { Choice } from '../../app/Choice';
import { complain } from '../../app/complain';
import { Complaint } from '../../app/Complaint';
import { CopyLine } from '../../app/CopyLine';
import { Field } from '../../app/Field';

const LONGEST = [30, 90, 365, null];

/** What scripts and devices show instead of the password. */
export function Tokens({ tokens, access }: { tokens: Account['tokens']; access: Access }) {
  const [name, setName] = useState('');
  const [scope, setScope] = useState<Access>('read');
  const [days, setDays] = useState<number | null>(90);
  const make = useMakeToken();
  const withdraw = useWithdrawToken();
  const offered = (['read', 'log', 'keep'] as const).slice(0, { read: 1, log: 2, keep: 3 }[access]);

  return (
    <section className="account-part">
      <h2>{t('account.tokens')}</h2>
      <p className="soft">{t('account.tokens_about')}</p>
      {tokens.length > 0 && (
        <ul className="account-lines">
          {tokens.map((token) => (
            <li key={token.id}>
              <span>
                {token.name}
                <span className="soft">
                  {t('account.token_says', {
                    access: token.access,
                    used: token.lastUsedAt === null ? 'never' : when(token.lastUsedAt, 'moment'),
                    until: token.expiresAt === null ? 'never' : when(token.expiresAt, 'year'),
                  })}
                </span>
              </span>
              <Button
                loading={withdraw.isPending && withdraw.variables === token.id}
                onClick={() => withdraw.mutate(token.id, { onError: (why) => complain(why) })}
              >
                {t('action.delete')}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {make.data && (
        <div role="status">
          <p>{t('account.token_once')}</p>
          <CopyLine label={t('account.token')} text={make.data.token} />
        </div>
      )}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate({ name, access: scope, days }, { onSuccess: () => setName('') });
        }}
      >
        <Field label={t('account.token_name')} name="name" refusal={make.error}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label={t('account.token_scope')} name="access" refusal={make.error}>
          <Choice
            value={scope}
            onChange={(value: Access) => setScope(value)}
            options={offered.map((value) => ({ value, label: t('sharing.access', { access: value }) }))}
          />
        </Field>
        <Field label={t('account.token_days')} name="days" refusal={make.error}>
          <Choice
            value={days ?? 0}
            onChange={(value: number) => setDays(value === 0 ? null : value)}
            options={LONGEST.map((value) => ({
              value: value ?? 0,
              label: value === null ? t('account.token_always') : t('account.days', { days: value }),
            }))}
          />
        </Field>
        <Complaint>{make.error?.ofNoField}</Complaint>
        <Button htmlType="submit" loading={make.isPending}>
          {t('account.make_token')}
        </Button>
      </form>
    </section>
  );
}
