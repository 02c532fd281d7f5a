import type { DueTask } from '@/core/schedule/tasks/due-today';
import { bottleLabel } from '@/core/schedule/tasks/receivers';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { BLANK_CARE_RULE } from '@/core/trial/model/blank-facts';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type BottleStep, isBottle, seenDue } from './bottle-steps';
import { isKept } from './seen-acts';

/** What a paper log may name. */
export interface LoggedRules {
  readonly rules: readonly CareRule[];
  /** Open steps of bottles, as steps of rules named after them. */
  readonly bottles: readonly TrackedTask[];
}

/** The plan as a paper log names it: in a blind trial what goes to some only by its bottles. @param open every open step */
export function loggedRules(data: TrialData, open: readonly DueTask[]): LoggedRules {
  const { care, treatments } = data;
  const rules = care.rules.filter(rule => !rule.isUnplanned);
  const kept = rules.filter(rule => isKept(rule, data));
  const bottles = treatments
    .filter(({ id }) => kept.some(rule => rule.treatmentIds.includes(id)) && care.bottles[id])
    .map(({ id }) => bottleRule(bottleLabel(care.bottles[id] ?? '')))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  return {
    rules: [...rules.filter(rule => !isKept(rule, data)), ...bottles],
    bottles: seenDue({ tasks: open, mixing: [], forbidden: [] })
      .steps.filter(isBottle)
      .map(bottleTask),
  };
}

function bottleRule(name: string): CareRule {
  return {
    id: name,
    name,
    kind: 'other',
    treatmentIds: [],
    from: { kind: 'start', days: 0 },
    repeat: { kind: 'once' },
    until: null,
    ...BLANK_CARE_RULE,
  };
}

/** By its bottle and its day; `nth` only keeps them apart. */
function bottleTask({ bottle, dueOn }: BottleStep, nth: number): TrackedTask {
  return {
    ruleId: bottle,
    nth,
    dueOn,
    waitsFor: null,
    state: 'missed',
    doneOn: null,
    doneUnitIds: null,
  };
}
