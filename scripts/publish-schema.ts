import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bundle, BUNDLE_VERSION } from '@incremen/core/formats';
import { z } from 'zod';
import { ROOT } from './dataFolder.ts';

// npm run schema: writes the JSON Schema of the file format, from the schemas that the code itself uses.
const folder = join(ROOT, 'docs/schema');
mkdirSync(folder, { recursive: true });
writeFileSync(
  join(folder, `apiary-v${BUNDLE_VERSION}.json`),
  JSON.stringify(z.toJSONSchema(bundle, { target: 'draft-2020-12' }), null, 1) + '\n',
);
