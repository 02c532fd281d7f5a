import type { Metadata } from 'next';
import { TrialList } from '@/features/trial/TrialList';
import { listTrials } from '@/service/trial/trials';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Trials' };

export default async function TrialsPage() {
  return <TrialList summaries={await listTrials()} />;
}
