import { capital, lowerFirst, type Day } from '@incremen/core/basics';
import { openFollowUps, type Apiary, type FollowUp, type Work } from '@incremen/core/records';
import { isAboutToSwarm, type ColonyState } from '@incremen/core/colony';
import { openSplitOf } from '@incremen/core/work';
import { followUpInShort, isInspection } from '@incremen/core/followup';
import { firstCount } from '../../shared/colonies/countRound.ts';
import { wayOut } from '../../shared/colonies/wayOut.ts';

/** One thing to do now: a sentence with its verb, why, and where it is done. */
export interface Act {
  readonly key: string;
  /** “Inspect Campion today.” */
  readonly say: string;
  readonly why: string;
  /** On the button. */
  readonly verb: string;
  readonly to: string;
  readonly urgent: boolean;
  readonly colonyIds: readonly string[];
}

/**
 * What to do next in all yards, the first first: work that was begun; inspections that are due and what else cannot wait, in
 * the order in which the hives of the day are taken; first counts.
 *
 * @param order - the colonies that must be opened, in that order
 */
export function nextActs(
  apiary: Apiary,
  states: readonly ColonyState[],
  order: readonly string[],
  today: Day,
): Act[] {
  const here = new Set(states.map((s) => s.colony.id));
  const nameOf = (id: string) => apiary.colony[id]?.name ?? '';
  const working = Object.values(apiary.work).filter((w) => w.status === 'working');
  const splitOf = ({ body: { asked } }: Work) => (asked.source === 'split' ? asked.colonyId : null);
  const busy = new Set(working.map(splitOf));
  const due = openFollowUps(apiary).filter(
    (f) => isInspection(f) && f.window.earliest <= today && f.colonyIds.some((c) => here.has(c)),
  );
  const turn = new Map(order.map((id, i) => [id, i]));
  const turnOf = (a: Act) => Math.min(...a.colonyIds.map((id) => turn.get(id) ?? order.length));
  return [
    ...working.map((w): Act => {
      const at = nameOf(splitOf(w) ?? '') || capital(w.name);
      return {
        key: w.id,
        say: `Finish the work: ${at}.`,
        why: 'It was begun, and is not finished.',
        verb: 'Go on',
        to: `/worksheet/${w.id}`,
        urgent: true,
        colonyIds: [],
      };
    }),
    ...[
      ...due.map((f) => inspection(f, nameOf, today)),
      ...states
        .filter((s) => s.notice.urgent && s.lane !== 'raising' && !busy.has(s.colony.id))
        .map((s): Act => {
          const way = wayOut(s) ??
            (isAboutToSwarm(s) ? splitFor(apiary, s) : null) ?? {
              verb: `Open ${s.colony.name}`,
              to: `/colonies/${s.colony.id}`,
            };
          return {
            key: s.colony.id,
            say: `${s.colony.name} – ${lowerFirst(s.notice.words)}.`,
            why: '',
            ...way,
            urgent: true,
            colonyIds: [s.colony.id],
          };
        }),
    ].toSorted((a, b) => turnOf(a) - turnOf(b)),
    ...firstCounts(apiary, today),
  ];
}

function inspection(f: FollowUp, nameOf: (id: string) => string, today: Day): Act {
  const names = f.colonyIds.map(nameOf).filter(Boolean).join(' and ');
  const late = f.window.latest < today;
  return {
    key: f.id,
    say: late || f.window.latest === today ? `Inspect ${names} today.` : `Inspect ${names}.`,
    why: followUpInShort(f),
    verb: 'Record it',
    to: `/look/${f.id}`,
    urgent: f.window.likely <= today,
    colonyIds: f.colonyIds,
  };
}

const splitFor = (apiary: Apiary, { colony }: ColonyState) => {
  const planned = openSplitOf(apiary, colony.id);
  return planned
    ? { verb: 'Start the work', to: `/worksheet/${planned.id}` }
    : { verb: 'Plan a split', to: `/colonies/${colony.id}/ways` };
};

/** In yards that were just set up: until hives are counted nothing can be worked out. */
function firstCounts(apiary: Apiary, today: Day): Act[] {
  return Object.values(apiary.yard).flatMap((yard): Act[] => {
    const asked = firstCount(apiary, yard.id, today);
    if (!asked) return [];
    const { colony, say, why, to } = asked;
    return [
      {
        key: `count ${colony.id}`,
        say: `${say}.`,
        why,
        verb: say,
        to,
        urgent: false,
        colonyIds: [colony.id],
      },
    ];
  });
}
