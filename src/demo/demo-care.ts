import { bottleCodes } from '@/core/schedule/rules/bottle-codes';
import { BLANK_CARE, type CareDraft } from '@/core/schedule/rules/care-draft';
import { readCare } from '@/core/schedule/rules/care-form';
import { tasksOf } from '@/core/schedule/tasks/tasks';
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
  const rules = script.rules.map(({ to, ...draft }): CareRule => {
    const chosen = data.treatments
      .filter(treatment => to(treatment.name))
      .map(treatment => treatment.id);
    const read = readCare(
      {
        ...BLANK_CARE,
        ...draft,
        treatmentIds: chosen.length === data.treatments.length ? [] : chosen,
      },
      { system: 'uk', products: script.products, treatments: data.treatments, rules: [] },
      dice.newId(),
    );
    if (!read.ok)
      throw new RangeError(`${draft.name} must be readable, got ${JSON.stringify(read.trouble)}`);
    return read.value;
  });
  const stages = Object.fromEntries(
    Object.entries(script.stages).map(([name, day]) => [name, addDays(data.trial.startsOn, day)]),
  );
  const season = { startsOn: data.trial.startsOn, endsOn: data.trial.endsOn, stages, done: [] };
  const acts = tasksOf(rules, season).flatMap(({ ruleId, nth, dueOn }): CareAct[] => {
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
  });
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
    bottles: {
      ...bottleCodes(
        data.treatments.map(treatment => treatment.id),
        77,
      ),
      secret: 'cinder77',
    },
  };
  return {
    ...data,
    care,
    products: script.products.filter(product =>
      rules.some(rule => rule.material?.productId === product.id),
    ),
  };
}
