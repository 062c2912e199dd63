import type { StepText } from '../base/method.ts';

/** How a piece of work ends. */
export interface Ending {
  readonly newName: string;
  readonly close: { readonly text: string; readonly detail: string };
  /** The new part is carried beyond flying range. */
  readonly away: boolean;
  readonly feed: boolean;
  readonly tag: { readonly text: string; readonly detail: string };
}

/** The last steps of every split: closed, carried, entrances open, fed, tagged. */
export function endingSteps({ newName, close, away, feed, tag }: Ending): StepText[] {
  return [
    { kind: 'close', units: ['stay', 'new'], ...close },
    ...(away
      ? [
          {
            kind: 'lift' as const,
            units: ['new'] as const,
            text: `Strap ${newName} and carry it to the other yard`,
            detail: 'Lift in pairs. Air, shade, no stops.',
          },
        ]
      : []),
    {
      kind: 'check',
      text: 'Every entrance is open again',
      detail: 'A shut entrance suffocates bees within hours.',
    },
    ...(feed
      ? [
          {
            kind: 'check' as const,
            units: ['new'] as const,
            text: `Feed ${newName} this evening, inside, 1:1`,
            detail: 'A small unit is easily robbed: small entrance, no syrup spilt.',
          },
        ]
      : []),
    { kind: 'check', units: ['new'], ...tag },
  ];
}
