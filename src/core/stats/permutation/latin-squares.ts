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
  return () => {
    cube.fill(0);
    square.forEach((symbol, cell) => {
      cube[cell * order + symbol] = 1;
    });
    if (order > 1) walk(cube, order, random, visits);
    writeRenamed(cube, order, random, square);
  };
}

/**
 * Jacobson and Matthews' walk on the incidence cube: a cell of it is 1 where its row holds its symbol in its column. An
 * improper cube holds one −1 on the way from one square to another.
 */
function walk(cube: Int8Array, order: number, random: SeededRandom, visits: number): void {
  const at = (row: number, column: number, symbol: number): number =>
    (row * order + column) * order + symbol;
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
  let improper = -1;
  for (let left = visits; left > 0; ) {
    const start = improper < 0 ? zeroOf(cube, random) : improper;
    const symbol = start % order;
    const column = Math.floor(start / order) % order;
    const row = Math.floor(start / (order * order));
    const row2 = one(i => at(i, column, symbol));
    const column2 = one(i => at(row, i, symbol));
    const symbol2 = one(i => at(row, column, i));
    cube[start]! += 1;
    cube[at(row, column2, symbol2)]! += 1;
    cube[at(row2, column, symbol2)]! += 1;
    cube[at(row2, column2, symbol)]! += 1;
    cube[at(row2, column, symbol)]! -= 1;
    cube[at(row, column2, symbol)]! -= 1;
    cube[at(row, column, symbol2)]! -= 1;
    const corner = at(row2, column2, symbol2);
    cube[corner]! -= 1;
    improper = cube[corner]! < 0 ? corner : -1;
    if (improper < 0) left -= 1;
  }
}

/** A cell of the cube that holds a zero, each as likely as the other. */
function zeroOf(cube: Int8Array, random: SeededRandom): number {
  for (;;) {
    const tried = random.below(cube.length);
    if (cube[tried] === 0) return tried;
  }
}

/** Writes the cube's square down under new names of its rows, columns and symbols. */
function writeRenamed(
  cube: Int8Array,
  order: number,
  random: SeededRandom,
  square: Int32Array,
): void {
  const rows = randomOrder(order, random);
  const columns = randomOrder(order, random);
  const symbols = randomOrder(order, random);
  for (let cell = 0; cell < order * order; cell++) {
    const [row, column] = [Math.floor(cell / order), cell % order];
    for (let symbol = 0; symbol < order; symbol++) {
      if (cube[cell * order + symbol] === 1)
        square[rows[row]! * order + columns[column]!] = symbols[symbol]!;
    }
  }
}

function randomOrder(length: number, random: SeededRandom): readonly number[] {
  const order = Array.from({ length }, (_, i) => i);
  shuffleInPlace(order, random);
  return order;
}
