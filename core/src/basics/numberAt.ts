/**
 * The number at a place of a list or a typed array: what the kernels read with, instead of trusting every index.
 *
 * @throws RangeError for a place that is not in it
 */
export function numberAt(list: ArrayLike<number>, index: number): number {
  const number = list[index];
  if (number === undefined) throw new RangeError(`There is no number at ${index} of ${list.length}.`);
  return number;
}
