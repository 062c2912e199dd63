import { addDays, dayInWords, onDay } from '../basics/index.ts';
import { cellsOf, countCells } from '../records/index.ts';
import type { JudgeContext } from './judgeContext.ts';
import { act, leave, look, weekly } from './nextActions.ts';
import type { PartHistory, Verdict } from './verdict.ts';

/** Judges a part of a split in which eggs were found: by the old queen, by a new one, or too early to say. */
export function judgeEggs({ n, day, dates, seen, history, verdict }: JudgeContext): Verdict {
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
    const noCells = seen.cells.look === 'notFound' && seen.framesRead >= seen.framesTotal;
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
            onDay(day),
          )
        : noCells
          ? leave('Close it: no cells stand beside her', 'Every comb was read for them.', onDay(day))
          : act('Check every frame for swarm cells, then close', 'Half a colony may still want to swarm.'),
      weekly(day),
    ]);
  }
  const caps = seen.cappedBrood.look === 'found' ? seen.cappedBrood.cappings : null;
  const flat = caps === 'flat';
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
      ...(caps === 'unsure' && day > dates.lastOldWorkerEmerges
        ? ['Brood is capped: look closely whether its caps are flat, as of workers, or domed, as of drones.']
        : []),
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
