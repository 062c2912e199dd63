import { Visitor, type Expression, type PrivateIdentifier } from 'oxc-parser';
import type { Source } from './sources.ts';

/** Fields that hold what people read. Code decides by ids and tags, never by these. */
const SPOKEN = new Set([
  'caution',
  'detail',
  'expect',
  'failure',
  'heading',
  'label',
  'mend',
  'message',
  'reason',
  'reasons',
  'remedy',
  'sentence',
  'text',
  'title',
  'why',
  'words',
]);
const READERS = new Set([
  'startsWith',
  'endsWith',
  'includes',
  'indexOf',
  'match',
  'search',
  'test',
  'split',
  'replace',
]);

type Node = Expression | PrivateIdentifier;

const textOf = (node: Node): string | null =>
  node.type === 'Literal' && typeof node.value === 'string'
    ? node.value
    : node.type === 'TemplateLiteral'
      ? node.quasis.map((q) => q.value.raw).join(' ')
      : null;

/** The names of keys begin with a capital too. */
const KEYS = new Set(['Enter', 'Escape', 'Home', 'End', 'Tab', 'Backspace', 'Delete']);

/** A piece of a sentence: several words, or one that begins with a capital. Ids, tags and keys are neither. */
const isProse = (text: string | null) =>
  text !== null &&
  !KEYS.has(text) &&
  !text.startsWith('Arrow') &&
  (/[A-Za-z]{2,} +[a-z]/.test(text) || /^[A-Z][a-z]+( |$)/.test(text));

/** The field that an expression reads, through calls and `?.`: `reason` of `line.reason.toLowerCase()`. */
function fieldOf(node: Node): string | null {
  if (node.type === 'MemberExpression')
    return !node.computed && node.property.type === 'Identifier' && SPOKEN.has(node.property.name)
      ? node.property.name
      : fieldOf(node.object);
  if (node.type === 'CallExpression') return fieldOf(node.callee);
  if (
    node.type === 'ChainExpression' ||
    node.type === 'TSNonNullExpression' ||
    node.type === 'TSAsExpression'
  )
    return fieldOf(node.expression);
  return null;
}

/** A place where code looks into a sentence that is shown. */
export interface SentenceRead {
  readonly path: string;
  readonly line: number;
  readonly code: string;
}

/**
 * Where a file compares displayed text: a spoken field with any text, or anything with a piece of a sentence, by
 * `===`, `startsWith`, `includes`, a pattern or a `case`. What parses foreign text is named as an exception beside
 * the test, with its reason.
 */
export function sentenceReads({ path, text, parsed }: Source): SentenceRead[] {
  const found: SentenceRead[] = [];
  const note = ({ start, end }: { readonly start: number; readonly end: number }) =>
    found.push({
      path,
      line: text.slice(0, start).split('\n').length,
      code: text.slice(start, Math.min(end, start + 120)).replace(/\s+/g, ' '),
    });
  const isCompared = (a: Node, b: Node) =>
    isProse(textOf(a)) ||
    (fieldOf(a) !== null && (textOf(b) !== null ? textOf(b) !== '' : fieldOf(b) !== null));
  new Visitor({
    BinaryExpression(node) {
      if (!['===', '!==', '==', '!='].includes(node.operator)) return;
      if (isCompared(node.left, node.right) || isCompared(node.right, node.left)) note(node);
    },
    SwitchCase(node) {
      if (node.test && isProse(textOf(node.test))) note(node.test);
    },
    CallExpression(node) {
      const { callee } = node;
      if (callee.type !== 'MemberExpression' || callee.property.type !== 'Identifier') return;
      if (!READERS.has(callee.property.name)) return;
      const [first] = node.arguments;
      const given = first && first.type !== 'SpreadElement' ? first : null;
      const readsField =
        fieldOf(callee.object) !== null ||
        (given !== null && callee.property.name === 'test' && fieldOf(given) !== null);
      if (readsField || (given !== null && isProse(textOf(given)))) note(node);
    },
  }).visit(parsed.program);
  return found;
}
