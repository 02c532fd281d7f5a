/**
 * Letters for groups that can't be told apart: two treatments share a letter unless they differ. Each letter is a largest
 * set of treatments none of which differ (Piepho 2004, Journal of Computational and Graphical Statistics 13, 456-466).
 *
 * @param names best first: the best treatment gets an a
 * @param differ whether two of them were told apart; symmetric
 * @returns letters by name
 */
export function groupLetters(names: readonly string[], differ: (a: string, b: string) => boolean): Readonly<Record<string, string>> {
  const sets = largestAlikeSets(names, differ);
  const letters: Record<string, string> = {};
  for (const name of names) {
    letters[name] = sets.flatMap((set, index) => (set.includes(name) ? [String.fromCharCode(97 + index)] : [])).join('');
  }
  return letters;
}

function largestAlikeSets(names: readonly string[], differ: (a: string, b: string) => boolean): readonly (readonly string[])[] {
  const sets: string[][] = [];
  // At most 8 treatments have 256 subsets: looking at all of them is shorter than being clever, and as exact.
  for (let mask = 1; mask < 2 ** names.length; mask++) {
    const set = names.filter((_, index) => mask & (1 << index));
    if (set.every((a, i) => set.slice(i + 1).every(b => !differ(a, b)))) sets.push(set);
  }
  return sets
    .filter(set => !sets.some(other => other.length > set.length && set.every(name => other.includes(name))))
    .sort((a, b) => positions(a, names) - positions(b, names));
}

/** Orders sets by their members' places, first member first. */
function positions(set: readonly string[], names: readonly string[]): number {
  return set.reduce((sum, name) => sum + 2 ** -names.indexOf(name), 0) * -1;
}
