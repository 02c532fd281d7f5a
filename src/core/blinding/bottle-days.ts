import { careTasks } from '@/core/schedule/tasks/due-today';
import type { TrialData } from '@/core/trial/model/trial-data';

/**
 * Whether the bottles of a blind trial could be told apart by when they are given: by days of their own, or because rain sends only
 * some of them round again.
 */
export function bottlesDiffer(data: TrialData): boolean {
  const own = data.care.rules.filter(rule => rule.treatmentIds.length > 0 && !rule.isUnplanned);
  if (!data.trial.isBlind || own.length === 0) return false;
  const tasks = careTasks({ ...data, care: { ...data.care, acts: [] } }, data.trial.startsOn);
  const rhythms = data.treatments.map(({ id }) => {
    const rules = own.filter(rule => rule.treatmentIds.includes(id));
    const days = tasks
      .filter(task => rules.some(rule => rule.id === task.ruleId))
      .map(task => task.dueOn ?? task.waitsFor);
    const rain = rules.map(rule => rule.washedOffByMm).filter(mm => mm !== null);
    return JSON.stringify([[...new Set(days)].sort(), [...new Set(rain)].sort()]);
  });
  return new Set(rhythms).size > 1;
}
