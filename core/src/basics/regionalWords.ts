/** Where the same thing has another name: as beekeepers say it in the US, or in the UK and the Commonwealth. */
export const REGIONS = ['us', 'commonwealth'] as const;
export type Region = (typeof REGIONS)[number];

/** Names that differ, by the name that the application uses (common practice, no source). */
const SAID: Readonly<Record<Region, Readonly<Record<string, string>>>> = {
  us: { roof: 'telescoping cover' },
  commonwealth: {
    'bee bread': 'pollen',
    capped: 'sealed',
    'capped brood': 'sealed brood',
    'capped worker brood': 'sealed worker brood',
    'capped cell': 'sealed cell',
    'capped queen cell': 'sealed queen cell',
    'inner cover': 'crown board',
    'division board': 'partition',
  },
};

/**
 * A name as it is said in a region, its first letter as large as it was; the name itself where the region has no other.
 * Names only: sentences are not searched for them.
 *
 * @example inRegion('Bee bread', 'commonwealth') // => 'Pollen'
 */
export function inRegion(name: string, region: Region): string {
  const there = SAID[region][name.charAt(0).toLowerCase() + name.slice(1)];
  if (there === undefined) return name;
  return name.charAt(0) === name.charAt(0).toLowerCase()
    ? there
    : there.charAt(0).toUpperCase() + there.slice(1);
}
