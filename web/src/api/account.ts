import { useQuery } from '@tanstack/react-query';
import { answered, api } from './client';
import { defineChange } from './change';
import { keys } from './keys';
import { useSession } from './queries';

/*
 * Who is signed in where, who may enter the kitchen, and what may be done in it. None of it waits for a network: it is
 * answered at once or not at all.
 */

export type Access = 'read' | 'log' | 'keep';

const rank: Record<Access, number> = { read: 0, log: 1, keep: 2 };

/** Whether whoever is signed in may do something in the kitchen that is open. */
export function useMay(access: Access): boolean {
  const household = useSession().data?.household;
  return household ? rank[household.access] >= rank[access] : false;
}

export const useAccount = () => useQuery({ queryKey: keys.account(), queryFn: () => answered(api.GET('/account')) });

export const useMembers = () => useQuery({ queryKey: keys.members(), queryFn: () => answered(api.GET('/members')) });

export const useInvitation = (secret: string) =>
  useQuery({
    queryKey: keys.invitation(secret),
    queryFn: () => answered(api.GET('/join/{secret}', { params: { path: { secret } } })),
    retry: false,
  });

export const useSharedReport = (secret: string) =>
  useQuery({
    queryKey: keys.sharedReport(secret),
    queryFn: () => answered(api.GET('/reports/{secret}', { params: { path: { secret } } })),
    retry: false,
  });

export type Account = NonNullable<ReturnType<typeof useAccount>['data']>;
export type Members = NonNullable<ReturnType<typeof useMembers>['data']>;

export const useForgetPassword = defineChange(
  'ask for a new password',
  'account',
  () => (body: { email: string }) => answered(api.POST('/password/forgotten', { body })),
  { waits: 'never' },
);

export const useResetPassword = defineChange(
  'choose a new password',
  'everything',
  () => (body: { email: string; token: string; password: string }) => answered(api.PUT('/password', { body })),
  { waits: 'never' },
);

export const useAcceptInvitation = defineChange(
  'accept an invitation',
  'everything',
  (secret: string) => (body: { name?: string; email?: string; password?: string }) =>
    answered(api.POST('/join/{secret}', { params: { path: { secret } }, body })),
  { waits: 'never' },
);

export const useChangeAccount = defineChange(
  'change the account',
  'account',
  () => (body: { name: string; email: string; password?: string }) => answered(api.PUT('/account', { body })),
  { waits: 'never' },
);

export const useChangePassword = defineChange(
  'change the password',
  'account',
  () => (body: { password: string; newPassword: string }) => answered(api.PUT('/account/password', { body })),
  { waits: 'never' },
);

/** One device, or all but this one. */
export const useSignOutDevice = defineChange(
  'sign out elsewhere',
  'account',
  () => (device: string | null) =>
    answered(
      device === null
        ? api.DELETE('/account/devices')
        : api.DELETE('/account/devices/{device}', { params: { path: { device } } }),
    ),
  { waits: 'never', subject: (device) => device ?? 'all' },
);

export const useMakeToken = defineChange(
  'make a token',
  'account',
  () => (body: { name: string; access: Access; days: number | null }) =>
    answered(api.POST('/account/tokens', { body })),
  { waits: 'never' },
);

export const useWithdrawToken = defineChange(
  'withdraw a token',
  'account',
  () => (token: string) => answered(api.DELETE('/account/tokens/{token}', { params: { path: { token } } })),
  { waits: 'never', subject: (token) => token },
);

export const useEnterKitchen = defineChange(
  'enter a kitchen',
  'everything',
  () => (kitchenId: string) => answered(api.PUT('/account/kitchen', { body: { kitchenId } })),
  { waits: 'never', subject: (kitchen) => kitchen },
);

export const useLeaveKitchen = defineChange(
  'leave a kitchen',
  'everything',
  () => (kitchen: string) => answered(api.DELETE('/account/kitchens/{kitchen}', { params: { path: { kitchen } } })),
  { waits: 'never', subject: (kitchen) => kitchen },
);

export const useCloseAccount = defineChange(
  'close the account',
  'everything',
  () => (body: { password: string }) => answered(api.DELETE('/account', { body })),
  { waits: 'never' },
);

export const useDeleteKitchen = defineChange(
  'delete the kitchen',
  'everything',
  () => (body: { name: string; password: string }) => answered(api.DELETE('/kitchen', { body })),
  { waits: 'never' },
);

export const useChangeMember = defineChange(
  'change a member',
  'members',
  () =>
    ({ member, access }: { member: string; access: Access }) =>
      answered(api.PUT('/members/{member}', { params: { path: { member } }, body: { access } })),
  { waits: 'never', subject: ({ member }) => member },
);

export const useRemoveMember = defineChange(
  'remove a member',
  'members',
  () => (member: string) => answered(api.DELETE('/members/{member}', { params: { path: { member } } })),
  { waits: 'never', subject: (member) => member },
);

export const useInvite = defineChange(
  'invite',
  'members',
  () => (body: { access: Access; forWhom: string }) => answered(api.POST('/invitations', { body })),
  { waits: 'never' },
);

export const useWithdrawInvitation = defineChange(
  'withdraw an invitation',
  'members',
  () => (invitation: string) => answered(api.DELETE('/invitations/{invitation}', { params: { path: { invitation } } })),
  { waits: 'never', subject: (invitation) => invitation },
);

export const useShareReport = defineChange(
  'share a report',
  'members',
  () => (body: { personId: string; days: number }) => answered(api.POST('/report-links', { body })),
  { waits: 'never' },
);

export const useUnshareReport = defineChange(
  'end a shared report',
  'members',
  () => (reportLink: string) =>
    answered(api.DELETE('/report-links/{reportLink}', { params: { path: { reportLink } } })),
  { waits: 'never', subject: (link) => link },
);
