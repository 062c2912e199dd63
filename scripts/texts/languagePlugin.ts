import { relative } from 'node:path';
import type { Plugin } from 'vite';
import { ROOT } from '../dataFolder.ts';
import { parseSource } from '../structure/sources.ts';
import { languageIn } from './catalogues.ts';
import { spoken } from './spoken.ts';

/** Builds the application in another language. @param folder - its catalogues, in the order of those in `texts` */
export function inLanguage(folder: string): Plugin {
  const catalogueOf = languageIn(folder);
  return {
    name: 'incremen-language',
    enforce: 'pre',
    transform(code, id) {
      const file = relative(ROOT, id.split('?')[0] ?? '');
      if (!/\.tsx?$/.test(file)) return null;
      const catalogue = catalogueOf(file);
      return spoken(parseSource(file, code), (message) =>
        Object.hasOwn(catalogue, message) ? catalogue[message] : undefined,
      );
    },
  };
}
