import { t } from '../../messages/words';
import { when } from '../../messages/dates';
import { Button, Input } from 'antd';
import { useState } from 'react';
import {
  useChangeMember,
  useInvite,
  useMay,
  useMembers,
  useRemoveMember,
  useShareReport,
  useUnshareReport,
  useWithdrawInvitation,
  type Access,
  type Members,
} from '../../api/account';
import type { Kitchen, Refusal } from '../../api/client';
import { Choice } from '../../app/Choice';
import { complain } from '../../app/complain';
import { Complaint } from '../../app/Complaint';
import { CopyLine } from '../../app/CopyLine';
import { Field } from '../../app/Field';
import { ask } from '../../app/notices';
import { PageState } from '../../app/PageState';
import '../account/AccountView.css';

const accesses = (['keep', 'log', 'read'] as const).map((value) => ({
  value,
  label: t('sharing.access', { access: value }),
}));

const REPORT_DAYS = [7, 14, 30, 90];

const failed = (why: Refusal) => complain(why);

/** Who may enter the kitchen, who is invited, and who outside reads a report. */
export function Sharing({ kitchen }: { kitchen: Kitchen }) {
  const members = useMembers();
  const keeps = useMay('keep');
  if (!members.data) {
    return <PageState query={members} />;
  }

  return (
    <div className="account-parts">
      <InTheKitchen members={members.data.members} keeps={keeps} />
      {keeps && <Invitations invitations={members.data.invitations} />}
      {keeps && <Reports reports={members.data.reports} people={kitchen.people} />}
    </div>
  );
}

function InTheKitchen({ members, keeps }: { members: Members['members']; keeps: boolean }) {
  const change = useChangeMember();
  const remove = useRemoveMember();
  const takeOut = async (member: Members['members'][number]) => {
    const isMeant = await ask({
      title: t('sharing.remove_question', { name: member.name || member.email }),
      content: t('sharing.remove_about'),
      yes: t('action.remove'),
      no: t('action.cancel'),
    });
    if (isMeant) {
      remove.mutate(member.id, { onError: failed });
    }
  };

  return (
    <section className="account-part">
      <h2>{t('sharing.members')}</h2>
      <ul className="account-lines">
        {members.map((member) => (
          <li key={member.id}>
            <span>
              {member.name || member.email}
              <span className="soft">{member.isYou ? t('sharing.you') : member.name ? member.email : ''}</span>
            </span>
            {keeps ? (
              <Choice
                aria-label={t('sharing.access_of', { name: member.name || member.email })}
                className="box-l"
                value={member.access}
                disabled={member.isLastKeeper}
                onChange={(access: Access) => change.mutate({ member: member.id, access }, { onError: failed })}
                options={accesses}
              />
            ) : (
              t('sharing.access', { access: member.access })
            )}
            {keeps && !member.isYou && (
              <Button type="text" onClick={() => void takeOut(member)}>
                {t('action.remove')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p className="soft">{t('sharing.about')}</p>
    </section>
  );
}

function Invitations({ invitations }: { invitations: Members['invitations'] }) {
  const [forWhom, setForWhom] = useState('');
  const [access, setAccess] = useState<Access>('log');
  const invite = useInvite();
  const withdraw = useWithdrawInvitation();

  return (
    <section className="account-part">
      <h2>{t('sharing.invitations')}</h2>
      <ul className="account-lines">
        {invitations.map((invitation) => (
          <li key={invitation.id}>
            <span>
              {t('sharing.invited', { name: invitation.forWhom, access: invitation.access })}
              <span className="soft">{t('sharing.valid_until', { day: when(invitation.expiresAt, 'moment') })}</span>
            </span>
            <Button type="text" onClick={() => withdraw.mutate(invitation.id, { onError: failed })}>
              {t('action.delete')}
            </Button>
            <CopyLine
              label={t('sharing.link_for', { name: invitation.forWhom })}
              text={`${location.origin}${invitation.path}`}
            />
          </li>
        ))}
      </ul>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate({ forWhom, access }, { onSuccess: () => setForWhom('') });
        }}
      >
        <Field label={t('sharing.for_whom')} name="forWhom" refusal={invite.error}>
          <Input value={forWhom} onChange={(event) => setForWhom(event.target.value)} />
        </Field>
        <Field label={t('sharing.may')} name="access" refusal={invite.error}>
          <Choice value={access} onChange={(value: Access) => setAccess(value)} options={accesses} />
        </Field>
        <Complaint>{invite.error?.ofNoField}</Complaint>
        <Button htmlType="submit" loading={invite.isPending}>
          {t('sharing.invite')}
        </Button>
      </form>
      <p className="soft">{t('sharing.invitations_about')}</p>
    </section>
  );
}

function Reports({ reports, people }: { reports: Members['reports']; people: Kitchen['people'] }) {
  const [personId, setPersonId] = useState(people[0]?.id ?? '');
  const [days, setDays] = useState(30);
  const share = useShareReport();
  const end = useUnshareReport();
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? '';

  return (
    <section className="account-part">
      <h2>{t('sharing.reports')}</h2>
      <ul className="account-lines">
        {reports.map((report) => (
          <li key={report.id}>
            <span>
              {nameOf(report.personId)}
              <span className="soft">{t('sharing.valid_until', { day: when(report.expiresAt, 'moment') })}</span>
            </span>
            <Button type="text" onClick={() => end.mutate(report.id, { onError: failed })}>
              {t('sharing.end')}
            </Button>
            <CopyLine
              label={t('sharing.report_of', { name: nameOf(report.personId) })}
              text={`${location.origin}${report.path}`}
            />
          </li>
        ))}
      </ul>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          share.mutate({ personId, days });
        }}
      >
        <Field label={t('sharing.whose')} name="personId" refusal={share.error}>
          <Choice
            value={personId}
            onChange={(value: string) => setPersonId(value)}
            options={people.map((person) => ({ value: person.id, label: person.name }))}
          />
        </Field>
        <Field label={t('sharing.how_long')} name="days" refusal={share.error}>
          <Choice
            value={days}
            onChange={(value: number) => setDays(value)}
            options={REPORT_DAYS.map((value) => ({ value, label: t('account.days', { days: value }) }))}
          />
        </Field>
        <Complaint>{share.error?.ofNoField}</Complaint>
        <Button htmlType="submit" loading={share.isPending}>
          {t('sharing.share')}
        </Button>
      </form>
      <p className="soft">{t('sharing.reports_about')}</p>
    </section>
  );
}
