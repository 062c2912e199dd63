import { describe, expect, it } from 'vitest';
import { basisInWords } from './restsOn.ts';

describe('what an example rests on', () => {
  it('is a line for each house rule, with its default and reason', () => {
    expect(basisInWords(['coverCold', 'nucSlots']).split('\n')).toEqual([
      'This example rests on the house rules',
      expect.stringMatching(
        /^ {2}coverCold \(Brood per frame of bees, nights below 10 °C \(50 °F\): 0\.6 frames .+\)\. Bees /,
      ),
      expect.stringMatching(/^ {2}nucSlots \(Slots of a nuc box: \d+ .+\)\. .+/),
    ]);
  });
});
