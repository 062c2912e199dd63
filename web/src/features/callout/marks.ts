const COLOURS = 8;

/** The mark of a unit: a letter and a colour, so that a helper at the other end of the yard knows where a frame goes. */
export interface Mark {
  readonly letter: string;
  readonly colour: string;
}

/** The mark of the unit at this place, from 0. */
export function markOf(at: number): Mark {
  const letter = String.fromCharCode(65 + (at % 26));
  return {
    letter: at < 26 ? letter : `${letter}${Math.floor(at / 26) + 1}`,
    colour: `var(--chakra-colors-mark${(at % COLOURS) + 1})`,
  };
}
