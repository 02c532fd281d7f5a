import {
  isSplit,
  type OutcomeInput,
  type ReadUnit,
  readUnits,
  stratumOf,
} from '@/core/judge/question/outcome-input';
import { midRanks } from '@/core/stats/categorical/rank-tests';
import { permutationSumTestOfSeveral } from '@/core/stats/permutation/permutation-sum-test';
import { logRankScores } from '@/core/stats/survival/survival';
import { figureOf } from './outcome-test';

/** At this p of its own a treatment may still be called: only then are all the sets it belongs to looked at. */
const MAY_BE_CALLED = 0.05;
/** Treatments, which make 63 sets. */
const MOST_CLOSED = 6;

/**
 * p for several treatments, so that no true “no difference” is called more often than in five of 100 trials, however strong the
 * others are: every set of treatments that holds it must be told from the control by deals of the units of that set alone.
 * Closed testing: Marcus, Peritz & Gabriel (1976), Biometrika 63, 655-660. The largest studentised gap is each set's statistic.
 *
 * @param ownP by treatment: its own p, of the method and of the deals of the two
 */
export function closedTestPValues(
  input: OutcomeInput,
  ownP: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const tests = [...ownP.keys()];
  if (tests.length < 2) return ownP;
  // Sets of a split plot are dealt at two levels at once.
  if (tests.length > MOST_CLOSED || input.isPaired || isSplit(input))
    return new Map(holm([...ownP.values()]).map((p, i) => [tests[i] ?? '', p]));
  const open = tests.filter(name => (ownP.get(name) ?? 1) <= MAY_BE_CALLED);
  const sets = Array.from({ length: 2 ** tests.length - 1 }, (_, mask) =>
    tests.filter((_name, i) => ((mask + 1) >> i) & 1),
  ).filter(
    set => set.length > 1 && (set.length === tests.length || set.some(name => open.includes(name))),
  );
  const setPs = sets.map(set => ({ set, p: setP(input, set) }));
  return new Map(
    tests.map(name => [
      name,
      Math.max(
        ownP.get(name) ?? 1,
        ...setPs.filter(each => each.set.includes(name)).map(each => each.p),
      ),
    ]),
  );
}

/** Whether any treatment of a set differs from the control, by deals of the set's own units within their blocks. */
function setP(input: OutcomeInput, set: readonly string[]): number {
  const levels = [input.control, ...set];
  const nameOf = stratumOf(input);
  const blocks = new Map<string, ReadUnit[]>();
  for (const unit of readUnits(input)) {
    if (!levels.includes(unit.treatment)) continue;
    const key = nameOf(unit);
    const block = blocks.get(key);
    if (block) block.push(unit);
    else blocks.set(key, [unit]);
  }
  return Math.min(
    ...permutationSumTestOfSeveral(
      [...blocks.values()].map(units => ({
        scores: scoresOf(input, units),
        group: units.map(unit => levels.indexOf(unit.treatment)),
      })),
      levels.length,
      input.seed,
    ),
  );
}

/** p-values for so many tests at once. Holm (1979), Scandinavian Journal of Statistics 6, 65-70. */
export function holm(ps: readonly number[]): readonly number[] {
  const order = ps.map((p, i) => ({ p, i })).sort((a, b) => a.p - b.p);
  const adjusted = new Array<number>(ps.length).fill(1);
  let least = 0;
  order.forEach(({ p, i }, rank) => {
    least = Math.max(least, Math.min(1, p * (ps.length - rank)));
    adjusted[i] = least;
  });
  return adjusted;
}

/** One score a unit, within its block: its figure, its rank, or what the log-rank test makes of its days. */
export function scoresOf(input: OutcomeInput, units: readonly ReadUnit[]): readonly number[] {
  if (input.kind === 'ordinal')
    return midRanks(units.map(unit => unit.value)).map(rank => rank / (units.length + 1));
  if (input.kind === 'time')
    return logRankScores(units.map(unit => ({ days: unit.value, hasCome: unit.hasCome })));
  return units.map(figureOf);
}
