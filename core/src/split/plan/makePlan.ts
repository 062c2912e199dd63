import { otherSizeCautions } from '../methods/cautions.ts';
import {
  operationOf,
  type Apiary,
  type Colony,
  type CommandOf,
  framesInStore,
  placeOf,
  queenOf,
  type MethodId,
  STORE_KEY,
  cellsCutBy,
  workSteps,
  type StepDraft,
  type Work,
  type WorkBody,
} from '../../records/index.ts';
import { dayInWords, type Day, failure, success, type Result, yearOf } from '../../basics/index.ts';
import { carriedTo, colonyState, tooNear } from '../../colony/index.ts';
import { beesStay } from '../../followup/index.ts';
import { increaseGate, mayBeginSooner, openingGate, type SeasonGate } from '../../forecast/index.ts';
import type {
  Donor,
  PlannedMove,
  PlannedPart,
  Setup,
  Solved,
  StepText,
  FollowUpText,
} from '../base/method.ts';
import { methodById } from '../methods/registry.ts';
import { houseRules, stayShares } from '../../rules/index.ts';
import { prepareDonor } from '../base/donor.ts';
import { layOut, type LaidOut } from './layOut.ts';
import { measurer, type Choice, type PartMeasure, type PlanFrame } from '../base/measure.ts';
import { reasonForMove, reasonForShake, type ReasonContext } from './reasons.ts';
import { ledgerOf, priceOf } from '../base/rules.ts';
import { liftsInWords } from '../base/liftWords.ts';
import { searchChoice } from './search.ts';
import { effectsOf, NEW_KEY, partsOf, queenOffComb, unitsOf } from './plannedUnits.ts';
import { planKit } from './planKit.ts';
import { settleQueen } from './settleQueen.ts';
import { leftToDo, NOTHING_DONE, type WorkFacts } from './workFacts.ts';

/** What the beekeeper asks for. */
export interface PlanRequest {
  readonly colonyId: string;
  readonly methodId: MethodId;
  readonly day: Day;
  readonly newName: string;
  /** Schools by option; options left out take their defaults. */
  readonly options: Readonly<Record<string, string>>;
  /** The yard to which a part that goes away is carried; the only other there is, when left out. */
  readonly toYardId?: string;
}

/** What a plan sets up, by identifier: the same when it is worked out anew. */
interface PlanIds {
  readonly work: string;
  readonly colony: string;
  readonly hive: string;
  readonly stand: string;
  /** The box that is brought; unused where boxes move. */
  readonly box: string;
}

/** A plan that is being worked. */
export interface Underway {
  readonly facts: WorkFacts;
  /** Null for a plan that is new. */
  readonly ids: PlanIds | null;
}

/** A worked-out plan, ready to be shown and to be kept by a command. */
export interface WorkedPlan {
  readonly command: CommandOf<'saveWork'>;
  /** The colony that stays and what comes out of it, with every frame in its slot. */
  readonly parts: readonly [PlannedPart, PlannedPart];
  /** The frames as they will be on the day, for drawing. */
  readonly frames: readonly PlanFrame[];
  /** Choices that the search priced. */
  readonly tried: number;
}

/**
 * Works out one split: frames, bees after drift, rules, steps, kit, follow-ups.
 *
 * A rule that cannot be met does not make it fail; the ledger says by how much it is broken and what would
 * mend it. It fails only when there is nothing to work with.
 *
 * @param newId - makes identifiers; the plan is the same for the same apiary, request and identifiers
 * @param under - what has been done of it; steps are then those that are left
 */
export function makePlan(
  apiary: Apiary,
  request: PlanRequest,
  newId: () => string,
  under: Underway = { facts: NOTHING_DONE, ids: null },
): Result<WorkedPlan> {
  const colony = apiary.colony[request.colonyId];
  if (!colony || colony.endedOn !== null) {
    return failure({
      code: 'unknown-id',
      path: ['colonyId'],
      message: 'This colony is not there any more.',
      remedy: 'Choose another colony.',
    });
  }
  const { stand } = placeOf(apiary, colony);
  if (!stand) {
    return failure({
      code: 'no-stand',
      path: ['colonyId'],
      message: `${colony.name} has no stand.`,
      remedy: 'Put its hive on a stand first.',
    });
  }
  const outOfSeason = gateOf(apiary, colony, request);
  if (outOfSeason && under.ids === null) {
    return failure({
      code: 'season',
      path: ['day'],
      message: outOfSeason.why,
      remedy: `Choose a day from ${dayInWords(outOfSeason.next)} ${yearOf(outOfSeason.next)} on, or a way that makes no increase.`,
    });
  }
  const prepared = prepareDonor(apiary, colony, request.day);
  if (!prepared.ok) return prepared;
  const { donor, projectedDays } = prepared.value;
  if (
    under.ids === null &&
    !WITHOUT_QUEEN.has(request.methodId) &&
    isRaising(apiary, colony, donor, request.day)
  ) {
    return failure({
      code: 'queen-gone',
      path: ['methodId'],
      message: `${donor.name} is raising its queen: there are no eggs to divide, and neither part would have one.`,
      remedy: 'Wait until she lays, give it a queen first, or divide it on its spare cells.',
    });
  }
  const { facts } = under;
  const rules = houseRules(operationOf(apiary).houseRules.changes);
  const shares = stayShares(rules);
  const method = methodById(request.methodId);
  const input = { donor, day: request.day, options: request.options, rules, newName: request.newName };
  const asPlanned = method.setUp(input);
  const toYard =
    asPlanned.distance === 'away' ? carriedTo(apiary, stand.yardId, request.toYardId) : undefined;
  const near = toYard && under.ids === null ? tooNear(apiary, stand.yardId, toYard.id) : null;
  if (near) return failure({ ...near, path: ['toYardId'] });
  const { setup, hung } = leftToDo(asPlanned, donor, facts);
  const measured = measurer(donor.frames, setup.distance, shares);
  const liftsFor = liftPrice(donor, setup);
  const found = searchChoice(
    {
      size: donor.frames.length,
      movable: setup.movable,
      shakable: setup.shakable,
      maxShakes: setup.maxShakes,
      newPart: setup.newPart,
      price: (choice) => {
        const [stay, fresh] = measured(choice);
        return (
          priceOf(setup.rules, stay, fresh) +
          setup.wish(stay, fresh, choice) +
          liftsFor(choice) +
          (setup.distance !== 'above' && fresh.foodCombs < 1 ? NO_FOOD_COMB : 0)
        );
      },
    },
    setup.start,
  );
  const [stay, fresh] = measured(found.choice);
  const ids = under.ids ?? {
    work: newId(),
    box: newId(),
    colony: newId(),
    hive: newId(),
    stand: newId(),
  };
  const laid = layOut({
    donor,
    setup,
    choice: found.choice,
    store: framesInStore(apiary),
    newBoxId: ids.box,
    newName: request.newName,
    hung,
    strength: [bothOf(stay), bothOf(fresh)],
    cool: request.options['nights'] === 'cold',
  });
  const context: ReasonContext = {
    frames: donor.frames,
    setup,
    choice: found.choice,
    shares,
    names: [donor.name, request.newName],
  };
  const solved: Solved = {
    input,
    setup,
    stay,
    fresh,
    moves: laid.moves.filter((m) => !m.done).map((m) => m.planned),
    shakes: donor.frames.filter((f, i) => found.choice.shaken[i] && !facts.shaken.has(f.id)),
    hung,
  };
  const wished = method.followUps(solved);
  // Found out in the course of the work, not by the method.
  const followUps = asPlanned.queen.includes('unknown') ? settleQueen(wished, setup.queen) : wished;
  const stayed: FollowUpText[] =
    setup.distance === 'same-yard'
      ? [{ parts: ['new'], anchor: 'work', ...beesStay(request.newName, request.day) }]
      : [];
  const parts = partsOf(colony.id, ids.colony, request.newName, donor.name, setup, [stay, fresh], laid);
  const keyOf = (part: 0 | 1) => (part === 0 ? colony.id : NEW_KEY);
  const boxesOfNew: WorkBody['newHives'][number]['boxes'] = [
    ...(setup.broughtBox ? [{ from: 'kit' as const, boxId: ids.box, ...setup.broughtBox }] : []),
    ...setup.boxesThatMove.map((boxId) => ({ from: 'old-hive' as const, boxId })),
  ];
  const isAbove = setup.distance === 'above';
  const [nothingMoved] = measured({
    part: donor.frames.map(() => 0),
    shaken: donor.frames.map(() => false),
  });
  const drafts = closedUp(method.steps(solved), laid).map(({ units = [], ...s }): StepDraft => ({
    ...s,
    units: units.map((key) => (key === 'stay' ? colony.id : NEW_KEY)),
  }));
  const lifts = liftsInWords(drafts);
  const body: WorkBody = {
    v: 2,
    asked: {
      source: 'split',
      colonyId: colony.id,
      methodId: request.methodId,
      options: Object.fromEntries(method.options.map((o) => [o.id, schoolOf(o, request.options[o.id])])),
      projectedDays,
    },
    countedOn: donor.countedOn,
    units: unitsOf(parts, setup, nothingMoved, toYard?.id),
    newHives: isAbove
      ? []
      : [
          {
            colonyId: ids.colony,
            hiveId: ids.hive,
            standId: ids.stand,
            yardId: stand.yardId,
            fromColonyId: colony.id,
            boxes: boxesOfNew,
          },
        ],
    newBoxes:
      isAbove && setup.broughtBox
        ? [{ colonyId: colony.id, boxId: ids.box, ...setup.broughtBox, place: 'top' }]
        : [],
    unions: [],
    emptiedBoxIds: [],
    moves: laid.moves.map((m) => ({
      frameId: m.frameId,
      from: m.fromBoxId === null || m.fromSlot === null ? null : { boxId: m.fromBoxId, slot: m.fromSlot },
      to: { boxId: m.toBoxId, slot: m.toSlot },
      fromKey: m.fromBoxId === null ? STORE_KEY : m.planned.slides ? keyOf(m.planned.toPart) : colony.id,
      toKey: keyOf(m.planned.toPart),
      reason: reasonOf(m.planned, m.frameId, donor.frames, context),
    })),
    shakes: donor.frames.flatMap((f, i) =>
      found.choice.shaken[i]
        ? [{ frameId: f.id, fromKey: colony.id, toKey: NEW_KEY, reason: reasonForShake(i, context) }]
        : [],
    ),
    effects: [
      ...effectsOf(parts, isAbove),
      ...queenOffComb(donor.frames, parts, newId),
      ...cellsCutBy(drafts, (key) => (key === 'stay' ? colony.id : ids.colony), newId),
    ],
    ledger: ledgerOf(setup.rules, stay, fresh),
    kit: planKit(method.kit(solved), solved, laid, queenOf(apiary, colony.id)),
    cautions: [
      ...method.cautions(solved),
      lifts ?? 'Lifting: take boxes off in pairs, or carry their frames over one by one.',
      ...otherSizeCautions(donor.frames.filter((f) => laid.moves.some((m) => m.frameId === f.id))),
    ],
    looks: [...stayed, ...followUps].map(({ parts: keys, ...f }) => ({
      id: newId(),
      ...f,
      colonyIds: keys.map((key) => (key === 'stay' ? colony.id : ids.colony)),
    })),
  };
  const work: Work = {
    id: ids.work,
    name: `${donor.name} → ${request.newName}`.slice(0, 80),
    day: request.day,
    status: 'draft',
    body,
  };
  return success({
    command: { type: 'saveWork', work, steps: workSteps(ids.work, drafts, newId) },
    parts,
    frames: donor.frames,
    tried: found.tried,
  });
}

/** Ways for which the donor need not have a laying queen. */
const WITHOUT_QUEEN: ReadonlySet<MethodId> = new Set<MethodId>(['spare-cells', 'caged-queen']);

/** The records say that it is on its way to a queen, and none of its combs says that she lays. */
const isRaising = (apiary: Apiary, colony: Colony, { frames }: Donor, day: Day): boolean =>
  colonyState(apiary, colony, day).queen.state === 'raising' &&
  !frames.some((f) => f.hasQueen || f.eggsTenths > 0 || f.open > 0);

/** Why the time of the year forbids a way; null where it does not. */
function gateOf(apiary: Apiary, colony: Colony, { methodId, day }: PlanRequest): SeasonGate | null {
  const { yard } = placeOf(apiary, colony);
  if (methodId === 'brood-above') return openingGate(apiary, yard, day);
  const queen = methodId === 'caged-queen' ? 'mated' : methodId === 'spare-cells' ? 'cell' : 'raises';
  return increaseGate(apiary, yard, day, queen, yard && mayBeginSooner(apiary, yard, day));
}

/** What it is worth, in frames of brood, that a new part has a comb of food beside its nest (common practice, no source). */
const NO_FOOD_COMB = 2;

/** What a box that has to be set down is worth in frames: of two plans that are as good, the one with fewer lifts (judgement). */
const LIFT = 0.05;

/** Prices a choice by the boxes that must come off before its combs can be reached. */
function liftPrice({ boxes, frames }: Donor, setup: Setup): (choice: Choice) => number {
  const depth = Int8Array.from(frames, (f) => boxes.length - 1 - boxes.findIndex((b) => b.id === f.boxId));
  const resting = Int8Array.from(setup.restingPart);
  // From the deepest, and only what may change: it is asked thousands of times a plan.
  const deepestFirst = (list: readonly number[]) =>
    Int16Array.from(
      [...list].filter((i) => (depth[i] ?? 0) > 0).toSorted((a, b) => (depth[b] ?? 0) - (depth[a] ?? 0)),
    );
  const moved = deepestFirst(setup.movable);
  const shaken = deepestFirst(setup.maxShakes > 0 ? setup.shakable : []);
  return (choice) => {
    let deepest = 0;
    for (let k = 0; k < moved.length; k++) {
      const i = moved[k] as number;
      if (choice.part[i] === resting[i]) continue;
      deepest = depth[i] as number;
      break;
    }
    for (let k = 0; k < shaken.length; k++) {
      const i = shaken[k] as number;
      if (choice.shaken[i] !== true) continue;
      deepest = Math.max(deepest, depth[i] as number);
      break;
    }
    return LIFT * deepest;
  };
}

const bothOf = (m: PartMeasure) => ({ bees: m.framesOfBeesAfterDrift, capped: m.cappedFrames });

function schoolOf(
  option: { schools: readonly { id: string }[]; default: string },
  wanted: string | undefined,
): string {
  return wanted !== undefined && option.schools.some((s) => s.id === wanted) ? wanted : option.default;
}

function reasonOf(
  move: PlannedMove,
  frameId: string,
  frames: readonly PlanFrame[],
  context: ReasonContext,
): string {
  if (move.slides) return 'Pushed together: brood beside brood, and no gap for wild comb.';
  if (move.frame === null) {
    return move.blank === 'drawn'
      ? 'Drawn comb from the store fills a free slot.'
      : 'Foundation from the store fills a free slot.';
  }
  return reasonForMove(
    frames.findIndex((f) => f.id === frameId),
    context,
  );
}

/** The steps with a dummy board where a box is not full, before anything is closed. */
function closedUp(steps: readonly StepText[], { gaps }: LaidOut): StepText[] {
  const close = steps.findIndex((s) => s.kind === 'close');
  const at = close < 0 ? steps.length : close;
  const boards = gaps.map(({ part, label, slot }): StepText => ({
    kind: 'check',
    units: [part === 0 ? 'stay' : 'new'],
    text: `A dummy board closes the nest: ${label}, against slot ${slot}`,
    detail: 'Bees build wild comb in an open gap within days.',
  }));
  return [...steps.slice(0, at), ...boards, ...steps.slice(at)];
}
