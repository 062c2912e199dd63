import type { Command } from '@incremen/core/records';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { StatusStrip } from '../../app/StatusStrip.tsx';
import { lost, reached } from '../../state/mirrorSlice.ts';
import { localDatabase, type OutboxEntry } from '../../offline/database.ts';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { OutboxPage } from './OutboxPage.tsx';

vi.mock('../../offline/installed.ts', () => ({
  newVersion: { subscribe: () => () => undefined, waits: () => false, open: () => undefined },
}));

const entry = (seq: number, change: Partial<OutboxEntry> = {}): OutboxEntry => ({
  seq,
  id: crypto.randomUUID(),
  operationId: crypto.randomUUID(),
  madeAt: '2026-05-15T09:30:00.000Z',
  summary: `Yard ${seq} added`,
  command: {
    type: 'addYard',
    yard: { id: crypto.randomUUID(), name: `Yard ${seq}`, note: '' },
  } satisfies Command,
  state: 'waiting',
  problems: [],
  ...change,
});
const refused = entry(3, {
  state: 'refused',
  problems: [
    { code: 'name-taken', path: ['yard', 'name'], message: 'There is one.', remedy: 'Choose another.' },
  ],
});

withoutNetwork();

const keep = async (entries: readonly OutboxEntry[]) => {
  const db = await localDatabase();
  await Promise.all(entries.map((e) => db.add('outbox', e)));
};

describe('the outbox', () => {
  it('says when everything is with the server', () => {
    renderView(<OutboxPage />);
    expect(screen.getByText(/Everything that was entered here is with the server/)).toBeTruthy();
  });

  it('lists what waits in its order, and lets it be taken back', async () => {
    const user = userEvent.setup();
    const all = [entry(1), entry(2)];
    await keep(all);
    const { store } = renderView(<OutboxPage />, demoStore(all));
    const list = screen.getByRole('list', { name: 'Waiting to be sent' });
    expect(
      within(list)
        .getAllByRole('listitem')
        .map((li) => li.textContent),
    ).toEqual([expect.stringContaining('Yard 1 added'), expect.stringContaining('Yard 2 added')]);
    await user.click(screen.getByRole('button', { name: 'Undo: Yard 1 added' }));
    await waitFor(() => expect(store.getState().mirror.outbox.map((e) => e.seq)).toEqual([2]));
    expect(await (await localDatabase()).count('outbox')).toBe(1);
  });

  it('keeps what was refused, with its reason, until it is tried again or thrown away', async () => {
    const user = userEvent.setup();
    await keep([refused]);
    const { store } = renderView(<OutboxPage />, demoStore([refused]));
    expect(screen.getByRole('alert').textContent).toContain('There is one.Choose another.');
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(store.getState().mirror.outbox[0]?.state).toBe('waiting'));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('throws away only what it is told to', async () => {
    const user = userEvent.setup();
    const waiting = entry(1);
    await keep([waiting, refused]);
    const { store } = renderView(<OutboxPage />, demoStore([waiting, refused]));
    await user.click(screen.getByRole('button', { name: 'Throw away' }));
    await waitFor(() => expect(store.getState().mirror.outbox).toHaveLength(1));
    expect(store.getState().mirror.outbox[0]?.seq).toBe(1);
  });
});

describe('the strip above a view', () => {
  it('is silent while all is well', () => {
    const { container } = renderView(<StatusStrip />);
    expect(container.textContent).toBe('');
  });

  it('says that the server is away, and what waits', () => {
    const store = demoStore([entry(1)]);
    store.dispatch(lost());
    renderView(<StatusStrip />, store);
    expect(screen.getByRole('status').textContent).toMatch(
      /out of reach.*1 entry waits here and will be sent/,
    );
  });

  it('says what was refused and leads to the reasons', () => {
    renderView(<StatusStrip />, demoStore([refused]));
    expect(screen.getByRole('link', { name: 'See why' }).getAttribute('href')).toBe('/outbox');
  });

  it('says that the clock is wrong, unless the day stands still', async () => {
    const year = 365 * 86_400_000;
    const demo = demoStore();
    demo.dispatch(reached({ clockOffsetMs: -year }));
    renderView(<StatusStrip />, demo);
    expect(screen.queryByText(/clock/)).toBeNull();
    cleanup();
    const { base } = demo.getState().mirror;
    const [operation] = Object.values(base.operation);
    const own = demoStore([], {
      ...base,
      operation: { [operation!.id]: { ...operation!, fixedToday: null } },
    });
    own.dispatch(reached({ clockOffsetMs: -year }));
    renderView(<StatusStrip />, own);
    expect(await screen.findByText(/The clock of this device is 365 days ahead/)).toBeTruthy();
  });
});
