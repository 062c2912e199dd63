import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { MikroORM } from '@mikro-orm/postgresql';
import { OperationEntity } from '../db/entities.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { AccountEntity, MemberEntity, PassEntity } from './entities.ts';
import { hashPassword, isPassword } from './passwords.ts';
import type { Person, Role } from './roles.ts';

const DAY_MS = 86_400_000;
/** A browser that is not used for so long has to sign in again. */
const SESSION_MS = 90 * DAY_MS;
const INVITATION_MS = 7 * DAY_MS;
const HELPER_MS = DAY_MS;
/** A session is renewed no more often than this: requests are many. */
const RENEW_MS = 10 * 60_000;

interface AccountRow {
  readonly id: string;
  readonly name: string;
  readonly signIn: string;
  readonly password: string;
}
interface PassRow {
  readonly id: string;
  readonly kind: string;
  readonly accountId: string | null;
  readonly operationId: string | null;
  readonly role: string | null;
  readonly label: string;
  readonly createdAt: Date;
  readonly seenAt: Date;
  readonly expiresAt: Date | null;
}
interface MemberRow {
  readonly id: string;
  readonly accountId: string;
  readonly operationId: string;
  readonly role: Role;
}

/** Who somebody says to be who makes an account. */
export interface NewAccount {
  readonly name: string;
  readonly signIn: string;
  readonly password: string;
}

/** A secret that is shown once, and what it opens. */
export interface Issued {
  readonly id: string;
  readonly secret: string;
  readonly expiresAt: string | null;
}

const keyOf = (secret: string) => createHash('sha256').update(secret).digest('base64url');
const newSecret = () => randomBytes(32).toString('base64url');
/** Short enough to be called across a yard: 40 bits, one day, and few tries a minute. */
const newCode = () =>
  Array.from(randomBytes(8), (b) => '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'.charAt(b % 32)).join('');

/** Accounts, memberships and passes: who comes in, and what they may do. */
export class AccessDesk {
  private readonly orm: MikroORM;
  private readonly now: () => Date;
  private owned = false;

  constructor(orm: MikroORM, now: () => Date = () => new Date()) {
    this.orm = orm;
    this.now = now;
  }

  /** Whether anybody has made an account; until then the machine itself may do everything. */
  async hasOwner(): Promise<boolean> {
    this.owned ||= (await this.orm.em.fork().count(AccountEntity, {})) > 0;
    return this.owned;
  }

  /** The first account: owner of every operation that is there. @throws ProblemError 409 when there is one already */
  async makeOwner(given: NewAccount): Promise<Issued> {
    const password = await hashPassword(given.password);
    const accountId = randomUUID();
    await this.orm.em.fork().transactional(async (em) => {
      // Two at the same moment: one of them waits here, and finds the other's account.
      await em
        .getConnection()
        .execute(`lock table "account" in exclusive mode`, [], 'run', em.getTransactionContext());
      if ((await em.count(AccountEntity, {})) > 0) throw takenAlready();
      await em.insert(AccountEntity, { ...this.rowOf(given, accountId), password });
      const operations = await em.find(OperationEntity, {}, { disableIdentityMap: true });
      for (const { id: operationId } of operations)
        await em.insert(MemberEntity, { id: randomUUID(), accountId, operationId, role: 'owner' });
    });
    this.owned = true;
    return this.issue('session', { accountId, label: '', lastsMs: SESSION_MS });
  }

  /** A new session. @throws ProblemError 401 that does not tell which of the two was wrong */
  async signIn(signIn: string, password: string, label: string): Promise<Issued> {
    const account = (await this.orm.em
      .fork()
      .findOne(
        AccountEntity,
        { signIn: signIn.trim().toLowerCase() },
        { disableIdentityMap: true },
      )) as AccountRow | null;
    if (!(await isPassword(password, account?.password ?? null)) || !account) throw notKnown();
    return this.issue('session', { accountId: account.id, label, lastsMs: SESSION_MS });
  }

  /** Who bears a secret; null for one that opens nothing, or no more. */
  async whoIs(secret: string): Promise<Person | null> {
    const em = this.orm.em.fork();
    const pass = (await em.findOne(
      PassEntity,
      { key: keyOf(secret) },
      { disableIdentityMap: true },
    )) as PassRow | null;
    const now = this.now();
    if (!pass || (pass.expiresAt !== null && pass.expiresAt <= now)) return null;
    if (!wasUsed(pass) || now.getTime() - pass.seenAt.getTime() > RENEW_MS) {
      // A session of an account goes on while it is used; a helper's ends on its day.
      const goesOn = pass.kind === 'session' && pass.accountId !== null;
      await em.nativeUpdate(
        PassEntity,
        { id: pass.id },
        { seenAt: now, ...(goesOn && { expiresAt: new Date(now.getTime() + SESSION_MS) }) },
      );
    }
    if (pass.kind === 'session' && pass.accountId !== null) {
      const account = (await em.findOne(
        AccountEntity,
        { id: pass.accountId },
        { disableIdentityMap: true },
      )) as AccountRow | null;
      return account && { kind: 'account', accountId: account.id, name: account.name, passId: pass.id };
    }
    if (pass.operationId === null) return null;
    const common = { operationId: pass.operationId, name: pass.label, passId: pass.id };
    if (pass.kind === 'session') return { kind: 'helper', role: pass.role as Role, ...common };
    return pass.kind === 'device' || pass.kind === 'calendar' ? { kind: pass.kind, ...common } : null;
  }

  /** What a person may do in an operation; null where it is nothing. */
  async roleIn(person: Person, operationId: string): Promise<Role | null> {
    switch (person.kind) {
      case 'machine':
        return 'owner';
      case 'helper':
        return person.operationId === operationId ? person.role : null;
      case 'account': {
        const member = (await this.orm.em
          .fork()
          .findOne(
            MemberEntity,
            { accountId: person.accountId, operationId },
            { disableIdentityMap: true },
          )) as MemberRow | null;
        return member?.role ?? null;
      }
      case 'device':
      case 'calendar':
        return null;
    }
  }

  /** Whether somebody who came in may look into an operation still: a stream outlasts the sign-in that opened it. */
  async mayStillLook(person: Person, operationId: string): Promise<boolean> {
    if (person.kind === 'machine') return true;
    const there = await this.orm.em.fork().count(PassEntity, { id: person.passId });
    return there > 0 && (await this.roleIn(person, operationId)) !== null;
  }

  /** Whether an account may do everything in an operation at least. */
  async isOwnerSomewhere(accountId: string): Promise<boolean> {
    return (await this.orm.em.fork().count(MemberEntity, { accountId, role: 'owner' })) > 0;
  }

  /** The operations that a person may look into; null for all of them. */
  async operationsOf(person: Person): Promise<readonly string[] | null> {
    if (person.kind === 'machine') return null;
    if (person.kind !== 'account') return person.kind === 'helper' ? [person.operationId] : [];
    const rows = (await this.orm.em
      .fork()
      .find(
        MemberEntity,
        { accountId: person.accountId },
        { disableIdentityMap: true },
      )) as unknown as MemberRow[];
    return rows.map((m) => m.operationId);
  }

  /** An invitation to become a member, for one person and a week. */
  async invite(operationId: string, role: Role, label: string): Promise<Issued> {
    return this.issue('invitation', { operationId, role, label, lastsMs: INVITATION_MS });
  }

  /** A code with which anybody who hears it works for a day. */
  async helperCode(operationId: string, label: string): Promise<Issued> {
    return this.issue('helper', {
      operationId,
      role: 'worker',
      label,
      lastsMs: HELPER_MS,
      secret: newCode(),
    });
  }

  /** A secret for a station, a scale or a calendar program, until it is revoked. */
  async token(operationId: string, kind: 'device' | 'calendar', label: string): Promise<Issued> {
    return this.issue(kind, { operationId, label, lastsMs: null });
  }

  /** Takes an invitation up, with a new account or the one that is signed in. It serves once. */
  async join(code: string, as: NewAccount | Extract<Person, { kind: 'account' }>): Promise<Issued | null> {
    const account = 'password' in as ? { row: as, password: await hashPassword(as.password) } : null;
    const accountId = account ? randomUUID() : (as as { accountId: string }).accountId;
    await this.orm.em.fork().transactional(async (em) => {
      const [used] = (await em
        .getConnection()
        .execute(
          `delete from "pass" where "key" = ? and "kind" = 'invitation' and "expires_at" > ? returning "operation_id", "role"`,
          [keyOf(code.trim()), this.now()],
          'all',
          em.getTransactionContext(),
        )) as { operation_id: string; role: Role }[];
      if (!used) throw invitationGone();
      if (account) {
        const taken = await em.count(AccountEntity, { signIn: account.row.signIn.trim().toLowerCase() });
        if (taken > 0) throw nameTaken();
        await em.insert(AccountEntity, { ...this.rowOf(account.row, accountId), password: account.password });
      }
      const known = (await em.findOne(
        MemberEntity,
        { accountId, operationId: used.operation_id },
        { disableIdentityMap: true },
      )) as MemberRow | null;
      if (!known)
        await em.insert(MemberEntity, {
          id: randomUUID(),
          accountId,
          operationId: used.operation_id,
          role: used.role,
        });
    });
    return account ? this.issue('session', { accountId, label: '', lastsMs: SESSION_MS }) : null;
  }

  /** Comes in with a code for a day. @param name - as journal and counts name the helper */
  async help(code: string, name: string): Promise<Issued> {
    const pass = (await this.orm.em
      .fork()
      .findOne(
        PassEntity,
        { key: keyOf(code.trim().toUpperCase()), kind: 'helper' },
        { disableIdentityMap: true },
      )) as PassRow | null;
    const left = (pass?.expiresAt?.getTime() ?? 0) - this.now().getTime();
    if (!pass || pass.operationId === null || left <= 0) throw invitationGone();
    return this.issue('session', {
      operationId: pass.operationId,
      role: pass.role as Role,
      label: name,
      lastsMs: left,
    });
  }

  /** Ends one session; or all of an account, on every device. */
  async signOut(person: Person, everywhere: boolean): Promise<void> {
    if (person.kind === 'machine') return;
    const all = everywhere && person.kind === 'account';
    await this.orm.em
      .fork()
      .nativeDelete(
        PassEntity,
        all ? { accountId: person.accountId, kind: 'session' } : { id: person.passId },
      );
  }

  /** Who may look into an operation, and what opens it. */
  async overview(operationId: string) {
    const em = this.orm.em.fork();
    const members = (await em.find(
      MemberEntity,
      { operationId },
      { disableIdentityMap: true },
    )) as unknown as MemberRow[];
    const accounts = (await em.find(
      AccountEntity,
      { id: { $in: members.map((m) => m.accountId) } },
      { disableIdentityMap: true },
    )) as unknown as AccountRow[];
    const passes = (await em.find(
      PassEntity,
      { operationId },
      { disableIdentityMap: true, orderBy: { createdAt: 'asc' } },
    )) as unknown as PassRow[];
    return {
      members: members.flatMap((m) => {
        const account = accounts.find((a) => a.id === m.accountId);
        return account ? [{ id: m.id, accountId: m.accountId, name: account.name, role: m.role }] : [];
      }),
      passes: passes
        .filter((p) => p.expiresAt === null || p.expiresAt > this.now())
        .map((p) => ({
          id: p.id,
          kind: p.kind === 'session' ? 'helping' : p.kind,
          label: p.label,
          role: p.role,
          seenAt: wasUsed(p) ? p.seenAt.toISOString() : null,
          expiresAt: p.expiresAt?.toISOString() ?? null,
        })),
    };
  }

  /** Takes back what opens an operation. */
  async revoke(operationId: string, passId: string): Promise<void> {
    const gone = await this.orm.em.fork().nativeDelete(PassEntity, { id: passId, operationId });
    if (gone === 0) throw notThere();
  }

  /** Another role for a member, or none. @throws ProblemError 409 when nobody would be left who may do everything */
  async setRole(operationId: string, memberId: string, role: Role | null): Promise<void> {
    await this.orm.em.fork().transactional(async (em) => {
      await em
        .getConnection()
        .execute(`lock table "member" in exclusive mode`, [], 'run', em.getTransactionContext());
      const all = (await em.find(
        MemberEntity,
        { operationId },
        { disableIdentityMap: true },
      )) as unknown as MemberRow[];
      const member = all.find((m) => m.id === memberId);
      if (!member) throw notThere();
      const owners = all.filter((m) => m.role === 'owner');
      if (member.role === 'owner' && role !== 'owner' && owners.length === 1) throw lastOwner();
      if (role === null) await em.nativeDelete(MemberEntity, { id: memberId });
      else await em.nativeUpdate(MemberEntity, { id: memberId }, { role });
    });
  }

  /** An operation that took the place of another keeps its members. */
  async passOn(from: string, to: string): Promise<void> {
    if (from === to) return;
    const em = this.orm.em.fork();
    await em.nativeUpdate(MemberEntity, { operationId: from }, { operationId: to });
    await em.nativeUpdate(PassEntity, { operationId: from }, { operationId: to });
  }

  private rowOf({ name, signIn }: NewAccount, id: string) {
    return { id, name: name.trim(), signIn: signIn.trim().toLowerCase(), createdAt: this.now() };
  }

  private async issue(
    kind: string,
    given: {
      readonly accountId?: string;
      readonly operationId?: string;
      readonly role?: Role;
      readonly label: string;
      readonly lastsMs: number | null;
      readonly secret?: string;
    },
  ): Promise<Issued> {
    const secret = given.secret ?? newSecret();
    const now = this.now();
    const expiresAt = given.lastsMs === null ? null : new Date(now.getTime() + given.lastsMs);
    const id = randomUUID();
    await this.orm.em.fork().insert(PassEntity, {
      id,
      key: keyOf(secret),
      kind,
      accountId: given.accountId ?? null,
      operationId: given.operationId ?? null,
      role: given.role ?? null,
      label: given.label.slice(0, 120),
      createdAt: now,
      seenAt: now,
      expiresAt,
    });
    return { id, secret, expiresAt: expiresAt?.toISOString() ?? null };
  }
}

/** Whether somebody came in with it since it was issued. */
const wasUsed = (p: PassRow): boolean => p.seenAt > p.createdAt;

const refused = (
  status: number,
  code: 'signed-out' | 'owner-exists' | 'name-taken' | 'invitation-gone' | 'unknown-id' | 'last-owner',
  message: string,
  remedy: string,
) => new ProblemError(status, code, message, [{ code, path: [], message, remedy }]);

const takenAlready = () =>
  refused(409, 'owner-exists', 'There is an owner already.', 'Sign in, or ask the owner for an invitation.');
const notKnown = () =>
  refused(401, 'signed-out', 'Name and password do not go together.', 'Check both and try again.');
const nameTaken = () =>
  refused(409, 'name-taken', 'Somebody signs in with this name already.', 'Choose another name to sign in.');
const invitationGone = () =>
  refused(410, 'invitation-gone', 'This code opens nothing any more.', 'Ask the owner for a new one.');
const notThere = () => refused(404, 'unknown-id', 'This is not there any more.', 'Reload the page.');
const lastOwner = () =>
  refused(409, 'last-owner', 'Somebody has to stay the owner.', 'Make another member the owner first.');

/** Whether anybody has made an account. */
export const hasOwner = (orm: MikroORM): Promise<boolean> => new AccessDesk(orm).hasOwner();
