import { type CalendarDay, daysBetween } from '@/core/trial/calendar-day';
import type { MissedPolicy } from './care-rule';
import type { Task, TaskDone } from './tasks';

/** Where a task stands on a day. */
export type TaskState = 'done' | 'skipped' | 'missed' | 'overdue' | 'due' | 'coming' | 'waits';

/** A step may be made up for until the next of its rule is due, but not longer than this. Common practice, no source. */
const LATEST_DAYS = 7;

/** @param nextDueOn when the next time of the same rule is due, which ends the time to make this one up */
export function taskState(task: Task, done: TaskDone | undefined, today: CalendarDay, policy: MissedPolicy, nextDueOn: CalendarDay | null): TaskState {
  if (done) return done.isSkipped ? 'skipped' : 'done';
  if (task.dueOn === null) return 'waits';
  const late = daysBetween(task.dueOn, today);
  if (late < 0) return 'coming';
  if (late === 0) return 'due';
  if (policy !== 'do-late') return 'missed';
  return late > LATEST_DAYS || (nextDueOn !== null && nextDueOn <= today) ? 'missed' : 'overdue';
}

/** A task with where it stands. */
export interface StandingTask extends Task {
  readonly state: TaskState;
  readonly doneOn: CalendarDay | null;
}

/** All tasks of a trial with where each stands. */
export function standingTasks(tasks: readonly Task[], done: readonly TaskDone[], today: CalendarDay, policy: MissedPolicy): readonly StandingTask[] {
  const doneOf = new Map(done.map(each => [key(each), each]));
  const dueOf = new Map(tasks.map(task => [key(task), task.dueOn]));
  const standing = tasks.map((task): StandingTask => {
    const own = doneOf.get(key(task));
    return { ...task, state: taskState(task, own, today, policy, dueOf.get(`${task.ruleId} ${task.nth + 1}`) ?? null), doneOn: own?.on ?? null };
  });
  const stoppedRules = new Set(policy === 'stop' ? standing.filter(task => task.state === 'missed').map(task => task.ruleId) : []);
  return standing.map(task => (stoppedRules.has(task.ruleId) && (task.state === 'due' || task.state === 'coming') ? { ...task, state: 'missed' } : task));
}

function key({ ruleId, nth }: Pick<Task, 'ruleId' | 'nth'>): string {
  return `${ruleId} ${nth}`;
}
