import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parseSync, type ParseResult } from 'oxc-parser';
import { ROOT } from '../dataFolder.ts';

/** A file of the project, parsed. */
export interface Source {
  /** From the project's folder: `core/src/comb/contents.ts`. */
  readonly path: string;
  readonly text: string;
  readonly parsed: ParseResult;
}

/** Parses a text as if it stood at this path. @throws Error when it is no TypeScript */
export function parseSource(path: string, text: string): Source {
  const parsed = parseSync(path, text, { sourceType: 'module' });
  const [error] = parsed.errors;
  if (error) throw new Error(`${path}: ${error.message}`);
  return { path, text, parsed };
}

const isTest = (path: string) => /\.test\.tsx?$/.test(path) || path.includes('/testing/');

/** The TypeScript of a workspace, without its tests and what serves them. */
export function sourcesOf(workspace: string): Source[] {
  const folder = join(ROOT, workspace, 'src');
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && /\.tsx?$/.test(e.name))
    .map((e) => relative(ROOT, join(e.parentPath, e.name)))
    .filter((path) => !isTest(path))
    .toSorted()
    .map((path) => parseSource(path, readFileSync(join(ROOT, path), 'utf8')));
}
