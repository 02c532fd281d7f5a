import { forbiddenPairs } from '@/core/schedule/supplies/mixing-list';
import type { DueTask, DueToday } from '@/core/schedule/tasks/due-today';
import { bottleLabel } from '@/core/schedule/tasks/receivers';
import type { CalendarDay } from '@/core/time/garden-day';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

/**
 * A bottle of a blind trial that is to be given: to which pots, and of which day. Never what is in it, nor how many steps of the
 * plan it is: what can't be said here can't reach a screen.
 */
export interface BottleStep {
  readonly trial: DueTask['trial'];
  /** `bottle K`. */
  readonly bottle: string;
  readonly dueOn: CalendarDay;
  /** Those that have not had it, in walking order. */
  readonly codes: readonly string[];
  /** Some of its pots had it before. */
  readonly isRest: boolean;
}

/** A step as its reader may see it: named, or a bottle. */
export type SeenStep = DueTask | BottleStep;

/** What is due, for a screen. */
export interface SeenDue {
  readonly steps: readonly SeenStep[];
  readonly mixing: DueToday['mixing'];
  readonly forbidden: DueToday['forbidden'];
}

export function isBottle(step: SeenStep): step is BottleStep {
  return 'bottle' in step;
}

/** The pots that a step is due for. */
export function dueCodesOf(step: SeenStep): readonly string[] {
  return isBottle(step) ? step.codes : step.receivers.flatMap(receiver => receiver.codes);
}

/** The day on which a step was due. */
export function dueDay(step: SeenStep): CalendarDay | null {
  return isBottle(step) ? step.dueOn : step.task.dueOn;
}

/**
 * What is due, as it may be seen: of blind trials whose key is shut, what goes to some treatments only is one line a bottle, by the
 * bottles' codes, since the plan's order would tell; and the mixing list says nothing of what is in them.
 */
export function seenDue(due: DueToday): SeenDue {
  const named = due.tasks.filter(task => !isHidden(task));
  const bottles = due.tasks
    .filter(isHidden)
    .flatMap(task => bottleLines(task))
    .reduce(joined, new Map<string, BottleStep>());
  const bottled = new Set(
    due.tasks.filter(isHidden).flatMap(each => each.receivers.map(receiver => receiver.label)),
  );
  const mixing = due.mixing.filter(mix => !mix.each.some(part => bottled.has(part.forWhom)));
  return {
    steps: [...named, ...bottles.values()].sort(byDayAndBottle),
    mixing,
    forbidden: forbiddenPairs(mixing.map(mix => mix.product)),
  };
}

/** Whether what a step gives would tell which pots stand for what. */
export function isHidden({ trial, rule }: Pick<DueTask, 'trial' | 'rule'>): boolean {
  return !isKeyOpen(trial) && rule.treatmentIds.length > 0;
}

/** A bottle has no code before the lock: nothing can be given blind until then. */
const NO_BOTTLE = bottleLabel('?');

function bottleLines({ trial, task, receivers }: DueTask): readonly BottleStep[] {
  const { dueOn } = task;
  if (dueOn === null) return [];
  return receivers
    .filter(({ label, codes }) => label !== NO_BOTTLE && codes.length > 0)
    .map(({ label, codes, of }) => ({
      trial,
      bottle: label,
      dueOn,
      codes,
      isRest: codes.length < of,
    }));
}

/** What is in one bottle on one day is given at once, however many steps of the plan that is. */
function joined(lines: Map<string, BottleStep>, line: BottleStep): Map<string, BottleStep> {
  const key = `${line.trial.id} ${line.bottle} ${line.dueOn}`;
  const before = lines.get(key);
  return lines.set(
    key,
    before
      ? {
          ...before,
          codes: [...before.codes, ...line.codes.filter(code => !before.codes.includes(code))],
          isRest: before.isRest && line.isRest,
        }
      : line,
  );
}

/** By day; of one day the named steps as they were, then the bottles by their codes. */
function byDayAndBottle(a: SeenStep, b: SeenStep): number {
  const keyOf = (step: SeenStep): string =>
    `${dueDay(step) ?? ''} ${isBottle(step) ? step.bottle : ''}`;
  return keyOf(a) < keyOf(b) ? -1 : keyOf(a) > keyOf(b) ? 1 : 0;
}

/** A step of the plan that giving a bottle is, and to whom. */
export interface BottlePart {
  readonly ruleId: string;
  readonly nth: number;
  readonly unitIds: readonly ExperimentalUnit['id'][];
}

/**
 * What giving a bottle of a day is, in the plan's own steps.
 *
 * @param steps every step that is open
 * @param codes only these pots got it; null: all that have not had it
 */
export function bottleParts(
  { units }: Pick<TrialData, 'units'>,
  steps: readonly DueTask[],
  { bottle, dueOn }: Pick<BottleStep, 'bottle' | 'dueOn'>,
  codes: readonly string[] | null,
): readonly BottlePart[] {
  return steps.flatMap(step => {
    const receiver = step.receivers.find(each => each.label === bottle);
    if (!isHidden(step) || step.task.dueOn !== dueOn || !receiver) return [];
    const got = receiver.codes.filter(code => codes === null || codes.includes(code));
    const unitIds = units.filter(unit => got.includes(unit.code)).map(unit => unit.id);
    const { ruleId, nth } = step.task;
    return unitIds.length === 0 ? [] : [{ ruleId, nth, unitIds }];
  });
}
