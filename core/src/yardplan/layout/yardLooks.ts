import { beesStay, cutDroneComb, emptyStand, newUnitLooks } from '../../followup/index.ts';
import { windowAfter } from '../../basics/index.ts';
import type { Evaluation } from '../search/evaluate.ts';
import { droneFrameOf, isHivedUp, type LaidOut } from './layOutYard.ts';
import { AT } from '../rules/measures.ts';
import { wholeGoal, type YardProblem, type YardUnit } from '../problem/problem.ts';
import type { WorkLook } from '../../records/index.ts';

/** A look before it gets an identifier. */
type LookDraft = Omit<WorkLook, 'id'>;

/** When to come back to what a plan has made or changed, and what to expect then. */
export function yardLooks(
  problem: YardProblem,
  seen: Evaluation,
  laid: Pick<LaidOut, 'moves'>,
  colonyIdOf: (unit: YardUnit) => string,
  nameOf: (unit: YardUnit) => string,
): LookDraft[] {
  const { day } = problem;
  return problem.units.flatMap((u): LookDraft[] => {
    if (!seen.present[u.index]) return [];
    const ids = [colonyIdOf(u)];
    const after = seen.after[u.index];
    const look = (topic: WorkLook['topic'], window: WorkLook['window'], expect: string): LookDraft => ({
      colonyIds: ids,
      kind: 'look',
      topic,
      window,
      anchor: 'work',
      expect,
    });
    const queenLeft =
      u.kind === 'colony' && (u.before[AT.queens] ?? 0) > 0 && (after?.[AT.queens] ?? 0) < 0.5;
    const queen = u.recipe?.queen ?? (queenLeft ? 'raises' : u.kind === 'nuc' ? 'old-queen' : null);
    if (queen !== null) {
      const dearth = problem.request.season === 'dearth';
      const stays = u.recipe?.distance === 'same-yard' ? [beesStay(nameOf(u), day)] : [];
      return [...stays, ...newUnitLooks(queen, day, dearth)].map((text) => ({
        colonyIds: ids,
        anchor: 'work',
        ...text,
      }));
    }
    const whole = wholeGoal(problem, u);
    if (whole) {
      const away = whole.recipe.distance === 'away';
      const parts = problem.units.filter((p) => p.wholeOf === u.key && seen.present[p.index]);
      return [
        { colonyIds: parts.map(colonyIdOf).slice(0, 12), anchor: 'work', ...emptyStand(day, away) },
        ...(away ? [] : [{ colonyIds: ids, anchor: 'work' as const, ...beesStay(nameOf(u), day) }]),
        look(
          'act',
          windowAfter(day, 3, 4, 7),
          'Take the excluder from under its box: the queen has settled, and drones cannot pass it. Food?',
        ),
        ...newUnitLooks('old-queen', day).map((text) => ({
          colonyIds: ids,
          anchor: 'work' as const,
          ...text,
        })),
      ];
    }
    const wished = u.rules.some((r) => !r.hard);
    if (isHivedUp(u)) {
      const drones = droneFrameOf(laid, u.index)?.to;
      return [
        ...(drones ? [{ colonyIds: ids, anchor: 'work' as const, ...cutDroneComb(day, drones.slot) }] : []),
        look(
          'rhythm',
          windowAfter(day, 6, 7, 9),
          'Eggs beyond the old frames, comb being drawn, food. Excluder and a super once bees cover eight combs.',
        ),
      ];
    }
    return wished && (after?.[AT.touched] ?? 0) > 0
      ? [
          look(
            'rhythm',
            windowAfter(day, 6, 7, 10),
            'What was given is covered by bees, and the queen lays in it.',
          ),
        ]
      : [];
  });
}
