import { boxesOfColony, coloniesOfYard } from '@incremen/core/records';
import { demoScenario } from '@incremen/core/demo';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { expect, it, vi } from 'vitest';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { SheetsPage } from './SheetsPage.tsx';

const { apiary } = demoScenario();
const yard = Object.values(apiary.yard).find((y) => y.name === 'Sallow Bank')!;

function open(id = yard.id) {
  renderView(
    <Routes>
      <Route path="/yards/:yardId/sheets" element={<SheetsPage />} />
    </Routes>,
    demoStore(),
    `/yards/${id}/sheets`,
  );
  return userEvent.setup();
}

it('has a table a brood box for every hive, from the top box down, and prints', async () => {
  const print = vi.fn<() => void>();
  vi.stubGlobal('print', print);
  const user = open();
  for (const colony of coloniesOfYard(apiary, yard.id)) {
    const tables = within(screen.getByRole('region', { name: colony.name })).getAllByRole('table');
    const boxes = boxesOfColony(apiary, colony).filter((b) => b.role === 'brood');
    expect(tables).toHaveLength(boxes.length);
  }
  const tansy = within(screen.getByRole('region', { name: 'Tansy' }));
  expect(tansy.getAllByRole('table').map((t) => t.querySelector('caption')?.textContent)).toEqual([
    expect.stringMatching(/^upper box/i),
    expect.stringMatching(/^lower box/i),
  ]);
  // Ten frames, and the two columns that say what is counted.
  expect(within(tansy.getAllByRole('table')[0]!).getAllByRole('columnheader')).toHaveLength(11);
  await user.click(screen.getByRole('button', { name: 'Print' }));
  expect(print).toHaveBeenCalledOnce();
});

it('has a card with squares to tick for every inspection', async () => {
  const user = open();
  await user.click(screen.getByText('Inspection cards'));
  const mallow = within(screen.getByRole('region', { name: 'Mallow' }));
  expect(mallow.queryByRole('table')).toBeNull();
  expect(mallow.getByText('Signs of brood disease')).toBeTruthy();
  expect(mallow.getAllByText('not looked').length).toBeGreaterThan(3);
});

it('of a yard that is not there is no page', () => {
  open('nowhere');
  expect(screen.getByRole('heading', { name: 'There is no such page' })).toBeTruthy();
});
