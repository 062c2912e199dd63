import { ASKED, SIGNS, type Evidence } from './evidence.ts';

/**
 * Two inspections of one day as one: what either found was there, and frames read in either were read. Of two that found
 * something the later says what it was like.
 */
export function evidenceOfDay(earlier: Evidence, later: Evidence): Evidence {
  const both: Record<string, unknown> = { ...earlier };
  for (const [key, value] of Object.entries(later))
    if (value !== null && value !== undefined) both[key] = value;
  for (const key of [...ASKED, ...SIGNS]) {
    const [was, is] = [earlier[key], later[key]];
    both[key] = is.look === 'found' ? is : was.look === 'found' ? was : is.look === 'notFound' ? is : was;
  }
  const framesTotal = Math.max(earlier.framesTotal, later.framesTotal);
  return {
    ...(both as Evidence),
    byBox: [...earlier.byBox.filter((b) => !later.byBox.some((l) => l.boxId === b.boxId)), ...later.byBox],
    framesTotal,
    framesRead: Math.min(framesTotal, earlier.framesRead + later.framesRead),
  };
}
