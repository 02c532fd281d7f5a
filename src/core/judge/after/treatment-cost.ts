import { unitCost } from '@/core/materials/ledger/money';
import { nutrientLedger } from '@/core/materials/ledger/nutrient-ledger';
import { careTasks, unitMeasuresOf } from '@/core/schedule/tasks/due-today';
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
  );
  const accounts = nutrientLedger(
    { treatments, rules: care.rules, products, given, units, unit, by, tasks: careTasks(data, by) },
    given.length > 0 ? 'done' : 'planned',
  );
  const { hourWorth } = care.settings;
  return accounts
    .filter(account => treatments.some(treatment => treatment.id === account.treatmentId))
    .map(({ treatmentId, name, cost, minutes }) => {
      const materials = cost === null || cost === 0 ? (typedCost(data, treatmentId) ?? cost) : cost;
      return {
        treatment: name,
        materials,
        minutes,
        total: materials === null ? null : unitCost([materials], minutes, hourWorth ?? 0).total,
      };
    });
}

/** What a treatment costs a unit, as it was put down with the question: it stands in where the shelf knows no price. */
function typedCost({ trial, treatments }: TrialData, treatmentId: string): number | undefined {
  const role = treatments.find(treatment => treatment.id === treatmentId)?.role;
  return role === 'control' ? undefined : trial.money?.costEach;
}
