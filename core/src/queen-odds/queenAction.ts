import { capital, addDays, dayInWords, daysBetween, type Day } from '../basics/index.ts';
import { type ActionId, countCells } from '../records/index.ts';
import { GIVE_UP_AFTER_EMERGENCE, DEVELOPMENT, DAYS_TO_EGGS, emergencyEmergence } from '../brood/index.ts';
import type { PartBefore } from './course.ts';
import { nextObservation } from './nextObservation.ts';
import type { DatedLook, QueenBelief } from './queenOdds.ts';
import { QUEEN_STATE_WORDS, type QueenStateName } from '../rules/index.ts';

/** What is to be done next about a queen: an action with a plan of its own, a look, or nothing. */
export interface QueenAction {
  readonly id: ActionId | 'leave' | 'look' | 'isolate';
  readonly what: string;
  readonly why: string;
  /** The day for it, or until when it is left. */
  readonly on: Day;
}

/** A state with less chance than this is not acted on: a look comes first. */
const ACT_FROM = 0.6;
/** Flat caps over the first eggs prove that she mated, so many days after them. */
const PROOF_AFTER = DEVELOPMENT.worker.cellCapped.likely;

/**
 * The next thing to do about the queen of a part, with its reason.
 *
 * @param lastForWinterBees - a queen that lays later raises too few winter bees; see season/yardSeason
 */
export function queenAction(
  belief: QueenBelief,
  before: PartBefore,
  looks: readonly DatedLook[],
  day: Day,
  lastForWinterBees: Day,
): QueenAction {
  const last = looks.at(-1);
  const say = (id: QueenAction['id'], what: string, why: string, on: Day = day): QueenAction => ({
    id,
    what,
    why,
    on,
  });
  if (last?.seen.diseaseSigns.look === 'found') {
    return say(
      'isolate',
      'Close it, move nothing in or out, ask your bee inspector or vet',
      'Neglected and sick brood look alike; some brood diseases are notifiable.',
    );
  }
  if (before.theirBoxes && before.theirBoxes.length > 0)
    return say(
      'shake-out-part',
      'Shake out the boxes with drone brood; her box stays on the stand',
      'Worker brood in one box and only drones in another are two sources: hers is kept.',
    );
  const arrived = arrivalAct(before, looks, day, say);
  if (arrived) return arrived;
  const lostOn = before.separatedOn;
  const n = lostOn === null ? null : daysBetween(lostOn, day);
  const cells = last && last.day === day ? cellsAct(last, n, before.emergence !== null, say) : null;
  if (cells && belief.odds.laying < 0.5) return cells;
  const late = day > addDays(lastForWinterBees, -DAYS_TO_EGGS['give-queen']);
  if (nothingToRaiseFrom(belief, before, last, day))
    return late
      ? say(
          'combine',
          'Unite it with a queenright colony; look for a virgin first',
          `No queen of its own lays before ${dayInWords(lastForWinterBees)}.`,
        )
      : testFrame(say);
  if (belief.chance < ACT_FROM || unread(last, day, belief, before)) {
    if (unread(last, day, belief, before)) {
      return say('look', 'Read the rest now', 'One box or comb unread can change the answer.');
    }
    const next = nextObservation(belief, day);
    const on = next.day > day ? next.day : addDays(day, 1);
    return say(
      'look',
      `${next.what} from ${dayInWords(on)}`,
      `${capital(QUEEN_STATE_WORDS[belief.leading])} or ${QUEEN_STATE_WORDS[belief.rival.state]}: that inspection tells which.`,
      on,
    );
  }
  if (layingUnseen(belief, before, looks)) {
    return say(
      'look',
      'Look for eggs',
      'She should lay by now, most likely she does, and nobody has looked: only eggs show it.',
    );
  }
  switch (belief.leading) {
    case 'laying':
      return say(
        'leave',
        'Weekly inspection',
        'She lays; pattern is judged when her own brood is capped.',
        addDays(day, 7),
      );
    case 'newly-laying': {
      const first = looks.find(
        (l) => l.seen.eggs.look === 'found' && (lostOn === null || l.day > addDays(lostOn, 10)),
      );
      return say(
        'look',
        'Mark her; look again for flat-capped worker brood',
        'A drone layer lays neat eggs too: caps prove that she mated.',
        addDays(first?.day ?? day, PROOF_AFTER),
      );
    }
    case 'cells':
    case 'virgin':
      return waiting(belief, before, day, late, say);
    case 'hopeless':
      return late
        ? say(
            'combine',
            'Unite it with a queenright colony',
            `No queen of its own lays before ${dayInWords(lastForWinterBees)}.`,
          )
        : testFrame(say);
    case 'laying-workers':
      return say(
        'shake-out',
        'Shake it out before strong hives, or unite it to a very strong one',
        'A bought queen is killed. Open brood weekly, three times, is the slow way.',
      );
    case 'drone-layer':
      return say(
        late ? 'combine' : 'give-queen',
        late ? 'Find her, take her out and unite' : 'Find her, take her out, give a mated queen or unite',
        'She will not recover; every week costs workers.',
      );
    case 'not-laying':
      return say(
        'free-queen',
        'Give her empty comb beside the brood; look again in a week',
        'No room, just introduced, dearth or a honey barrier: none of it is her fault.',
        day,
      );
  }
}

/** A queen in a cage at home, or one who has come of late: what she waits for, as long as nothing speaks against her. */
function arrivalAct(
  { came, cagedSince }: PartBefore,
  looks: readonly DatedLook[],
  day: Day,
  say: Say,
): QueenAction | null {
  const last = looks.at(-1);
  if (cagedSince) {
    const out = addDays(cagedSince, DEVELOPMENT.worker.emerges.likely);
    return day < out
      ? say(
          'leave',
          `She sits in her cage: let her out on ${dayInWords(out)}`,
          'No worker brood is capped by then; drones are out three days later.',
          out,
        )
      : say('look', 'Let her out of her cage', `She sits in it since ${dayInWords(cagedSince)}.`);
  }
  if (!came) return null;
  const n = daysBetween(came.on, day);
  const cells = last ? countCells(last.seen, 'open', 'charged', 'capped') : 0;
  if (came.how === 'given' && cells > 0 && n <= REFUSES_DAYS && last?.seen.eggs.look !== 'found')
    return say(
      'cut-cells',
      `Take out ${cells === 1 ? 'the cell' : `all ${cells} cells`}, then look for her`,
      'As long as there are cells she is not accepted. If she is dead, leave one good cell instead.',
    );
  const [from, idle] = LAYS[came.how === 'given' ? (came.mated ? 'mated' : 'virgin') : came.how];
  // Once eggs were seen, or looked for in vain when she should lay, all that was seen decides.
  const decided = looks.some(
    ({ day: d, seen }) =>
      seen.eggs.look === 'found' || (seen.eggs.look === 'notFound' && daysBetween(came.on, d) >= idle),
  );
  if (decided) return null;
  if (n < from) {
    const cage = addDays(came.on, CAGE_LOOK);
    if (came.how === 'given' && !came.free)
      return n < CAGE_LOOK
        ? say(
            'leave',
            `Leave it shut until ${dayInWords(cage)}: then see that the cage is empty`,
            'Opened too soon, a new queen is balled.',
            cage,
          )
        : say(
            'look',
            'See that her cage is empty, and that no cells are drawn',
            'Let her out, if she is not.',
          );
    const eggs = addDays(came.on, from);
    return say(
      'leave',
      `Look for eggs from ${dayInWords(eggs)}`,
      came.how === 'given' ? 'She settles first: leave her alone.' : 'The swarm draws comb first.',
      eggs,
    );
  }
  return say('look', 'Look for eggs', `She may be idle for ${idle} days and be well; eggs settle it.`);
}

/**
 * Days from which a queen who came lays, and for which she may be idle (common practice: given 7 to 14, a virgin 12 to 24,
 * with a swarm as soon as there is comb, or as a virgin).
 */
const LAYS = { mated: [7, 14], virgin: [12, 24], 'prime-swarm': [4, 10], swarm: [7, 24] } as const;
const CAGE_LOOK = 4;
/** Cells drawn within so many days after a queen was given are begun against her. */
const REFUSES_DAYS = 10;

type Say = (id: QueenAction['id'], what: string, why: string, on?: Day) => QueenAction;

const testFrame = (say: Say): QueenAction =>
  say(
    'test-frame',
    'Give it a comb of eggs today, or a cell or queen, or reunite it',
    'No larva in it is young enough any more.',
  );

/** Less than sure, it is still the thing to do: a comb of eggs helps where she is gone, and tells where she is not. */
const TEST_FROM = 0.35;
const TELLS_FROM = 0.75;

/** Every comb was read today, and there is neither egg nor cell nor a larva to raise a queen from. */
const nothingToRaiseFrom = (
  { leading, chance, odds }: QueenBelief,
  { separatedOn }: PartBefore,
  last: DatedLook | undefined,
  day: Day,
): boolean =>
  last?.day === day &&
  last.seen.framesRead >= last.seen.framesTotal &&
  last.seen.eggs.look === 'notFound' &&
  last.seen.cells.look === 'notFound' &&
  (last.seen.youngLarvae.look === 'notFound' || last.seen.cappedBrood.look === 'notFound') &&
  last.seen.youngLarvae.look !== 'found' &&
  last.seen.queen.look !== 'found' &&
  ((leading === 'hopeless' && chance >= TEST_FROM) ||
    // Where nobody knows when she was lost, a virgin may run there too: the comb tells, and keeps it going.
    (separatedOn === null &&
      last.seen.cappedBrood.look === 'notFound' &&
      odds.hopeless + odds.virgin + odds['not-laying'] >= TELLS_FROM));

/** Brood of the old queen is past each stage by so many days after she was lost. */
const HERS_UNTIL = {
  eggs: DEVELOPMENT.worker.eggHatches.likely,
  youngLarvae: DEVELOPMENT.worker.eggHatches.likely + 2,
  olderLarvae: DEVELOPMENT.worker.cellCapped.likely,
  cappedBrood: DEVELOPMENT.worker.emerges.likely,
} as const;

/** A part that raised its queen is believed to have one that lays, and no look has shown brood of hers. */
const layingUnseen = (
  { leading }: QueenBelief,
  { separatedOn, queenHere }: PartBefore,
  looks: readonly DatedLook[],
): boolean =>
  (leading === 'laying' || leading === 'newly-laying') &&
  separatedOn !== null &&
  queenHere < 1 &&
  !looks.some(({ day, seen }) =>
    Object.entries(HERS_UNTIL).some(
      ([stage, until]) =>
        seen[stage as keyof typeof HERS_UNTIL].look === 'found' && day > addDays(separatedOn, until),
    ),
  );

/**
 * Combs were left unread today, or eggs and cells not looked for where the queen may be gone, and what was seen does not
 * settle it. A look that names no combs is taken as whole.
 */
const unread = (
  last: DatedLook | undefined,
  day: Day,
  { leading, chance }: QueenBelief,
  { separatedOn }: PartBefore,
): boolean =>
  last !== undefined &&
  last.day === day &&
  last.seen.framesRead > 0 &&
  (last.seen.framesRead < last.seen.framesTotal ||
    ((leading === 'hopeless' || (leading === 'not-laying' && separatedOn !== null)) &&
      (last.seen.eggs.look === 'notLooked' || last.seen.cells.look === 'notLooked'))) &&
  !(SEEN_STATES.has(leading) && chance >= SETTLED);

/** States that are seen by what is there: a comb unread does not undo them. The others rest on what is missing. */
const SEEN_STATES: ReadonlySet<QueenStateName> = new Set([
  'laying',
  'newly-laying',
  'laying-workers',
  'drone-layer',
]);
const SETTLED = 0.9;

/** Cells that ask for a hand: those capped too early, and those that nobody may touch any more. */
function cellsAct({ seen }: DatedLook, n: number | null, chosen: boolean, say: Say): QueenAction | null {
  if (n === null) return null;
  const capped = countCells(seen, 'capped');
  const open = countCells(seen, 'open', 'charged');
  if (capped > 0 && open > 0 && n >= 2 && n <= 4) {
    return say(
      'cut-early-cells',
      `Break the ${capped} capped, leave the ${open} open`,
      `Capped on day ${n} they came from larvae two days old or more when the queen was lost.`,
    );
  }
  if (countCells(seen, 'emerged') > 0) {
    return say(
      'leave',
      'Cut nothing: a virgin may be loose',
      'One cell is open. Listen, look for casts, leave it shut until eggs are due.',
    );
  }
  // One cell was chosen when the part was made: on days 7 to 9 no more can be made, and none is out.
  if (chosen && n >= 7 && n <= 9 && capped + open > 1) {
    return capped > 0
      ? say(
          'cut-cells',
          `The chosen cell is capped: cut the other ${capped + open - 1}`,
          'Shake every comb but its own; no larva is young enough for another.',
        )
      : say(
          'leave',
          'The chosen cell failed: keep the best of the others, cut none',
          'Taking the others out presumes that the chosen one lives; eggs of hers are too old now.',
        );
  }
  return null;
}

/** A queen is on her way: left alone until eggs are due, and not for ever. */
function waiting(belief: QueenBelief, before: PartBefore, day: Day, late: boolean, say: Say): QueenAction {
  const lost = before.separatedOn;
  const emergence = before.emergence ?? (lost === null ? null : emergencyEmergence(lost));
  if (emergence === null) {
    return say(
      'leave',
      'Leave the cells and look for eggs in three weeks',
      'The colony replaces its queen by itself.',
      addDays(day, 21),
    );
  }
  const decideBy = addDays(emergence.likely, GIVE_UP_AFTER_EMERGENCE);
  const latest = addDays(emergence.latest, 21);
  if (day >= decideBy || (late && day > latest)) {
    return say(
      late ? 'combine' : 'give-queen',
      late
        ? 'Stop: take the virgin out and unite, or give a mated queen this week'
        : 'Take the virgin out and give a mated queen, or unite',
      `${daysBetween(emergence.likely, day)} days since she was out and no eggs${late ? ', and winter bees are to be raised now' : ''}.`,
    );
  }
  const due = addDays(emergence.likely, 16);
  return say(
    'leave',
    `Leave it shut until ${dayInWords(due > day ? due : addDays(day, 3))}`,
    belief.leading === 'cells'
      ? 'Opening risks the cell. A cell that was missed is no loss.'
      : 'She flies and mates; a virgin on the comb proves nothing.',
    due > day ? due : addDays(day, 3),
  );
}
