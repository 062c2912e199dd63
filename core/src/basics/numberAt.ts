/*
 * What the kernels read lists and typed arrays with, instead of trusting every index. One function for each kind of
 * list, though all read the same: an engine that sees one kind at a place reads it directly, and a function that has
 * been given every kind is several times slower (measured on the rounds of the search).
 */

function missing(list: ArrayLike<number>, index: number): never {
  throw new RangeError(`There is no number at ${index} of ${list.length}.`);
}

/**
 * The number at a place of a list.
 *
 * @throws RangeError for a place that is not in it
 */
export function numberAt(list: readonly number[], index: number): number {
  return list[index] ?? missing(list, index);
}

/** The number at a place of an array of floats; throws as `numberAt` does. */
export function floatAt(list: Float64Array, index: number): number {
  return list[index] ?? missing(list, index);
}

/** The number at a place of an array of whole numbers; throws as `numberAt` does. */
export function intAt(list: Int32Array, index: number): number {
  return list[index] ?? missing(list, index);
}

/** The number at a place of an array of small whole numbers; throws as `numberAt` does. */
export function byteAt(list: Int8Array | Uint8Array, index: number): number {
  return list[index] ?? missing(list, index);
}

/** The number at a place of one of several rows of floats; throws as `numberAt` does, also for a row that is not there. */
export function cellAt(rows: readonly Float64Array[], row: number, index: number): number {
  return rows[row]?.[index] ?? missing(rows[row] ?? [], index);
}
