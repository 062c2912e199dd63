import type { CallOut, CallOutBody, NucRecipe, CallGiver, CallUnit } from '../records/index.ts';
import type { Day } from '../basics/index.ts';

/** What is asked before a break-up begins. */
export interface CallOutWish {
  readonly yardId: string;
  readonly day: Day;
  readonly givers: readonly CallGiver[];
  readonly names: readonly string[];
  readonly recipe: NucRecipe;
  /** Two units in each box, with a partition between them. */
  readonly shared: boolean;
  /** Of cells that are brought: the colony or line that they are from, and where their queens will mate. */
  readonly cells?: CallOutBody['cells'];
}

/** A break-up that is about to begin. Its boxes get their identifiers now, so that it can be finished without signal. */
export function newCallOut(wish: CallOutWish, name: string, newId: () => string): CallOut {
  const units: CallUnit[] = [];
  wish.names.forEach((unitName, i) => {
    const partner = wish.shared && i % 2 === 1 ? units[i - 1] : undefined;
    units.push({
      key: `u${i + 1}`,
      colonyId: newId(),
      standId: partner?.standId ?? newId(),
      hiveId: partner?.hiveId ?? newId(),
      boxId: partner?.boxId ?? newId(),
      fromSlot: partner ? wish.recipe.slots + 1 : 1,
      name: unitName,
      recipe: wish.recipe,
      closed: false,
    });
  });
  return {
    id: newId(),
    name,
    day: wish.day,
    status: 'open',
    body: {
      v: 1,
      yardId: wish.yardId,
      givers: [...wish.givers],
      units,
      calls: [],
      queens: [],
      ...(wish.cells && { cells: wish.cells }),
    },
  };
}
