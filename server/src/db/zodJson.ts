import { JsonType } from '@mikro-orm/postgresql';
import type { ZodType } from 'zod';

/**
 * A jsonb column whose value is parsed by a Zod schema when it is read and when it is written.
 *
 * The schema stays in the closure: the mapper clones type instances deeply, and a cloned schema is broken.
 */
export function zodJson<T>(schema: ZodType<T>): new () => JsonType {
  return class ZodJson extends JsonType {
    override convertToDatabaseValue(
      ...[value, platform, context]: Parameters<JsonType['convertToDatabaseValue']>
    ): string | null {
      return super.convertToDatabaseValue(value == null ? value : schema.parse(value), platform, context);
    }
    override convertToJSValue(...[value, platform]: Parameters<JsonType['convertToJSValue']>): unknown {
      const parsed = super.convertToJSValue(value, platform);
      return parsed == null ? parsed : schema.parse(parsed);
    }
  };
}
