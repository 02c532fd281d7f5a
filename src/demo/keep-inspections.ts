import { addDays } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { newId } from '@/service/garden/new-id';
import { keepPhoto, scalePhoto } from '@/service/inspect/photos';
import { askLaboratory, fillBags } from '@/service/inspect/soil';
import { PICTURE_WIDTH_MM, plantPicture } from './demo-pictures';

const PICTURED = 6;

/** Pictures of some troughs on two days, and soil that went to the laboratory at the start. */
export async function keepCloseLooks({ trial, units }: TrialData): Promise<void> {
  const pictured = [...units].sort((a, b) => a.position - b.position).slice(0, PICTURED);
  for (const [i, unit] of pictured.entries()) {
    for (const [day, size] of [
      [2, 0.1],
      [38, 0.45 + 0.09 * i],
    ] as const) {
      const id = newId();
      await keepPhoto(
        trial.id,
        { id, unitId: unit.id, takenOn: addDays(trial.startsOn, day), shows: 'plant' },
        await plantPicture(size, 100 * i + day),
      );
      await scalePhoto(trial.id, { photoId: id, share: 1, mm: PICTURE_WIDTH_MM });
    }
  }
  await fillBags(trial.id, {
    codes: pictured.map(unit => unit.code),
    takenOn: trial.startsOn,
    depthMm: '150',
    cores: '5',
  });
  await askLaboratory(trial.id);
}
