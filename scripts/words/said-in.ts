import type {
  JSXAttribute,
  JSXElement,
  JSXFragment,
  KeyValueProperty,
  NewExpression,
  StringLiteral,
  TaggedTemplateExpression,
  TemplateLiteral,
} from '@swc/core';
import { parseSync } from '@swc/core';
import { isInPhrase, lineOf, mayHoldMore, phraseOf } from './line-of';

type Told =
  | JSXAttribute
  | JSXElement
  | JSXFragment
  | KeyValueProperty
  | NewExpression
  | StringLiteral
  | TaggedTemplateExpression
  | TemplateLiteral;

/** Any part of a parsed file; items of lists and arguments stand in wrappers without a type. */
interface Tree {
  readonly type?: string;
}

/** What other files say, and types. */
const SILENT =
  /^Import(?!Default)|^Export(All|Named)Declaration$|^Ts(?!As|Satisfies|NonNull|ConstAssertion)/;

/** What is said or shown under these names, even where it is one word. */
const SAYING = new Set(
  'alt aria-label aria-description caption description hint label legend name none note placeholder says summary text title what when why word words'.split(
    ' ',
  ),
);

/** What is never said: names for the program, drawings, addresses. */
const UNSAID = new Set(
  'accept autoComplete className d font gridRow gridTemplateRows href id inputMode key points rel role src style transform type viewBox'.split(
    ' ',
  ),
);

/**
 * Everything that a file says to a reader, each once and in its order: sentences with their parts in place, what is worked out in
 * braces, one of several in brackets.
 *
 * @param source TypeScript
 * @param hasElements as a `.tsx` has
 */
export function saidIn(source: string, hasElements = true): readonly string[] {
  const said = saidBy(parseSync(source, { syntax: 'typescript', tsx: hasElements }));
  return [...new Set(said.map(line => line.replace(/\s+/g, ' ').trim()))].filter(Boolean);
}

function saidBy(node: unknown): readonly string[] {
  if (Array.isArray(node)) return node.flatMap(saidBy);
  if (!isTree(node) || isSilent(node)) return [];
  if (is(node, 'JSXElement')) return [...saidBy(node.opening.attributes), ...saidInside(node)];
  if (is(node, 'JSXFragment')) return saidInside(node);
  if (is(node, 'JSXAttribute')) return saidUnder(attributeName(node), node.value);
  if (is(node, 'KeyValueProperty')) return saidUnder(propertyName(node), node.value);
  if (is(node, 'StringLiteral')) return areWords(node.value) ? [node.value] : [];
  if (is(node, 'TemplateLiteral')) {
    const line = lineOf(node);
    return [
      ...(areWords(line) ? [line] : []),
      ...besides(line, node.expressions.filter(mayHoldMore)),
    ];
  }
  return Object.values(node).flatMap(saidBy);
}

/** A sentence and what stands within it; then what its other parts say. */
function saidInside({ children }: JSXElement | JSXFragment): readonly string[] {
  if (!children.some(child => child.type === 'JSXText' && /[A-Za-z]/.test(child.value)))
    return saidBy(children);
  const phrase = phraseOf(children);
  return [
    phrase,
    ...besides(
      phrase,
      children.filter(child => !isInPhrase(child)),
    ),
  ];
}

/** What parts say that the line around them does not hold already. */
function besides(line: string, parts: readonly unknown[]): readonly string[] {
  return saidBy(parts).filter(part => !line.includes(part));
}

function saidUnder(name: string, value: unknown): readonly string[] {
  if (UNSAID.has(name) || name.startsWith('data-')) return [];
  const isWord = isTree(value) && is(value, 'StringLiteral') && /[A-Za-z]{2}/.test(value.value);
  return isWord && SAYING.has(name) ? [value.value] : saidBy(value);
}

/** Defects that are thrown, styles, types and what comes from other files say nothing to a reader. */
function isSilent(node: Tree): boolean {
  if (SILENT.test(node.type ?? '') || is(node, 'TaggedTemplateExpression')) return true;
  if (!is(node, 'NewExpression')) return false;
  return node.callee.type === 'Identifier' && /Error$/.test(node.callee.value);
}

/** What looks like words and is none. */
const NO_WORDS: readonly RegExp[] = [
  /;[a-z-]+:|var\(--/, // a style
  /^</, // a drawing, or a page
  /\[data-|^input, /, // a query of a page
  /max-age|'none'/, // a head of an answer
  /\(\?:|^(?!.*--).*\w\|\w/, // a pattern
  /^use \w+$/,
];

/** Two words at least. */
function areWords(line: string): boolean {
  if (NO_WORDS.some(form => form.test(line))) return false;
  const words = line.replace(/\{[^}]*\}/g, '');
  return /[A-Za-z’,)}\]–%] [A-Za-z’“({[–\d]/.test(line) && /[a-z]{2}/.test(words);
}

/** The name of a field is for the program; what an object is called is said. */
function attributeName({ name }: JSXAttribute): string {
  if (name.type !== 'Identifier') return '';
  return name.value === 'name' ? 'key' : name.value;
}

function propertyName({ key }: KeyValueProperty): string {
  return key.type === 'Identifier' || key.type === 'StringLiteral' ? key.value : '';
}

function isTree(node: unknown): node is Tree {
  return typeof node === 'object' && node !== null;
}

function is<Type extends Told['type']>(
  node: Tree,
  type: Type,
): node is Extract<Told, { readonly type: Type }> {
  return node.type === type;
}
