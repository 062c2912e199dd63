import type { Apiary, Colony } from '../records/index.ts';

/** A colony in its line of descent; `generation` 0 is the one asked about, ancestors are negative. */
interface Kin {
  readonly colony: Colony;
  readonly generation: number;
}

/** A line of descent: who came from whom. */
export interface Descent {
  readonly kin: readonly Kin[];
  /** From the older to the younger, or from what was united into what it joined, by colony id. */
  readonly lines: readonly { readonly from: string; readonly to: string; readonly how: 'split' | 'union' }[];
}

/** The colony that a colony was split from, was made of, or left as a swarm. */
function parentOf(apiary: Apiary, colony: Colony): Colony | undefined {
  const { origin } = colony;
  return 'fromColonyId' in origin && origin.fromColonyId !== null
    ? apiary.colony[origin.fromColonyId]
    : undefined;
}

/** Unions that were carried out: which colony went into which. */
function unionsOf(apiary: Apiary): { readonly fromId: string; readonly intoId: string }[] {
  return Object.values(apiary.work).flatMap((p) => (p.status === 'done' ? p.body.unions : []));
}

/** Where a colony comes from, back to the first that was entered, and all that came from it. */
export function descentOf(apiary: Apiary, colony: Colony): Descent {
  const kin: Kin[] = [{ colony, generation: 0 }];
  const lines: Descent['lines'][number][] = [];
  const seen = new Set([colony.id]);
  let younger = colony;
  for (let g = -1; ; g--) {
    const parent = parentOf(apiary, younger);
    if (!parent || seen.has(parent.id)) break;
    seen.add(parent.id);
    kin.unshift({ colony: parent, generation: g });
    lines.push({ from: parent.id, to: younger.id, how: 'split' });
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
      lines.push({ from: parent.colony.id, to: child.id, how: 'split' });
    }
  }
  // What was united into one of them, and what one of them joined, stands beside it.
  for (const { fromId, intoId } of unionsOf(apiary)) {
    const from = apiary.colony[fromId];
    const into = apiary.colony[intoId];
    if (!from || !into || (!seen.has(fromId) && !seen.has(intoId))) continue;
    const known = kin.find((k) => k.colony.id === (seen.has(intoId) ? intoId : fromId));
    for (const [one, away] of [
      [from, -1],
      [into, 1],
    ] as const) {
      if (seen.has(one.id)) continue;
      seen.add(one.id);
      kin.push({ colony: one, generation: (known?.generation ?? 0) + away });
    }
    lines.push({ from: fromId, to: intoId, how: 'union' });
  }
  return { kin, lines };
}
