import type { ContentClass } from '@incremen/core/comb';
import type { MarkingColour } from '@incremen/core/records';

/**
 * How each content of comb is drawn. Every one differs by pattern as well as by colour, so that the
 * pictures can be read without colour vision; the colours are the same by day and by night, as comb is.
 */
export const CONTENT_FILL: Readonly<Record<ContentClass, string>> = {
  honey: 'url(#comb-honey)',
  nectar: 'url(#comb-nectar)',
  beeBread: 'url(#comb-bread)',
  eggs: 'url(#comb-eggs)',
  open: 'url(#comb-open)',
  capped: 'url(#comb-capped)',
  emerging: 'url(#comb-emerging)',
  drone: 'url(#comb-drone)',
  drawn: 'url(#comb-drawn)',
  foundation: 'url(#comb-foundation)',
};

/** A colour of comb and what is drawn on it, by the name that the theme has for it. */
export const combColour = (name: string) => `var(--chakra-colors-comb-${name})`;

/** The ground colour under each pattern. */
export const CONTENT_COLOUR: Readonly<Record<ContentClass, string>> = {
  honey: combColour('honey'),
  nectar: combColour('nectar'),
  beeBread: combColour('bee-bread'),
  eggs: combColour('eggs'),
  open: combColour('open'),
  capped: combColour('capped'),
  emerging: combColour('emerging'),
  drone: combColour('drone'),
  drawn: combColour('drawn'),
  foundation: combColour('foundation'),
};

/** Paint of the marking dots; `none` is a queen without a mark. */
export const dotColour = (mark: MarkingColour | 'none' | 'ring') => `var(--chakra-colors-dot-${mark})`;

/** Ink of everything drawn on comb. */
export const COMB_INK = combColour('ink');
