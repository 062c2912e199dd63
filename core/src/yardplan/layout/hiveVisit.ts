import { capital } from '../../basics/index.ts';
import { DRONE_FRAME } from '../../followup/index.ts';
import { workHive, type HiveEvent } from '../../handling/index.ts';
import { blanksInWords, STORE_KEY, type StepDraft, theBox } from '../../records/index.ts';
import {
  boxWeightKg,
  inWords,
  weightInWords,
  pushTogether,
  setAside,
  setBack,
  setDown,
} from '../../split/index.ts';
import {
  STORE,
  wholeGoal,
  type Assignment,
  type UnitBox,
  type YardFrame,
  type YardProblem,
  type YardUnit,
} from '../problem/problem.ts';
import { droneFrameOf, isHivedUp, type LaidMove, type LaidOut } from './layOutYard.ts';
import { boxOf, labelIn, slotsInWords } from './stepPlaces.ts';

/** Names of the units that are there afterwards, by index: nucs are called what the beekeeper calls them. */
export type NameOf = (unit: number) => string;

/** The work at one hive: what comes out of it, and what is done when all that it gets is there. */
export interface HiveVisit {
  readonly unit: number;
  readonly out: readonly StepDraft[];
  readonly finish: readonly StepDraft[];
  /** Hives that give combs to it. */
  readonly givers: ReadonlySet<number>;
}

interface Move {
  readonly frameId: string;
  readonly from: LaidMove['from'];
  readonly to: LaidMove['to'];
  readonly laid: LaidMove;
}
interface Shake {
  readonly frameId: string;
  readonly boxId: string;
  readonly frame: YardFrame;
  readonly target: number;
}
type Box = UnitBox & { readonly goes: boolean };
type Event = HiveEvent<Box, Move, Shake>;

/** Works out the visit of one hive in an order that can be done as it is written. */
export function hiveVisit(
  problem: YardProblem,
  plan: Assignment,
  laid: LaidOut,
  unit: YardUnit,
  nameOf: NameOf,
): HiveVisit {
  const name = nameOf(unit.index);
  const own = laid.moves.filter((m) => m.fromUnit === unit.index || m.toUnit === unit.index);
  const moves = own.map((m): Move => ({ frameId: m.frame.id, from: m.from, to: m.to, laid: m }));
  const shakes = problem.frames.flatMap((frame, i): Shake[] => {
    const target = plan.shakenFor[i];
    return frame.home === unit.index && typeof target === 'number'
      ? [{ frameId: frame.id, boxId: frame.boxId, frame, target }]
      : [];
  });
  const here = problem.frames.filter((f) => f.home === unit.index);
  const queenFrame = here.find((f) => f.hasQueen);
  const queenGoes = queenFrame !== undefined && plan.to[queenFrame.index] !== unit.index;
  const toNuc = own.some((m) => m.fromUnit === unit.index && problem.units[m.toUnit]?.kind === 'nuc');
  const find =
    queenGoes || (!toNuc && shakes.length === 0)
      ? []
      : [findQueen(queenFrame, unit, name), ...(toNuc ? cellsBesideQueen(problem, plan, unit, name) : [])];
  const whole = wholeGoal(problem, unit) !== undefined;
  const open: StepDraft = {
    kind: 'open',
    units: [unit.key],
    text: `Open ${name}`,
    detail: 'Little smoke. Begin at an outer frame.',
  };
  const close: StepDraft = {
    kind: 'close',
    units: [unit.key],
    text: `Close ${name}`,
    detail: queenGoes
      ? 'It raises a queen now: leave it its eggs or its best cells, and tag it.'
      : whole
        ? 'The old queen’s nuc. Shake in what still sits in the old boxes and take them away: look on their walls first. Small entrance; excluder under the box, so that she does not leave with those that fly.'
        : isHivedUp(unit)
          ? 'Shake or tap in the stragglers. Small entrance, feed 1:1 this evening.'
          : '',
  };
  const givers = new Set(
    own.flatMap((m) =>
      m.toUnit === unit.index && m.fromUnit !== unit.index && m.fromUnit !== STORE ? [m.fromUnit] : [],
    ),
  );
  const say = wordsAt(problem, unit, nameOf);
  if (isHivedUp(unit)) {
    const isOut = (m: Move) => m.laid.toUnit !== unit.index;
    const isForStore = (m: Move) => m.laid.toUnit === STORE;
    const drones = droneFrameOf(laid, unit.index);
    const stood = { name: unit.name, boxes: unit.standsIn };
    return {
      unit: unit.index,
      givers,
      out: [
        open,
        ...find,
        // From the top: each box is emptied and taken off before the next is at hand.
        ...[...unit.standsIn.entries()].toReversed().flatMap(([storey, box]): StepDraft[] => {
          const here = moves
            .filter((m) => m.laid.fromUnit === unit.index && m.from?.boxId === box.id)
            .toSorted((a, b) => (a.from?.slot ?? 0) - (b.from?.slot ?? 0));
          const own = here.filter((m) => !isOut(m));
          return [
            ...here
              .filter((m) => isOut(m) && !(box.role === 'super' && isForStore(m)))
              .map((m) => say.carry(m)),
            ...shakes.filter((s) => s.boxId === box.id).map((s) => say.shake(s)),
            ...(own.length > 0
              ? [
                  hangOver(
                    own.map((m) => m.laid),
                    unit,
                    stood,
                    name,
                  ),
                ]
              : []),
            ...(box.role === 'super'
              ? [superOff(here.filter(isForStore), unit, name)]
              : storey > 0
                ? [takeOff(box, unit, name)]
                : []),
          ];
        }),
      ],
      finish: [
        ...moves
          .filter((m) => !isOut(m) && m.laid.fromUnit !== unit.index && m.from !== null)
          .map((m) => say.hang(m)),
        // From the bottom up: each box is filled before the next is set on it.
        ...unit.boxes.flatMap((b, storey): StepDraft[] => [
          ...(storey === 0 ? [] : [setOn(b, unit, name)]),
          ...say.fill(
            own.filter((m) => m.fromUnit === STORE && m.to?.boxId === b.id && m !== drones),
            unit.boxes.length > 1 ? `${theBox(b.name)} of ${name}` : name,
          ),
          ...(drones?.to?.boxId === b.id ? [hangDrones(drones, drones.to.slot, unit, name)] : []),
        ]),
        close,
      ],
    };
  }
  const emptied = new Set(laid.emptied);
  const boxes = unit.boxes.map((b): Box => ({ ...b, goes: emptied.has(b.id) }));
  const work = workHive(
    boxes,
    moves,
    shakes,
    here.map((f) => ({ frameId: f.id, boxId: f.boxId, slot: f.slot })),
    find.length > 0 && queenFrame === undefined,
  );
  const findIn = queenFrame?.boxId;
  const atHand = find.length > 0 && work.down.some((e) => e.what === 'at-hand' && e.box.id === findIn);
  const weight = (box: Box) => boxWeightKg(here.filter((f) => f.boxId === box.id));
  const at = (words: readonly Omit<StepDraft, 'units'>[]): StepDraft[] =>
    words.map((w) => ({ ...w, units: [unit.key] }));
  let lifted = 0;
  let searched = !atHand;
  const step = (e: Event): StepDraft[] => {
    switch (e.what) {
      case 'at-hand':
        if (!atHand || e.box.id !== findIn) return [];
        searched = true;
        return find;
      case 'set-down':
        return e.box.goes ? [takeOff(e.box, unit, name)] : at(setDown(e.box, lifted++, weight(e.box)));
      case 'set-back':
        return at([setBack(e.box, weight(e.box))]);
      case 'carry':
        return [say.carry(e.move, searched)];
      case 'aside':
        return at([setAside(e.move.frameId, labelIn(e.move.laid.frame.label, unit.name))]);
      case 'hang':
        return [say.hang(e.move)];
      case 'slide':
        return at([
          pushTogether(
            unit.boxes.length > 1 ? `${theBox(e.box.name)} of ${name}` : name,
            e.moves.map((m) => ({ frameId: m.frameId, from: m.from?.slot ?? null, to: m.to?.slot ?? null })),
          ),
        ]);
      case 'shake':
        return [say.shake(e.shake)];
      case 'fill':
        return say.fill(
          e.moves.map((m) => m.laid),
          unit.boxes.length > 1 ? `${theBox(e.box.name)} of ${name}` : name,
        );
      case 'set-over':
        return [];
    }
  };
  return {
    unit: unit.index,
    givers,
    out: [open, ...(atHand ? [] : find), ...work.down.flatMap(step)],
    finish: [...work.up.flatMap(step), close],
  };
}

function wordsAt(problem: YardProblem, unit: YardUnit, nameOf: NameOf) {
  const name = nameOf(unit.index);
  return {
    /** A comb leaves the box in which it hangs. */
    carry({ laid }: Move, searched = true): StepDraft {
      const from = capital(labelIn(laid.frame.label, unit.name));
      const target = problem.units[laid.toUnit];
      const kind = capital(inWords(laid.frame));
      const where = laid.to && target ? `, ${boxOf(target, laid.to)}slot ${laid.to.slot}` : '';
      const step = (text: string, how: string, task: 'carry' | 'aside' = 'carry'): StepDraft => ({
        kind: 'move',
        task,
        units: [unit.key, target?.key ?? STORE_KEY],
        text,
        detail: `${kind}. ${how}`,
        frameIds: [laid.frame.id],
      });
      if (laid.toUnit === unit.index || target?.kind === 'nuc')
        return step(`${from} → ${nameOf(laid.toUnit)}${where}`, searched ? 'Bees stay on it.' : BEFORE_FOUND);
      const bare = 'Shake or brush its bees off here first: no queen travels, no bees fight.';
      if (!target) return step(`${from} → the store`, bare);
      return step(
        `${from} → the carrying box, for ${nameOf(laid.toUnit)}`,
        `${bare} Covered and warm.`,
        'aside',
      );
    },
    /** A comb that waits, or comes from another hive. */
    hang({ laid }: Move): StepDraft {
      const giver = problem.units[laid.fromUnit];
      const isOwn = laid.fromUnit === unit.index;
      const from = isOwn ? labelIn(laid.frame.label, unit.name) : laid.frame.label;
      const where = laid.to ? `${boxOf(unit, laid.to)}slot ${laid.to.slot}` : '';
      return {
        kind: 'move',
        task: 'carry',
        units: [giver?.key ?? STORE_KEY, unit.key],
        text: isOwn
          ? `The comb set aside (${from}) → ${where}`
          : `From the carrying box: ${from} → ${name}, ${where}`,
        detail: `${capital(inWords(laid.frame))}.${isOwn ? '' : ' Open brood waits half an hour at most, covered and in the shade.'}`,
        frameIds: [laid.frame.id],
      };
    },
    shake({ frame, target }: Shake): StepDraft {
      const colony = problem.units[target]?.kind === 'colony';
      return {
        kind: 'shake',
        units: [unit.key, problem.units[target]?.key ?? STORE_KEY],
        text: `Shake the bees of ${labelIn(frame.label, unit.name)} into ${colony ? `a box for ${nameOf(target)}` : nameOf(target)}`,
        detail: colony
          ? 'In the shade for 5 to 10 minutes, so that field bees fly home; then pour the nurses before its entrance.'
          : 'Nurses off open brood. Then hang the frame back.',
        frameIds: [frame.id],
      };
    },
    fill: (moves: readonly LaidMove[], box: string): StepDraft[] =>
      moves.length > 0 ? [fillStep(moves, unit, box)] : [],
  };
}

/** One step for the combs of the store that go into a box or a unit. @param name - what is filled */
export function fillStep(moves: readonly LaidMove[], unit: YardUnit, name: string): StepDraft {
  const combs = moves.map((m) => ({
    blank: m.frame.drawn > 0.5 ? ('drawn' as const) : ('foundation' as const),
  }));
  return {
    kind: 'fill',
    units: [unit.key],
    text: `Fill ${name} from the store: ${blanksInWords(combs)}`,
    detail: slotsInWords(moves, unit),
    frameIds: moves.map((m) => m.frame.id),
  };
}

/** A comb that goes with its bees from a box above the one in which she was seen. */
const BEFORE_FOUND = 'Bees stay on it. She is not found yet: read both sides first.';

const findQueen = (queenFrame: YardFrame | undefined, unit: YardUnit, name: string): StepDraft => ({
  kind: 'find',
  task: 'find-queen',
  units: [unit.key],
  text: queenFrame
    ? `Find the queen of ${name}; she was on ${labelIn(queenFrame.label, unit.name)}`
    : `Make sure where the queen of ${name} is`,
  detail:
    'Cage her or set her frame aside. Not found in ten minutes: read each frame on both sides before it goes, and shake none that you are not sure of.',
});

/** What is to be done about live queen cells where the queen stays: a colony that raises one takes no part in plans. */
function cellsBesideQueen(problem: YardProblem, plan: Assignment, unit: YardUnit, name: string): StepDraft[] {
  const frames = problem.frames.filter((f) => plan.to[f.index] === unit.index && f.liveCells > 0);
  if (frames.length === 0) return [];
  return [
    {
      kind: 'check',
      task: 'cut-cells',
      units: [unit.key],
      text: `Take the queen cells out of ${name}, where the queen stays`,
      detail: `${capital(frames.map((f) => labelIn(f.label, unit.name)).join('; '))}. Beside a queen that stays they end in a swarm: cut out the best with a margin of comb for a nuc that raises, break the others, and look at the frames beside. Only one or two, in the middle of a comb, may be there to replace her: then leave them.`,
      frameIds: frames.map((f) => f.id),
    },
  ];
}

/** The combs of one box that stay go over into the new one. @param stood - as it stood, by which its combs are called */
const hangOver = (
  within: readonly LaidMove[],
  unit: YardUnit,
  stood: Pick<YardUnit, 'name' | 'boxes'>,
  name: string,
): StepDraft => {
  const many = within.length === 1 ? 'frame' : `${within.length} frames`;
  const of =
    stood.boxes.length > 1
      ? `${theBox(stood.boxes.find((b) => b.id === within[0]?.from?.boxId)?.name ?? 'box')} of `
      : '';
  return {
    kind: 'move',
    units: [unit.key],
    text: `Hang the ${many} of ${of}${name} ${stood.boxes.length > 1 ? `that ${within.length === 1 ? 'stays' : 'stay'} ` : ''}into the new ${unit.boxes.find((b) => b.id === within[0]?.to?.boxId && unit.boxes.length > 1)?.name ?? 'box'}, in the same order`,
    detail: within
      .map((m) => `Frame ${m.from?.slot ?? '?'} → slot ${m.to?.slot ?? '?'}`)
      .join('; ')
      .slice(0, 1500),
    frameIds: within.map((m) => m.frame.id),
  };
};

const hangDrones = (move: LaidMove, slot: number, unit: YardUnit, name: string): StepDraft => ({
  kind: 'fill',
  units: [unit.key],
  text: `Hang the drone frame in slot ${slot} of ${name}`,
  detail: DRONE_FRAME,
  frameIds: [move.frame.id],
});

const setOn = (box: UnitBox, unit: YardUnit, name: string): StepDraft => ({
  kind: 'lift',
  units: [unit.key],
  text: box.excluderBelow
    ? `Excluder and ${theBox(box.name)} on ${name}`
    : `${capital(theBox(box.name))} on ${name}`,
  detail: box.excluderBelow
    ? 'Only once bees cover eight combs below; until then the super waits beside, covered.'
    : 'The storeys stay as they stood: the brood of one above that of the other.',
});

/** A super goes as it is: its combs stay in it until they are harvested or set on another colony. */
const superOff = (moves: readonly Move[], unit: YardUnit, name: string): StepDraft => ({
  kind: 'move',
  units: [unit.key, STORE_KEY],
  text: `Take the super off ${name}, its bees brushed down into the hive`,
  detail: `${moves.length} combs, ${weightInWords(boxWeightKg(moves.map((m) => m.laid.frame)))}: comb by comb into an empty box, bee-tight at once, for honey draws robbers. Look for the queen where there was no excluder. Harvest it, or set it on a strong colony.`,
  frameIds: moves.map((m) => m.frameId),
});

const takeOff = (box: UnitBox, unit: YardUnit, name: string): StepDraft => ({
  kind: 'lift',
  units: [unit.key],
  text: `Take ${theBox(box.name)} off ${name}: no frame is left in it`,
  detail: 'Look for the queen on its walls first. It goes to the store; the inner cover goes on what stays.',
});
