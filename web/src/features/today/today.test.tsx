import { assess, hivesToday } from '@incremen/core/assessment';
import { addDays } from '@incremen/core/basics';
import {
  applyChanges,
  emptyApiary,
  newOperation,
  openFollowUps,
  type Apiary,
  type FollowUp,
} from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { DEMO_DAY, demoScenario } from '@incremen/core/demo';
import { makePlan } from '@incremen/core/split';
import { screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { withoutNetwork } from '../../testing/noNetwork.ts';
import { demoStore, renderView } from '../../testing/renderView.tsx';
import { changedSince } from './Changed.tsx';
import { nextActs } from './nextActs.ts';
import { TodayPage } from './TodayPage.tsx';

withoutNetwork();
afterEach(() => localStorage.clear());

const { apiary } = demoScenario();
const colonyOf = (name: string) => Object.values(apiary.colony).find((c) => c.name === name)!;
const statesIn = (at: Apiary, day: string) =>
  Object.values(at.colony)
    .filter((c) => c.endedOn === null && c.hiveId !== null)
    .map((c) => assess(at, c, day));

/** A split of Tansy, kept, and begun or not. */
function withWork(status: 'draft' | 'working'): Apiary {
  const plan = makePlan(
    apiary,
    {
      colonyId: colonyOf('Tansy').id,
      methodId: 'walk-away-halves',
      day: DEMO_DAY,
      newName: 'Tansy II',
      options: {},
    },
    () => crypto.randomUUID(),
  );
  if (!plan.ok) throw new Error(plan.problems[0]?.message);
  const { command } = plan.value;
  const kept = decide(apiary, { ...command, work: { ...command.work, status: 'draft' } });
  if (!kept.ok) throw new Error(kept.problems[0]?.message);
  const after = applyChanges(apiary, kept.value);
  const work = after.work[command.work.id]!;
  return { ...after, work: { ...after.work, [work.id]: { ...work, status } } };
}

describe('what to do next', () => {
  it('is work that was begun, before anything else', () => {
    const at = withWork('working');
    const [first] = nextActs(at, statesIn(at, DEMO_DAY), [], DEMO_DAY);
    expect(first).toMatchObject({ say: 'Finish the work: Tansy.', verb: 'Go on', urgent: true });
  });

  it('is then what the first hive of the day needs, with its verb, its colony and the reason', () => {
    const { must } = hivesToday(apiary, DEMO_DAY);
    const order = must.map((h) => h.colony.id);
    const acts = nextActs(apiary, statesIn(apiary, DEMO_DAY), order, DEMO_DAY);
    const turns = acts.map((a) => Math.min(...a.colonyIds.map((id) => order.indexOf(id))));
    expect(turns[0]).toBe(0);
    expect(turns).toEqual(turns.toSorted((a, b) => a - b));
    const looks = acts.filter((a) => a.to.startsWith('/look/'));
    expect(looks.length).toBeGreaterThan(0);
    expect(looks.every((a) => /^Inspect .+\.$/.test(a.say) && a.why !== '')).toBe(true);
  });

  it('is a first count in a yard where nothing was counted', () => {
    const at: Apiary = {
      ...apiary,
      followUp: {},
      work: {},
      reading: {},
      visit: {},
      frame: Object.fromEntries(
        Object.entries(apiary.frame).map(([id, f]) => [id, { ...f, readingId: null }]),
      ),
    };
    const first = nextActs(at, [], [], DEMO_DAY)[0];
    expect(first?.say).toMatch(/^Count .+\.$/);
    expect(first?.to).toMatch(/\/count\?by=quick$/);
  });
});

describe('the page of the day', () => {
  it('says one thing in large type, and the hives that must, may and must not be opened', () => {
    renderView(<TodayPage />, demoStore([], withWork('draft')));
    const next = screen.getByRole('region', { name: 'Next' });
    expect(within(next).getByRole('heading', { level: 2 }).textContent).toMatch(/\.$/);
    expect(within(next).getAllByRole('link').length).toBeGreaterThan(0);
    expect(screen.getByRole('region', { name: 'Must open' }).textContent).toContain(
      'TansyWork is planned for it.',
    );
    expect(screen.getByRole('region', { name: 'Must not open' })).toBeTruthy();
    expect(screen.getByRole('region', { name: 'May open' })).toBeTruthy();
    const unfinished = screen.getByRole('region', { name: 'Unfinished' });
    expect(within(unfinished).getByRole('link', { name: /Tansy → Tansy II/ })).toBeTruthy();
  });

  it('says a reason that several hives share once', () => {
    const [operation] = Object.values(apiary.operation);
    const january = { ...operation!, fixedToday: '2027-01-10' as const };
    const at = { ...apiary, followUp: {}, work: {}, operation: { [january.id]: january } };
    renderView(<TodayPage />, demoStore([], at));
    const rows = within(screen.getByRole('region', { name: 'Must not open' })).getAllByRole('listitem');
    const reasons = rows.map((r) => r.lastElementChild?.textContent);
    expect(new Set(reasons).size).toBe(reasons.length);
    expect(rows.some((r) => within(r).getAllByRole('link').length > 3)).toBe(true);
  });

  it('leads back to a count that was not saved on this device', () => {
    localStorage.setItem(`incremen.count.${colonyOf('Mallow').id}`, '{}');
    localStorage.setItem('incremen.count.of-a-colony-that-is-gone', '{}');
    renderView(<TodayPage />);
    const unfinished = screen.getByRole('region', { name: 'Unfinished' });
    expect(
      within(unfinished)
        .getAllByRole('link')
        .map((l) => l.textContent),
    ).toEqual(['Mallow']);
  });

  it('says that nothing is urgent, and what comes next', () => {
    const { colony } = statesIn(apiary, DEMO_DAY).find((s) => !s.notice.urgent && s.lane !== 'raising')!;
    const day = addDays(DEMO_DAY, 1);
    const look = {
      ...openFollowUps(apiary).find((f) => f.kind === 'look')!,
      topic: 'eggs-due',
      colonyIds: [colony.id],
      window: { earliest: day, likely: day, latest: day },
    } satisfies FollowUp;
    const calm = { ...apiary, colony: { [colony.id]: colony }, work: {}, followUp: { [look.id]: look } };
    renderView(<TodayPage />, demoStore([], calm));
    expect(screen.getByRole('region', { name: 'Next' }).textContent).toContain(
      `Nothing urgent.Next: inspect ${colony.name} tomorrow.`,
    );
  });

  it('of who begins is the way to a first yard', async () => {
    const id = crypto.randomUUID();
    const nothing = { ...emptyApiary(), operation: { [id]: newOperation(id, 'My bees') } };
    renderView(<TodayPage />, demoStore([], nothing));
    expect(await screen.findByRole('link', { name: 'Set up a yard' })).toBeTruthy();
  });
});

it('what has changed since a day stands latest first, with who did it', () => {
  const lines = changedSince(apiary, addDays(DEMO_DAY, -1));
  expect(lines.length).toBeGreaterThan(0);
  expect(lines.map((l) => l.day)).toEqual(
    lines
      .map((l) => l.day)
      .toSorted()
      .toReversed(),
  );
  expect(lines.every((l) => l.day >= addDays(DEMO_DAY, -1) && l.what !== '')).toBe(true);
  expect(changedSince(apiary, addDays(DEMO_DAY, 30))).toEqual([]);
});
