import { addDays, dayInWords, daysBetween, type Day } from '../basics/index.ts';
import { DEVELOPMENT } from '../brood/index.ts';
import { shareOfBees, type CellFinding } from '../comb/index.ts';
import { doneOn } from '../forecast/index.ts';
import {
  boxesOfColony,
  cellsOf,
  queenCame,
  visitsOf,
  worksAt,
  type Apiary,
  type Colony,
  type PlacedFrame,
} from '../records/index.ts';
import { calmly, urgently, type Notice } from './notice.ts';

/** Queen cells as they were seen on a day. */
interface SeenCells {
  readonly day: Day;
  /** Every comb was read, and no egg was found. */
  readonly gone?: boolean;
  readonly cells: readonly CellFinding[];
}

/** Cells that were alive so many days ago have emerged or are torn down. */
const GONE_AFTER = DEVELOPMENT.queen.emerges.likely - DEVELOPMENT.queen.eggHatches.likely;

/** A colony with no more cells than these, and room for its bees, replaces its queen rather than swarm (common practice, no source). */
const FEW_CELLS = 2;
/** Frames of bees, and share of its brood combs that they cover, from which a colony may mean to swarm (judgement). */
const MAY_SWARM = { bees: 6, share: 0.7 } as const;

/** Whether a colony has the bees to swarm, or is so crowded that it will with fewer. */
export const maySwarm = (bees: number, broodSlots: number): boolean =>
  bees >= MAY_SWARM.bees || bees >= MAY_SWARM.share * broodSlots;

/** A swarm may wait for weather for so many days after the first cells are capped. */
const GRACE_DAYS = 2;

/**
 * A prime swarm goes about when the first cells are sealed: the day by which to act, in words; undefined where no live
 * cells are known of. A count and an inspection are heard alike, the later one rules.
 */
export function swarmCells(
  apiary: Apiary,
  colony: Colony,
  frames: readonly PlacedFrame[],
  today: Day,
): Notice | undefined {
  // Cells beside a queen who was given are begun against her: what is done about them is another matter.
  if (queenCame(apiary, colony, today)) return undefined;
  // On eggs that were given cells are drawn where no queen is.
  if (colony.broodGiven.some((g) => g.young && g.day <= today && daysBetween(g.day, today) <= GONE_AFTER + 1))
    return undefined;
  const counted = frames.flatMap((f): SeenCells[] =>
    f.reading ? [{ day: f.reading.day, cells: f.reading.body.cells }] : [],
  );
  const lastCount = counted.reduce((last, c) => (c.day > last ? c.day : last), '');
  const looked = cellsOfLastInspection(apiary, colony, today);
  const seen = looked && looked.day >= lastCount ? sameDay(counted, looked) : counted;
  const days = seen.flatMap(({ day, cells }) =>
    cells.flatMap((cell) => {
      const left = daysToCapping(cell);
      return left === undefined ? [] : [addDays(day, left)];
    }),
  );
  const [due] = days.toSorted();
  if (due === undefined) return undefined;
  // No eggs on any comb beside the cells: the swarm has gone, or she is replaced; there is nothing left to forestall.
  if (looked?.gone && looked.day >= lastCount) return undefined;
  const all = seen
    .flatMap((c) => c.cells)
    .reduce((n, c) => n + (daysToCapping(c) === undefined ? 0 : c.count), 0);
  const bees = frames.reduce((n, f) => n + (f.reading ? shareOfBees(f.reading.body) : 0), 0);
  if (all <= FEW_CELLS && !maySwarm(bees, broodSlots(apiary, colony)))
    return calmly(
      'supersedure-cells',
      `${all === 1 ? 'One cell' : 'Two cells'}: it is likely to replace its queen. Leave ${all === 1 ? 'it' : 'them'}`,
    );
  return urgently(
    'swarm-cells',
    due < addDays(today, -GRACE_DAYS)
      ? `Swarm cells were capped about ${dayInWords(due)}: see today whether the swarm has gone`
      : due <= today
        ? 'Swarm cells: act today'
        : `Swarm cells: act by ${dayInWords(due)}`,
    due < today ? today : due,
  );
}

/** Whether what a colony needs first is something done about its swarm cells. */
export const isAboutToSwarm = ({ notice }: { readonly notice: Notice }): boolean =>
  notice.id === 'swarm-cells';

/** What an inspection said overrules an older count; of one day both are heard. */
const sameDay = (counted: readonly SeenCells[], looked: SeenCells): SeenCells[] => [
  ...counted.filter((c) => c.day === looked.day),
  looked,
];

/** Cells that the last inspection spoke of; null where it is long ago, or something was done or parted since. */
function cellsOfLastInspection(apiary: Apiary, colony: Colony, today: Day): SeenCells | null {
  const visit = visitsOf(apiary, colony.id).find(
    (v) => v.day <= today && v.evidence !== null && v.evidence.cells.look !== 'notLooked',
  );
  if (!visit?.evidence || daysBetween(visit.day, today) > GONE_AFTER) return null;
  const { cells, framesRead, framesTotal } = visit.evidence;
  // Not found on the combs that were read says nothing of the others.
  if (cells.look === 'notFound' && framesRead < framesTotal) return null;
  const since = visit.day;
  const parted = colony.separation !== null && colony.separation.day >= since;
  const worked = worksAt(apiary, colony.id).some((w) => w.status === 'done' && doneOn(apiary, w) >= since);
  const gone = visit.evidence.eggs.look === 'notFound' && framesRead >= framesTotal;
  return parted || worked ? null : { day: since, cells: cellsOf(visit.evidence), gone };
}

/** Slots of the brood boxes of a colony. */
export const broodSlots = (apiary: Apiary, colony: Colony): number =>
  boxesOfColony(apiary, colony).reduce((n, b) => n + (b.role === 'brood' ? b.slots : 0), 0);

function daysToCapping(cell: CellFinding): number | undefined {
  const { cellCapped, eggHatches } = DEVELOPMENT.queen;
  if (cell.kind === 'capped') return 0;
  if (cell.kind !== 'charged' && cell.kind !== 'open') return undefined;
  const age = eggHatches.likely + (cell.larvaAgeDays ?? (cell.kind === 'open' ? 4 : 2));
  return Math.max(0, Math.floor(cellCapped.likely - age));
}
