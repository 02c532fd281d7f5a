import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import type { CalendarDay } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { isKept, THE_BOTTLES } from './seen-acts';

/** A step of the plan on its day, for a calendar. */
export interface DatedStep {
  /** Its own for good: a calendar that is taken in again moves what it has. */
  readonly key: string;
  readonly says: string;
  readonly on: CalendarDay;
}

const CAME: Partial<Record<TrackedTask['state'], string>> = {
  done: ' (done)',
  skipped: ' (left out)',
};

/** Dated steps that were not missed, and what came of them. What goes into a blind trial's bottles is one line a day, done or not. */
export function datedSteps(
  tasks: readonly TrackedTask[],
  { trial, care }: Pick<TrialData, 'trial' | 'care'>,
): readonly DatedStep[] {
  const steps = new Map<string, DatedStep>();
  for (const { ruleId, nth, dueOn, state } of tasks) {
    const rule = care.rules.find(each => each.id === ruleId);
    if (!rule || dueOn === null) continue;
    if (isKept(rule, { trial })) {
      const key = `bottles-${dueOn}`;
      steps.set(key, { key, says: THE_BOTTLES, on: dueOn });
    } else if (state !== 'missed') {
      const key = `${ruleId}-${nth}`;
      steps.set(key, { key, says: `${rule.name}${CAME[state] ?? ''}`, on: dueOn });
    }
  }
  return [...steps.values()];
}
