import { amountWords } from '@/core/materials/amount-words';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { adherenceOf } from '@/core/schedule/adherence/adherence';
import { careTasks } from '@/core/schedule/tasks/due-today';
import type { CalendarDay } from '@/core/time/garden-day';
import type { CareAct } from '@/core/trial/model/care-plan';
import type { TrialData } from '@/core/trial/model/trial-data';
import { listed } from '@/core/words/listed';
import { counted } from '@/core/words/plural';
import type { ProtocolPart } from './protocol';

/** What is on record of the care up to a day: by treatment how much of the plan, and what was done besides it. */
export function givenPart(
  data: TrialData,
  until: CalendarDay,
  system: MeasureSystem = 'uk',
): ProtocolPart | undefined {
  const { care, treatments, units } = data;
  if (care.rules.length === 0) return undefined;
  const kept = adherenceOf(
    care.rules,
    careTasks(data, until),
    treatments.map(treatment => treatment.id),
    units,
  );
  const byTreatment = kept
    .filter(each => each.planned > 0)
    .map(each => {
      const name = treatments.find(treatment => treatment.id === each.treatmentId)?.name ?? '';
      const rest = [
        ...(each.skipped > 0 ? [`${each.skipped} left out`] : []),
        ...(each.missed > 0 ? [`${each.missed} missed`] : []),
      ];
      return `${name}: ${Number(each.done.toFixed(1))} of ${counted(each.planned, 'planned task')} on record${rest.length === 0 ? '' : `, ${listed(rest)}`}.`;
    });
  const besides = care.acts.flatMap(act => besidesWords(act, data, system));
  return { title: 'What is on record', steps: [...byTreatment, ...besides] };
}

function besidesWords(
  { ruleId, doneOn, unitIds, amount, note }: CareAct,
  { care, treatments, units }: TrialData,
  system: MeasureSystem,
): readonly string[] {
  const rule = care.rules.find(each => each.id === ruleId);
  if (!rule?.isUnplanned) return [];
  const to =
    unitIds !== null
      ? units.filter(unit => unitIds.includes(unit.id)).map(unit => unit.code)
      : treatments.filter(({ id }) => rule.treatmentIds.includes(id)).map(({ name }) => name);
  const much =
    amount === null
      ? ''
      : `, ${amountWords(amount, rule.material?.rate.of ?? 'volume', system)} each`;
  return [
    `${doneOn}, not planned: ${rule.name}, to ${to.length === 0 ? 'all' : listed(to)}${much}.${note === '' ? '' : ` ${note}`}`,
  ];
}
