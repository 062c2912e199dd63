import { theBox } from '../../records/index.ts';
import { capital } from '../../basics/index.ts';
import { workHive, type HiveEvent } from '../../handling/index.ts';
import { boxWeightKg, weightInWords } from './boxWeight.ts';
import { pushTogether, setAside, setBack, setDown } from './liftWords.ts';
import type { DonorBox, PartKey, PlannedMove, Solved, StepText } from './method.ts';
import type { PlanFrame } from './measure.ts';
import { fillSteps, inWords } from './stepTexts.ts';

/** What a method says of the work at the hive that it does not say by itself. */
export interface HiveWords {
  /** What is done about the bees on a comb that is carried. */
  readonly bees?: string;
  /** What is said with bees that are shaken in. */
  readonly shake?: string;
  /** What is searched for first: as soon as its box is at hand, or in every box where nobody knows in which. */
  readonly find?: readonly StepText[];
  readonly findIn?: string | null;
  /** What is done when every box stands open, before the hive is built up again. */
  readonly apart?: readonly StepText[];
  /** Every box is read, whatever is taken out. */
  readonly toTheBottom?: boolean;
  /** Supers go back only when the method has put something under them. */
  readonly supersStayOff?: boolean;
  /** What is said with a brood box that goes to its own floor. */
  readonly lift?: string;
}

interface Shake {
  readonly frameId: string;
  readonly boxId: string;
  readonly frame: PlanFrame;
}

type Box = DonorBox & { readonly goes: boolean };
type Event = HiveEvent<Box, Move, Shake>;
type Move = Pick<PlannedMove, 'frameId' | 'from' | 'to'> & { readonly planned: PlannedMove };

const at = (key: PartKey, words: readonly Omit<StepText, 'units'>[]): StepText[] =>
  words.map((w) => ({ ...w, units: [key] }));

/**
 * The steps at the hive that is split, in an order that can be done as it is written: from the top down what leaves,
 * each box set down once on a named place, and up again what is pushed together, filled and set back.
 */
export function hiveSteps(solved: Solved, words: HiveWords = {}): StepText[] {
  const { input, setup, moves, shakes, hung } = solved;
  const { donor, newName } = input;
  const own = new Set(donor.boxes.map((b) => b.id));
  const boxes = donor.boxes.map((b): Box => ({ ...b, goes: setup.boxesThatMove.includes(b.id) }));
  const handled = moves
    .filter((m) => own.has(m.to.boxId) || m.from !== null)
    .map((planned): Move => ({ ...planned, planned }));
  const work = workHive(
    boxes,
    handled,
    shakes.map((frame): Shake => ({ frameId: frame.id, boxId: frame.boxId, frame })),
    donor.frames.map((f) => ({ frameId: f.id, ...(hung.get(f.id) ?? { boxId: f.boxId, slot: f.slot }) })),
    words.toTheBottom ?? (words.find ?? words.apart) !== undefined,
  );
  const find = words.find ?? [];
  const findIn = words.findIn ?? null;
  const atHand = findIn !== null && work.down.some((e) => e.what === 'at-hand' && e.box.id === findIn);
  let lifted = 0;
  let searched = !atHand;
  const weight = (box: Box) => boxWeightKg(donor.frames.filter((f) => f.boxId === box.id));
  const step = (e: Event): StepText[] => {
    switch (e.what) {
      case 'at-hand':
        if (!atHand || e.box.id !== findIn) return [];
        searched = true;
        return [...find];
      case 'set-down':
        if (e.box.goes && e.box.role === 'brood') {
          return [
            {
              kind: 'lift',
              kg: weight(e.box),
              text: `Lift ${theBox(e.box.name)} onto the floor of ${newName}`,
              detail: `${capital(weightInWords(weight(e.box)))}. ${words.lift ?? 'Bees stay on their combs.'}`,
            },
          ];
        }
        return at('stay', setDown(e.box, lifted++, weight(e.box)));
      case 'set-back':
        return e.box.role === 'super' && words.supersStayOff
          ? []
          : at('stay', [setBack(e.box, weight(e.box))]);
      case 'set-over':
        return [
          {
            kind: 'lift',
            kg: weight(e.box),
            units: ['stay', 'new'],
            text: `Set ${theBox(e.box.name)} on ${newName}`,
            detail: `${capital(weightInWords(weight(e.box)))}. A second excluder under it, if ${donor.name} has one.`,
          },
        ];
      case 'carry':
        return [
          carry(
            e.move.planned,
            e.move.planned.fromLabel,
            searched ? words.bees : `${words.bees ?? STAY} She is not found yet: read both sides first.`,
          ),
        ];
      case 'aside':
        return at('stay', [setAside(e.move.frameId, e.move.planned.fromLabel)]);
      case 'hang':
        return [carry(e.move.planned, `the comb set aside (${e.move.planned.fromLabel})`, words.bees)];
      case 'slide':
        return at(e.moves[0]?.planned.toPart === 1 ? 'new' : 'stay', [
          pushTogether(
            theBox(e.box.name),
            e.moves.map((m) => ({ frameId: m.frameId, from: m.from?.slot ?? null, to: m.to.slot })),
          ),
        ]);
      case 'shake':
        return [
          {
            kind: 'shake',
            units: ['stay', 'new'],
            text: `Shake the bees of ${e.shake.frame.label} into ${newName}`,
            detail: words.shake ?? '',
            frameIds: [e.shake.frameId],
          },
        ];
      case 'fill':
        return fillSteps(
          e.moves.map((m) => m.planned),
          e.box.goes ? newName : theBox(e.box.name),
        );
    }
  };
  return [
    ...(atHand ? [] : find),
    ...work.down.flatMap(step),
    ...(words.apart ?? []),
    ...work.up.flatMap(step),
    ...fillSteps(
      moves.filter((m) => !own.has(m.to.boxId) && m.from === null),
      newName,
    ),
  ];
}

const STAY = 'Bees stay on it.';

function carry(move: PlannedMove, from: string, bees = STAY): StepText {
  return {
    kind: 'move',
    task: 'carry',
    units: ['stay', 'new'],
    text: `${capital(from)} → ${move.toLabel}`,
    detail: move.frame ? `${capital(inWords(move.frame))}. ${bees}` : '',
    frameIds: [move.frameId],
  };
}
