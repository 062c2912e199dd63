import { describe, expect, it } from 'vitest';
import { seededIds } from '../demo/seededIds.ts';
import type { MethodId } from '../records/bodies/methodId.ts';
import { NamedHives } from '../testing/namedHives.ts';
import { replaySteps } from '../testing/replaySteps.ts';
import { makePlan } from './plan/makePlan.ts';

/*
 * Every way to split worked out by hand for one colony (common practice, no source). Its combs are called by box, number and
 * kind: L5y is the fifth of the lower box, eggs and young larvae. Both boxes hold ten; she was seen on L5y.
 */

const DAY = '2026-05-14';
const LOWER = 'HPcey*yocPH';
const UPPER = 'HdceyocDPH';

function split(methodId: MethodId, hive = [LOWER, UPPER], options: Record<string, string> = {}) {
  const hives = new NamedHives({ Old: hive });
  const before = hives.yard.apiary;
  const plan = makePlan(
    before,
    { colonyId: hives.colony['Old']!.id, methodId, day: DAY, newName: 'New', options },
    seededIds(4),
  );
  if (!plan.ok) throw new Error(plan.problems[0]?.message);
  const { command } = plan.value;
  expect(replaySteps(before, command.work, command.steps)).toEqual([]);
  expect(command.work.body.ledger.filter((l) => l.state === 'broken')).toEqual([]);
  hives.yard.run(command);
  for (const step of command.steps) hives.yard.tick(step.id, DAY);
  const carried = command.work.body.moves.filter((m) => m.fromKey !== m.toKey && m.from !== null);
  return {
    hives,
    carried,
    texts: command.steps.map((s) => s.text),
    rows: (name: string) => short(hives.rows(name)),
  };
}

/** Without the first letter: there is one hive. */
const short = (rows: readonly string[]) => rows.map((r) => r.replaceAll('O', ''));

describe('every way to split, by hand', () => {
  it('side by side: her box has half the brood and no cell, so it is lifted over as it stands and no comb is carried', () => {
    const { carried, rows, texts } = split('side-by-side', [LOWER, 'Hdce!yo!cDPH']);
    expect(carried).toEqual([]);
    expect(rows('New')).toEqual(['L1H L2P L3c L4e L5y L6y L7o L8c L9P L10H']);
    expect(rows('Old')).toEqual(['U1H U2d U3c U4e U5y U6o U7c U8D U9P U10H']);
    // The upper box stands aside first; the cell is chosen before any is cut, and she is caged before that.
    const order = [
      /Set the upper box down/,
      /Find the queen/,
      /Reserve one open/,
      /Lift the lower box onto/,
      /Remove every other cell/,
      /Set the upper box back/,
    ];
    const at = order.map((re) => texts.findIndex((t) => re.test(t)));
    expect(at).toEqual(at.toSorted((a, b) => a - b));
    expect(at).not.toContain(-1);
  });

  it('queen out to a nuc: her comb, emerging and capped brood about it, bee bread at both sides; no comb with a cell', () => {
    const { rows } = split('queen-to-nuc', [LOWER, 'Hdce!yo!cDPH']);
    const [nuc = ''] = rows('New');
    // The freshest brood, drones and cells stay with the strong parent.
    expect(nuc.split(' ')).toHaveLength(5);
    expect(nuc).toMatch(/^\w+P (.* )?L5y .*P$/);
    expect(nuc).not.toMatch(/U4e|U6o|D/);
    expect(nuc).toMatch(/e/);
  });

  it('caged queen: two emerging combs and a capped one, no eggs from which a rival is raised; bread at one side, room at the other', () => {
    const { rows } = split('caged-queen');
    const combs = rows('New')[0]?.split(' ') ?? [];
    expect(combs.filter((c) => c.endsWith('e'))).toHaveLength(2);
    expect(combs.filter((c) => c.endsWith('y'))).toEqual([]);
    expect(combs[0]).toMatch(/P$|H$/);
    expect(combs.at(-1)).toMatch(/d$|P$|H$/);
    expect(rows('Old').join(' ')).toContain('L5y');
  });

  it('open brood goes: eggs and larvae with her, capped stays but for none; one comb with eggs stays, bread at both sides', () => {
    const { rows } = split('open-brood-goes');
    const [combs = ''] = rows('New');
    expect(combs).not.toMatch(/\dc|\de/);
    expect(combs).toContain('L5y');
    // Of three combs with eggs one stays to raise a queen from.
    expect(rows('Old').join(' ').match(/\dy/g) ?? []).toHaveLength(1);
    expect(combs).toMatch(/P (L|U)\d+[yo]/);
  });

  it('brood over an excluder: eggs go up with bread at both sides, the nest below keeps capped brood to hatch', () => {
    const { rows, hives } = split('shake-down');
    const [combs = ''] = rows('New');
    expect(combs).toMatch(/P ((L|U)\d+[yoec] )+(L|U)\d+P/);
    expect(combs).not.toContain('D');
    // She was shaken below: nobody takes the comb that she was seen on for hers any more.
    const seen = Object.values(hives.yard.apiary.frame).filter(
      (f) => hives.yard.apiary.reading[f.readingId ?? '']?.body.queenSeen,
    );
    expect(seen).toEqual([]);
  });

  it('brood above: half of the capped area in the middle of the box above, open brood and drones stay below', () => {
    const { rows } = split('brood-above');
    const [, , above = ''] = rows('Old');
    // 3 × 0.6 or 0.7 of 3.9 frames capped and emerging: half.
    const up = above.split(' ').filter((c) => /[ce]$/.test(c));
    expect(up).toHaveLength(3);
    expect(above).not.toMatch(/\d[yoD]/);
    const at = above.split(' ').findIndex((c) => c === up[0]);
    expect(at).toBeGreaterThanOrEqual(2);
  });

  it('second split on spare cells: two good cells in each part, food beside them, no comb with a cell shaken', () => {
    const { rows } = split('spare-cells', ['HPc^eyy^ocPH', 'Hdce!yo!cDPH']);
    const [nuc = ''] = rows('New');
    const withCells = ['L3c', 'L6y', 'U4e', 'U6o'];
    const inNuc = withCells.filter((c) => nuc.includes(c));
    const inOld = withCells.filter((c) => rows('Old').join(' ').includes(c));
    expect(inNuc.length).toBeGreaterThanOrEqual(1);
    expect(inOld.length).toBeGreaterThanOrEqual(1);
    expect(nuc).toMatch(/P|H/);
    // Cells hang inside, not at the outside.
    const row = nuc.split(' ');
    expect(withCells).not.toContain(row[0]);
    expect(withCells).not.toContain(row.at(-1));
  });

  // Walk-away halves have their own examples beside the method.
});
