import { hivesToday } from '@incremen/core/assessment';
import { demoScenario } from '@incremen/core/demo';
import { decide } from '@incremen/core/decide';
import {
  applyChanges,
  coloniesOfYard,
  openFollowUps,
  type Apiary,
  type Command,
} from '@incremen/core/records';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { hivesCommand, USUAL_HIVE } from '../setup/hivesCommand.ts';
import { SeveralPage } from './SeveralPage.tsx';
import { fineEvidence, hivesOf, inspectedEach, movedEach } from './severalCommands.ts';

withoutNetwork();

const DAY = '2026-05-15';
const { apiary } = demoScenario();
const yards = Object.values(apiary.yard).toSorted(
  (a, b) => coloniesOfYard(apiary, b.id).length - coloniesOfYard(apiary, a.id).length,
);
const [large, small] = yards;
/** One in which somebody must not be disturbed today. */
const restful = yards.find((y) =>
  coloniesOfYard(apiary, y.id).some((c) => hivesToday(apiary, DAY).mustNot.some((h) => h.colony.id === c.id)),
);
const newId = () => crypto.randomUUID();

function done(before: Apiary, commands: readonly Command[]): Apiary {
  const decided = decide(before, { type: 'batch', commands: commands as never });
  if (!decided.ok) throw new Error(decided.problems[0]?.message);
  return applyChanges(before, decided.value);
}

describe('what is said of several hives', () => {
  it('names only what somebody looked for', () => {
    const seen = fineEvidence(10, { eggs: true, brood: false, noCells: true, healthy: false, calm: false });
    expect(seen.eggs.look).toBe('found');
    expect(seen.cells.look).toBe('notFound');
    for (const k of ['cappedBrood', 'diseaseSigns', 'queen', 'youngLarvae'] as const)
      expect(seen[k].look).toBe('notLooked');
    expect(seen.mood).toBeNull();
  });

  it('does an inspection that is due of one alone, and leaves one of several parts open', () => {
    const colonies = coloniesOfYard(apiary, large!.id);
    const fine = { eggs: true, brood: true, noCells: true, healthy: true, calm: true };
    const commands = inspectedEach(apiary, colonies, DAY, fine, newId);
    const due = openFollowUps(apiary).filter((f) => f.kind === 'look' && f.window.earliest <= DAY);
    for (const c of commands) {
      if (c.type !== 'recordLook') throw new Error('an inspection is wanted');
      const shared = due.filter((f) => f.colonyIds.length > 1).map((f) => f.id);
      expect(shared).not.toContain(c.followUpId);
    }
    const after = done(apiary, commands);
    expect(Object.keys(after.visit).length - Object.keys(apiary.visit).length).toBe(colonies.length);
  });

  it('carries a hive that two colonies share once', () => {
    const twin = hivesCommand(large!.id, DAY, ['Twin'], { ...USUAL_HIVE, colonies: 2 }, newId);
    const before = done(apiary, [twin]);
    const colonies = coloniesOfYard(before, large!.id);
    expect(hivesOf(before, colonies)).toHaveLength(colonies.length - 1);
    const to = { day: DAY, yardId: small!.id, hour: 'dusk' as const };
    const after = done(before, movedEach(before, colonies, to, newId));
    expect(coloniesOfYard(after, large!.id)).toEqual([]);
    expect(coloniesOfYard(after, small!.id)).toHaveLength(
      colonies.length + coloniesOfYard(apiary, small!.id).length,
    );
  });
});

describe('the page of several hives', () => {
  function open(at: string) {
    const store = demoStore();
    renderView(<SeveralPage />, store, at);
    return { records: () => store.getState().mirror.apiary, user: userEvent.setup() };
  }
  const hives = () => within(screen.getByRole('region', { name: 'Hives' }));

  it('feeds all that are ticked with one button, and undoes as one', async () => {
    const { records, user } = open(`/several?yard=${large!.id}&did=fed`);
    const all = coloniesOfYard(apiary, large!.id);
    await user.click(hives().getByRole('checkbox', { name: 'Tansy' }));
    const form = within(screen.getByRole('form', { name: 'Fed' }));
    const amount = form.getByLabelText('How much each, in kg');
    await user.clear(amount);
    await user.type(amount, 'two');
    await user.tab();
    expect(await form.findByText('Write how much it was as a number, such as 2 or 1.5.')).toBeTruthy();
    await user.clear(amount);
    await user.type(amount, '1,5');
    await user.click(form.getByRole('button', { name: `${all.length - 1} colonies have it` }));
    await waitFor(() =>
      expect(Object.keys(records().given).length - Object.keys(apiary.given).length).toBe(all.length - 1),
    );
    const fed = Object.values(records().given).filter((g) => !apiary.given[g.id]);
    expect(new Set(fed.map((g) => g.body.kind === 'feed' && g.body.kg))).toEqual(new Set([1.5]));
    expect(fed.some((g) => records().colony[g.colonyId]?.name === 'Tansy')).toBe(false);
  });

  it('does not tick a colony that rests where its hive would have to be opened', async () => {
    const { user } = open(`/several?yard=${restful!.id}`);
    const off = () =>
      hives()
        .getAllByRole<HTMLInputElement>('checkbox')
        .filter((b) => !b.checked).length;
    expect(off()).toBe(0);
    await user.click(screen.getByRole('button', { name: 'Inspected, all fine' }));
    expect(off()).toBeGreaterThan(0);
    await user.click(screen.getByRole('button', { name: 'Fed' }));
    expect(off()).toBe(0);
  });

  it('wants something seen, a name for what was put in, and no end before its beginning', async () => {
    const { user, records } = open(`/several?yard=${large!.id}&did=fine`);
    for (const box of ['Eggs, one in a cell', 'Capped brood in one patch, caps flat', 'No queen cells'])
      await user.click(screen.getByRole('checkbox', { name: box }));
    await user.click(screen.getByRole('button', { name: /^Save \d+ inspections$/ }));
    expect(await screen.findByText(/^Tick at least one thing/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Treated' }));
    await user.click(screen.getByRole('button', { name: /^It is in \d+ colonies$/ }));
    expect(await screen.findByText('Say what it is, as on its label.')).toBeTruthy();
    await user.type(screen.getByLabelText('What, as on its label'), 'strips');
    fireEvent.change(screen.getByRole('textbox', { name: 'Out by, as its label says' }), {
      target: { value: '2026-05-01' },
    });
    await user.click(screen.getByRole('button', { name: /^It is in \d+ colonies$/ }));
    expect(await screen.findByText('It comes out after it went in.')).toBeTruthy();
    // Nothing was kept.
    expect(Object.keys(records().given)).toEqual(Object.keys(apiary.given));
    expect(Object.keys(records().visit)).toEqual(Object.keys(apiary.visit));
  });
});
