import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { daysBetween } from '@/core/time/garden-day';
import type { CareKind, CareRule } from '@/core/trial/model/care-rule';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

/** What was planned for a treatment up to today, and what came of it. */
export interface Adherence {
  readonly treatmentId: string;
  readonly planned: number;
  /** By the share of its units. */
  readonly done: number;
  readonly skipped: number;
  readonly missed: number;
  /** Mean days that what was done came late. */
  readonly daysLate: number;
  /** done over planned; 1 where nothing was planned yet. */
  readonly share: number;
}

const NOT_GIVEN: ReadonlySet<CareKind> = new Set([
  'look',
  'photo',
  'soil-sample',
  'barrier',
  'check',
  'promise',
]);

/**
 * Planned against done for each treatment. Only what is given or done to plants counts, not looks and photos, and only what was
 * planned. A step that some of a treatment's units got counts by their share.
 */
export function adherenceOf(
  rules: readonly CareRule[],
  tasks: readonly TrackedTask[],
  treatmentIds: readonly string[],
  units: readonly Pick<ExperimentalUnit, 'id' | 'treatmentId'>[] = [],
): readonly Adherence[] {
  const acts = new Map(
    rules
      .filter(rule => !NOT_GIVEN.has(rule.kind) && !rule.isUnplanned)
      .map(rule => [rule.id, rule]),
  );
  return treatmentIds.map(treatmentId => {
    const own = tasks.filter(task => {
      const rule = acts.get(task.ruleId);
      return (
        rule !== undefined &&
        task.state !== 'coming' &&
        task.state !== 'waits' &&
        task.state !== 'due' &&
        (rule.treatmentIds.length === 0 || rule.treatmentIds.some(id => id === treatmentId))
      );
    });
    const ownUnits = units.filter(unit => unit.treatmentId === treatmentId);
    const shareOf = ({ doneUnitIds }: TrackedTask): number =>
      doneUnitIds === null || ownUnits.length === 0
        ? 1
        : ownUnits.filter(unit => doneUnitIds.includes(unit.id)).length / ownUnits.length;
    const done = own.filter(task => task.state === 'done');
    const doneTimes = done.reduce((sum, task) => sum + shareOf(task), 0);
    const late = done.map(task =>
      task.dueOn && task.doneOn ? Math.max(0, daysBetween(task.dueOn, task.doneOn)) : 0,
    );
    return {
      treatmentId,
      planned: own.length,
      done: doneTimes,
      skipped: own.filter(task => task.state === 'skipped').length,
      missed: own.filter(task => task.state === 'missed').length,
      daysLate: late.length === 0 ? 0 : late.reduce((sum, days) => sum + days, 0) / late.length,
      share: own.length === 0 ? 1 : doneTimes / own.length,
    };
  });
}

/** A difference of this share between treatments is part of what the verdict compares. Common practice, no source. */
const UNEVEN = 0.1;

/** Whether some treatment missed so much more than another that the verdict must say so. */
export function isUneven(all: readonly Adherence[]): boolean {
  const shares = all.filter(each => each.planned > 0).map(each => each.share);
  return shares.length > 1 && Math.max(...shares) - Math.min(...shares) > UNEVEN;
}
