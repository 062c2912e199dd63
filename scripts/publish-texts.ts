import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { catalogues, inWriting, TEXTS } from './texts/catalogues.ts';

// npm run texts: writes the texts of each feature into one file, from which another language is made.
rmSync(TEXTS, { recursive: true, force: true });
let texts = 0;
for (const [feature, catalogue] of catalogues()) {
  const file = join(TEXTS, `${feature}.json`);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, inWriting(catalogue));
  texts += Object.keys(catalogue).length;
}
console.log(`${texts} texts in ${TEXTS}`);
