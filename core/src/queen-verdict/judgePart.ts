import { addDays, capital, daysBetween, dayInWords, listInWords, type Day, onDay } from '../basics/index.ts';
import { datedByLooks } from '../followup/index.ts';
import { queenCalendar } from '../brood/index.ts';
import { contradictionsOf } from './contradictions.ts';
import { countCells, sourcesOf, type Evidence } from '../records/index.ts';
import { judgeCells, judgeNoCells } from './judgeCells.ts';
import type { JudgeContext, MakeVerdict } from './judgeContext.ts';
import { judgeArrival } from './judgeArrival.ts';
import { judgeEggs } from './judgeEggs.ts';
import { act, leave, look, span, weekly } from './nextActions.ts';
import type { Finding, NextAction, PartHistory, Verdict } from './verdict.ts';

/**
 * Judges one part from one look.
 *
 * Follows section by section what the eggs, then the cells, then the brood can mean on that day. A part
 * with frames still unread is not judged unless what was seen already settles it.
 */
export function judgePart(history: PartHistory, day: Day, seen: Evidence): Verdict {
  const judged = judgeBrood(history, day, seen);
  if (seen.robbing.look !== 'found') return judged;
  const close = act(
    'Close it now: entrance a finger wide, cover what stands open',
    'The second wave of robbers is larger. Finish tomorrow; no syrup before dusk.',
    onDay(day),
  );
  return {
    ...judged,
    next: [close, ...judged.next.filter((n) => n.window === null || n.window.likely > day)],
  };
}

function judgeBrood(history: PartHistory, day: Day, seen: Evidence): Verdict {
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
          onDay(day),
        ),
      ],
    );
  }
  if (sourcesOf(seen))
    return verdict(
      'has-queen',
      'likely',
      'A queen lays in one box, others in another',
      [
        'Worker brood is of a mated queen; only drones, in worker cells, are of workers beyond a barrier that she does not cross.',
      ],
      [
        act(
          'Shake out the boxes with drone brood, away from the stand; her box stays on it',
          'What barred her is taken away. Drone combs are frozen or cut.',
          onDay(day),
        ),
        look(
          'capped-due',
          'Worker brood in her box: flat caps in a patch',
          'She is judged a week later, not before.',
          {
            earliest: addDays(day, 6),
            likely: addDays(day, 7),
            latest: addDays(day, 10),
          },
        ),
      ],
    );
  const brood = judgeBroodSigns(day, seen, history.separatedOn, verdict);
  if (brood) return brood;
  const arrival = judgeArrival(history, day, seen, verdict);
  if (arrival) return arrival;
  if (history.separatedOn === null) return judgeUnsplit(history, day, seen, verdict);

  const n = daysBetween(history.separatedOn, day);
  const looks = [...history.earlier, { day, seen }];
  const { emergence } = datedByLooks(history.separatedOn, history.emergence, looks);
  const dates = queenCalendar(history.separatedOn, emergence);
  const ctx: JudgeContext = { n, day, dates, lostOn: history.separatedOn, seen, history, verdict };
  if (seen.eggs.look === 'found') return judgeEggs(ctx);
  if (
    seen.framesRead < seen.framesTotal ||
    seen.eggs.look === 'notLooked' ||
    seen.cells.look === 'notLooked'
  ) {
    return judgeUnread(ctx);
  }
  return seen.cells.look === 'found' ? judgeCells(ctx) : judgeNoCells(ctx);
}

/** Workers lay when a colony has been without queen and open brood for about three weeks (common practice, no source). */
const WORKERS_LAY_AFTER = 21;
/** So many signs together make laying workers likely; one alone has other explanations. */
const SIGNS_TOGETHER = 2;

/** What speaks for laying workers, in words. */
function layingWorkerSigns(seen: Evidence): { readonly brood: string[]; readonly bees: string[] } {
  const several = seen.eggs.look === 'found' && seen.eggs.perCell === 'several';
  const onWalls = seen.eggs.look === 'found' && seen.eggs.place === 'walls';
  const domed =
    seen.cappedBrood.look === 'found' &&
    seen.cappedBrood.cappings !== 'flat' &&
    seen.cappedBrood.patch === 'scattered';
  return {
    brood: [
      ...(several ? ['several eggs in a cell'] : []),
      ...(onWalls ? ['eggs on the cell walls'] : []),
      ...(domed ? ['scattered domed caps in worker cells'] : []),
    ],
    bees: [
      ...(seen.beesReversing.look === 'found' ? ['bees backing into cells'] : []),
      ...(seen.queen.look === 'notFound' ? ['no queen found'] : []),
      ...(seen.pollen.look === 'notFound' ? ['little pollen coming in'] : []),
      ...(seen.mood === 'roaring' ? ['a roar'] : []),
    ],
  };
}

/**
 * Signs that tell a bad layer on any day: several eggs a cell, domed cappings in worker cells. Where they are few, or too
 * early for workers to lay, the rivals stand side by side until an inspection parts them.
 */
function judgeBroodSigns(
  day: Day,
  seen: Evidence,
  lostOn: Day | null,
  verdict: MakeVerdict,
): Verdict | undefined {
  const domed = seen.cappedBrood.look === 'found' && seen.cappedBrood.cappings === 'domed';
  const several = seen.eggs.look === 'found' && seen.eggs.perCell === 'several';
  const { brood, bees } = layingWorkerSigns(seen);
  const together = brood.length + bees.length;
  const inTime = lostOn === null || daysBetween(lostOn, day) >= WORKERS_LAY_AFTER;
  const queenSeen = seen.queen.look === 'found' && seen.queen.build !== 'slim';
  if (brood.length > 0 && together >= SIGNS_TOGETHER && inTime && !queenSeen) {
    return verdict(
      'laying-workers',
      'likely',
      'Laying workers',
      [
        `${capital(listInWords([...brood, ...bees]))}: workers lay when neither queen nor brood has been there for weeks.`,
        ...(seen.eggs.look === 'found' && seen.eggs.place === 'bottom'
          ? ['Eggs at the bottom of the cells do not rule them out.']
          : []),
      ],
      [
        act(
          'Shake it out away from the stand, or unite it to a strong queenright colony',
          'They do not accept a bought queen; open brood weekly would be the slow way.',
          onDay(day),
        ),
      ],
    );
  }
  if (several && (queenSeen ? together > SIGNS_TOGETHER : together >= SIGNS_TOGETHER)) {
    return verdict(
      'unclear',
      'open',
      queenSeen ? 'A queen, and eggs that are not like hers' : 'A young queen or laying workers',
      [
        queenSeen
          ? `${capital(listInWords([...brood, ...bees]))}, and a queen: workers may lay beyond a barrier that she does not cross, or she fails.`
          : `${capital(listInWords([...brood, ...bees]))}: a young queen lays several in a cell at first; workers do so for good.`,
      ],
      [
        look(
          'capped-due',
          queenSeen ? 'Look box by box whose brood is capped flat' : 'Look for larvae in order and flat caps',
          'Flat caps in a patch are hers; domed ones, scattered, are of workers.',
          { earliest: addDays(day, 5), likely: addDays(day, 7), latest: addDays(day, 10) },
        ),
      ],
    );
  }
  const single = seen.eggs.look === 'found' && !several;
  const inPatch = seen.cappedBrood.look === 'found' && seen.cappedBrood.patch === 'compact';
  if (domed && !several && (seen.queen.look === 'found' || (single && inPatch))) {
    return verdict(
      'drone-layer',
      'likely',
      'The queen lays drones only',
      [
        seen.queen.look === 'found'
          ? 'Domed caps in worker cells in one patch, and a queen: she is unmated or spent.'
          : 'Domed caps in worker cells in one patch, and single eggs: a queen that is unmated or spent. Workers lay several, scattered.',
      ],
      [
        act(
          'Take her out and requeen or unite',
          'She will not recover; every week costs workers.',
          onDay(day),
        ),
      ],
    );
  }
  return undefined;
}

/** A colony with no more cells than these, and room for its bees, replaces its queen rather than swarm (common practice, no source). */
const FEW_CELLS = 2;
/** From a cell just opened to eggs: about two weeks (Winston 1987: 8 to 14 days, more in poor weather). */
const SHUT_FOR_VIRGIN = 14;
/** From cells of unknown age to a queen that lays: about three weeks (common practice, no source). */
const SHUT_FOR_CELLS = 21;

/** A colony that was never split, by its eggs and its cells. */
function judgeUnsplit({ maySwarm }: PartHistory, day: Day, seen: Evidence, verdict: MakeVerdict): Verdict {
  const capped = countCells(seen, 'capped');
  const cells = capped + countCells(seen, 'charged', 'open');
  const emerged = countCells(seen, 'emerged');
  if (emerged > 0 && seen.eggs.look === 'notFound') {
    return verdict(
      'virgin-or-mating',
      'likely',
      'A young queen is out, and does not lay yet',
      [
        'A cell is open at its tip like a trap-door, and there are no eggs: it has swarmed, or replaces its queen.',
      ],
      [
        leave(
          'Leave it shut, and cut no other cell by sight',
          'She is easily lost on her flights or balled when disturbed.',
          span(addDays(day, 1), addDays(day, SHUT_FOR_VIRGIN - 1)),
        ),
        look('eggs-due', 'Look for eggs', 'By then she lays, if she has mated.', {
          earliest: addDays(day, SHUT_FOR_VIRGIN),
          likely: addDays(day, SHUT_FOR_VIRGIN + 2),
          latest: addDays(day, SHUT_FOR_VIRGIN + 7),
        }),
      ],
    );
  }
  if (seen.eggs.look === 'found' && cells > 0 && cells <= FEW_CELLS && maySwarm === false) {
    return verdict(
      'has-queen',
      'likely',
      `A queen is laying, and ${cells === 1 ? 'one cell stands' : 'two cells stand'} beside her`,
      [
        'Eggs are at most three days old.',
        'It has room for all its bees and hardly swarms: it is likely to replace its queen.',
      ],
      [
        leave('Leave the cells', 'Breaking them leaves it with a queen whom it wants to be rid of.', null),
        look(
          'which-part',
          'See whether more cells are begun',
          'Many, at the edges, would be swarm cells after all.',
          {
            earliest: addDays(day, 3),
            likely: addDays(day, 4),
            latest: addDays(day, 6),
          },
        ),
      ],
    );
  }
  if (seen.eggs.look === 'found' && cells > 0) {
    return verdict(
      'has-queen',
      'likely',
      capped > 0 ? 'A queen is laying, and cells are capped' : 'A queen is laying, and cells are begun',
      [
        'Eggs are at most three days old.',
        `${cells === 1 ? 'One queen cell' : `${cells} queen cells`}: a prime swarm goes about when the first is capped. A few, in the middle of a comb beside an old queen, may be to replace her.`,
      ],
      [
        act(
          capped > 0
            ? 'Split it today, or move the queen out'
            : 'Split it before they are capped, or move the queen out',
          'Breaking cells alone rarely holds a colony that means to swarm.',
          onDay(day),
        ),
        weekly(day),
      ],
    );
  }
  if (cells > 0 && seen.eggs.look === 'notFound' && seen.framesRead >= seen.framesTotal) {
    return verdict(
      'raising',
      'likely',
      'It is raising a queen, and no eggs are there',
      [
        `No eggs, and ${cells === 1 ? 'one cell' : `${cells} cells`}: it has swarmed, or its queen is gone, or it replaces her.`,
      ],
      [
        leave(
          'Leave the cells and keep it shut',
          'Whatever happened to her, the next queen is in one of them.',
          span(addDays(day, 1), addDays(day, SHUT_FOR_CELLS - 1)),
        ),
        look(
          'eggs-due',
          'Look for eggs',
          'By then the young queen lays, and opening no longer endangers her.',
          {
            earliest: addDays(day, SHUT_FOR_CELLS),
            likely: addDays(day, SHUT_FOR_CELLS + 3),
            latest: addDays(day, SHUT_FOR_CELLS + 7),
          },
        ),
      ],
    );
  }
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
    'No verdict on the queen from this',
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

function judgeUnread({ n, day, lostOn, dates, seen, verdict }: JudgeContext): Verdict {
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
        onDay(day),
      ),
      ...(usable
        ? [
            look(
              'which-part',
              'Look again',
              'By then there are cells, or there will be none.',
              onDay(addDays(lostOn, 7)),
            ),
          ]
        : []),
    ],
  );
}
