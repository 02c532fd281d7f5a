import { unitCost } from '@/core/materials/ledger/money';
import { nutrientLedger } from '@/core/materials/ledger/nutrient-ledger';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { ownMeasures, unitMeasuresOf } from '@/core/schedule/tasks/unit-measures';
import type { CalendarDay } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What one unit of a treatment cost in the season. */
export interface TreatmentCost {
  readonly treatment: string;
  /** Materials, in the garden's currency; null where a price is not known. */
  readonly materials: number | null;
  readonly minutes: number;
  /** With the hours, where an hour has a worth. */
  readonly total: number | null;
}

/** Costs and minutes of every treatment, of what was done; of the plan where nothing was done yet. */
export function treatmentCosts(data: TrialData, by: CalendarDay): readonly TreatmentCost[] {
  const { care, treatments, products, places, units } = data;
  const given = care.acts
    .filter(act => !act.isSkipped)
    .map(({ ruleId, nth, amount, doneOn, unitIds }) => ({ ruleId, nth, amount, doneOn, unitIds }));
  const unit = unitMeasuresOf(
    places.find(place => place.id === units[0]?.placeId),
    care.settings.mixMl,
    units,
  );
  const accounts = nutrientLedger(
    {
      treatments,
      rules: care.rules,
      products,
      given,
      units,
      unit,
      unitOf: ownMeasures(unit, units),
      by,
      tasks: careTasks(data, by),
    },
    given.length > 0 ? 'done' : 'planned',
  );
  const timed = timedMinutes(data);
  const { hourWorth } = care.settings;
  return accounts
    .filter(account => treatments.some(treatment => treatment.id === account.treatmentId))
    .map(({ treatmentId, name, cost, minutes: planned }) => {
      const minutes = planned + (timed.get(treatmentId) ?? 0);
      const materials = cost === null || cost === 0 ? (typedCost(data, treatmentId) ?? cost) : cost;
      return {
        treatment: name,
        materials,
        minutes,
        total: materials === null ? null : unitCost([materials], minutes, hourWorth ?? 0).total,
      };
    });
}

/** Minutes that were timed at a unit of each treatment, on average over those where somebody did. */
function timedMinutes(data: TrialData): ReadonlyMap<string, number> {
  const labour = data.measures.find(measure => measure.kindKey === 'labour');
  if (!labour) return new Map();
  const values = unitValues(data, labour);
  return new Map(
    data.treatments.map(({ id }) => {
      const own = values.flatMap(({ unit, value }) =>
        unit.treatmentId === id && value !== null ? [value] : [],
      );
      return [id, own.length === 0 ? 0 : own.reduce((sum, each) => sum + each, 0) / own.length];
    }),
  );
}

/** What a treatment costs a unit, as it was put down with the question: it stands in where the shelf knows no price. */
function typedCost({ trial, treatments }: TrialData, treatmentId: string): number | undefined {
  const role = treatments.find(treatment => treatment.id === treatmentId)?.role;
  return role === 'control' ? undefined : trial.money?.costEach;
}
