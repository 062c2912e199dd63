import { applyChanges, type Apiary } from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { demoScenario } from '@incremen/core/demo';
import { makePlan } from '@incremen/core/split';
import { act, cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { closeVisit } from '../../testing/closeVisit.ts';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { WorkListPage } from './WorkListPage.tsx';
import { WorkPage } from './WorkPage.tsx';

withoutNetwork();
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

/** The demonstration with a split of Tansy kept, and the id of its plan. */
function withPlan(): { apiary: Apiary; workId: string; steps: number } {
  const { apiary } = demoScenario();
  const tansy = Object.values(apiary.colony).find((c) => c.name === 'Tansy')!;
  const made = makePlan(
    apiary,
    { colonyId: tansy.id, methodId: 'queen-to-nuc', day: '2026-05-15', newName: 'Tansy II', options: {} },
    () => crypto.randomUUID(),
  );
  if (!made.ok) throw new Error(made.problems[0]?.message);
  const kept = decide(apiary, made.value.command);
  if (!kept.ok) throw new Error(kept.problems[0]?.message);
  return {
    apiary: applyChanges(apiary, kept.value),
    workId: made.value.command.work.id,
    steps: made.value.command.steps.length,
  };
}

function open() {
  const { apiary, workId, steps } = withPlan();
  const views = (
    <Routes>
      <Route path="/worksheet" element={<WorkListPage />} />
      <Route path="/worksheet/:workId" element={<WorkPage />} />
      <Route path="/colonies/:id" element={<h1>Colony</h1>} />
    </Routes>
  );
  const view = renderView(views, demoStore([], apiary), `/worksheet/${workId}`);
  const status = () => view.store.getState().mirror.apiary.work[workId]?.status;
  const current = () => within(document.querySelector<HTMLElement>('[aria-current=step]')!);
  // The row answers at once, the next step becomes the current one when that is painted.
  const doneKey = () => vi.waitFor(() => current().getByRole('button', { name: /^Done:/ }));
  const done = () => screen.getByRole('progressbar', { name: 'Steps done' }).getAttribute('aria-valuenow');
  return { ...view, user: userEvent.setup(), status, doneKey, done, steps };
}

describe('the work at the hives', () => {
  it('goes on step by step, takes a tick back, and does not take a double tap for that', async () => {
    const { doneKey, done, status } = open();
    let now = 1000;
    vi.spyOn(performance, 'now').mockImplementation(() => now);
    const user = userEvent.setup();
    await user.click(await doneKey());
    // It is seen first, and in the records a moment later.
    await vi.waitFor(() => expect(done()).toBe('1'));
    await vi.waitFor(() => expect(status()).toBe('working'));
    const back = screen.getByRole('button', { name: /^Not done after all/ });
    now += 200;
    await user.click(back);
    expect(done()).toBe('1');
    now += 600;
    await user.click(back);
    await vi.waitFor(() => expect(done()).toBe('0'));
    vi.restoreAllMocks();
  });

  it('changes the records only with its last step, and then says when to come back', async () => {
    const { user, store, doneKey, steps, status } = open();
    const parts = () => Object.values(store.getState().mirror.apiary.colony).map((c) => c.name);
    for (let i = 0; i < steps; i++) {
      expect(parts()).not.toContain('Tansy II');
      await user.click(await doneKey());
    }
    expect(parts()).not.toContain('Tansy II');
    expect(screen.getByRole('button', { name: 'Finish' })).toHaveProperty('disabled', true);
    expect(screen.getByText(/^Tansy: entrance, lid, tag, queen, feed, excluder, strips/)).toBeTruthy();
    closeVisit();
    expect(await screen.findByRole('heading', { level: 1, name: 'The work is done' })).toBeTruthy();
    expect(parts()).toContain('Tansy II');
    expect(status()).toBe('done');
    expect(screen.getByRole('link', { name: 'All inspections due' })).toBeTruthy();
  });

  it('is dropped only when asked twice, and leaves nothing behind', async () => {
    const { user, router, status } = open();
    await user.click(screen.getByRole('button', { name: 'Drop' }));
    await user.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(status()).toBe('draft');
    await user.click(screen.getByRole('button', { name: 'Drop' }));
    await user.click(screen.getByRole('button', { name: 'Drop the plan' }));
    expect(await screen.findByRole('heading', { level: 1, name: 'Colony' })).toBeTruthy();
    expect(status()).toBe('dropped');
    await act(() => router.navigate('/worksheet'));
    expect(screen.queryByText(/Tansy → Tansy II/)).toBeNull();
  });

  it('is listed with what is planned first, and says what to bring and to beware of', async () => {
    const { router } = open();
    expect(screen.getByRole('heading', { level: 2, name: /Take care/ })).toBeTruthy();
    expect(screen.getByRole('heading', { level: 2, name: /If it goes wrong/ })).toBeTruthy();
    await act(() => router.navigate('/worksheet'));
    const plans = within(screen.getByRole('list', { name: 'Plans' }));
    const rows = plans.getAllByRole('listitem').map((li) => li.textContent);
    expect(rows[0]).toContain('Tansy → Tansy II');
    expect(rows[0]).toContain('planned');
    expect(rows.slice(1).every((r) => r.includes('done'))).toBe(true);
  });
});
