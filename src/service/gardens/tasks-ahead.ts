import { type DatedStep, datedSteps } from '@/core/blinding/dated-steps';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { addDays } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';

const AHEAD_DAYS = 14;

/** What is to be done in the next two weeks, by day. Of a blind trial nothing that tells who gets what. */
export function tasksAhead(data: TrialData): readonly DatedStep[] {
  if (data.trial.state !== 'locked') return [];
  const [from, to] = [today(), addDays(today(), AHEAD_DAYS)];
  return datedSteps(careTasks(data, today()), data)
    .filter(({ on }) => on >= from && on <= to)
    .sort((a, b) => a.on.localeCompare(b.on));
}
