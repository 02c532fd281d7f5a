import type { Metadata } from 'next';
import { AskForm } from '@/features/ask/AskForm';
import { questionFormOf } from '@/features/ask/question-draft';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { changeQuestionAction } from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Ask' };

export default async function AskPage(props: TrialPageProps) {
  const { data, frame } = await loadTrial(props);
  return (
    <TrialFrame frame={frame} step="ask">
      <AskForm draftKey={`turnspit-question-${data.trial.id}`} saved={questionFormOf(data)} isLocked={data.trial.state !== 'planned'} isDealt={data.layout !== null} save={changeQuestionAction.bind(null, data.trial.id)} />
    </TrialFrame>
  );
}
