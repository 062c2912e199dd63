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
            text: `Strap ${newName}, shut its entrance, in the shade and with air`,
            detail: 'It is carried to the other yard at dusk, and opened there. Lift in pairs.',
          },
        ]
      : []),
    {
      kind: 'check',
      text: away ? `Every entrance is open again, but that of ${newName}` : 'Every entrance is open again',
      detail: 'A shut entrance suffocates bees within hours.',
    },
    ...(feed
      ? [
          {
            kind: 'check' as const,
            units: ['new'] as const,
            text: `Set a feeder on ${newName}: it is fed 1:1 this evening`,
            detail: 'When nothing flies: a small part is easily robbed. Small entrance, no syrup spilt.',
          },
        ]
      : []),
    { kind: 'check', units: ['new'], ...tag },
  ];
}
