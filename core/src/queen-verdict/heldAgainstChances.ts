import { addDays, type Day } from '../basics/index.ts';
import { nextObservation, type QueenBelief } from '../queen-odds/index.ts';
import { QUEEN_STATE_WORDS, type QueenStateName } from '../rules/index.ts';
import { look } from './nextActions.ts';
import type { Finding, Verdict } from './verdict.ts';

/** The states of a queen that a finding speaks of; the others speak of none. */
const SPEAKS_OF: Partial<Readonly<Record<Finding, readonly QueenStateName[]>>> = {
  'has-queen': ['laying', 'newly-laying'],
  raising: ['cells', 'virgin'],
  'still-time': ['cells', 'hopeless'],
  hopeless: ['hopeless', 'laying-workers'],
  'virgin-or-mating': ['virgin', 'cells', 'newly-laying'],
  'eggs-unproved': ['newly-laying', 'laying', 'drone-layer'],
  mated: ['laying', 'newly-laying'],
  'laying-workers': ['laying-workers'],
  'drone-layer': ['drone-layer'],
  'give-up': ['virgin', 'hopeless', 'drone-layer', 'not-laying', 'laying-workers'],
};

/**
 * A finding that has less of the chances stands beside its rival: half of them, or a third where it follows from what was
 * seen and only an oversight could undo it. Judgement, no source.
 */
const LEAST: Readonly<Record<Verdict['certainty'], number>> = { proved: 0.35, likely: 0.5, open: 0.5 };
/** Days that an inspection which parts two stories may be late. */
const MAY_BE_LATE = 3;

/**
 * A verdict of one inspection, held against what all of them together make likely. Where they agree it stands; where they
 * do not, both stories stand side by side with the inspection that would part them, and nothing is done on the strength
 * of one of them.
 */
export function heldAgainstChances(verdict: Verdict, belief: QueenBelief, day: Day): Verdict {
  const says = SPEAKS_OF[verdict.finding];
  if (!says || says.reduce((sum, state) => sum + belief.odds[state], 0) >= LEAST[verdict.certainty])
    return verdict;
  const rival = QUEEN_STATE_WORDS[belief.leading];
  const [reason] = belief.reasonsFor;
  const next = nextObservation(belief, day);
  const on = next.day > day ? next.day : addDays(day, 1);
  return {
    ...verdict,
    finding: 'unclear',
    certainty: 'open',
    headline: `${verdict.headline}, or ${rival}`,
    reasons: [
      ...verdict.reasons.slice(0, 1),
      `All that was seen so far speaks for another story, ${rival}${reason ? `: ${reason.words}` : ''}.`,
    ],
    next: [
      look(
        belief.leading === 'cells' || belief.leading === 'virgin' ? 'eggs-due' : 'capped-due',
        next.what,
        'It parts the two stories; until then neither is acted on.',
        { earliest: on, likely: on, latest: addDays(on, MAY_BE_LATE) },
      ),
    ],
  };
}
