import type { Node } from 'oxc-parser';
import type { Source } from '../structure/sources.ts';

/** A text that people read, as it stands in a source. */
export interface TextUnit {
  /** `{0} of {1} counted`: what is worked out stands as a number in braces. */
  readonly message: string;
  readonly start: number;
  readonly end: number;
  /** Where what is worked out stands in the source, by its number. */
  readonly holes: readonly { readonly start: number; readonly end: number }[];
  /** How it is written: in quotes, quotes of an attribute, back quotes, or between tags. */
  readonly shape: 'quoted' | 'attribute' | 'template' | 'children';
}

/** Attributes whose values are read by machines. */
const MACHINE_ATTRIBUTE =
  /^(class(Name)?|type|as|id|key|href|to|d|viewBox|transform|rel|role|name|mode|lang|translate|htmlFor|template\w*|grid\w*|transition|fontFamily|boxShadow|background\w*|border\w*|flex|variant|textDecoration|whiteSpace|aria-(live|current|controls|labelledby|describedby|orientation|haspopup|hidden))$/;
/** Calls to which texts go that nobody reads. */
const MACHINE_CALL =
  /^(Symbol|URL|RegExp|fetch|addEventListener|removeEventListener|querySelector(All)?|closest|matches|matchMedia|getItem|setItem|includes|startsWith|endsWith|indexOf|split|replace|replaceAll|test|createElement|setAttribute|getAttribute|hasAttribute|localeCompare|lazyPart|channel|define|observe)$/;

/** Properties and attributes whose value is shown. */
const SHOWN_BY_NAME = /^(label|title|words|say|verb|noun|plural|hint|placeholder|alt|unit|aria-label)$/;

/** Tables of words by what they stand for. */
const TABLE_OF_WORDS = /(^|_)(WORDS|NAMES|WAYS|MANY|STATES|WHY)$/;

const LETTERS = /\p{L}{2}/u;
const CODE = /[{}<>=|\\]|;(\S|\s*$)|:\/\/|^[./#@]|\bvar\(|\d(px|rem|em|fr|ms|vh|vw|ch)\b|^\S*[/_]\S*$|^\w+\(.*\)$/;

/** The language in which numbers, days and lists are written: it goes with that of the texts. */
const LANGUAGE = /^en(-GB)?$/;

/** Whether a text in quotes is one for people: several words, or one with a capital. */
const isForPeople = (text: string): boolean =>
  LANGUAGE.test(text) ||
  (LETTERS.test(text) &&
    !CODE.test(text.trim()) &&
    (/\S\s+\S|^\s|\s$/.test(text) || /^\p{Lu}\p{Ll}/u.test(text)));

/** What stands between the places of a text in back quotes that are worked out. */
const wordsOf = (template: Any): string[] =>
  (template['quasis'] as { value: { cooked: string | null } }[]).map((q) => q.value.cooked ?? '');

type Any = Node & Record<string, unknown>;
const isNode = (x: unknown): x is Any => typeof x === 'object' && x !== null && 'type' in x;

/** Of what stands between tags the text as it is shown: lines are joined, and white space at their ends is not shown. */
function shown(text: string): string {
  const lines = text.split('\n');
  return lines
    .map((line, i) => {
      const left = i === 0 ? line : line.trimStart();
      return i === lines.length - 1 ? left : left.trimEnd();
    })
    .filter((line) => line !== '')
    .join(' ');
}

/** The texts for people in a source, in its order; one that stands in what another leaves open follows it. */
export function textUnits({ parsed }: Source): TextUnit[] {
  const units: TextUnit[] = [];
  const visit = (node: Any, place: Place): void => {
    const unit = unitOf(node, place);
    if (unit === 'machine') return;
    if (unit !== null) units.push(unit);
    for (const [field, value] of Object.entries(node)) {
      const isShown = isShownIn(node, field, place);
      for (const child of Array.isArray(value) ? value : [value])
        if (isNode(child)) visit(child, { parent: node, field, isShown });
    }
  };
  visit(parsed.program as unknown as Any, { parent: null, field: '', isShown: false });
  return units.toSorted((a, b) => a.start - b.start || b.end - a.end);
}

/** Where a node stands. */
interface Place {
  readonly parent: Any | null;
  /** In which part of its parent. */
  readonly field: string;
  /** Whether what it gives is shown as it is: between tags, in the middle of a sentence, or by a name that says so. */
  readonly isShown: boolean;
}

function isShownIn(node: Any, field: string, { parent, isShown }: Place): boolean {
  const type: string = node.type;
  switch (type) {
    case 'JSXExpressionContainer':
      return parent?.type !== 'JSXAttribute' || SHOWN_BY_NAME.test(nameOf(parent['name']));
    case 'JSXAttribute':
      return SHOWN_BY_NAME.test(nameOf(node['name']));
    case 'VariableDeclarator':
      return field === 'init' && TABLE_OF_WORDS.test(nameOf(node['id']));
    case 'ObjectExpression':
    case 'ArrayExpression':
    case 'TSAsExpression':
    case 'TSSatisfiesExpression':
      return isShown;
    case 'Property': {
      const key = nameOf(node['key']);
      return field === 'value' && (isShown ? !/^(id|kind|type)$/.test(key) : SHOWN_BY_NAME.test(key));
    }
    case 'TemplateLiteral':
      return LETTERS.test(wordsOf(node).join(''));
    case 'CallExpression':
      return field === 'arguments' && nameOf(node['callee']) === 'count';
    case 'ConditionalExpression':
      return isShown && field !== 'test';
    case 'LogicalExpression':
      return isShown && field === 'right';
    default:
      return false;
  }
}

/** The unit that begins at a node; `machine` where nothing inside is for people. */
function unitOf(node: Any, { parent, field, isShown }: Place): TextUnit | 'machine' | null {
  const { start, end } = node;
  const type: string = node.type;
  switch (type) {
    case 'ImportDeclaration':
    case 'ImportExpression':
    case 'ExportAllDeclaration':
    case 'TSLiteralType':
    case 'TSTypeAliasDeclaration':
    case 'TSInterfaceDeclaration':
    case 'TSEnumDeclaration':
      return 'machine';
    case 'JSXAttribute':
      return MACHINE_ATTRIBUTE.test(nameOf(node['name'])) ? 'machine' : null;
    case 'JSXElement':
    case 'JSXFragment':
      return childrenOf(node['children'] as Any[]);
    case 'TemplateLiteral': {
      if (parent?.type === 'TaggedTemplateExpression') return 'machine';
      const quasis = wordsOf(node);
      const holes = (node['expressions'] as Any[]).map((e) => ({ start: e.start, end: e.end }));
      const words = quasis.join('…');
      if (
        !LETTERS.test(words) ||
        CODE.test(words.replaceAll('…', ' ').trim()) ||
        !/\s|^\p{Lu}\p{Ll}/u.test(words)
      )
        return null;
      const message = quasis.map((q, i) => (i === 0 ? q : `{${i - 1}}${q}`)).join('');
      return { message, start, end, holes, shape: 'template' };
    }
    case 'Literal': {
      const text = node['value'];
      if (typeof text !== 'string' || isForMachines(parent, field)) return null;
      if (!isForPeople(text) && !(isShown && LETTERS.test(text))) return null;
      const shape = parent?.type === 'JSXAttribute' ? 'attribute' : 'quoted';
      return { message: text, start, end, holes: [], shape };
    }
    default:
      return null;
  }
}

const nameOf = (name: unknown): string => {
  if (!isNode(name)) return '';
  if (name.type === 'JSXNamespacedName') return '';
  if (name.type === 'MemberExpression') return nameOf(name['property']);
  return typeof name['name'] === 'string' ? name['name'] : '';
};

function isForMachines(parent: Any | null, field: string): boolean {
  const type: string = parent?.type ?? '';
  switch (type) {
    case 'BinaryExpression':
      return parent?.['operator'] !== '+';
    case 'Property':
      return field === 'key';
    case 'CallExpression':
    case 'NewExpression':
      return MACHINE_CALL.test(nameOf(parent?.['callee']));
    case 'SwitchCase':
    case 'MemberExpression':
    case 'ExportNamedDeclaration':
    case 'ExpressionStatement':
      return true;
    default:
      return false;
  }
}

/** What stands between the tags of an element as one text, if there are words in it. */
function childrenOf(children: readonly Any[]): TextUnit | null {
  const first = children[0];
  const last = children.at(-1);
  if (!first || !last) return null;
  let message = '';
  const holes: { start: number; end: number }[] = [];
  for (const child of children) {
    const inside = child.type === 'JSXExpressionContainer' ? (child['expression'] as Any) : null;
    if (child.type === 'JSXText') message += shown(child['value'] as string);
    else if (inside?.type === 'Literal' && typeof inside['value'] === 'string') message += inside['value'];
    else if (inside?.type !== 'JSXEmptyExpression') {
      message += `{${holes.length}}`;
      holes.push({ start: child.start, end: child.end });
    }
  }
  if (!children.some((c) => c.type === 'JSXText' && LETTERS.test(c['value'] as string))) return null;
  return { message, start: first.start, end: last.end, holes, shape: 'children' };
}
