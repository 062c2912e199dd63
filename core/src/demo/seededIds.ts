import { seededRandom } from '../basics/index.ts';

/** Makes version 4 identifiers from a seed, the same ones every time. For demos and tests. */
export function seededIds(seed: number): () => string {
  const random = seededRandom(seed);
  const hex = (digits: number) =>
    Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join('');
  return () => `${hex(8)}-${hex(4)}-4${hex(3)}-a${hex(3)}-${hex(12)}`;
}
