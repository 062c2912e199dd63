import { dirname, normalize } from 'node:path/posix';
import type { Source } from './sources.ts';

/** One file that imports another of the same workspace; imports of types are imports. */
export interface Arrow {
  readonly from: string;
  readonly to: string;
}

/** What a file imports by a relative path, hands on, or fetches when it is needed. */
export function arrowsOf({ path, text, parsed }: Source): Arrow[] {
  const { staticImports, staticExports, dynamicImports } = parsed.module;
  const targets = [
    ...staticImports.map((i) => i.moduleRequest.value),
    ...staticExports.flatMap((e) => e.entries.flatMap((entry) => entry.moduleRequest?.value ?? [])),
    ...dynamicImports.map(({ moduleRequest: { start, end } }) => text.slice(start + 1, end - 1)),
  ];
  return [...new Set(targets)]
    .filter((target) => target.startsWith('.'))
    .map((target) => ({ from: path, to: normalize(`${dirname(path)}/${target}`) }));
}
