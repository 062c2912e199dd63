import type { Apiary, Colony } from '../apiary/records.ts';

/** A colony in its line of descent; `generation` 0 is the one asked about, ancestors are negative. */
export interface Kin {
  readonly colony: Colony;
  readonly generation: number;
}

/** A line of descent: who came from whom. */
export interface Descent {
  readonly kin: readonly Kin[];
  /** From the older to the younger, by colony id. */
  readonly lines: readonly { readonly from: string; readonly to: string }[];
}

/** The colony that a colony was split from. */
function parentOf(apiary: Apiary, colony: Colony): Colony | undefined {
  return colony.origin.how === 'split' ? apiary.colony[colony.origin.fromColonyId] : undefined;
}

/** Where a colony comes from, back to the first that was entered, and all that came from it. */
export function descentOf(apiary: Apiary, colony: Colony): Descent {
  const kin: Kin[] = [{ colony, generation: 0 }];
  const lines: { from: string; to: string }[] = [];
  const seen = new Set([colony.id]);
  let younger = colony;
  for (let g = -1; ; g--) {
    const parent = parentOf(apiary, younger);
    if (!parent || seen.has(parent.id)) break;
    seen.add(parent.id);
    kin.unshift({ colony: parent, generation: g });
    lines.push({ from: parent.id, to: younger.id });
    younger = parent;
  }
  const queue: Kin[] = [{ colony, generation: 0 }];
  for (let next = queue.shift(); next; next = queue.shift()) {
    const parent = next;
    for (const child of Object.values(apiary.colony)) {
      if (seen.has(child.id) || parentOf(apiary, child)?.id !== parent.colony.id) continue;
      seen.add(child.id);
      const one = { colony: child, generation: parent.generation + 1 };
      kin.push(one);
      queue.push(one);
      lines.push({ from: parent.colony.id, to: child.id });
    }
  }
  return { kin, lines };
}
