import { defineEntity, p } from '@mikro-orm/postgresql';

/** Somebody who signs in. */
export const AccountEntity = defineEntity({
  name: 'Account',
  tableName: 'account',
  properties: {
    id: p.uuid().primary(),
    /** As journal and counts name the person. */
    name: p.text(),
    /** What is typed to sign in, in small letters. */
    signIn: p.text().unique(),
    /** Argon2id, with its cost and salt. */
    password: p.text(),
    createdAt: p.datetime(),
  },
});

/** What an account may do in an operation. */
export const MemberEntity = defineEntity({
  name: 'Member',
  tableName: 'member',
  properties: {
    id: p.uuid().primary(),
    accountId: p.uuid().index(),
    operationId: p.uuid().index(),
    role: p.text(),
  },
  uniques: [{ name: 'member_once', properties: ['accountId', 'operationId'] }],
});

/**
 * Something that lets its bearer in. Only the hash of its secret is kept: what is read from a backup signs nobody in.
 *
 * `session`: a browser of an account, or of a helper, who has a name and no account. `invitation`: makes a member once.
 * `helper`: a code for a day in the yard. `device`: a station or scale that sends. `calendar`: a program that reads what is due.
 */
export const PassEntity = defineEntity({
  name: 'Pass',
  tableName: 'pass',
  properties: {
    id: p.uuid().primary(),
    key: p.text().unique(),
    kind: p.text(),
    accountId: p.uuid().nullable().index(),
    operationId: p.uuid().nullable().index(),
    role: p.text().nullable(),
    label: p.text(),
    createdAt: p.datetime(),
    seenAt: p.datetime(),
    expiresAt: p.datetime().nullable(),
  },
});
