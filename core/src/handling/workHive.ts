/** A box of a hive that is worked, bottom first in its list. */
export interface HandledBox {
  readonly id: string;
  readonly role: 'brood' | 'super';
  /** It leaves the hive: a brood box for a floor of its own, a super for another hive. */
  readonly goes: boolean;
}

export interface Place {
  readonly boxId: string;
  readonly slot: number;
}

/** A comb on its way. No place is the store, or a hive that is worked at another time. */
export interface HandledMove {
  readonly frameId: string;
  readonly from: Place | null;
  readonly to: Place | null;
}

/** Bees of a comb that are shaken out; the comb stays. */
export interface HandledShake {
  readonly frameId: string;
  readonly boxId: string;
}

/** What is done at a hive, one thing after the other. */
export type HiveEvent<B, M, S> =
  /** A box is set down at a place of its own, so that the one below can be reached. */
  | { readonly what: 'set-down'; readonly box: B }
  | { readonly what: 'set-back'; readonly box: B }
  /** A super goes on the hive that gets it. */
  | { readonly what: 'set-over'; readonly box: B }
  /** The box is open before the keeper, and nothing stands on it. */
  | { readonly what: 'at-hand'; readonly box: B }
  /** A comb goes straight to where it belongs. */
  | { readonly what: 'carry'; readonly move: M }
  /** A comb waits: its slot is still full, or in a box that is not at hand. */
  | { readonly what: 'aside'; readonly move: M }
  /** A comb that was set aside is hung. */
  | { readonly what: 'hang'; readonly move: M }
  | { readonly what: 'slide'; readonly box: B; readonly moves: readonly M[] }
  | { readonly what: 'shake'; readonly shake: S }
  /** Combs of the store. */
  | { readonly what: 'fill'; readonly box: B; readonly moves: readonly M[] };

/** The work at a hive in the order in which hands can do it. */
export interface HiveWorked<B, M, S> {
  /** From the top down: what leaves comes out, and what stands in the way is set down. */
  readonly down: readonly HiveEvent<B, M, S>[];
  /** From the bottom up: pushed together, filled, and built up again. */
  readonly up: readonly HiveEvent<B, M, S>[];
}

/**
 * Puts the work at one hive into an order that can be done as it is written: a tall hive is taken down from the top, each
 * box once, and built up again from the bottom; combs are taken from the box at hand, all that are needed from it
 * together; nothing is hung where a comb still hangs (common practice, no source).
 *
 * @param boxes - of the hive, bottom first
 * @param moves - from, to and within it; those that come from another hive are hung on the way up
 * @param hanging - every comb of the hive and where it hangs before
 * @param toTheBottom - every box is opened whatever is moved: somebody is searched for
 */
export function workHive<B extends HandledBox, M extends HandledMove, S extends HandledShake>(
  boxes: readonly B[],
  moves: readonly M[],
  shakes: readonly S[],
  hanging: readonly (Place & { readonly frameId: string })[],
  toTheBottom = false,
): HiveWorked<B, M, S> {
  const indexOf = (at: Place | null) => (at ? boxes.findIndex((b) => b.id === at.boxId) : -1);
  const touched = [
    ...moves.flatMap((m) => [indexOf(m.from), indexOf(m.to)]),
    ...shakes.map((s) => boxes.findIndex((b) => b.id === s.boxId)),
    // To lift a box off, those on it go first; a super that stays on what it stands on is not touched.
    ...boxes.flatMap((b, i) => (b.goes ? [i] : [])),
  ].filter((i) => i >= 0);
  if (touched.length === 0) return { down: [], up: [] };
  const lowest = toTheBottom ? 0 : Math.min(...touched);
  const full = new Map(hanging.map((h) => [keyOf(h), h.frameId]));
  const waiting = new Set<M>();
  const down: HiveEvent<B, M, S>[] = [];
  const bySlot = (a: M, b: M) => (a.from?.slot ?? 0) - (b.from?.slot ?? 0);
  for (const [i, box] of [...boxes.entries()].toReversed().filter(([n]) => n >= lowest)) {
    down.push({ what: 'at-hand', box });
    for (const move of moves
      .filter((m) => indexOf(m.from) === i && m.to?.boxId !== box.id)
      .toSorted(bySlot)) {
      if (move.from) full.delete(keyOf(move.from));
      const at = indexOf(move.to);
      // What stands beside is as near as what is before one.
      const canHang = move.to === null || at < 0 || (at > i && !full.has(keyOf(move.to)));
      if (canHang && move.to) full.set(keyOf(move.to), move.frameId);
      if (!canHang) waiting.add(move);
      down.push({ what: canHang ? 'carry' : 'aside', move });
    }
    if (i > lowest || box.goes) down.push({ what: 'set-down', box });
  }
  const up: HiveEvent<B, M, S>[] = [];
  boxes.forEach((box, i) => {
    if (i < lowest) return;
    if (i > lowest && !box.goes) up.push({ what: 'set-back', box });
    // Before anything slides: combs are named by where they hang.
    for (const shake of shakes.filter((s) => s.boxId === box.id)) up.push({ what: 'shake', shake });
    const within = moves.filter((m) => m.from?.boxId === box.id && m.to?.boxId === box.id);
    if (within.length > 0) up.push({ what: 'slide', box, moves: within.toSorted(bySlot) });
    const coming = moves.filter((m) => m.to?.boxId === box.id && m.from?.boxId !== box.id);
    for (const move of coming.filter((m) => waiting.has(m))) up.push({ what: 'hang', move });
    for (const move of coming.filter((m) => m.from !== null && indexOf(m.from) < 0))
      up.push({ what: 'hang', move });
    const filled = coming.filter((m) => m.from === null);
    if (filled.length > 0) up.push({ what: 'fill', box, moves: filled });
  });
  for (const box of boxes) {
    if (box.goes && box.role === 'super') up.push({ what: 'set-over', box });
  }
  return { down, up };
}

const keyOf = ({ boxId, slot }: Place) => `${boxId}/${slot}`;

/** How often a box is lifted. */
export const liftsOf = <B, M, S>({ down, up }: HiveWorked<B, M, S>): B[] =>
  [...down, ...up].flatMap((e) =>
    e.what === 'set-down' || e.what === 'set-back' || e.what === 'set-over' ? [e.box] : [],
  );
