/**
 * Letters for groups that can't be told apart: two treatments share a letter unless they differ. Each letter is a largest
 * set of treatments none of which differ (Piepho 2004, Journal of Computational and Graphical Statistics 13, 456-466).
 *
 * @param names best first: the best treatment gets an a
 * @param differ whether two of them were told apart; symmetric
 * @returns letters by name
 */
export function groupLetters(
  names: readonly string[],
  differ: (a: string, b: string) => boolean,
): Readonly<Record<string, string>> {
  const sets = largestAlikeSets(names, differ);
  const lettersOf = (name: string): string =>
    sets.flatMap((set, index) => (set.includes(name) ? [letterOf(index)] : [])).join('');
  return Object.fromEntries(names.map(name => [name, lettersOf(name)]));
}

function letterOf(index: number): string {
  return index < 26 ? String.fromCharCode(97 + index) : String.fromCharCode(65 + index - 26);
}

function largestAlikeSets(
  names: readonly string[],
  differ: (a: string, b: string) => boolean,
): readonly (readonly string[])[] {
  const sets: (readonly string[])[] = [];
  extendAlike([], names, [], differ, sets);
  return sets.sort((a, b) => positions(a, names) - positions(b, names));
}

/** Every largest set that holds `chosen` and takes more from `open`; `closed` were looked at before. Bron & Kerbosch (1973), algorithm 457. */
function extendAlike(
  chosen: readonly string[],
  open: readonly string[],
  closed: readonly string[],
  differ: (a: string, b: string) => boolean,
  found: (readonly string[])[],
): void {
  if (open.length === 0 && closed.length === 0) found.push(chosen);
  let looked = closed;
  open.forEach((name, i) => {
    const alike = (other: string): boolean => !differ(name, other);
    extendAlike(
      [...chosen, name],
      open.slice(i + 1).filter(alike),
      looked.filter(alike),
      differ,
      found,
    );
    looked = [...looked, name];
  });
}

/** Orders sets by their members' places, first member first. */
function positions(set: readonly string[], names: readonly string[]): number {
  return set.reduce((sum, name) => sum + 2 ** -names.indexOf(name), 0) * -1;
}
