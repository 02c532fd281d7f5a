import type { SeenTrial } from '@/core/blinding/seen-trial';
import { unitCourse, valuesById } from '@/core/measure/unit-value/unit-values';
import type { YieldMeasures } from '@/core/measure/unit-value/yield-bases';

/**
 * What each unit's harvest may be counted by: what was put down of it as built, the mix that all get, and its work: what was timed
 * at it and what all units get alike. What the plan gives to some treatments only would tell whose it is.
 */
export function yieldMeasuresOf(data: SeenTrial): Readonly<Record<string, YieldMeasures>> {
  const { units, care, measures } = data;
  const toAll = new Map(
    care.rules
      .filter(rule => rule.treatmentIds.length === 0)
      .map(rule => [rule.id, rule.minutesEach ?? 0]),
  );
  const shared = care.acts
    .filter(act => !act.isSkipped)
    .reduce((sum, act) => sum + (toAll.get(act.ruleId) ?? 0), 0);
  const labour = measures.find(measure => measure.kindKey === 'labour');
  const timed = labour ? valuesById(data, labour) : new Map<string, number | null>();
  return Object.fromEntries(
    units.map(({ id, built }) => [
      id,
      {
        areaM2: built?.areaM2 ?? undefined,
        mixMl: built?.mixMl ?? care.settings.mixMl ?? undefined,
        plants: built?.plants ?? undefined,
        seedG: built?.seedG ?? undefined,
        minutes: shared + (timed.get(id) ?? 0),
      },
    ]),
  );
}

/** Green mass at the end, of the units whose tops were weighed: the last figure of each. */
export function topsOf(data: SeenTrial): Readonly<Record<string, number>> {
  const measure = data.measures.find(each => each.kindKey === 'top-mass');
  if (!measure) return {};
  return Object.fromEntries(
    data.units.flatMap(unit => {
      const last = unitCourse(data, unit.id, measure).at(-1);
      return last ? [[unit.id, last.value]] : [];
    }),
  );
}
