import { frameSize, shareOf } from '../../comb/index.ts';
import type { PlanFrame } from '../base/measure.ts';

/** Shown with every piece of work at the hives. */
export const COMMON_CAUTIONS = [
  'Stings: veil closed, smoker lit. Know the signs of a severe reaction, keep emergency help in reach, and do not work alone if you are allergic.',
  'Fire: set the smoker down on bare ground, never in dry grass.',
  'Suspect brood: stop moving combs and bees and call the inspector; some diseases are notifiable. Local rules on registration and movement apply.',
] as const;

/** Combs that hang in boxes of another size, and go as they hang. */
export function otherSizeCautions(frames: readonly PlanFrame[]): string[] {
  const others = frames.filter((f) => f.size !== f.hangsAs);
  if (others.length === 0) return [];
  const which = others.map((f) => `${f.label} (${frameSize(f.size).name})`).join(', ');
  return [
    `Other sizes: ${which} in a box for ${frameSize(others[0]!.hangsAs).name}. Such a comb goes as it hangs. Bees build wild comb under a short one: cut it off with the lift, not over open brood, and exchange the comb once it is empty.`,
  ];
}

/** A virgin needs drones: a warning when none were counted, as too early in the year. */
export function droneCautions(frames: readonly Pick<PlanFrame, 'reading'>[]): string[] {
  if (frames.some((f) => shareOf(f.reading, 'drone') > 0)) return [];
  return [
    'Drones: no drone brood was counted here. Begin when drones fly or purple-eyed drone pupae are seen; without them a young queen is not mated.',
  ];
}
