import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { atTheBench, click, openBench, planned, withNucs } from '../../testing/onBench.tsx';
import { plannerFails, proverSays } from '../../testing/plannerHere.ts';

atTheBench();

describe('how good a plan is', () => {
  it('is said only as far as it is proven', async () => {
    await withNucs();
    expect(screen.getByText(/^no rule broken/)).toBeTruthy();
  });

  it('is the best there is when nothing can be cheaper', async () => {
    proverSays.bound = 1e6;
    await withNucs();
    expect(await screen.findByText('the best plan there is, proven')).toBeTruthy();
  });

  it('is a share, and what that is in combs, when something might be', async () => {
    proverSays.bound = 2;
    await withNucs();
    expect(
      await screen.findByText(/^within \d+ % of the best there can be: about \d+ combs? carried/),
    ).toBeTruthy();
  });

  it('tells in parts of a nuc what no carrying of combs can be worth', async () => {
    proverSays.bound = -400;
    await withNucs();
    expect(await screen.findByText(/: 0\.4 of a nuc more at most$/)).toBeTruthy();
  });

  it('begins with how many can be made, where all that may be are wanted', async () => {
    proverSays.mostNucs = 99;
    await withNucs();
    fireEvent.click(screen.getByRole('button', { name: 'most' }));
    expect(await screen.findByText('no plan makes more than 99 nucs')).toBeTruthy();
    const made = Number(/^(\d+) nucs? ·/.exec(screen.getByText(/^\d+ nucs? ·/).textContent)?.[1]);
    cleanup();
    proverSays.mostNucs = made;
    proverSays.bound = 1e9;
    await withNucs();
    fireEvent.click(screen.getByRole('button', { name: 'most' }));
    expect(await screen.findByText('no more can be made; the best plan there is, proven')).toBeTruthy();
    cleanup();
    // A bound that tells nothing but the number.
    proverSays.bound = 0;
    await withNucs();
    fireEvent.click(screen.getByRole('button', { name: 'most' }));
    expect(await screen.findByText('no more can be made')).toBeTruthy();
  });

  it('stands when no more is looked for, which is offered as long as it is', async () => {
    proverSays.bound = 1;
    proverSays.isAtIt = true;
    await withNucs();
    expect(await screen.findByText('still looking for a better one')).toBeTruthy();
    click('Stop');
    await waitFor(() => expect(screen.queryByText(/still looking/)).toBeNull());
    expect(screen.queryByRole('button', { name: 'Stop' })).toBeNull();
    expect(screen.getByText(/of the best there can be/)).toBeTruthy();
    // Where nothing can be better nothing is looked for.
    cleanup();
    proverSays.bound = 1e6;
    await withNucs();
    expect(await screen.findByText('the best plan there is, proven')).toBeTruthy();
    expect(screen.queryByText(/still looking/)).toBeNull();
  });

  it('goes with what is missing, and how long to wait', async () => {
    proverSays.shortages = [{ what: 'bees', unit: 'frames of bees', missing: 1.4 }];
    proverSays.wait = { day: '2026-05-21', days: 6 };
    await withNucs();
    expect(await screen.findByText(/^Short by at least 1.4 frames of bees\./)).toBeTruthy();
    expect(await screen.findByText(/Wait 6 days, until Thu 21 May, or ask for fewer/)).toBeTruthy();
  });

  it('a planner that fails says so', async () => {
    plannerFails.next = true;
    openBench();
    click(/^Make nucs/);
    expect((await screen.findByRole('alert')).textContent).toContain('The planner has failed.');
  });
});

describe('plans side by side', () => {
  it('are kept, taken and dropped', async () => {
    const { store, request } = await withNucs();
    click('Keep this beside');
    click('Try other queens and numbers');
    await waitFor(() => expect(store.getState().planner.alternatives.length).toBeGreaterThanOrEqual(5));
    const table = within(screen.getByRole('region', { name: 'Plans side by side' }));
    const mated = table.getByRole('row', { name: /^2 nucs, mated queens/ });
    expect(mated.textContent).toContain('2 boxes, 2 queens');
    fireEvent.click(within(mated).getByRole('button', { name: 'Take it' }));
    expect(request().goals).toMatchObject([{ recipe: { queen: 'mated' } }]);
    await planned();
    const kept = store.getState().planner.alternatives.length;
    fireEvent.click(screen.getAllByRole('button', { name: /^Drop: / })[0]!);
    expect(store.getState().planner.alternatives).toHaveLength(kept - 1);
  });
});
