import {
  inHindsight,
  playBreakUp,
  simulatedColony,
  simulatedPlaces,
  type Policy,
} from '@incremen/core/testing';
import { median, ms, quantile } from './statistics.ts';

const POLICIES: readonly { readonly policy: Policy; readonly name: string }[] = [
  { policy: 'fillInOrder', name: 'fill one unit after the other' },
  { policy: 'bestNow', name: 'best place now' },
  { policy: 'expectedContents', name: 'expected contents of the rest' },
  { policy: 'futuresUncounted', name: 'futures, no last count' },
  { policy: 'futuresCounted', name: 'futures, last count as prior (the pad)' },
];
const KINDS = [
  { kind: 'honest', name: 'honest last count' },
  { kind: 'misCalibrated', name: 'last count a quarter too high and noisy' },
] as const;
const SIZES = [
  { frames: 18, nucs: 2, breakUps: 1000 },
  { frames: 20, nucs: 4, breakUps: 200 },
] as const;

/** Regret of the call-out pad against hindsight beside simpler rules; 100 is a full frame of brood. */
export function callOutBench(): void {
  for (const { frames, nucs, breakUps } of SIZES) {
    for (const { kind, name } of KINDS) {
      console.log(
        `\n${breakUps} break-ups of ${frames} frames into ${nucs} units, ${name} (100 = a frame of brood)`,
      );
      const regrets = POLICIES.map(() => ({
        plain: [] as number[],
        corrected: [] as number[],
        took: [] as number[],
      }));
      for (let seed = 1; seed <= breakUps; seed++) {
        const colony = simulatedColony(seed * 7919, frames, kind);
        const places = simulatedPlaces(seed, frames, nucs);
        const played = POLICIES.map(({ policy }) =>
          playBreakUp(colony, places, policy, seed, () => performance.now()),
        );
        // What any of them reached was reachable.
        const least = Math.min(
          inHindsight(colony.frames, places, seed),
          ...played.flatMap((p) => [p.short, p.corrected]),
        );
        played.forEach((p, i) => {
          regrets[i]?.plain.push(p.short - least);
          regrets[i]?.corrected.push(p.corrected - least);
          regrets[i]?.took.push(...p.answers);
        });
      }
      POLICIES.forEach((p, i) => {
        const r = regrets[i];
        if (!r) return;
        console.log(
          `  ${p.name}: regret ${inPoints(r.plain)}; after up to two exchanges ${inPoints(r.corrected)}; answer in median ${ms(median(r.took))}, p99 ${ms(quantile(r.took, 0.99))}`,
        );
      });
    }
  }
}

function inPoints(regrets: readonly number[]): string {
  const mean = regrets.reduce((s, r) => s + r, 0) / regrets.length;
  return `mean ${mean.toFixed(1)}, 95 % ${quantile(regrets, 0.95).toFixed(0)}, worst ${Math.max(...regrets).toFixed(0)}`;
}
