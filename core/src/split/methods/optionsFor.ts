import type { MethodCard } from '../base/method.ts';
import type { Situation } from '../base/situation.ts';
import { METHODS } from './registry.ts';

/**
 * The schools that follow from what was said when ways were looked for: a wish for honey, combs that should stay together.
 * What a method does not ask is left out.
 */
export function optionsFor(
  methodId: MethodCard['id'],
  now: Pick<Situation, 'wantsHoney' | 'cells' | 'season'>,
): Record<string, string> {
  const method = METHODS.find((m) => m.id === methodId);
  const said: Record<string, string> = {
    ...(now.wantsHoney && { purpose: 'honey' }),
    // Nothing comes in, and robbers look for small units.
    ...(now.season === 'dearth' && { feed: 'always' }),
  };
  return Object.fromEntries(
    Object.entries(said).filter(([id, school]) =>
      method?.options.some((o) => o.id === id && o.schools.some((s) => s.id === school)),
    ),
  );
}
