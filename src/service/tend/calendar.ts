import { datedSteps } from '@/core/blinding/dated-steps';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { careCalendar } from '@/print/calendar';
import { today } from '@/service/garden/clock';
import { findTrial, trialLog } from '@/service/trial/trials';

/** A trial's steps as an iCalendar file; undefined where there is no such trial. */
export async function calendarOf(trialId: string): Promise<string | undefined> {
  const data = await findTrial(trialId);
  return (
    data &&
    careCalendar(
      data.trial,
      datedSteps(careTasks(data, today()), data),
      (await trialLog(trialId)).length,
      new Date(),
    )
  );
}
