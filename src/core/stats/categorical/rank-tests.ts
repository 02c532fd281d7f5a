import { chiSquareUpperTail } from '@/core/stats/distributions/distributions';

/** Ranks from 1, equal values sharing the middle of theirs. */
export function midRanks(values: readonly number[]): readonly number[] {
  const order = values.map((value, i) => ({ value, i })).sort((a, b) => a.value - b.value);
  const ranks = new Array<number>(values.length).fill(0);
  for (let from = 0; from < order.length; ) {
    let to = from;
    while (to + 1 < order.length && order[to + 1]!.value === order[from]!.value) to += 1;
    for (let j = from; j <= to; j++) ranks[order[j]!.i] = (from + to) / 2 + 1;
    from = to + 1;
  }
  return ranks;
}

/** Values of the treated and of the control in one block. */
export interface TwoSamples {
  readonly treated: readonly number[];
  readonly control: readonly number[];
}

/** A test of several groups at once. */
export interface SeveralGroups {
  readonly statistic: number;
  readonly df: number;
  readonly p: number;
}

/** Whether several groups come from one, by ranks. Kruskal & Wallis (1952), JASA 47, 583-621; corrected for ties. */
export function kruskalWallis(groups: readonly (readonly number[])[]): SeveralGroups | undefined {
  const held = groups.filter(group => group.length > 0);
  const values = held.flat();
  const n = values.length;
  const ranks = midRanks(values);
  const ties = tieSum(values);
  if (held.length < 2 || ties === n ** 3 - n) return undefined;
  let from = 0;
  let sum = 0;
  for (const group of held) {
    const own = ranks.slice(from, from + group.length).reduce((total, rank) => total + rank, 0);
    sum += (own * own) / group.length;
    from += group.length;
  }
  const statistic = ((12 / (n * (n + 1))) * sum - 3 * (n + 1)) / (1 - ties / (n ** 3 - n));
  return { statistic, df: held.length - 1, p: chiSquareUpperTail(statistic, held.length - 1) };
}

/** Σ (t³ − t) over the groups of equal values. */
function tieSum(values: readonly number[]): number {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts.values()].reduce((sum, t) => sum + t ** 3 - t, 0);
}

/** Treatments ranked within each block, one value each. Friedman (1937), JASA 32, 675-701; corrected for ties. */
export function friedman(blocks: readonly (readonly number[])[]): SeveralGroups | undefined {
  const k = blocks[0]?.length ?? 0;
  if (k < 2 || blocks.length < 2 || blocks.some(block => block.length !== k)) return undefined;
  const ranked = blocks.map(midRanks);
  const sums = Array.from({ length: k }, (_, j) =>
    ranked.reduce((sum, ranks) => sum + ranks[j]!, 0),
  );
  const ties = blocks.reduce((sum, block) => sum + tieSum(block), 0);
  const b = blocks.length;
  const spread = b * k * (k + 1) - ties / (k - 1);
  if (!(spread > 0)) return undefined;
  const statistic =
    (12 * sums.reduce((sum, each) => sum + (each - (b * (k + 1)) / 2) ** 2, 0)) / spread;
  return { statistic, df: k - 1, p: chiSquareUpperTail(statistic, k - 1) };
}

/** The chance that a random treated unit has the larger value than a random control, ties by half; blocks weighed by their pairs. */
export function chanceOfLarger(blocks: readonly TwoSamples[]): number {
  let [wins, pairs] = [0, 0];
  for (const { treated, control } of blocks) {
    for (const a of treated) for (const b of control) wins += a > b ? 1 : a === b ? 0.5 : 0;
    pairs += treated.length * control.length;
  }
  return pairs === 0 ? 0.5 : wins / pairs;
}

/**
 * Whether two rankings go together: Spearman's rank correlation with the exact two-sided p over all orders (n ≤ 9), else the
 * t approximation is left to the caller. Spearman (1904), American Journal of Psychology 15, 72-101.
 */
export function rankCorrelation(
  a: readonly number[],
  b: readonly number[],
): { readonly rho: number; readonly p: number | null } {
  const [ra, rb] = [midRanks(a), midRanks(b)];
  const rho = correlation(ra, rb);
  if (a.length > 9 || a.length < 2) return { rho, p: null };
  let [all, extreme] = [0, 0];
  permute([...rb], 0, order => {
    all += 1;
    if (Math.abs(correlation(ra, order)) >= Math.abs(rho) - 1e-9) extreme += 1;
  });
  return { rho, p: extreme / all };
}

/** Pearson's correlation; 0 where one of them does not vary. */
export function correlation(a: readonly number[], b: readonly number[]): number {
  const [ma, mb] = [a, b].map(
    values => values.reduce((sum, value) => sum + value, 0) / values.length,
  ) as [number, number];
  let [ab, aa, bb] = [0, 0, 0];
  a.forEach((value, i) => {
    const [da, db] = [value - ma, b[i]! - mb];
    ab += da * db;
    aa += da * da;
    bb += db * db;
  });
  return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0;
}

function permute(values: number[], from: number, visit: (order: readonly number[]) => void): void {
  if (from >= values.length - 1) {
    visit(values);
    return;
  }
  for (let i = from; i < values.length; i++) {
    [values[from], values[i]] = [values[i]!, values[from]!];
    permute(values, from + 1, visit);
    [values[from], values[i]] = [values[i]!, values[from]!];
  }
}
