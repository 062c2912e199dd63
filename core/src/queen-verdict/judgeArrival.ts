import { addDays, daysBetween, dayInWords, onDay, type Day } from '../basics/index.ts';
import { queenCalendar } from '../brood/index.ts';
import { countCells, type Evidence } from '../records/index.ts';
import type { MakeVerdict } from './judgeContext.ts';
import { act, eggsLook, leave, look, shutUntil, span } from './nextActions.ts';
import type { PartHistory, Verdict } from './verdict.ts';

/** Cells drawn within so many days after a queen was given are begun against her. */
const REFUSES_DAYS = 10;
/** A queen who came may be idle for so many days and be well (common practice: mated 14, a virgin 24). */
const IDLE = { mated: 14, virgin: 24 } as const;
/** Eggs that were given have hatched after three days; their cells are seen from day 2, and out on day 12 (Winston 1987). */
const GIVEN = { eggs: 3, cellsFrom: 2, cellsUntil: 12 } as const;

const liveCells = (seen: Evidence) => countCells(seen, 'charged', 'open', 'capped');

/**
 * A colony into which a queen or brood has come of late: what was given is told apart from what is its own. Undefined
 * where neither changes what was seen.
 */
export function judgeArrival(
  { came, gifts, separatedOn }: PartHistory,
  day: Day,
  seen: Evidence,
  verdict: MakeVerdict,
): Verdict | undefined {
  if (came) return judgeNewQueen(came, day, seen, verdict);
  const gift = gifts.findLast((g) => g.young && g.day <= day);
  if (!gift || (separatedOn !== null && separatedOn >= gift.day)) return eggsGiven(gift, day, seen, verdict);
  const n = daysBetween(gift.day, day);
  if (liveCells(seen) > 0 && n >= GIVEN.cellsFrom && n <= GIVEN.cellsUntil && seen.eggs.look !== 'found') {
    const dates = queenCalendar(gift.day);
    return verdict(
      'raising',
      'likely',
      `It has no queen, and raises one since ${dayInWords(gift.day)}`,
      ['Cells are drawn on eggs or larvae that were given only where no queen is.'],
      [
        leave(
          'Leave the cells and keep it shut',
          'Opening risks the cell and the virgin.',
          span(addDays(day, 1), shutUntil(dates, day)),
        ),
        eggsLook(dates, day),
      ],
    );
  }
  return eggsGiven(gift, day, seen, verdict);
}

/** Eggs so soon after some were given are nobody's news. */
function eggsGiven(
  gift: PartHistory['gifts'][number] | undefined,
  day: Day,
  seen: Evidence,
  verdict: MakeVerdict,
): Verdict | undefined {
  if (!gift || seen.eggs.look !== 'found' || daysBetween(gift.day, day) > GIVEN.eggs) return undefined;
  const from = addDays(gift.day, GIVEN.eggs + 1);
  return verdict(
    'unclear',
    'open',
    `Eggs were given on ${dayInWords(gift.day)}: these may be they`,
    [
      `Until ${dayInWords(addDays(from, -1))} eggs say nothing of a queen. Cells on that comb say that there is none.`,
    ],
    [
      look(
        'which-part',
        'Look at the comb that was given',
        'Cells: no queen, and it raises one. No cells and eggs: a queen lays. Neither: a virgin, or laying workers.',
        { earliest: from, likely: from, latest: addDays(from, 1) },
      ),
    ],
  );
}

function judgeNewQueen(
  { on, how, mated }: NonNullable<PartHistory['came']>,
  day: Day,
  seen: Evidence,
  verdict: MakeVerdict,
): Verdict | undefined {
  const n = daysBetween(on, day);
  const cells = liveCells(seen);
  if (how === 'given' && cells > 0 && n <= REFUSES_DAYS && seen.eggs.look !== 'found') {
    return verdict(
      'unclear',
      'open',
      'Cells beside the new queen: they do not accept her yet',
      ['Cells begun after she was given are begun against her, or she is dead.'],
      [
        act(
          `Take out ${cells === 1 ? 'the cell' : 'every cell'}, then look for her`,
          'With a cell left she is killed. If she is dead already, leave one good cell.',
          onDay(day),
        ),
        look('cage', 'Look again for cells and eggs', 'New cells: she is gone.', {
          earliest: addDays(day, 3),
          likely: addDays(day, 4),
          latest: addDays(day, 6),
        }),
      ],
    );
  }
  const idle = mated ? IDLE.mated : IDLE.virgin;
  if (cells > 0 || seen.eggs.look !== 'notFound' || n > idle) return undefined;
  const last = addDays(on, idle);
  const next = addDays(day, 4);
  const by = next > last ? addDays(day, 2) : next;
  return verdict(
    'unclear',
    'open',
    how === 'given'
      ? 'She settles: no eggs yet is no bad sign'
      : 'The swarm settles: no eggs yet is no bad sign',
    [`Day ${n} since she came. Idle for ${idle} days is usual.`],
    [
      look('eggs-due', 'Look for eggs again', `Without eggs by ${dayInWords(last)} something is wrong.`, {
        earliest: by,
        likely: by,
        latest: by > last ? by : last,
      }),
    ],
  );
}
