import { defineEntity, p } from '@mikro-orm/postgresql';

/** A browser that wants to be told the evening before, at the address that its maker's push service gave it. */
export const PushSubscriptionEntity = defineEntity({
  name: 'PushSubscription',
  tableName: 'push_subscription',
  properties: {
    id: p.uuid().primary(),
    operationId: p.uuid().index(),
    endpoint: p.text().unique(),
    /** The browser's public key and its secret: only it can read what is sent (RFC 8291). */
    p256dh: p.text(),
    auth: p.text(),
    /** The day on which it was last told. */
    toldOn: p.date().nullable(),
  },
});

/** The key by which push services know this server (VAPID, RFC 8292); made once. */
export const PushKeyEntity = defineEntity({
  name: 'PushKey',
  tableName: 'push_key',
  properties: {
    id: p.integer().primary(),
    publicKey: p.text(),
    privateKey: p.text(),
  },
});
