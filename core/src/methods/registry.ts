import type { MethodId, SplitMethod } from './method.ts';
import { queenToNuc } from './queenToNuc.ts';
import { walkAwayHalves } from './walkAwayHalves.ts';

/** All methods, in the order in which they are offered. */
export const METHODS: readonly SplitMethod[] = [walkAwayHalves, queenToNuc];

/** The method with this identifier. */
export function methodById(id: MethodId): SplitMethod {
  return METHODS.find((m) => m.id === id) as SplitMethod;
}
