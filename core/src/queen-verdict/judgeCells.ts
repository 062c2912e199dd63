import { addDays, dayInWords, daysBetween, type Day, onDay } from '../basics/index.ts';
import { countCells } from '../records/index.ts';
import type { JudgeContext } from './judgeContext.ts';
import { act, eggsLook, leave, look, shutUntil, span } from './nextActions.ts';
import type { NextAction, PartHistory, Verdict } from './verdict.ts';

/** Judges a part of a split without eggs in which queen cells of some kind were found. */
export function judgeCells(ctx: JudgeContext): Verdict {
  const { n, day, dates, lostOn, seen, history, verdict } = ctx;
  const live = countCells(seen, 'charged', 'open', 'capped');
  const capped = countCells(seen, 'capped');
  const open = live - capped;
  const emerged = countCells(seen, 'emerged');
  const torn = countCells(seen, 'torn');
  const dead = givenCellLost(ctx, live, emerged, torn);
  if (dead) return dead;
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
                onDay(day),
              ),
            ]
          : []),
        leave(
          'Leave it shut',
          'She is easily lost on her flights or balled when disturbed.',
          span(day, shutUntil(dates, day)),
        ),
        eggsLook(dates, day),
      ],
    );
  }
  if (live === 0) return judgeNoCells(ctx);
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
          onDay(day),
        ),
      );
    } else {
      next.push(
        act('Leave them until open ones stand beside them', 'Never remove the only cells.', onDay(day)),
      );
    }
  } else if (capped > 0 && n < 7 && !lookedEarly(history, lostOn)) {
    reasons.push(
      'Nobody looked on day 3 or 4, so a cell capped too early cannot be told from a good one now.',
    );
    next.push(
      leave(
        'Keep the capped cells',
        `One just capped on day 5 was a new-hatched larva on day 0: good.`,
        onDay(day),
      ),
    );
  } else if (n >= 7 && n <= 9 && history.surplusOut && live > 1) {
    next.push(
      act(
        live === 2
          ? 'Keep the chosen or the better of the 2 cells; take the other out'
          : `Keep one or two of the ${live} cells, a chosen one first; take the others out`,
        'No new ones can be begun any more, and a second queen would lead out a cast. Brush bees off the frame of the chosen cell, never shake it. In a small part all may stay.',
        // From the day on which the first may be out nothing is cut by sight.
        span(day, addDays(dates.emergence.earliest, -1)),
      ),
      ...offered(live),
    );
  } else if (n >= 7 && n <= 9) {
    next.push(
      leave(
        'Leave the cells; the bees choose',
        'Fewer only where a strong part might cast a swarm: then keep one or two, and reserve them first.',
        onDay(day),
      ),
      ...offered(live),
    );
  } else if (n >= 10) {
    next.push(
      leave(
        'Do not cut cells by sight any more',
        'From day 10 one may have emerged, and what is left may be all there is.',
        onDay(day),
      ),
    );
  }
  next.push(
    leave(
      'Leave it shut',
      'Nothing to see and much to spoil until she lays.',
      span(dates.emergence.earliest, shutUntil(dates, day)),
    ),
    eggsLook(dates, day),
  );
  return verdict('raising', 'likely', 'This part is raising a queen', reasons, next);
}

/** Before cells are cut they are offered: two or more make another nuc, where there are bees for it. */
const offered = (live: number): NextAction[] =>
  live < SPARE_CELLS
    ? []
    : [
        leave(
          'Or make another nuc of some: a comb with two cells, bees to cover it, food',
          'Cells are plenty, bees are not: only if both parts keep enough. Plan it as a second split on spare cells.',
          null,
        ),
      ];
const SPARE_CELLS = 4;

/** A ripe cell that is given opens within days: from so many days after it was due what is seen of it is the answer. */
const RIPE_DAYS = 5;
const OVERDUE_DAYS = 2;

/** A cell that was given and came to nothing: torn at its side, or shut days after it was due. */
function givenCellLost(
  { day, lostOn, history, verdict }: JudgeContext,
  live: number,
  emerged: number,
  torn: number,
): Verdict | undefined {
  const due = history.emergence?.likely;
  if (due === undefined || daysBetween(lostOn, due) > RIPE_DAYS || emerged > 0) return undefined;
  if (day < addDays(due, OVERDUE_DAYS) || (torn === 0 && live === 0)) return undefined;
  const isTorn = torn > 0 && live === 0;
  if (!isTorn && torn > 0) return undefined;
  return verdict(
    'give-up',
    'likely',
    isTorn ? 'The cell was torn open at its side: she is lost' : 'The cell is still shut: she is dead in it',
    [
      isTorn
        ? 'A queen who walks out opens the tip like a lid. Bees or a rival have torn this one.'
        : `It was due on ${dayInWords(due)}; a live one is out within a day or two.`,
    ],
    [
      act(
        'Give it another ripe cell, or a mated queen',
        isTorn
          ? 'Look first for a rival of hers: eggs, a virgin, other cells.'
          : 'Take the dead cell out. There is no larva of its own to raise another from.',
        onDay(day),
      ),
    ],
  );
}

function lookedEarly(history: PartHistory, lostOn: Day): boolean {
  return history.earlier.some((e) => {
    const d = daysBetween(lostOn, e.day);
    return d >= 3 && d <= 4 && e.seen.cells.look !== 'notLooked';
  });
}

/** Judges a part of a split in which every frame was read and neither eggs nor live cells were found. */
export function judgeNoCells({ n, day, dates, lostOn, seen, verdict }: JudgeContext): Verdict {
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
          onDay(addDays(lostOn, 7)),
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
          onDay(day),
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
          'A virgin is slender, quick and easily lost.',
          span(day, shutUntil(dates, day)),
        ),
        eggsLook(dates, day),
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
          onDay(day),
        ),
        look('eggs-due', 'Decide', 'Four weeks from her emergence.', onDay(dates.decideBy)),
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
        onDay(day),
      ),
    ],
  );
}
