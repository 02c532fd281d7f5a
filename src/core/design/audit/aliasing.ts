import { orthonormalBasis } from '@/core/stats/linear/orthonormal-basis';
import type { Factor } from '@/core/trial/model/treatment';

/** How much of something the grown combinations show. */
export type ShownShare = 'whole' | 'part' | 'none';

/** What the grown combinations of crossed factors can show. */
export interface Aliasing {
  /** `whole`: averaged over the other factors; `part`: only beside some of their levels; `none`: only together with them. */
  readonly mainEffects: readonly { readonly factor: string; readonly share: ShownShare }[];
  /** Pairs of factors whose dependence on each other shows, apart from that of all other pairs. */
  readonly interactions: readonly {
    readonly factors: readonly [string, string];
    readonly share: ShownShare;
  }[];
}

type FactorLevels = Pick<Factor, 'name' | 'levels'>;
type Cell = Readonly<Record<string, string>>;
type Columns = readonly (readonly number[])[];

/** @param cells the levels of each grown combination, by factor name */
export function aliasingOf(factors: readonly FactorLevels[], cells: readonly Cell[]): Aliasing {
  const pairs = factors.flatMap((a, i) =>
    factors.slice(i + 1).map(b => ({
      factors: [a.name, b.name] as const,
      columns: columnsOf(a, cells).flatMap(left =>
        columnsOf(b, cells).map(right => left.map((value, cell) => value * right[cell]!)),
      ),
    })),
  );
  const main = factors.flatMap(factor => columnsOf(factor, cells));
  return {
    mainEffects: factors.map(factor => ({
      factor: factor.name,
      share: shareOfMain(factor, factors, cells),
    })),
    interactions: pairs.map(pair => {
      const others = pairs.filter(other => other !== pair).flatMap(other => other.columns);
      const beside = [...main, ...others];
      return {
        factors: pair.factors,
        share: shareOf(added(pair.columns, beside, cells.length), pair.columns.length),
      };
    }),
  };
}

function columnsOf(factor: FactorLevels, cells: readonly Cell[]): Columns {
  return factor.levels
    .slice(1)
    .map(level => cells.map(cell => Number(cell[factor.name] === level)));
}

/** How many dimensions some columns add to those beside them. */
function added(columns: Columns, beside: Columns, length: number): number {
  const rank = (of: Columns): number => orthonormalBasis(length, of).vectors.length;
  return rank([...beside, ...columns]) - rank(beside);
}

function shareOf(shown: number, all: number): ShownShare {
  if (shown === all) return 'whole';
  return shown > 0 ? 'part' : 'none';
}

/** By the cells that differ in this factor only: where one is missing, an average over the others would mix in what they do. */
function shareOfMain(
  factor: FactorLevels,
  factors: readonly FactorLevels[],
  cells: readonly Cell[],
): ShownShare {
  const levelsBeside = new Map<string, ReadonlySet<string | undefined>>();
  for (const cell of cells) {
    const beside = JSON.stringify(
      factors.filter(other => other !== factor).map(other => cell[other.name]),
    );
    levelsBeside.set(beside, new Set(levelsBeside.get(beside)).add(cell[factor.name]));
  }
  const counts = [...levelsBeside.values()].map(levels => levels.size);
  if (counts.every(count => count === factor.levels.length)) return 'whole';
  return counts.some(count => count > 1) ? 'part' : 'none';
}
