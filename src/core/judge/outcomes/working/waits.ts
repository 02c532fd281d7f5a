import { isRead, type JudgeInput, type ReadUnit } from '@/core/judge/question/judge-input';
import { stratumOf } from '@/core/judge/question/strata';
import { logRankScores, restrictedMeanWait, type Waited } from '@/core/stats/survival/survival';

export function waitedOf(units: readonly ReadUnit[]): readonly Waited[] {
  return units.map(unit => ({ days: unit.value, hasCome: unit.hasCome ?? false }));
}

/**
 * Days waited up to a day at which all curves are known, one value a unit: what the unit adds to its treatment's mean wait. Of
 * units that came, or were looked at to that day, simply their days. Andersen, Hansen & Klein (2004), Lifetime Data Analysis 10,
 * 335-350: pseudo-observations, within each treatment.
 */
export function pseudoWaits(input: JudgeInput): readonly (number | null)[] {
  const byTreatment = input.treatments.map(name =>
    input.units.filter(isRead).filter(unit => unit.treatment === name),
  );
  const until = lastKnownDay(byTreatment.filter(units => units.length > 0).map(waitedOf));
  const waits = new Map<string, number>();
  for (const units of byTreatment) {
    const waited = waitedOf(units);
    const isPlain = waited.every(({ days, hasCome }) => hasCome || days >= until);
    const all = isPlain ? 0 : restrictedMeanWait(waited, until).mean;
    const n = units.length;
    const withoutOne = new Map<string, number>(); // units that waited alike add alike
    units.forEach((unit, i) => {
      if (isPlain || n < 2) {
        waits.set(unit.id, Math.min(unit.value, until));
        return;
      }
      const key = `${unit.value} ${unit.hasCome}`;
      const others =
        withoutOne.get(key) ??
        restrictedMeanWait(
          waited.filter((_, j) => j !== i),
          until,
        ).mean;
      withoutOne.set(key, others);
      waits.set(unit.id, n * all - (n - 1) * others);
    });
  }
  return input.units.map(unit => waits.get(unit.id) ?? null);
}

/**
 * The last day on which all curves are known. One on which all have come is known for good: nothing waits any more. One on
 * which some still wait is known up to the last look.
 */
export function lastKnownDay(samples: readonly (readonly Waited[])[]): number {
  const last = (units: readonly Waited[]): number => Math.max(...units.map(unit => unit.days));
  const open = samples.filter(units =>
    units.some(unit => !unit.hasCome && unit.days >= last(units)),
  );
  return open.length > 0 ? Math.min(...open.map(last)) : Math.max(...samples.map(last));
}

/** What each unit adds to the log-rank test, within the units it was dealt among. */
export function logRankUnits(input: JudgeInput): readonly (number | null)[] {
  const nameOf = stratumOf(input);
  const strata = new Map<string, ReadUnit[]>();
  for (const unit of input.units.filter(isRead)) {
    const key = nameOf(unit);
    const others = strata.get(key);
    if (others) others.push(unit);
    else strata.set(key, [unit]);
  }
  const scores = new Map(
    [...strata.values()].flatMap(units =>
      // The sooner it comes the higher the score: turned, so that more of it is a longer wait.
      logRankScores(waitedOf(units)).map((score, i) => [units[i]?.id ?? '', -score] as const),
    ),
  );
  return input.units.map(unit => scores.get(unit.id) ?? null);
}
