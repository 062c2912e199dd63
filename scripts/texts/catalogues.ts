import { existsSync, readFileSync } from 'node:fs';
import { basename, join, sep } from 'node:path';
import { ROOT } from '../dataFolder.ts';
import { sourcesOf } from '../structure/sources.ts';
import { textUnits } from './textUnits.ts';

/** The texts of one feature: what is said, and in which files. */
export type Catalogue = Readonly<Record<string, string>>;

/** Where the texts of each feature stand, in the language of the code. */
export const TEXTS = join(ROOT, 'texts');
/** Folders in which each folder is a feature. */
const OF_FEATURES = ['web/src/features', 'web/src/shared', 'web/src', 'core/src'];

/** Name of the catalogue to which a file's texts belong: `web/features/count`. @param file - from the root of the project */
export function featureOf(file: string): string | null {
  const path = file.split(sep).join('/');
  const above = OF_FEATURES.find((f) => path.startsWith(`${f}/`));
  if (above === undefined) return null;
  const [folder = '', rest] = path.slice(above.length + 1).split('/');
  return `${above.replace('/src', '')}/${rest === undefined ? 'start' : folder}`;
}

/** What the keeper of the demonstration wrote is not the product's. */
const DEMO = 'core/demo';

/** The texts of every feature, as they stand in the code now; by the name of the feature. */
export function catalogues(): Map<string, Catalogue> {
  const all = new Map<string, Map<string, Set<string>>>();
  for (const source of [...sourcesOf('web'), ...sourcesOf('core')]) {
    const feature = featureOf(source.path);
    if (feature === null || feature === DEMO) continue;
    const here = all.get(feature) ?? new Map<string, Set<string>>();
    for (const { message } of textUnits(source))
      here.set(message, (here.get(message) ?? new Set<string>()).add(basename(source.path)));
    if (here.size > 0) all.set(feature, here);
  }
  return new Map(
    [...all]
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .map(([feature, texts]) => [
        feature,
        Object.fromEntries([...texts].map(([message, files]) => [message, [...files].join(', ')])),
      ]),
  );
}

/** A catalogue as it is written down. */
export const inWriting = (catalogue: Catalogue): string => JSON.stringify(catalogue, null, 2) + '\n';

/** What a language says, by feature: what is not there is said in the language of the code. @param folder - of that language */
export function languageIn(folder: string): (file: string) => Catalogue {
  const read = new Map<string, Catalogue>();
  return (file) => {
    const feature = featureOf(file);
    if (feature === null) return {};
    const known = read.get(feature);
    if (known) return known;
    const path = join(folder, `${feature}.json`);
    const catalogue = existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as Catalogue) : {};
    read.set(feature, catalogue);
    return catalogue;
  };
}
