import { describe, expect, it } from 'vitest';
import { newUnitLooks } from '../../followup/newUnitLooks.ts';
import { makePlan, type PlanRequest } from '../../split/plan/makePlan.ts';
import { LEFT_IN_ORDER, unitsOfWork } from '../../records/bodies/closing.ts';
import { openFollowUps, placeOf } from '../../records/views.ts';
import { TestYard } from '../../testing/builders.ts';
import { FULL_BOX, METHOD_DAY, withQueen } from '../../testing/methodPlans.ts';

/** One strong colony, and other yards by name with their way from the first, in kilometres to the north. */
function yards(others: Readonly<Record<string, number | null>>) {
  const yard = new TestYard();
  const nest = FULL_BOX.map((c, i) => (i === 3 ? withQueen(c) : c));
  const colony = yard.hive('Old', [nest, FULL_BOX]);
  const first = yard.apiary.yard[yard.yardId];
  if (!first) throw new Error('no yard');
  const at = (km: number | null) => (km === null ? null : { latitude: 50 + km / 111.19, longitude: 8 });
  const made = Object.entries(others).map(([name, km]) => ({
    ...first,
    id: yard.newId(),
    name,
    position: at(km),
  }));
  yard.apiary = {
    ...yard.apiary,
    yard: Object.fromEntries([{ ...first, position: at(0) }, ...made].map((y) => [y.id, y])),
  };
  const idOf = (name: string) => made.find((y) => y.name === name)?.id ?? '';
  const plan = (change: Partial<PlanRequest> = {}) =>
    makePlan(
      yard.apiary,
      {
        colonyId: colony.id,
        methodId: 'queen-to-nuc',
        day: METHOD_DAY,
        newName: 'New',
        options: { distance: 'away' },
        ...change,
      },
      yard.newId,
    );
  /** Works the plan off. @param fed - what is answered of the feed of each unit */
  const work = (change: Partial<PlanRequest> = {}, fed: 'this-evening' | 'no-need' = 'no-need') => {
    const made = plan(change);
    if (!made.ok) throw new Error(made.problems[0]?.message);
    const { command } = made.value;
    yard.run(command);
    const closing = unitsOfWork(yard.apiary, command.work).map(({ colonyId }) => ({
      colonyId,
      ...LEFT_IN_ORDER,
      fed,
    }));
    command.steps.forEach((s, i) =>
      yard.run({
        type: 'tickStep',
        stepId: s.id,
        done: true,
        day: METHOD_DAY,
        ...(i === command.steps.length - 1 && { closing }),
      }),
    );
    const due = (topic: string) => openFollowUps(yard.apiary).filter((f) => f.topic === topic);
    return { due, texts: command.steps.map((s) => s.text), units: command.work.body.units };
  };
  return { yard, idOf, plan, work };
}

describe('what is left for the evening', () => {
  it('feed that is to be given stands in the agenda of that evening, one job for all', () => {
    const { due } = yards({}).work({ options: {} }, 'this-evening');
    expect(due('feed')).toMatchObject([
      {
        window: { earliest: METHOD_DAY, latest: METHOD_DAY },
        expect: expect.stringMatching(/^This evening, feed Old and New\./),
      },
    ]);
    expect(due('feed')[0]?.colonyIds).toHaveLength(2);
  });

  it('no job where nothing is fed', () => {
    expect(yards({}).work({ options: {} }).due('feed')).toEqual([]);
  });

  it('a part that stays in its yard is looked at under the lid next day, one that is carried away is not', () => {
    expect(yards({}).work({ options: {} }).due('bees-stay')).toMatchObject([
      { window: { likely: '2026-05-10', latest: '2026-05-11' } },
    ]);
    expect(yards({ Far: 8 }).work().due('bees-stay')).toEqual([]);
    expect(newUnitLooks('raises', METHOD_DAY).map((l) => l.topic)).not.toContain('bees-stay');
  });
});

describe('what is carried away at dusk', () => {
  it('is shut until it stands in the yard that was chosen, and opened by the move', () => {
    const t = yards({ Far: 8, Further: 20 });
    const { due, texts, units } = t.work({ toYardId: t.idOf('Further') });
    expect(units[1]).toMatchObject({ distance: 'away', toYardId: t.idOf('Further') });
    expect(texts).toContain('Strap New, shut its entrance, in the shade and with air');
    expect(texts).toContain('Every entrance is open again, but that of New');
    const [job] = due('carry');
    expect(job).toMatchObject({ window: { likely: METHOD_DAY }, move: { hour: 'dusk' } });
    expect(job?.expect).toMatch(/^At dusk, carry New to Further/);
    const { hive } = placeOf(t.yard.apiary, t.yard.colony('New'));
    expect(hive?.entrance).toEqual({ state: 'shut', since: METHOD_DAY });
    if (!hive || !job?.move) throw new Error('no move');
    t.yard.run({
      type: 'moveHive',
      hiveId: hive.id,
      day: METHOD_DAY,
      hour: 'dusk',
      to: { standId: t.yard.newId(), fresh: job.move.to.fresh },
      entrance: 'open',
      obstacleUntil: null,
      newIds: [t.yard.newId(), t.yard.newId(), t.yard.newId()],
    });
    expect(placeOf(t.yard.apiary, t.yard.colony('New')).yard?.name).toBe('Further');
    expect(placeOf(t.yard.apiary, t.yard.colony('New')).hive?.entrance.state).toBe('open');
    expect(openFollowUps(t.yard.apiary).filter((f) => f.topic === 'carry')).toEqual([]);
  });

  it('goes to the only other yard when none was chosen, and where that is said on arrival with several', () => {
    expect(yards({ Far: 8 }).work().due('carry')[0]?.expect).toMatch(/carry New to Far/);
    const [unsaid] = yards({ Far: 8, Further: 20 }).work().due('carry');
    expect(unsaid?.expect).toMatch(/carry New to the other yard/);
    expect(unsaid?.move ?? null).toBeNull();
  });

  it('does not go to a yard within flying range: said with the way and what to do', () => {
    const t = yards({ Near: 1.2, Far: 8 });
    const near = t.plan({ toYardId: t.idOf('Near') });
    expect(near).toMatchObject({
      ok: false,
      problems: [
        {
          code: 'yard-too-near',
          path: ['toYardId'],
          message: expect.stringMatching(/^Near is 1\.2 km from .*field bees return/),
          remedy: expect.stringMatching(/more than 3 km/),
        },
      ],
    });
    expect(t.plan({ toYardId: t.idOf('Far') }).ok).toBe(true);
    // Nothing is said of a yard whose place nobody entered.
    expect(yards({ Somewhere: null }).plan().ok).toBe(true);
  });
});
