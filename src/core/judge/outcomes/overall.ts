import { isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { stratumOf } from '@/core/judge/question/strata';
import { friedman, kruskalWallis } from '@/core/stats/categorical/rank-tests';
import { classTest } from '@/core/stats/permutation/class-test';
import type { Overall } from './judgement';

/** Of steps and classes: whether the treatments differ at all. */
export function overallOf(input: JudgeInput): Overall | null {
  if (input.units.some(unit => unit.className != null)) return classesOverall(input);
  if (input.outcome !== 'ordinal' || input.treatments.length < 3) return null;
  const units = input.units.filter(isRead);
  if (input.blockNames.length === 0) {
    const found = kruskalWallis(
      input.treatments.map(name =>
        units.filter(unit => unit.treatment === name).map(unit => unit.value),
      ),
    );
    return found ? { method: 'kruskal-wallis', ...found } : null;
  }
  const nameOf = stratumOf(input);
  const blocks = [...new Set(units.map(nameOf))];
  const table = blocks.map(block =>
    input.treatments.map(name =>
      units.filter(unit => unit.treatment === name && nameOf(unit) === block),
    ),
  );
  const isComplete = table.every(row => row.every(cell => cell.length === 1));
  const found = isComplete
    ? friedman(table.map(row => row.map(cell => cell[0]?.value ?? 0)))
    : undefined;
  return found ? { method: 'friedman', ...found } : null;
}

function classesOverall(input: JudgeInput): Overall | null {
  const units = input.units
    .filter(isRead)
    .flatMap(unit => (unit.className == null ? [] : [{ ...unit, className: unit.className }]));
  const names = [...new Set(units.map(unit => unit.className))];
  const nameOf = stratumOf(input);
  const strata = [...new Set(units.map(nameOf))].map(block =>
    units.filter(unit => nameOf(unit) === block),
  );
  const found = classTest(
    strata.map(own => ({
      classes: own.map(unit => names.indexOf(unit.className)),
      groups: own.map(unit => input.treatments.indexOf(unit.treatment)),
    })),
    input.seed,
  );
  return found ? { method: 'chi-square-shuffled', ...found } : null;
}
