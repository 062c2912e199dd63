import { demoScenario } from '@incremen/core/demo';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { WAY_SKETCHES } from '../../drawing/waySketches.ts';
import { WaysPage } from './WaysPage.tsx';

withoutNetwork();

const { apiary } = demoScenario();
const idOf = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)?.id ?? '';

function open(name: string, scenario = apiary) {
  const views = (
    <Routes>
      <Route path="/colonies/:colonyId/ways" element={<WaysPage />} />
      <Route path="*" element={<h1>Elsewhere</h1>} />
    </Routes>
  );
  return renderView(views, demoStore([], scenario), `/colonies/${idOf(name)}/ways`);
}
const first = () =>
  within(screen.getByRole('list', { name: 'Split methods, best first' })).getAllByRole('heading', {
    level: 3,
  })[0]?.textContent;
const answer = (question: string, words: string) =>
  fireEvent.click(within(screen.getByRole('group', { name: question })).getByRole('radio', { name: words }));
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('ways for a colony', () => {
  it('begin with what the count says, and what suits it best', () => {
    open('Sorrel');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Split methods for Sorrel');
    expect(screen.getByText(/of brood, .* of stores/)).toBeTruthy();
    expect(first()).toBe('Queen moved out to a nuc');
    expect(screen.getByText('Cells are there: with her gone the swarm has no reason to leave.')).toBeTruthy();
  });

  it('change with what one has and wants', () => {
    open('Sorrel');
    answer('Queen cells', 'None');
    answer('The queen', 'Not looked for');
    expect(first()).toBe('Even walk-away halves');
    for (let n = 0; n < 2; n++) click('More: Mated queens at hand');
    answer('Time of year', 'Dearth');
    expect(first()).toBe('Split with a caged mated queen');
    answer('The queen', 'None');
    expect(screen.getByRole('heading', { name: 'Not now' })).toBeTruthy();
  });

  it('are worked out, and one whose plan breaks a rule is not the best any more', async () => {
    open('Vetch');
    const looked = first();
    await screen.findByText(/falls short\. Stores in the new part: \d\.\d+ where at least 1 is wanted/);
    expect(looked).toBe('Queen moved out to a nuc');
    expect(first()).toBe('Move the queen with the open brood');
    expect(screen.queryByRole('status')).toBeNull();
    // What nobody counted cannot be worked out.
    answer('Queen cells', 'Open');
    expect(screen.queryByText(/falls short/)).toBeNull();
  });

  it('lead to the plan of one colony, with the method chosen', async () => {
    const { router } = open('Sorrel');
    click('Plan: Queen moved out to a nuc');
    await waitFor(() => expect(router.state.location.pathname).toBe(`/colonies/${idOf('Sorrel')}/plan`));
    expect(router.state.location.search).toMatch(/^\?method=queen-to-nuc/);
  });

  it('lead to the bench for yards where several are made, with the goals asked', async () => {
    const { router, store } = open('Sorrel');
    answer('Queen cells', 'None');
    for (let n = 0; n < 2; n++) click('More: New colonies wanted');
    click('Plan: One into three or four on one site');
    await waitFor(() => expect(router.state.location.pathname).toBe('/plan'));
    const request = store.getState().planner.now?.request;
    expect(request?.goals).toMatchObject([{ kind: 'makeNucs', count: 3, recipe: { queen: 'raises' } }]);
    expect(request?.leftOutIds).not.toContain(idOf('Sorrel'));
    expect(request?.leftOutIds).toContain(idOf('Tansy'));
  });

  it('say to wait, with the numbers, when nothing suits', () => {
    open('Burnet');
    expect(screen.getByRole('heading', { name: 'Do not split Burnet now' })).toBeTruthy();
    expect(screen.getByText(/^Burnet has .* frames of bees; the smallest split wants/)).toBeTruthy();
  });

  it('send a colony that was never counted to the count', () => {
    const uncounted = { ...apiary, reading: {}, visit: {} } as typeof apiary;
    open('Tansy', uncounted);
    expect(screen.getByRole('link', { name: 'Count Tansy' })).toBeTruthy();
  });

  it('say that a colony is gone', () => {
    renderView(
      <Routes>
        <Route path="/colonies/:colonyId/ways" element={<WaysPage />} />
      </Routes>,
      demoStore(),
      '/colonies/none/ways',
    );
    expect(screen.queryByRole('list', { name: 'Split methods, best first' })).toBeNull();
  });

  it('are each drawn', () => {
    for (const hives of Object.values(WAY_SKETCHES)) {
      expect(hives.length).toBeGreaterThan(0);
      for (const h of hives) expect(h.boxes.length).toBeLessThanOrEqual(3);
      expect(hives.filter((h) => h.isOld)).toHaveLength(1);
    }
  });
});
