import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openApi } from '@incremen/contract/openapi';
import { bundle, BUNDLE_VERSION } from '@incremen/core/formats';
import { z } from 'zod';
import { ROOT } from './dataFolder.ts';

// npm run schema: writes the JSON Schema of the file format and the description of the API, from the schemas that the
// code itself uses.
const folder = join(ROOT, 'docs/schema');
mkdirSync(folder, { recursive: true });
writeFileSync(
  join(folder, `apiary-v${BUNDLE_VERSION}.json`),
  JSON.stringify(z.toJSONSchema(bundle, { target: 'draft-2020-12' }), null, 1) + '\n',
);

const api = join(ROOT, 'docs/api');
mkdirSync(api, { recursive: true });
writeFileSync(join(api, 'openapi.json'), JSON.stringify(openApi(), null, 1) + '\n');
