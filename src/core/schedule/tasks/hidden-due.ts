import { forbiddenPairs } from '@/core/schedule/supplies/mixing-list';
import type { DueTask, DueToday } from './due-today';

/**
 * What is due, for who must not know: of blind trials whose key is shut, what goes to some treatments only loses its name and its
 * content, and the mixing list what is in the bottles. Bottles and steps come by their codes: the plan's order would tell.
 *
 * @param aliasOf another name for a rule, since its own id could be held against the plan of care
 */
export function hiddenDue(
  due: DueToday,
  aliasOf: (trialId: string, ruleId: string) => string,
): DueToday {
  const isShut = (trial: DueTask['trial']): boolean => trial.isBlind && trial.keyOpenedAt === null;
  const tasks = due.tasks.map((each): DueTask => {
    if (!isShut(each.trial) || each.rule.treatmentIds.length === 0) return each;
    const id = aliasOf(each.trial.id, each.rule.id);
    const receivers = [...each.receivers].sort((a, b) => (a.label < b.label ? -1 : 1));
    return {
      ...each,
      isHidden: true,
      product: null,
      each: null,
      receivers,
      task: { ...each.task, ruleId: id },
      rule: { ...each.rule, id, name: 'Give what is in the bottle', treatmentIds: [] },
      waterMl: null,
    };
  });
  const bottled = new Set(
    due.tasks
      .filter(each => isShut(each.trial))
      .flatMap(each => each.receivers.map(receiver => receiver.label)),
  );
  const mixing = due.mixing.filter(mix => !mix.each.some(part => bottled.has(part.forWhom)));
  return {
    tasks: tasks.sort(byDayAndBottle),
    mixing,
    forbidden: forbiddenPairs(mixing.map(mix => mix.product)),
  };
}

/** By day; of one day the named steps as they were, then the bottles by their codes. */
function byDayAndBottle(a: DueTask, b: DueTask): number {
  const keyOf = ({ task, isHidden, receivers }: DueTask): string =>
    `${task.dueOn ?? ''} ${isHidden ? receivers[0]?.label : ''}`;
  return keyOf(a) < keyOf(b) ? -1 : keyOf(a) > keyOf(b) ? 1 : 0;
}
