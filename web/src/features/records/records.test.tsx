import type { JournalPage } from '@incremen/contract';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { CountImportPage } from './CountImportPage.tsx';
import { RecordsPage } from './RecordsPage.tsx';

withoutNetwork();

const csv = (text: string, name = 'counts.csv') => new File([text], name, { type: 'text/csv' });
const HEAD = 'yard,hive,box,slot,day,bees,eggs,open,capped,bee_bread,honey,queen';

describe('counts from a file', () => {
  function open() {
    const views = (
      <Routes>
        <Route path="/records/counts" element={<CountImportPage />} />
        <Route path="/yard" element={<h1>Board</h1>} />
      </Routes>
    );
    return { ...renderView(views, demoStore(), '/records/counts'), user: userEvent.setup() };
  }
  const choose = (user: ReturnType<typeof userEvent.setup>, file: File) =>
    user.upload(screen.getByLabelText('A CSV file, one row a frame'), file);

  it('are shown before they are taken in, bad rows with line, reason and remedy', async () => {
    const { user, store } = open();
    await choose(
      user,
      csv(
        `${HEAD}\nFerry Field,Yarrow,1,1,2026-05-14,5,,,,1,8,\nFerry Field,Yarrow,1,2,2026-05-14,8,1,2,4,1,9,\nFerry Field,Yarrow,1,3,soon,8,1,2,4,1,2,`,
      ),
    );
    const preview = within(await screen.findByRole('region', { name: 'Preview' }));
    expect(preview.getByText('line 3')).toBeTruthy();
    expect(preview.getByText('line 4')).toBeTruthy();
    expect(store.getState().mirror.outbox).toHaveLength(0);
    await user.click(screen.getByRole('button', { name: 'Take in 1 row, leave out 2' }));
    expect(await screen.findByRole('heading', { name: 'Board' })).toBeTruthy();
    expect(store.getState().mirror.outbox[0]?.command.type).toBe('batch');
  });

  it('that are no counts at all change nothing and say so', async () => {
    const { user, store } = open();
    await choose(user, csv('%PDF-1.7 nothing of the kind', 'letter.csv'));
    expect(await screen.findByText('Nothing in letter.csv can be taken in yet.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Take in/ })).toBeNull();
    expect(store.getState().mirror.outbox).toHaveLength(0);
  });
});

describe('records', () => {
  const entry = (n: number, undoneBy: string | null = null): JournalPage['entries'][number] => ({
    id: crypto.randomUUID(),
    seq: n,
    type: 'recordCount',
    doneAt: '2026-05-14T08:00:00.000Z',
    by: null,
    summary: `Visit ${n} recorded`,
    undoneBy,
  });
  /** A server that knows these pages of the journal and takes what is sent. */
  function serve(pages: Readonly<Record<string, unknown>>) {
    vi.stubGlobal('fetch', (input: string) => {
      const before = new URL(input, 'http://hive.test').searchParams.get('before') ?? 'first';
      return Promise.resolve(
        input.includes('/journal')
          ? new Response(JSON.stringify(pages[before]), { headers: { 'content-type': 'application/json' } })
          : new Response('{}', { status: 503 }),
      );
    });
  }

  it('list what was done, page by page; what was taken back cannot be taken back again', async () => {
    serve({
      first: { entries: [entry(9), entry(8, crypto.randomUUID())], next: 8 },
      '8': { entries: [entry(7)], next: null },
    });
    const user = userEvent.setup();
    renderView(<RecordsPage />);
    expect(await screen.findByText('Visit 9 recorded')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Undo: Visit 8 recorded' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Show earlier' }));
    expect(await screen.findByText('Visit 7 recorded')).toBeTruthy();
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Show earlier' })).toBeNull());
  });

  it('older visits come by request, and cannot be corrected here', async () => {
    const store = demoStore();
    const [colony] = Object.values(store.getState().mirror.apiary.colony);
    const old = {
      id: crypto.randomUUID(),
      colonyId: colony?.id,
      day: '2024-06-01',
      time: null,
      purpose: 'count',
      note: '',
      evidence: null,
      conditions: null,
      clash: null,
      unexpected: null,
      by: 'Nora',
    };
    vi.stubGlobal('fetch', (path: string) =>
      Promise.resolve(
        path.includes('/visits')
          ? Response.json({ visits: [old] })
          : path.includes('/journal')
            ? Response.json({ entries: [], next: null })
            : new Response('{}', { status: 503 }),
      ),
    );
    const user = userEvent.setup();
    renderView(<RecordsPage />, store);
    const visits = () => within(screen.getByRole('region', { name: 'Visits' }));
    await user.type(visits().getByRole('searchbox'), '2024');
    expect(visits().queryByText(/by Nora/)).toBeNull();
    await user.click(visits().getByRole('button', { name: 'Fetch older visits from the server' }));
    await user.click(await visits().findByText(`${colony?.name}: counted by Nora`));
    expect(visits().getByText('Every visit on record is here.')).toBeTruthy();
    expect(visits().queryByRole('button', { name: 'Correct' })).toBeNull();
  });

  it('ask before a file takes the place of everything, and say what a wrong file is', async () => {
    const user = userEvent.setup({ applyAccept: false });
    renderView(<RecordsPage />);
    const input = screen.getByLabelText('File of a whole operation');
    await user.upload(input, csv('no json', 'shopping.txt'));
    expect(await screen.findByText(/shopping.txt is not a backup that Incremen wrote/)).toBeTruthy();
    await user.upload(input, csv('{"format":"incremen-apiary"}', 'apiary.json'));
    const ask = within(await screen.findByRole('alertdialog', { name: 'Replace everything?' }));
    await user.click(ask.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByRole('alertdialog')).toBeNull();
    await user.upload(input, csv('{"format":"incremen-apiary"}', 'apiary.json'));
    await user.click(await screen.findByRole('button', { name: 'Replace everything' }));
    // The server cannot be reached: said, and nothing replaced.
    expect(await screen.findAllByRole('alert')).not.toHaveLength(0);
  });
});
