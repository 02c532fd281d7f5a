import type { Metadata } from 'next';
import { TrialList } from '@/features/trial/TrialList';
import { listBroken, listTrials } from '@/service/trial/trials';
import { bringBackAction, deleteTrialAction, putAwayAction } from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Trials' };

export default async function TrialsPage() {
  return (
    <TrialList
      summaries={await listTrials()}
      broken={await listBroken()}
      putAway={putAwayAction}
      bringBack={bringBackAction}
      erase={deleteTrialAction}
    />
  );
}
