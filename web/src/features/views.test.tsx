import { emptyApiary, newOperation, type Apiary } from '@incremen/core/records';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { lost } from '../state/mirrorSlice.ts';
import { withoutNetwork } from '../testing/noNetwork.ts';
import { demoStore, renderView } from '../testing/renderView.tsx';
import { BoardPage } from './board/BoardPage.tsx';
import { ComparePage } from './compare/ComparePage.tsx';
import { CountPage } from './count/CountPage.tsx';
import { SetUpPage } from './setup/SetUpPage.tsx';
import { YardsPage } from './yards/YardsPage.tsx';

withoutNetwork();

/** The views on a device without a network, with the records of the last visit. */
function open(at: string, apiary?: Apiary) {
  const store = demoStore([], apiary);
  store.dispatch(lost());
  const views = (
    <Routes>
      <Route path="/yards" element={<YardsPage />} />
      <Route path="/yards/:yardId" element={<BoardPage />} />
      <Route path="/compare" element={<ComparePage />} />
      <Route path="/setup" element={<SetUpPage />} />
      <Route path="/colonies/:colonyId/count" element={<CountPage />} />
      <Route path="/" element={<BoardPage />} />
    </Routes>
  );
  return { ...renderView(views, store, at), user: userEvent.setup() };
}
const idOf = (name: string) =>
  Object.values(demoStore().getState().mirror.apiary.colony).find((c) => c.name === name)!.id;
const nothing = (): Apiary => {
  const id = crypto.randomUUID();
  return { ...emptyApiary(), operation: { [id]: newOperation(id, 'My bees') } };
};

describe('an empty start', () => {
  it('leads from the board to a first yard and its hives, without a network too', async () => {
    const { user, store, router } = open('/', nothing());
    await user.click(await screen.findByRole('link', { name: 'Set up a yard' }));
    const put = screen.getByRole<HTMLButtonElement>('button', { name: 'Put 4 hives on their stands' });
    await user.clear(screen.getByLabelText(/Name of the yard/));
    await user.click(put);
    expect(await screen.findByText('The yard needs a name.')).toBeTruthy();
    expect(store.getState().mirror.outbox).toEqual([]);
    await user.type(screen.getByLabelText(/Name of the yard/), 'Home');
    const names = screen.getByLabelText(/Names of the hives/);
    await user.clear(names);
    await user.type(names, 'E1 to E12');
    await user.click(screen.getByRole('button', { name: 'Put 12 hives on their stands' }));
    expect(await screen.findByRole('heading', { level: 1, name: 'Home' })).toBeTruthy();
    expect(router.state.location.pathname).toMatch(/^\/yards\//);
    expect(Object.keys(store.getState().mirror.apiary.frame)).toHaveLength(120);
    const lane = screen.getByRole('region', { name: 'Not counted' });
    expect(within(lane).getAllByRole('link')).toHaveLength(12);
  });
});

describe('the yards', () => {
  it('are summed up each, with what cannot wait', () => {
    open('/yards');
    expect(screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent)).toEqual([
      'Ferry Field',
      'Sallow Bank',
    ]);
    expect(screen.getByText('1 inspection due')).toBeTruthy();
    expect(screen.getByText('Sorrel: Swarm cells: act by Sat 16 May')).toBeTruthy();
  });
});

describe('comparing', () => {
  it('sets numbers side by side and lets the larger lead', () => {
    open(`/compare?c=${idOf('Tansy')}&c=${idOf('Burnet')}`);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Tansy · Burnet');
    const table = within(screen.getByRole('region', { name: 'Comparison' }));
    expect(table.getAllByText(/frames$/).length).toBeGreaterThan(8);
    expect(table.getByText('Strong')).toBeTruthy();
    expect(table.getByText('Weak')).toBeTruthy();
  });

  it('asks for two colonies where there are not two, gone ones left out', () => {
    open(`/compare?c=${idOf('Tansy')}&c=${crypto.randomUUID()}`);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('All colonies');
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Compare Tansy' }).checked).toBe(true);
  });
});

describe('the recorder', () => {
  it('undoes in the tab that is open, and saves both together', async () => {
    const { user, store } = open(`/colonies/${idOf('Yarrow')}/count`);
    await user.click(screen.getByRole('button', { name: 'Honey' }));
    await user.click(screen.getByRole('tab', { name: 'Queen, brood and notes' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Undo' }).disabled).toBe(true);
    const temper = within(screen.getByRole('group', { name: 'Yarrow: temper' }));
    await user.click(temper.getByText('Roaring'));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await user.click(temper.getByText('Calm'));
    await user.click(screen.getByRole('tab', { name: 'Frames' }));
    await user.click(screen.getByRole('button', { name: 'Save 1 of 10' }));
    const [entry] = store.getState().mirror.outbox;
    expect(entry?.command).toMatchObject({
      type: 'recordCount',
      evidence: { mood: 'calm' },
      readings: [{ body: { estimated: false } }],
    });
  });

  it('of a colony that is gone is no page', () => {
    expect(() => open(`/colonies/${crypto.randomUUID()}/count`)).not.toThrow();
    expect(screen.queryByRole('tablist')).toBeNull();
  });
});
