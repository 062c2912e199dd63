import { capital } from '../../basics/index.ts';
import type { MethodId } from '../../records/index.ts';
import { combsInWords } from '../base/combsInWords.ts';
import type { PlanFrame } from '../base/measure.ts';
import type { WorkedPlan } from './makePlan.ts';

/** What a plan for one colony comes to, in one sentence: what goes where, and who has the queen. */
export function splitAnswer({ parts, frames, command }: WorkedPlan, methodId: MethodId): string {
  const [stay, fresh] = parts;
  const { body } = command.work;
  const moved = new Set(
    body.moves.flatMap((m) =>
      m.from !== null &&
      m.to !== null &&
      m.from.boxId !== m.to.boxId &&
      fresh.slots.some((s) => s.frameId === m.frameId)
        ? [m.frameId]
        : [],
    ),
  );
  const combs = frames.filter((f) => moved.has(f.id));
  const what = combs.length > 0 ? combsInWords(combs) : 'no comb';
  const shaken = body.shakes.length > 0 ? ', and nurse bees are shaken in' : '';
  if (methodId === 'brood-above') {
    const capped = (of: readonly PlanFrame[]) => Math.round(10 * of.reduce((n, f) => n + f.capped, 0)) / 10;
    return `Lift ${what} from ${stay.name} above an excluder, ${capped(combs)} of its ${capped(frames)} frames of capped brood; it stays one colony, with its queen below.`;
  }
  if (methodId === 'walk-away-halves') {
    const lifted = body.newHives.some((h) => h.boxes[0]?.from === 'old-hive');
    const made = lifted
      ? `The upper half of ${stay.name} becomes ${fresh.name} as it stands`
      : `${capital(what)} of ${stay.name} become ${fresh.name}`;
    const across = lifted && combs.length > 0 ? `, with ${what} from the lower` : '';
    return `${made}${across}; the part without the queen raises one, and day 7 tells which.`;
  }
  const queen =
    methodId === 'caged-queen'
      ? `it gets a mated queen, and ${stay.name} ${stay.queen === 'here' ? 'keeps its own' : 'raises one'}`
      : fresh.queen === 'here'
        ? `the old queen goes along, and ${stay.name} raises another`
        : fresh.queen === 'unknown'
          ? 'whichever part has no queen raises one'
          : stay.queen === 'here'
            ? `it raises a queen, and ${stay.name} keeps its own`
            : 'each of them raises a queen';
  return `Make ${fresh.name} with ${what} from ${stay.name}${shaken}; ${queen}.`;
}
