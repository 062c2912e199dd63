import { queenCalendar, windowAfter } from '../followup/windows.ts';
import type { Evaluation } from './evaluate.ts';
import { isHivedUp } from './layOutYard.ts';
import { AT } from './measures.ts';
import type { YardProblem, YardUnit } from './problem.ts';
import type { YardLook } from './yardPlanBody.ts';

/** A look before it gets an identifier. */
type LookDraft = Omit<YardLook, 'id'>;

/** When to come back to what a plan has made or changed, and what to expect then. */
export function yardLooks(
  problem: YardProblem,
  seen: Evaluation,
  colonyIdOf: (unit: YardUnit) => string,
): LookDraft[] {
  const { day } = problem;
  return problem.units.flatMap((u): LookDraft[] => {
    if (!seen.present[u.index]) return [];
    const ids = [colonyIdOf(u)];
    const after = seen.after[u.index];
    const look = (
      topic: YardLook['topic'],
      window: YardLook['window'],
      expect: string,
      kind: YardLook['kind'] = 'look',
    ): LookDraft => ({ colonyIds: ids, kind, topic, window, expect });
    const queenLeft =
      u.kind === 'colony' && (u.before[AT.queens] ?? 0) > 0 && (after?.[AT.queens] ?? 0) < 0.5;
    if (u.recipe?.queen === 'raises' || queenLeft) {
      const dates = queenCalendar(day);
      return [
        look(
          'surplus-cells',
          dates.surplusCells,
          'Cells are capped, and none can be made any more: leave one or two, or all in a small nuc.',
        ),
        look(
          'rest',
          { earliest: dates.handsOff.from, likely: dates.handsOff.from, latest: dates.handsOff.to },
          'A virgin emerges, flies and mates. Leave it shut.',
          'hands-off',
        ),
        look('eggs-due', dates.eggsLook, 'Eggs of the new queen. Feed and room.'),
      ];
    }
    if (u.recipe?.queen === 'cell') {
      // A ripe cell is given within one to three days and opens within one to two.
      const emergence = windowAfter(day, 2, 3, 5);
      const dates = queenCalendar(day, emergence);
      return [
        look(
          'rest',
          { earliest: emergence.earliest, likely: emergence.earliest, latest: dates.handsOff.to },
          'The cell opens, the virgin flies and mates. Leave it shut.',
          'hands-off',
        ),
        look('eggs-due', dates.eggsLook, 'Eggs of the new queen.'),
      ];
    }
    if (u.recipe?.queen === 'mated') {
      return [look('rhythm', windowAfter(day, 4, 5, 7), 'She is out of her cage and lays.')];
    }
    if (u.kind === 'nuc') return [look('rhythm', windowAfter(day, 5, 7, 10), 'Eggs and food; no new cells.')];
    const wished = u.rules.some((r) => !r.hard);
    if (isHivedUp(u)) {
      return [
        look('rhythm', windowAfter(day, 6, 7, 9), 'Eggs beyond the old frames, comb being drawn, food.'),
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
