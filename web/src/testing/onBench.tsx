import { demoScenario } from '@incremen/core/demo';
import { fireEvent, screen, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { beforeEach } from 'vitest';
import { YardPlanPage } from '../features/yardplan/YardPlanPage.tsx';
import { withoutNetwork } from './noNetwork.ts';
import { proverSays } from './plannerHere.ts';
import { demoStore, renderView } from './renderView.tsx';

/** Tests of the bench: no network, planner and chart stood in for, and a prover that says nothing before each. */
export function atTheBench(): void {
  withoutNetwork();
  beforeEach(() => {
    proverSays.bound = null;
    proverSays.mostNucs = null;
    proverSays.isAtIt = false;
    proverSays.shortages = [];
    proverSays.wait = null;
  });
}

export const { apiary } = demoScenario();
export const idOf = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)?.id ?? '';

/** Opens the bench of the demonstration; what is asked of it can be read. */
export function openBench(at = '/plan') {
  const views = (
    <Routes>
      <Route path="/plan" element={<YardPlanPage />} />
      <Route path="/worksheet/:workId" element={<h1>Work</h1>} />
    </Routes>
  );
  const view = renderView(views, demoStore([], apiary), at);
  const request = () => {
    const { now } = view.store.getState().planner;
    if (!now) throw new Error('the bench is empty');
    return now.request;
  };
  return { ...view, request, placed: () => view.store.getState().planner.now?.placed ?? [] };
}

export const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
export const choose = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
/** Names colonies in a goal, or takes their names back. */
export const about = (goal: string, ...names: string[]) => {
  for (const name of names) {
    const group = screen.getByRole('group', { name: `Colonies of: ${goal}` });
    fireEvent.click(within(group).getByRole('button', { name }));
  }
};
/** Waits until the first plan stands on the bench. */
export const planned = () => screen.findByText(/frames? to carry/);

/** The bench with a plan of nucs on it. */
export async function withNucs() {
  const view = openBench();
  click(/^Make nucs/);
  await planned();
  return view;
}

/** The frames of a hive in the picture. */
export const hive = (name: string, when: string) =>
  screen.getByRole('listbox', { name: `Frames of ${name} ${when}` });
