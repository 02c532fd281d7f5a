import { datedSteps } from '@/core/blinding/dated-steps';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { fileName } from '@/core/trial/file-name';
import { careCalendar } from '@/print/calendar';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { findTrial, trialLog } from '@/service/trial/trials';

/** A trial's steps as an iCalendar file, named for it; undefined where there is no such trial. @param origin of the pages: `http://garden.local:4321` */
export async function calendarOf(
  trialId: string,
  origin: string,
): Promise<{ readonly name: string; readonly body: string } | undefined> {
  const data = await findTrial(trialId);
  if (!data) return undefined;
  const { name } = await currentGarden();
  return {
    name: fileName([name, data.trial.question, 'calendar'], 'ics'),
    body: careCalendar(
      data.trial,
      datedSteps(careTasks(data, today()), data),
      `${origin}/trials/${trialId}/tend`,
      (await trialLog(trialId)).length,
      new Date(),
    ),
  };
}
