import { z } from 'zod';

/** The five colours of the international convention, in its order. */
export const MARKING_COLOURS = ['white', 'yellow', 'red', 'green', 'blue'] as const;
export const markingColourSchema = z.enum(MARKING_COLOURS);
export type MarkingColour = z.infer<typeof markingColourSchema>;

/**
 * The colour for queens born in a year, by the year's last digit (international convention):
 * 1/6 white, 2/7 yellow, 3/8 red, 4/9 green, 5/0 blue.
 */
export function markingColour(birthYear: number): MarkingColour {
  return MARKING_COLOURS[(birthYear + 4) % 5] as MarkingColour;
}

/**
 * A dot that disagrees with the birth year, or undefined when they agree or one is missing. The birth
 * year rules: pens get lost, years do not.
 */
export function colourClash(
  birthYear: number | null,
  dot: MarkingColour | null,
): { worn: MarkingColour; byYear: MarkingColour } | undefined {
  if (birthYear === null || dot === null) return undefined;
  const byYear = markingColour(birthYear);
  return byYear === dot ? undefined : { worn: dot, byYear };
}
