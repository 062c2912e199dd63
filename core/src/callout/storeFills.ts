import { fillsUp } from '../nest/index.ts';
import {
  type Apiary,
  boxesOfColony,
  type CallOut,
  combSlots,
  type Frame,
  framesInStore,
  framesOfColony,
  isSlotOf,
  readingOf,
} from '../records/index.ts';
import { shareOf, shareOfBees } from '../comb/index.ts';

/** Combs of the store that fill a place at the end of a break-up. */
export interface StoreFill {
  /** The key of the unit, or the identifier of the donor. */
  readonly key: string;
  readonly boxId: string;
  readonly frames: readonly Frame[];
}

/**
 * What the store fills up when all is called: the free slots of the units, and of the donors what their bees can draw. Drawn
 * comb goes to the units first: a young queen needs cells to lay in.
 */
export function storeFills(apiary: Apiary, { body }: CallOut): StoreFill[] {
  const stored = framesInStore(apiary).toSorted(
    (a, b) => Number(b.blank === 'drawn') - Number(a.blank === 'drawn'),
  );
  const take = (sizeId: string, fits: (blank: Frame['blank']) => boolean): Frame | null => {
    const at = stored.findIndex((f) => f.sizeId === sizeId && fits(f.blank));
    return at < 0 ? null : (stored.splice(at, 1)[0] ?? null);
  };
  const fill = (slots: number, next: (k: number) => Frame | null): Frame[] => {
    const frames: Frame[] = [];
    while (frames.length < slots) {
      const frame = next(frames.length);
      if (!frame) break;
      frames.push(frame);
    }
    return frames;
  };
  const units = body.units.flatMap((u): StoreFill[] => {
    const calls = body.calls.filter((c) => c.to.at === 'unit' && c.to.key === u.key);
    if (calls.length === 0) return [];
    const strength = {
      bees: calls.reduce((n, c) => n + shareOfBees(c.reading), 0),
      capped: calls.reduce((n, c) => n + shareOf(c.reading, 'capped', 'emerging'), 0),
    };
    const frames = fill(u.recipe.slots - calls.length, (k) =>
      take(u.recipe.sizeId, (blank) => fillsUp(blank, calls.length + k, strength, false)),
    );
    return [{ key: u.key, boxId: u.boxId, frames }];
  });
  const gone = new Set(body.calls.flatMap((c) => (c.to.at === 'unit' ? [c.frameId] : [])));
  const donors = body.givers.flatMap((g): StoreFill[] => {
    const colony = apiary.colony[g.colonyId];
    if (!colony || g.whole) return [];
    const left = framesOfColony(apiary, colony).filter((f) => !gone.has(f.frame.id));
    const strength = {
      bees: left.reduce((n, f) => n + shareOfBees(readingOf(f)), 0),
      capped: left.reduce((n, f) => n + shareOf(readingOf(f), 'capped', 'emerging'), 0),
    };
    let hanging = left.length;
    return boxesOfColony(apiary, colony)
      .filter((b) => b.role === 'brood')
      .map((box): StoreFill => {
        const own = combSlots(box).filter((s) => isSlotOf(box, s, colony.id)).length;
        const here = left.filter((f) => f.box.id === box.id).length;
        const frames = fill(own - here, () =>
          take(box.sizeId, (blank) => fillsUp(blank, hanging, strength, false)),
        );
        hanging += frames.length;
        return { key: colony.id, boxId: box.id, frames };
      });
  });
  return [...units, ...donors].filter((f) => f.frames.length > 0);
}
