import { strFromU8, strToU8, unzlibSync, zlibSync } from 'fflate';
import { failure, type Result, success } from '@/core/result';

// A plan in square codes: packed, in letters that any reader gives back as they are, cut into parts that a phone can read.
const HEAD = 'TURNSPIT-PLAN';
const LONGEST = 480;
const MOST_PARTS = 99;
/** A plan is some ten thousand letters; what unpacks to more than this is none. */
const LARGEST = 4_000_000;

/** A plan as texts for square codes, each saying which of how many it is, and of which plan. */
export function planParts(plan: unknown): readonly string[] {
  const packed = zlibSync(strToU8(JSON.stringify(plan)), { level: 9 });
  const text = toBase64Url(packed);
  const mark = text.slice(-6);
  const count = Math.ceil(text.length / LONGEST);
  return Array.from(
    { length: count },
    (_, i) => `${HEAD} ${mark} ${i + 1}/${count} ${text.slice(i * LONGEST, (i + 1) * LONGEST)}`,
  );
}

/** Why parts are no plan yet. */
export type PartsTrouble =
  | { readonly kind: 'no-parts' }
  | { readonly kind: 'missing'; readonly parts: readonly number[]; readonly of: number }
  | { readonly kind: 'two-plans' }
  | { readonly kind: 'damaged' };

const PART = /TURNSPIT-PLAN ([\w-]{1,6}) (\d{1,2})\/(\d{1,2}) ([\w-]+)/g;

/** Texts of square codes, in any order, some of them twice, with whatever stands between them. */
export function readPlanParts(text: string): Result<unknown, PartsTrouble> {
  const found = [...text.matchAll(PART)].map(([, mark = '', nth, of, data = '']) => ({
    mark,
    nth: Number(nth),
    of: Number(of),
    data,
  }));
  const [first] = found;
  if (!first) return failure({ kind: 'no-parts' });
  if (found.some(({ mark, of }) => mark !== first.mark || of !== first.of))
    return failure({ kind: 'two-plans' });
  const byNumber = new Map(found.map(({ nth, data }) => [nth, data]));
  const numbers = Array.from({ length: Math.min(first.of, MOST_PARTS) }, (_, i) => i + 1);
  const parts = numbers.filter(nth => !byNumber.has(nth));
  if (parts.length > 0) return failure({ kind: 'missing', parts, of: first.of });
  return unpacked(numbers.map(nth => byNumber.get(nth)).join(''));
}

function unpacked(text: string): Result<unknown, PartsTrouble> {
  try {
    // Into a place of that size: what would be larger is cut off there, and is no plan.
    const out = unzlibSync(fromBase64Url(text), { out: new Uint8Array(LARGEST) });
    return success(JSON.parse(strFromU8(out)));
  } catch {
    return failure({ kind: 'damaged' });
  }
}

/** What is still lacking, for whoever reads codes. */
export function partsSentence(trouble: PartsTrouble): string {
  switch (trouble.kind) {
    case 'no-parts':
      return 'That is no square code of a plan.';
    case 'two-plans':
      return 'These codes are of two different plans. Begin again with one of them.';
    case 'missing':
      return `Still to be read: ${trouble.parts.map(nth => `code ${nth}`).join(', ')} of ${trouble.of}.`;
    case 'damaged':
      return 'One of the codes was not read whole. Read them again.';
  }
}

function toBase64Url(bytes: Uint8Array): string {
  return btoa(Array.from(bytes, byte => String.fromCharCode(byte)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}

function fromBase64Url(text: string): Uint8Array {
  const plain = atob(text.replaceAll('-', '+').replaceAll('_', '/'));
  return Uint8Array.from(plain, letter => letter.charCodeAt(0));
}
