import type { Day } from '../../basics/index.ts';
import { type WorkEffect, type YardPlan, boxesOfHive, queenOf } from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { dropLooks } from './droppingLooks.ts';
import { handChambers } from './handChambers.ts';

type Path = readonly (string | number)[];

/** Queens and cells that come, go or move with the work. Before units are united, so that the right one stays. */
export function carryOutQueens(draft: Draft, plan: YardPlan, path: Path): void {
  for (const effect of plan.body.effects ?? []) queenEffect(draft, plan, effect, path);
}

function queenEffect(draft: Draft, plan: YardPlan, effect: WorkEffect, path: Path): void {
  if (effect.kind === 'stands-swapped' || effect.kind === 'unit-ends') return;
  const colony = draft.need('colony', effect.colonyId, path);
  if (!colony) return;
  const queen = queenOf(draft.apiary, colony.id);
  switch (effect.kind) {
    case 'queen-out':
      if (queen) draft.put('queen', { ...queen, whereabouts: { known: 'gone' } });
      return;
    case 'queen-over':
      if (queen) {
        draft.put('queen', { ...queen, whereabouts: { known: 'colony', colonyId: effect.intoId } });
        const into = draft.need('colony', effect.intoId, path);
        // It raises none any more: it has one.
        if (into?.separation) draft.put('colony', { ...into, separation: null });
      }
      return;
    case 'queen-in':
      draft.add(
        'queen',
        {
          id: effect.queenId,
          name: effect.name,
          birthYear: effect.birthYear,
          dot: effect.dot,
          mating: 'mated',
          whereabouts: { known: 'colony', colonyId: colony.id },
        },
        path,
      );
      dropLooks(draft, colony.id);
      if (colony.separation) draft.put('colony', { ...colony, separation: null });
      return;
    case 'cell-in':
      // What was due for the queen that was to come: another is expected now.
      dropLooks(draft, colony.id);
      // Its history as a part begins anew: what was seen before says nothing of this cell.
      draft.put('colony', {
        ...colony,
        separation: {
          v: 1,
          day: plan.day,
          planId: plan.id,
          queen: 'elsewhere',
          partIds: colony.separation?.partIds ?? [colony.id],
          emergence: effect.emergence,
        },
      });
  }
}

/** Hives that change places, and units that are no more. After frames and boxes have found theirs. */
export function carryOutStandsAndEnds(draft: Draft, plan: YardPlan, day: Day, path: Path): void {
  for (const effect of plan.body.effects ?? []) {
    if (effect.kind === 'stands-swapped') swap(draft, effect.colonyIds, path);
    if (effect.kind === 'unit-ends') endUnit(draft, effect.colonyId, day, path);
  }
}

function swap(draft: Draft, [a = '', b = '']: readonly string[], path: Path): void {
  const hiveOf = (colonyId: string) => {
    const colony = draft.need('colony', colonyId, path);
    return colony?.hiveId ? draft.need('hive', colony.hiveId, path) : undefined;
  };
  const one = hiveOf(a);
  const other = hiveOf(b);
  if (!one || !other) return;
  draft.put('hive', { ...one, standId: other.standId });
  draft.put('hive', { ...other, standId: one.standId });
}

function endUnit(draft: Draft, colonyId: string, day: Day, path: Path): void {
  const colony = draft.need('colony', colonyId, path);
  if (!colony) return;
  const { hiveId } = colony;
  draft.put('colony', { ...colony, endedOn: day, hiveId: null });
  dropLooks(draft, colonyId);
  const hive = hiveId ? draft.get('hive', hiveId) : undefined;
  // Others may live behind the partition.
  const shared = Object.values(draft.apiary.colony).some((c) => c.hiveId === hiveId && c.id !== colonyId);
  if (hive && !shared) draft.put('hive', { ...hive, standId: null });
  // Its side of a box that others share is free.
  for (const box of hiveId ? boxesOfHive(draft.apiary, hiveId) : []) handChambers(draft, box, colonyId, null);
}
