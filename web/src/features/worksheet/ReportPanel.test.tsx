import { applyChanges, stepsOfWork } from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { demoScenario } from '@incremen/core/demo';
import { makePlan } from '@incremen/core/split';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { StorePage } from './StorePage.tsx';
import { WorkPage } from './WorkPage.tsx';

withoutNetwork();

/** The work on a split of Tansy, at its first frame. */
async function open() {
  const { apiary } = demoScenario();
  const tansy = Object.values(apiary.colony).find((c) => c.name === 'Tansy');
  const made = makePlan(
    apiary,
    {
      colonyId: tansy?.id ?? '',
      methodId: 'queen-to-nuc',
      day: '2026-05-15',
      newName: 'Tansy II',
      options: {},
    },
    () => crypto.randomUUID(),
  );
  if (!made.ok) throw new Error(made.problems[0]?.message);
  const kept = decide(apiary, made.value.command);
  if (!kept.ok) throw new Error(kept.problems[0]?.message);
  const workId = made.value.command.work.id;
  const view = renderView(
    <Routes>
      <Route path="/worksheet/:workId" element={<WorkPage />} />
      <Route path="/store" element={<StorePage />} />
    </Routes>,
    demoStore([], applyChanges(apiary, kept.value)),
    `/worksheet/${workId}`,
  );
  const records = () => view.store.getState().mirror.apiary;
  const current = () => document.querySelector<HTMLElement>('[aria-current=step]');
  while (!/→/.test(current()?.textContent ?? '')) {
    const before = current()?.textContent;
    fireEvent.click(within(current()!).getByRole('button'));
    await waitFor(() => expect(current()?.textContent).not.toBe(before));
  }
  // What is reported is about the step that the records are at: they follow the ticks.
  await waitFor(() => {
    const at = stepsOfWork(records(), workId).find((s) => s.doneOn === null);
    expect(current()?.textContent).toContain(at?.text);
  });
  return { ...view, workId, records, current };
}

// What a tick has changed is drawn a moment later.
const click = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));
const choose = async (name: string) => fireEvent.click(await screen.findByRole('radio', { name }));

describe('what was really done', () => {
  it('a frame that stayed: the plan that follows is shown first, then taken over', async () => {
    const { workId, records, current } = await open();
    const planned = current()?.querySelector('p')?.textContent ?? '';
    await click('Something went differently');
    const panel = await screen.findByRole('region', { name: 'What you actually did' });
    expect(within(panel).getAllByRole('button', { pressed: true })).toHaveLength(1);
    expect(screen.getByRole('button', { name: 'Yes, continue' })).toHaveProperty('disabled', true);
    await choose('It stayed in Tansy');
    expect(await screen.findByText('The plan then')).toBeTruthy();
    expect([...document.querySelectorAll('[data-testid="step-goes"]')].map((e) => e.textContent)).toContain(
      planned,
    );
    expect(records().work[workId]?.body.reports).toBeUndefined();
    await click('Yes, continue');
    await waitFor(() =>
      expect(records().work[workId]?.body.reports?.[0]?.words).toMatch(/^Tansy, .* stayed$/),
    );
    expect(await screen.findByText(/^Tansy, .* stayed$/)).toBeTruthy();
  });

  it('what cannot be is said with its remedy, and nothing changes', async () => {
    const { records, workId } = await open();
    const before = records().work[workId];
    await click('Something went differently');
    await choose('One more nuc was made');
    fireEvent.click(screen.getAllByRole('button', { name: 'Frame 1' })[0]!);
    fireEvent.change(screen.getByLabelText('Name of the new nuc'), { target: { value: 'Yarrow' } });
    expect(await screen.findByText('There is a colony named Yarrow already.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Yes, continue' })).toHaveProperty('disabled', true);
    await click('Back to the steps');
    expect(records().work[workId]).toBe(before);
  });
});

describe('the end of the day', () => {
  it('rain in a quarter of an hour: after which step to stop', async () => {
    await open();
    await click('When must you stop?');
    await click('in 15 min');
    expect(screen.getByText(/minutes needed, 1[45] left: /)).toBeTruthy();
    await click(/^By \d\d:\d\d/);
    await click('no end');
    expect(screen.queryByText(/minutes needed/)).toBeNull();
  });
});

describe('the store', () => {
  it('what is counted and short for a plan is said there and on the kit list', async () => {
    const { router, workId } = await open();
    expect(await screen.findByText('short by 1: the store has 1')).toBeTruthy();
    await router.navigate('/store');
    expect(await screen.findByText('Your saved plans still need 1 × hive tag.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'More: hive tag' }));
    expect(await screen.findByText('You have everything your saved plans need.')).toBeTruthy();
    await router.navigate(`/worksheet/${workId}`);
    expect(await screen.findByText(/^Work at/)).toBeTruthy();
    expect(screen.queryByText(/short by/)).toBeNull();
  });
});
