/** Where the same thing has another name: as beekeepers say it in the US, or in the UK and the Commonwealth. */
export const REGIONS = ['us', 'commonwealth'] as const;
export type Region = (typeof REGIONS)[number];

/** Words that differ, by the one that the application uses (common practice, no source). */
const SAID: Readonly<Record<Region, Readonly<Record<string, string>>>> = {
  us: { roof: 'telescoping cover' },
  commonwealth: {
    'bee bread': 'pollen',
    capped: 'sealed',
    uncapped: 'unsealed',
    'inner cover': 'crown board',
    'division board': 'partition',
  },
};

const FOUND: Readonly<Record<Region, RegExp>> = { us: anyOf('us'), commonwealth: anyOf('commonwealth') };

function anyOf(region: Region): RegExp {
  return new RegExp(`\\b(${Object.keys(SAID[region]).join('|')})(s?)\\b`, 'gi');
}

/**
 * A text as it is said in a region: each word that has another name there takes it, a first letter as large as it was, one or
 * several.
 *
 * @example inRegion('Capped brood under the inner covers', 'commonwealth') // => 'Sealed brood under the crown boards'
 */
export function inRegion(text: string, region: Region): string {
  return text.replace(FOUND[region], (_all, word: string, plural: string) => {
    const there = SAID[region][word.toLowerCase()] ?? word;
    const large = word.charAt(0) !== word.charAt(0).toLowerCase();
    return `${large ? there.charAt(0).toUpperCase() + there.slice(1) : there}${plural}`;
  });
}
