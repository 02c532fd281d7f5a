import { unitCourse } from '@/core/measure/unit-value/unit-values';
import type { YieldMeasures } from '@/core/measure/unit-value/yield-bases';
import { unitMeasuresOf } from '@/core/schedule/tasks/due-today';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What one unit's harvest may be counted by: its ground, its mix, and the work that all units get alike. What differs between treatments would tell whose it is. */
export function yieldMeasuresOf({ places, units, care }: TrialData): YieldMeasures {
  const { areaM2 } = unitMeasuresOf(
    places.find(place => place.id === units[0]?.placeId),
    null,
  );
  const toAll = new Map(
    care.rules
      .filter(rule => rule.treatmentIds.length === 0)
      .map(rule => [rule.id, rule.minutesEach ?? 0]),
  );
  return {
    areaM2,
    mixMl: care.settings.mixMl ?? undefined,
    minutes: care.acts
      .filter(act => !act.isSkipped)
      .reduce((sum, act) => sum + (toAll.get(act.ruleId) ?? 0), 0),
  };
}

/** Green mass at the end, of the units whose tops were weighed: the last figure of each. */
export function topsOf(data: TrialData): Readonly<Record<string, number>> {
  const measure = data.measures.find(each => each.kindKey === 'top-mass');
  if (!measure) return {};
  return Object.fromEntries(
    data.units.flatMap(unit => {
      const last = unitCourse(data, unit.id, measure).at(-1);
      return last ? [[unit.id, last.value]] : [];
    }),
  );
}
