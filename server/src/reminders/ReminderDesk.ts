import { randomUUID } from 'node:crypto';
import type { Day } from '@incremen/core/basics';
import type { MikroORM } from '@mikro-orm/postgresql';
import webpush from 'web-push';
import type { OperationStore } from '../operations/OperationStore.ts';
import { dueTomorrow } from './dueTomorrow.ts';
import { PushKeyEntity, PushSubscriptionEntity } from './entities.ts';

/** Where a browser is reached, as it said itself. */
export interface Subscription {
  readonly endpoint: string;
  readonly keys: { readonly p256dh: string; readonly auth: string };
}

/** What a push service answers; anything but 2xx is a refusal. */
export type Send = (
  to: Subscription,
  text: string,
  keys: { readonly publicKey: string; readonly privateKey: string },
) => Promise<{ readonly statusCode: number }>;

/** Before this hour of the evening nobody is told. */
const FROM_HOUR = 17;

/** Undelivered by then, it is of no use. */
const LIVES_SECONDS = 12 * 3600;
const TIMEOUT_MS = 10_000;

/** Whom push services may ask about this server: nobody is named. */
const SUBJECT = 'mailto:reminders@incremen.invalid';

/** Sends through the push service of the browser's maker. */
const throughService: Send = (to, text, keys) =>
  webpush
    .sendNotification(to, text, {
      vapidDetails: { subject: SUBJECT, ...keys },
      TTL: LIVES_SECONDS,
      timeout: TIMEOUT_MS,
    })
    .catch((error: { statusCode?: number }) => ({ statusCode: error.statusCode ?? 0 }));

/** Browsers that are told the evening before what is due. */
export class ReminderDesk {
  private readonly orm: MikroORM;
  private readonly store: OperationStore;
  private readonly send: Send;

  constructor(orm: MikroORM, store: OperationStore, send: Send = throughService) {
    this.orm = orm;
    this.store = store;
    this.send = send;
  }

  /** The key that a browser asks its push service with; made when it is first wanted. */
  async keys(): Promise<{ readonly publicKey: string; readonly privateKey: string }> {
    const em = this.orm.em.fork();
    // Two that ask at once get the same: the second finds what the first has put in.
    await em.upsert(PushKeyEntity, { id: 1, ...webpush.generateVAPIDKeys() }, { onConflictAction: 'ignore' });
    return em.findOneOrFail(PushKeyEntity, 1);
  }

  /** Tells this browser from now on. One that is known already is kept as it is. */
  async join(operationId: string, { endpoint, keys }: Subscription): Promise<void> {
    await this.orm.em
      .fork()
      .upsert(
        PushSubscriptionEntity,
        { id: randomUUID(), operationId, endpoint, ...keys, toldOn: null },
        { onConflictFields: ['endpoint'], onConflictMergeFields: ['operationId', 'p256dh', 'auth'] },
      );
  }

  /** Tells it no more. */
  async leave(operationId: string, endpoint: string): Promise<void> {
    await this.orm.em.fork().nativeDelete(PushSubscriptionEntity, { operationId, endpoint });
  }

  /**
   * Tells each browser once an evening what is due tomorrow; nothing where nothing is. A browser that its service no longer knows
   * is forgotten, one that cannot be reached is tried again within the hour.
   *
   * @returns how many were told
   */
  async remind(today: Day, hour: number): Promise<number> {
    if (hour < FROM_HOUR) return 0;
    const em = this.orm.em.fork();
    const waiting = await em.find(PushSubscriptionEntity, {
      $or: [{ toldOn: null }, { toldOn: { $lt: today } }],
    });
    if (waiting.length === 0) return 0;
    const keys = await this.keys();
    let told = 0;
    for (const operationId of new Set(waiting.map((w) => w.operationId))) {
      const reminder = dueTomorrow((await this.store.present(operationId)).apiary, today);
      for (const one of waiting.filter((w) => w.operationId === operationId)) {
        if (reminder) {
          const to = { endpoint: one.endpoint, keys: { p256dh: one.p256dh, auth: one.auth } };
          const { statusCode } = await this.send(to, JSON.stringify(reminder), keys);
          if (statusCode === 404 || statusCode === 410) {
            em.remove(one);
            continue;
          }
          if (statusCode < 200 || statusCode >= 300) continue;
          told++;
        }
        one.toldOn = today;
      }
    }
    await em.flush();
    return told;
  }
}
