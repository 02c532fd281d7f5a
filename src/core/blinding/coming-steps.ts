import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import type { CalendarDay } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { isKept, THE_BOTTLES } from './seen-acts';

/** A step that is still to come, as it may be seen. */
export interface ComingStep {
  readonly name: string;
  /** null: it waits. */
  readonly dueOn: CalendarDay | null;
  readonly waitsFor: string | null;
}

/** Steps that are still to come. Of a blind trial's bottles only on which days some are given: once a day, however many. */
export function comingSteps(
  tasks: readonly TrackedTask[],
  { trial, care }: Pick<TrialData, 'trial' | 'care'>,
): readonly ComingStep[] {
  const steps = new Map<string, ComingStep>();
  for (const { ruleId, nth, dueOn, waitsFor } of tasks) {
    const rule = care.rules.find(each => each.id === ruleId);
    const hides = rule !== undefined && isKept(rule, { trial });
    steps.set(hides ? `${dueOn} ${waitsFor}` : `${ruleId} ${nth}`, {
      name: hides ? THE_BOTTLES : (rule?.name ?? ''),
      dueOn,
      waitsFor,
    });
  }
  return [...steps.values()];
}
