import { framePin, yardPlanRequest } from '@incremen/core/records';
import type { Alternative } from '@incremen/core/yardplan';
import { z } from 'zod';
import type { Planner } from './plannerSlice.ts';

const KEY = 'incremen.bench';

const state = z.object({ request: yardPlanRequest, placed: z.array(framePin) });
const bench = z.object({
  v: z.literal(1),
  past: z.array(state),
  now: state.nullable(),
  future: z.array(state),
  alternatives: z.array(
    z.object({
      id: z.string(),
      label: z.string(),
      request: yardPlanRequest,
      plan: z.object({ to: z.array(z.int()), shakenFor: z.array(z.int().nullable()) }),
      summary: z.custom<Alternative>((x) => typeof x === 'object' && x !== null),
    }),
  ),
  names: z.record(z.string(), z.string()),
  from: z.string().nullable(),
});

/** The bench as it was left on this device, so that a page that is closed or killed takes up where it was. */
export function keptBench(): Planner | null {
  try {
    const text = globalThis.localStorage?.getItem(KEY) ?? null;
    if (text === null) return null;
    const { v: _, ...planner } = bench.parse(JSON.parse(text));
    return planner;
  } catch {
    // Such as another version wrote: planning begins anew.
    return null;
  }
}

/** Keeps it. Without storage it lasts as long as the page. */
export function keepBench(planner: Planner): void {
  try {
    localStorage.setItem(KEY, JSON.stringify({ v: 1, ...planner }));
  } catch {
    // A full or forbidden storage must not stop the planning.
  }
}
