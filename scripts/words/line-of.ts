import type { Expression, JSXElement, JSXElementChild, TemplateLiteral } from '@swc/core';

/** Elements that stand within a sentence. */
const INLINE = new Set('a abbr b code em i kbd small span strong sub sup time Link'.split(' '));

/** What stands in an element as a reader meets it: words in their order, what is worked out in braces. */
export function phraseOf(children: readonly JSXElementChild[]): string {
  return children.map(childWords).join('').replace(/\s+/g, ' ');
}

/** Whether the sentence around it holds all of its words. */
export function isInPhrase(child: JSXElementChild): boolean {
  if (child.type === 'JSXText') return true;
  if (child.type === 'JSXElement') return isInline(child) && child.children.every(isInPhrase);
  return child.type === 'JSXExpressionContainer' && !mayHoldMore(child.expression);
}

/** An expression as a reader meets it: `{name} gave {size} more`, one of several in brackets. */
export function lineOf(expression: Expression): string {
  switch (expression.type) {
    case 'StringLiteral':
      return expression.value;
    case 'NumericLiteral':
      return String(expression.value);
    case 'TemplateLiteral':
      return templateLine(expression);
    case 'ConditionalExpression':
      return oneOf([expression.consequent, expression.alternate]);
    case 'ParenthesisExpression':
      return lineOf(expression.expression);
    case 'BinaryExpression':
      return ['&&', '||', '??'].includes(expression.operator) ? oneOf([expression.right]) : '{…}';
    case 'Identifier':
      return `{${expression.value}}`;
    case 'MemberExpression':
      return expression.property.type === 'Identifier' ? `{${expression.property.value}}` : '{…}';
    case 'CallExpression':
      return expression.callee.type === 'Super' || expression.callee.type === 'Import'
        ? '{…}'
        : lineOf(expression.callee);
    default:
      return '{…}';
  }
}

/** Whether `lineOf` leaves something out that may hold words of its own. */
export function mayHoldMore(expression: { readonly type: string }): boolean {
  switch (expression.type) {
    case 'StringLiteral':
    case 'NumericLiteral':
    case 'Identifier':
    case 'MemberExpression':
    case 'JSXEmptyExpression':
      return false;
    case 'TemplateLiteral':
      return (expression as TemplateLiteral).expressions.some(mayHoldMore);
    default:
      return true;
  }
}

function childWords(child: JSXElementChild): string {
  switch (child.type) {
    case 'JSXText':
      return asShown(child.value);
    case 'JSXExpressionContainer':
      return child.expression.type === 'JSXEmptyExpression' ? '' : lineOf(child.expression);
    case 'JSXElement':
      return isInline(child) ? phraseOf(child.children) : '{…}';
    case 'JSXFragment':
      return phraseOf(child.children);
    default:
      return '{…}';
  }
}

/** Where the formatter broke a line there is no blank at its ends. */
function asShown(text: string): string {
  return text
    .replace(/^\s*\n\s*/, '')
    .replace(/\s*\n\s*$/, '')
    .replaceAll('&nbsp;', ' ')
    .replaceAll('&amp;', '&');
}

function templateLine({ quasis, expressions }: TemplateLiteral): string {
  return quasis
    .map((piece, i) => {
      const next = expressions[i];
      return (piece.cooked ?? '') + (next === undefined ? '' : lineOf(next as Expression));
    })
    .join('');
}

function oneOf(ways: readonly Expression[]): string {
  const lines = ways.map(lineOf);
  if (lines.every(line => /^\{[^}]*\}$/.test(line))) return lines[0] ?? '';
  return `[${lines.filter(line => line !== '').join(' / ')}]`;
}

function isInline({ opening: { name } }: JSXElement): boolean {
  return name.type === 'Identifier' && INLINE.has(name.value);
}
