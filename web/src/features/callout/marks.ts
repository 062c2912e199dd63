/**
 * Marks of units: a letter and a colour, so that a helper at the other end of the yard knows where a frame goes. White
 * letters on each are readable (contrast above 4.5, WCAG 2.2).
 */
const COLOURS = [
  '#0B6B63',
  '#7A3E8E',
  '#8A5200',
  '#2A5CA8',
  '#A0303F',
  '#4B6416',
  '#6B4A3A',
  '#3F4F8F',
] as const;

export interface Mark {
  readonly letter: string;
  readonly colour: string;
}

/** The mark of the unit at this place, from 0. */
export function markOf(at: number): Mark {
  const letter = String.fromCharCode(65 + (at % 26));
  return {
    letter: at < 26 ? letter : `${letter}${Math.floor(at / 26) + 1}`,
    colour: COLOURS[at % COLOURS.length] ?? COLOURS[0],
  };
}
