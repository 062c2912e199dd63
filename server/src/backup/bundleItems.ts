import { JSONParser, TokenType } from '@streamparser/json';
import type { BundlePlace } from '@incremen/core/formats';
import { ProblemError } from '../problems/ProblemError.ts';

/** A value of a backup with its place, as it is found in the text. */
export interface FoundItem {
  readonly place: BundlePlace;
  readonly value: unknown;
}

/** Sections of a file that are lists of values; all else stands in the head. */
const LISTS = ['$.records.*.*', '$.journal.*', '$.photoContents.*'];
const HEAD = ['format', 'version'];
const SECTIONS: ReadonlySet<string> = new Set([...HEAD, 'records', 'journal', 'photoContents']);

/**
 * Reads the JSON of a backup as it comes: the values that each piece of the text completes, one by one.
 *
 * @throws ProblemError 400 when the text is no JSON or ends too early
 */
export async function* bundleItems(text: AsyncIterable<Uint8Array>): AsyncGenerator<readonly FoundItem[]> {
  let found: FoundItem[] = [];
  const parser = new JSONParser({ paths: [...HEAD.map((h) => `$.${h}`), ...LISTS], keepStack: false });
  parser.onValue = ({ value, key, stack }) => {
    found.push({
      place: placeOf(
        stack.slice(1).map((s) => s.key),
        key,
      ),
      value,
    });
  };
  const strangers = topLevelKeys((key) => {
    if (!SECTIONS.has(key)) found.push({ place: { section: key, kind: null, at: null }, value: null });
  });
  parser.onToken = ({ token, value }) => {
    strangers(token, value);
  };
  let broken: Error | null = null;
  parser.onError = (error) => (broken = error);
  for await (const piece of text) {
    if (!parser.isEnded) parser.write(piece);
    if (broken) throw notJson((broken as Error).message);
    if (found.length > 0) yield found;
    found = [];
  }
  if (!parser.isEnded) throw notJson('It ends too early.');
}

function placeOf(
  above: readonly (string | number | undefined)[],
  key: string | number | undefined,
): BundlePlace {
  const [section, kind] = above;
  return {
    section: String(section ?? key),
    kind: kind === undefined ? null : String(kind),
    at: typeof key === 'number' ? key : null,
  };
}

/** Tells the names of the file's outermost object, from its tokens. */
function topLevelKeys(tell: (key: string) => void): (token: TokenType, value: unknown) => void {
  let depth = 0;
  let text = '';
  return (token, value) => {
    if (token === TokenType.LEFT_BRACE || token === TokenType.LEFT_BRACKET) depth++;
    else if (token === TokenType.RIGHT_BRACE || token === TokenType.RIGHT_BRACKET) depth--;
    else if (depth === 1 && token === TokenType.STRING) text = String(value);
    else if (depth === 1 && token === TokenType.COLON) tell(text);
  };
}

const notJson = (why: string): ProblemError =>
  new ProblemError(400, 'malformed', 'This file is not valid JSON. Nothing was changed.', [
    {
      code: 'malformed',
      path: [],
      message: `The file cannot be read. ${why}`,
      remedy: 'Choose a file that “Back up to a file” wrote, whole and unchanged.',
    },
  ]);
