import { readFileSync } from 'node:fs';
import { bundle, BUNDLE_VERSION } from '@incremen/core/formats';
import { expect, it } from 'vitest';
import { z } from 'zod';

it('the JSON Schema in docs/schema is that of the code; after a change run npm run schema', () => {
  const published: unknown = JSON.parse(
    readFileSync(new URL(`../../docs/schema/apiary-v${BUNDLE_VERSION}.json`, import.meta.url), 'utf8'),
  );
  expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(bundle, { target: 'draft-2020-12' }))));
});
