import { bottleCodes } from '@/core/schedule/rules/bottle-codes';
import { BLANK_CARE, type CareDraft } from '@/core/schedule/rules/care-draft';
import { readCare } from '@/core/schedule/rules/care-form';
import { type Task, tasksOf } from '@/core/schedule/tasks/tasks';
import { addDays } from '@/core/time/garden-day';
import type { CareAct, CarePlan } from '@/core/trial/model/care-plan';
import { NO_CARE } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { SeasonDice } from './seeded-season';

/** What a demo trial's care is made from: rules as typed, stages by day of the trial. */
export interface CareScript {
  readonly products: readonly Product[];
  readonly rules: readonly (Partial<CareDraft> & {
    readonly name: string;
    readonly to: (name: string) => boolean;
  })[];
  readonly stages: Readonly<Record<string, number>>;
  readonly mixMl: number;
  readonly mixNMgPerL: number;
  /** Steps that were left out, by rule and nth, with their reason; and days that a step came late. */
  readonly leftOut: readonly {
    readonly rule: number;
    readonly nth: number;
    readonly why: string;
  }[];
  readonly late: readonly { readonly rule: number; readonly nth: number; readonly days: number }[];
}

/** A trial with its care, everything due before `today` done but what the script leaves out. */
export function withCare(
  data: TrialData,
  script: CareScript,
  today: string,
  dice: SeasonDice,
): TrialData {
  const rules = rulesOf(data, script, dice);
  const stages = Object.fromEntries(
    Object.entries(script.stages).map(([name, day]) => [name, addDays(data.trial.startsOn, day)]),
  );
  const season = { startsOn: data.trial.startsOn, endsOn: data.trial.endsOn, stages, done: [] };
  const acts = tasksOf(rules, season).flatMap(task => actOf(task, rules, script, today, dice));
  const treatmentIds = data.treatments.map(treatment => treatment.id);
  const care: CarePlan = {
    ...NO_CARE,
    rules,
    stages,
    acts,
    settings: {
      missed: 'do-late',
      water: 'same',
      waterSource: 'rain',
      etShare: 1,
      mixMl: script.mixMl,
      mixNMgPerL: script.mixNMgPerL,
      hourWorth: null,
    },
    bottles: { ...bottleCodes(treatmentIds, 77), secret: 'cinder77' },
  };
  const used = new Set(rules.map(rule => rule.material?.productId));
  return { ...data, care, products: script.products.filter(product => used.has(product.id)) };
}

function rulesOf(
  { treatments }: TrialData,
  script: CareScript,
  dice: SeasonDice,
): readonly CareRule[] {
  return script.rules.map(({ to, ...draft }) => {
    const chosen = treatments.filter(({ name }) => to(name)).map(treatment => treatment.id);
    const treatmentIds = chosen.length === treatments.length ? [] : chosen;
    const read = readCare(
      { ...BLANK_CARE, ...draft, treatmentIds },
      { system: 'uk', products: script.products, treatments, rules: [] },
      dice.newId(),
    );
    if (!read.ok)
      throw new RangeError(`${draft.name} must be readable, got ${JSON.stringify(read.trouble)}`);
    return read.value;
  });
}

/** A step done on its day, or late, or left out, as the script says; none where it is not due yet. */
function actOf(
  { ruleId, nth, dueOn }: Task,
  rules: readonly CareRule[],
  script: CareScript,
  today: string,
  dice: SeasonDice,
): readonly CareAct[] {
  const rule = rules.findIndex(each => each.id === ruleId);
  const isThis = (each: { readonly rule: number; readonly nth: number }): boolean =>
    each.rule === rule && each.nth === nth;
  const out = script.leftOut.find(isThis);
  const doneOn = dueOn === null ? null : addDays(dueOn, script.late.find(isThis)?.days ?? 0);
  if (doneOn === null || doneOn >= today) return [];
  return [
    {
      id: dice.newId(),
      ruleId,
      nth,
      doneOn,
      takenAt: `${doneOn}T17:10:00.000Z`,
      isSkipped: out !== undefined,
      amount: null,
      batchId: null,
      unitIds: null,
      outcome: null,
      note: out?.why ?? '',
      by: 'Tomas',
      supersedes: null,
      isRemoval: false,
    },
  ];
}
