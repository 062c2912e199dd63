import { CONTENT_CLASSES, sumOfTenths, type ContentClass, type Contents } from './contents.ts';

/** What a frame mostly holds, as one says it when it is lifted out. */
export const STAMP_KINDS = [
  'mixed',
  'capped',
  'young',
  'emerging',
  'drone',
  'honey',
  'nectar',
  'beeBread',
  'drawn',
  'foundation',
] as const;
export type StampKind = (typeof STAMP_KINDS)[number];

/** How much of the frame it is, in quarters. */
export type Quarters = 1 | 2 | 3 | 4;

const half = (n: number) => Math.round(n * 2) / 2;

/**
 * The contents of a side that is, say, three quarters capped brood: the rest is filled as on a typical
 * comb, bee bread and honey above brood, empty cells below.
 *
 * Mixed brood is shared out 3 : 6 : 12 over eggs, open and capped brood, young brood 1 : 2 over eggs and
 * open. Amounts are half tenths and always come to ten.
 */
export function stampContents(kind: StampKind, quarters: Quarters): Contents {
  const main = quarters * 2.5;
  const named = mainContents(kind, main);
  const rest = 10 - sumOfTenths(named);
  return complete({ ...named, ...restOf(kind, rest, named) });
}

function mainContents(kind: StampKind, main: number): Record<string, number> {
  switch (kind) {
    case 'mixed': {
      const capped = half((main * 12) / 21);
      const eggs = half((main * 3) / 21);
      return { eggs, open: main - capped - eggs, capped };
    }
    case 'young': {
      const eggs = half(main / 3);
      return { eggs, open: main - eggs };
    }
    case 'capped':
    case 'emerging':
    case 'drone':
    case 'honey':
    case 'nectar':
    case 'beeBread':
    case 'drawn':
    case 'foundation':
      return { [kind]: main };
  }
}

function restOf(kind: StampKind, rest: number, named: Record<string, number>): Record<string, number> {
  if (rest <= 0) return {};
  switch (kind) {
    case 'mixed':
    case 'capped':
    case 'young':
    case 'emerging':
    case 'drone': {
      const beeBread = Math.min(1, half(rest * 0.3));
      const honey = half((rest - beeBread) * 0.5);
      return { beeBread, honey, drawn: rest - beeBread - honey };
    }
    case 'beeBread': {
      const honey = half(rest * 0.5);
      return { honey, drawn: rest - honey };
    }
    case 'honey':
    case 'nectar':
      return { drawn: rest };
    case 'drawn':
      // Comb that is built in part is foundation for the rest.
      return { foundation: rest };
    case 'foundation':
      return { drawn: (named['drawn'] ?? 0) + rest };
  }
}

function complete(amounts: Readonly<Record<string, number | undefined>>): Contents {
  return Object.fromEntries(
    CONTENT_CLASSES.flatMap((c) => ((amounts[c] ?? 0) > 0 ? [[c, amounts[c]]] : [])),
  ) as Contents;
}

/**
 * Paints one tenth of a side: the strip at `strip` (0 is the top) becomes `content`.
 *
 * Strips lie in the order of real comb, so what is painted moves to its place.
 */
export function paintTenth(onASide: Contents, strip: number, content: ContentClass): Contents {
  const strips = stripsOf(onASide);
  const was = strips[strip];
  if (was === undefined || was === content) return onASide;
  const amounts: { [K in ContentClass]?: number | undefined } = { ...onASide };
  const taken = Math.min(1, amounts[was] ?? 0);
  amounts[was] = (amounts[was] ?? 0) - taken;
  amounts[content] = (amounts[content] ?? 0) + taken;
  return complete(amounts);
}

/** The ten strips of a side from the top down, each by the content that fills most of it. */
export function stripsOf(onASide: Contents): ContentClass[] {
  const strips: ContentClass[] = [];
  let upTo = 0;
  for (const c of CONTENT_CLASSES) {
    upTo += onASide[c] ?? 0;
    while (strips.length < Math.min(10, Math.round(upTo))) strips.push(c);
  }
  while (strips.length < 10) strips.push('drawn');
  return strips;
}
