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

/** The ground colour under each pattern. */
export const CONTENT_COLOUR: Readonly<Record<ContentClass, string>> = {
  honey: '#E3A72F',
  nectar: '#F6DFA0',
  beeBread: '#A8452A',
  eggs: '#FFFFFF',
  open: '#EBD5A6',
  capped: '#8A6A50',
  emerging: '#A88A6E',
  drone: '#4D3A2E',
  drawn: '#E9ECE4',
  foundation: '#FFFFFF',
};

/** Paint of the marking dots. */
export const DOT_COLOUR: Readonly<Record<MarkingColour, string>> = {
  white: '#FFFFFF',
  yellow: '#F2C81E',
  red: '#D2372B',
  green: '#2E8B4A',
  blue: '#2D5FB8',
};

/** Ink of everything drawn on comb. */
export const COMB_INK = '#18282B';
