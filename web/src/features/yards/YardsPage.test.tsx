import { coloniesOfYard, openFollowUps } from '@incremen/core/records';
import { demoScenario } from '@incremen/core/demo';
import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { YardsPage } from './YardsPage.tsx';

withoutNetwork();

const { apiary } = demoScenario();
const rowOf = (yard: string) =>
  screen.getByRole('heading', { level: 2, name: yard }).closest('li') as HTMLElement;

describe('all yards', () => {
  it('stand in the order of their names, each with a way to its board', () => {
    renderView(<YardsPage />);
    const yards = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
    expect(yards).toEqual(['Ferry Field', 'Sallow Bank']);
    for (const yard of Object.values(apiary.yard)) {
      const link = within(rowOf(yard.name)).getByRole('link', { name: yard.name });
      expect(link.getAttribute('href')).toBe(`/yards/${yard.id}`);
    }
  });

  it('draw every colony that lives, and none that has ended', () => {
    renderView(<YardsPage />);
    for (const yard of Object.values(apiary.yard)) {
      const row = rowOf(yard.name);
      for (const colony of coloniesOfYard(apiary, yard.id)) {
        expect(within(row).getAllByText(new RegExp(colony.name)).length).toBeGreaterThan(0);
      }
    }
    const ended = Object.values(apiary.colony).filter((c) => c.endedOn !== null);
    for (const colony of ended) expect(screen.queryByText(colony.name)).toBeNull();
  });

  it('say how many inspections are due, and what is urgent', () => {
    renderView(<YardsPage />);
    const bank = rowOf('Sallow Bank');
    const here = new Set(
      coloniesOfYard(apiary, Object.values(apiary.yard).find((y) => y.name === 'Sallow Bank')?.id ?? '').map(
        (c) => c.id,
      ),
    );
    const due = openFollowUps(apiary).filter(
      (f) => f.kind === 'look' && f.window.likely <= '2026-05-15' && f.colonyIds.some((id) => here.has(id)),
    );
    expect(due.length).toBeGreaterThan(0);
    expect(
      within(bank).getByText(`${due.length} ${due.length === 1 ? 'inspection' : 'inspections'} due`),
    ).toBeTruthy();
    expect(within(bank).getByText(/^Sorrel: Swarm cells/)).toBeTruthy();
  });

  it('lead a new user to setting up', () => {
    const empty = { ...apiary, yard: {}, stand: {}, hive: {}, colony: {}, box: {}, frame: {} };
    renderView(<YardsPage />, demoStore([], empty as typeof apiary));
    expect(screen.getAllByRole('link').some((l) => l.getAttribute('href') === '/setup')).toBe(true);
  });
});
