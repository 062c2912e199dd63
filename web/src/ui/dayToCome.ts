import type { Day, Problem } from '@incremen/core/basics';

/** What is wrong with a day that has not come yet: nothing can have been seen on it. Empty when nothing is. */
export function dayToCome(what: string, day: Day, today: Day): readonly Problem[] {
  if (day <= today) return [];
  return [
    {
      code: 'day-to-come',
      path: ['day'],
      message: `${what} is dated ${day}; today is ${today}.`,
      remedy: 'Correct the day. If today is wrong, set the clock of this device.',
    },
  ];
}
