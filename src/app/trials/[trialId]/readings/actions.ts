'use server';

import { z } from 'zod';
import { addMeasureToTrial, removeMeasureFromTrial } from '@/service/trial/measures';
import { undoImport } from '@/service/weigh/import-readings';
import { readingHistoryOf } from '@/service/weigh/readings';
import { changing, changingOne } from '../changing';

const Id = z.uuid();

export async function readAlsoAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => addMeasureToTrial(id, input));
}

export async function readingHistoryAction(unitId: unknown) {
  const id = Id.safeParse(unitId);
  return id.success ? readingHistoryOf(id.data) : [];
}

export async function undoImportAction(trialId: unknown, importId: unknown) {
  return changingOne(trialId, importId, undoImport);
}

export async function readNoMoreAction(trialId: unknown, measureId: unknown) {
  return changingOne(trialId, measureId, removeMeasureFromTrial);
}
