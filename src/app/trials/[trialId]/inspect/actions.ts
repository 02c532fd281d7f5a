'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { isKeeper } from '@/app/role';
import { changing, changingOne } from '@/app/trials/[trialId]/changing';
import { failure } from '@/core/result';
import { removePhoto, scalePhoto } from '@/service/inspect/photos';
import { askLaboratory, fillBags, takeReport } from '@/service/inspect/soil';
import { countCups, layCups } from '@/service/inspect/tastings';

const Id = z.uuid();

export async function scalePhotoAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => scalePhoto(id, input));
}

export async function dropPhotoAction(trialId: unknown, photoId: unknown) {
  return changingOne(trialId, photoId, removePhoto);
}

export async function fillBagsAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => fillBags(id, input));
}

export async function askLaboratoryAction(trialId: unknown) {
  return reporting(trialId, askLaboratory);
}

export async function takeReportAction(trialId: unknown, csv: unknown) {
  return reporting(trialId, id => takeReport(id, csv));
}

async function reporting(
  trialId: unknown,
  take: (id: string) => ReturnType<typeof takeReport>,
): ReturnType<typeof takeReport> {
  if (!(await isKeeper())) return failure({ kind: 'trial', trouble: { kind: 'keeper-only' } });
  const id = Id.safeParse(trialId);
  if (!id.success) return failure({ kind: 'trial', trouble: { kind: 'no-such-trial' } });
  const taken = await take(id.data);
  if (taken.ok) revalidatePath('/', 'layout');
  return taken;
}

export async function layCupsAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => layCups(id, input));
}

export async function countCupsAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => countCups(id, input));
}
