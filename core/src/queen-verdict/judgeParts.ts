import { lowerFirst, listInWords, type Day } from '../basics/index.ts';
import type { QueenBelief } from '../queen-odds/index.ts';
import type { Evidence } from '../records/index.ts';
import { heldAgainstChances } from './heldAgainstChances.ts';
import { judgePart } from './judgePart.ts';
import type { PartHistory, Verdict } from './verdict.ts';

/** One part of a split with what was seen in it; `seen` is null while it has not been opened. */
export interface LookedPart {
  readonly id: string;
  readonly history: PartHistory;
  readonly seen: Evidence | null;
  /** What all inspections together make likely, this one included: as the records are, and once the queen is known here. */
  readonly belief?: { readonly asIs: QueenBelief; readonly ifQueenHere: QueenBelief } | null;
}

/** The verdict on all parts of one split together. */
export interface JointVerdict {
  readonly parts: readonly { readonly id: string; readonly verdict: Verdict | null }[];
  /** The part that has the old queen, once one is proved to. */
  readonly queenIn: string | null;
  readonly headline: string;
}

/**
 * Judges the parts of one split from one day's look.
 *
 * A queen proved in one part settles the others. Eggs in more than one part are pointed out and not
 * explained away; a part that was not opened keeps the question open unless another part answers it.
 */
export function judgeParts(parts: readonly LookedPart[], day: Day): JointVerdict {
  const judged = parts.map((p) => ({
    id: p.id,
    name: p.history.name,
    verdict: p.seen ? verdictOn(p, p.seen, day) : null,
  }));
  const withQueen = judged.filter((p) => p.verdict?.finding === 'has-queen');
  const queenIn = withQueen.length === 1 ? (withQueen[0]?.id ?? null) : null;
  return {
    parts: judged.map(({ id, verdict }) => ({
      id,
      verdict:
        verdict && queenIn !== null && id !== queenIn
          ? settledByOther(verdict, withQueen[0]?.name ?? '')
          : verdict,
    })),
    queenIn,
    headline: headline(judged, withQueen),
  };
}

function verdictOn({ history, belief }: LookedPart, seen: Evidence, day: Day): Verdict {
  const verdict = judgePart(history, day, seen);
  if (!belief) return verdict;
  const held = heldAgainstChances(verdict, belief.asIs, day);
  // Finding her here settles where she is, and that must not turn the story round.
  return held.finding === 'has-queen' ? heldAgainstChances(held, belief.ifQueenHere, day) : held;
}

function settledByOther(verdict: Verdict, nameOfOther: string): Verdict {
  if (verdict.finding !== 'raising') return verdict;
  return {
    ...verdict,
    certainty: 'proved',
    reasons: [...verdict.reasons, `The old queen is proved in ${nameOfOther}.`],
  };
}

interface Judged {
  readonly name: string;
  readonly verdict: Verdict | null;
}

function headline(judged: readonly Judged[], withQueen: readonly Judged[]): string {
  const unread = judged.filter((p) => p.verdict === null || p.verdict.finding === 'unread');
  if (withQueen.length > 1) {
    return 'Eggs in more than one part: two queens laid before the split, or a young one began early. Look again in a week.';
  }
  const [queen] = withQueen;
  if (queen) {
    const rest = judged.filter((p) => p !== queen).map(inShort);
    return [`The queen is in ${queen.name}`, ...rest].join('; ') + '.';
  }
  if (unread.length > 0) return `No verdict before ${listInWords(unread.map((p) => p.name))} is read.`;
  if (judged.every((p) => p.verdict?.finding === 'too-early')) return judged[0]?.verdict?.headline ?? '';
  return judged.map((p) => `${p.name}: ${lowerFirst(p.verdict?.headline ?? '')}`).join('; ') + '.';
}

function inShort({ name, verdict }: Judged): string {
  if (verdict === null) return `${name} is not opened yet`;
  return verdict.finding === 'raising'
    ? `${name} is raising one`
    : `${name}: ${lowerFirst(verdict.headline)}`;
}
