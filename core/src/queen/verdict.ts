import { addDays, dayInWords, daysBetween, type Day } from '../calendar/day.ts';
import {
  emergencyEmergence,
  queenCalendar,
  type FollowUpTopic,
  type QueenCalendar,
  type Window,
} from '../followup/windows.ts';
import { cellsOf, countCells, type Evidence } from './evidence.ts';

/** What a look says about the queen of a part. */
export const FINDINGS = [
  'too-early',
  'unread',
  'has-queen',
  'raising',
  'still-time',
  'hopeless',
  'virgin-or-mating',
  'eggs-unproved',
  'mated',
  'laying-workers',
  'drone-layer',
  'give-up',
  'sick',
  'unclear',
] as const;
export type Finding = (typeof FINDINGS)[number];

/** Something to do, or to leave, with its reason and time. */
export interface NextAction {
  readonly kind: 'act' | 'look' | 'leave';
  /** What the follow-up that comes of it is about. */
  readonly topic: FollowUpTopic;
  readonly what: string;
  readonly why: string;
  readonly window: Window | null;
}

/** A judgement on one part. */
export interface Verdict {
  readonly finding: Finding;
  /** `proved` follows from biology; `likely` is the usual meaning; `open` is no judgement yet. */
  readonly certainty: 'proved' | 'likely' | 'open';
  readonly headline: string;
  readonly reasons: readonly string[];
  readonly next: readonly NextAction[];
  /** Notes that cannot both be true; both are kept. */
  readonly contradictions: readonly string[];
}

/** What is known of a part besides today's look. */
export interface PartHistory {
  readonly name: string;
  /** The day the parts were separated (day 0), or null for a colony that was never split. */
  readonly separatedOn: Day | null;
  /** When the new queen is expected, if better known than from emergency cells. */
  readonly emergence: Window | null;
  /** Earlier looks since then, oldest first. */
  readonly earlier: readonly { readonly day: Day; readonly seen: Evidence }[];
}

const on = (day: Day): Window => ({ earliest: day, likely: day, latest: day });
const act = (what: string, why: string, window: Window | null = null): NextAction => ({
  kind: 'act',
  topic: 'act',
  what,
  why,
  window,
});
const look = (topic: NextAction['topic'], what: string, why: string, window: Window): NextAction => ({
  kind: 'look',
  topic,
  what,
  why,
  window,
});
const leave = (what: string, why: string, window: Window | null): NextAction => ({
  kind: 'leave',
  topic: 'rest',
  what,
  why,
  window,
});
const weekly = (day: Day): NextAction =>
  look('rhythm', 'Look in a week', 'The usual rhythm of a laying colony.', on(addDays(day, 7)));

/**
 * Judges one part from one look.
 *
 * Follows section by section what the eggs, then the cells, then the brood can mean on that day. A part
 * with frames still unread is not judged unless what was seen already settles it.
 */
export function judgePart(history: PartHistory, day: Day, seen: Evidence): Verdict {
  const contradictions = contradictionsOf(history, day, seen);
  const verdict = (
    finding: Finding,
    certainty: Verdict['certainty'],
    headline: string,
    reasons: readonly string[],
    next: readonly NextAction[],
  ): Verdict => ({ finding, certainty, headline, reasons, next, contradictions });

  if (seen.diseaseSigns.look === 'found') {
    return verdict(
      'sick',
      'open',
      'Brood looks sick: nothing in, nothing out',
      [
        'Neglected and sick brood look alike; a name for it is for a test or an inspector, not for this page.',
      ],
      [
        act(
          'Close it, move no comb or bees, clean tools, and ask your bee inspector or vet',
          'Some brood diseases are notifiable; local rules apply.',
          on(day),
        ),
      ],
    );
  }
  const brood = judgeBroodSigns(day, seen, verdict);
  if (brood) return brood;
  if (history.separatedOn === null) return judgeUnsplit(day, seen, verdict);

  const n = daysBetween(history.separatedOn, day);
  const dates = queenCalendar(
    history.separatedOn,
    history.emergence ?? emergencyEmergence(history.separatedOn),
  );
  const ctx: Context = { n, day, dates, lostOn: history.separatedOn, seen, history, verdict };
  if (seen.eggs.look === 'found') return judgeEggs(ctx);
  if (
    seen.framesRead < seen.framesTotal ||
    seen.eggs.look === 'notLooked' ||
    seen.cells.look === 'notLooked'
  ) {
    return judgeUnread(ctx);
  }
  return seen.cells.look === 'found' ? judgeCells(ctx) : judgeNothing(ctx);
}

type MakeVerdict = (
  finding: Finding,
  certainty: Verdict['certainty'],
  headline: string,
  reasons: readonly string[],
  next: readonly NextAction[],
) => Verdict;

interface Context {
  /** Days since the separation. */
  readonly n: number;
  readonly day: Day;
  readonly lostOn: Day;
  readonly dates: QueenCalendar;
  readonly seen: Evidence;
  readonly history: PartHistory;
  readonly verdict: MakeVerdict;
}

/** Signs that tell a bad layer on any day: several eggs a cell, domed cappings in worker cells. */
function judgeBroodSigns(day: Day, seen: Evidence, verdict: MakeVerdict): Verdict | undefined {
  const domed = seen.cappedBrood.look === 'found' && seen.cappedBrood.cappings === 'domed';
  const scattered = seen.cappedBrood.look === 'found' && seen.cappedBrood.patch === 'scattered';
  const several = seen.eggs.look === 'found' && seen.eggs.perCell === 'several';
  const onWalls = seen.eggs.look === 'found' && seen.eggs.place === 'walls';
  if (several && (onWalls || (domed && scattered) || seen.mood === 'roaring')) {
    return verdict(
      'laying-workers',
      'likely',
      'Laying workers',
      [
        'Several eggs in a cell' +
          (onWalls ? ', on the cell walls' : '') +
          (domed ? ', and domed caps in worker cells' : '') +
          ': workers lay when neither queen nor brood has been there for weeks.',
      ],
      [
        act(
          'Shake it out away from the stand, or unite it to a strong queenright colony',
          'They do not accept a bought queen; open brood weekly would be the slow way.',
          on(day),
        ),
      ],
    );
  }
  if (domed && seen.queen.look === 'found' && !several) {
    return verdict(
      'drone-layer',
      'likely',
      'The queen lays drones only',
      ['Domed caps in worker cells in one patch, and a queen: she is unmated or spent.'],
      [act('Take her out and requeen or unite', 'She will not recover; every week costs workers.', on(day))],
    );
  }
  return undefined;
}

function judgeUnsplit(day: Day, seen: Evidence, verdict: MakeVerdict): Verdict {
  if (seen.eggs.look === 'found') {
    return verdict(
      'has-queen',
      'likely',
      'A queen is laying',
      ['Eggs are at most three days old.'],
      [weekly(day)],
    );
  }
  return verdict(
    'unclear',
    'open',
    'No judgement from this look',
    [
      seen.eggs.look === 'notFound'
        ? 'No eggs were found: she may be short of empty comb, new, or gone.'
        : 'Eggs were not looked for.',
    ],
    [
      look('which-part', 'Look again, every frame', 'Eggs settle it.', {
        earliest: addDays(day, 3),
        likely: addDays(day, 5),
        latest: addDays(day, 7),
      }),
    ],
  );
}

function judgeEggs({ n, day, dates, seen, history, verdict }: Context): Verdict {
  if (day < dates.eggsProveQueen.earliest) {
    return verdict(
      'too-early',
      'open',
      `Too early to say, from ${dayInWords(dates.eggsProveQueen.earliest)}`,
      [`An egg takes 3 days to hatch, so eggs on day ${n} can all be from before the split.`],
      [
        look('which-part', 'Look again', 'From day 4 eggs prove a laying queen; day 7 shows cells as well.', {
          earliest: dates.eggsProveQueen.earliest,
          likely: dates.eggsProveQueen.likely,
          latest: dates.surplusCells.latest,
        }),
      ],
    );
  }
  const live = countCells(seen, 'charged', 'open', 'capped');
  if (day <= dates.eggsProveQueen.latest && !seenRaising(history)) {
    const reasons = [
      `An egg takes 3 days to hatch, so eggs on day ${n} were laid on day ${n - 3} or later, here.`,
    ];
    if (live > 0)
      reasons.push(`It also has ${live} cells with life in them: she means to swarm or is being replaced.`);
    return verdict('has-queen', 'proved', 'The queen is here', reasons, [
      live > 0
        ? act(
            'Treat the cells as swarm cells',
            'A queen with charged cells beside her soon leaves with a swarm.',
            on(day),
          )
        : act('Check every frame for swarm cells, then close', 'Half a colony may still want to swarm.'),
      weekly(day),
    ]);
  }
  const flat = seen.cappedBrood.look === 'found' && seen.cappedBrood.cappings === 'flat';
  if (flat && day > dates.lastOldWorkerEmerges) {
    return verdict(
      'mated',
      'proved',
      'The new queen is mated and laying',
      [
        `The last worker of the old queen emerged by ${dayInWords(dates.lastOldWorkerEmerges)}; flat-capped worker brood since then is hers.`,
      ],
      [act('Mark her when it suits', 'A marked queen is found in half the time.', null), weekly(day)],
    );
  }
  const cappedBy = addDays(day, 9);
  return verdict(
    'eggs-unproved',
    'likely',
    'A new queen has begun to lay',
    [
      `Eggs on day ${n} cannot be from the old queen. A queen that failed to mate lays neat eggs too; only flat caps prove her.`,
    ],
    [
      look(
        'capped-due',
        'Look for flat-capped worker brood',
        'Worker brood is capped 9 days after the egg.',
        {
          earliest: addDays(day, 6),
          likely: cappedBy,
          latest: addDays(cappedBy, 5),
        },
      ),
    ],
  );
}

function seenRaising(history: PartHistory): boolean {
  return history.earlier.some((e) => e.seen.eggs.look === 'notFound' && cellsOf(e.seen).length > 0);
}

function judgeUnread({ n, day, lostOn, dates, seen, verdict }: Context): Verdict {
  const unread = seen.framesTotal - seen.framesRead;
  const missing = [
    ...(unread > 0 ? [`${unread} of ${seen.framesTotal} frames are still unread`] : []),
    ...(seen.eggs.look === 'notLooked' ? ['eggs were not looked for'] : []),
    ...(seen.cells.look === 'notLooked' ? ['cells were not looked for'] : []),
  ];
  const usable = day <= dates.larvaeUsable.latest;
  return verdict(
    'unread',
    'open',
    'No verdict before every frame is read',
    [
      `${missing.join('; ')}. One frame can change the answer.`,
      ...(usable && seen.eggs.look === 'notFound'
        ? [
            `It is day ${n}: larvae can still become queens until ${dayInWords(dates.larvaeUsable.latest)}, so no eggs is not yet too late.`,
          ]
        : []),
    ],
    [
      act(
        'Read the rest now, parting the bees with a finger or a puff of smoke',
        'Cells hide under bees on the lower edge.',
        on(day),
      ),
      ...(usable
        ? [
            look(
              'which-part',
              'Look again',
              'By then there are cells, or there will be none.',
              on(addDays(lostOn, 7)),
            ),
          ]
        : []),
    ],
  );
}

function judgeCells(ctx: Context): Verdict {
  const { n, day, dates, lostOn, seen, history, verdict } = ctx;
  const live = countCells(seen, 'charged', 'open', 'capped');
  const capped = countCells(seen, 'capped');
  const open = live - capped;
  const emerged = countCells(seen, 'emerged');
  const torn = countCells(seen, 'torn');
  if (emerged + torn > 0) {
    return verdict(
      'virgin-or-mating',
      'likely',
      'A young queen is out',
      [
        emerged > 0
          ? 'A cell is open at its tip like a trap-door: a queen has walked out.'
          : 'A cell is torn at its side: a rival opened it, so one is out.',
      ],
      [
        ...(live > 0
          ? [
              leave(
                'Do not cut the other cells by sight',
                'The first virgin out usually deals with them; others may be loose.',
                on(day),
              ),
            ]
          : []),
        leave(
          'Leave it shut',
          'She is easily lost on her flights or balled when disturbed.',
          span(day, dates.handsOff.to),
        ),
        eggsLook(dates),
      ],
    );
  }
  if (live === 0) return judgeNothing(ctx);
  if (n <= 2) {
    return verdict(
      'too-early',
      'open',
      `Too early to say, from ${dayInWords(dates.eggsProveQueen.earliest)}`,
      ['Cells begun within two days may be from before the split.'],
      [
        look(
          'which-part',
          'Look again',
          'Day 7 shows which part has eggs and which has cells.',
          dates.eggsProveQueen,
        ),
      ],
    );
  }
  const reasons = [
    `No eggs, so nobody has laid here for three days; ${live} ${live === 1 ? 'cell is' : 'cells are'} being raised.`,
  ];
  const next: NextAction[] = [];
  if (n <= 4 && capped > 0 && history.emergence === null) {
    reasons.push(`A cell capped by day 3 came from a larva two days old or more: an inferior queen.`);
    if (open > 0) {
      next.push(
        act(
          `Remove the ${capped} capped, leave the ${open} open`,
          'Better ones follow from younger larvae.',
          on(day),
        ),
      );
    } else {
      next.push(act('Leave them until open ones stand beside them', 'Never remove the only cells.', on(day)));
    }
  } else if (capped > 0 && n < 7 && !lookedEarly(history, lostOn)) {
    reasons.push(
      'Nobody looked on day 3 or 4, so a cell capped too early cannot be told from a good one now.',
    );
    next.push(
      leave(
        'Keep the capped cells',
        `One just capped on day 5 was a new-hatched larva on day 0: good.`,
        on(day),
      ),
    );
  } else if (n >= 7 && n <= 9) {
    next.push(
      leave(
        'Leave the cells; the bees choose',
        'Fewer only where a strong part might cast a swarm: then keep one or two, and reserve them first.',
        on(day),
      ),
    );
  } else if (n >= 10) {
    next.push(
      leave(
        'Do not cut cells by sight any more',
        'From day 10 one may have emerged, and what is left may be all there is.',
        on(day),
      ),
    );
  }
  next.push(
    leave(
      'Leave it shut',
      'Nothing to see and much to spoil until she lays.',
      span(dates.emergence.likely, dates.handsOff.to),
    ),
    eggsLook(dates),
  );
  return verdict('raising', 'likely', 'This part is raising a queen', reasons, next);
}

function lookedEarly(history: PartHistory, lostOn: Day): boolean {
  return history.earlier.some((e) => {
    const d = daysBetween(lostOn, e.day);
    return d >= 3 && d <= 4 && e.seen.cells.look !== 'notLooked';
  });
}

function judgeNothing({ n, day, dates, lostOn, seen, verdict }: Context): Verdict {
  if (n < 3) {
    return verdict(
      'too-early',
      'open',
      `Too early to say, from ${dayInWords(dates.eggsProveQueen.earliest)}`,
      ['Cells need three days to show.'],
      [look('which-part', 'Look again', 'Day 7 shows eggs or cells.', dates.eggsProveQueen)],
    );
  }
  if (day <= dates.larvaeUsable.latest && seen.youngLarvae.look !== 'notFound') {
    return verdict(
      'still-time',
      'open',
      'No eggs and no cells, but not too late yet',
      [
        `Larvae can become queens until ${dayInWords(dates.larvaeUsable.latest)} (day 6), good ones until day 4.`,
      ],
      [
        look(
          'which-part',
          'Look again for cells',
          'By day 7 they have begun, or cannot.',
          on(addDays(lostOn, 7)),
        ),
        act(
          'Line up a frame of eggs from a healthy colony',
          'So that no day is lost if they have not.',
          null,
        ),
      ],
    );
  }
  if (day < dates.emergence.earliest) {
    return verdict(
      'hopeless',
      'proved',
      'Nothing left to raise a queen from',
      [
        `The last larva young enough was there on day 6 (${dayInWords(dates.larvaeUsable.latest)}); it is day ${n}, with no eggs and no cells.`,
      ],
      [
        act(
          'Today give a frame of eggs and small larvae from a healthy colony, a ripe cell or a mated queen; or unite it back',
          'Waiting will not mend it; each week without a layer costs a fifth of its bees later.',
          on(day),
        ),
      ],
    );
  }
  if (day < dates.eggsLook.latest) {
    return verdict(
      'virgin-or-mating',
      'likely',
      'Between cell and first eggs',
      [
        `First eggs are due from ${dayInWords(dates.firstEggs.earliest)}, most likely about ${dayInWords(dates.firstEggs.likely)}.`,
      ],
      [
        leave(
          'Leave it shut; do not search for her',
          'A virgin is slim, quick and easily lost.',
          span(day, dates.handsOff.to),
        ),
        eggsLook(dates),
      ],
    );
  }
  if (day < dates.decideBy) {
    return verdict(
      'unclear',
      'open',
      'No eggs though they are due',
      [
        `The usual latest day was ${dayInWords(dates.firstEggs.latest)}; poor weather earns her one more week.`,
      ],
      [
        act(
          'Give a test frame with eggs',
          'Cells on it within 3 to 5 days mean no queen; none mean that one is there.',
          on(day),
        ),
        look('eggs-due', 'Decide', 'Four weeks from her emergence.', on(dates.decideBy)),
      ],
    );
  }
  return verdict(
    'give-up',
    'likely',
    'Stop waiting for this queen',
    [
      `It is more than four weeks since she should have emerged (${dayInWords(dates.emergence.likely)}); such a queen hardly ever does well.`,
    ],
    [
      act(
        'Unite it with a queenright colony, or give a mated queen this week',
        'A virgin still running about must come out first.',
        on(day),
      ),
    ],
  );
}

/** Pairs of notes that biology does not allow. */
function contradictionsOf(history: PartHistory, day: Day, seen: Evidence): string[] {
  const emergedNow = countCells(seen, 'emerged');
  if (emergedNow === 0) return [];
  return history.earlier.flatMap((e) => {
    const unsealed =
      countCells(e.seen, 'cup', 'charged', 'open') > 0 &&
      countCells(e.seen, 'capped', 'emerged', 'torn') === 0;
    // Sealed for 8 days, one day allowed for natural spread.
    const possibleFrom = addDays(e.day, 7);
    if (!unsealed || day >= possibleFrom) return [];
    return [
      `${dayInWords(e.day)}: no cell was capped. ${dayInWords(day)}: one has emerged. A cell stays capped for about 8 days, so none of those can be out before ${dayInWords(possibleFrom)}. Either a cell was missed, this one was torn open, or a date is wrong. Both notes are kept; reckon with a virgin.`,
    ];
  });
}

const span = (from: Day, to: Day): Window => ({
  earliest: from,
  likely: from,
  latest: to < from ? from : to,
});

const eggsLook = (dates: QueenCalendar): NextAction =>
  look(
    'eggs-due',
    'Look for eggs',
    'By then a mated queen lays, and opening no longer endangers her.',
    dates.eggsLook,
  );
