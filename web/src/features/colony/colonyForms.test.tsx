import { boxesOfHive, queenOf, type Apiary } from '@incremen/core/records';
import { colonyState } from '@incremen/core/colony';
import { DEMO_DAY } from '@incremen/core/demo';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { Route, Routes } from 'react-router';
import { lost } from '../../state/mirrorSlice.ts';
import { localDatabase } from '../../offline/database.ts';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { HivePage } from './HivePage.tsx';
import { QueenPanel } from './QueenPanel.tsx';
import { Rename } from './Rename.tsx';

const named = (apiary: Apiary, name: string) => Object.values(apiary.colony).find((c) => c.name === name)!;

/** A device without a network: what is done shows here and waits in the outbox. */
function away() {
  const store = demoStore();
  store.dispatch(lost());
  return store;
}

withoutNetwork();

describe('renaming a colony', () => {
  it('refuses a name that another has, beside the field, and takes a free one', async () => {
    const user = userEvent.setup();
    const store = away();
    const colony = named(store.getState().mirror.apiary, 'Tansy');
    renderView(<Rename colony={colony} />, store);
    await user.click(screen.getByRole('button', { name: 'Rename Tansy' }));
    const field = screen.getByLabelText('Name of the colony');
    await user.clear(field);
    await user.type(field, 'Mallow{Enter}');
    expect((await screen.findByRole('alert')).textContent).toContain(
      'There already is a colony called Mallow',
    );
    await user.clear(field);
    await user.type(field, 'Rue{Enter}');
    await waitFor(() => expect(store.getState().mirror.apiary.colony[colony.id]?.name).toBe('Rue'));
    await waitFor(async () => expect(await (await localDatabase()).count('outbox')).toBe(1));
  });
});

describe('the queen', () => {
  function show(name: string) {
    const store = away();
    const { apiary } = store.getState().mirror;
    const colony = named(apiary, name);
    renderView(<QueenPanel colony={colony} state={colonyState(apiary, colony, DEMO_DAY)} />, store);
    return { store, colony, user: userEvent.setup() };
  }

  it('can be corrected, and refuses a year that is none', async () => {
    const { store, colony, user } = show('Tansy');
    await user.click(screen.getByRole('button', { name: 'Correct' }));
    const year = screen.getByLabelText('Born in');
    await user.clear(year);
    await user.type(year, '24');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep' }).disabled).toBe(true);
    await user.type(year, '{Backspace}{Backspace}2024');
    // Queens of 2024 are marked green, by the international convention.
    expect(screen.getByRole('group', { name: 'Mark (queens of 2024 are green)' })).toBeTruthy();
    await user.click(within(screen.getByRole('group', { name: /^Mark/ })).getByText('green'));
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() =>
      expect(queenOf(store.getState().mirror.apiary, colony.id)).toMatchObject({
        birthYear: 2024,
        dot: 'green',
      }),
    );
  });

  it('may be known to be in one of several', async () => {
    const { store, colony, user } = show('Tansy');
    await user.click(screen.getByRole('button', { name: 'Correct' }));
    await user.click(screen.getByText('Not sure that she is here?'));
    await user.click(screen.getByRole('button', { name: 'Mallow' }));
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    const other = named(store.getState().mirror.apiary, 'Mallow').id;
    await waitFor(() =>
      expect(
        Object.values(store.getState().mirror.apiary.queen).find((q) => q.name === 'Ottoline')?.whereabouts,
      ).toEqual({
        known: 'oneOf',
        colonyIds: [colony.id, other],
      }),
    );
  });
});

describe('the boxes of a hive', () => {
  it('are turned, given an excluder, and stand so only when one says so', async () => {
    const user = userEvent.setup();
    const store = away();
    const colony = named(store.getState().mirror.apiary, 'Tansy');
    const hiveId = colony.hiveId ?? '';
    const before = boxesOfHive(store.getState().mirror.apiary, hiveId).map((b) => b.id);
    renderView(
      <Routes>
        <Route path="/colonies/:colonyId/hive" element={<HivePage />} />
        <Route path="*" element={<p>left</p>} />
      </Routes>,
      store,
      `/colonies/${colony.id}/hive`,
    );
    const done = screen.getByRole<HTMLButtonElement>('button', { name: 'Save this layout' });
    expect(done.disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Box 1 from the bottom: up' }));
    await user.click(
      within(screen.getByRole('group', { name: 'Box 2 from the bottom: excluder' })).getByText(
        'Excluder under it',
      ),
    );
    expect(boxesOfHive(store.getState().mirror.apiary, hiveId).map((b) => b.id)).toEqual(before);
    await user.click(done);
    await screen.findByText('left');
    const after = boxesOfHive(store.getState().mirror.apiary, hiveId);
    expect(after.map((b) => b.id)).toEqual(before.toReversed());
    expect(after.map((b) => b.excluderBelow)).toEqual([false, true]);
  });

  it('the last box cannot go into the store', () => {
    const store = away();
    const colony = named(store.getState().mirror.apiary, 'Yarrow');
    renderView(
      <Routes>
        <Route path="/colonies/:colonyId/hive" element={<HivePage />} />
      </Routes>,
      store,
      `/colonies/${colony.id}/hive`,
    );
    const off = screen.getByRole<HTMLButtonElement>('button', {
      name: 'Box 1 from the bottom: into the store',
    });
    expect(off.disabled).toBe(true);
  });
});
