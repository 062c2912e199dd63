import {
  lowerFirst,
  addDays,
  dayInWords,
  daysBetween,
  type Day,
  massInWords,
  smallMassInWords,
} from '../basics/index.ts';
import {
  calmly,
  colonyState,
  robbedOn,
  ROBBED_DAYS,
  urgently,
  type ColonyState,
  type Notice,
  isAboutToSwarm,
} from '../colony/index.ts';
import { colonySeason, foodOn, seasonOfColony } from '../forecast/index.ts';
import { queenAction, queenBeliefOf, type QueenAction, type QueenBelief } from '../queen-odds/index.ts';
import { isInspection, queenLane } from '../followup/index.ts';
import {
  countCells,
  openFollowUps,
  type Apiary,
  type Colony,
  type PlacedFrame,
  operationOf,
} from '../records/index.ts';

/** Something that a colony needs, as every page says it. */
export interface Need {
  readonly notice: Notice;
  readonly why: string;
  /** The day for it, or by which it is done; null where there is none. */
  readonly by: Day | null;
  /** What is done about it has a plan of its own; null where it has none. */
  readonly action: QueenAction['id'] | null;
}

/** Whether a hive may be opened. */
export interface Opening {
  readonly may: boolean;
  /** What keeps it shut; null where it may be opened. */
  readonly because: 'health' | 'winter' | 'robbing' | 'queen' | null;
  /** Until when it must not; null where it may, and where nobody can say. */
  readonly until: Day | null;
  readonly why: string;
}

/**
 * What is so at a colony on a day, what it needs next, and whether it may be opened. Every page that says something of
 * one of these says it from here: the notice is the first of the needs.
 */
export interface Assessment extends ColonyState {
  /** The most pressing first; never empty. */
  readonly needs: readonly [Need, ...Need[]];
  readonly opening: Opening;
  readonly belief: ReturnType<typeof queenBeliefOf>;
  /** What is to be done next about its queen, or waited for. */
  readonly queenAct: QueenAction;
}

const kept = new WeakMap<Apiary, Map<string, Assessment>>();

/**
 * Assesses a colony on a day.
 *
 * @param other - other frames than the clock gives for that day: as counted, or of a past day
 */
export function assess(
  apiary: Apiary,
  colony: Colony,
  today: Day,
  other?: readonly PlacedFrame[],
): Assessment {
  if (other) return worked(apiary, colony, today, other);
  const days = kept.get(apiary) ?? new Map<string, Assessment>();
  kept.set(apiary, days);
  const key = `${colony.id} ${today}`;
  const known = days.get(key);
  if (known) return known;
  const made = worked(apiary, colony, today);
  days.set(key, made);
  return made;
}

function worked(apiary: Apiary, colony: Colony, today: Day, other?: readonly PlacedFrame[]): Assessment {
  const state = colonyState(apiary, colony, today, other);
  const belief = queenBeliefOf(apiary, colony, today);
  const { lastForWinterBees } = colonySeason(apiary, colony, today);
  const action = queenAction(belief.belief, belief.before, belief.looks, today, lastForWinterBees);
  const opening = openingOf(apiary, colony, today, state, action, belief);
  const needs = needsOf(apiary, colony, today, state, action, opening, belief);
  return { ...state, notice: needs[0].notice, needs, opening, belief, queenAct: action };
}

/** Waiting for a virgin or a cell, as against the rhythm of a laying colony. */
const waits = (action: QueenAction, { leading }: QueenBelief): boolean =>
  action.id === 'leave' && leading !== 'laying' && leading !== 'newly-laying';

/** Whether the nest may be opened today: not while sick, not in winter, not while a virgin flies. */
function openingOf(
  apiary: Apiary,
  colony: Colony,
  today: Day,
  state: ColonyState,
  action: QueenAction,
  { belief, before, looks }: Assessment['belief'],
): Opening {
  if (isSick(state, action))
    return {
      may: false,
      because: 'health',
      until: null,
      why: 'Signs of brood disease: close it and have it examined.',
    };
  const { days } = seasonOfColony(apiary, colony, today);
  if (today > days['last-opening'] || today < days['brood-restart']) {
    const until = today > days['last-opening'] ? addDays(days['brood-restart'], 365) : days['brood-restart'];
    return {
      may: false,
      because: 'winter',
      until,
      why: 'Winter: little brood, or none, is normal now. Heft it, feed it if it is light, leave it shut.',
    };
  }
  const robbed = robbedOn(apiary, colony, today);
  if (robbed !== null)
    return {
      may: false,
      because: 'robbing',
      until: addDays(robbed, ROBBED_DAYS),
      why: 'Robbing: entrance a finger wide, nothing opened, no syrup before dusk. The second wave is larger.',
    };
  const rest = openFollowUps(apiary).find(
    (f) =>
      f.kind === 'hands-off' &&
      f.colonyIds.includes(colony.id) &&
      f.window.earliest <= today &&
      today <= f.window.latest,
  );
  if (rest) return { may: false, because: 'queen', until: rest.window.latest, why: rest.expect };
  const lane = queenLane(apiary, colony, today);
  if (lane && lane.certain && !lane.laying && lane.handsOff.from <= today && today <= lane.handsOff.to)
    return { may: false, because: 'queen', until: lane.handsOff.to, why: FLIES };
  // What was filed for it rules; where nothing was, the biology does.
  const filed = openFollowUps(apiary).some((f) => isInspection(f) && f.colonyIds.includes(colony.id));
  const { came, cagedSince } = before;
  const isNew = came !== null && came !== undefined && action.id === 'leave' && action.on > today;
  if (isNew) return { may: false, because: 'queen', until: action.on, why: action.why };
  // A hive whose queen sits in her cage is opened like any other.
  if (cagedSince) return { may: true, because: null, until: null, why: '' };
  // Cells to spare are parted before the first of them opens: what was just counted may be acted on.
  const last = looks.at(-1);
  const spare =
    before.separatedOn !== null &&
    last !== undefined &&
    daysBetween(last.day, today) <= 1 &&
    daysBetween(before.separatedOn, today) <= PARTED_UNTIL &&
    countCells(last.seen, 'open', 'charged', 'capped') >= SPARE_CELLS;
  if (spare) return { may: true, because: null, until: null, why: '' };
  if (!filed && waits(action, belief) && action.on > today && belief.chance >= WAITS_FROM)
    return { may: false, because: 'queen', until: action.on, why: action.why };
  return { may: true, because: null, until: null, why: '' };
}

const FLIES = 'She matures, flies and mates: leave it shut.';

/** So many cells are more than one colony needs: two go, two stay. */
const SPARE_CELLS = 4;
/** The first emergency cell may open on day 10 (a larva of three days when she was lost; Winston 1987). */
const PARTED_UNTIL = 9;

/** Below this chance that it waits for a queen it is opened all the same. */
const WAITS_FROM = 0.6;

const isSick = ({ notice }: ColonyState, { id }: QueenAction): boolean =>
  notice.id === 'disease-suspected' || id === 'isolate';

/** Acts about the queen that come before all that would make a colony better. */
const QUEEN_ACTS: ReadonlySet<QueenAction['id']> = new Set([
  'test-frame',
  'shake-out',
  'shake-out-part',
  'give-queen',
  'combine',
  'cut-early-cells',
  'cut-cells',
]);

/** Notices that say no more than what may be done with a colony that is well. */
const IMPROVEMENTS: ReadonlySet<Notice['id']> = new Set([
  'nuc-full',
  'honey-bound',
  'can-split',
  'can-spare-brood',
  'covers-more-brood',
  'needs-bees',
  'steady',
  'count-old',
]);

/** Notices that leave open how it stands with the queen. */
const QUEEN_DOUBTS: ReadonlySet<Notice['id']> = new Set([
  'no-eggs-seen',
  'no-brood-counted',
  'scattered-brood',
  'laying-workers-likely',
  'domed-caps-only',
]);

function needsOf(
  apiary: Apiary,
  colony: Colony,
  today: Day,
  state: ColonyState,
  action: QueenAction,
  opening: Opening,
  { before, looks }: Assessment['belief'],
): [Need, ...Need[]] {
  const looked = looks.length > 0;
  const awaited = before.came != null || before.cagedSince != null;
  // A doubt about the queen stands with the stories that the next inspection tells apart.
  const doubts = looked && action.id === 'look' && QUEEN_DOUBTS.has(state.notice.id);
  const own: Need = {
    notice: state.notice,
    why: doubts ? action.why : '',
    by: state.notice.by ?? null,
    action: null,
  };
  if (isSick(state, action)) {
    const notice =
      state.notice.id === 'disease-suspected'
        ? state.notice
        : urgently('disease-suspected', `Disease suspected: ${lowerFirst(action.what)}`);
    return [{ notice, why: action.why, by: today, action: 'isolate' }];
  }
  // Before anybody has looked or counted nothing is said but that.
  if (state.notice.id === 'not-counted' && !looked) return [own];
  const hungry: Need[] =
    state.notice.id === 'hungry'
      ? [{ ...own, why: hungerWhy(apiary, colony, today), by: today, action: null }]
      : [];
  if (!opening.may) {
    const rest = shut(opening);
    const [first = rest] = hungry;
    return first === rest ? [rest] : [first, rest];
  }
  const isBetter = IMPROVEMENTS.has(state.notice.id);
  const queenActs = QUEEN_ACTS.has(action.id)
    ? [need(urgently('queen-act', action.what), action, action.id)]
    : [];
  const swarms = isAboutToSwarm(state);
  const [first = own, ...more] = [
    ...hungry,
    ...(swarms ? [own] : []),
    ...queenActs,
    // A queen who came of late, or sits in her cage: what is waited for comes before what would make the colony better.
    ...(awaited && action.id === 'look' && action.on === today
      ? [need(urgently('queen-look', action.what), action, null)]
      : []),
    ...(awaited && action.id === 'leave' && action.on > today
      ? [need(calmly('queen-look', action.what), action, null)]
      : []),
    // What is left unread of a hive that stands open changes the answer, and is read before anything else is due.
    ...(action.id === 'look' && looked && !awaited && action.on === today && !swarms
      ? [need(urgently('queen-look', action.what), action, null)]
      : []),
    // A queen who was seen, and has hardly a cell to lay in: no further inspection is needed for that.
    ...(action.id === 'free-queen' && state.strength.frames.drawn < NO_ROOM
      ? [need(calmly('queen-look', action.what), action, action.id)]
      : []),
    // An inspection that is due, or a doubt with a day of its own.
    ...(!isBetter && !swarms && hungry.length === 0 ? [own] : []),
    // A doubt says for itself when to look again.
    ...(action.id === 'look' && looked && action.on > today && isBetter && queenActs.length === 0
      ? [need(calmly('queen-look', action.what), action, null)]
      : []),
    // Nobody makes room in a colony that has no future as it is.
    ...(isBetter && queenActs.length === 0 ? [own] : []),
    ...(action.id === 'free-queen' && state.strength.frames.drawn >= NO_ROOM
      ? [need(calmly('queen-look', action.what), action, action.id)]
      : []),
  ];
  return [first, ...more];
}

const need = (notice: Notice, { why, on }: QueenAction, action: Need['action']): Need => ({
  notice,
  why,
  by: on,
  action,
});

/** A hive that stays shut needs that, and until when. */
function shut({ because, until, why }: Opening): Need {
  const notice =
    because === 'robbing'
      ? urgently('robbed', 'Robbed: small entrance, open nothing')
      : because === 'winter'
        ? calmly('winter-rest', 'Leave it shut for the winter: heft it')
        : calmly('hands-off', until ? `Hands off until ${dayInWords(until)}` : 'Leave it shut');
  return { notice, why, by: until, action: null };
}

/** Frames of empty comb under which a queen has no room (judgement). */
const NO_ROOM = 1;

function hungerWhy(apiary: Apiary, colony: Colony, today: Day): string {
  const { units } = operationOf(apiary);
  const { kg, eatsPerDay } = foodOn(apiary, colony, today);
  return kg === null
    ? ''
    : `About ${massInWords(kg, units)} are left of what was counted, and it eats ${smallMassInWords(1000 * eatsPerDay, units)} a day.`;
}
