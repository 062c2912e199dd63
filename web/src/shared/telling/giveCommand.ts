import type { Day } from '@incremen/core/basics';
import type { CommandOf, Given } from '@incremen/core/records';

/** A colony was given something on a day: feed, or a treatment. @param newId - makes identifiers */
export const giveCommand = (
  colonyId: string,
  day: Day,
  body: Given['body'],
  newId: () => string,
): CommandOf<'give'> => ({
  type: 'give',
  given: { id: newId(), colonyId, day, body, outOn: null, note: '' },
  newIds: [newId()],
});
