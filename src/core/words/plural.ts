const ODD: Readonly<Record<string, string>> = { shelf: 'shelves', half: 'halves', leaf: 'leaves' };

/** The plural of a gardener's word for a thing: `pot` → `pots`, `shelf` → `shelves`, `raised bed` → `raised beds`. */
export function pluralOf(word: string): string {
  const last = word.slice(word.lastIndexOf(' ') + 1);
  const odd = ODD[last.toLowerCase()];
  if (odd) return word.slice(0, word.length - last.length) + odd;
  if (/(s|x|z|ch|sh)$/i.test(word)) return `${word}es`;
  return /[^aeiou]y$/i.test(word) ? `${word.slice(0, -1)}ies` : `${word}s`;
}

/** `pot` or `pots`, by how many. */
export function plural(word: string, count: number): string {
  return count === 1 ? word : pluralOf(word);
}

/** `1 pot`, `24 pots`. */
export function counted(count: number, word: string): string {
  return `${count} ${plural(word, count)}`;
}
