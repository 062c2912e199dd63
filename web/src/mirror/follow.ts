import { API_PATHS, type News } from '@incremen/contract';
import type { AppStore } from '../state/store.ts';
import { localDatabase } from '../offline/database.ts';
import { alone } from '../offline/lock.ts';
import { followed } from '../state/mirrorSlice.ts';
import { askForNews } from './sync.ts';

/**
 * Follows what other devices change, as the server tells it. Only while the page is in sight: browsers allow a few
 * connections to a server, and each open tab would take one.
 */
export function follow(store: AppStore): void {
  if (typeof EventSource === 'undefined') return;
  let source: EventSource | null = null;
  let of: string | null = null;
  const listen = () => {
    const { operationId, status } = store.getState().mirror;
    const wanted = document.visibilityState === 'visible' && status === 'ready' ? operationId : null;
    if (wanted === of) return;
    source?.close();
    of = wanted;
    source = wanted === null ? null : new EventSource(API_PATHS.news(wanted));
    source?.addEventListener('message', (e: MessageEvent<string>) => {
      void hear(store, JSON.parse(e.data) as News);
    });
  };
  store.subscribe(listen);
  document.addEventListener('visibilitychange', listen);
  listen();
}

async function hear(store: AppStore, news: News): Promise<void> {
  const { revision, operationId, outbox } = store.getState().mirror;
  if (news.revision <= revision || operationId === null) return;
  // What was sent from here is confirmed by its own answer.
  if (outbox.some((e) => e.id === news.entryId)) return;
  const { changes } = news;
  const { keeps } = store.getState().mirror;
  if (changes === null || !keeps || news.revision !== revision + 1) {
    await store.dispatch(askForNews());
    return;
  }
  await alone('copy', async () =>
    (await localDatabase()).put('confirmed', { revision: news.revision, operationId, changes }),
  );
  // Something else may have come in while it was kept.
  if (store.getState().mirror.revision === news.revision - 1)
    store.dispatch(followed({ revision: news.revision, changes }));
  else await store.dispatch(askForNews());
}
