import { type CalendarDay, daysBetween } from '@/core/time/garden-day';
import { settledIds, type TaskDone } from '@/core/trial/model/care-plan';
import type { MissedPolicy } from '@/core/trial/model/care-rule';
import type { Task } from './tasks';

/** Where a task stands on a day. */
export type TaskState = 'done' | 'skipped' | 'missed' | 'overdue' | 'due' | 'coming' | 'waits';

/** A step may be made up for until the next of its rule is due, but not longer than this. Common practice, no source. */
export const LATEST_DAYS = 7;

/** @param nextDueOn when the next time of the same rule is due, which ends the time to make this one up */
export function taskState(
  task: Task,
  done: TaskDone | undefined,
  today: CalendarDay,
  policy: MissedPolicy,
  nextDueOn: CalendarDay | null,
): TaskState {
  if (done) return done.isSkipped ? 'skipped' : 'done';
  if (task.dueOn === null) return 'waits';
  const late = daysBetween(task.dueOn, today);
  if (late < 0) return 'coming';
  if (late === 0) return 'due';
  if (policy !== 'do-late') return 'missed';
  return late > LATEST_DAYS || (nextDueOn !== null && nextDueOn <= today) ? 'missed' : 'overdue';
}

/** A task with where it stands. */
export interface TrackedTask extends Task {
  readonly state: TaskState;
  readonly doneOn: CalendarDay | null;
  /** Units that got it, where not all did. */
  readonly doneUnitIds: readonly string[] | null;
}

/** All tasks of a trial with where each stands. */
export function trackedTasks(
  tasks: readonly Task[],
  done: readonly TaskDone[],
  today: CalendarDay,
  policy: MissedPolicy,
): readonly TrackedTask[] {
  return withStates(tasks, tasks, done, today, policy);
}

/**
 * Only what is due or late, out of many that are done or to come. What some units got is due for the rest of them.
 *
 * @param isSettled whether a step that was done for some is settled for all that were meant
 */
export function dueTasks(
  tasks: readonly Task[],
  done: readonly TaskDone[],
  today: CalendarDay,
  policy: MissedPolicy,
  isSettled: (done: TaskDone) => boolean = () => true,
): readonly TrackedTask[] {
  const doneOf = byRule(done);
  const partOf = ({ ruleId, nth }: Task): TaskDone | undefined => doneOf.get(ruleId)?.[nth];
  const open = tasks.filter(task => {
    const part = partOf(task);
    return task.dueOn !== null && task.dueOn <= today && (part === undefined || !isSettled(part));
  });
  const whole = done.filter(isSettled);
  return withStates(open, tasks, whole, today, policy)
    .filter(task => task.state === 'due' || task.state === 'overdue')
    .map(task => {
      const part = partOf(task);
      return part ? { ...task, doneUnitIds: settledIds(part) } : task;
    });
}

/** @param of those that are asked about, of all `tasks` */
function withStates(
  of: readonly Task[],
  tasks: readonly Task[],
  done: readonly TaskDone[],
  today: CalendarDay,
  policy: MissedPolicy,
): readonly TrackedTask[] {
  if (of.length === 0) return [];
  const [doneOf, dueOf] = [byRule(done), byRule(tasks)];
  const found = of.map((task): TrackedTask => {
    const { ruleId, nth, dueOn, waitsFor } = task;
    const own = doneOf.get(ruleId)?.[nth];
    return {
      ruleId,
      nth,
      dueOn,
      waitsFor,
      state: taskState(task, own, today, policy, dueOf.get(ruleId)?.[nth + 1]?.dueOn ?? null),
      doneOn: own?.on ?? null,
      doneUnitIds: own?.unitIds ?? null,
    };
  });
  const stoppedRules = new Set(
    policy === 'stop' ? found.filter(task => task.state === 'missed').map(task => task.ruleId) : [],
  );
  return stoppedRules.size === 0
    ? found
    : found.map(task =>
        stoppedRules.has(task.ruleId) && (task.state === 'due' || task.state === 'coming')
          ? { ...task, state: 'missed' }
          : task,
      );
}

/** By rule, each at its nth. */
function byRule<Each extends Pick<Task, 'ruleId' | 'nth'>>(
  all: readonly Each[],
): ReadonlyMap<string, readonly (Each | undefined)[]> {
  const rules = new Map<string, Each[]>();
  for (const each of all) {
    const own = rules.get(each.ruleId) ?? [];
    own[each.nth] = each;
    rules.set(each.ruleId, own);
  }
  return rules;
}
