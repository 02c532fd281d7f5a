import { type CalendarDay, daysBetween } from '@/core/time/garden-day';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrackedTask } from './task-state';

/** What was done, as far as a planned step could be it. */
export interface DoneAct {
  readonly kind: CareRule['kind'];
  /** Empty: to all. */
  readonly treatmentIds: readonly string[];
  readonly productId: string | null;
  readonly on: CalendarDay;
}

const FARTHEST_DAYS = 7; // of a rule that has one step only. Common practice, no source.

/** The planned step that an act may well be: of the same kind or product, for the same treatments, open, and near its day. */
export function matchingStep(
  act: DoneAct,
  rules: readonly CareRule[],
  tasks: readonly TrackedTask[],
): TrackedTask | undefined {
  const alike = rules.filter(rule => !rule.isUnplanned && isAlike(rule, act));
  return alike
    .flatMap(rule => nearestOpenStep(rule.id, act.on, tasks) ?? [])
    .sort((a, b) => apart(a, act.on) - apart(b, act.on))[0];
}

function isAlike(rule: CareRule, act: DoneAct): boolean {
  const isSameStuff =
    act.productId === null
      ? rule.kind === act.kind && rule.material === null
      : rule.material?.productId === act.productId;
  const to = new Set<string>(rule.treatmentIds);
  return (
    isSameStuff && to.size === act.treatmentIds.length && act.treatmentIds.every(id => to.has(id))
  );
}

/**
 * Of a rule's steps that nobody ticked or left out the one whose day is nearest; none where that lies further off than half the
 * time to its neighbours, since then it is another time.
 */
export function nearestOpenStep(
  ruleId: string,
  on: CalendarDay,
  tasks: readonly TrackedTask[],
): TrackedTask | undefined {
  const own = tasks.filter(task => task.ruleId === ruleId && task.dueOn !== null);
  const [nearest] = own
    .filter(task => task.state !== 'done' && task.state !== 'skipped')
    .sort((a, b) => apart(a, on) - apart(b, on));
  if (!nearest) return undefined;
  const gaps = own.filter(task => task !== nearest).map(task => apart(task, nearest.dueOn ?? on));
  const reach = gaps.length === 0 ? FARTHEST_DAYS : Math.max(1, Math.min(...gaps) / 2);
  return apart(nearest, on) <= reach ? nearest : undefined;
}

function apart({ dueOn }: TrackedTask, day: CalendarDay): number {
  return dueOn === null ? Number.POSITIVE_INFINITY : Math.abs(daysBetween(dueOn, day));
}
