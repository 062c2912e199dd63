import {
  operationOf,
  type Apiary,
  type Frame,
  type Move,
  type Plan,
  type Step,
  type CommandOf,
  framesInStore,
  placeOf,
  type MethodId,
  type KitLine,
  type PlanPart,
} from '../../records/index.ts';
import { type Day, failure, success, type Result } from '../../basics/index.ts';
import type { PlannedMove, Setup, Solved } from '../base/method.ts';
import { methodById } from '../methods/registry.ts';
import { houseRules, stayShares } from '../../rules/index.ts';
import { prepareDonor } from '../base/donor.ts';
import { layOut, type LaidOut } from './layOut.ts';
import { measureParts, type PlanFrame } from '../base/measure.ts';
import { reasonForMove, reasonForShake, type ReasonContext } from './reasons.ts';
import { ledgerOf, priceOf } from '../base/rules.ts';
import { searchChoice } from './search.ts';
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
}

/** What a plan sets up, by identifier: the same when it is worked out anew. */
interface PlanIds {
  readonly plan: string;
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
  readonly command: CommandOf<'savePlan'>;
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
  const prepared = prepareDonor(apiary, colony, request.day);
  if (!prepared.ok) return prepared;
  const { donor, projectedDays } = prepared.value;
  const { facts } = under;
  const rules = houseRules(operationOf(apiary).houseRules.changes);
  const shares = stayShares(rules);
  const method = methodById(request.methodId);
  const input = { donor, day: request.day, options: request.options, rules, newName: request.newName };
  const asPlanned = method.setUp(input);
  const { setup, hung } = leftToDo(asPlanned, donor, facts);
  const found = searchChoice(
    {
      size: donor.frames.length,
      movable: setup.movable,
      shakable: setup.shakable,
      maxShakes: setup.maxShakes,
      newPart: setup.newPart,
      price: (choice) => {
        const [stay, fresh] = measureParts(donor.frames, choice, setup.distance, shares);
        return priceOf(setup.rules, stay, fresh) + setup.wish(stay, fresh, choice);
      },
    },
    setup.start,
  );
  const [stay, fresh] = measureParts(donor.frames, found.choice, setup.distance, shares);
  const ids = under.ids ?? {
    plan: newId(),
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
  };
  const wished = method.followUps(solved);
  // Found out in the course of the work, not by the method.
  const followUps = asPlanned.queen.includes('unknown') ? settleQueen(wished, setup.queen) : wished;
  const parts = partsOf(colony.id, ids.colony, request.newName, donor.name, setup, [stay, fresh], laid);
  const plan: Plan = {
    id: ids.plan,
    colonyId: colony.id,
    methodId: request.methodId,
    day: request.day,
    status: 'draft',
    body: {
      v: 1,
      options: Object.fromEntries(method.options.map((o) => [o.id, schoolOf(o, request.options[o.id])])),
      countedOn: donor.countedOn,
      projectedDays,
      newHive: {
        hiveId: ids.hive,
        standId: ids.stand,
        yardId: stand.yardId,
        boxes: [
          ...(setup.broughtBox ? [{ from: 'kit' as const, boxId: ids.box, ...setup.broughtBox }] : []),
          ...setup.boxesThatMove.map((boxId) => ({ from: 'old-hive' as const, boxId })),
        ],
      },
      parts,
      ledger: ledgerOf(setup.rules, stay, fresh),
      shakes: donor.frames.flatMap((f, i) =>
        found.choice.shaken[i] ? [{ frameId: f.id, reason: reasonForShake(i, context) }] : [],
      ),
      kit: kitOf(method.kit(solved), laid),
      cautions: method.cautions(solved),
      emergence: setup.fromCells ? setup.emergence : null,
      followUps: followUps.map((f) => ({
        id: newId(),
        ...f,
        parts: [...f.parts],
      })),
    },
  };
  const moves: Move[] = laid.moves.map((m, order) => ({
    id: newId(),
    planId: ids.plan,
    order,
    frameId: m.frameId,
    fromBoxId: m.fromBoxId,
    fromSlot: m.fromSlot,
    toBoxId: m.toBoxId,
    toSlot: m.toSlot,
    reason: reasonOf(m.planned, m.frameId, donor.frames, context),
  }));
  const steps: Step[] = method.steps(solved).map(({ frameIds = [], ...s }, order) => ({
    id: newId(),
    planId: ids.plan,
    order,
    ...s,
    doneOn: null,
    frameIds: [...frameIds],
  }));
  return success({
    command: { type: 'savePlan', plan, moves, steps },
    frames: donor.frames,
    tried: found.tried,
  });
}

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
  if (move.slides) return 'Slides over within its box, so that brood hangs beside brood.';
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

function partsOf(
  stayId: string,
  freshId: string,
  freshName: string,
  stayName: string,
  setup: Setup,
  [stay, fresh]: readonly [PlanPart['measure'], PlanPart['measure']],
  laid: LaidOut,
): [PlanPart, PlanPart] {
  return [
    {
      key: 'stay',
      colonyId: stayId,
      name: stayName,
      queen: setup.queen[0],
      distance: 'stand',
      measure: stay,
      slots: [...laid.slots[0]],
    },
    {
      key: 'new',
      colonyId: freshId,
      name: freshName,
      queen: setup.queen[1],
      distance: setup.distance,
      measure: fresh,
      slots: [...laid.slots[1]],
    },
  ];
}

function kitOf(kit: readonly { what: string; count: number }[], laid: LaidOut): KitLine[] {
  const fromStore = (blank: Frame['blank']) => laid.moves.filter((m) => m.planned.blank === blank).length;
  const drawn = fromStore('drawn');
  const foundation = fromStore('foundation');
  return [
    ...kit.map((k) => ({ ...k, shortBy: null })),
    ...(drawn > 0 ? [{ what: 'frames of drawn comb from the store', count: drawn, shortBy: 0 }] : []),
    ...(foundation > 0
      ? [{ what: 'frames of foundation from the store', count: foundation, shortBy: 0 }]
      : []),
    ...(laid.unfilled > 0
      ? [{ what: 'frames to fill the free slots', count: laid.unfilled, shortBy: laid.unfilled }]
      : []),
  ];
}
