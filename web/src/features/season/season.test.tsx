import { demoScenario } from '@incremen/core/demo';
import type { SeasonPlan } from '@incremen/core/records';
import {
  costOfAWeek,
  helpsThatHold,
  runSeasons,
  seasonProblem,
  triedPlan,
  type FoundSeason,
  type Schedule,
  type SeasonProblem,
} from '@incremen/core/seasonplan';
import { plainAim } from '@incremen/core/testing';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { SeasonOddsPage } from './SeasonOddsPage.tsx';
import { SeasonPage } from './SeasonPage.tsx';

withoutNetwork();

const SCHEDULE: Schedule = [{ week: 3, yard: -1, what: 'nucs', queen: 'raises', parts: 5 }];

// No workers here: what they do is done at once, with fewer seasons and one plan that needs no search.
vi.mock('../../workers/seasonPool.ts', () => ({
  SEASONS_AT_FIRST: 100,
  manySeasons: async (
    problem: SeasonProblem,
    schedule: Schedule,
    _n: number,
    _halt: unknown,
    report: (b: unknown) => void,
  ) => {
    report(runSeasons(problem, schedule, 0, 60));
    return Promise.resolve();
  },
  seasonSearcher: () => ({
    search: (
      apiary: Parameters<typeof triedPlan>[0],
      problem: SeasonProblem,
      report: (found: FoundSeason) => void,
    ) => {
      const plan = triedPlan(apiary, problem, SCHEDULE, 60, () => crypto.randomUUID(), null);
      report({
        done: 1,
        tried: 1,
        best: plan.scored,
        plans: [{ merit: 'best', ...plan }],
        frontier: [],
        over: true,
      });
      return Promise.resolve();
    },
    stop: () => Promise.resolve(),
    helps: (apiary: Parameters<typeof triedPlan>[0], problem: SeasonProblem, schedule: Schedule) =>
      Promise.resolve({
        changes: [...helpsThatHold(apiary, problem, schedule, 20, () => crypto.randomUUID())].at(-1) ?? [],
        week: costOfAWeek(problem, schedule, 20),
      }),
  }),
}));
vi.mock('comlink', () => ({ proxy: (f: unknown) => f }));

const waitForPlan = () => screen.findByRole('region', { name: 'Plans to choose from' }, { timeout: 20_000 });

describe('the season plan', () => {
  it('answers in a sentence, shows the season, and is followed with one tap', async () => {
    const { store } = renderView(<SeasonPage />);
    await waitForPlan();
    const answer = await screen.findByText(/^You can have 19 colonies|^19 colonies .* out of reach/);
    expect(answer.textContent).toMatch(/by Thu 1 Oct/);
    expect(
      await screen.findByRole('img', { name: /^14 colonies on Fri 15 May/ }, { timeout: 10_000 }),
    ).toBeTruthy();
    expect(screen.getByRole('region', { name: 'What is done when' }).textContent).toContain(
      'Make 5 nucs; each raises its own queen.',
    );
    expect(within(screen.getByRole('region', { name: 'What it takes' })).getByText('May 2026')).toBeTruthy();
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: 'Follow this plan' }));
      await Promise.resolve();
    });
    const plan = await screen.findByRole('region', { name: 'The plan you follow' });
    expect(plan.textContent).toContain('the season goes as planned');
    const [operation] = Object.values(store.getState().mirror.apiary.operation);
    expect(operation?.seasonPlan?.rounds[0]?.parts).toBe(5);
    expect(operation?.seasonPlan?.said.weeks.length).toBeGreaterThan(10);
  }, 40_000);

  it('says that a day in the past cannot be planned for', async () => {
    renderView(<SeasonPage />);
    const day = screen.getByLabelText('by the day');
    fireEvent.focus(day);
    fireEvent.change(day, { target: { value: '16 May 2026' } });
    fireEvent.blur(day);
    expect((await screen.findByRole('alert')).textContent).toContain(
      'nothing can be planned in less than two weeks',
    );
  });

  it('tells what is overdue of a plan that is followed', async () => {
    const { apiary } = demoScenario();
    const [operation] = Object.values(apiary.operation);
    const aim = plainAim({ colonies: 18, strongFrames: 5, queens: ['raises'], weekendsOnly: true });
    const plan: SeasonPlan = {
      v: 1,
      madeOn: '2026-04-20',
      seed: 1,
      aim,
      rounds: [{ day: '2026-05-02', yardId: null, what: 'nucs', queen: 'raises', parts: 4 }],
      said: { odds: 0.8, weeks: [] },
    };
    expect(seasonProblem(apiary, aim, '2026-05-15', 1).starts.length).toBe(14);
    renderView(
      <SeasonPage />,
      demoStore([], { ...apiary, operation: { [operation!.id]: { ...operation!, seasonPlan: plan } } }),
    );
    const told = await screen.findByRole('region', { name: 'The plan you follow' });
    expect(told.textContent).toMatch(/1 round is overdue/);
    expect(told.textContent).toContain('the season is behind the plan.');
    expect(told.textContent).toContain('3 counts are too old');
    expect(within(told).getByRole('button', { name: 'Plan anew from today' })).toBeTruthy();
  });

  it('states the chances that it begins from', () => {
    renderView(<SeasonOddsPage />);
    expect(screen.getByText(/Four of five\./)).toBeTruthy();
    expect(screen.getByText('A part raises a queen who lays')).toBeTruthy();
  });
});
