import { type SeededRandom, shuffleInPlace } from '@/core/stats/distributions/seeded-random';

// A square is a flat array: the symbol (0 … order − 1) in row r, column c stands at r · order + c.

/** Numbers of Latin squares of order 1, 2, 3 …: McKay & Wanless (2005), Annals of Combinatorics 9, 335-344, table 1. */
const COUNTS: readonly number[] = [1, 2, 12, 576, 161_280, 812_851_200, 61_479_419_904_000];

/** How many Latin squares of this order there are; Infinity from order 8 on, where no count is needed. */
export function countLatinSquares(order: number): number {
  return COUNTS[order - 1] ?? Number.POSITIVE_INFINITY;
}

/** Whether every symbol stands once in every row and once in every column. */
export function isLatinSquare(square: readonly number[], order: number): boolean {
  if (square.length !== order * order) return false;
  return Array.from({ length: order }, (_, line) => line).every(line => {
    const row = new Set(square.slice(line * order, (line + 1) * order));
    const column = new Set(Array.from({ length: order }, (_, r) => square[r * order + line]!));
    return (
      row.size === order &&
      column.size === order &&
      [...row].every(symbol => symbol >= 0 && symbol < order)
    );
  });
}

/** Steps through all Latin squares of an order in lexical order, writing each into `square`; starts over after the last. */
export function everyLatinSquare(square: Int32Array, order: number): () => void {
  const cells = order * order;
  const inRow = new Int32Array(order);
  const inColumn = new Int32Array(order);
  square.fill(-1);
  let cell = 0;
  const lift = (at: number): void => {
    const bit = 1 << square[at]!;
    inRow[Math.floor(at / order)]! ^= bit;
    inColumn[at % order]! ^= bit;
  };
  return () => {
    if (cell === cells) {
      cell -= 1;
      lift(cell);
    }
    while (cell < cells) {
      const taken = inRow[Math.floor(cell / order)]! | inColumn[cell % order]!;
      let symbol = square[cell]! + 1;
      while (symbol < order && taken & (1 << symbol)) symbol++;
      if (symbol < order) {
        square[cell] = symbol;
        lift(cell);
        cell += 1;
      } else {
        square[cell] = -1;
        if (cell === 0) continue; // after the last one: from the start again
        cell -= 1;
        lift(cell);
      }
    }
  };
}

/**
 * Random Latin squares by the moves of Jacobson & Matthews (1996), Journal of Combinatorial Designs 4, 405-437, and a
 * random renaming of rows, columns and symbols. Uniform squares stay uniform under both, so a walk that begins at a
 * square dealt this way gives valid p-values (Besag & Clifford 1989, Biometrika 76, 633-642).
 *
 * @param square where the walk begins; each call writes the next square into it
 * @param visits proper squares passed on the way to the next one
 */
export function randomLatinSquares(
  square: Int32Array,
  order: number,
  random: SeededRandom,
  visits: number,
): () => void {
  const cube = new Int8Array(order ** 3);
  const at = (row: number, column: number, symbol: number): number =>
    (row * order + column) * order + symbol;
  const load = (): void => {
    cube.fill(0);
    square.forEach((symbol, cell) => {
      cube[cell * order + symbol] = 1;
    });
  };
  /** One of the lines’ ones; an improper line holds two, and either may be meant. */
  const one = (indexOf: (i: number) => number): number => {
    let found = -1;
    for (let i = 0; i < order; i++) {
      if (cube[indexOf(i)] !== 1) continue;
      if (found >= 0 && random.below(2) === 0) return found;
      found = i;
    }
    return found;
  };
  const walk = (): void => {
    let improper = -1;
    for (let left = visits; left > 0; ) {
      let start = improper;
      while (start < 0) {
        const tried = random.below(cube.length);
        if (cube[tried] === 0) start = tried;
      }
      const symbol = start % order;
      const column = Math.floor(start / order) % order;
      const row = Math.floor(start / (order * order));
      const row2 = one(i => at(i, column, symbol));
      const column2 = one(i => at(row, i, symbol));
      const symbol2 = one(i => at(row, column, i));
      for (const plus of [
        start,
        at(row, column2, symbol2),
        at(row2, column, symbol2),
        at(row2, column2, symbol),
      ])
        cube[plus]! += 1;
      for (const minus of [
        at(row2, column, symbol),
        at(row, column2, symbol),
        at(row, column, symbol2),
        at(row2, column2, symbol2),
      ])
        cube[minus]! -= 1;
      const corner = at(row2, column2, symbol2);
      improper = cube[corner]! < 0 ? corner : -1;
      if (improper < 0) left -= 1;
    }
  };
  return () => {
    load();
    if (order > 1) walk();
    const rows = randomOrder(order, random);
    const columns = randomOrder(order, random);
    const symbols = randomOrder(order, random);
    for (let row = 0; row < order; row++) {
      for (let column = 0; column < order; column++) {
        for (let symbol = 0; symbol < order; symbol++) {
          if (cube[at(row, column, symbol)] === 1)
            square[rows[row]! * order + columns[column]!] = symbols[symbol]!;
        }
      }
    }
  };
}

function randomOrder(length: number, random: SeededRandom): readonly number[] {
  const order = Array.from({ length }, (_, i) => i);
  shuffleInPlace(order, random);
  return order;
}
