import { orthonormalBasis } from '@/core/stats/linear/linear-model';
import type { Factor } from '@/core/trial/model/treatment';

/** What the grown combinations of crossed factors can show. */
export interface Aliasing {
  /** Factors whose effect stands clear of the other factors’. */
  readonly mainEffects: readonly { readonly factor: string; readonly isClear: boolean }[];
  /** Pairs of factors whose dependence on each other shows. */
  readonly interactions: readonly {
    readonly factors: readonly [string, string];
    readonly share: 'whole' | 'part' | 'none';
  }[];
}

/** @param cells the levels of each grown combination, by factor name */
export function aliasingOf(
  factors: readonly Pick<Factor, 'name' | 'levels'>[],
  cells: readonly Readonly<Record<string, string>>[],
): Aliasing {
  const columnsOf = (factor: Pick<Factor, 'name' | 'levels'>): readonly (readonly number[])[] =>
    factor.levels.slice(1).map(level => cells.map(cell => Number(cell[factor.name] === level)));
  const rank = (columns: readonly (readonly number[])[]): number =>
    orthonormalBasis(cells.length, columns).vectors.length;
  const allMain = factors.flatMap(columnsOf);
  return {
    mainEffects: factors.map(factor => {
      const others = factors.filter(other => other !== factor).flatMap(columnsOf);
      return {
        factor: factor.name,
        isClear:
          rank([...others, ...columnsOf(factor)]) - rank(others) === factor.levels.length - 1,
      };
    }),
    interactions: factors.flatMap((a, i) =>
      factors.slice(i + 1).map(b => {
        const products = columnsOf(a).flatMap(left =>
          columnsOf(b).map(right => left.map((value, cell) => value * right[cell]!)),
        );
        const added = rank([...allMain, ...products]) - rank(allMain);
        return {
          factors: [a.name, b.name] as const,
          share:
            added === products.length
              ? ('whole' as const)
              : added > 0
                ? ('part' as const)
                : ('none' as const),
        };
      }),
    ),
  };
}
