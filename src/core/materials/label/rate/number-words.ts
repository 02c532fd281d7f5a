import { parseQuantity } from '@/core/quantity/parse-quantity';

const WORDS: Readonly<Record<string, string>> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  twelve: '12',
  'a dozen': '12',
  twenty: '20',
};

/** Numbers in words, as people write them before a measure: `half a teaspoon`, `one and a half cups`, `two caps`, `1-1/2 tsp`. */
export function spelledOut(written: string): string {
  return written
    .trim()
    .replace(/^an? (?=[\d½¼¾])/i, '')
    .replace(/^(?:a |one )?half (?:of )?(?:an? )?/i, '1/2 ')
    .replace(/^(?:a |one )?quarter (?:of )?(?:an? )?/i, '1/4 ')
    .replace(/^(?:a |one )?third (?:of )?(?:an? )?/i, '1/3 ')
    .replace(/^(1\/[234]) (?:of )?an? /i, '$1 ')
    .replace(/^(\d+)-(\d+\/\d+)(?=\s|$)/, (all, whole: string, part: string) =>
      Number(part.split('/')[0]) < Number(part.split('/')[1]) ? `${whole} ${part}` : all,
    )
    .replace(
      new RegExp(`^(${Object.keys(WORDS).join('|')}|an?|\\d+) and a half (?:of )?`, 'i'),
      (_, word: string) => `${counted(word)}.5 `,
    )
    .replace(/^(?:an?) /i, '1 ')
    .replace(
      new RegExp(`^(${Object.keys(WORDS).join('|')}) `, 'i'),
      (_, word: string) => `${counted(word)} `,
    )
    .replace(/\b(?:level|flat|full) (?=[a-z])/i, '')
    .replace(/^(\d+(?:[.,]\d+)?)\s+(teaspoon|tablespoon|cup)fuls?\b/i, '$1 $2')
    .trim();
}

function counted(word: string): string {
  return WORDS[word.toLowerCase()] ?? (/^an?$/i.test(word) ? '1' : word);
}

/** A bare count, read like any number: `2`, `1/2`, `1,5`, `four`. */
export function plainNumber(written: string): number {
  const read = parseQuantity(`${counted(written.trim())} ml`);
  return read.ok ? read.value.base : Number.NaN;
}
