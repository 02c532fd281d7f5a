import { seenActs } from '@/core/blinding/seen-acts';
import { actLine, type HistoryLine, mishapLine } from '@/core/trial/history-line';
import { careActHistory } from '@/store/care';
import { database } from '@/store/connection/database';
import { incidentHistory } from '@/store/entries';
import { findTrialData } from '@/store/trials';

/** Every entry of a trial's care, those taken back too, newest first. */
export async function actHistoryOf(trialId: string): Promise<readonly HistoryLine[]> {
  const data = await findTrialData(database(), trialId);
  if (!data) return [];
  const acts = await careActHistory(database(), trialId);
  return seenActs(acts, data)
    .map(({ act, name }) => actLine(act, name))
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** Every mishap of a trial, those taken back too, newest first. */
export async function mishapHistoryOf(trialId: string): Promise<readonly HistoryLine[]> {
  const data = await findTrialData(database(), trialId);
  if (!data) return [];
  const incidents = await incidentHistory(database(), trialId);
  return incidents.map(incident => mishapLine(incident, data.units));
}
