'use server';

import {
  askGarden,
  dropFinding,
  dropGarden,
  dropResults,
  keepHeard,
  typeFinding,
} from '@/service/gardens/roster';
import { changing, changingOne } from '../changing';

export async function askGardenAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => askGarden(id, input));
}

export async function dropGardenAction(trialId: unknown, gardenId: unknown) {
  return changingOne(trialId, gardenId, dropGarden);
}

export async function dropResultsAction(trialId: unknown, gardenId: unknown) {
  return changingOne(trialId, gardenId, dropResults);
}

export async function typeFindingAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => typeFinding(id, input));
}

export async function keepHeardAction(trialId: unknown, input: unknown) {
  return changing(trialId, id => keepHeard(id, input));
}

export async function dropFindingAction(trialId: unknown, findingId: unknown) {
  return changingOne(trialId, findingId, dropFinding);
}
