import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { ROOT } from '../dataFolder.ts';
import type { Source } from './sources.ts';

/** The classes that a style sheet gives a look, without comments and what stands in quotes or brackets. */
export function classesIn(css: string): Set<string> {
  const bare = css.replaceAll(/\/\*[\s\S]*?\*\/|"[^"]*"|'[^']*'|url\([^)]*\)/g, '');
  return new Set([...bare.matchAll(/\.([a-zA-Z][\w-]*)(?=[^{}]*\{)/g)].map((m) => m[1] as string));
}

/** The style sheets of a workspace by their path. */
export function styleSheetsOf(workspace: string): Map<string, string> {
  const folder = join(ROOT, workspace, 'src');
  return new Map(
    readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((e) => e.isFile() && e.name.endsWith('.css'))
      .map((e) => join(e.parentPath, e.name))
      .map((path) => [relative(ROOT, path), readFileSync(path, 'utf8')]),
  );
}

/** A sheet that describes fonts, and gives nothing a look. */
const describesFonts = (css: string): boolean =>
  css.replaceAll(/\/\*[\s\S]*?\*\/|@font-face\s*\{[^}]*\}/g, '').trim() === '';

/**
 * What is wrong with the classes of a workspace, each in one line: a style sheet that is no module, a class
 * written as text, a class that its module does not have, and one that nobody takes.
 */
export function classFaults(
  sources: readonly Pick<Source, 'path' | 'text'>[],
  sheets: ReadonlyMap<string, string>,
): string[] {
  const faults: string[] = [];
  const taken = new Map<string, Set<string>>();
  for (const { path, text } of sources) {
    if (/className=(["'`]|\{["'`])/.test(text))
      faults.push(`${path} writes a class as text: take it from its module`);
    for (const [, name = '', from = ''] of text.matchAll(/import (\w+) from '(\.[^']*\.css)'/g)) {
      const sheet = join(dirname(path), from);
      const has = classesIn(sheets.get(sheet) ?? '');
      const of = taken.get(sheet) ?? new Set();
      for (const [, one = ''] of text.matchAll(
        new RegExp(`(?<![\\w/])${name}\\.(?!module\\.css)(\\w+)`, 'g'),
      )) {
        of.add(one);
        if (!has.has(one)) faults.push(`${path} takes .${one}, which ${sheet} does not have`);
      }
      // Which of them is taken shows only while it runs: `styles[size]`.
      if (new RegExp(`\\b${name}\\[`).test(text)) has.forEach((one) => of.add(one));
      taken.set(sheet, of);
    }
  }
  for (const [sheet, css] of sheets) {
    if (!sheet.endsWith('.module.css') && !describesFonts(css))
      faults.push(`${sheet} holds for the whole page: make it a module`);
    for (const one of classesIn(css))
      if (!taken.get(sheet)?.has(one)) faults.push(`${sheet}: nobody takes .${one}`);
  }
  return faults;
}

/** Colours written by hand in what is drawn: each is `path:line: colour`. The theme alone may name one. */
export function coloursByHand(texts: ReadonlyMap<string, string>): string[] {
  return [...texts].flatMap(([path, text]) =>
    text.split('\n').flatMap((line, i) => {
      const found = /["'`: ](#[0-9a-f]{3}(?:[0-9a-f]{3,5})?)(?=["'`;\s)])|\brgba?\((?!0 0 0)/i.exec(line);
      return found ? [`${path}:${i + 1}: ${found[1] ?? found[0]}`] : [];
    }),
  );
}
