import { capital } from '../../basics/index.ts';
import type { LaidMove, Slot } from './layOutYard.ts';
import type { YardUnit } from '../problem/problem.ts';

type Boxed = Pick<YardUnit, 'boxes'>;

/** The box of a slot, as words before it; nothing where a unit has only one. */
export const boxOf = (unit: Boxed, at: Slot | null) => {
  const box = unit.boxes.length > 1 && unit.boxes.find((b) => b.id === at?.boxId);
  return box ? `${box.name}, ` : '';
};

/** Frames that change their slots within a unit: "lower box, frame 3 → slot 6". */
export function slidesInWords(moves: readonly Pick<LaidMove, 'from' | 'to'>[], unit: Boxed): string {
  return moves
    .map((m) => {
      const to = m.to?.boxId === m.from?.boxId ? '' : boxOf(unit, m.to);
      return `${capital(`${boxOf(unit, m.from)}frame ${m.from?.slot ?? '?'}`)} → ${to}slot ${m.to?.slot ?? '?'}`;
    })
    .join('; ')
    .slice(0, 1500);
}

/** Slots that are filled, box by box: "Lower box: slots 2, 8. Upper box: slot 3." */
export function slotsInWords(moves: readonly Pick<LaidMove, 'from' | 'to'>[], unit: Boxed): string {
  const boxes = [...new Set(moves.map((m) => m.to?.boxId ?? ''))];
  return boxes
    .map((boxId) => {
      const slots = moves
        .flatMap((m) => (m.to?.boxId === boxId ? [m.to.slot] : []))
        .toSorted((a, b) => a - b);
      const name = unit.boxes.length > 1 && unit.boxes.find((b) => b.id === boxId)?.name;
      const words = `${slots.length === 1 ? 'slot' : 'slots'} ${slots.join(', ')}.`;
      return capital(name ? `${name}: ${words}` : words);
    })
    .join(' ');
}

/** "Tansy, lower box, frame 4" at Tansy is "lower box, frame 4". */
export const labelIn = (label: string, unitName: string) =>
  label.startsWith(`${unitName}, `) ? label.slice(unitName.length + 2) : label;
