import type { Metadata } from 'next';
import { benchViewOf } from '@/features/bench/bench-view';
import { Tend } from '@/features/tend/Tend';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Tend' };

export default async function TendPage(props: TrialPageProps) {
  const { data, frame, isOpen } = await loadTrial(props);
  return <TrialFrame frame={frame} step="tend"><Tend bench={benchViewOf(data, isOpen)} trialId={data.trial.id} unitWord={data.trial.unitWord} /></TrialFrame>;
}
