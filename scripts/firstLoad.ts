import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT } from './dataFolder.ts';

// How much JavaScript the first view needs before it shows: read off the build's manifest, so that it is the
// same on every machine. `npm test` fails when it is more than the limit.
const LIMIT_KB = 350;
const FIRST_VIEWS = ['index.html', 'src/features/today/TodayPage.tsx'];

interface ManifestEntry {
  readonly file: string;
  readonly imports?: readonly string[];
}

const dist = join(ROOT, 'web/dist');
const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8')) as Record<
  string,
  ManifestEntry
>;

const files = new Set<string>();
const follow = (key: string): void => {
  const entry = manifest[key];
  if (!entry) throw new Error(`The build knows no ${key}: name the first view anew in scripts/firstLoad.ts.`);
  if (files.has(entry.file)) return;
  files.add(entry.file);
  for (const imported of entry.imports ?? []) follow(imported);
};
FIRST_VIEWS.forEach(follow);

const sizes = [...files].map((file) => ({
  file,
  kB: gzipSync(readFileSync(join(dist, file)), { level: 9 }).length / 1000,
}));
const total = sizes.reduce((n, s) => n + s.kB, 0);
for (const { file, kB } of sizes.toSorted((a, b) => b.kB - a.kB).slice(0, 5)) {
  console.log(`${kB.toFixed(1).padStart(7)} kB  ${file}`);
}
console.log(`First load: ${total.toFixed(1)} kB of JavaScript gzipped, limit ${LIMIT_KB} kB`);
process.exitCode = total > LIMIT_KB ? 1 : 0;
