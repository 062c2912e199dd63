import { capital } from '../../basics/index.ts';
import { workHive, type HiveEvent } from '../../handling/index.ts';
import { boxWeightKg, weightInWords } from './boxWeight.ts';
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

/** Where boxes are set down, the first of them and those that follow. */
const PLACES = [
  'the upturned roof',
  'a spare floor beside it',
  'another floor or two bars beside it',
] as const;

const UNITS: readonly (readonly PartKey[])[] = [['stay'], ['new']];

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
  const weight = (box: Box) => weightInWords(boxWeightKg(donor.frames.filter((f) => f.boxId === box.id)));
  const step = (e: Event): StepText[] => {
    switch (e.what) {
      case 'at-hand':
        return atHand && e.box.id === findIn ? [...find] : [];
      case 'set-down':
        if (e.box.goes && e.box.role === 'brood') {
          return [
            {
              kind: 'lift',
              text: `Lift the ${e.box.name} onto the floor of ${newName}`,
              detail: `${capital(weight(e.box))}. ${words.lift ?? 'Bees stay on their combs.'}`,
            },
          ];
        }
        return [
          {
            kind: 'lift',
            units: ['stay'],
            text: `Set the ${e.box.name} down on ${PLACES[Math.min(lifted++, PLACES.length - 1)] ?? PLACES[0]}`,
            detail: `${capital(weight(e.box))}. ${e.box.role === 'super' ? 'Cover it at once: honey that stands open is robbed.' : 'Covered with a cloth.'}`,
          },
          ...(e.box.excluderBelow
            ? [
                {
                  kind: 'lift' as const,
                  units: ['stay'] as const,
                  text: 'Excluder off',
                  detail: 'Look for the queen on it before you put it down.',
                },
              ]
            : []),
        ];
      case 'set-back':
        if (e.box.role === 'super' && words.supersStayOff) return [];
        return [
          {
            kind: 'lift',
            units: ['stay'],
            text: e.box.excluderBelow
              ? `Excluder on, then the ${e.box.name} back`
              : `Set the ${e.box.name} back`,
            detail: `${capital(weight(e.box))} before. Lower it slowly, so that no bees are crushed.`,
          },
        ];
      case 'set-over':
        return [
          {
            kind: 'lift',
            units: ['stay', 'new'],
            text: `Set the ${e.box.name} on ${newName}`,
            detail: `${capital(weight(e.box))}. A second excluder under it, if ${donor.name} has one.`,
          },
        ];
      case 'carry':
        return [carry(e.move.planned, e.move.planned.fromLabel, words.bees)];
      case 'aside':
        return [
          {
            kind: 'move',
            units: ['stay'],
            text: `${capital(e.move.planned.fromLabel)} aside`,
            detail: 'With its bees, covered, in the shade: its slot is free in a moment.',
          },
        ];
      case 'hang':
        return [carry(e.move.planned, `the comb set aside (${e.move.planned.fromLabel})`, words.bees)];
      case 'slide':
        return [
          {
            kind: 'move',
            task: 'slide',
            units: UNITS[e.moves[0]?.planned.toPart ?? 0] ?? ['stay'],
            text: `Push the ${e.box.name} together: ${e.moves.length === 1 ? 'one frame slides' : `${e.moves.length} frames slide`}`,
            detail: e.moves.map((m) => `Frame ${m.from?.slot ?? '?'} → slot ${m.to.slot}`).join('; '),
            frameIds: e.moves.map((m) => m.frameId),
          },
        ];
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
          e.box.goes ? newName : `the ${e.box.name}`,
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

function carry(move: PlannedMove, from: string, bees = 'Bees stay on it.'): StepText {
  return {
    kind: 'move',
    task: 'carry',
    units: ['stay', 'new'],
    text: `${capital(from)} → ${move.toLabel}`,
    detail: move.frame ? `${capital(inWords(move.frame))}. ${bees}` : '',
    frameIds: [move.frameId],
  };
}
