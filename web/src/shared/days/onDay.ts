import { dayInWords, yearOf, type Day } from '@incremen/core/basics';

/** A day as it is said on another: with its year where that is another one. */
export const onDay = (day: Day, today: Day): string =>
  yearOf(day) === yearOf(today) ? dayInWords(day) : `${dayInWords(day)} ${yearOf(day)}`;
