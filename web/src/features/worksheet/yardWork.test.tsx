import {
  applyChanges,
  coloniesOfYard,
  type Apiary,
  newYardPlanRequest,
  NUC_RECIPES,
  type YardGoal,
} from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { demoScenario } from '@incremen/core/demo';
import { buildProblem, makeYardPlan, YardSearch } from '@incremen/core/yardplan';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { closeVisit } from '../../testing/closeVisit.ts';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { WorkListPage } from './WorkListPage.tsx';
import { WorkPage } from './WorkPage.tsx';

withoutNetwork();

/** The demonstration with a plan for Sallow Bank kept. */
function withPlan(goal: YardGoal): { apiary: Apiary; workId: string; yardId: string } {
  const { apiary } = demoScenario();
  const yardId = Object.values(apiary.yard).find((y) => y.name === 'Sallow Bank')?.id ?? '';
  const built = buildProblem(apiary, { ...newYardPlanRequest([yardId], '2026-05-15'), goals: [goal] });
  if (!built.ok) throw new Error(built.problems[0]?.message);
  const search = new YardSearch(built.value);
  search.first();
  const command = makeYardPlan(
    apiary,
    built.value,
    search.best().plan,
    { names: {}, bound: null, name: '1 nuc, own queens' },
    () => crypto.randomUUID(),
  );
  const kept = decide(apiary, command);
  if (!kept.ok) throw new Error(kept.problems[0]?.message);
  return { apiary: applyChanges(apiary, kept.value), workId: command.work.id, yardId };
}

const oneNuc: YardGoal = {
  id: 'n',
  kind: 'makeNucs',
  count: 1,
  recipe: NUC_RECIPES[0]!.recipe,
  importance: 2,
};

function open(goal = oneNuc, meanwhile: (apiary: Apiary, workId: string) => Apiary = (a) => a) {
  const { apiary: planned, workId, yardId } = withPlan(goal);
  const apiary = meanwhile(planned, workId);
  const views = (
    <Routes>
      <Route path="/worksheet" element={<WorkListPage />} />
      <Route path="/worksheet/:workId" element={<WorkPage />} />
      <Route path="/plan" element={<h1>Bench</h1>} />
    </Routes>
  );
  const view = renderView(views, demoStore([], apiary), `/worksheet/${workId}`);
  const records = () => view.store.getState().mirror.apiary;
  return { ...view, workId, yardId, records, status: () => records().work[workId]?.status };
}

const current = () => within(document.querySelector<HTMLElement>('[aria-current=step]')!);
/** The next step is marked once the tick before it is painted. */
const tick = async () =>
  fireEvent.click(await waitFor(() => current().getByRole('button', { name: /^Done:/ })));
const progress = () => screen.getByRole('progressbar', { name: 'Steps done' });

describe('the work of a yard plan', () => {
  it('shows kit, cautions and steps, the first of them large', () => {
    open();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('1 nuc, own queens');
    expect(current().getByText('Set out a 5-frame box for Nuc 1')).toBeTruthy();
    expect(screen.getByText('nuc box, 5 frames, with floor and lid')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Take care' })).toBeTruthy();
    expect(screen.getByText(/^Stings:/)).toBeTruthy();
    expect(progress().getAttribute('aria-valuenow')).toBe('0');
  });

  it('says at once when a colony that it rests on has ended since', () => {
    open(oneNuc, (apiary, workId) => {
      const giverId = apiary.work[workId]?.body.newHives[0]?.fromColonyId ?? '';
      const giver = apiary.colony[giverId]!;
      return { ...apiary, colony: { ...apiary.colony, [giverId]: { ...giver, endedOn: '2026-05-15' } } };
    });
    const alert = screen.getByRole('alert').textContent ?? '';
    expect(alert).toMatch(/ended on Fri 15 May: this work cannot be carried out as it was planned\./);
    expect(alert).toContain('Drop this plan and plan again');
  });

  it('begins with the first tick, and is where it was when the tick is taken back', async () => {
    const { status } = open();
    let now = 1000;
    const clock = vi.spyOn(performance, 'now').mockImplementation(() => now);
    await tick();
    await waitFor(() => expect(status()).toBe('working'));
    await waitFor(() => expect(progress().getAttribute('aria-valuenow')).toBe('1'));
    // Soon after a tick a second tap is not taken for taking it back.
    fireEvent.click(screen.getByRole('button', { name: /^Not done after all/ }));
    expect(progress().getAttribute('aria-valuenow')).toBe('1');
    now += 550;
    fireEvent.click(screen.getByRole('button', { name: /^Not done after all/ }));
    await waitFor(() => expect(status()).toBe('draft'));
    clock.mockRestore();
  });

  it('makes the yard what the plan says with its last step', async () => {
    const { records, status, yardId } = open();
    const before = coloniesOfYard(records(), yardId).length;
    const steps = Number(progress().getAttribute('aria-valuemax'));
    for (let i = 0; i < steps; i++) {
      expect(coloniesOfYard(records(), yardId)).toHaveLength(before);
      await tick();
    }
    closeVisit();
    expect(await screen.findByRole('heading', { level: 1, name: 'The work is done' })).toBeTruthy();
    expect(status()).toBe('done');
    expect(coloniesOfYard(records(), yardId).map((c) => c.name)).toContain('Nuc 1');
    expect(screen.getByRole('img', { name: /^Nuc 1: one box, 5 frames/ })).toBeTruthy();
    expect(screen.getByText(/^Come back on/).textContent).toContain('Fri 22 May');
    expect(screen.getByText(/3 days to inspect or to keep hands off are filed/)).toBeTruthy();
  });

  it('is dropped when asked twice; nothing of it is in the records', async () => {
    const { status, records, yardId } = open();
    fireEvent.click(screen.getByRole('button', { name: 'Drop' }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(status()).toBe('draft');
    fireEvent.click(screen.getByRole('button', { name: 'Drop' }));
    fireEvent.click(screen.getByRole('button', { name: 'Drop the plan' }));
    await waitFor(() => expect(status()).toBe('dropped'));
    expect(coloniesOfYard(records(), yardId).map((c) => c.name)).not.toContain('Nuc 1');
    expect(await screen.findByRole('heading', { name: 'Bench' })).toBeTruthy();
  });

  it('that was dropped says so and leads back to the bench', async () => {
    const { store, workId, router } = open();
    fireEvent.click(screen.getByRole('button', { name: 'Drop' }));
    fireEvent.click(screen.getByRole('button', { name: 'Drop the plan' }));
    await waitFor(() => expect(store.getState().mirror.apiary.work[workId]?.status).toBe('dropped'));
    // It leads to the bench by itself first.
    await screen.findByRole('heading', { name: 'Bench' });
    await router.navigate(`/worksheet/${workId}`);
    expect(await screen.findByText(/^This plan was dropped/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Plan again' }).getAttribute('href')).toBe('/plan');
  });

  it('that is nowhere is missing', async () => {
    const { router } = open();
    await router.navigate('/worksheet/00000000-0000-4000-8000-000000000000');
    await waitFor(() => expect(screen.queryByRole('progressbar')).toBeNull());
    expect(screen.getByRole('heading', { level: 1 })).toBeTruthy();
  });
});

describe('the list of work', () => {
  it('names yard, plan, day and how far it is', async () => {
    const { router, workId } = open();
    await tick();
    await router.navigate('/worksheet');
    const line = (await screen.findByText('Sallow Bank')).closest('li')!;
    expect(line.textContent).toMatch(/1 nuc, own queens, Fri 15 May · begun, 1 of \d+ steps/);
    expect(within(line).getByRole('link').getAttribute('href')).toBe(`/worksheet/${workId}`);
    expect(within(line).getByRole('link').textContent).toBe('Go on');
  });

  it('says what to do when nothing is planned', () => {
    renderView(<WorkListPage />, demoStore([], { ...demoScenario().apiary, work: {} }));
    expect(screen.getByRole('link', { name: 'Plan a yard' }).getAttribute('href')).toBe('/plan');
  });
});
