import { buildTrialModel } from '@/core/design/linear/trial-model';
import { centresOf } from '@/core/design/site/unit-centres';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { seededRandom, shuffleInPlace } from '@/core/stats/distributions/seeded-random';
import { fitLinearModel } from '@/core/stats/linear/linear-model';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What is left in the places once treatments and blocks are taken out. */
export interface PositionCheck {
  /** F test of a slope along and across the bench. */
  readonly gradientP: number | null;
  /** Which way it rises, in the words of the bench seen from above. */
  readonly towards: string;
  /** How like neighbours are (−1 … 1), and how rare that is among 999 random orders; one-sided, for likeness. */
  readonly neighbours: { readonly likeness: number; readonly p: number } | null;
}

const ORDERS = 999;
const NEAR = 1.5; // times the least distance: straight and, on a square grid, aslant

/** Looks at the residuals on the bench: a slope that the blocks did not take out, and neighbours that are alike. Moran (1950), Biometrika 37, 17-23. */
export function positionCheck(data: TrialData, input: JudgeInput): PositionCheck | undefined {
  const trial = buildTrialModel(input);
  // What is left of counts, shares, steps and days lies on no bench’s slope.
  if (input.outcome !== 'continuous' || trial.units.length < 6) return undefined;
  const model = trial.fit(trial.units.map(unit => unit.value));
  if (model.residualDf < 2 || !(model.residualSs > 0)) return undefined;
  const places = new Map(
    centresOf(data).map((place, i) => [data.units[i]?.code as string | undefined, place]),
  );
  const at = trial.units.map(unit => places.get(unit.id) ?? { x: 0, y: 0 });
  const slope = fitLinearModel(
    trial.units.map(unit => unit.value),
    [
      ...trial.blockTerms,
      ...treatmentTerms(
        input,
        trial.units.map(unit => unit.treatment),
      ),
      { name: 'place', columns: [at.map(place => place.x), at.map(place => place.y)] },
    ],
  );
  const line = fitLinearModel(model.residuals, [
    { name: 'x', columns: [at.map(place => place.x)] },
    { name: 'y', columns: [at.map(place => place.y)] },
  ]);
  return {
    gradientP: slope.anova.find(row => row.term === 'place')?.p ?? null,
    towards: towardsOf(
      line.combine(0, [1, 0])?.estimate ?? 0,
      line.combine(0, [0, 1])?.estimate ?? 0,
    ),
    neighbours: likenessOf(model.residuals, at),
  };
}

function treatmentTerms({ treatments }: JudgeInput, labels: readonly string[]) {
  return [
    {
      name: 'treatment',
      columns: treatments.slice(1).map(level => labels.map(label => Number(label === level))),
    },
  ];
}

function towardsOf(x: number, y: number): string {
  return Math.abs(x) >= Math.abs(y)
    ? x >= 0
      ? 'the right'
      : 'the left'
    : y >= 0
      ? 'the near side'
      : 'the far side';
}

function likenessOf(
  residuals: readonly number[],
  at: readonly { readonly x: number; readonly y: number }[],
): PositionCheck['neighbours'] {
  const distance = (i: number, j: number): number =>
    Math.hypot(at[i]!.x - at[j]!.x, at[i]!.y - at[j]!.y);
  const least = Math.min(
    ...at.flatMap((_, i) => at.slice(i + 1).map((__, j) => distance(i, i + 1 + j))),
  );
  const pairs = at.flatMap((_, i) =>
    at
      .slice(i + 1)
      .flatMap((__, j) =>
        distance(i, i + 1 + j) <= NEAR * least ? [[i, i + 1 + j] as const] : [],
      ),
  );
  const square = residuals.reduce((sum, value) => sum + value * value, 0);
  if (pairs.length < 4 || !(square > 0)) return null;
  const of = (values: readonly number[]): number =>
    ((values.length / pairs.length) *
      pairs.reduce((sum, [i, j]) => sum + values[i]! * values[j]!, 0)) /
    square;
  const seen = of(residuals);
  const random = seededRandom(1);
  const order = [...residuals];
  let asLike = 0;
  for (let i = 0; i < ORDERS; i++) {
    shuffleInPlace(order, random);
    if (of(order) >= seen - 1e-12) asLike += 1;
  }
  return { likeness: seen, p: (asLike + 1) / (ORDERS + 1) };
}
