import { readFileSync } from 'node:fs';
import { Validator } from '@seriousme/openapi-schema-validator';
import { expect, it } from 'vitest';
import { openApi } from './openApi.ts';

// The judge from outside: the JSON Schema of OpenAPI 3.1, as that package ships it.
it('the description of the API is valid OpenAPI 3.1', async () => {
  const result = await new Validator().validate(JSON.parse(JSON.stringify(openApi())));
  expect(result.errors).toBeUndefined();
  expect(result.valid).toBe(true);
});

it('docs/api/openapi.json is that of the code; after a change run npm run schema', () => {
  const published: unknown = JSON.parse(
    readFileSync(new URL('../../docs/api/openapi.json', import.meta.url), 'utf8'),
  );
  expect(published).toEqual(JSON.parse(JSON.stringify(openApi())));
});
