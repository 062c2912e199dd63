import { API_PATHS, type AccessAnswer } from '@incremen/contract';
import { ask } from './api.ts';

/** What somebody may do. */
export type Role = 'reader' | 'worker' | 'owner';

export interface Member {
  readonly id: string;
  readonly accountId: string;
  readonly name: string;
  readonly role: Role;
}

/** Something that lets its bearer in: an invitation, a code for a day, a device, a calendar, a helper at work. */
export interface Pass {
  readonly id: string;
  readonly kind: 'invitation' | 'helper' | 'helping' | 'device' | 'calendar';
  readonly label: string;
  readonly role: Role | null;
  /** When somebody last came in with it, to ten minutes; null for never. */
  readonly seenAt: string | null;
  readonly expiresAt: string | null;
}

/** A secret, shown once. */
export interface Issued {
  readonly id: string;
  readonly secret: string;
  readonly expiresAt: string | null;
}

export interface NewAccount {
  readonly name: string;
  readonly signIn: string;
  readonly password: string;
}

/** Who comes in and how: asked by the few pages that are about it. */
export const access = {
  me: () => ask<AccessAnswer>('GET', API_PATHS.me()),
  makeOwner: (account: NewAccount) => ask<undefined>('POST', API_PATHS.access('owner'), account),
  signIn: (signIn: string, password: string) =>
    ask<undefined>('POST', API_PATHS.access('sign-in'), { signIn, password }),
  join: (code: string, account?: NewAccount) =>
    ask<undefined>('POST', API_PATHS.access('join'), { code, ...(account && { account }) }),
  help: (code: string, name: string) => ask<undefined>('POST', API_PATHS.access('help'), { code, name }),
  signOut: (everywhere: boolean) => ask<undefined>('POST', API_PATHS.access('sign-out'), { everywhere }),
  setLan: (open: boolean) => ask<undefined>('PUT', API_PATHS.access('lan'), { open }),
  members: (op: string) =>
    ask<{ readonly members: readonly Member[]; readonly passes: readonly Pass[] }>(
      'GET',
      API_PATHS.members(op),
    ),
  issue: (
    op: string,
    what:
      | { readonly kind: 'invitation'; readonly role: Role; readonly label: string }
      | { readonly kind: 'helper' | 'device' | 'calendar'; readonly label: string },
  ) => ask<Issued>('POST', `${API_PATHS.members(op)}/passes`, what),
  revoke: (op: string, id: string) => ask<undefined>('DELETE', `${API_PATHS.members(op)}/passes/${id}`),
  setRole: (op: string, id: string, role: Role | null) =>
    ask<undefined>('PUT', `${API_PATHS.members(op)}/members/${id}`, { role }),
};
